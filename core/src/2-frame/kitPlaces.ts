/** Where a rig takes kit beside its load: shoes and rails that its pieces have, and the holes of plates that nothing else uses. */
import {
  addScaled,
  alignZ,
  dot,
  IDENTITY,
  multiply,
  rotationOf,
  scale,
  subtract,
  transform,
  say,
  transpose,
  type Judgement,
  type Vec3,
} from '../0-base';
import type { PlacesOnRig } from '../1-load';
import type { KitItem, KitPlace, Loadout, Part, Rig } from '../model';

export interface KitPlaceOnRig extends KitPlace {
  readonly piece: string;
}

/** Kit screws are 1/4 or 3/8 of an inch: holes from close on the one to wide on the other, m. */
const SCREW_HOLES = [0.0064, 0.011] as const;

export const kitPlaces = (rig: Rig): readonly KitPlaceOnRig[] =>
  rig.bodies
    .flatMap((b) => b.parts.filter((p) => !p.by))
    .flatMap((part) => [...(part.takes ?? []), ...freeHoles(part)].map((place) => ({ ...place, piece: part.id })));

/** On the side that looks up, or out where neither does. */
function freeHoles(part: Part): readonly KitPlace[] {
  const { shape, at, turn } = part;
  if (shape.kind !== 'box') return [];
  const free = (part.holes ?? []).filter((h) => !h.by && h.diameter >= SCREW_HOLES[0] && h.diameter <= SCREW_HOLES[1]);
  const inwards = transpose(turn ? rotationOf(turn) : IDENTITY);
  return free.map((hole, i) => {
    const up = hole.axis[2] < 0 ? scale(hole.axis, -1) : hole.axis;
    const local = transform(inwards, up);
    const half = Math.abs(dot(local, shape.size)) / 2;
    const off = dot(subtract(hole.at, at), up);
    return {
      id: `${part.id}/free-hole/${i + 1}`,
      name: free.length === 1 ? `hole of the ${part.name}` : `hole ${i + 1} of the ${part.name}`,
      at: addScaled(hole.at, up, half - off),
      up,
      kind: 'thread' as const,
    };
  });
}

/** Against the mount as the load is placed, with all adjusters at zero; none on a rig that takes no load. */
export function placesOnRig(rig: Rig): PlacesOnRig {
  const holder = rig.bodies.flatMap((b) => b.parts).find((p) => p.mount);
  if (!holder?.mount) return new Map();
  const { mount } = holder;
  const back = transpose(holder.mountTurn ? rotationOf(holder.mountTurn) : IDENTITY);
  return new Map(
    kitPlaces(rig).map(({ id, piece, at, up }) => [
      id,
      {
        piece,
        at: transform(back, subtract(at, mount)),
        turn: multiply(back, isUp(up) ? IDENTITY : alignZ(up)),
      },
    ]),
  );
}
const isUp = (up: Vec3): boolean => up[2] > 1 - 1e-12;

/** Kit that asks for a place of the rig's own which this one has not. */
export function placesMissing(rig: Rig, loadout: Loadout, kit: ReadonlyMap<string, KitItem>): readonly Judgement[] {
  const asked = loadout.items.filter((m) => m.onRig !== undefined);
  if (asked.length === 0) return [];
  const known = new Set(kitPlaces(rig).map((p) => p.id));
  return asked
    .filter((m) => !known.has(m.onRig!))
    .map((m) => ({
      code: 'kitPlaceMissing',
      stage: 'load' as const,
      severity: 'mend' as const,
      about: m.id,
      figure: null,
      limit: null,
      title: say`This rig has not the place that ${kit.get(m.item)?.name ?? 'an item'} stands on.`,
      why: say`It was put on a shoe, rail or hole of another rig, or of this one before it was changed. It is reckoned ${m.on ? 'on the load' : 'on the mount'}.`,
      toDo: say`Say in Load where it stands on this rig.`,
      fixes: [],
    }));
}
