/** How a lean, a torque or a place is told: a size and the word for its way; or that there is none. */
import { DEGREE, figure, say, type Phrase } from '../../0-base';

export type TwoWays = readonly [positive: string, negative: string];
export const NOSE: TwoWays = ['nose down', 'nose up'];
export const SIDES: TwoWays = ['left side down', 'right side down'];
/** The same where there is little room. */
export const SIDES_SHORT: TwoWays = ['left down', 'right down'];

/** Shown to a tenth of a degree: less is no lean that anybody sees. */
const LEVEL_WITHIN = 0.05 * DEGREE;
export const isLevel = (angle: number): boolean => Math.abs(angle) < LEVEL_WITHIN;
/** Shown to a hundredth of a newton metre. */
export const NO_TORQUE = 0.005;

export const wayOfSign = (value: number, words: TwoWays): string => words[value > 0 ? 0 : 1];
/** “3.1° nose down”, “level”. */
export const leanWords = (angle: number, words: TwoWays): Phrase =>
  isLevel(angle) ? ['level'] : say`${figure('angle', Math.abs(angle))} ${wayOfSign(angle, words)}`;

/** Which way a rig goes over, by the greater of two torques. */
export const fallsWay = (falls: { readonly noseDown: number; readonly leftSideDown: number }, sides = SIDES): string =>
  Math.abs(falls.noseDown) >= Math.abs(falls.leftSideDown)
    ? wayOfSign(falls.noseDown, NOSE)
    : wayOfSign(falls.leftSideDown, sides);

export const capital = (name: string): string => `${name[0]!.toUpperCase()}${name.slice(1)}`;
