/** A rig as a frame of beams and rigid pieces: nothing here knows a family; all follows from pieces, joins, pivots and what holds it. */
import {
  addScaled,
  cross,
  dot,
  length,
  materialOf,
  NO_INERTIA,
  rotationAbout,
  rotationOf,
  scale,
  subtract,
  transform,
  transpose,
  unit,
  type Mat3,
  type Vec3,
} from '../../0-base';
import { bodiesBeyond, contactAt, pivotAt, valuesInOrder, type AdjusterValues, type Assembly } from '../../2-frame';
import type { Contact, Pivot, Pose, Rig } from '../../model';
import type { FrameEquipment, FrameLink, FrameMember, FrameModel, Six } from '../frame/frameModel';
import { axesAlong, heldBy, joinsOf, type Hole, type Join } from './joins';
import { joinStiffness, type JoinStiffness } from './joinStiffness';
import { nearestOn, pointOf, strengthPieces, type StrengthPiece } from './strengthPieces';
import { goesAlong, heldLike, type Held } from './heldLike';
import type { JointHeard, JointsHeard } from './knownJoints';

export const GRAVITY = 9.80665;

export interface RigFrameInput {
  readonly assembly: Assembly;
  readonly values: AdjusterValues;
  readonly pose: Pose | null;
  /** What holds it instead of what the pose names. */
  readonly on?: readonly Contact[];
  readonly held: Held;
  /** What flicks have said of its joints. */
  readonly joints?: JointsHeard | undefined;
  /** Pivots turn as they do in use, or stand still as they hang. */
  readonly pivots: 'free' | 'still';
}
export type LinkMeaning =
  | { readonly kind: 'join'; readonly join: Join; readonly stiffness: JoinStiffness }
  | { readonly kind: 'pivot'; readonly pivot: Pivot; readonly join: Join }
  | { readonly kind: 'contact'; readonly contact: Contact };
export interface RigFrame {
  readonly model: FrameModel;
  /** Down, in rig axes, m/s². */
  readonly gravity: Vec3;
  /** Of each member the piece that it is of. */
  readonly memberOf: readonly StrengthPiece[];
  readonly links: readonly LinkMeaning[];
  /** The node that carries the camera: its picture goes with it. */
  readonly camera: string | null;
  /** Pieces that hang on nothing which is held: they are left out. */
  readonly loose: readonly StrengthPiece[];
  /** Said to be of a material that nothing is known of: they weigh nothing and bend not at all. */
  readonly ofUnknown: readonly { readonly id: string; readonly name: string }[];
  readonly pieces: readonly StrengthPiece[];
  readonly holes: readonly Hole[];
}
export type RigFrameOutcome =
  | { readonly kind: 'framed'; readonly frame: RigFrame }
  /** Nothing says where it is held. */
  | { readonly kind: 'notHeld' };

/** Stations of a beam nearer than this are one, m. */
const SAME = 0.002;
/** Of a pivot that should be free but has no weight to right it, N m/rad: a light hand. */
const LIGHT = 0.3;
const STILL = 1e5;

export function rigFrame({
  assembly,
  values,
  pose,
  on: instead,
  held,
  joints: heard,
  pivots,
}: RigFrameInput): RigFrameOutcome {
  const { rig } = assembly;
  const pieces = strengthPieces(assembly, values);
  const { joins: told, rides, holes } = joinsOf(assembly, values, pieces);
  const byId = new Map(pieces.map((p) => [p.id, p]));
  const inOrder = valuesInOrder(rig, values);
  const joined = new Set(told.flatMap((j) => [j.from.id, j.to.id]));
  // Screws, nuts and washers weigh on what they go along with.
  const onto = new Map<string, string>([...rides].filter(([id]) => !joined.has(id)));
  const carrier = (id: string): string => {
    for (let seen = 0; onto.has(id) && seen < 20; seen++) id = onto.get(id)!;
    return id;
  };
  const joins = [...told, ...hardwareJoins(rides, joined, byId), ...pivotJoins(rig, told, pieces, onto)];
  const contacts = (instead ?? contactsOf(rig, pose)).flatMap((contact) => {
    const at = contactAt(rig, contact, inOrder);
    const on = nearestPiece(pieces, contact.body, at, onto);
    return on ? [{ contact, at, on }] : [];
  });
  if (contacts.length === 0) return { kind: 'notHeld' };

  const standing = new Set(
    reached(
      contacts.map((c) => c.on.id),
      joins,
    ),
  );
  const isIn = (p: StrengthPiece): boolean => standing.has(carrier(p.id));
  const kept = joins.filter((j) => standing.has(j.from.id));

  const stations = stationsOf(pieces.filter((p) => standing.has(p.id)));
  const attached = kept.map((join) => [stations.at(join.from, join.at), stations.at(join.to, join.at)] as const);
  const holding = contacts.map((c) => ({ ...c, node: stations.at(c.on, c.at) }));
  const riding = pieces
    .filter((p) => onto.has(p.id) && isIn(p))
    .map((p) => ({ piece: p, node: stations.at(byId.get(carrier(p.id))!, p.centre) }));

  const nodes = new Map<string, Vec3>(stations.nodes());
  const { members, memberOf } = stations.members();
  const links: FrameLink[] = [];
  const meanings: LinkMeaning[] = [];
  kept.forEach((join, i) => {
    const [from, to] = [attached[i]![0](), attached[i]![1]()];
    if (join.pivot) {
      const at = pivotAt(rig, join.pivot, inOrder);
      const { axes, six } = pivotStiffness(join.pivot, at, pivots, rightingOf(rig, join.pivot, at, pieces));
      links.push({ id: join.id, from, to, at, axes, stiffness: six });
      meanings.push({ kind: 'pivot', pivot: join.pivot, join });
      return;
    }
    const stiffness = asHeard(joinStiffness(join), heard?.get(join.id));
    links.push({ id: join.id, from, to, at: join.at, axes: axesAlong(join.axis) as Mat3, stiffness: stiffness.six });
    meanings.push({ kind: 'join', join, stiffness });
  });
  const supports = holding.map(({ contact, at, node }) => {
    const ground = `ground/${contact.id}`;
    nodes.set(ground, at);
    links.push({
      id: ground,
      from: node(),
      to: ground,
      at,
      axes: axesAlong([1, 0, 0]) as Mat3,
      stiffness: heldLike(contact, held),
    });
    meanings.push({ kind: 'contact', contact });
    return { node: ground, fixed: [true, true, true, true, true, true] as const };
  });
  const weigh = (piece: StrengthPiece, node: string): FrameEquipment => ({
    node,
    mass: piece.mass,
    offset: subtract(piece.centre, nodes.get(node)!),
    inertia: piece.inertia,
  });
  const equipment = [
    ...pieces.filter((p) => standing.has(p.id) && p.stretches.length === 0).map((p) => weigh(p, p.id)),
    ...riding.map(({ piece, node }) => weigh(piece, node())),
    ...holding.flatMap(({ contact, at, node }): readonly FrameEquipment[] => {
      const mass = goesAlong(contact, held);
      return mass === 0 ? [] : [{ node: node(), mass, offset: subtract(at, nodes.get(node())!), inertia: NO_INERTIA }];
    }),
  ];
  const load = pieces.find((p) => p.id === 'load/') ?? mountPiece(rig, byId);
  const turn = pose?.turn ? transpose(rotationOf(pose.turn)) : null;
  const down: Vec3 = [0, 0, -GRAVITY];
  return {
    kind: 'framed',
    frame: {
      model: { theory: 'timoshenko', nodes, members, links, supports, equipment, loads: [] },
      gravity: asItHangs(rig, turn ? transform(turn, down) : down, inOrder, pieces),
      memberOf,
      links: meanings,
      camera: load && isIn(load) ? stations.at(load, load.centre)() : null,
      loose: pieces.filter((p) => !isIn(p)),
      ofUnknown: ofUnknown(rig),
      pieces,
      holes,
    },
  };
}

const ofUnknown = ({ bodies, materials }: Rig): RigFrame['ofUnknown'] =>
  bodies.flatMap(({ members, parts }) => [
    ...members.filter((m) => !materialOf(m.stock.material, materials)),
    ...parts.filter((p) => p.material !== undefined && !materialOf(p.material, materials)),
  ]);

const mountPiece = (rig: Rig, byId: ReadonlyMap<string, StrengthPiece>): StrengthPiece | null =>
  rig.bodies.flatMap((b) => b.parts.flatMap((p) => (p.mount ? (byId.get(p.id) ?? []) : [])))[0] ?? null;

/** What holds it in this pose; without poses everything that may. */
export const contactsOf = (rig: Rig, pose: Pose | null): readonly Contact[] => {
  const named = pose ? rig.contacts.filter((c) => pose.contacts.includes(c.id)) : [];
  return named.length > 0 ? named : rig.contacts;
};

function nearestPiece(
  pieces: readonly StrengthPiece[],
  body: string,
  at: Vec3,
  onto: ReadonlyMap<string, string>,
): StrengthPiece | null {
  let best: StrengthPiece | null = null;
  let least = Infinity;
  for (const p of pieces) {
    if (p.body !== body || p.isLoad || onto.has(p.id)) continue;
    const off = Math.hypot(...[0, 1, 2].map((i) => Math.max(0, p.box[0][i]! - at[i]!, at[i]! - p.box[1][i]!)));
    // Of those that are as near the smaller: a sleeve rather than the plate behind it.
    if (off < least - 1e-6) [best, least] = [p, off];
  }
  return best;
}

/** A screw or rod that carries something of its own stands in what it is screwed to. */
const hardwareJoins = (
  rides: ReadonlyMap<string, string>,
  joined: ReadonlySet<string>,
  byId: ReadonlyMap<string, StrengthPiece>,
): readonly Join[] =>
  [...rides].flatMap(([id, on]): Join[] => {
    const [from, to] = [byId.get(on), byId.get(id)];
    return joined.has(id) && from && to ? [heldBy(from, to)] : [];
  });

/** A pivot that no connection states joins what lies nearest to it on either side. */
function pivotJoins(
  rig: Rig,
  told: readonly Join[],
  pieces: readonly StrengthPiece[],
  onto: ReadonlyMap<string, string>,
): readonly Join[] {
  return rig.pivots.flatMap((pivot): Join[] => {
    if (told.some((j) => j.pivot?.id === pivot.id)) return [];
    const from = nearestPiece(pieces, pivot.heldBy, pivot.at, onto);
    const to = nearestPiece(pieces, pivot.carries, pivot.at, onto);
    if (!from || !to) return [];
    return [
      {
        id: `pivot/${pivot.id}`,
        name: pivot.name,
        kind: 'pivot',
        from,
        to,
        at: pivot.at,
        axis: pivot.axis ?? [0, 0, 1],
        patch: [0, 0],
        connection: null,
        joint: null,
        pivot,
      },
    ];
  });
}

function reached(from: readonly string[], joins: readonly Join[]): Iterable<string> {
  const seen = new Set(from);
  for (let grown = true; grown;) {
    grown = false;
    for (const { from: a, to: b } of joins)
      if (seen.has(a.id) !== seen.has(b.id)) {
        seen.add(a.id);
        seen.add(b.id);
        grown = true;
      }
  }
  return seen;
}

/** A free pivot passes no moment on: what it carries turns until its mass centre hangs under it, or until a stop. */
function asItHangs(rig: Rig, down: Vec3, inOrder: readonly number[], pieces: readonly StrengthPiece[]): Vec3 {
  const depth = ({ heldBy }: Pivot): number => {
    const outer = rig.pivots.find((o) => o.carries === heldBy);
    return outer ? 1 + depth(outer) : 0;
  };
  // The outermost that weight can turn: one about the plumb line it cannot.
  const [pivot] = rig.pivots
    .filter((p) => p.clamped !== true)
    .filter((p) => p.kind === 'universal' || Math.abs(dot(unit(p.axis ?? [0, 0, 1]), unit(down))) < UPRIGHT)
    .sort((a, b) => depth(a) - depth(b));
  if (!pivot) return down;
  const beyond = bodiesBeyond(rig, pivot);
  const carried = pieces.filter((p) => beyond.has(p.body));
  const mass = carried.reduce((m, p) => m + p.mass, 0);
  if (mass === 0) return down;
  const centre = carried.reduce<Vec3>((sum, p) => addScaled(sum, p.centre, p.mass / mass), [0, 0, 0]);
  const arm = subtract(centre, pivotAt(rig, pivot, inOrder));
  // On its pivot it lies as it is put; over it, or far from hanging, a hand holds it: balance it first.
  if (length(arm) < ON_PIVOT || dot(unit(arm), unit(down)) < FAR_OFF) return down;
  if (pivot.kind === 'universal') return scale(unit(arm), length(down));
  const axis = unit(pivot.axis ?? [0, 0, 1]);
  const across = (v: Vec3): Vec3 => addScaled(v, axis, -dot(axis, v));
  const [hangs, pulls] = [across(arm), across(down)];
  if (length(hangs) < ON_PIVOT) return down;
  const angle = Math.atan2(dot(axis, cross(pulls, hangs)), dot(pulls, hangs));
  // Seen from the rig the pull turns the other way than the rig does.
  const [least, most] = pivot.stops ?? [-Math.PI, Math.PI];
  return transform(rotationAbout(axis, -Math.min(most, Math.max(least, -angle))), down);
}
/** m */
const ON_PIVOT = 0.002;
/** Cosines to the plumb line. */
const UPRIGHT = 0.9;
const FAR_OFF = 0.5;

/** M g h of what hangs beyond a pivot: what rights it, N m/rad; under nought where it stands on its head. */
function rightingOf(rig: Rig, pivot: Pivot, at: Vec3, pieces: readonly StrengthPiece[]): number {
  const beyond = bodiesBeyond(rig, pivot);
  return pieces.filter((p) => beyond.has(p.body)).reduce((sum, p) => sum + p.mass * GRAVITY * (at[2] - p.centre[2]), 0);
}

function pivotStiffness(
  pivot: Pivot,
  _at: Vec3,
  how: 'free' | 'still',
  righting: number,
): { readonly axes: Mat3; readonly six: Six } {
  const line = 1e7;
  const isStill = how === 'still' || pivot.clamped === true;
  const freely = (isLevel: boolean): number => (isStill ? STILL : isLevel ? Math.max(LIGHT, righting) : LIGHT);
  if (pivot.kind === 'universal')
    return { axes: axesAlong([0, 0, 1]) as Mat3, six: [line, line, line, STILL, freely(true), freely(true)] };
  const axis = unit(pivot.axis ?? [0, 0, 1]);
  return {
    axes: axesAlong(axis) as Mat3,
    six: [line, line, line, freely(Math.abs(axis[2]) < 0.7), STILL, STILL],
  };
}

/** So many times as stiff as its kind, and as well known as its flick leaves it. */
const asHeard = (told: JoinStiffness, heard: JointHeard | undefined): JoinStiffness =>
  heard ? { ...told, heard, six: told.six.map((k) => k * heard.factor) as unknown as Six, within: heard.within } : told;

/** Nodes are named once all that is fastened to a beam is known: until then an attachment is a promise of a name. */
type Promised = () => string;

function stationsOf(pieces: readonly StrengthPiece[]): {
  at: (piece: StrengthPiece, at: Vec3) => Promised;
  nodes: () => Iterable<readonly [string, Vec3]>;
  members: () => { members: readonly FrameMember[]; memberOf: readonly StrengthPiece[] };
} {
  /** By piece: places along it, as stretch + part. */
  const along = new Map<string, number[]>();
  const places = new Map(pieces.map((p) => [p.id, p]));
  for (const p of pieces)
    if (p.stretches.length > 0) along.set(p.id, p.stretches.map((_, i) => i).concat(p.stretches.length));
  const pointAlong = ({ stretches }: StrengthPiece, t: number): Vec3 => {
    const i = Math.min(stretches.length - 1, Math.floor(t));
    return pointOf(stretches[i]!, t - i);
  };
  const nearestKnown = (piece: StrengthPiece, t: number): number => {
    const here = pointAlong(piece, t);
    let best = 0;
    let least = Infinity;
    along.get(piece.id)!.forEach((other, i) => {
      const off = length(subtract(pointAlong(piece, other), here));
      if (off < least) [best, least] = [i, off];
    });
    return least <= SAME ? best : -1;
  };
  const nodeName = (piece: StrengthPiece, t: number): string => {
    const list = along.get(piece.id)!;
    return `${piece.id}@${list[nearestKnown(piece, t)]!.toFixed(6)}`;
  };
  return {
    at: (piece, at) => {
      if (piece.stretches.length === 0) return () => piece.id;
      const { stretch, part } = nearestOn(piece.stretches, at);
      const t = stretch + part;
      if (nearestKnown(piece, t) < 0) along.get(piece.id)!.push(t);
      return () => nodeName(piece, t);
    },
    nodes: function* () {
      for (const p of pieces) if (p.stretches.length === 0) yield [p.id, p.centre] as const;
      for (const [id, list] of along)
        for (const t of list) yield [`${id}@${t.toFixed(6)}`, pointAlong(places.get(id)!, t)] as const;
    },
    members: () => {
      const members: FrameMember[] = [];
      const memberOf: StrengthPiece[] = [];
      for (const [id, list] of along) {
        const piece = places.get(id)!;
        const inOrder = [...list].sort((a, b) => a - b);
        inOrder.slice(1).forEach((to, i) => {
          const from = inOrder[i]!;
          const stretch = piece.stretches[Math.min(piece.stretches.length - 1, Math.floor(from + 1e-9))]!;
          members.push({
            id: `${id}@${from.toFixed(6)}`,
            from: `${id}@${from.toFixed(6)}`,
            to: `${id}@${to.toFixed(6)}`,
            section: stretch.section,
            material: stretch.material,
            yDirection: stretch.yDirection,
            ...(stretch.arc ? { arc: { ...stretch.arc, angle: stretch.arc.angle * (to - from) } } : {}),
          });
          memberOf.push(piece);
        });
      }
      return { members, memberOf };
    },
  };
}
