/** Every piece of a rig as one closed mesh where the adjusters put it, its holes cut: what the proof that nothing stands inside another is made on. */
import { addScaled, dot, length, scale, subtract, unit, type Vec3 } from '../../0-base';
import type { FlatBody } from '../../1-load';
import type { Rig } from '../../model';
import { placedPieces, type AdjusterValues, type Assembly } from '../assemble';
import type { Connection } from '../connections/connection';
import { castOf, hole, MM } from './meshOf';
import type { Mesh, SolidKit } from './solidKit';

export interface PieceSolid {
  readonly id: string;
  readonly name: string;
  readonly mesh: Mesh;
  /** Axis-parallel box round it, mm. */
  readonly low: readonly [number, number, number];
  readonly high: readonly [number, number, number];
  /** The same words for the same solid in the same place relative to nothing: what answers are kept by. */
  readonly key: string;
}

/** Tape, glue and paste are squeezed into what is free: they are no solids. A row of washers is one, under its station's id. */
export function pieceSolids(
  kit: SolidKit,
  assembly: Assembly,
  values: AdjusterValues,
  connections: readonly Connection[],
): readonly PieceSolid[] {
  const { rig } = assembly;
  const squeezed = new Set(rig.bodies.flatMap((b) => b.parts).flatMap((p) => (p.uses ? [p.id] : [])));
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
  return [...pieces].flatMap(([id, { flats, shift }]): readonly PieceSolid[] => {
    const cut = holes.get(id) ?? [];
    const whole = solidOfPiece(kit, flats, cut);
    if (!whole) return [];
    const mesh = (mitres.get(id) ?? []).reduce(
      (m, { normal, at }) => m.trimByPlane([...normal], dot(normal, at) * MM),
      whole,
    );
    const placed = mesh.translate(shift.map((x) => x * MM) as unknown as [number, number, number]);
    const { min, max } = placed.boundingBox();
    return [
      {
        id,
        name: flats[0]!.name,
        mesh: placed,
        low: [min[0], min[1], min[2]],
        high: [max[0], max[1], max[2]],
        key: JSON.stringify([flats.map((f) => [f.shape, f.outline, f.at, f.rotation]), cut, shift]),
      },
    ];
  });
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
        found.set(id, [...(found.get(id) ?? []), { normal: scale(unit(across), side), at: node.at }]);
      });
    }
  }
  return found;
}
interface Plane {
  readonly normal: Vec3;
  readonly at: Vec3;
}
/** Two that lie on each other have no plane between them. */
const SAME_WAY = 1e-6;

/** All outsides together, less all bores: an elbow's arm does not close the other. */
function solidOfPiece(kit: SolidKit, flats: readonly FlatBody[], holes: readonly Bored[]): Mesh | null {
  const casts = flats.flatMap((f) => castOf(kit, f) ?? []);
  if (casts.length === 0) return null;
  const { Manifold } = kit;
  const solid = Manifold.union(casts.map((c) => c.outside));
  const bores = [
    ...casts.flatMap((c) => (c.bore ? [c.bore] : [])),
    ...holes.map((h) => hole(kit, h.at, h.way, h.diameter, h.depth)),
  ];
  return bores.length === 0 ? solid : solid.subtract(Manifold.union(bores));
}

interface Bored {
  readonly at: Vec3;
  readonly way: Vec3;
  readonly diameter: number;
  readonly depth: number;
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
