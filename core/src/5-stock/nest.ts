/** Cuts packed into bars of one length, leftovers first, with the saw's kerf; proven least, or the gap is said. */

export interface NestProblem {
  readonly barLength: number;
  readonly kerf: number;
  readonly pieces: readonly { readonly length: number; readonly count: number }[];
  readonly leftovers?: readonly number[];
}
export interface CutBar {
  readonly length: number;
  readonly pieces: readonly number[];
}
export interface Nest {
  readonly kind: 'solved' | 'notProven';
  readonly leftovers: readonly CutBar[];
  readonly newBars: readonly CutBar[];
  readonly lowerBound: number;
}
export type NestOutcome = Nest | { readonly kind: 'noSolution'; readonly tooLong: readonly number[] };

/** Lengths are counted in whole nanometres, so that a piece that just ends the bar does. */
const UNIT = 1e-9;
const NODES_AT_MOST = 1_500_000; // about half a second; a workbench's cut lists need a few hundred

/** ceil(sum(l + kerf)/(L + kerf)): no plan can do with fewer new bars when there are no leftovers. */
export function barsAtLeast({ barLength, kerf, pieces }: NestProblem): number {
  const sum = pieces.reduce((s, p) => s + p.count * (inUnits(p.length) + inUnits(kerf)), 0);
  return Math.ceil(sum / (inUnits(barLength) + inUnits(kerf)));
}

/**
 * n pieces take their lengths and n - 1 kerfs, so a bar of L holds them when the sum of (l + kerf) is at most L + kerf.
 * Branch and bound: leftovers are filled first with every maximal choice, then new bars, each holding the largest piece
 * left; counts that failed once are remembered.
 */
export function nest(problem: NestProblem): NestOutcome {
  const kerf = inUnits(problem.kerf);
  const bar = inUnits(problem.barLength) + kerf;
  const sizes = mergeSizes(problem.pieces, kerf);
  const left = [...(problem.leftovers ?? [])].sort((a, b) => a - b);
  const capacities = left.map((l) => inUnits(l) + kerf);
  const longest = Math.max(bar, ...capacities);
  const tooLong = sizes.filter((s) => s.size > longest).map((s) => s.length);
  if (tooLong.length > 0) return { kind: 'noSolution', tooLong };
  const total = sizes.reduce((s, p) => s + p.size * p.count, 0);
  const lowerBound = Math.max(0, Math.ceil((total - capacities.reduce((s, c) => s + c, 0)) / bar));
  const search = new Search(sizes, capacities, bar);
  const plan = (fill: readonly (readonly number[])[]): Pick<Nest, 'leftovers' | 'newBars'> => ({
    leftovers: fill
      .slice(0, left.length)
      .map((pieces, i) => ({ length: left[i]!, pieces }))
      .filter((b) => b.pieces.length > 0),
    newBars: fill.slice(left.length).map((pieces) => ({ length: problem.barLength, pieces })),
  });
  const greedy = firstFit(sizes, capacities, bar);
  const most = greedy ? greedy.length - left.length : Infinity;
  for (let bars = lowerBound; bars < most; bars++) {
    const fill = search.within(bars);
    if (fill === 'unproven')
      return greedy ? { kind: 'notProven', ...plan(greedy), lowerBound: bars } : { kind: 'noSolution', tooLong: [] };
    if (fill) return { kind: 'solved', ...plan(fill), lowerBound: bars };
    // A piece longer than a new bar that no leftover can take: more bars will not help.
    if (!greedy && bars > sizes.reduce((n, s) => n + s.count, 0))
      return { kind: 'noSolution', tooLong: sizes.filter((s) => s.size > bar).map((s) => s.length) };
  }
  return { kind: 'solved', ...plan(greedy!), lowerBound: most };
}

const inUnits = (metres: number): number => Math.round(metres / UNIT);

interface Size {
  readonly length: number;
  readonly size: number;
  readonly count: number;
}

function mergeSizes(pieces: NestProblem['pieces'], kerf: number): readonly Size[] {
  const counts = new Map<number, number>();
  for (const p of pieces) counts.set(p.length, (counts.get(p.length) ?? 0) + p.count);
  return [...counts]
    .map(([length, count]) => ({ length, count, size: inUnits(length) + kerf }))
    .sort((a, b) => b.size - a.size);
}

/** Best fit, longest first; null when some piece finds no place. Index order: leftovers, then new bars. */
function firstFit(
  sizes: readonly Size[],
  leftovers: readonly number[],
  bar: number,
): readonly (readonly number[])[] | null {
  const room = [...leftovers];
  const fill: number[][] = leftovers.map(() => []);
  for (const { length, size, count } of sizes) {
    for (let n = 0; n < count; n++) {
      let best = -1;
      room.forEach((r, i) => {
        if (r >= size && (best < 0 || r < room[best]!)) best = i;
      });
      if (best < 0) {
        if (size > bar) return null;
        best = room.push(bar) - 1;
        fill.push([]);
      }
      room[best]! -= size;
      fill[best]!.push(length);
    }
  }
  return fill;
}

class Search {
  private nodes = 0;

  constructor(
    private readonly sizes: readonly Size[],
    private readonly leftovers: readonly number[],
    private readonly bar: number,
  ) {}

  within(newBars: number): readonly (readonly number[])[] | null | 'unproven' {
    const failed = new Set<string>();
    const fill: number[][] = [];
    const step = (index: number, counts: readonly number[]): boolean | 'unproven' => {
      if (counts.every((c) => c === 0)) return true;
      if (index === this.leftovers.length + newBars) return false;
      const key = `${index}:${counts.join()}`;
      if (failed.has(key)) return false;
      if (this.nodes > NODES_AT_MOST) return 'unproven';
      let rest = 0;
      for (let i = index; i < this.leftovers.length; i++) rest += this.leftovers[i]!;
      rest += this.bar * Math.min(newBars, this.leftovers.length + newBars - index);
      if (this.sizes.reduce((s, p, i) => s + p.size * counts[i]!, 0) <= rest) {
        const isNew = index >= this.leftovers.length;
        for (const pattern of this.patterns(counts, isNew ? this.bar : this.leftovers[index]!, isNew)) {
          fill.push(pattern.flatMap((n, i) => Array.from({ length: n }, () => this.sizes[i]!.length)));
          const done = step(
            index + 1,
            counts.map((c, i) => c - pattern[i]!),
          );
          if (done) return done;
          fill.pop();
        }
      }
      failed.add(key);
      return false;
    };
    const done = step(
      0,
      this.sizes.map((s) => s.count),
    );
    return done === 'unproven' ? done : done ? fill : null;
  }

  /** Fillings to which no further piece could be added, fullest first; a new bar always holds the largest piece left. */
  private patterns(counts: readonly number[], room: number, withLargest: boolean): readonly (readonly number[])[] {
    const found: { pattern: number[]; spare: number }[] = [];
    const largest = withLargest ? counts.findIndex((c) => c > 0) : -1;
    const walk = (i: number, spare: number, pattern: number[]): void => {
      if (++this.nodes > NODES_AT_MOST) return;
      if (i === this.sizes.length) {
        if (this.sizes.every((s, j) => pattern[j]! >= counts[j]! || s.size > spare))
          found.push({ pattern: [...pattern], spare });
        return;
      }
      const most = Math.min(counts[i]!, Math.floor(spare / this.sizes[i]!.size));
      for (let n = most; n >= (i === largest ? 1 : 0); n--) {
        pattern[i] = n;
        walk(i + 1, spare - n * this.sizes[i]!.size, pattern);
      }
      pattern[i] = 0;
    };
    walk(
      0,
      room,
      this.sizes.map(() => 0),
    );
    return found.sort((a, b) => a.spare - b.spare).map((f) => f.pattern);
  }
}
