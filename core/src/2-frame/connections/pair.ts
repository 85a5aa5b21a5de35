/** Two pieces that keep each other by their own shape, with nothing between them: a grip on its pipe, a ring in its bore. */
import { figure, length, say, type Vec3 } from '../../0-base';
import type { StatedConnection } from '../../model';
import { plainly } from './connection';
import { GONE, type ConnectionFault, type Resolved, type Surroundings } from './kind';
import { between } from './touching';

export function resolvePair(
  { id, name, kind, packs }: Pick<StatedConnection, 'id' | 'name' | 'kind' | 'packs'>,
  pieces: readonly [string, string],
  { solids, rig }: Surroundings,
): Resolved {
  // What a screw brings is there with its screw.
  const brought = (p: string): boolean => rig.bodies.some((b) => b.connections?.some((c) => p.startsWith(`${c.id}/`)));
  const isThere = (p: string): boolean => solids(p).length > 0 || brought(p);
  const there = pieces.find(isThere);
  const isWhole = pieces.every(isThere);
  const off = isWhole ? offBy(pieces, { solids, rig }) : null;
  return {
    parts: [],
    faults: isWhole
      ? off
        ? [{ about: pieces[0], connection: id, name, ...off }]
        : []
      : [{ about: there ?? id, connection: id, name, reason: GONE }],
    connection: {
      // Glue holds for good.
      ...plainly({ id, name, kind, pieces, reversible: kind !== 'bonded', comesApart: packs ?? false }),
      touches: isWhole && !off ? [pieces] : [],
    },
  };
}

/** Faces that do not meet within this are apart, m. */
const TOUCH = 0.00005;

/** Where the first stands off the second; null where they meet. Washers of a row are where their row is set. */
function offBy(
  [piece, on]: readonly [string, string],
  { solids, rig }: Pick<Surroundings, 'solids' | 'rig'>,
): Pick<ConnectionFault, 'reason' | 'move'> | null {
  if (rig.bodies.some((b) => b.stations.some((s) => on.startsWith(`${s.id}/`)))) return null;
  const [own, other] = [solids(piece), solids(on)];
  let least: Vec3 | null = null;
  for (const a of own)
    for (const b of other) {
      const way = between(a, b);
      if (!least || length(way) < length(least)) least = way;
    }
  if (!least || length(least) <= TOUCH) return null;
  const [name, to] = [own[0]!.name, other[0]!.name];
  const isPart = rig.bodies.some((b) => b.parts.some((p) => p.id === piece));
  return {
    reason: say`The ${name} stands ${figure('length', length(least), 1)} off the ${to}: nothing keeps it there.`,
    ...(isPart ? { move: { id: piece, by: least, words: say`Move the ${name} up to the ${to}` } } : {}),
  };
}
