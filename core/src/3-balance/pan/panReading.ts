/** A pan as the picture sees it: how far it leans at a rate, how far it may overshoot, where it ends to be steady. */
import { STANDARD_GRAVITY } from '../../0-base';
import { inertiaAbout } from '../../1-load';
import type { Hung } from '../evaluate';
import { panLimit, steadyPan, type PanLimit, type PanRig } from './panLean';

export const panRigOf = (hung: Hung): PanRig => ({
  mass: hung.sums.mass,
  fromPivot: hung.hang.fromPivot,
  inertia: inertiaAbout(hung.sums, hung.pivotAt),
});

export interface PanReading {
  readonly rate: number;
  /** Against how it hangs at rest, rad: lens up, left side up; null: it drifts out. */
  readonly lean: { readonly noseUp: number; readonly leftUp: number } | null;
  /** Of the picture's width: the larger of the two. */
  readonly ofFrame: number | null;
  /** In a pan shorter than a swing it starts from zero and may go to twice this, rad. */
  readonly overshoot: number | null;
  readonly limit: PanLimit;
}

/** Against how it hangs at rest, rad, in a steady pan at `rate` (rad/s); null: it does not hang, or drifts out. */
export function leanAt(hung: Hung, rate: number): PanReading['lean'] {
  const rig = panRigOf(hung);
  const [rest, panned] = [steadyPan(rig, 0), steadyPan(rig, rate)];
  return rest && panned?.minimum
    ? { noseUp: panned.lensElevation - rest.lensElevation, leftUp: panned.leftElevation - rest.leftElevation }
    : null;
}

/** `across`: the picture's width, rad. Null for a rig that does not hang. */
export function panReading(hung: Hung, rate: number, across: number): PanReading | null {
  const rig = panRigOf(hung);
  if (!steadyPan(rig, 0)) return null;
  const lean = leanAt(hung, rate);
  const most = lean ? Math.max(Math.abs(lean.noseUp), Math.abs(lean.leftUp)) : null;
  return {
    rate,
    lean,
    ofFrame: most === null ? null : Math.tan(Math.min(most, 1.5)) / (2 * Math.tan(across / 2)),
    overshoot: most === null ? null : 2 * most,
    limit: panLimit(rig),
  };
}

/** Lean at small angles, rad: lens up and left side up. docs/sources.md, Pan; exact enough to judge by, and quick. */
export function smallLean(
  { mass, fromPivot, inertia }: PanRig,
  rate: number,
): { readonly noseUp: number; readonly leftUp: number } {
  const righting = mass * STANDARD_GRAVITY * -fromPivot[2];
  const square = rate * rate;
  return {
    noseUp: (square * inertia[0][2]) / (righting + square * (inertia[2][2] - inertia[0][0])),
    leftUp: (square * inertia[1][2]) / (righting + square * (inertia[2][2] - inertia[1][1])),
  };
}
