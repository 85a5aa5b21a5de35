/** A pole on a swivel and hinge: where it rests, what it does spun, what it pulls on head and neck. */
import { DEGREE, figure, noGauge, say, type Gauge, type Phrase } from '../../../0-base';
import type { BalanceContext } from '../../balanceCheck';
import { shareOfBuilds } from '../../spread/builds';
import { spreadOf } from '../../spread/spread';
import { bodiesBeyond, valuesInOrder } from '../../../2-frame';
import type { Odds, Readout, Want, Way } from '../way';
import { isLevel } from '../words';
import { WASHERS_AT_MOST } from '../wantsOfAny';
import { ENDS, poleReadings } from './poleReadings';
import { droopWanted, MOST_DROOP, NECK_AT_MOST } from './poleLimits';
import { staysWithin } from './poleFriction';
import { freeDroop, type PoleSpun } from './spinningPole';
import type { PoleReading } from './turning';

const DROOP: Want = {
  id: 'droop',
  name: 'Camera end down at rest',
  kind: 'angle',
  range: [-30 * DEGREE, 30 * DEGREE],
  help: 'Weight end down is negative. A little keeps it from seesawing.',
  firm: ['droop'],
  of: droopWanted,
  with: (w, v) => ({ ...w, droop: v ?? droopWanted(w) }),
};
/** Washers told each way from how many are on. */
const TOLD_EACH_WAY = 6;
/** The gauge of a droop runs this far each way, rad. */
const REACH = 0.6;

export const pole: Way = {
  id: 'pole',
  bears: (evaluation) => evaluation.pole !== null,
  willBear: (_rig, support) => support.kind === 'hinge',
  gauges: ({ evaluation }) => {
    const found = evaluation.pole;
    const neck = found ? Math.max(found.rest.neckMoment, ...found.spun.map((s) => s.neckMoment)) : 0;
    return [
      {
        gauge: found ? droopGauge('Droop at rest', found.rest) : noGauge('Droop'),
        title: 'Where the pole rests',
        codes: ['poleDroops', 'poleNeutral'],
        wants: [DROOP],
      },
      {
        gauge: found ? droopGauge('At one turn a second', found.spun[1]!) : noGauge('Spun'),
        title: 'The pole spun at one turn a second',
        codes: ['poleDroops', 'fliesOff'],
        wants: [],
      },
      {
        gauge: {
          name: 'On the neck',
          figure: [figure('torque', neck)],
          rest: ['rough, at worst'],
          pebble: Math.min(1, neck / (2 * NECK_AT_MOST)),
          pool: [0, 0.5],
          out: neck > NECK_AT_MOST,
        },
        title: 'What the neck feels',
        codes: ['neckMoment', 'letsGoTooLate', 'mountMustLetGo'],
        wants: [],
      },
    ];
  },
  wants: [DROOP, WASHERS_AT_MOST],
  aim: (wants) => ['resting ', ...droopWords(droopWanted(wants))],
  odds: poleOdds,
  readouts: (context) =>
    context.evaluation.pole
      ? [...poleReadouts(context.evaluation.pole), bushOf(context, context.evaluation.pole), ...droopByWashers(context)]
      : [],
  after: ({ quick, evaluation }, _adjuster, values) => {
    const then = quick?.at(values).fromPivot;
    const found = evaluation.pole;
    if (!then || !found) return [];
    const [x, , z] = then;
    const droop = Math.atan2(x, -z);
    const { stopDown, stopUp } = found.pole;
    if (droop > stopDown || droop < -stopUp) return [`${droop > 0 ? 'camera' : 'weight'} end down on its stop`];
    return ['rests ', ...droopWords(droop)];
  },
  placesHeading: 'Where the camera goes, by loadout',
  plusMinus: () => [],
  readings: poleReadings,
  learned: ([x, , z], [spread]) => {
    const droop = Math.atan2(x, -z);
    return [
      'By these readings it rests ',
      ...droopWords(droop),
      ...say`, its mass centre known to ± ${figure('length', 2 * spread, 1)} along the pole.`,
    ];
  },
  firstReading: 'Stand it up off the head, read how far it droops, and pull the mount off with a luggage scale.',
  card: ({ evaluation: { pole: found } }) =>
    found
      ? [
          found.rest.droop === null
            ? { figure: ['no rest'], rest: ['friction holds it where it is put'] }
            : {
                figure: [figure('angle', Math.abs(found.rest.droop))],
                rest: [`${found.rest.droop >= 0 ? 'camera' : 'weight'} end down at rest`],
              },
          {
            figure: [figure('torque', found.rest.neckMoment)],
            rest: ['on the neck at rest, an estimate'],
          },
        ]
      : [],
  buildsCan: 'can be set to rest near level; the others want more travel, or other washers.',
  lastStep: {
    title: 'Mount the camera, stand the pole up off the head, and set camera and washers',
    check: 'It rests with the camera end a little down, spins freely, and the mount lets go when pulled aside.',
  },
  noPan: 'A pole turns on its own swivel: how it rests when spun is told on Bench.',
  noSwing: () => 'A pole does not swing from a hand: how it droops, at rest and spun, is told on Bench.',
};

function droopGauge(name: string, { droop, onStop }: PoleSpun): Gauge {
  if (droop === null) return noGauge(name, 'no rest of its own');
  return {
    name,
    figure: isLevel(droop) ? ['level'] : [figure('angle', Math.abs(droop))],
    rest: [onStop ? 'on its stop' : isLevel(droop) ? '' : ENDS[droop > 0 ? 0 : 1]],
    pebble: Math.max(0, Math.min(1, 0.5 + droop / (2 * REACH))),
    pool: [0.5 - MOST_DROOP / (2 * REACH), 0.5 + MOST_DROOP / (2 * REACH)],
    out: onStop !== null || Math.abs(droop) > MOST_DROOP,
  };
}

const droopWords = (droop: number | null): Phrase =>
  droop === null
    ? ['no rest of its own']
    : isLevel(droop)
      ? ['level']
      : say`${figure('angle', Math.abs(droop))} ${ENDS[droop > 0 ? 0 : 1]}`;

/** A few washers more or less swing it far: how far, about as many as are on. */
function droopByWashers({ assembly, values, quick, evaluation, wants }: BalanceContext): readonly Readout[] {
  const found = evaluation.pole;
  if (!found || !quick) return [];
  const inOrder = valuesInOrder(assembly.rig, values);
  return assembly.rig.adjusters.flatMap((adjuster, i): readonly Readout[] => {
    if (adjuster.kind !== 'count') return [];
    const here = Math.round(inOrder[i]!);
    const from = Math.max(adjuster.range[0], here - TOLD_EACH_WAY);
    const to = Math.min(adjuster.range[1], here + TOLD_EACH_WAY);
    const { stopDown, stopUp } = found.pole;
    const droopAt = (count: number): number => {
      const [x, , z] = quick.at({ ...values, [adjuster.id]: count }).fromPivot;
      return Math.max(-stopUp, Math.min(stopDown, Math.atan2(x, -z)));
    };
    const points = Array.from({ length: to - from + 1 }, (_, n) => ({ x: from + n, y: droopAt(from + n) }));
    if (points.length < 2 || points.every((p) => Math.abs(p.y - points[0]!.y) < 1e-6)) return [];
    // About where it stands: further off its stops hold it.
    const near = points.filter((p) => Math.abs(p.x - here) <= 1);
    const by = Math.abs(near.at(-1)!.y - near[0]!.y) / Math.max(1, near.length - 1);
    return [
      {
        id: `droop by ${adjuster.id}`,
        name: `Droop over ${adjuster.name.toLowerCase()}`,
        lines: [
          say`One more or less swings it by some ${figure('angle', by, 0)} about here.`,
          ...points
            .filter((p) => Math.abs(p.x - here) <= 2)
            .map((p) => [`${p.x}${p.x === here ? ', as set' : ''}: `, ...droopWords(p.y), '.']),
        ],
        curve: {
          of: 'Droop at rest',
          over: adjuster.name,
          quantity: 'angle',
          points,
          here,
          wanted: droopWanted(wants),
        },
      },
    ];
  });
}

/** Where the bush would have to sit for the droop that is wanted, and what rubs in it. */
function bushOf({ wants }: BalanceContext, { pole: { fromHinge }, pole: found, hinge, rest }: PoleReading): Readout {
  const [x, , z] = fromHinge;
  const wanted = droopWanted(wants);
  // tan q = x/(-z) at the rest q; the bush moved along the pole shifts x alone.
  const by = x + z * Math.tan(wanted);
  const rubs = hinge.frictionTorque;
  const stays = rubs ? staysWithin(found, rubs.value) : null;
  return {
    id: 'pole-bush',
    name: 'Bush',
    lines: [
      z >= 0
        ? say`The mass centre lies ${figure('length', z)} above the hinge: no place of the bush along the pole gives it a rest. Raise the hinge.`
        : Math.abs(by) < 0.0005
          ? [`Where it sits the pole rests as wanted, `, ...droopWords(wanted), '.']
          : [
              ...say`${figure('length', Math.abs(by), 1)} nearer the ${by > 0 ? 'camera' : 'weight'} end it would rest `,
              ...droopWords(wanted),
              ', as wanted, with nothing else moved.',
            ],
      rubs
        ? stays === null
          ? say`It rubs with ${figure('torque', rubs.value, 3)}, more than its weight ever pulls: it stays wherever it is put.`
          : say`It rubs with ${figure('torque', rubs.value, 3)}: put as far as ${figure('angle', stays)} from its rest it stays there.`
        : rest.droop === null
          ? say`What rubs in it holds it wherever it is put; how much that is, is not known.`
          : say`What rubs in it is not known: read how far from its rest it can be put and still stays, and log it.`,
    ],
  };
}

const poleReadouts = ({ rest, spun }: PoleReading): readonly Readout[] => [
  {
    id: 'pole-rest',
    name: 'At rest',
    lines: [
      [...droopWords(rest.droop), rest.onStop ? ', on its stop.' : '.'],
      say`On the neck ${figure('torque', rest.neckMoment)}, an estimate.`,
    ],
  },
  ...spun.map((s) => ({
    id: `pole-${s.rate}`,
    name: `At ${(s.rate / (2 * Math.PI)).toFixed(1)} turns a second`,
    lines: [
      [...droopWords(s.droop), s.onStop ? ', on its stop.' : '.'],
      say`Pulls the mount aside with ${figure('force', s.swivelSideLoad, 1)}; on the neck ${figure('torque', s.neckMoment)}.`,
    ],
  })),
];

function poleOdds({ assembly: { rig }, evaluation: { pole: found, pieces } }: BalanceContext): Odds {
  const words = {
    title: say`The pole rests and spins as it should.`,
    does: 'rest so',
    mayNot: say`It should rest near level, but may not: stand it up off the head before you trust it.`,
    hardly: say`By these figures alone it will hardly rest near level: stand it up off the head, and move the weight till it does.`,
    besides: [say`Friction in the hinge is left out here: what it holds is told at the bush.`],
  };
  if (!found) return { ...words, holds: null };
  const beyond = bodiesBeyond(rig, found.hinge);
  const carried = pieces.filter((p) => beyond.has(p.body)).map((p) => p.flat);
  const { covariance } = spreadOf(carried, found.sums, found.hingeAt);
  const [x, y, z] = found.pole.fromHinge;
  const stops = [-found.pole.stopUp, found.pole.stopDown] as const;
  return {
    ...words,
    holds: shareOfBuilds(covariance, (dx, dy, dz) => {
      const droop = freeDroop({ ...found.pole, fromHinge: [x + dx, y + dy, z + dz] });
      return droop !== null && Math.abs(droop) <= MOST_DROOP && droop >= stops[0] && droop <= stops[1];
    }),
  };
}
