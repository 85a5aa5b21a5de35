/** Area within a closed outline without crossings, m², by the shoelace sum; whichever way round it runs. */
export const outlineArea = (outline: readonly (readonly [number, number])[]): number =>
  Math.abs(
    outline.reduce((sum, [x, y], i) => {
      const [x1, y1] = outline[(i + 1) % outline.length]!;
      return sum + x * y1 - x1 * y;
    }, 0),
  ) / 2;
