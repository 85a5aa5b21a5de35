/** How far each piece of a joining is from its place, as it comes: all apart at first, then one after the other along its way. Pure. */
import { addScaled, boundingBox, dot, length, scale, ZERO, type PlacedPiece, type Vec3 } from '@tide-pebble/core';
import type { Coming } from '@tide-pebble/core/making';

/** Between things that stand apart, m. */
const GAP = 0.02;
/** A long piece need not be seen to come all its length, m. */
const FAR = 0.12;

interface Way {
  readonly pieces: readonly string[];
  /** From where it starts, over each turn, to nought. */
  readonly corners: readonly Vec3[];
}

/** `t`: 0 all apart, 1 all together. */
export function offsetsAt(
  comes: readonly Coming[],
  pieces: readonly PlacedPiece[],
  t: number,
): ReadonlyMap<string, Vec3> {
  const ways = waysOf(comes, pieces);
  const found = new Map<string, Vec3>();
  ways.forEach(({ pieces: owners, corners }, i) => {
    const own = Math.min(1, Math.max(0, t * ways.length - i));
    const by = along(corners, own * own * (3 - 2 * own));
    for (const owner of owners) if (length(by) > 0) found.set(owner, by);
  });
  return found;
}

/** What comes later by the same way stands further out. */
function waysOf(comes: readonly Coming[], pieces: readonly PlacedPiece[]): readonly Way[] {
  const taken: { readonly way: Vec3; by: number }[] = [];
  return comes.map(({ pieces: owners, legs }) => {
    const corners: Vec3[] = [ZERO];
    [...legs].reverse().forEach(({ way, by }) => {
      const from = corners[0]!;
      const same = taken.find((o) => dot(o.way, way) > 0.99);
      const far = Number.isFinite(by) ? by : Math.min(FAR, extent(owners, pieces, way)) + GAP + (same?.by ?? 0);
      if (!Number.isFinite(by)) {
        if (same) same.by = far;
        else taken.push({ way, by: far });
      }
      corners.unshift(addScaled(from, way, -far));
    });
    return { pieces: owners, corners };
  });
}

/** How much room a group takes along a way, m. */
function extent(owners: readonly string[], pieces: readonly PlacedPiece[], way: Vec3): number {
  const own = new Set(owners);
  let [least, most] = [Infinity, -Infinity];
  for (const { flat } of pieces) {
    if (!own.has(flat.owner)) continue;
    const [low, high] = boundingBox(flat);
    for (const x of [low[0], high[0]])
      for (const y of [low[1], high[1]])
        for (const z of [low[2], high[2]]) {
          const at = dot([x, y, z], way);
          least = Math.min(least, at);
          most = Math.max(most, at);
        }
  }
  return most > least ? most - least : 0;
}

function along(corners: readonly Vec3[], part: number): Vec3 {
  if (part >= 1 || corners.length < 2) return ZERO;
  const legs = corners.length - 1;
  const leg = Math.min(legs - 1, Math.floor(part * legs));
  const on = part * legs - leg;
  return addScaled(scale(corners[leg]!, 1 - on), corners[leg + 1]!, on);
}
