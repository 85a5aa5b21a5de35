/** What can be read of a pole: its droop at rest and spun, and what its mount lets go at. */
import { DEGREE, figure, say, STANDARD_GRAVITY } from '../../../0-base';
import type { Sums } from '../../../1-load';
import { bodiesBeyond, pivotAt, valuesInOrder } from '../../../2-frame';
import type { Rig } from '../../../model';
import type { BalanceContext } from '../../balanceCheck';
import { spreadOf } from '../../spread/spread';
import { within } from '../expected';
import { ON_THE_SCALE } from '../held/handReadings';
import { BEST, isSame, type Observation, type OwnFigure, type Taken, type TakenOf } from '../says';
import { poleHinge } from '../support';
import type { Expected, ReadingKind } from '../way';
import type { TwoWays } from '../words';
import { frictionFrom, staysWithin } from './poleFriction';
import { poleOf, poleSlope, spinningPole } from './spinningPole';

export const ENDS: TwoWays = ['camera end down', 'weight end down'];
/** One turn a second, rad/s. */
const SPUN_AT = 2 * Math.PI;
/** A pull by hand differs from the next by this part. */
const AGAIN = 0.1;
/** Standard uncertainties of a droop, rad: by a phone laid on; off a film. */
const READ = { droop: 0.5 * DEGREE, spun: 2 * DEGREE };
/** A pole within so much of a stop lies on it, and says nothing of where it would rest. */
const ON_STOP = 1 * DEGREE;
const LOOK = 1e-4;

export function poleReadings(rig: Rig): readonly ReadingKind[] {
  const found = poleHinge(rig);
  if (!found) return [ON_THE_SCALE];
  const { hinge, swivel } = found;
  const droop = { quantity: 'angle' as const, range: [-1.5, 1.5] as const, about: hinge.id, words: ENDS };
  return [
    {
      ...droop,
      kind: 'droop',
      name: 'Camera end down, at rest',
      help: 'By a level or a phone laid on; weight end down is negative. Not on its stop.',
      expects: (context) => droopAt(context, 0),
      says: droopSays,
    },
    {
      ...droop,
      kind: 'spinDroop',
      name: 'Camera end down, at one turn a second',
      help: 'From a film of it, by the horizon; weight end down is negative.',
      expects: (context) => droopAt(context, SPUN_AT),
      says: spunSays,
    },
    {
      kind: 'hingeStays',
      name: 'Put out of its rest, it stays up to',
      help: 'Tip the pole slowly from where it rests and let go: the largest angle from there at which it stays.',
      quantity: 'angle',
      range: [0.005, 1.57],
      about: hinge.id,
      expects: ({ evaluation: { pole } }) => {
        const rubs = pole?.hinge.frictionTorque;
        if (!pole || !rubs) return null;
        const [value, least, most] = [0, -2, 2].map((by) =>
          staysWithin(pole.pole, Math.max(0, rubs.value + by * (rubs.spread ?? 0))),
        ) as [number | null, number | null, number | null];
        return value === null || least === null || most === null ? null : { value, least, most };
      },
      gives: hingeRubs,
    },
    {
      kind: 'breaksAway',
      name: 'Pulled sideways, it lets go at',
      help: 'By a luggage scale at the mount, three times; the least.',
      quantity: 'force',
      range: [1, 400],
      about: swivel.id,
      expects: ({ assembly }) => {
        const force = assembly.rig.pivots.find((p) => p.id === swivel.id)?.breaksAwayAt;
        return force === undefined ? null : within(force, 2 * AGAIN * force);
      },
      gives: letsGoAt,
    },
    ON_THE_SCALE,
  ];
}

/** With the mass centre as far along the pole, either way, as it may be off. */
function droopAt({ assembly: { rig }, evaluation }: BalanceContext, rate: number): Expected | null {
  const reading = evaluation.pole;
  if (!reading) return null;
  const beyond = bodiesBeyond(rig, reading.hinge);
  const { massCentre } = spreadOf(
    evaluation.pieces.filter((p) => beyond.has(p.body)).map((p) => p.flat),
    reading.sums,
    reading.hingeAt,
  );
  const [x, y, z] = reading.pole.fromHinge;
  const all = [0, 2, -2].map(
    (by) => spinningPole({ ...reading.pole, fromHinge: [x + by * massCentre[0], y, z] }, rate).droop,
  );
  const [value, ...ends] = all;
  if (value === null || value === undefined || ends.some((e) => e === null)) return null;
  return { value, least: Math.min(value, ...(ends as number[])), most: Math.max(value, ...(ends as number[])) };
}

const onStop = (value: number, [least, most]: readonly [number, number]): boolean =>
  value <= least + ON_STOP || value >= most - ON_STOP;
const stopsOf = ({ assembly: { rig } }: Taken): readonly [number, number] =>
  poleHinge(rig)?.hinge.stops ?? [-Infinity, Infinity];

function droopSays(taken: Taken): readonly Observation[] {
  const { value } = taken;
  if (onStop(value, stopsOf(taken))) return [];
  return [
    {
      value: ({ first, mass }) => (first[0] * Math.cos(value) + first[2] * Math.sin(value)) / mass,
      spread: ({ first, mass }) => Math.max(BEST, (Math.hypot(...first) / mass) * READ.droop),
    },
  ];
}

/** Where it stands spun, the slope of its energy is zero. */
function spunSays(taken: Taken): readonly Observation[] {
  const { value, values, assembly } = taken;
  const [least, most] = stopsOf(taken);
  const found = poleHinge(assembly.rig);
  if (!found || onStop(value, [least, most])) return [];
  const inOrder = valuesInOrder(assembly.rig, values);
  const ahead = pivotAt(assembly.rig, found.hinge, inOrder)[0] - pivotAt(assembly.rig, found.swivel, inOrder)[0];
  const slope = (s: Sums, q: number): number =>
    poleSlope(poleOf(s, [0, 0, 0], { stopDown: most, stopUp: -least, hingeAhead: ahead }), SPUN_AT, q) /
    (s.mass * STANDARD_GRAVITY);
  return [
    {
      value: (s) => slope(s, value),
      spread: (s) =>
        Math.max(BEST, (Math.abs(slope(s, value + LOOK) - slope(s, value - LOOK)) / (2 * LOOK)) * READ.spun),
    },
  ];
}

function hingeRubs(read: readonly TakenOf[]): readonly OwnFigure[] {
  const all = read.flatMap(({ value, context: { evaluation } }) =>
    evaluation.pole ? [frictionFrom(evaluation.pole.pole, value)] : [],
  );
  const hinge = read.at(-1)?.context.evaluation.pole?.hinge;
  if (!hinge || all.length === 0) return [];
  const mean = all.reduce((s, x) => s + x, 0) / all.length;
  if (isSame(hinge.frictionTorque?.value, mean)) return [];
  return [
    {
      id: `hingeRubs ${hinge.id}`,
      words: [
        ...say`The ${hinge.name} rubs with ${figure('torque', mean, 3)}`,
        ...(hinge.frictionTorque
          ? say`; ${figure('torque', hinge.frictionTorque.value, 3)} was taken.`
          : say`; that was not known.`),
      ],
      take: {
        kind: 'friction',
        target: hinge.id,
        torque: { value: mean, spread: AGAIN * mean, source: 'read by how far it stays put' },
      },
    },
  ];
}

/** What must let go is judged by its least, what must hold too. */
function letsGoAt(read: readonly TakenOf[]): readonly OwnFigure[] {
  const rig = read.at(-1)?.context.assembly.rig;
  return (rig?.pivots ?? []).flatMap((pivot): readonly OwnFigure[] => {
    const force = Math.min(...read.filter((r) => r.about === pivot.id).map((r) => r.value));
    if (!Number.isFinite(force) || isSame(pivot.breaksAwayAt, force)) return [];
    return [
      {
        id: `breaksAway ${pivot.id}`,
        words: [
          ...say`The mount lets go at ${figure('force', force)}`,
          ...(pivot.breaksAwayAt === undefined
            ? say`; that was not known.`
            : say`; ${figure('force', pivot.breaksAwayAt)} was taken.`),
        ],
        take: { kind: 'breaksAway', target: pivot.id, force },
      },
    ];
  });
}
