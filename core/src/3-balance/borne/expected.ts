/** A figure with so much either way, as what a reading may be. */
import type { Expected } from './way';

export const within = (value: number, plusMinus: number): Expected => ({
  value,
  least: value - plusMinus,
  most: value + plusMinus,
});
