/** What a pivot turns in: a bearing between a piece that is held and one that is carried. */
import { say } from '../../../0-base';
import type { KindOfConnection } from '../kind';
import { resolvePair } from '../pair';

export const hinged: KindOfConnection<'hinged'> = {
  kind: 'hinged',
  datum: (of) => of.held,
  holds: (of) => [of.held, of.carried],
  without: (of, gone) => (gone.has(of.held) || gone.has(of.carried) ? null : of),
  resolve: (of, around) => {
    const pair = resolvePair(of, [of.held, of.carried], around);
    if (around.rig.pivots.some((p) => p.id === of.pivot)) return pair;
    const reason = say`The pivot it turns on is not on this rig any more.`;
    return { ...pair, faults: [...pair.faults, { about: of.held, connection: of.id, name: of.name, reason }] };
  },
};
