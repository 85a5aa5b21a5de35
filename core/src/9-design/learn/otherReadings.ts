/** Readings of one part of a rig as equations: a pole's droop, a hand scale under a grip, an axis turned or loaded till it moves. */
import {
  DEGREE,
  dot,
  IDENTITY,
  rotationOf,
  scale,
  STANDARD_GRAVITY,
  subtract,
  transform,
  unit,
  type Vec3,
} from '../../0-base';
import { massCentre, type Sums } from '../../1-load';
import { contactAt, valuesInOrder, type AdjusterValues, type Assembly } from '../../2-frame';
import { poleOf, poleSlope, twoHands } from '../../3-balance';
import type { LogEntry, Pivot, Pose } from '../../model';
import { BEST, type Observation } from './readings';

type Other = NonNullable<LogEntry['seen']['others']>[number];

/** Standard uncertainties: a droop by a phone laid on, or off a film; a luggage scale, N and as a part; friction from one try to the next, as a part. */
const READ = { droop: 0.5 * DEGREE, spun: 2 * DEGREE, scale: 0.1, ofScale: 0.01, tilt: 2 * DEGREE, again: 0.1 };
/** One turn a second. */
export const SPUN_AT = 2 * Math.PI;
/** A pole within so much of a stop lies on it, and says nothing of where it would rest. */
const ON_STOP = 1 * DEGREE;
const LOOK = 1e-4;

/** Of a pole, about its hinge; none for one that lies on its stop. */
export function poleObservations(others: readonly Other[], hinge: Pivot, ahead: number): readonly Observation[] {
  const [least, most] = hinge.stops ?? [-Infinity, Infinity];
  const rests = ({ value }: Other): boolean => value > least + ON_STOP && value < most - ON_STOP;
  return others.filter(rests).flatMap((o): readonly Observation[] => {
    if (o.kind === 'droop') {
      return [
        {
          value: ({ first, mass }) => (first[0] * Math.cos(o.value) + first[2] * Math.sin(o.value)) / mass,
          spread: ({ first, mass }) => Math.max(BEST, (Math.hypot(...first) / mass) * READ.droop),
        },
      ];
    }
    if (o.kind !== 'spinDroop') return [];
    const slope = (s: Sums, q: number): number =>
      poleSlope(poleOf(s, [0, 0, 0], { stopDown: most, stopUp: -least, hingeAhead: ahead }), SPUN_AT, q) /
      (s.mass * STANDARD_GRAVITY);
    return [
      {
        value: (s) => slope(s, o.value),
        spread: (s) =>
          Math.max(BEST, (Math.abs(slope(s, o.value + LOOK) - slope(s, o.value - LOOK)) / (2 * LOOK)) * READ.spun),
      },
    ];
  });
}

/** Of a rig in two hands: how they share says where between them the mass centre lies. `at`: half way between the two, m. */
export function gripObservations(
  others: readonly Other[],
  { rig }: Assembly,
  values: AdjusterValues,
  pose: Pose,
  at: Vec3,
): readonly Observation[] {
  const inOrder = valuesInOrder(rig, values);
  const hands = pose.contacts.flatMap((id) => rig.contacts.find((c) => c.id === id && c.kind === 'hand') ?? []);
  const [a, b] = hands;
  if (!a || !b || hands.length > 2) return [];
  const places = [a, b].map((c) => subtract(contactAt(rig, c, inOrder), at)) as unknown as readonly [Vec3, Vec3];
  const attitude = pose.turn ? rotationOf(pose.turn) : IDENTITY;
  const run = transform(attitude, subtract(places[1], places[0]));
  const level = Math.hypot(run[0], run[1]);
  return others.flatMap((o): readonly Observation[] => {
    const which = o.kind !== 'gripScale' ? -1 : o.about === a.id ? 0 : o.about === b.id ? 1 : -1;
    if (which < 0 || level < 0.02) return [];
    return [
      {
        value: (s) => {
          const up = twoHands({ mass: s.mass, centre: massCentre(s), hands: places, attitude });
          return up ? ((up[which as 0 | 1] - o.value) / (s.mass * STANDARD_GRAVITY)) * level : 0;
        },
        spread: (s) => Math.max(BEST, ((READ.scale + READ.ofScale * o.value) / (s.mass * STANDARD_GRAVITY)) * level),
      },
    ];
  });
}

/** Of an axis and what it carries, about a point on it. The friction is what the reading is mostly of. */
export function axisObservations(others: readonly Other[], pivot: Pivot): readonly Observation[] {
  const axis = unit(pivot.axis ?? [0, 0, 1]);
  const away = ({ first, mass }: Sums): number => {
    const along = dot(first, axis);
    return Math.hypot(...subtract(first, scale(axis, along))) / mass;
  };
  const arm = (s: Sums, torque: number): number => torque / (s.mass * STANDARD_GRAVITY);
  return others
    .filter((o) => o.about === pivot.id)
    .flatMap((o): readonly Observation[] => {
      switch (o.kind) {
        // Turned so far from where it hangs, what pulls it back is just what rubs: M g r sin = T.
        case 'axisTilt':
          return [
            {
              value: (s, friction) => away(s) * Math.sin(o.value) - arm(s, friction),
              spread: (s, friction) =>
                Math.max(BEST, Math.hypot(away(s) * Math.cos(o.value) * READ.tilt, READ.again * arm(s, friction))),
            },
          ];
        // What is left on the axis helps or hinders, by how it stands: that is all the reading's doubt.
        case 'axisMoves':
          return [
            {
              value: (s, friction) => arm(s, o.value) - arm(s, friction),
              spread: (s) => Math.max(BEST, Math.hypot(READ.again * arm(s, o.value), away(s) / 2)),
            },
          ];
        default:
          return [];
      }
    });
}
