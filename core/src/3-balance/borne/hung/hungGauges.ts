/** The tide line of a rig that hangs: nose, sides, and the drop. */
import { DEGREE, figure, noGauge, say, type Gauge, type Phrase } from '../../../0-base';
import { someTurns } from '../../adjusters/fixByAdjuster';
import type { BalanceContext } from '../../balanceCheck';
import type { Evaluation } from '../../evaluate';
import { spreadOnBench, spreadWords, type SpreadOnBench } from '../../spread/spreadOnBench';
import type { BenchNote, WayGauge } from '../way';
import { isLevel, NOSE, SIDES_SHORT, wayOfSign, type TwoWays } from '../words';
import { DROP_LEAST, DROP_MOST, LEVEL } from './hungWants';

/** A lean's spread is worked out to first order: beyond this it is only known to be large, rad. */
const SPREAD_SHOWN = 45 * DEGREE;
/** The gauge is this many times as wide as what is allowed. */
const REACH = 5;

type Axis = SpreadOnBench['axis'];

export function hungGauges(context: BalanceContext): readonly [WayGauge, WayGauge, WayGauge] {
  const bench = spreadOnBench(context);
  const level = (axis: Axis, name: string, words: TwoWays): Gauge =>
    levelGauge(context, bench.find((s) => s.axis === axis) ?? null, axis, name, words);
  const along = (axis: Axis): readonly BenchNote[] => bench.filter((s) => s.axis === axis).map(onBenchWords);
  return [
    {
      gauge: level('foreAft', 'Nose', NOSE),
      title: 'Nose, fore and aft',
      codes: ['notLevelForeAft', 'levelNotKnown', 'topHeavy', 'neutral'],
      wants: [LEVEL],
      notes: along('foreAft'),
    },
    {
      gauge: level('sideways', 'Sides', SIDES_SHORT),
      title: 'Sides, left and right',
      codes: ['notLevelSideways', 'topHeavy', 'neutral', 'bendOutOfPlane'],
      wants: [LEVEL],
      notes: along('sideways'),
    },
    {
      gauge: dropGauge(context.evaluation.hung, context.wants.dropTime),
      title: 'Drop time, let go lying level',
      codes: ['dropTooLong', 'dropTooShort', 'stopsShort', 'topHeavy'],
      wants: [DROP_LEAST, DROP_MOST],
      notes: pendulumNote(context.evaluation.hung),
    },
  ];
}

export const onBenchWords = (s: SpreadOnBench): BenchNote => ({
  words: spreadWords(s),
  about: s.screw?.id ?? s.shrinkBy?.owner ?? null,
});

function levelGauge(
  { evaluation: { hung }, wants: { levelWithin } }: BalanceContext,
  bench: SpreadOnBench | null,
  axis: Axis,
  name: string,
  words: TwoWays,
): Gauge {
  const rest = hung?.hang.rest;
  if (!hung || !rest)
    return hung?.hang.state === 'topHeavy'
      ? { name, figure: ['turns over'], rest: [], pebble: 1, pool: [0.4, 0.6], out: true }
      : noGauge(name);
  const angle = axis === 'foreAft' ? rest.noseDown : rest.leftSideDown;
  const spread = axis === 'foreAft' ? hung.spread.noseDown : hung.spread.leftSideDown;
  const flat = isLevel(angle);
  return {
    name,
    figure: flat ? ['level'] : [figure('angle', Math.abs(angle))],
    rest: [flat ? '± ' : `${wayOfSign(angle, words)} ± `, ...howFar(bench, spread)],
    pebble: 0.5 + angle / (2 * REACH * levelWithin),
    pool: [0.5 - 0.5 / REACH, 0.5 + 0.5 / REACH],
    out: Math.abs(angle) > levelWithin,
  };
}

/** As far as a screw may have to go for it, which a hand can do something with; where none does, the lean itself. */
function howFar(bench: SpreadOnBench | null, spread: number): Phrase {
  const screw = bench?.screw;
  if (screw?.turns) return [someTurns(screw.turns)];
  if (screw && 2 * spread > SPREAD_SHOWN) return [figure('length', screw.goes, 1)];
  return [2 * spread > SPREAD_SHOWN ? '>' : '', figure('angle', Math.min(2 * spread, SPREAD_SHOWN), 0)];
}

function dropGauge(hung: Evaluation['hung'], [least, most]: readonly [number, number]): Gauge {
  if (!hung) return noGauge('Drop');
  const [pitch, roll] = [hung.pitch.drop, hung.roll.drop];
  const reach = 2 * most;
  const pool = [least / reach, most / reach] as const;
  if (pitch.kind !== 'falls')
    return {
      name: 'Drop',
      figure: ['never'],
      rest: [pitch.kind === 'stops' ? 'friction stops it' : 'does not right itself'],
      pebble: 1,
      pool,
      out: true,
    };
  return {
    name: 'Drop, pitch and roll',
    figure: [figure('time', pitch.time)],
    rest: roll.kind === 'falls' ? say`and ${roll.time.toFixed(1)} ± ${figure('time', 2 * hung.spread.dropPitch)}` : [],
    pebble: pitch.time / reach,
    pool,
    out: pitch.time < least || pitch.time > most,
  };
}

const pendulumNote = (hung: Evaluation['hung']): readonly BenchNote[] =>
  hung && hung.pitch.pendulumLength !== null
    ? [
        {
          words: say`It swings like a plain pendulum ${figure('length', hung.pitch.pendulumLength, 0)} long.`,
          about: null,
        },
      ]
    : [];
