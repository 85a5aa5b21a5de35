/** Where a pattern that is longer than a sheet is parted: as few sheets as it takes, and of all ways to do that one that cuts through least. Exact on a grid of places. */

/** From where to where nothing should be parted, m. */
export type Kept = readonly [number, number];

/** Places that are tried, m apart. */
const GRID = 0.001;

/**
 * Parts `length` (m, from nought) into the fewest lengths of at most `most` (m, over nought); returns the places between them, rising.
 * Among ways with as few, the least number of `kept` stretches holds a seam inside, and of those the most even: least sum of squares.
 * By dynamic programming over places a millimetre apart: best within that grid.
 */
export function seamsOf(length: number, most: number, kept: readonly Kept[]): readonly number[] {
  if (!(most > GRID)) throw new RangeError('a sheet needs some room');
  const least = Math.max(1, Math.ceil(length / most - 1e-9));
  // The grid may ask for one more where a length fits to a hair.
  return least === 1 ? [] : (partedInto(least, length, most, kept) ?? partedInto(least + 1, length, most, kept)!);
}

function partedInto(parts: number, length: number, most: number, kept: readonly Kept[]): readonly number[] | null {
  const places = Math.floor(length / GRID);
  const through = Array.from(
    { length: places + 1 },
    (_, i) => kept.filter(([a, b]) => i * GRID > a && i * GRID < b).length,
  );
  const cost = (long: number): number => (long / length) ** 2;
  // best[i]: parted at place i, after so many parts.
  let best = Array.from({ length: places + 1 }, (_, i) =>
    i * GRID <= most + 1e-9 ? through[i]! + cost(i * GRID) * EVEN : Infinity,
  );
  const from: number[][] = [];
  const reach = Math.floor(most / GRID + 1e-9);
  for (let part = 2; part < parts; part++) {
    const back: number[] = new Array<number>(places + 1).fill(0);
    best = best.map((_, i) => {
      let least = Infinity;
      for (let j = Math.max(0, i - reach); j < i; j++) {
        const sum = best[j]! + cost((i - j) * GRID) * EVEN;
        if (sum < least) [least, back[i]] = [sum, j];
      }
      return least + through[i]!;
    });
    from.push(back);
  }
  let last = -1;
  let least = Infinity;
  for (let i = 1; i <= places; i++) {
    const rest = length - i * GRID;
    const sum = rest <= most + 1e-9 ? best[i]! + cost(rest) * EVEN : Infinity;
    if (sum < least) [least, last] = [sum, i];
  }
  if (last < 0) return null;
  const seams = [last];
  for (const back of [...from].reverse()) seams.unshift(back[seams[0]!]!);
  return seams.map((i) => i * GRID);
}
/** Evenness never outweighs a hole. */
const EVEN = 1e-3;
