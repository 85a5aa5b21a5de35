/** The tide line of a rig in the hands: what tips in the wrist, and for how long it can be held. */
import { figure, noGauge, say, type Gauge } from '../../../0-base';
import type { BalanceContext } from '../../balanceCheck';
import type { WayGauge } from '../way';
import { NO_TORQUE, NOSE, SIDES_SHORT, wayOfSign, type TwoWays } from '../words';
import type { HeldHand, HeldPose } from './held';
import { HOLD, WRIST } from './heldWants';
import { holdFor, wristAtMost } from './wantsOfHands';

/** The gauge is this many times as wide as what is wanted. */
const REACH = 2.5;
const MINUTE = 60;
/** Where on the gauge the wanted time stands. */
const WANTED_AT = 0.4;

export function heldGauges({ evaluation, wants }: BalanceContext): readonly [WayGauge, WayGauge, WayGauge] {
  const [pose] = evaluation.held;
  const most = wristAtMost(wants);
  return [
    {
      gauge: wristGauge(pose, most, 'Wrist, nose', (h) => h.noseDown, NOSE),
      title: 'What tips in the wrist, nose down or up',
      codes: ['wristNose', 'offTheMark'],
      wants: [WRIST],
    },
    {
      gauge: wristGauge(pose, most, 'Wrist, sides', (h) => h.leftSideDown, SIDES_SHORT),
      title: 'What tips in the wrist, to the sides',
      codes: ['wristSides', 'topHeavyInHand', 'idleHand'],
      wants: [WRIST],
    },
    holdGauge(pose, holdFor(wants)),
  ];
}

function wristGauge(
  pose: HeldPose | undefined,
  most: number,
  name: string,
  of: (hand: HeldHand) => number,
  words: TwoWays,
): Gauge {
  if (!pose || pose.hands.length === 0) return noGauge(name);
  const torque = pose.hands.map(of).reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a));
  return {
    name,
    figure: [figure('torque', Math.abs(torque))],
    rest: [Math.abs(torque) < NO_TORQUE ? 'nothing tips' : wayOfSign(torque, words)],
    pebble: 0.5 + torque / (2 * REACH * most),
    pool: [0.5 - 0.5 / REACH, 0.5 + 0.5 / REACH],
    out: Math.abs(torque) > most,
  };
}

export const holdGauge = (pose: HeldPose | undefined, wanted: number): WayGauge => ({
  gauge: pose ? hold(pose, wanted) : noGauge('Hold'),
  title: 'How long it can be held; rough',
  codes: ['holdTime'],
  wants: [HOLD],
});

function hold({ holds, tires }: HeldPose, wanted: number): Gauge {
  const pool = [WANTED_AT, 1] as const;
  switch (holds.kind) {
    case 'anHour':
      return {
        name: 'Hold',
        figure: ['an hour'],
        rest: say`and more, ${figure('percent', holds.share, 0)} of the ${tires}`,
        pebble: 0.9,
        pool,
        out: false,
      };
    case 'tooMuch':
      return { name: 'Hold', figure: ['not at all'], rest: [`too much for the ${tires}`], pebble: 0, pool, out: true };
    case 'minutes': {
      const usual = holds.usual * MINUTE;
      return {
        name: 'Hold, roughly',
        figure: [figure('time', usual, 0)],
        rest: [`then the ${tires}`],
        pebble: Math.min(1, (WANTED_AT * usual) / wanted),
        pool,
        out: usual < wanted,
      };
    }
  }
}
