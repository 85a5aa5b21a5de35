/** Every piece of a rig that a hand picks up, where the adjusters put it, with what is done to it. */
import { boundingBox, boxRound, massCentre, sumsOf, type FlatBody } from '../../1-load';
import { barPlans, type BarMark } from '../../5-stock';
import {
  drilledElsewhere,
  isPrinted,
  printedParts,
  placedPieces,
  sawnParts,
  washerId,
  type AdjusterValues,
  type Assembly,
  type Connection,
} from '../../2-frame';
import { cutId, flattenId, printId, shapeId } from '../../6-build';
import type { WholePiece } from '../../contract';
import type { Rig } from '../../model';

type Operation = WholePiece['made'][number];

export function piecesOf(
  assembly: Assembly,
  values: AdjusterValues,
  connections: readonly Connection[],
): readonly WholePiece[] {
  const { rig } = assembly;
  const byOwner = new Map<string, { readonly body: string; readonly flats: FlatBody[] }>();
  for (const { body, flat, isLoad } of placedPieces(assembly, values)) {
    if (isLoad) continue;
    const group = byOwner.get(flat.owner) ?? { body, flats: [] };
    byOwner.set(flat.owner, group);
    group.flats.push(flat);
  }
  const kinds = kindsOf(rig);
  const made = madeOf(rig, connections);
  const stations = new Map(rig.bodies.flatMap((b) => b.stations).map((s) => [s.id, s]));
  return [...byOwner].flatMap(([owner, { body, flats }]): readonly WholePiece[] => {
    const station = stations.get(owner);
    if (station) return washersOf(flats[0]!, station.washer, body, owner);
    const sums = sumsOf(flats);
    return [
      {
        id: owner,
        name: flats[0]!.name,
        kind: kinds.get(owner)?.kind ?? 'bought',
        mass: sums.mass,
        massCentre: massCentre(sums),
        material: kinds.get(owner)?.material ?? null,
        box: boxRound(flats.map(boundingBox)),
        made: made.get(owner) ?? [],
        body,
      },
    ];
  });
}

/** A stack is one tube in the sums; in the hand it is so many washers. */
function washersOf(
  stack: FlatBody,
  { name, thickness, material }: Rig['bodies'][number]['stations'][number]['washer'],
  body: string,
  station: string,
): readonly WholePiece[] {
  if (stack.shape.kind !== 'tube') return [];
  const { length, ...round } = stack.shape;
  const count = Math.round(length / thickness);
  return Array.from({ length: count }, (_, i) => {
    const off = (i + 0.5) * thickness - length / 2;
    const at = stack.at.map((v, k) => v + stack.rotation[k as 0]![2] * off) as unknown as FlatBody['at'];
    return {
      id: washerId(station, i + 1),
      name,
      kind: 'weight' as const,
      mass: stack.mass / count,
      massCentre: at,
      material,
      box: boundingBox({ shape: { ...round, length: thickness }, at, rotation: stack.rotation }),
      made: [],
      body,
    };
  });
}

type Kind = Pick<WholePiece, 'kind' | 'material'>;

function kindsOf(rig: Rig): ReadonlyMap<string, Kind> {
  const kinds = new Map<string, Kind>();
  for (const { members, parts, joints } of rig.bodies) {
    for (const m of members) kinds.set(m.id, { kind: 'cut', material: m.stock.material });
    for (const p of parts)
      kinds.set(p.id, {
        kind: p.uses
          ? 'consumable'
          : p.by
            ? 'fastener'
            : isPrinted(p) && !p.of
              ? 'print'
              : // A tube comes with its bore.
                p.supply && (!p.supply.sawn || p.shape.kind === 'tube')
                ? 'bought'
                : 'cut',
        material: p.material ?? null,
      });
    for (const j of joints)
      kinds.set(j.id, { kind: j.hub ? 'fitting' : 'fastener', material: j.hub?.material ?? null });
  }
  return kinds;
}

const OPERATION: Readonly<Record<BarMark['kind'], Operation['kind'] | null>> = {
  bendStart: null,
  bendMiddle: 'bend',
  bendEnd: null,
  hole: 'hole',
  finishedEnd: 'cut',
};

/** Sawn and bent members by their plans; plates and fittings by the holes their connections need. */
function madeOf(rig: Rig, connections: readonly Connection[]): ReadonlyMap<string, readonly Operation[]> {
  const made = new Map<string, readonly Operation[]>();
  const members = rig.bodies.flatMap((b) => b.members);
  const flat = new Set(members.flatMap((m) => (m.flattened ? [m.id] : [])));
  const outlined = new Set(members.flatMap((m) => (m.outline ? [m.id] : [])));
  for (const plan of barPlans(rig))
    made.set(plan.member, [
      { id: cutId(plan.member), kind: 'cut' },
      ...(flat.has(plan.member) ? [{ id: flattenId(plan.member), kind: 'flatten' as const }] : []),
      ...(outlined.has(plan.member) ? [{ id: shapeId(plan.member), kind: 'shape' as const }] : []),
      ...plan.marks.flatMap((m): Operation[] => {
        const kind = OPERATION[m.kind];
        return kind ? [{ id: m.id, kind, ...(m.last ? { last: true } : {}) }] : [];
      }),
    ]);
  for (const { id } of printedParts(rig)) made.set(id, [{ id: printId(id), kind: 'print' }]);
  for (const { id } of sawnParts(rig)) made.set(id, [{ id: cutId(id), kind: 'cut' }]);
  for (const { id, piece } of drilledElsewhere(rig, connections))
    made.set(piece, [...(made.get(piece) ?? []), { id, kind: 'hole' }]);
  return made;
}
