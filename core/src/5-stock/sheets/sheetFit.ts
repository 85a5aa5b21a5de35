/** Whether rectangles can all be sawn out of one sheet, and where each lies: exact, not only by cuts from edge to edge. */

/** Sizes in whole units, kerf included on two sides; the sheet has it once more as well. */
export interface Fitted {
  readonly width: number;
  readonly height: number;
  /** False: the grain runs along its width, so it is not turned. */
  readonly turn: boolean;
}
export interface FitSpot {
  readonly x: number;
  readonly y: number;
  readonly turned: boolean;
}
export type Fit =
  | { readonly kind: 'fits'; readonly spots: readonly FitSpot[] }
  | { readonly kind: 'does not' }
  /** Looked at as many arrangements as allowed: neither is known. */
  | { readonly kind: 'not known' };

/** How many arrangements may still be looked at; shared by all questions of one search. */
export interface Looks {
  left: number;
}

/**
 * Two pieces that do not overlap are left or right of, below or above one another. Each lies as far left and down as what was
 * said so far lets it (longest paths); of two that then overlap all four are tried, and what reaches over the sheet's edge is
 * given up. So every arrangement is either found or ruled out. Up to a dozen pieces a sheet in practice.
 */
export function sheetFit(pieces: readonly Fitted[], width: number, height: number, looks: Looks): Fit {
  const area = pieces.reduce((sum, p) => sum + p.width * p.height, 0);
  if (area > width * height) return { kind: 'does not' };
  const turned: boolean[] = [];
  const search = (): Fit => {
    const i = turned.length;
    if (i === pieces.length) return arranged(pieces, turned, width, height, looks);
    let isKnown = true;
    for (const turn of pieces[i]!.turn && pieces[i]!.width !== pieces[i]!.height ? [false, true] : [false]) {
      const [w, h] = sizeOf(pieces[i]!, turn);
      if (w > width || h > height) continue;
      // Of pieces alike the turned ones come last: another order is the same.
      const before = pieces[i - 1];
      if (before && !turn && turned[i - 1] && isAlike(before, pieces[i]!)) continue;
      turned.push(turn);
      const found = search();
      turned.pop();
      if (found.kind === 'fits') return found;
      if (found.kind === 'not known') isKnown = false;
    }
    return isKnown ? { kind: 'does not' } : { kind: 'not known' };
  };
  return search();
}

export const isAlike = (a: Fitted, b: Fitted): boolean =>
  a.width === b.width && a.height === b.height && a.turn === b.turn;
const sizeOf = ({ width, height }: Fitted, turned: boolean): readonly [number, number] =>
  turned ? [height, width] : [width, height];

function arranged(
  pieces: readonly Fitted[],
  turned: readonly boolean[],
  width: number,
  height: number,
  looks: Looks,
): Fit {
  const sizes = pieces.map((p, i) => sizeOf(p, turned[i]!));
  const count = pieces.length;
  /** Pairs of which the first is left of, or below, the second. */
  const leftOf: [number, number][] = [];
  const below: [number, number][] = [];
  const place = (): Fit => {
    if (looks.left-- <= 0) return { kind: 'not known' };
    const x = earliest(count, leftOf, (i) => sizes[i]![0], width);
    const y = x && earliest(count, below, (i) => sizes[i]![1], height);
    if (!x || !y) return { kind: 'does not' };
    const pair = worstOverlap(sizes, x, y);
    if (!pair) return { kind: 'fits', spots: pieces.map((_, i) => ({ x: x[i]!, y: y[i]!, turned: turned[i]! })) };
    const [a, b] = pair;
    let isKnown = true;
    for (const [said, first, second] of [
      [leftOf, a, b],
      [below, a, b],
      [leftOf, b, a],
      [below, b, a],
    ] as const) {
      said.push([first, second]);
      const found = place();
      said.pop();
      if (found.kind === 'fits') return found;
      if (found.kind === 'not known') isKnown = false;
    }
    return isKnown ? { kind: 'does not' } : { kind: 'not known' };
  };
  return place();
}

/** How far each must at least lie from the edge; null where one reaches over the other edge, or they wait for one another. */
function earliest(
  count: number,
  after: readonly (readonly [number, number])[],
  size: (i: number) => number,
  room: number,
): readonly number[] | null {
  const at = new Array<number>(count).fill(0);
  for (let round = 0; ; round++) {
    let hasMoved = false;
    for (const [first, second] of after) {
      const least = at[first]! + size(first);
      if (at[second]! >= least) continue;
      at[second] = least;
      if (least + size(second) > room) return null;
      hasMoved = true;
    }
    if (!hasMoved) return at;
    if (round > count) return null;
  }
}

/** Of those that overlap the two whose common area is largest: what is told of them rules out most. */
function worstOverlap(
  sizes: readonly (readonly [number, number])[],
  x: readonly number[],
  y: readonly number[],
): readonly [number, number] | null {
  let worst: readonly [number, number] | null = null;
  let most = 0;
  for (let i = 0; i < sizes.length; i++)
    for (let j = i + 1; j < sizes.length; j++) {
      const across = Math.min(x[i]! + sizes[i]![0], x[j]! + sizes[j]![0]) - Math.max(x[i]!, x[j]!);
      const up = Math.min(y[i]! + sizes[i]![1], y[j]! + sizes[j]![1]) - Math.max(y[i]!, y[j]!);
      if (across <= 0 || up <= 0 || across * up <= most) continue;
      most = across * up;
      worst = [i, j];
    }
  return worst;
}
