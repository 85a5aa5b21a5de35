/** A later version beside an earlier one on a walk that both were taken on: the same path, load and instrument. */
import type { Walk } from '../../model';
import { besideWalked, waysWalked, type Beside } from './waysWalked';

export interface LaterWalked {
  readonly path: string;
  readonly axes: readonly Beside[];
}

/** Where several paths are shared, the one walked most with the less walked of the two; null where none is. */
export function laterVersion(
  walks: readonly Walk[],
  earlier: string,
  later: string,
  nameOfEarlier: string,
): LaterWalked | null {
  const pairs = [...new Set(walks.map((w) => w.path))].flatMap((path) => {
    const ways = waysWalked(path, walks);
    return ways
      .filter((w) => w.rig === earlier)
      .flatMap((first) =>
        ways
          .filter((w) => w.rig === later && w.loadout === first.loadout && w.walks[0]!.by === first.walks[0]!.by)
          .map((second) => ({ path, first, second })),
      );
  });
  const least = ({ first, second }: (typeof pairs)[number]): number =>
    Math.min(first.walks.length, second.walks.length);
  const [most] = pairs.sort((a, b) => least(b) - least(a));
  return most ? { path: most.path, axes: besideWalked(most.first, most.second, nameOfEarlier) } : null;
}
