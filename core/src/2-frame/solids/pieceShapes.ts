/** Every piece of a rig where the adjusters put it: the bodies it is made of, the holes cut in it, the planes it is mitred at. What solids are cast from, and what lines are sent through. */
import { add, addScaled, length, scale, subtract, unit, type Vec3 } from '../../0-base';
import { shifted, type FlatBody } from '../../1-load';
import type { Rig } from '../../model';
import { placedPieces, type AdjusterValues, type Assembly } from '../assemble';
import type { Connection } from '../connections/connection';

/** A straight hole from `at` along `way`, m. */
export interface Bored {
  readonly at: Vec3;
  readonly way: Vec3;
  readonly diameter: number;
  readonly depth: number;
}
/** What lies on the far side, to which the normal points, is sawn off. */
export interface Plane {
  readonly normal: Vec3;
  readonly at: Vec3;
}
export interface PieceShape {
  readonly id: string;
  readonly name: string;
  readonly flats: readonly FlatBody[];
  readonly holes: readonly Bored[];
  readonly mitres: readonly Plane[];
}

/** Tape, glue and paste are squeezed into what is free: they are no solids. A row of washers is one, under its station's id. */
export function pieceShapes(
  assembly: Assembly,
  values: AdjusterValues,
  connections: readonly Connection[],
): readonly PieceShape[] {
  const { rig } = assembly;
  const squeezed = new Set(rig.bodies.flatMap((b) => b.parts).flatMap((p) => (p.uses ? [p.id] : [])));
  // Holes and mitres are worked out as drawn, and go along with their piece to where it is set.
  const drawn = {
    ...values,
    ...Object.fromEntries(rig.adjusters.flatMap((a) => (a.kind === 'count' ? [] : [[a.id, 0]]))),
  };
  const set = placedPieces(assembly, values);
  const pieces = new Map<string, { readonly flats: FlatBody[]; readonly shift: Vec3 }>();
  placedPieces(assembly, drawn).forEach(({ flat, isLoad }, i) => {
    if (isLoad || squeezed.has(flat.owner)) return;
    const found = pieces.get(flat.owner) ?? { flats: [], shift: subtract(set[i]!.flat.at, flat.at) };
    pieces.set(flat.owner, found);
    found.flats.push(flat);
  });
  const holes = holesOf(connections, assembly);
  const mitres = mitresOf(rig);
  return [...pieces].map(([id, { flats, shift }]) => ({
    id,
    name: flats[0]!.name,
    flats: flats.map((f) => shifted(f, shift)),
    holes: (holes.get(id) ?? []).map((h) => ({ ...h, at: add(h.at, shift) })),
    mitres: (mitres.get(id) ?? []).map((m) => ({ ...m, at: add(m.at, shift) })),
  }));
}

/** Where two straight members of a body meet without a fitting, each ends at the plane half-way between them. */
function mitresOf({ bodies }: Rig): ReadonlyMap<string, readonly Plane[]> {
  const found = new Map<string, Plane[]>();
  for (const body of bodies) {
    const at = new Map(body.nodes.map((n) => [n.id, n.at]));
    const fitted = new Set(body.joints.map((j) => j.node));
    for (const node of body.nodes) {
      const meet = body.members.filter((m) => m.path.kind === 'straight' && (m.from === node.id || m.to === node.id));
      if (fitted.has(node.id) || meet.length !== 2) continue;
      const [first, second] = meet.map((m) => unit(subtract(at.get(m.from === node.id ? m.to : m.from)!, node.at)));
      const across = subtract(first!, second!);
      if (length(across) < SAME_WAY) continue;
      [1, -1].forEach((side, i) => {
        const id = meet[i]!.id;
        found.set(id, [...(found.get(id) ?? []), { normal: scale(unit(across), -side), at: node.at }]);
      });
    }
  }
  return found;
}
/** Two that lie on each other have no plane between them. */
const SAME_WAY = 1e-6;

/** A hole goes as deep as its layer is thick, or its thread; where it slides it is cut at both ends of its slot and between. */
function holesOf(connections: readonly Connection[], { rig }: Assembly): ReadonlyMap<string, readonly Bored[]> {
  const slots = new Map(
    rig.bodies.flatMap((b) =>
      b.parts.flatMap((p) =>
        (p.holes ?? []).flatMap((h) => (h.slot && h.by ? [[`${p.of ?? p.id} ${h.by}`, h.slot] as const] : [])),
      ),
    ),
  );
  const found = new Map<string, Bored[]>();
  for (const c of connections)
    for (const { piece, at, axis, diameter, deep, recess } of c.holes) {
      const thick = c.stack?.reduce((sum, l) => sum + (l.piece === piece ? l.thickness : 0), 0) ?? 0;
      const depth = deep ?? (thick > 0 ? (recess?.depth ?? 0) + thick + SKIN : THROUGH);
      const way = unit(axis);
      const slot = slots.get(`${piece} ${c.id}`);
      const along = slot ? Math.max(2, Math.ceil((2 * length(slot)) / diameter)) : 0;
      const places = slot ? Array.from({ length: along + 1 }, (_, i) => addScaled(at, slot, i / along - 0.5)) : [at];
      found.set(piece, [
        ...(found.get(piece) ?? []),
        ...places.map((p) => ({ at: p, way, diameter, depth })),
        ...(recess ? [{ at, way, ...recess }] : []),
      ]);
    }
  return found;
}
/** Past the far face, m, so that no skin stays. */
const SKIN = 0.001;
/** Where a connection does not say how thick what it passes is, m. */
const THROUGH = 0.03;
