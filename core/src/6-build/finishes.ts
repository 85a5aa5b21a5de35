/**
 * What is shaped and finished as one: boards that are glued face to face first, each other wooden piece by itself. It comes after
 * the holes, which are bored while the wood is square, and before anything is screwed on or glued to it.
 */
import { materialOf } from '../0-base';
import type { Connection } from '../2-frame';
import type { Rig } from '../model';
import type { BuildOrder, Joining } from './order/buildOrder';

export interface Finish {
  readonly pieces: readonly string[];
  /** Joinings that it waits for: they make it one. */
  readonly before: readonly string[];
  /** Glued on later, where no finish may be. */
  readonly gluedLater: readonly string[];
}

export const isWooden = (piece: string, { bodies, materials }: Rig): boolean =>
  bodies.some(({ members, parts }) => {
    const id = members.find((m) => m.id === piece)?.stock.material ?? parts.find((p) => p.id === piece)?.material;
    return id !== undefined && materialOf(id, materials)?.look === 'wood';
  });

/** What comes of wood or to an outline, but for what goes into a tube. */
function shapedIn(rig: Rig): ReadonlySet<string> {
  const cores = new Set(
    rig.bodies
      .flatMap((b) => b.connections ?? [])
      .flatMap((c) => (c.kind === 'bonded' && isRod(c.piece, rig) ? [c.piece] : [])),
  );
  return new Set(
    rig.bodies.flatMap(({ members, parts }) => [
      ...members.filter((m) => !cores.has(m.id) && (m.outline || isWooden(m.id, rig))).map((m) => m.id),
      ...parts.filter((p) => !p.by && !p.of && !p.uses && isWooden(p.id, rig)).map((p) => p.id),
    ]),
  );
}
const isRod = (piece: string, { bodies }: Rig): boolean =>
  bodies.some((b) => b.members.some((m) => m.id === piece && m.stock.section.kind === 'rod'));

export function finishesOf(rig: Rig, { joinings }: BuildOrder): readonly Finish[] {
  const shaped = shapedIn(rig);
  const before = new Map([...shaped].map((p) => [p, gluedFirst(p, joinings, shaped)] as const));
  const left = new Set(shaped);
  const found: Finish[] = [];
  for (const first of shaped) {
    if (!left.delete(first)) continue;
    const pieces = [first];
    // What shares a glue-up with one of them is of them.
    for (let i = 0; i < pieces.length; i++)
      for (const other of [...left])
        if (before.get(other)!.some((j) => before.get(pieces[i]!)!.includes(j))) {
          left.delete(other);
          pieces.push(other);
        }
    const waits = [...new Set(pieces.flatMap((p) => before.get(p)!.map((j) => j.id)))];
    found.push({
      pieces,
      before: waits,
      gluedLater: [
        ...new Set(
          joinings
            .filter((j) => !waits.includes(j.id))
            .flatMap((j) => j.connections)
            .filter((c) => c.kind === 'bonded' && c.pieces.some((p) => pieces.includes(p)))
            .flatMap((c) => c.pieces.filter((p) => !pieces.includes(p))),
        ),
      ],
    });
  }
  return found;
}

/** The first joinings of a piece, for as long as they glue it to others of these alone. */
function gluedFirst(piece: string, joinings: readonly Joining[], shaped: ReadonlySet<string>): readonly Joining[] {
  const of = (c: Connection): boolean => c.pieces.includes(piece) || c.hardware.includes(piece);
  const mine = joinings.filter((j) => j.connections.some(of));
  const until = mine.findIndex(
    (j) => !j.connections.filter(of).every((c) => c.kind === 'bonded' && c.pieces.every((p) => shaped.has(p))),
  );
  return until < 0 ? mine : mine.slice(0, until);
}
