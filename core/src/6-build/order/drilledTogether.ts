/** Holes of one screw through pieces that are glued to each other: drilled in one go once the glue has set, so that they are in line, if a drill then gets at them. */
import { dot, transform, unit, type Vec3 } from '../../0-base';
import type { ConnectionHole } from '../../2-frame';
import type { ToPart } from './partsToPart';
import type { Room } from './room';
import type { Joining } from './buildOrder';

export interface DrilledTogether {
  readonly connection: string;
  readonly pieces: readonly string[];
  /** The joining that makes one piece of them. */
  readonly after: string;
}

/** By the hole: those that are drilled with it. */
export const byHole = (all: readonly DrilledTogether[]): ReadonlyMap<string, DrilledTogether> =>
  new Map(all.flatMap((t) => t.pieces.map((p): [string, DrilledTogether] => [`${p}/hole/${t.connection}`, t])));

/** A drill's bit stands out of its chuck so far, and the chuck is so wide, m. */
const BIT = 0.04;
const CHUCK = 0.036;
/** So far off its work a drill is held, m. */
const BEHIND = 0.2;
const GRAZE = 3e-4;

export function drilledTogether(joinings: readonly Joining[], of: ToPart, room: Room): readonly DrilledTogether[] {
  const groups = new Map<string, { readonly pieces: ReadonlySet<string>; readonly joining: Joining }>();
  const found: DrilledTogether[] = [];
  for (const joining of joinings) {
    for (const c of joining.connections) {
      if (!c.reversible) {
        const pieces = new Set(c.pieces.flatMap((p) => [p, ...(groups.get(p)?.pieces ?? [])]));
        for (const p of pieces) groups.set(p, { pieces, joining });
        continue;
      }
      const own = c.holes.filter((h) => !h.sold && h.thread === null);
      for (const { pieces, joining: after } of new Set(own.flatMap((h) => groups.get(h.piece) ?? []))) {
        const shared = own.filter((h) => pieces.has(h.piece));
        const drilled = [...new Set(shared.map((h) => h.piece))];
        if (
          drilled.length > 1 &&
          drilled.every((p) => groups.get(p)?.pieces === pieces) &&
          isReached(shared[0]!, after, of, room)
        )
          found.push({ connection: c.id, pieces: drilled, after: after.id });
      }
    }
  }
  return found;
}

/** From the side the screw goes in. */
function isReached(
  { at, axis, diameter }: ConnectionHole,
  { lot }: Joining,
  { numberOf }: ToPart,
  room: Room,
): boolean {
  const out = unit(axis.map((x) => -x) as unknown as Vec3);
  const { lattice, cell, from: low, to: high, starts, uOf, vOf } = room.seenAlong(out).columns;
  const sense = dot(lattice.axis, out) > 0 ? 1 : -1;
  const [u0, v0, t] = transform(lattice.frame, at);
  for (const p of new Set(lot.flatMap((id) => numberOf(id) ?? [])))
    for (let i = starts[p]!; i < starts[p + 1]!; i++) {
      const off = Math.hypot(uOf(cell[i]!) - u0, vOf(cell[i]!) - v0);
      if (off > CHUCK / 2) continue;
      const [from, to] = sense > 0 ? [low[i]!, high[i]!] : [-high[i]!, -low[i]!];
      const [bit, chuck] = [sense * t + GRAZE, sense * t + BIT];
      if (to > (off < diameter / 2 ? bit : chuck) && from < sense * t + BEHIND) return false;
    }
  return true;
}
