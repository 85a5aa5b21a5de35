import { DEGREE, figure, showFigure, type UnitChoice } from '@tide-pebble/core';

/** Shown to a tenth of a degree: less is no lean anybody sees. */
const LEVEL_WITHIN = 0.05 * DEGREE;

/** “3.1° nose down”, “level”. `words` for a positive and a negative angle, rad. */
export function leanWords(angle: number, words: readonly [string, string], units: UnitChoice): string {
  const size = Math.abs(angle);
  return size < LEVEL_WITHIN ? 'level' : `${showFigure(figure('angle', size), units)} ${words[angle > 0 ? 0 : 1]}`;
}
