/** How a rig rests on its joint, whichever way the joint is made. */
import { subtract, type Vec3 } from '../../../0-base';
import { massCentre, type Sums } from '../../../1-load';
import type { Pivot } from '../../../model';
import { hang, type Hang } from './hang';
import { hangOnTwoPins } from './twoPins';

/** `at`: the joint's place, of two pins the upper one's, m; sums of what hangs, rig axes. */
export function hangAt(pivot: Pick<Pivot, 'pins' | 'frictionTorque'>, at: Vec3, sums: Sums): Hang {
  const centre = massCentre(sums);
  const plain = hang(subtract(centre, at), sums.mass, pivot.frictionTorque?.value ?? null);
  if (!pivot.pins || plain.state !== 'hangs') return plain;
  const { upperAxis, spacing } = pivot.pins;
  const pinned = hangOnTwoPins(
    { axis: upperAxis, point: at },
    { axis: upperAxis === 'x' ? 'y' : 'x', point: [at[0], at[1], at[2] - spacing] },
    null,
    { mass: sums.mass, centre },
  );
  return pinned.state === 'hangs' ? { ...plain, rest: pinned.rest } : { ...plain, state: 'topHeavy', rest: null };
}
