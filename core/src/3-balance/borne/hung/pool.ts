/** The pool the mass centre should lie in: how far under the pivot, and how far off plumb, for the wants to be met. */
import { STANDARD_GRAVITY } from '../../../0-base';
import { inertiaAboutMassCentre } from '../../../1-load';
import type { Wants } from '../../../model';
import { FROM_LEVEL } from './dropTime';
import { heightForDrop } from './dropTimeWanted';
import type { Hung } from '../../evaluate';
import { DROP_K, dropFactor } from './dropFactor';
import { pinDepth } from './pins';

export interface Pool {
  /** Least and most bottom-heaviness, m. */
  readonly under: readonly [number, number];
  /** Offset allowed per metre under the pivot. */
  readonly slope: number;
}

/** With mass and inertia as they are now; null when a wanted drop time cannot be had at any height. */
export function poolOf(hung: Hung, wants: Pick<Wants, 'dropTime' | 'levelWithin'>): Pool | null {
  const inertia = inertiaAboutMassCentre(hung.sums)[1][1];
  const depth = pinDepth(hung.pivot, 'pitch');
  const friction = hung.pivot.frictionTorque?.value ?? 0;
  const [least, most] = wants.dropTime.map((time) => heightWithFriction(hung.sums.mass, inertia, time, friction)) as [
    number | null,
    number | null,
  ];
  if (least === null || most === null) return null;
  return { under: [most + depth, least + depth], slope: Math.tan(wants.levelWithin) };
}

/** Friction draws the drop out: the height whose free drop is shorter by as much, found by asking again at the height found. */
function heightWithFriction(mass: number, inertia: number, time: number, friction: number): number | null {
  let height = heightForDrop(mass, inertia, FROM_LEVEL, time).height;
  for (let turn = 0; turn < ASKED_AGAIN && height !== null && friction > 0; turn++) {
    const factor = dropFactor(friction / (mass * STANDARD_GRAVITY * height));
    height = Number.isFinite(factor) ? heightForDrop(mass, inertia, FROM_LEVEL, (time * DROP_K) / factor).height : null;
  }
  return height;
}
/** Each turn takes off nine tenths of what is left and more. */
const ASKED_AGAIN = 12;
