/**
 * Which pieces reach into each other as they stand now, without cutting a mesh: fit to be asked at every step of a drag. Bores and
 * holes count as filled, so what sits in another counts too: it is the pairs that are new since the last proof that tell.
 */
import { placedPieces, type AdjusterValues, type Assembly, type PlacedPiece } from '../assemble';
import type { Rig } from '../../model';
import { piecesHeld } from '../connections/kinds';
import { boundsOf, reachInto, type Convex } from './reachInto';

export type PairKey = string;
const BETWEEN = '\u0000';
const keyOf = (a: string, b: string): PairKey => (a < b ? a + BETWEEN + b : b + BETWEEN + a);
export const pairOf = (key: PairKey): readonly [string, string] => key.split(BETWEEN) as [string, string];

/** Pairs of owners that no connection holds together; the load is left out, as are bent bars and imported meshes. */
export function quickPairs(rig: Rig, pieces: readonly PlacedPiece[]): ReadonlySet<PairKey> {
  const together = togetherIn(rig);
  const bodies = pieces
    .flatMap(({ flat, isLoad }) => {
      const { shape, at, rotation, owner } = flat;
      if (isLoad || (shape.kind !== 'box' && shape.kind !== 'tube')) return [];
      const convex: Convex = { shape, at, rotation };
      return [{ owner, convex, ...boundsOf(convex) }];
    })
    .sort((a, b) => a.low[0] - b.low[0]);
  const found = new Set<PairKey>();
  bodies.forEach((a, i) => {
    for (let j = i + 1; j < bodies.length; j++) {
      const b = bodies[j]!;
      if (b.low[0] >= a.high[0]) break;
      if (a.owner === b.owner) continue;
      if (a.low[1] >= b.high[1] || b.low[1] >= a.high[1] || a.low[2] >= b.high[2] || b.low[2] >= a.high[2]) continue;
      const key = keyOf(a.owner, b.owner);
      if (found.has(key) || together(a.owner, b.owner)) continue;
      if (reachInto(a.convex, b.convex)) found.add(key);
    }
  });
  return found;
}

/** A rig as it stands before something of it is changed. */
export interface Standing {
  readonly pieces: ReadonlySet<string>;
  readonly pairs: ReadonlySet<PairKey>;
}
export const standing = (assembly: Assembly, values: AdjusterValues): Standing => ({
  pieces: new Set(assembly.pieces.map((p) => p.flat.owner)),
  pairs: quickPairs(assembly.rig, placedPieces(assembly, values)),
});
/** Two pieces that were clear of each other are not any more; of pieces that the change brought the proof tells afterwards. */
export const comesInto = (before: Standing, assembly: Assembly, values: AdjusterValues): boolean =>
  [...quickPairs(assembly.rig, placedPieces(assembly, values))].some(
    (key) => !before.pairs.has(key) && pairOf(key).every((id) => before.pieces.has(id)),
  );

const known = new WeakMap<Rig, (a: string, b: string) => boolean>();

/** Whether one connection or fitting holds both, or brought the one for the other. */
function togetherIn(rig: Rig): (a: string, b: string) => boolean {
  const before = known.get(rig);
  if (before) return before;
  const of = new Map<string, Set<string>>();
  const put = (piece: string, connection: string): void => {
    const set = of.get(piece);
    if (set) set.add(connection);
    else of.set(piece, new Set([connection]));
  };
  for (const body of rig.bodies) {
    for (const c of body.connections ?? []) for (const piece of piecesHeld(c)) put(piece, c.id);
    for (const p of body.parts) if (p.by) put(p.of ?? p.id, p.by);
    for (const j of body.joints) {
      put(j.id, j.id);
      for (const id of j.joins) put(id, j.id);
      for (const m of body.members) if (m.from === j.node || m.to === j.node) put(m.id, j.id);
    }
  }
  const together = (a: string, b: string): boolean => {
    const [of1, of2] = [of.get(a), of.get(b)];
    if (!of1 || !of2) return false;
    for (const id of of1) if (of2.has(id)) return true;
    return false;
  };
  known.set(rig, together);
  return together;
}
