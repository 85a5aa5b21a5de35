/** A middling adult's measures, for a maker who has given none; everyone's own are better. */
import type { Vec3 } from '../0-base';
import type { Hands } from '../model';

export const USUAL_HANDS: Hands = { breadth: 0.088, armClose: 0.25, armOut: 0.5, wristStrength: 9, leftHanded: false };

/** Ways a hand that grips can push, beside up: it draws down, pushes forward and pulls back. */
export const GRIPPING: readonly Vec3[] = [
  [0, 0, -1],
  [1, 0, 0],
  [-1, 0, 0],
];
