/** Every figure of the balance from the assembled rig and its adjusters: the one place where bodies become readouts. */
import { subtract, type Vec3 } from '../0-base';
import { addSums, inertiaAbout, massCentre, moveSums, NO_SUMS, sumsOf, type Sums } from '../1-load';
import {
  pivotAt,
  placedPieces,
  shiftOf,
  USUAL_HANDS,
  valuesInOrder,
  type AdjusterValues,
  type Assembly,
  type PlacedPiece,
} from '../2-frame';
import type { Hands, Pivot, Rig } from '../model';
import { aboutAxis } from './borne/hung/dropTimeWanted';
import { dropTime, FROM_LEVEL, type Drop } from './borne/hung/dropTime';
import { equivalentPendulum } from './borne/hung/equivalentPendulum';
import type { Hang } from './borne/hung/hang';
import { hangAt } from './borne/hung/hangAt';
import { heldIn, type HeldPose } from './borne/held/held';
import { wornIn } from './borne/worn/worn';
import { pinAt } from './borne/hung/pins';
import { spreadOf, type BalanceSpread } from './spread/spread';
import { supportAt, supportOf, type Support } from './borne/support';
import { axesIn, poleIn, type AxisReading, type PoleReading } from './borne/turning/turning';

export interface AxisSwing {
  readonly inertia: number;
  readonly distance: number;
  readonly drop: Drop;
  readonly pendulumLength: number | null;
}
/** Ratio of the rig's inertia to the bare camera's, each about its own point. */
export interface Calm {
  readonly roll: number;
  readonly pitch: number;
  readonly pan: number;
}
export interface Hung {
  readonly pivot: Pivot;
  readonly pivotAt: Vec3;
  readonly sums: Sums;
  readonly massCentre: Vec3;
  readonly hang: Hang;
  readonly pitch: AxisSwing;
  readonly roll: AxisSwing;
  readonly calm: Calm | null;
  readonly spread: BalanceSpread;
}
export interface Evaluation {
  readonly pieces: readonly PlacedPiece[];
  readonly mass: number;
  readonly massCentre: Vec3 | null;
  readonly sums: Sums;
  /** Mass carried on the mount, and that of all washers. */
  readonly loadMass: number;
  readonly addedMass: number;
  readonly massSpread: number;
  /** The first universal pivot from the hand; null when the rig hangs on none. */
  readonly hung: Hung | null;
  /** What hands, shoulder and chest carry, pose by pose; of a rig that hangs, only in poses that take hold of what hangs. */
  readonly held: readonly HeldPose[];
  /** A pole on hinge and swivel; axes inside axes, innermost first. */
  readonly pole: PoleReading | null;
  readonly axes: readonly AxisReading[];
  /** Inertia against the bare camera's: about the hands for a held rig, about the pivot for a hung one. */
  readonly calm: Calm | null;
  /** From the point it is borne at (pivot, hand, half way between two) to the mass centre, m; null when nothing bears it. */
  readonly fromSupport: Vec3 | null;
}

export function evaluate(assembly: Assembly, values: AdjusterValues, hands: Hands = USUAL_HANDS): Evaluation {
  const pieces = placedPieces(assembly, values);
  const sums = sumsOf(pieces.map((p) => p.flat));
  const load = pieces.filter((p) => p.isLoad);
  const stacked = new Set(assembly.stacks.map((s) => s.station.id));
  const support = supportOf(assembly.rig);
  const inOrder = valuesInOrder(assembly.rig, values);
  const hung = support?.kind === 'pivot' ? hungOf(assembly, support, inOrder, pieces) : null;
  const pole = poleIn(assembly, inOrder, pieces);
  const inHand = support?.kind === 'hands' && sums.mass > 0 ? supportAt(assembly.rig, support, inOrder) : null;
  return {
    pieces,
    sums,
    mass: sums.mass,
    massCentre: sums.mass > 0 ? massCentre(sums) : null,
    loadMass: load.reduce((m, p) => m + p.flat.mass, 0),
    addedMass: pieces.reduce((m, p) => (stacked.has(p.flat.owner) ? m + p.flat.mass : m), 0),
    massSpread: massSpreadOf(pieces),
    hung,
    held: sums.mass > 0 ? heldOf(assembly.rig, support, inOrder, pieces, sums, hands) : [],
    pole,
    axes: axesIn(assembly, inOrder, pieces),
    calm: hung ? hung.calm : inHand ? calmOf(assembly, inOrder, pieces, sums, inHand) : null,
    fromSupport: hung
      ? hung.hang.fromPivot
      : pole
        ? pole.pole.fromHinge
        : inHand
          ? subtract(massCentre(sums), inHand)
          : null,
  };
}

/**
 * What each pose asks of whoever holds it. Hands that take hold past the joint bear the rig as one piece; a hand on the grip
 * of a rig that hangs bears the grip, and all the rest as a weight in the joint, which passes no torque but its friction.
 */
function heldOf(
  rig: Rig,
  support: Support | null,
  inOrder: readonly number[],
  pieces: readonly PlacedPiece[],
  sums: Sums,
  hands: Hands,
): readonly HeldPose[] {
  if (!support || support.kind === 'hinge') return [];
  const holding = (borne: Sums): readonly HeldPose[] =>
    [...heldIn(rig, inOrder, borne, hands), ...wornIn(rig, inOrder, borne, hands)].sort(
      (a, b) => rig.poses.indexOf(a.pose) - rig.poses.indexOf(b.pose),
    );
  const whole = holding(sums);
  if (support.kind === 'hands') return whole;
  const past = new Set(rig.contacts.filter((c) => support.carries.has(c.body)).map((c) => c.id));
  const grip = sumsOf(pieces.filter((p) => !support.carries.has(p.body)).map((p) => p.flat));
  const inJoint = moveSums({ ...NO_SUMS, mass: sums.mass - grip.mass }, pivotAt(rig, support.pivot, inOrder));
  const byJoint = holding(addSums(grip, inJoint));
  return whole.map((pose, i) => (pose.pose.contacts.some((id) => past.has(id)) ? pose : byJoint[i]!));
}

function hungOf(
  assembly: Assembly,
  { pivot, carries }: Extract<Support, { kind: 'pivot' }>,
  inOrder: readonly number[],
  pieces: readonly PlacedPiece[],
): Hung | null {
  const hanging = pieces.filter((p) => carries.has(p.body));
  if (hanging.length === 0) return null;
  const at = pivotAt(assembly.rig, pivot, inOrder);
  const sums = sumsOf(hanging.map((p) => p.flat));
  const centre = massCentre(sums);
  const friction = pivot.frictionTorque?.value ?? null;
  const rest = hangAt(pivot, at, sums);
  return {
    pivot,
    pivotAt: at,
    sums,
    massCentre: centre,
    hang: rest,
    pitch: swing(sums, pinAt(pivot, at, 'pitch'), 'pitch', rest, friction),
    roll: swing(sums, pinAt(pivot, at, 'roll'), 'roll', rest, friction),
    calm: calmOf(assembly, inOrder, hanging, sums, at),
    spread: spreadOf(
      hanging.map((p) => p.flat),
      sums,
      at,
      pivot,
    ),
  };
}

function swing(sums: Sums, at: Vec3, axis: 'pitch' | 'roll', rest: Hang, friction: number | null): AxisSwing {
  const { inertia, distance } = aboutAxis(sums, at, axis);
  const drop: Drop =
    rest.state === 'hangs'
      ? dropTime({ mass: sums.mass, inertia, distance, releaseAngle: FROM_LEVEL }, friction ? { dry: friction } : {})
      : { kind: 'never' };
  return { inertia, distance, drop, pendulumLength: equivalentPendulum(sums.mass, inertia, distance)?.length ?? null };
}

/** The bare camera is held at its foot, the rig at its pivot: what each resists a twist of the hand with. */
function calmOf(
  assembly: Assembly,
  inOrder: readonly number[],
  hanging: readonly PlacedPiece[],
  sums: Sums,
  at: Vec3,
): Calm | null {
  const load = hanging.filter((p) => p.isLoad && !p.flat.carriedBy);
  if (load.length === 0 || !assembly.mount) return null;
  const shift = shiftOf(assembly.rig, assembly.mountMovedBy, inOrder);
  const foot: Vec3 = [assembly.mount[0] + shift[0], assembly.mount[1] + shift[1], assembly.mount[2] + shift[2]];
  const bare = inertiaAbout(sumsOf(load.map((p) => p.flat)), foot);
  const whole = inertiaAbout(sums, at);
  return { roll: whole[0][0] / bare[0][0], pitch: whole[1][1] / bare[1][1], pan: whole[2][2] / bare[2][2] };
}

/** Masses from one source vary together; different sources are independent. */
function massSpreadOf(pieces: readonly PlacedPiece[]): number {
  const bySource = new Map<string, number>();
  for (const { flat } of pieces) bySource.set(flat.source, (bySource.get(flat.source) ?? 0) + flat.massSpread);
  return Math.hypot(...bySource.values());
}
