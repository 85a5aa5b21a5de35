/**
 * What a set-up must meet, in a form that a search can use: each condition has a slack, and bounds that are linear in the
 * sums of mass, moment and inertia about the support. Sums add, so a bound adds up weight by weight, and a whole branch
 * of set-ups that can never meet it is left out at once.
 */
import { STANDARD_GRAVITY } from '../../0-base';
import { moveSums, type Sums } from '../../1-load';
import { DROP_K, dropFromLevel, FRICTION_SLOPE } from '../borne/hung/dropFactor';
import type { Pivot } from '../../model';
import { pinDepth } from '../borne/hung/pins';
import { steadyPan } from '../pan/panLean';

export type ConditionId =
  | 'upright'
  | 'levelForeAft'
  | 'levelSideways'
  | 'dropPitch'
  | 'dropRoll'
  | 'mass'
  | 'added'
  | 'calmPitch'
  | 'calmRoll'
  | 'calmPan'
  | 'panLean'
  | 'droop'
  | 'wristNose'
  | 'wristSides'
  | 'wristFelt'
  | 'overSupport'
  | 'axis'
  | 'bin'
  | 'bag';

/** constant + mass·m + first·(x, y, z) + inertia·(xx, yy, zz) must not be above zero, for sums about the support. */
export interface Bound {
  readonly constant: number;
  readonly mass: number;
  readonly first: readonly [number, number, number];
  readonly inertia: readonly [number, number, number];
}
export interface Condition {
  readonly id: ConditionId;
  /** Zero or more: met, by this part of what is allowed. */
  slack(about: Sums): number;
  /** Any set-up that meets the condition keeps them; one that keeps them need not meet it. */
  readonly bounds: readonly Bound[];
  /** The same wish asking less, 0 all of it to 1 no more than what is firm: where all of it cannot be had, as much as can be. */
  eased?(by: number): Condition;
  /** Fore and aft it is met best with the mass centre this far ahead for each metre under the support; left out: not ahead. */
  readonly lean?: number;
  /** Its bounds are not where it is just met: that is looked for beside them. */
  readonly curved?: boolean;
}

const bound = (part: Partial<Bound>): Bound => ({
  constant: 0,
  mass: 0,
  first: [0, 0, 0],
  inertia: [0, 0, 0],
  ...part,
});
/** Far outside: not a number of parts, only an order. */
const OUT = -1e3;

export const upright: Condition = {
  id: 'upright',
  slack: ({ first }) => (first[2] < 0 ? Infinity : OUT - first[2]),
  bounds: [bound({ first: [0, 0, 1] })],
};

/** Lens, or horizon, within `within` (rad) of level as it hangs. */
export function level(axis: 'foreAft' | 'sideways', within: number): Condition {
  const i = axis === 'foreAft' ? 0 : 1;
  const slope = Math.tan(Math.min(within, 1.5));
  const side = (sign: 1 | -1): Bound => bound({ first: i === 0 ? [sign, 0, slope] : [0, sign, slope] });
  return {
    id: axis === 'foreAft' ? 'levelForeAft' : 'levelSideways',
    slack: ({ first }) => (first[2] < 0 ? (within - Math.abs(Math.atan2(first[i]!, -first[2]))) / within : OUT),
    bounds: [side(1), side(-1)],
  };
}

/** A pole's camera end `wanted` (rad) down at rest, give or take `within`: both less than a right angle together. */
export function droop(wanted: number, within: number): Condition {
  const edge = (sign: 1 | -1): Bound => bound({ first: [sign, 0, sign * Math.tan(wanted + sign * within)] });
  return {
    id: 'droop',
    slack: ({ first }) => (first[2] < 0 ? (within - Math.abs(Math.atan2(first[0], -first[2]) - wanted)) / within : OUT),
    bounds: [edge(1), edge(-1)],
    lean: Math.tan(wanted),
  };
}

/** T² = (K²/g) I/|F| in the plane of the swing without friction, F the first moment about the pivot. */
const BY_INERTIA = DROP_K ** 2 / STANDARD_GRAVITY;

/** `friction`: dry, in the joint, N m. */
export const dropOf = (axis: 'pitch' | 'roll', { first, inertia }: Sums, friction = 0): number =>
  dropFromLevel(
    axis === 'pitch' ? inertia[1][1] : inertia[0][0],
    STANDARD_GRAVITY * Math.hypot(first[axis === 'pitch' ? 0 : 1], first[2]),
    friction,
  );

/** About the joint itself, with its pins and its friction. */
export const dropOnJoint = (joint: Pick<Pivot, 'pins' | 'frictionTorque'>, about: Sums): number =>
  dropOf('pitch', moveSums(about, [0, 0, pinDepth(joint, 'pitch')]), joint.frictionTorque?.value ?? 0);

/** Drop time from level between two (s), with dry friction (N m). `lean`: how far off level (rad) the rest allow, for |F| is then more than -F.z. */
export function drop(
  axis: 'pitch' | 'roll',
  [least, most]: readonly [number, number],
  lean: number,
  friction = 0,
): Condition {
  const inertia = (k: number): [number, number, number] => (axis === 'pitch' ? [0, k, 0] : [k, 0, 0]);
  const half = Math.max((most - least) / 2, 1e-9);
  return {
    id: axis === 'pitch' ? 'dropPitch' : 'dropRoll',
    curved: friction > 0,
    slack: (about) => {
      if (!(about.first[2] < 0)) return OUT;
      const time = dropOf(axis, about, friction);
      return Math.min(time - least, most - time) / half;
    },
    bounds: [
      // Friction makes a drop longer, and by no more than this: `dropFactor` says why.
      bound({
        first: [0, 0, -(least ** 2)],
        inertia: inertia(-BY_INERTIA),
        constant: -(least ** 2) * FRICTION_SLOPE * BY_INERTIA * friction,
      }),
      bound({ first: [0, 0, most ** 2 / Math.cos(Math.min(lean, 1.5))], inertia: inertia(BY_INERTIA) }),
    ],
  };
}

/** The same condition about a pin that lies `depth` (m) below the support. */
export function atPin(condition: Condition, depth: number): Condition {
  if (depth === 0) return condition;
  return {
    ...condition,
    slack: (about) => condition.slack(moveSums(about, [0, 0, depth])),
    bounds: condition.bounds.map((b) => {
      // About the pin: F + M s up, and both inertias across it by 2 s F.z + M s².
      const across = b.inertia[0] + b.inertia[1];
      return {
        ...b,
        mass: b.mass + b.first[2] * depth + across * depth ** 2,
        first: [b.first[0], b.first[1], b.first[2] + 2 * across * depth] as const,
      };
    }),
  };
}

export const massAtMost = (id: 'mass' | 'added', most: number, also: number): Condition => ({
  id,
  slack: ({ mass }) => (most - also - mass) / Math.max(most, 1e-9),
  bounds: [bound({ constant: also - most, mass: 1 })],
});

/** Inertia about the support of at least `least`, kg m². */
export function calm(axis: 'roll' | 'pitch' | 'pan', least: number): Condition {
  const i = { roll: 0, pitch: 1, pan: 2 }[axis];
  const row: [number, number, number] = [0, 0, 0];
  row[i] = -1;
  return {
    id: ({ roll: 'calmRoll', pitch: 'calmPitch', pan: 'calmPan' } as const)[axis],
    slack: ({ inertia }) => (inertia[i]![i]! - least) / Math.max(least, 1e-12),
    bounds: [bound({ constant: least, inertia: row })],
  };
}

/** Lean (rad) in a steady pan at `rate` (rad/s), from how it hangs, at most `most`. No bound: it takes products of inertia. */
export const panLean = (rate: number, most: number): Condition => ({
  id: 'panLean',
  slack: (about) => (most - leanInPan(about, rate)) / most,
  bounds: [],
});

/** The turn between how it hangs at rest and panned at `rate`, rad; infinite where it does not stay upright or does not hang. */
export function leanInPan({ mass, first, inertia }: Sums, rate: number): number {
  const rig = { mass, fromPivot: [first[0] / mass, first[1] / mass, first[2] / mass] as const, inertia };
  const [still, panned] = [steadyPan(rig, 0), steadyPan(rig, rate)];
  return still && panned?.minimum
    ? Math.acos(Math.min(1, still.up[0] * panned.up[0] + still.up[1] * panned.up[1] + still.up[2] * panned.up[2]))
    : Infinity;
}

/** What tips in the hand it is held by, N m, at most `most`. */
export function wrist(axis: 'nose' | 'sides', most: number): Condition {
  const i = axis === 'nose' ? 0 : 1;
  const side = (sign: 1 | -1): Bound =>
    bound({ constant: -most, first: i === 0 ? [sign * STANDARD_GRAVITY, 0, 0] : [0, sign * STANDARD_GRAVITY, 0] });
  return {
    id: axis === 'nose' ? 'wristNose' : 'wristSides',
    slack: ({ first }) => (most - STANDARD_GRAVITY * Math.abs(first[i]!)) / most,
    bounds: [side(1), side(-1)],
  };
}

/** Nothing that tips is felt, either way: the wrist's two limits as one wish. `firm`: what it must bear at most, N m. */
export function felt(most: number, firm: number): Condition {
  const both = [wrist('nose', most), wrist('sides', most)];
  return {
    eased: (by) => felt(most + (firm - most) * by, firm),
    id: 'wristFelt',
    slack: (about) => Math.min(...both.map((c) => c.slack(about))),
    bounds: both.flatMap((c) => c.bounds),
  };
}

/** Mass centre between two places ahead of the support, m. */
export const overSupport = ([least, most]: readonly [number, number]): Condition => ({
  id: 'overSupport',
  slack: ({ mass, first }) => Math.min(first[0] / mass - least, most - first[0] / mass) / ((most - least) / 2),
  bounds: [bound({ mass: -most, first: [1, 0, 0] }), bound({ mass: least, first: [-1, 0, 0] })],
});

/** The bound's value without its constant. */
export const valueOf = (b: Bound, { mass, first, inertia }: Sums): number =>
  b.mass * mass +
  b.first[0] * first[0] +
  b.first[1] * first[1] +
  b.first[2] * first[2] +
  b.inertia[0] * inertia[0][0] +
  b.inertia[1] * inertia[1][1] +
  b.inertia[2] * inertia[2][2];

/** Least value of a bound when the matter may be moved anywhere in a box of shifts, m; exact, for each way stands by itself. */
export function leastOver(b: Bound, sums: Sums, low: readonly number[], high: readonly number[]): number {
  let least = valueOf(b, sums);
  for (let i = 0; i < 3; i++) {
    // A shift s along i adds 2 F s + m s² to both inertias about the other axes.
    const round = b.inertia[0] + b.inertia[1] + b.inertia[2] - b.inertia[i]!;
    const [linear, square] = [b.first[i]! * sums.mass + 2 * round * sums.first[i]!, round * sums.mass];
    const at = (s: number): number => linear * s + square * s * s;
    const dip = square > 0 ? Math.min(high[i]!, Math.max(low[i]!, -linear / (2 * square))) : low[i]!;
    least += Math.min(at(low[i]!), at(high[i]!), at(dip));
  }
  return least;
}

/**
 * The same bound, weakened so that it holds wherever the support itself stands along `axis` between two travels. Null
 * where that cannot be said linearly. The mass is above zero, and the first moment along z below it once it hangs.
 */
export function withMovingSupport(
  b: Bound,
  axis: readonly [number, number, number],
  [from, to]: readonly [number, number],
): Bound | null {
  const inertial = b.inertia.some((k) => k !== 0);
  if (inertial && (Math.abs(axis[0]) > 1e-9 || Math.abs(axis[1]) > 1e-9)) return null;
  const about = b.inertia[0] + b.inertia[1];
  // Moved up by u: F.z loses M u, the level inertias gain -2 F.z u + M u².
  const mass = (u: number): number =>
    -(b.first[0] * axis[0] + b.first[1] * axis[1] + b.first[2] * axis[2]) * u + about * (axis[2] * u) ** 2;
  const lift = (u: number): number => -2 * about * axis[2] * u;
  const dip = about > 0 ? (b.first[2] * axis[2]) / (2 * about * axis[2] ** 2) : from;
  const places = [from, to, Math.min(to, Math.max(from, dip))];
  return {
    ...b,
    mass: b.mass + Math.min(...places.map(mass)),
    first: [b.first[0], b.first[1], b.first[2] + Math.max(lift(from), lift(to))],
  };
}
