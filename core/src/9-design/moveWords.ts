/** What a hand moves, in words. */
import { figure, say, type Phrase } from '../0-base';
import { turnsOf, wayOf } from '../3-balance';
import type { Move } from './setUpsFor';

/** How far an adjuster is moved, which way, and to where where that can be read off it: “3 washers on, to 12”. */
export function moveWords({ adjuster, from, to }: Move): Phrase {
  const by = to - from;
  if (adjuster.kind === 'count')
    return [
      `${Math.abs(Math.round(by))} ${Math.abs(Math.round(by)) === 1 ? 'washer' : 'washers'} ${by > 0 ? 'on' : 'off'}, to ${Math.round(to)}`,
    ];
  const length = figure('length', Math.abs(by), 2);
  return adjuster.perTurn
    ? say`${turnsOf(Math.abs(by) / adjuster.perTurn)} ${wayOf(adjuster, by)} (${length})`
    : say`${length} ${wayOf(adjuster, by)}`;
}
