/** What can be read of a rig in the hands: where it balances, what a scale shows under each grip, how long a pose was held. */
import { STANDARD_GRAVITY, subtract, type Vec3 } from '../../../0-base';
import type { Rig } from '../../../model';
import type { BalanceContext } from '../../balanceCheck';
import type { Evaluation } from '../../evaluate';
import { spreadOf } from '../../spread/spread';
import { within } from '../expected';
import { freeAxes, heldPoses, wornPoses } from '../support';
import type { ReadingKind } from '../way';

const MINUTE = 60;

/** One standard uncertainty of the whole rig's mass centre, m. */
const spreadOfCentre = ({ pieces, sums }: Evaluation): Vec3 =>
  spreadOf(
    pieces.map((p) => p.flat),
    sums,
    [0, 0, 0],
  ).massCentre;

export const ON_THE_SCALE: ReadingKind = {
  kind: 'mass',
  name: 'All of it on the scale',
  help: '',
  quantity: 'mass',
  range: [0.01, 100],
  about: null,
  expects: ({ evaluation: { mass, massSpread } }) => within(mass, 2 * massSpread),
};

export function handReadings(rig: Rig): readonly ReadingKind[] {
  const [first] = heldPoses(rig);
  // What swings on a joint or turns on axes is not laid across a finger, nor shared by two scales.
  const rigid = freeAxes(rig).length === 0 && rig.pivots.every((p) => p.kind !== 'universal');
  const several = rigid
    ? [
        ...(first && first.hands.length > 1 ? first.hands : []),
        ...wornPoses(rig)
          .slice(0, 1)
          .flatMap((p) => p.bearing.filter((c) => c.kind === 'hand')),
      ]
    : [];
  return [
    ...(rigid && first && first.hands.length === 1
      ? [
          {
            kind: 'fingerAhead' as const,
            name: `Balances on a finger, ahead of the ${first.hands[0]!.name.toLowerCase()}`,
            help: 'Lying level across one finger; behind is negative.',
            quantity: 'length' as const,
            range: [-1.5, 1.5] as const,
            about: null,
            expects: ({ evaluation }: BalanceContext) =>
              evaluation.fromSupport ? within(evaluation.fromSupport[0], 2 * spreadOfCentre(evaluation)[0]) : null,
          },
        ]
      : []),
    ...[...new Map(several.map((c) => [c.id, c])).values()].map((c): ReadingKind => ({
      kind: 'gripScale',
      name: `Hand scale under the ${c.name.toLowerCase()}`,
      help: 'A luggage scale on the grip, the other hand as always; what it shows, in N or kg.',
      quantity: 'force',
      range: [0, 400],
      about: c.id,
      expects: ({ evaluation }) => {
        const first = evaluation.held[0];
        const bears = first?.bears.find((b) => b.contact.id === c.id);
        // What each bears of a worn rig is an estimate: the share that asks least of all together.
        if (bears) return within(bears.size, Math.max(2, bears.size / 2));
        const hand = first?.hands.find((h) => h.contact.id === c.id);
        if (!first || !hand || first.hands.length !== 2) return null;
        const run = subtract(first.hands[1]!.at, first.hands[0]!.at);
        const spread = spreadOfCentre(evaluation);
        const level = run[0] ** 2 + run[1] ** 2;
        if (!(level > 0)) return null;
        const along = (Math.abs(run[0]) * spread[0] + Math.abs(run[1]) * spread[1]) / level;
        return within(hand.up, 2 * evaluation.mass * STANDARD_GRAVITY * along);
      },
    })),
    ...rig.poses.map((p): ReadingKind => ({
      kind: 'heldFor',
      name: `Held, ${p.name.toLowerCase()}`,
      help: 'Until you had to let go; not a take that ended before.',
      quantity: 'time',
      range: [5, 7200],
      about: p.id,
      expects: ({ evaluation }) => {
        const holds = evaluation.held.find((h) => h.pose.id === p.id)?.holds;
        return holds?.kind === 'minutes'
          ? { value: holds.usual * MINUTE, least: holds.least * MINUTE, most: holds.most * MINUTE }
          : null;
      },
    })),
    ON_THE_SCALE,
  ];
}
