/** The one interface a connected scale speaks: a stream of readings, tare, and nothing else. Real or simulated alike. */
import { filter, map, scan, type Observable, type OperatorFunction } from 'rxjs';

export interface ScaleReading {
  /** What the display shows, kg: whole steps, may be below zero after a tare. */
  readonly mass: number;
  /** The scale's own mark that the figure stands still. */
  readonly stable: boolean;
  readonly overload: boolean;
}
/** The stream ends with this when the link is gone: switched off, out of reach, flat. */
export class ScaleLost extends Error {}

export interface Scale {
  readonly name: string;
  /** Width of one division, kg, and the most it carries. */
  readonly step: number;
  readonly capacity: number;
  /** Readings while subscribed; errors with ScaleLost. */
  connect(): Observable<ScaleReading>;
  tare(): void;
}

/** Readings in a row that must agree before a figure is taken: with ten a second, half a second of standing still. */
const AGREE = 5;

/**
 * Only readings that have settled: stable by the scale's own mark, not overloaded, and the same to one step for five in a
 * row. Emits their mean once for each time the pan comes to rest.
 */
export function settled(step: number): OperatorFunction<ScaleReading, number> {
  interface Run {
    readonly values: readonly number[];
    readonly told: boolean;
    readonly out: number | null;
  }
  return (readings) =>
    readings.pipe(
      scan<ScaleReading, Run>(
        (run, reading) => {
          if (!reading.stable || reading.overload) return { values: [], told: false, out: null };
          const still = run.values.every((v) => Math.abs(v - reading.mass) <= step * 1.001);
          const values = still ? [...run.values.slice(-(AGREE - 1)), reading.mass] : [reading.mass];
          const told = still && run.told;
          const out = !told && values.length === AGREE ? values.reduce((a, b) => a + b, 0) / AGREE : null;
          return { values, told: told || out !== null, out };
        },
        { values: [], told: false, out: null },
      ),
      map((run) => run.out),
      filter((out) => out !== null),
    );
}
