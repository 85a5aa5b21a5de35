/** What to want of a rig for the shots wished for: a start, to be changed at the bench. Drop times as makers aim: quick for wind and sudden starts, slow for calm. */
import { DEGREE } from '../0-base';
import type { Wishes } from './choose';
import type { Wants } from '../model';

/** Running and wind want a pendulum that rights itself soon; standing still one that hardly knows where down is. */
const QUICK: Wants['dropTime'] = [1.2, 1.8];
const WINDY: Wants['dropTime'] = [1.4, 2];
const SLOW: Wants['dropTime'] = [2, 3];
/** Panned from one spot, the horizon is looked at. */
const PAN_LEAN = 5 * DEGREE;

export function wantsFor(wishes: Pick<Wishes, 'moves' | 'wet' | 'mass'>, usual: Wants): Wants {
  const runs = wishes.moves.includes('running');
  const stands = wishes.moves.length > 0 && wishes.moves.every((m) => m === 'standing still');
  return {
    ...usual,
    dropTime: runs ? QUICK : wishes.wet ? WINDY : stands ? SLOW : usual.dropTime,
    ...(stands ? { panLeanAtMost: PAN_LEAN } : {}),
    ...(wishes.mass === null ? {} : { massAtMost: wishes.mass }),
  };
}
