/** The point pendulum with the same swing: the vivid way to tell how calm a rig is. */
import { STANDARD_GRAVITY } from '../../../0-base';
import { dropTime, FROM_LEVEL } from './dropTime';

/** Length I/(M d), drop time from level and full period of very small swings; null when the mass centre is on the axis. */
export function equivalentPendulum(
  mass: number,
  inertia: number,
  distance: number,
): { length: number; dropFromLevel: number; smallSwingPeriod: number } | null {
  const drop = dropTime({ mass, inertia, distance, releaseAngle: FROM_LEVEL });
  if (drop.kind !== 'falls') return null;
  const length = inertia / (mass * distance);
  return { length, dropFromLevel: drop.time, smallSwingPeriod: 2 * Math.PI * Math.sqrt(length / STANDARD_GRAVITY) };
}
