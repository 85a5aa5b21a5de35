/** How far each piece may be drawn along a direction before it meets each other one. */
import type { Columns } from './columns';

/** Spans that share less are beside each other, m: drawn rounds and tables are a little off the true solid. */
const TOUCH = 1e-4;

export interface Runs {
  /** Of piece `a`, forwards along the axis, until it meets `b`, m; infinite where it never does. Backwards is `b` forwards. */
  readonly run: (a: number, b: number) => number;
  /** They stand in each other as drawn: thread in thread, a nut in its pocket. */
  readonly within: (a: number, b: number) => boolean;
}

export function runsOf({ piece, from, to, starts, first, next }: Columns): Runs {
  const n = starts.length - 1;
  const run = new Float64Array(n * n).fill(Infinity);
  const within = new Uint8Array(n * n);
  for (const start of first)
    for (let a = start; a >= 0; a = next[a]!)
      for (let b = start; b >= 0; b = next[b]!) {
        if (piece[a] === piece[b] || to[b]! <= from[a]! + TOUCH) continue;
        const at = piece[a]! * n + piece[b]!;
        const free = from[b]! - to[a]!;
        if (free < -TOUCH) within[at] = 1;
        else if (free < run[at]!) run[at] = Math.max(0, free);
      }
  return {
    run: (a, b) => run[a * n + b]!,
    within: (a, b) => within[a * n + b] === 1,
  };
}
