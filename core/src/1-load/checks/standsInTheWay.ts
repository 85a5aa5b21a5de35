/** Space that must stay free, with something else of the loadout in it. */
import { add, figure, say, transform, type Mat3, type Vec3 } from '../../0-base';
import type { LoadCheck } from '../loadCheck';
import type { PlacedItem } from '../placeLoad';

interface Span {
  readonly low: Vec3;
  readonly high: Vec3;
}
/** Things that touch share a face; less overlap than this is touching, m. */
const TOUCHING = 0.001;

/** Boxes square to the rig's axes round what is turned: never misses, and may warn a little early for a turned item. */
function spanOf({ at, turn }: { at: Vec3; turn: Mat3 }, centre: Vec3, size: Vec3): Span {
  const middle = add(at, transform(turn, centre));
  const half = turn.map(
    (row) => (Math.abs(row[0]) * size[0] + Math.abs(row[1]) * size[1] + Math.abs(row[2]) * size[2]) / 2,
  ) as unknown as Vec3;
  return { low: middle.map((m, i) => m - half[i]!) as unknown as Vec3, high: add(middle, half) };
}

const overlap = (a: Span, b: Span): number =>
  Math.min(...[0, 1, 2].map((i) => Math.min(a.high[i]!, b.high[i]!) - Math.max(a.low[i]!, b.low[i]!)));

export const standsInTheWay: LoadCheck = {
  id: 'standsInTheWay',
  look: ({ placed }) =>
    placed.items.flatMap((owner) =>
      (owner.item.clearances ?? [])
        .filter((c) => c.kind !== 'tripod socket' && c.kind !== 'pin hole')
        .flatMap((clear) => {
          const free = spanOf(owner, clear.at, clear.size);
          return placed.items
            .filter((other) => other !== owner)
            .flatMap((other) => {
              const by = overlap(free, boxOf(other));
              if (by <= TOUCHING) return [];
              return [
                {
                  code: 'standsInTheWay',
                  severity: 'mend' as const,
                  about: other.entry.id,
                  figure: figure('length', by),
                  limit: null,
                  title: say`${other.item.name} stands in the ${clear.kind} of ${owner.item.name}.`,
                  why: say`It reaches ${figure('length', by)} into space that must stay free.`,
                  toDo: say`Move it on its mount, mount it elsewhere, or correct the free space in the item’s own sheet.`,
                  fixes: [],
                },
              ];
            });
        }),
    ),
};

const boxOf = (p: PlacedItem): Span => spanOf(p, p.item.boxCentre, p.item.size);
