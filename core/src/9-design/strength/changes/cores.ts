/** A tube filled where it is weak or bends most: wood all through what of it is free, a metal plug round the weakest place; screws across it go through both. */
import { addScaled, dot, figure, length, say, subtract, type Vec3 } from '../../../0-base';
import type { FlatBody } from '../../../1-load';
import {
  coreFor,
  CORE_EDGE,
  crossesTube,
  doubled,
  SHORTEST_DOUBLER,
  withoutHardware,
  type Face,
} from '../../../2-frame';
import type { Rig } from '../../../model';
import type { Stiffener, StiffChange } from '../stiffener';
import { pastScrews, spots, weakPlaces, type Doubling, type Stretch, type WeakPlace } from '../weakPlaces';

/** No longer than is pushed in before the glue grabs, m. */
const AT_MOST = 0.6;

export const cores: Stiffener = {
  id: 'cores',
  tries: (work, now) => weakPlaces(work, now).flatMap((place) => fillings(place, withoutHardware(work.rig))),
};

function fillings(place: WeakPlace, bare: Rig): readonly StiffChange[] {
  const { body, called, target, face, where, twin } = place;
  const { bore } = face;
  if (bore === null) return [];
  const across = (body.connections ?? []).flatMap((c) => {
    const u = crossesTube(c, target, face);
    return u === null ? [] : [{ id: c.id, u, reach: CORE_EDGE * bore }];
  });
  const blocked = [...standingIn(place, bore, new Set(across.map((c) => c.id))), ...heated(place)];
  const [whole, round] = spots(place, blocked, AT_MOST);
  return (
    [
      ['oak', whole],
      ['aluminium', round ?? whole],
    ] as const
  ).flatMap(([material, free]): StiffChange[] => {
    const stock = coreFor(bore, material);
    if (!stock || !free) return [];
    const [from, to] = pastScrews(free, across);
    if (to - from < SHORTEST_DOUBLER) return [];
    const laid = { from, to, stock: stock.name, core: { bore, material } };
    const changes: readonly Doubling[] = [where, ...(twin ? [twin.where] : [])].map((at) => ({
      ...at('inside'),
      ...laid,
    }));
    const isMade = changes.every(
      ({ id: member, core: _core, ...c }) => doubled(bare, { ...c, member, stock }).kind === 'made',
    );
    if (!isMade) return [];
    return [
      {
        name: called,
        to: say`filled with an ${stock.name}, ${figure('length', to - from)} long`,
        changes,
      },
    ];
  });
}

/** Along the tube, what reaches into its bore; but for screws across it. */
const standingIn = ({ beside, face }: WeakPlace, bore: number, across: ReadonlySet<string>): readonly Stretch[] =>
  beside.flatMap(({ flat, by, reach: [u, v, w] }) => {
    if ((by !== null && across.has(by)) || isRoundIt(flat, face, bore)) return [];
    return [v, w].every(([low, high]) => low < bore / 2 && high > -bore / 2) ? [u] : [];
  });

/** Soldered later, an end burns wood and glue that are near it, m. */
const HOT = 0.05;
function heated({ body, face, target }: WeakPlace): readonly Stretch[] {
  const member = body.members.find((m) => m.id === target);
  const isHot = (node: string | undefined): boolean =>
    body.joints.some((j) => j.node === node && j.hold === 'soldered' && j.joins.includes(target));
  return [
    ...(isHot(member?.from) ? [[-HOT, HOT] as const] : []),
    ...(isHot(member?.to) ? [[face.size - HOT, face.size + HOT] as const] : []),
  ];
}

/** A sleeve, grip or fitting whose own bore is round the tube leaves its inside free. */
function isRoundIt({ shape, rotation, at }: FlatBody, { start, along }: Face, bore: number): boolean {
  if (shape.kind !== 'tube' || shape.innerRadius < bore / 2) return false;
  const axis: Vec3 = [rotation[0][2], rotation[1][2], rotation[2][2]];
  const off = subtract(at, start);
  return Math.abs(dot(axis, along)) > 0.999 && length(addScaled(off, along, -dot(off, along))) < 0.001;
}
