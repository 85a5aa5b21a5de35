/** What can be read of a rig in the hands: where it balances, what a scale shows under each grip, how long a pose was held. */
import type { Rig } from '../../../model';
import { freeAxes, heldPoses, wornPoses } from '../support';
import type { ReadingKind } from '../way';

export const ON_THE_SCALE: ReadingKind = {
  kind: 'mass',
  name: 'All of it on the scale',
  help: '',
  quantity: 'mass',
  range: [0.01, 100],
  about: null,
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
          },
        ]
      : []),
    ...[...new Map(several.map((c) => [c.id, c])).values()].map(
      (c): ReadingKind => ({
        kind: 'gripScale',
        name: `Hand scale under the ${c.name.toLowerCase()}`,
        help: 'A luggage scale on the grip, the other hand as always; what it shows, as a force.',
        quantity: 'force',
        range: [0, 400],
        about: c.id,
      }),
    ),
    ...rig.poses.map(
      (p): ReadingKind => ({
        kind: 'heldFor',
        name: `Held, ${p.name.toLowerCase()}`,
        help: 'Until you had to let go; not a take that ended before.',
        quantity: 'time',
        range: [5, 7200],
        about: p.id,
      }),
    ),
    ON_THE_SCALE,
  ];
}
