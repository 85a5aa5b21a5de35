/** A middling adult's measures, for a maker who has given none; everyone's own are better. */
import type { Hands } from '../model';

export const USUAL_HANDS: Hands = { breadth: 0.088, armClose: 0.25, armOut: 0.5, wristStrength: 9, leftHanded: false };
