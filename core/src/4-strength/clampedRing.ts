/** A ring clamped by a screw: its preload and the twist at which it slips. */

/** Preload (N) from tightening torque (N m): torque/(K d), K the nut factor, about 0.2 dry. */
export const preload = (torque: number, nutFactor: number, threadDiameter: number): number =>
  torque / (nutFactor * threadDiameter);

/** Twist (N m) at which a ring under even pressure slips: (2/3) μ F (ro³ - ri³)/(ro² - ri²). */
export const slipTwist = (friction: number, force: number, outer: number, inner: number): number =>
  ((2 / 3) * friction * force * (outer ** 3 - inner ** 3)) / (outer ** 2 - inner ** 2);
