/** A loadout's items as flat bodies standing on the rig's mount: the tree of what stands on what, walked from its foot. */
import { add, alignZ, IDENTITY, multiply, rotationOf, sourceOf, transform, type Mat3, type Vec3 } from '../0-base';
import type { KitItem, Loadout, Mounted } from '../model';
import { itemFigures } from './estimate';
import { flatBody, type FlatBody } from './flatBody';

export interface LoadFault {
  readonly mounted: string;
  readonly reason: string;
}
export interface PlacedLoad {
  readonly bodies: readonly FlatBody[];
  readonly faults: readonly LoadFault[];
}
/** Where an entry's foot stands and how it is turned, with the mount's foot at the origin. */
export interface PlacedItem {
  readonly entry: Mounted;
  readonly item: KitItem;
  readonly at: Vec3;
  readonly turn: Mat3;
  /** The rig's piece it stands on by itself, or by what it stands on; null on the mount. */
  readonly carriedBy: string | null;
}
/** A place of the rig's own, by the piece that has it, against the mount: origin at its foot, its own axes. */
export interface OnRig {
  readonly piece: string;
  readonly at: Vec3;
  readonly turn: Mat3;
}
export type PlacesOnRig = ReadonlyMap<string, OnRig>;
const NO_PLACES: PlacesOnRig = new Map();
export interface PlacedItems {
  readonly items: readonly PlacedItem[];
  readonly faults: readonly LoadFault[];
}

/** Bodies relative to the mount (its foot at the origin). An entry that cannot be placed is left out and reported. */
export function placeLoad(
  loadout: Loadout,
  kit: ReadonlyMap<string, KitItem>,
  onRig: PlacesOnRig = NO_PLACES,
): PlacedLoad {
  const { items, faults } = placeItems(loadout, kit, onRig);
  return { bodies: items.map(bodyOf), faults };
}

/** On a rig that has the place an entry asks for it stands there; with no rig, or on one without, where it stands otherwise. */
export function placeItems(
  loadout: Loadout,
  kit: ReadonlyMap<string, KitItem>,
  onRig: PlacesOnRig = NO_PLACES,
): PlacedItems {
  const entries = new Map(loadout.items.map((m) => [m.id, m]));
  const known = new Map<string, Place>();
  const faults: LoadFault[] = [];
  const items: PlacedItem[] = [];
  for (const entry of loadout.items) {
    const place = placeOf(entry, { entries, kit, onRig, known }, []);
    if ('reason' in place) faults.push({ mounted: entry.id, reason: place.reason });
    else items.push({ entry, ...place });
  }
  return { items, faults };
}

type Place =
  | { readonly at: Vec3; readonly turn: Mat3; readonly item: KitItem; readonly carriedBy: string | null }
  | { readonly reason: string };
interface Tree {
  readonly entries: ReadonlyMap<string, Mounted>;
  readonly kit: ReadonlyMap<string, KitItem>;
  readonly onRig: PlacesOnRig;
  readonly known: Map<string, Place>;
}

function placeOf(entry: Mounted, tree: Tree, path: readonly string[]): Place {
  const before = tree.known.get(entry.id);
  if (before) return before;
  const place = worked(entry, tree, path);
  // A loop is told of each entry in it by its own name, so only places are kept.
  if (!('reason' in place)) tree.known.set(entry.id, place);
  return place;
}

function worked(entry: Mounted, tree: Tree, path: readonly string[]): Place {
  const { entries, kit, onRig } = tree;
  const item = kit.get(entry.item);
  if (!item) return { reason: `The item “${entry.item}” is not in the kit.` };
  if (path.includes(entry.id)) return { reason: `${item.name} stands on itself, by way of ${path.length} other.` };
  const ownTurn = entry.turn ? rotationOf(entry.turn) : IDENTITY;
  const own = entry.onRig === undefined ? undefined : onRig.get(entry.onRig);
  if (own)
    return {
      at: add(own.at, turned(own.turn, entry.offset)),
      turn: multiply(own.turn, ownTurn),
      item,
      carriedBy: own.piece,
    };
  if (!entry.on) return { at: entry.offset, turn: ownTurn, item, carriedBy: null };
  const below = entries.get(entry.on.mounted);
  if (!below) return { reason: `${item.name} stands on something that is not in this loadout.` };
  const foot = placeOf(below, tree, [...path, entry.id]);
  if ('reason' in foot) return foot;
  const wanted = entry.on.point;
  const point = foot.item.mountPoints.find((p) => p.id === wanted);
  if (!point) return { reason: `${foot.item.name} has no mounting point “${wanted}” for ${item.name}.` };
  // Most things stand square: no sum is done for a turn that is none.
  const turn = ownTurn === IDENTITY ? foot.turn : foot.turn === IDENTITY ? ownTurn : multiply(foot.turn, ownTurn);
  return { at: add(foot.at, turned(foot.turn, add(point.at, entry.offset))), turn, item, carriedBy: foot.carriedBy };
}

const ALONG_X = alignZ([1, 0, 0]); // a cylinder's own axis is local z, an item's cylinder lies along x

function bodyOf({ entry, item, at, turn, carriedBy }: PlacedItem): FlatBody {
  const [length, width, height] = item.size;
  const figures = itemFigures(item, entry.states);
  const round = item.form === 'cylinder';
  const body = flatBody({
    id: entry.id,
    name: item.name,
    owner: entry.id,
    shape: round
      ? { kind: 'tube', outerRadius: (width + height) / 4, innerRadius: 0, length }
      : { kind: 'box', size: [length, width, height] },
    at: add(at, transform(turn, item.boxCentre)),
    rotation: round ? multiply(turn, ALONG_X) : turn,
    mass: { value: figures.mass, spread: figures.massSpread, source: sourceOf(`mass of ${item.name}`, item.id) },
    massFrom: figures.weighed ? 'measured' : 'estimate',
    centre: add(at, transform(turn, figures.centre)),
    centreSpread: turnedSpread(turn, figures.centreSpread),
    look: 'gear',
  });
  return carriedBy === null ? body : { ...body, carriedBy };
}

/** The same vector when there is no turn. */
export const turned = (turn: Mat3, v: Vec3): Vec3 => (turn === IDENTITY ? v : transform(turn, v));

/** Independent spreads along an item's own axes, seen along the rig's: variances turn with the square of the cosines. */
export function turnedSpread(turn: Mat3, spread: Vec3): Vec3 {
  if (turn === IDENTITY) return spread;
  return turn.map((row) => Math.hypot(row[0] * spread[0], row[1] * spread[1], row[2] * spread[2])) as unknown as Vec3;
}
