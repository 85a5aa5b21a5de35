/** What swings, from an evaluated rig: hung on its joint, in axes inside axes, held in a wrist that gives, or the bare camera in the same wrist. */
import { inertiaAbout, massCentre, sumsOf } from '../../1-load';
import { scale, subtract, type Vec3 } from '../../0-base';
import { bodiesBeyond, pivotAt, shiftOf, valuesInOrder, type AdjusterValues, type Assembly } from '../../2-frame';
import type { Evaluation } from '../evaluate';
import type { PanRig } from '../pan/panLean';
import { holdOf, type Firmness } from '../borne/held/handSprings';
import { supportAt, supportOf } from '../borne/support';
import { steadyPan } from '../pan/panLean';
import type { AxisReading } from '../borne/turning/turning';
import type { Joint } from './swing';

export interface Swinger {
  readonly rig: PanRig;
  readonly joint: Joint;
  /** What it comes back to: elevations of lens and left side, rad. */
  readonly level: { readonly lens: number; readonly left: number };
  readonly holds: 'joint' | 'wrist' | 'axes';
}

/** Two fingers on the post: enough to lead a pan. */
const FINGERS = { spring: 0.06, damper: 0.05 };
const UPRIGHT: Vec3 = [0, 0, 1];
/** An axis lies along a way of the rig: within some degrees. */
const ALONG_ITS_WAY = 0.99;
/** What grease and air take, N m s: rough. */
const DRAG = 0.003;

/** Null when nothing bears it, or it would turn over. */
export function swingerOf(
  assembly: Assembly,
  values: AdjusterValues,
  evaluation: Evaluation,
  firmness: Firmness = 'usual',
): Swinger | null {
  const { rig } = assembly;
  const support = supportOf(rig);
  if (!support || evaluation.mass <= 0) return null;
  const inOrder = valuesInOrder(rig, values);
  if (evaluation.hung) {
    const { hung } = evaluation;
    const at = pivotAt(rig, hung.pivot, inOrder);
    const panRig = {
      mass: hung.sums.mass,
      fromPivot: subtract(hung.massCentre, at),
      inertia: inertiaAbout(hung.sums, at),
    };
    const rest = steadyPan(panRig, 0);
    if (!rest) return null;
    return {
      rig: panRig,
      joint: { dry: hung.pivot.frictionTorque?.value ?? 0, viscous: DRAG, pan: FINGERS },
      level: { lens: rest.lensElevation, left: Math.atan2(rest.up[1], rest.up[2]) },
      holds: 'joint',
    };
  }
  if (support.kind !== 'hands') return null;
  if (evaluation.axes.length > 0) return nested(assembly, evaluation);
  const places = evaluation.held[0]?.hands.map((h) => h.at) ?? [];
  const at = supportAt(rig, support, inOrder);
  return held(
    evaluation.pieces.map((p) => p.flat),
    at,
    places.length > 0 ? places : [at],
    firmness,
  );
}

/** Three free axes square to each other, along the rig's own; null for any others. Each carries all that is inside it. */
function nested({ rig }: Assembly, { axes, pieces, mass }: Evaluation): Swinger | null {
  const found = ([0, 1, 2] as const).map((way) =>
    axes.filter((a) => Math.abs((a.pivot.axis ?? UPRIGHT)[way]) > ALONG_ITS_WAY),
  );
  if (axes.length !== 3 || found.some((f) => f.length !== 1)) return null;
  const [roll, tilt, pan] = found.map(([a]) => a!) as [AxisReading, AxisReading, AxisReading];
  const about = (axis: AxisReading, way: 0 | 1 | 2): number => {
    const beyond = bodiesBeyond(rig, axis.pivot);
    return inertiaAbout(sumsOf(pieces.filter((p) => beyond.has(p.body)).map((p) => p.flat)), axis.at)[way][way];
  };
  const moment = ({ carriedMass, offset }: AxisReading): Vec3 => scale(offset, carriedMass);
  return {
    rig: {
      mass,
      fromPivot: [0, 0, 0],
      inertia: [
        [about(roll, 0), 0, 0],
        [0, about(tilt, 1), 0],
        [0, 0, about(pan, 2)],
      ],
    },
    joint: {
      axes: { roll: moment(roll), tilt: moment(tilt), pan: moment(pan) },
      dry: Math.max(...axes.map((a) => a.friction)),
      viscous: DRAG,
      pan: FINGERS,
    },
    level: { lens: 0, left: 0 },
    holds: 'axes',
  };
}

/** A bare camera in two hands has one at each side, so far from its middle, m. */
const BESIDE = 0.06;

/** The camera with what stands on it, in the same hands, by its foot; null when nothing is mounted. */
export function bareSwinger(
  assembly: Assembly,
  values: AdjusterValues,
  evaluation: Evaluation,
  firmness: Firmness = 'usual',
): Swinger | null {
  const load = evaluation.pieces.filter((p) => p.isLoad && !p.flat.carriedBy).map((p) => p.flat);
  if (load.length === 0 || !assembly.mount) return null;
  const shift = shiftOf(assembly.rig, assembly.mountMovedBy, valuesInOrder(assembly.rig, values));
  const foot: Vec3 = [assembly.mount[0] + shift[0], assembly.mount[1] + shift[1], assembly.mount[2] + shift[2]];
  const both = !evaluation.hung && (evaluation.held[0]?.hands.length ?? 1) > 1;
  const beside = (by: number): Vec3 => [foot[0], foot[1] + by, foot[2]];
  return held(load, foot, both ? [beside(BESIDE), beside(-BESIDE)] : [foot], firmness);
}

/** Held as it stands: the wrist's own set holds its weight, and what the hand does is what moves it. */
function held(bodies: Parameters<typeof sumsOf>[0], at: Vec3, places: readonly Vec3[], firmness: Firmness): Swinger {
  const sums = sumsOf(bodies);
  return {
    rig: { mass: sums.mass, fromPivot: subtract(massCentre(sums), at), inertia: inertiaAbout(sums, at) },
    joint: holdOf(places, firmness),
    level: { lens: 0, left: 0 },
    holds: 'wrist',
  };
}
