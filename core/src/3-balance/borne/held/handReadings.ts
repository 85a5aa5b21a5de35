/** What can be read of a rig in the hands: where it balances, what a scale shows under each grip, how long a pose was held. */
import { figure, IDENTITY, rotationOf, say, STANDARD_GRAVITY, subtract, transform, type Vec3 } from '../../../0-base';
import { massCentre } from '../../../1-load';
import { contactAt, valuesInOrder } from '../../../2-frame';
import type { Rig } from '../../../model';
import type { BalanceContext } from '../../balanceCheck';
import type { Evaluation } from '../../evaluate';
import { spreadOf } from '../../spread/spread';
import { within } from '../expected';
import { BEST, isSame, type Observation, type OwnFigure, type Taken, type TakenOf } from '../says';
import { freeAxes, heldPoses, supportOf, wornPoses } from '../support';
import type { ReadingKind } from '../way';
import { twoHands } from './handLoad';
import { strengthFrom } from './strengthFrom';

const MINUTE = 60;
/** Standard uncertainties: a scale's step and drift, kg; a finger's width, m; a luggage scale, N and as a part. */
const READ = { mass: 0.002, finger: 0.002, scale: 0.1, ofScale: 0.01 };
/** Two hands nearer than this, m, level: how they share says nothing. */
const APART = 0.02;

/** One standard uncertainty of the whole rig's mass centre, m. */
const spreadOfCentre = ({ pieces, sums }: Evaluation): Vec3 =>
  spreadOf(
    pieces.map((p) => p.flat),
    sums,
    [0, 0, 0],
  ).massCentre;

export const ON_THE_SCALE: ReadingKind = {
  kind: 'mass',
  name: 'All of it on the scale',
  help: '',
  quantity: 'mass',
  range: [0.01, 100],
  about: null,
  expects: ({ evaluation: { mass, massSpread } }) => within(mass, 2 * massSpread),
  says: ({ value, beside }) => [{ value: ({ mass }) => mass + beside - value, spread: () => READ.mass }],
};

export const fingerSays = ({ value }: Taken): readonly Observation[] => [
  { value: ({ first, mass }) => first[0] / mass - value, spread: () => READ.finger },
];

export function handReadings(rig: Rig): readonly ReadingKind[] {
  const [first] = heldPoses(rig);
  // What swings on a joint or turns on axes is not laid across a finger, nor shared by two scales.
  const rigid = freeAxes(rig).length === 0 && rig.pivots.every((p) => p.kind !== 'universal');
  const several = rigid
    ? [
        ...(first && first.hands.length > 1 ? first.hands : []),
        ...wornPoses(rig)
          .slice(0, 1)
          .flatMap((p) => p.bearing.filter((c) => c.kind === 'hand')),
      ]
    : [];
  return [
    ...(rigid && first && first.hands.length === 1
      ? [
          {
            kind: 'fingerAhead',
            name: `Balances on a finger, ahead of the ${first.hands[0]!.name.toLowerCase()}`,
            help: 'Lying level across one finger; behind is negative.',
            quantity: 'length' as const,
            range: [-1.5, 1.5] as const,
            about: null,
            expects: ({ evaluation }: BalanceContext) =>
              evaluation.fromSupport ? within(evaluation.fromSupport[0], 2 * spreadOfCentre(evaluation)[0]) : null,
            says: fingerSays,
          },
        ]
      : []),
    ...[...new Map(several.map((c) => [c.id, c])).values()].map((c): ReadingKind => ({
      kind: 'gripScale',
      name: `Hand scale under the ${c.name.toLowerCase()}`,
      help: 'A luggage scale on the grip, the other hand as always; what it shows, in N or kg.',
      quantity: 'force',
      range: [0, 400],
      about: c.id,
      expects: ({ evaluation }) => {
        const first = evaluation.held[0];
        const bears = first?.bears.find((b) => b.contact.id === c.id);
        // What each bears of a worn rig is an estimate: the share that asks least of all together.
        if (bears) return within(bears.size, Math.max(2, bears.size / 2));
        const hand = first?.hands.find((h) => h.contact.id === c.id);
        if (!first || !hand || first.hands.length !== 2) return null;
        const run = subtract(first.hands[1]!.at, first.hands[0]!.at);
        const spread = spreadOfCentre(evaluation);
        const level = run[0] ** 2 + run[1] ** 2;
        if (!(level > 0)) return null;
        const along = (Math.abs(run[0]) * spread[0] + Math.abs(run[1]) * spread[1]) / level;
        return within(hand.up, 2 * evaluation.mass * STANDARD_GRAVITY * along);
      },
      says: (taken) => gripSays(taken, c.id),
    })),
    ...rig.poses.map((p): ReadingKind => ({
      kind: 'heldFor',
      name: `Held, ${p.name.toLowerCase()}`,
      help: 'Until you had to let go; not a take that ended before.',
      quantity: 'time',
      range: [5, 7200],
      about: p.id,
      expects: ({ evaluation }) => {
        const holds = evaluation.held.find((h) => h.pose.id === p.id)?.holds;
        return holds?.kind === 'minutes'
          ? { value: holds.usual * MINUTE, least: holds.least * MINUTE, most: holds.most * MINUTE }
          : null;
      },
      gives: strengthByTime,
    })),
    ON_THE_SCALE,
  ];
}

/** How two hands share says where between them the mass centre lies. */
function gripSays({ value: read, assembly: { rig }, values, at }: Taken, about: string): readonly Observation[] {
  const pose = heldPoses(rig)[0];
  const [a, b] = pose?.hands ?? [];
  if (supportOf(rig)?.kind !== 'hands' || !pose || !a || !b || pose.hands.length > 2) return [];
  const inOrder = valuesInOrder(rig, values);
  const places = [a, b].map((c) => subtract(contactAt(rig, c, inOrder), at)) as unknown as readonly [Vec3, Vec3];
  const attitude = pose.pose.turn ? rotationOf(pose.pose.turn) : IDENTITY;
  const run = transform(attitude, subtract(places[1], places[0]));
  const level = Math.hypot(run[0], run[1]);
  const which = about === a.id ? 0 : about === b.id ? 1 : null;
  if (which === null || level < APART) return [];
  return [
    {
      value: (s) => {
        const up = twoHands({ mass: s.mass, centre: massCentre(s), hands: places, attitude });
        return up ? ((up[which] - read) / (s.mass * STANDARD_GRAVITY)) * level : 0;
      },
      spread: (s) => Math.max(BEST, ((READ.scale + READ.ofScale * read) / (s.mass * STANDARD_GRAVITY)) * level),
    },
  ];
}

/** By how long each pose was held: what the arm must be able to do for a moment, by the same curve that forecast it. */
function strengthByTime(read: readonly TakenOf[]): readonly OwnFigure[] {
  const all = read.flatMap(({ about, value, context: { evaluation, hands } }) => {
    const pose = evaluation.held.find((p) => p.pose.id === about);
    const own = pose ? strengthFrom(pose, hands, value) : null;
    return own === null ? [] : [{ own, hands }];
  });
  if (all.length === 0) return [];
  // Strengths are compared by their ratios.
  const value = Math.exp(all.reduce((s, r) => s + Math.log(r.own), 0) / all.length);
  const taken = all[0]!.hands.wristStrength;
  if (isSame(taken, value)) return [];
  return [
    {
      id: 'wristStrength',
      words: say`By how long you held it, your wrist turns with ${figure('torque', value, 1)} for a moment; ${figure('torque', taken, 1)} was taken. Hold times follow it.`,
      take: { kind: 'wristStrength', value },
    },
  ];
}
