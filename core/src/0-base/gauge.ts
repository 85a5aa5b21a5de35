/** A readout as data: its figure and a quieter rest beside it, and where it lies against what is wanted. */
import type { Phrase } from './units/phrase';

export interface Gauge {
  readonly name: string;
  readonly figure: Phrase;
  readonly rest: Phrase;
  /** Places along the gauge, 0 to 1; null when there is nothing to show. */
  readonly pebble: number | null;
  readonly pool: readonly [number, number] | null;
  readonly out: boolean;
}

/** What cannot be told, with why not. */
export const noGauge = (name: string, rest: string = 'not known'): Gauge => ({
  name,
  figure: ['–'],
  rest: [rest],
  pebble: null,
  pool: null,
  out: false,
});
