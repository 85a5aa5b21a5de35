/** What the lens takes in: its angles of view from sensor, focal length, crop and squeeze, and the cone drawn from its front. */
import { add, transform, type Vec3 } from '../0-base';
import type { KitItem, Loadout } from '../model';
import { fieldOfView } from './fieldOfView';
import { placeItems, type PlacedItem } from './placeLoad';

export interface View2 {
  readonly focalLength: number;
  /** Full angles across and up the picture, rad. */
  readonly across: number;
  readonly up: number;
  /** Corner to corner, rad. */
  readonly corner: number;
}
export interface LensCone {
  /** The mounted entry of the lens, and of the body whose sensor it is. */
  readonly lens: string;
  readonly body: string;
  /**
   * Middle of the lens's front face, m from the mount, and the radius of that face. The true apex lies behind it, at a
   * place only the maker of the lens knows; every ray passes the face, so a cone widening from its rim holds them all.
   */
  readonly front: Vec3;
  readonly frontRadius: number;
  readonly forward: Vec3;
  readonly left: Vec3;
  readonly up: Vec3;
  readonly wide: View2;
  readonly long: View2;
}
export type ConeOutcome =
  | { readonly kind: 'cone'; readonly cone: LensCone }
  | { readonly kind: 'notKnown'; readonly about: string | null; readonly measure: string };

/**
 * Angles are 2 atan(w/2f) for a lens at infinity; crop divides the sensor's sides, squeeze multiplies its width. One cone
 * for each body with a sensor. A fisheye does not follow this law: its own data sheet does.
 */
export function lensCones(
  loadout: Loadout,
  kit: ReadonlyMap<string, KitItem>,
  placed = placeItems(loadout, kit).items,
): readonly ConeOutcome[] {
  const bodies = placed.filter((p) => p.item.sensor || ['camera', 'action camera', 'phone'].includes(p.item.class));
  return bodies.map((body) => coneOf(body, placed));
}

function coneOf(body: PlacedItem, placed: readonly PlacedItem[]): ConeOutcome {
  if (!body.item.sensor)
    return {
      kind: 'notKnown',
      about: body.entry.id,
      measure: `Type the sensor’s width and height of ${body.item.name}: its manual has them.`,
    };
  const above = placed.filter((p) => standsOn(p, body.entry.id, placed));
  const lens = above.find((p) => p.item.class === 'lens') ?? (body.item.focalLength ? body : null);
  if (!lens) return { kind: 'notKnown', about: body.entry.id, measure: `${body.item.name} has no lens on it.` };
  const focal = focalRange(lens);
  if (!focal)
    return {
      kind: 'notKnown',
      about: lens.entry.id,
      measure: `Type the focal length of ${lens.item.name}: it stands on its front.`,
    };
  const squeeze = [lens, ...above.filter((p) => standsOn(p, lens.entry.id, placed))].reduce(
    (s, p) => s * (p.item.squeeze ?? 1),
    1,
  );
  const { width, height, crop = 1 } = body.item.sensor;
  const view = (focalLength: number): View2 => {
    const [w, h] = [(width / crop) * squeeze, height / crop];
    return {
      focalLength,
      across: fieldOfView(w, focalLength),
      up: fieldOfView(h, focalLength),
      corner: fieldOfView(Math.hypot(w, h), focalLength),
    };
  };
  const { size, boxCentre } = lens.item;
  const axis = (v: Vec3): Vec3 => transform(lens.turn, v);
  return {
    kind: 'cone',
    cone: {
      lens: lens.entry.id,
      body: body.entry.id,
      front: add(lens.at, axis([boxCentre[0] + size[0] / 2, boxCentre[1], boxCentre[2]])),
      frontRadius: lens === body ? 0 : (size[1] + size[2]) / 4,
      forward: axis([1, 0, 0]),
      left: axis([0, 1, 0]),
      up: axis([0, 0, 1]),
      wide: view(focal.shortest),
      long: view(focal.longest),
    },
  };
}

/** A zoom set to one of its states has that state's focal length; left open it has its whole range. */
function focalRange({ item, entry }: PlacedItem): KitItem['focalLength'] | null {
  const ofStates = (wanted: (state: string, choice: string) => boolean): number[] =>
    (item.states ?? []).flatMap((s) =>
      s.choices.flatMap((c) => (c.focalLength !== undefined && wanted(s.id, c.id) ? [c.focalLength] : [])),
    );
  const set = ofStates((state, choice) => entry.states?.[state] === choice);
  if (set.length > 0) return { shortest: set[0]!, longest: set[0]! };
  if (item.focalLength) return item.focalLength;
  const open = ofStates(() => true);
  return open.length > 0 ? { shortest: Math.min(...open), longest: Math.max(...open) } : null;
}

/** Directly, or by way of others. */
function standsOn(p: PlacedItem, below: string, placed: readonly PlacedItem[]): boolean {
  for (let on = p.entry.on?.mounted, steps = 0; on && steps <= placed.length; steps++) {
    if (on === below) return true;
    on = placed.find((q) => q.entry.id === on)?.entry.on?.mounted;
  }
  return false;
}
