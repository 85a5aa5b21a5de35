/** A pole let go level: how fast it meets a stop, and how thick the padding there must be. */
import { STANDARD_GRAVITY } from '../../../0-base';
import type { Pole } from './spinningPole';

/** Foam gives this part of its thickness before it is hard. */
const GIVES = 0.65;

/**
 * Turning rate (rad/s) at which the pole, let go at rest and level, meets its lower or upper stop; 0 where it never gets
 * there. Energy alone: M g times the fall of the mass centre = (xx + zz) rate² / 2; friction left out, so at worst.
 */
export function fallOnStop(
  { mass, fromHinge: [x, , z], xx, zz, stopDown, stopUp }: Pole,
  way: 'down' | 'up',
): { readonly rate: number } {
  const stop = way === 'down' ? stopDown : -stopUp;
  // Height of the mass centre over the hinge with the camera end down by q.
  const height = (q: number): number => z * Math.cos(q) - x * Math.sin(q);
  const STEPS = 40;
  // It must get past every angle on the way.
  for (let i = 1; i <= STEPS; i++) if (height(0) - height((stop * i) / STEPS) < 0) return { rate: 0 };
  const fall = height(0) - height(stop);
  return { rate: Math.sqrt(Math.max(0, (2 * mass * STANDARD_GRAVITY * fall) / (xx + zz))) };
}

/**
 * Thickness (m) of foam, met `padFromAxis` from the hinge, that brings the pole to rest with the camera, `cameraFromAxis`
 * out, slowed by `jolt` (m/s²) evenly: the camera needs v²/(2 jolt) of way, the pad its share of that by the lever.
 */
export function paddingFor({
  rate,
  cameraFromAxis,
  padFromAxis,
  jolt,
}: {
  readonly rate: number;
  readonly cameraFromAxis: number;
  readonly padFromAxis: number;
  readonly jolt: number;
}): number {
  const way = (rate * cameraFromAxis) ** 2 / (2 * jolt);
  return (way * padFromAxis) / cameraFromAxis / GIVES;
}
