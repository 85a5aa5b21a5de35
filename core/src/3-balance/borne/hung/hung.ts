/** A rig that hangs on a free joint: it finds its own level, and is asked how fast. */
import { figure, say } from '../../../0-base';
import { spreadOnBench } from '../../spread/spreadOnBench';
import type { Way } from '../way';
import { isLevel, leanWords, NOSE, SIDES_SHORT, wayOfSign } from '../words';
import { hungGauges, onBenchWords } from './hungGauges';
import { hungOdds } from './hungOdds';
import { HUNG_READINGS } from './hungReadings';
import { HUNG_WANTS } from './hungWants';

export const hung: Way = {
  id: 'hung',
  bears: (evaluation) => evaluation.hung !== null,
  willBear: (_rig, support) => support.kind === 'pivot',
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
      axis && Math.abs(axis[1]) > 0.7 ? leanWords(then.leftSideDown ?? 0, SIDES_SHORT) : leanWords(then.noseDown, NOSE);
    return then.dropPitch === null ? level : [...level, ', drop ', figure('time', then.dropPitch)];
  },
  placesHeading: 'Where the camera goes, by loadout, with these washers',
  plusMinus: (context) => spreadOnBench(context).map(onBenchWords),
  readings: () => HUNG_READINGS,
  learned: ([x, , z], [, , spread]) =>
    z < 0
      ? say`As set now it should hang ${figure('angle', Math.abs(Math.atan2(x, -z)))} ${wayOfSign(x, NOSE)}, its mass centre ${figure('length', -z, 2)} (± ${figure('length', 2 * spread, 2)}) under the pivot.`
      : say`As set now its mass centre lies ${figure('length', z, 2)} above the pivot: it turns over.`,
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
  buildsCan:
    'can be brought level and into the wanted drop with these washers; the others want other washers, or more travel.',
  lastStep: {
    title: 'Mount the camera as it will shoot, put the washers on, hang it and trim',
    check: 'Level both ways, and the drop time the card says.',
  },
  noPan: '',
  noSwing: () => 'It would turn over: trim it first, then see it swing.',
};
