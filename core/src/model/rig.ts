/**
 * The rig: rigid bodies joined by pivots into a small tree whose root is what a person or a surface holds. Everything is
 * in rig axes, in the pose with all adjusters at zero and the rig level. Every number shown anywhere is derived from this.
 */
import * as z from 'zod';
import {
  count,
  finite,
  id,
  massQuantity,
  money,
  name,
  newtons,
  notNegative,
  ofMaterial,
  positive,
  quantity,
  quaternion,
  seconds,
  size,
  vec3,
} from './quantity';
import { statedConnection } from './connection';
import { MOUNT_KINDS } from './load';
import { shape } from './shape';

export const material = z.strictObject({
  name,
  density: ofMaterial,
  densitySpread: ofMaterial.or(z.literal(0)),
  stiffness: ofMaterial,
  yield: ofMaterial,
  elongation: positive,
  look: z.enum(['steel', 'wood', 'plastic', 'rubber']),
  source: z.string().max(200),
});

/** How a part is come by: counted in packs at a price. `sawn`: what is bought is sheet, or bar or tube by its length, and the maker saws the part out of it. */
export const supply = z.strictObject({
  item: name,
  packOf: count.positive(),
  packPrice: money,
  sawn: z.enum(['sheet', 'length']).optional(),
});
export type Supply = z.infer<typeof supply>;

/** A round hole through a part, or a slot of `slot` along its direction; `at` its middle, rig axes. `by`: the connection that needs it, worked out anew. */
export const partHole = z.strictObject({
  at: vec3,
  axis: vec3,
  diameter: positive,
  slot: vec3.optional(),
  by: id.optional(),
});
export type PartHole = z.infer<typeof partHole>;

/**
 * Parts, members and nodes may have a `twin`: the same thing mirrored in the plane y = 0. What is done to one is done
 * to the other, mirrored.
 */
/** Where kit may stand on it, beside the load: its place, the way it stands up from it, rig axes. */
export const kitPlace = z.strictObject({ id, name, at: vec3, up: vec3, kind: z.enum(MOUNT_KINDS) });
export type KitPlace = z.infer<typeof kitPlace>;

export const part = z.strictObject({
  id,
  name,
  shape,
  /** Origin of the shape's own frame. */
  at: vec3,
  turn: quaternion.optional(),
  material: id.optional(),
  /** A measured or catalogue mass; it overrides the one from the material and scales the inertia. */
  mass: massQuantity.optional(),
  massCentre: vec3.optional(),
  /** Where the load's foot stands and that it stands here; `mountTurn` is how the load is turned on it. */
  mount: vec3.optional(),
  mountTurn: quaternion.optional(),
  holes: z.array(partHole).max(200).optional(),
  takes: z.array(kitPlace).max(20).optional(),
  supply: supply.optional(),
  /** It is bought with its holes and threads. */
  drilled: z.literal(true).optional(),
  /** Of what is sold by weight: how much of it is used, and how much a pack holds, kg; left out: one piece. */
  uses: z.strictObject({ amount: positive, pack: positive }).optional(),
  /** Of a rig freed before connections were kept: the screw that holds the load here, its length under the head, what it passes before it comes out. */
  screw: z
    .strictObject({
      diameter: positive,
      length: positive,
      passes: notNegative,
      hole: positive.optional(),
      pin: z.strictObject({ diameter: positive, hole: positive, fromScrew: positive }).optional(),
    })
    .optional(),
  /** Grips the load along `axis`, and opens this far, least and most, m. */
  jaws: z.strictObject({ axis: vec3, opens: z.tuple([notNegative, positive]).readonly() }).optional(),
  /** Looked into or at: the eye sees all of it from between these distances, m. */
  seenFrom: z.tuple([notNegative, positive]).readonly().optional(),
  twin: id.optional(),
  /** The station whose washers it lies on: it stands so much further out as they are high. */
  rides: id.optional(),
  /** The connection that brings it: worked out anew with every change, never stored. */
  by: id.optional(),
  /** The piece that it goes along with, where that is not the one its connection is placed on. */
  goesWith: id.optional(),
  /** The piece it is a length of, as a head is of its screw. */
  of: id.optional(),
  /** Its mass is worked out from a table, not weighed. */
  reckoned: z.boolean().optional(),
});
export type Part = z.infer<typeof part>;

export const node = z.strictObject({ id, at: vec3, twin: id.optional() });
export type Node = z.infer<typeof node>;

export const section = z.discriminatedUnion('kind', [
  /** `slots` are cut along the middle: each `length` long over its round ends, `pitch` from one to the next. */
  z.strictObject({
    kind: z.literal('flat'),
    width: positive,
    thickness: positive,
    slots: z.strictObject({ width: positive, length: positive, pitch: positive }).optional(),
  }),
  z.strictObject({ kind: z.literal('rod'), diameter: positive, threadPitch: positive.optional() }),
  z
    .strictObject({ kind: z.literal('square'), width: positive, height: positive, wall: positive })
    .refine((s) => 2 * s.wall < Math.min(s.width, s.height), {
      path: ['wall'],
      message: 'must be less than half the smaller side',
    }),
  z
    .strictObject({ kind: z.literal('tube'), outerDiameter: positive, wall: positive })
    .refine((s) => 2 * s.wall <= s.outerDiameter, {
      path: ['wall'],
      message: 'must be at most half the outer diameter',
    }),
]);

export const stock = z.strictObject({
  name,
  section,
  material: id,
  /** Where the sizes come from. */
  source: z.string().max(200).optional(),
  sold: z.array(z.strictObject({ length: size, price: money })).max(20),
});
export type Stock = z.infer<typeof stock>;
export type Section = z.infer<typeof section>;

export const bendSegment = z.union([
  z.strictObject({ straight: size }),
  z.strictObject({ angle: finite, insideRadius: positive, neutralFraction: positive.max(0.5) }),
  z.strictObject({ roll: finite }),
]);
export type BendSegment = z.infer<typeof bendSegment>;

/** A hole through a member, placed by its distance along the flat, unbent blank from the member's start. */
export const hole = z.strictObject({
  id,
  name,
  along: notNegative,
  across: finite,
  /** In a round bar: how far round from the line scribed along it, clockwise seen from its start, rad; it goes through both walls, so under half a turn. */
  turn: finite.optional(),
  diameter: positive,
  /** Cut in it, by a tap or by the bolt itself. */
  thread: z.strictObject({ name, by: z.enum(['tap', 'bolt']) }).optional(),
  /** A flat-bottomed pocket round it, from this face on. */
  recess: z.strictObject({ diameter: positive, depth: positive, face: name }).optional(),
  /** True when its place is only known once the member is bent and its pivot is fixed: drilled last. */
  afterBending: z.boolean(),
  /** The connection that needs it: worked out anew with every change, never stored. */
  by: id.optional(),
});
export type Hole = z.infer<typeof hole>;

export const member = z.strictObject({
  id,
  name,
  from: id,
  to: id,
  stock,
  path: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('straight'), widthDirection: vec3 }),
    /** Starts at node `from`; `along` is the run there, `across` the way the thickness looks and positive bends turn to. */
    z.strictObject({
      kind: z.literal('bent'),
      along: vec3,
      across: vec3,
      segments: z.array(bendSegment).min(1).max(60),
    }),
  ]),
  /** Sawn to this outline: places along the member from its `from` end and across from its middle line, m, in order round. A closed shape without crossings, inside the strip. */
  outline: z
    .array(z.tuple([finite, finite]).readonly())
    .min(3)
    .max(200)
    .optional(),
  /** Extra length left on the end until the last hole is drilled, then cut off; it carries no mass in the finished rig. */
  leftLong: notNegative,
  /** So much of its `to` end is hammered flat: a round tube's two walls lie on each other, wide along its width direction. */
  flattened: positive.optional(),
  holes: z.array(hole).max(100),
  mass: massQuantity.optional(),
  /** How far each end stops short of its socket's bottom, or of full make-up of its thread: the rig is longer by it. */
  shortBy: z.tuple([quantity, quantity]).readonly().optional(),
  twin: id.optional(),
});
export type Member = z.infer<typeof member>;

export const FITTINGS = [
  'elbow90',
  'elbow45',
  'tee',
  'cross',
  'sideOutlet',
  'fourWay',
  'cap',
  'coupling',
  'union',
  'maleAdapter',
  'femaleAdapter',
  'bush',
  'flattened',
  'boltThrough',
  'rodInSleeve',
  'hingePin',
  'hoseClamp',
  'groundClamp',
  'woodScrew',
  'screw',
  'glue',
  'solder',
  'epoxy',
  'heatSetInsert',
  'weld',
] as const;
export type Fitting = (typeof FITTINGS)[number];
/** What keeps a pipe in its fitting. */
export const HOLDS = ['threaded', 'glued', 'soldered', 'pressed', 'setScrew', 'pinned'] as const;
export type Hold = (typeof HOLDS)[number];

/** One way into a fitting: from its node's centre the pipe's end stands `takeOff` off when home, `depth` of it inside. */
export const socket = z.strictObject({ direction: vec3, takeOff: notNegative, depth: notNegative });

/** The body of a fitting: arms round the node, one a socket. Its mass is reckoned from walls and material, or weighed. */
export const hub = z.strictObject({
  sockets: z.array(socket).min(1).max(6),
  outerRadius: positive,
  boreRadius: notNegative,
  material: id,
  mass: massQuantity.optional(),
  supply: supply.optional(),
});
export type Hub = z.infer<typeof hub>;

/** What joins members or parts at a node. Mass and take-off belong to the fitting. */
export const joint = z.strictObject({
  id,
  name,
  node: id,
  fitting: z.enum(FITTINGS),
  joins: z.array(id).max(12),
  /** Can be undone without harm. */
  reversible: z.boolean(),
  /** Comes apart by hand each time the rig is packed. */
  packs: z.boolean().optional(),
  hold: z.enum(HOLDS).optional(),
  /** Until it may be loaded, s. */
  dryingTime: seconds.optional(),
  /** Of a bolt, clamp, insert or glue line, at its node; left out where parts stand for it or it is too small to count. */
  mass: massQuantity.optional(),
  hub: hub.optional(),
  /** What it holds has this much room across, done up, over this length along: it rocks by the one over the other. */
  loose: z.strictObject({ clearance: notNegative.max(0.02), over: positive }).optional(),
});
export type Joint = z.infer<typeof joint>;

export const washer = z.strictObject({
  name,
  outerRadius: positive,
  innerRadius: positive,
  thickness: positive,
  material: id,
  mass: massQuantity.optional(),
  supply: supply.optional(),
});
export type Washer = z.infer<typeof washer>;

export const station = z.strictObject({
  id,
  name,
  /** Centre of the face the stack sits on, and the way it grows. */
  seat: vec3,
  axis: vec3,
  boltDiameter: positive,
  /** Length of bolt that may carry washers; the nut has its own. */
  room: notNegative,
  washer,
  /** How far the stack's middle may lie off the bolt, m, where something centres it; left out: half its slack on the bolt. */
  sideError: notNegative.optional(),
  count: z.number().int().nonnegative(),
});
export type Station = z.infer<typeof station>;

export const body = z.strictObject({
  id,
  name,
  nodes: z.array(node).max(400),
  members: z.array(member).max(400),
  joints: z.array(joint).max(400),
  parts: z.array(part).max(400),
  stations: z.array(station).max(40),
  /** What keeps its pieces together, where joints do not say it. */
  connections: z.array(statedConnection).max(400).optional(),
});
export type Body = z.infer<typeof body>;

export const pivot = z.strictObject({
  id,
  name,
  kind: z.enum(['universal', 'hinge', 'swivel']),
  at: vec3,
  /** Hinge and swivel turn about this. */
  axis: vec3.optional(),
  /** Two pins a distance apart: the upper one's axis, and how far the lower pin lies below `at`. */
  pins: z.strictObject({ upperAxis: z.enum(['x', 'y']), spacing: notNegative }).optional(),
  heldBy: id,
  carries: id,
  frictionTorque: quantity.extend({ value: notNegative }).optional(),
  /** Tightened in use: its friction must hold what it carries. Left out: it turns freely. */
  clamped: z.boolean().optional(),
  /** Pulled sideways by this much it lets go, N: what stands on a head must. */
  breaksAwayAt: newtons.optional(),
  /** How far it turns from how it is drawn, rad, least and most, before it meets something. */
  stops: z.tuple([finite, finite]).readonly().optional(),
  /** Soft stuff on each stop: how thick, and how far from the axis it is met, m. */
  padding: z.strictObject({ thickness: notNegative, fromAxis: positive }).optional(),
});
export type Pivot = z.infer<typeof pivot>;

export const contact = z.strictObject({
  id,
  name,
  kind: z.enum(['hand', 'shoulder', 'chest', 'helmet', 'ground']),
  body: id,
  at: vec3,
  /** The way it pushes the rig. */
  direction: vec3,
  /** Other ways it can push as well: a hand lifts, holds back and draws down; a shoulder bears and stops. */
  also: z.array(vec3).max(5).optional(),
  /** What can be borne for a while, N; left out: a usual figure for its kind. */
  comfortLimit: newtons.optional(),
});

/** `arm`: level distance from the shoulder to the hand, m. `turn`: how the rig is turned from level. */
export const pose = z.strictObject({
  id,
  name,
  contacts: z.array(id).max(12),
  turn: quaternion.optional(),
  arm: notNegative.max(1.2).optional(),
  /** The lens looks back at whoever holds it. */
  facesHolder: z.boolean().optional(),
});
export type Pose = z.infer<typeof pose>;
export type Contact = z.infer<typeof contact>;

export const adjuster = z
  .strictObject({
    id,
    name,
    /** `holes` steps from hole to hole; `mark` is where something is held or clamped along a tube; `count` counts washers. */
    kind: z.enum(['slide', 'thread', 'telescope', 'holes', 'mark', 'count']),
    /** Way it moves what it moves; a count has none. */
    axis: vec3.optional(),
    range: z.tuple([finite, finite]).readonly(),
    /** The least change that can be set by hand: m, or one washer. */
    step: positive,
    /** How far what it moves can rock on it when it is tight, rad each way, and which way the picture then goes. */
    play: z.strictObject({ angle: notNegative, way: z.enum(['roll', 'pitch', 'pan']) }).optional(),
    /** Travel of one whole turn, for threads and fine screws, m. */
    perTurn: positive.optional(),
    value: finite,
    moves: z
      .array(z.strictObject({ kind: z.enum(['part', 'member', 'station', 'pivot', 'body', 'contact']), id }))
      .min(1)
      .max(40),
  })
  .refine((a) => a.range[0] <= a.range[1], { path: ['range'], message: 'must run from the smaller to the larger' })
  .refine((a) => a.kind === 'count' || a.axis !== undefined, { path: ['axis'], message: 'needs the way it moves' });
export type Adjuster = z.infer<typeof adjuster>;

export const rig = z.strictObject({
  bodies: z.array(body).min(1).max(20),
  pivots: z.array(pivot).max(10),
  contacts: z.array(contact).max(12),
  poses: z.array(pose).max(12),
  adjusters: z.array(adjuster).max(60),
  materials: z.record(id, material).optional(),
  /** Of a pack of what its connections bring, by item. */
  prices: z.record(name, money).optional(),
});
export type Rig = z.infer<typeof rig>;
