/** Steps in time at a stated error: Gragg's midpoint rule, extrapolated (Hairer, Nørsett, Wanner, Solving ODEs I, II.9). */

/** Writes dy/dt at (t, y) into `out`; keeps no reference to any of them. */
export type Rates = (t: number, y: Float64Array, out: Float64Array) => void;
export interface Stepper {
  /** From t to t + h in place; returns the error against the last column of the table, as a part of 1 in the largest state. */
  step(t: number, y: Float64Array, h: number): number;
}

/** Midpoint rules of 2, 4, 6 … steps; each column of the table adds two orders. Eight give sixteenth order, enough for a double. */
const COLUMNS = 8;

/** For states of `size` numbers about 1 in size. `tolerance`: columns are added until two agree within it. */
export function extrapolatedMidpoint(rates: Rates, size: number, tolerance: number): Stepper {
  const table = Array.from({ length: COLUMNS }, () => new Float64Array(size));
  const [start, older, newer, slope] = Array.from({ length: 4 }, () => new Float64Array(size)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  // The slope at the start is the same for all columns.
  const midpoint = (t: number, y: Float64Array, h: number, steps: number, into: Float64Array): void => {
    const part = h / steps;
    for (let i = 0; i < size; i++) {
      older[i] = y[i]!;
      newer[i] = y[i]! + part * start[i]!;
    }
    for (let n = 1; n < steps; n++) {
      rates(t + n * part, newer, slope);
      for (let i = 0; i < size; i++) {
        const next = older[i]! + 2 * part * slope[i]!;
        older[i] = newer[i]!;
        newer[i] = next;
      }
    }
    rates(t + h, newer, slope);
    for (let i = 0; i < size; i++) into[i] = (older[i]! + newer[i]! + part * slope[i]!) / 2;
  };
  return {
    step: (t, y, h) => {
      rates(t, y, start);
      let error = Infinity;
      for (let j = 0; j < COLUMNS; j++) {
        midpoint(t, y, h, 2 * (j + 1), table[j]!);
        // Aitken and Neville down the row: table[0] ends as the highest order.
        for (let k = j - 1; k >= 0; k--) {
          const ratio = ((j + 1) / (k + 1)) ** 2 - 1;
          const [better, rough] = [table[k + 1]!, table[k]!];
          let off = 0;
          for (let i = 0; i < size; i++) {
            const change = (better[i]! - rough[i]!) / ratio;
            rough[i] = better[i]! + change;
            off = Math.max(off, Math.abs(change));
          }
          if (k === 0) error = off;
        }
        if (error <= tolerance) break;
      }
      for (let i = 0; i < size; i++) y[i] = table[0]![i]!;
      return error;
    },
  };
}
