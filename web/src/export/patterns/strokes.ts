/** How each kind of line is drawn on a pattern: width and dashes, mm. */
import type { Stroke } from '@tide-pebble/core/patterns';

export interface Line {
  readonly width: number;
  readonly dash: readonly number[];
  /** The layer it goes to in a DXF. */
  readonly layer: string;
}
export const LINES: Readonly<Record<Stroke, Line>> = {
  cut: { width: 0.25, dash: [], layer: 'cut' },
  last: { width: 0.25, dash: [2, 1], layer: 'cut-last' },
  bend: { width: 0.2, dash: [4, 1, 0.6, 1], layer: 'bend' },
  centre: { width: 0.1, dash: [], layer: 'centre' },
  line: { width: 0.18, dash: [], layer: 'guide' },
  behind: { width: 0.2, dash: [0.6, 0.9], layer: 'behind' },
};
/** The size of type whose letters stand so high on paper as a pattern says. */
export const TYPE_SIZE = 1.2;
export const MM = 1000;
