/**
 * The rig: rigid bodies joined by pivots into a small tree whose root is what a person or a surface holds. Everything is
 * in rig axes, in the pose with all adjusters at nought and the rig level. Every number shown anywhere is derived from this.
 */
import * as z from 'zod';
import { finite, id, massQuantity, name, notNegative, positive, quantity, quaternion, vec3 } from './quantity';
import { shape } from './shape';

export const material = z.strictObject({
  name,
  density: positive,
  densitySpread: notNegative,
  stiffness: positive,
  yield: positive,
  elongation: positive,
  look: z.enum(['steel', 'wood', 'plastic', 'rubber']),
  source: z.string().max(200),
});

/** How a part is come by: counted in packs at a price, or cut from something the maker has. */
export const supply = z.strictObject({ item: name, packOf: positive.int(), packPrice: notNegative });
export type Supply = z.infer<typeof supply>;

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
  /** Where the load's foot stands and that it stands here. */
  mount: vec3.optional(),
  supply: supply.optional(),
});
export type Part = z.infer<typeof part>;

export const node = z.strictObject({ id, at: vec3 });

export const section = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('flat'), width: positive, thickness: positive }),
  z
    .strictObject({ kind: z.literal('tube'), outerDiameter: positive, wall: positive })
    .refine((s) => 2 * s.wall <= s.outerDiameter, { path: ['wall'], message: 'must be at most half the outer diameter' }),
]);

export const stock = z.strictObject({
  name,
  section,
  material: id,
  sold: z.array(z.strictObject({ length: positive, price: notNegative })).max(20),
});
export type Stock = z.infer<typeof stock>;

export const bendSegment = z.union([
  z.strictObject({ straight: positive }),
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
  diameter: positive,
  /** True when its place is only known once the member is bent and its pivot is fixed: drilled last. */
  afterBending: z.boolean(),
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
    z.strictObject({ kind: z.literal('bent'), along: vec3, across: vec3, segments: z.array(bendSegment).min(1).max(60) }),
  ]),
  /** Extra length left on the end until the last hole is drilled, then cut off; it carries no mass in the finished rig. */
  leftLong: notNegative,
  holes: z.array(hole).max(100),
  mass: massQuantity.optional(),
});
export type Member = z.infer<typeof member>;

/** What joins members or parts at a node. Mass and take-off belong to the fitting. */
export const joint = z.strictObject({
  id,
  name,
  node: id,
  fitting: z.enum(['boltThrough', 'weld', 'glue', 'screw']),
  joins: z.array(id).max(12),
  reversible: z.boolean(),
});

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
});
export type Pivot = z.infer<typeof pivot>;

export const contact = z.strictObject({
  id,
  name,
  kind: z.enum(['hand', 'shoulder', 'chest', 'helmet', 'ground']),
  body: id,
  at: vec3,
  direction: vec3,
  comfortLimit: positive.optional(),
});

export const pose = z.strictObject({ id, name, contacts: z.array(id).max(12), turn: quaternion.optional() });

export const adjuster = z
  .strictObject({
    id,
    name,
    kind: z.enum(['slide', 'thread', 'count']),
    /** Way a slide or thread moves what it moves; a count has none. */
    axis: vec3.optional(),
    range: z.tuple([finite, finite]).readonly(),
    /** The least change that can be set by hand: m, or one washer. */
    step: positive,
    /** Travel of one whole turn, for threads and fine screws, m. */
    perTurn: positive.optional(),
    value: finite,
    moves: z.array(z.strictObject({ kind: z.enum(['part', 'station', 'pivot', 'body']), id })).min(1).max(40),
  })
  .refine((a) => a.range[0] <= a.range[1], { path: ['range'], message: 'must run from the smaller to the larger' })
  .refine((a) => a.kind === 'count' || a.axis !== undefined, { path: ['axis'], message: 'a slide or thread needs its axis' });
export type Adjuster = z.infer<typeof adjuster>;

export const rig = z.strictObject({
  bodies: z.array(body).min(1).max(20),
  pivots: z.array(pivot).max(10),
  contacts: z.array(contact).max(12),
  poses: z.array(pose).max(12),
  adjusters: z.array(adjuster).max(60),
  materials: z.record(id, material).optional(),
});
export type Rig = z.infer<typeof rig>;
