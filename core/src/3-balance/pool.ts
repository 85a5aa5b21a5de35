/** The pool the mass centre should lie in: how far under the pivot, and how far off plumb, for the wants to be met. */
import { inertiaAboutMassCentre } from '../1-load';
import type { Wants } from '../model';
import { FROM_LEVEL } from './dropTime';
import { heightForDrop } from './dropTimeWanted';
import type { Hung } from './evaluate';

export interface Pool {
  /** Least and most bottom-heaviness, m. */
  readonly under: readonly [number, number];
  /** Offset allowed per metre under the pivot. */
  readonly slope: number;
}

/** With mass and inertia as they are now; null when a wanted drop time cannot be had at any height. */
export function poolOf(hung: Hung, wants: Pick<Wants, 'dropTime' | 'levelWithin'>): Pool | null {
  const inertia = inertiaAboutMassCentre(hung.sums)[1][1];
  const [least, most] = wants.dropTime.map((time) => heightForDrop(hung.sums.mass, inertia, FROM_LEVEL, time).height) as [number | null, number | null];
  if (least === null || most === null) return null;
  return { under: [most, least], slope: Math.tan(wants.levelWithin) };
}
