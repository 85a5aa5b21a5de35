/** The rig with the hardware its connections bring and the holes they need, worked out anew: what a change of size, thread or stock makes of them follows by itself. */
import { scale, unit } from '../../0-base';
import type { Part, Rig } from '../../model';
import type { ConnectionFault } from './kind';
import { jointFillers } from './jointFillers';
import { holesByPiece, memberDrilled, partDrilled, type SlotFor } from './holesIn';
import { datumOf, resolve } from './kinds';
import { surroundings } from './surroundings';

export interface Load {
  /** How deep the thread of what stands on the rig is, m. */
  readonly socketDepth: number;
}

export const withHardware = (stored: Rig, load: Load | null = null): Rig => hardwareOf(stored, load).rig;

/** With what of its connections does not hold. */
export function hardwareOf(
  stored: Rig,
  load: Load | null,
): { readonly rig: Rig; readonly faults: readonly ConnectionFault[] } {
  const rig = load ? intoSocket(withoutHardware(stored), load) : withoutHardware(stored);
  const fillers = rig.bodies.map(jointFillers);
  if (rig.bodies.every((b, i) => !b.connections?.length && fillers[i]!.length === 0)) return { rig, faults: [] };
  const faults: ConnectionFault[] = [];
  const counts = new Map(rig.bodies.flatMap((b) => b.stations).map((s) => [s.id, s.count]));
  const around = surroundings(rig, (station) => counts.get(station) ?? 0);
  const brought = new Map<string, string[]>();
  const goAlong = (part: Part, piece: string): void => {
    const datum = part.goesWith ?? piece;
    brought.set(datum, [...(brought.get(datum) ?? []), part.id]);
  };
  const slotFor = slotsOf(rig);
  const all = rig.bodies.map((body) =>
    (body.connections ?? []).map((stated) => ({ stated, ...resolve(stated, around) })),
  );
  // A bolt that something turns on passes pieces of two bodies.
  const wanted = holesByPiece(all.flat().map((r) => r.connection));
  const bodies = rig.bodies.map((body, i) => {
    const resolved = all[i]!;
    for (const { stated, parts, faults: broken } of resolved) {
      faults.push(...broken);
      for (const part of parts) {
        goAlong(part, datumOf(stated));
      }
    }
    for (const part of fillers[i]!) goAlong(part, part.by!);
    return {
      ...body,
      members: body.members.map((m) => memberDrilled(m, body, wanted)),
      parts: [
        ...body.parts.map((p) => partDrilled(p, wanted, slotFor)),
        ...[...resolved.flatMap((r) => r.parts), ...fillers[i]!].map((p) => priced(p, rig.prices)),
      ],
    };
  });
  // Hardware goes along with the piece its place is given on.
  const adjusters = rig.adjusters.map((a) => {
    const along = a.moves.flatMap((m) => (m.kind === 'part' || m.kind === 'member' ? (brought.get(m.id) ?? []) : []));
    return along.length === 0
      ? a
      : { ...a, moves: [...a.moves, ...along.map((id) => ({ kind: 'part' as const, id }))] };
  });
  return { rig: { ...rig, bodies, adjusters }, faults };
}

/** A screw that slides along with its piece needs a slot in what stays: as long as the way it goes. */
function slotsOf(rig: Rig): SlotFor {
  const datum = new Map(rig.bodies.flatMap((b) => b.connections ?? []).map((c) => [c.id, datumOf(c)]));
  const slides = rig.adjusters.filter((a) => a.kind === 'slide' && a.axis);
  const bodyOf = new Map(rig.bodies.flatMap((b) => [...b.parts, ...b.members, ...b.joints].map((e) => [e.id, b.id])));
  const moves = (a: Rig['adjusters'][number], id: string): boolean =>
    a.moves.some((m) => m.id === id || (m.kind === 'body' && m.id === bodyOf.get(id)));
  return (connection, piece) => {
    const on = datum.get(connection);
    if (on === undefined || on === piece) return null;
    const slide = slides.find((a) => moves(a, on) !== moves(a, piece));
    if (!slide) return null;
    const [least, most] = slide.range;
    const sense = moves(slide, on) ? 1 : -1;
    const axis = unit(slide.axis!);
    return { by: scale(axis, most - least), middle: scale(axis, (sense * (least + most)) / 2) };
  };
}

const priced = (part: Part, prices: Rig['prices']): Part => {
  const price = part.supply && prices?.[part.supply.item];
  return price === undefined ? part : { ...part, supply: { ...part.supply!, packPrice: price } };
};

/** Screws into the load go as deep as its own thread allows. */
const intoSocket = (rig: Rig, { socketDepth }: Load): Rig => ({
  ...rig,
  bodies: rig.bodies.map((b) =>
    b.connections
      ? {
          ...b,
          connections: b.connections.map((c) =>
            c.kind === 'bolted' && c.end.kind === 'camera' ? { ...c, end: { kind: 'camera', depth: socketDepth } } : c,
          ),
        }
      : b,
  ),
});

/** As it is stored. */
export function withoutHardware(rig: Rig): Rig {
  const isBare = (b: Rig['bodies'][number]): boolean =>
    !b.parts.some((p) => p.by ?? p.holes?.some((h) => h.by)) && !b.members.some((m) => m.holes.some((h) => h.by));
  if (rig.bodies.every(isBare)) return rig;
  const brought = new Set(rig.bodies.flatMap((b) => b.parts.filter((p) => p.by).map((p) => p.id)));
  const own = <T extends { readonly by?: string | undefined }>(list: readonly T[]): T[] => list.filter((x) => !x.by);
  return {
    ...rig,
    bodies: rig.bodies.map((b) => ({
      ...b,
      members: b.members.map((m) => (m.holes.some((h) => h.by) ? { ...m, holes: own(m.holes) } : m)),
      parts: own(b.parts).map((p) => {
        if (!p.holes?.some((h) => h.by)) return p;
        const { holes, ...rest } = p;
        const left = own(holes);
        return left.length === 0 ? rest : { ...rest, holes: left };
      }),
    })),
    adjusters: rig.adjusters.map((a) => ({ ...a, moves: a.moves.filter((m) => !brought.has(m.id)) })),
  };
}
