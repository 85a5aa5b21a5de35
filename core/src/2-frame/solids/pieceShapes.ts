/** Every piece of a rig where the adjusters put it: the bodies it is made of, the holes cut in it, the planes it is mitred at. What solids are cast from, and what lines are sent through. */
import { add, addScaled, length, subtract, unit, type Vec3 } from '../../0-base';
import { shifted, type FlatBody } from '../../1-load';
import { placedPieces, type AdjusterValues, type Assembly } from '../assemble';
import { mitresOf, pastNodes, type Plane } from '../members/mitres';
import type { Connection } from '../connections/connection';

/** A straight hole from `at` along `way`, m. */
export interface Bored {
  readonly at: Vec3;
  readonly way: Vec3;
  readonly diameter: number;
  readonly depth: number;
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
  const members = new Map(
    rig.bodies.flatMap((body) =>
      body.members.map(
        (m) => [m.id, { member: m, past: pastNodes(m, body), mitres: mitresOf(body).get(m.id) ?? [] }] as const,
      ),
    ),
  );
  return [...pieces].map(([id, { flats, shift }]) => ({
    id,
    name: flats[0]!.name,
    flats: flats.map((f) => {
      const of = members.get(id);
      return shifted(of && flats.length === 1 ? drawnOut(f, of.past) : f, shift);
    }),
    holes: (holes.get(id) ?? []).map((h) => ({ ...h, at: add(h.at, shift) })),
    mitres: (members.get(id)?.mitres ?? []).map(({ plane }) => ({ ...plane, at: add(plane.at, shift) })),
  }));
}

/** Round a mitre a member is drawn out to its long side before it is sawn. */
function drawnOut(flat: FlatBody, past: { readonly from: number; readonly to: number }): FlatBody {
  const more = past.from + past.to;
  if (more === 0 || (flat.shape.kind !== 'box' && flat.shape.kind !== 'tube')) return flat;
  const { shape } = flat;
  const k = shape.kind === 'box' ? 0 : 2;
  const run: Vec3 = [flat.rotation[0][k], flat.rotation[1][k], flat.rotation[2][k]];
  const at = addScaled(flat.at, run, (past.to - past.from) / 2);
  return shape.kind === 'box'
    ? { ...flat, at, shape: { ...shape, size: [shape.size[0] + more, shape.size[1], shape.size[2]] } }
    : { ...flat, at, shape: { ...shape, length: shape.length + more } };
}

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
