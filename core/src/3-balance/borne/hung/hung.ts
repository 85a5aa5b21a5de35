/** A rig that hangs on a free joint: it finds its own level, and is asked how fast. */
import { figure, say } from '../../../0-base';
import { spreadOnBench } from '../../spread/spreadOnBench';
import type { ReadingKind, Way } from '../way';
import { isLevel, leanWords, NOSE, SIDES_SHORT } from '../words';
import { hungGauges, onBenchWords } from './hungGauges';
import { hungOdds } from './hungOdds';
import { HUNG_WANTS } from './hungWants';

const READINGS: readonly ReadingKind[] = [
  {
    kind: 'noseDown',
    name: 'Nose down',
    help: 'Nose up is negative.',
    quantity: 'angle',
    range: [-1.5, 1.5],
    about: null,
  },
  {
    kind: 'leftSideDown',
    name: 'Left side down',
    help: 'Right side down is negative.',
    quantity: 'angle',
    range: [-1.5, 1.5],
    about: null,
  },
  {
    kind: 'dropTimes',
    name: 'Drop time',
    help: 'Held level, let go, to upright.',
    quantity: 'time',
    range: [0.05, 60],
    about: null,
  },
  { kind: 'turnsOver', name: 'It turned over', help: '', quantity: 'flag', range: [0, 1], about: null },
  { kind: 'mass', name: 'All of it on the scale', help: '', quantity: 'mass', range: [0.01, 100], about: null },
  {
    kind: 'fingerAhead',
    name: 'Balances on a finger, ahead of the pivot',
    help: 'Held lying level; behind is negative.',
    quantity: 'length',
    range: [-0.5, 0.5],
    about: null,
  },
];

export const hung: Way = {
  id: 'hung',
  bears: (evaluation) => evaluation.hung !== null,
  gauges: hungGauges,
  wants: HUNG_WANTS,
  aim: ({ levelWithin, dropTime }) =>
    say`level within ${figure('angle', levelWithin)}, drop ${figure('time', dropTime[0])} to ${figure('time', dropTime[1])}`,
  odds: hungOdds,
  readouts: () => [],
  after: ({ quick }, { axis }, values) => {
    const then = quick?.at(values);
    if (!then || then.noseDown === null) return ['turns over'];
    const level =
      axis && Math.abs(axis[1]) > 0.7
        ? leanWords(then.leftSideDown ?? 0, SIDES_SHORT)
        : leanWords(then.noseDown, NOSE);
    return then.dropPitch === null ? level : [...level, ', drop ', figure('time', then.dropPitch)];
  },
  placesHeading: 'Where the camera goes, by loadout, with these washers',
  plusMinus: (context) => spreadOnBench(context).map(onBenchWords),
  readings: () => READINGS,
  firstReading: 'Hang it, hold it lying level, let go and time it to upright. Three times is enough.',
  card: ({ evaluation, wants }) => {
    const { hang, pitch } = evaluation.hung!;
    const { rest } = hang;
    if (!rest)
      return [
        { figure: ['turns over'], rest: ['do not let go of it'] },
        { figure: ['no drop'], rest: ['it does not right itself'] },
      ];
    const nose = Math.abs(rest.noseDown) > Math.abs(rest.leftSideDown);
    const angle = nose ? rest.noseDown : rest.leftSideDown;
    return [
      Math.abs(angle) <= wants.levelWithin || isLevel(angle)
        ? { figure: ['level'], rest: say`within ${figure('angle', wants.levelWithin)}` }
        : { figure: [figure('angle', Math.abs(angle))], rest: [(nose ? NOSE : SIDES_SHORT)[angle > 0 ? 0 : 1]] },
      pitch.drop.kind === 'falls'
        ? { figure: [figure('time', pitch.drop.time)], rest: ['drop, let go lying level'] }
        : { figure: ['no drop'], rest: ['it does not right itself'] },
    ];
  },
  noSwing: () => 'It would turn over: trim it first, then see it swing.',
};
