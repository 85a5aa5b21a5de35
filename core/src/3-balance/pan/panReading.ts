/** A pan as the picture sees it: how far it leans at a rate, how far it may overshoot, where it ends to be steady, and what to move. */
import { inertiaAbout, massCentre, sumsOf } from '../../1-load';
import { addScaled, scale, STANDARD_GRAVITY, subtract, type Vec3 } from '../../0-base';
import type { PlacedPiece } from '../../2-frame';
import type { Hung } from '../evaluate';
import { panLimit, steadyPan, type PanLimit, type PanRig } from './panLean';

export const panRigOf = (hung: Hung): PanRig => ({ mass: hung.sums.mass, fromPivot: hung.hang.fromPivot, inertia: inertiaAbout(hung.sums, hung.pivotAt) });

export interface PanReading {
  readonly rate: number;
  /** Against how it hangs at rest, rad: lens up, left side up; null: it drifts out. */
  readonly lean: { readonly noseUp: number; readonly leftUp: number } | null;
  /** Of the picture's width: the larger of the two. */
  readonly ofFrame: number | null;
  /** In a pan shorter than a swing it starts from nought and may go to twice this, rad. */
  readonly overshoot: number | null;
  readonly limit: PanLimit;
}

/** `across`: the picture's width, rad. Null for a rig that does not hang. */
export function panReading(hung: Hung, rate: number, across: number): PanReading | null {
  const rig = panRigOf(hung);
  const rest = steadyPan(rig, 0);
  if (!rest) return null;
  const panned = steadyPan(rig, rate);
  const lean = panned && panned.minimum ? { noseUp: panned.lensElevation - rest.lensElevation, leftUp: panned.leftElevation - rest.leftElevation } : null;
  const most = lean ? Math.max(Math.abs(lean.noseUp), Math.abs(lean.leftUp)) : null;
  return { rate, lean, ofFrame: most === null ? null : Math.tan(Math.min(most, 1.5)) / (2 * Math.tan(across / 2)), overshoot: most === null ? null : 2 * most, limit: panLimit(rig) };
}

/** Lean at small angles, rad: lens up and left side up. physics.md section 5; exact enough to judge by, and quick. */
export function smallLean({ mass, fromPivot, inertia }: PanRig, rate: number): { readonly noseUp: number; readonly leftUp: number } {
  const righting = mass * STANDARD_GRAVITY * -fromPivot[2];
  const square = rate * rate;
  return { noseUp: (square * inertia[0][2]) / (righting + square * (inertia[2][2] - inertia[0][0])), leftUp: (square * inertia[1][2]) / (righting + square * (inertia[2][2] - inertia[1][1])) };
}

export interface PanMove {
  readonly owner: string;
  readonly name: string;
  /** Up, m: takes away the whole product of inertia by itself, and leaves level as it is. */
  readonly up: number;
  readonly product: 'foreAft' | 'sideways';
  /** Further than a thing can be moved without making another rig. */
  readonly far: boolean;
}

/** A thing may be moved this far; further is another rig, m. */
const FAR = 0.12;
/** Weight nearer the axis than this does nothing for a pan, m. */
const NEAR = 0.02;
/** A lean under a third of a degree in a usual pan, 45° a second, is not seen. */
const SEEN = 0.006;
const SEEN_AT = Math.PI / 4;

/**
 * What could be raised or lowered to null a product of inertia about the pivot: raising mass m at x ahead by u changes Ixz
 * by -m x u, so u = Ixz/(m x); level stays, the drop does not. The smallest moves first; the load itself is left out, and what `movable` refuses.
 */
export function movesForPan(hung: Hung, pieces: readonly PlacedPiece[], carries: ReadonlySet<string>, movable: (owner: string) => boolean = () => true): readonly PanMove[] {
  const rig = panRigOf(hung);
  const { inertia } = rig;
  // Only what is seen in the picture is worth a move.
  const { noseUp, leftUp } = smallLean(rig, SEEN_AT);
  const seen = { foreAft: Math.abs(noseUp) > SEEN, sideways: Math.abs(leftUp) > SEEN };
  const owners = new Map<string, PlacedPiece[]>();
  for (const p of pieces) if (carries.has(p.body) && !p.isLoad && movable(p.flat.owner)) owners.set(p.flat.owner, [...(owners.get(p.flat.owner) ?? []), p]);
  const moves = [...owners].flatMap(([owner, own]): readonly PanMove[] => {
    const sums = sumsOf(own.map((p) => p.flat));
    if (!(sums.mass > 0)) return [];
    const at: Vec3 = subtract(massCentre(sums), hung.pivotAt);
    return ([['foreAft', 0, inertia[0][2]], ['sideways', 1, inertia[1][2]]] as const).flatMap(([product, axis, off]) => {
      if (Math.abs(at[axis]) < NEAR || !seen[product]) return [];
      const up = off / (sums.mass * at[axis]);
      return Math.abs(up) > 5e-4 && Number.isFinite(up) ? [{ owner, name: own[0]!.flat.name.replace(/^\d+ × /, ''), up, product, far: Math.abs(up) > FAR }] : [];
    });
  });
  return moves.sort((a, b) => Math.abs(a.up) - Math.abs(b.up));
}

/** The rig's inertia after such a move, for checking it: the mass goes up, nothing else changes. */
export function afterMove(rig: PanRig, mass: number, at: Vec3, up: number): PanRig {
  const inertia = rig.inertia.map((r) => [...r]) as [number, number, number][];
  inertia[0]![2] -= mass * at[0] * up;
  inertia[2]![0] -= mass * at[0] * up;
  inertia[1]![2] -= mass * at[1] * up;
  inertia[2]![1] -= mass * at[1] * up;
  const level = 2 * mass * at[2] * up + mass * up * up;
  inertia[0]![0] += level;
  inertia[1]![1] += level;
  return { mass: rig.mass, fromPivot: addScaled(rig.fromPivot, scale([0, 0, 1], mass / rig.mass), up), inertia: inertia as unknown as PanRig['inertia'] };
}
