/** What rubs in a pole's hinge: it stays put wherever its weight pulls no harder than that. */
import { STANDARD_GRAVITY } from '../../../0-base';
import type { Pole } from './spinningPole';

const pull = ({ mass, fromHinge: [x, , z] }: Pole): number => mass * STANDARD_GRAVITY * Math.hypot(x, z);

/**
 * How far from its rest it may be put and stays, rad: M g d sin = T (docs/sources.md, Spinning pole), for a friction torque T,
 * N m. Null where it stays anywhere.
 */
export function staysWithin(pole: Pole, friction: number): number | null {
  const most = pull(pole);
  return friction >= most ? null : Math.asin(friction / most);
}

/** The same read backwards: the friction, N m, of a hinge that stays put up to `tilt` rad from its rest. */
export const frictionFrom = (pole: Pole, tilt: number): number => pull(pole) * Math.sin(Math.min(tilt, Math.PI / 2));
