/** How likely a hung rig hangs level and rights itself in the wanted time. */
import { figure, say, type Figure } from '../../../0-base';
import type { BalanceContext } from '../../balanceCheck';
import type { Odds } from '../way';
import { likelyOf } from './likely';

/** Turning over is said from one build in a hundred. */
const SAID_FROM = 0.01;

const in100 = (share: number): Figure => figure('count', Math.min(99, Math.max(1, Math.round(share * 100))));

export function hungOdds({ evaluation: { hung }, wants }: BalanceContext): Odds {
  const likely = likelyOf(hung!, wants);
  return {
    holds: likely.holds,
    title: say`It hangs level and rights itself in the time you want.`,
    does: 'hang level and in time',
    mayNot: say`It should hang level and right itself in time, but may not: hang it before you trust it.`,
    hardly: say`Set by these figures alone it will hardly hang level and in time: hang it, and finish with the screws.`,
    besides: [
      ...(likely.topHeavy >= SAID_FROM ? [say`${in100(likely.topHeavy)} in 100 would turn over.`] : []),
      ...(likely.nil
        ? [say`How far its mass centre lies from the joint is no more than its plus-minus: it may be neutral.`]
        : []),
    ],
    besidesHardly: [say`Level ${in100(likely.level)} in 100, in time ${in100(likely.drop)} in 100.`],
  };
}
