/** What holding a rig out costs the shoulder. Strengths are rough: tables differ, people more. */
import type { Hands } from '../../../model';

/** Shoulder strength against the wrist's, N m for N m: about 45 against 9 in tables of joint strength. */
const SHOULDER_TO_WRIST = 5;
/** Arm, forearm and hand weigh about 35 N and hang some 0.42 of the reach out when the arm is held level. */
const ARM_WEIGHT = 35;
const ARM_CENTRE = 0.42;

/** Moment at the shoulder, N m, of a weight (N) held at a level distance (m), the arm's own weight with it. */
export const shoulderMoment = (weight: number, reach: number): number =>
  weight * reach + ARM_WEIGHT * ARM_CENTRE * reach;
export const shoulderStrength = (hands: Hands): number => SHOULDER_TO_WRIST * hands.wristStrength;
