/**
 * What keeps pieces of a rig together, as a maker says it: which pieces, in which order, by which thread. Screws, nuts, washers,
 * holes and lengths follow from it and are never stored. Places are in rig axes and move with the piece they are given on.
 */
import * as z from 'zod';
import { id, massQuantity, name, notNegative, positive, vec3 } from './quantity';

/**
 * From the head on. Of a hollow piece both walls and what is between them are passed, or only the near one. A row is a station's washers, as many as are put on it. A nut on the thread between other layers may lock
 * against a piece, and goes along with it. Bare thread is left free for a piece that is screwed up and down on it, so far each way.
 */
const layer = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('piece'), piece: id, wall: z.literal('near').optional() }),
  z.strictObject({ kind: z.literal('row'), station: id }),
  z.strictObject({ kind: z.literal('nut'), nut: z.enum(['nut', 'thin']), against: id.optional() }),
  z.strictObject({ kind: z.literal('washer'), washer: z.enum(['flat', 'wide']) }),
  z.strictObject({ kind: z.literal('spacer'), length: positive }),
  z.strictObject({ kind: z.literal('bare'), length: notNegative, plusMinus: notNegative }),
]);
export type StackedLayer = z.infer<typeof layer>;

/** What a screw's thread ends in: a nut, a thread of this depth cut in a piece, or one in the camera that is screwed on. */
const end = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('nut') }),
  z.strictObject({ kind: z.literal('thin') }),
  z.strictObject({ kind: z.literal('lock') }),
  z.strictObject({ kind: z.literal('wing') }),
  z.strictObject({ kind: z.literal('cap') }),
  z.strictObject({
    kind: z.literal('tapped'),
    piece: id,
    depth: positive,
    in: z.enum(['steel', 'aluminium', 'plastic']),
    /** It is bought with its thread. */
    sold: z.literal(true).optional(),
  }),
  z.strictObject({ kind: z.literal('camera'), depth: positive }),
]);
/** What turns on a thread at a screw's end. */
export const NUT_KINDS = ['nut', 'thin', 'lock', 'wing', 'cap'] as const;
export type NutKind = (typeof NUT_KINDS)[number];
export type ScrewEnd = z.infer<typeof end>;

const bolted = z.strictObject({
  kind: z.literal('bolted'),
  id,
  name,
  /** The piece its place is given on, a point of its axis, and the way from its head to its end. */
  on: id,
  point: vec3,
  way: vec3,
  /** By its usual name: “M6”, “1/4-20”. */
  thread: name,
  /** Flush with the first layer's face; a low dome turned by a key; a dome with a square neck let into it; a wing nut on a rod; left out: a hexagon. */
  head: z.enum(['sunk', 'low', 'square', 'wing']).optional(),
  /** What its holes are drilled to, where that is not the usual clearance. */
  hole: positive.optional(),
  /** Its holes in plastic are drilled under size: it cuts its own thread there, and stays when its nut is off. */
  bites: z.literal(true).optional(),
  /** How deep its head lies in the first layer. */
  recess: positive.optional(),
  /** How deep what turns at its end lies in the last layer. */
  endRecess: positive.optional(),
  /** The recess is filed to the six sides of what lies in it: no tool has to hold it. */
  held: z.literal(true).optional(),
  /** A rod of the rig that stands for the screw, with a nut for its head. */
  screw: id.optional(),
  /** A stud: instead of a head its first end is screwed so deep into a piece. Its point lies on that piece's face. */
  root: z.strictObject({ piece: id, depth: positive }).optional(),
  /** Pieces it goes through within a hollow layer. */
  inside: z.array(id).max(4).optional(),
  /** Threaded rod with a nut for its head, however short it is. */
  rod: z.literal(true).optional(),
  /** A washer under the head where its layer would not ask for one. */
  washer: z.literal('flat').optional(),
  /** Against coming loose: under the nut, or under the head of one that is screwed in. */
  lockWasher: z.literal('spring').optional(),
  stack: z.array(layer).min(1).max(20),
  end,
  /** Comes apart each time the rig is packed. */
  packs: z.boolean().optional(),
  /** Its hole is drilled only when the rig hangs or stands as it will be used. */
  last: z.boolean().optional(),
  /** Weighed as it is, with nut and washers. */
  together: massQuantity.optional(),
  /** What was weighed of its hardware, by what it does there: `screw`, `nut`. */
  weighed: z.record(name, massQuantity).optional(),
});
export type Bolted = z.infer<typeof bolted>;

/** A grip, sleeve or cap over a bar. */
const slidOn = z.strictObject({
  kind: z.literal('slidOn'),
  id,
  name,
  piece: id,
  over: id,
  packs: z.boolean().optional(),
});
export type SlidOn = z.infer<typeof slidOn>;

/** What sits in another: a ring in a bore, a bearing, an insert. */
const seated = z.strictObject({
  kind: z.literal('seated'),
  id,
  name,
  piece: id,
  in: id,
  /** A hole of its own size is made for it; and in what else it passes. */
  bored: z.literal(true).optional(),
  through: z.array(id).max(4).optional(),
  /** A pin that goes on into the load, so that it cannot turn on its screw: how wide its hole there is. */
  intoLoad: positive.optional(),
  /** In a print: its pocket has six sides, and the print is stopped for it before it closes. */
  six: z.literal(true).optional(),
  packs: z.boolean().optional(),
});
export type Seated = z.infer<typeof seated>;

/** Held round or along something by a clamp, a saddle, or a carriage on its rails: by squeezing. */
const clamped = z.strictObject({
  kind: z.literal('clamped'),
  id,
  name,
  piece: id,
  on: id,
  packs: z.boolean().optional(),
});
export type Clamped = z.infer<typeof clamped>;

/** What a pivot turns in: a bearing between a piece that is held and one that is carried. */
const hinged = z.strictObject({
  kind: z.literal('hinged'),
  id,
  name,
  pivot: id,
  held: id,
  carried: id,
  packs: z.boolean().optional(),
});
export type Hinged = z.infer<typeof hinged>;

/** What two pieces are stuck together with. */
export const GLUES = ['epoxy', 'wood', 'contact', 'pvcCement', 'cpvcCement', 'solder'] as const;
export type Glue = (typeof GLUES)[number];
/** Glued face to face. */
const bonded = z.strictObject({
  kind: z.literal('bonded'),
  id,
  name,
  piece: id,
  to: id,
  /** Its end is sawn so that it lies flat on the other. */
  mitred: z.literal(true).optional(),
  /** With what, and on how much of their faces, m²; left out: not said. */
  glue: z.enum(GLUES).optional(),
  area: positive.optional(),
  /** Wound round with carbon tow that is soaked in the glue, over the same faces. */
  lashed: z.literal(true).optional(),
  packs: z.boolean().optional(),
});
export type Bonded = z.infer<typeof bonded>;

/** Tape, pads and wraps that cling to what they lie on. */
const laid = z.strictObject({
  kind: z.literal('laid'),
  id,
  name,
  piece: id,
  on: id,
  packs: z.boolean().optional(),
});
export type Laid = z.infer<typeof laid>;

/** A wood screw through one piece into another, m. */
const screwedIn = z.strictObject({
  kind: z.literal('screwedIn'),
  id,
  name,
  point: vec3,
  way: vec3,
  diameter: positive,
  length: positive,
  through: id,
  into: id,
  packs: z.boolean().optional(),
});
export type ScrewedIn = z.infer<typeof screwedIn>;

export const statedConnection = z.discriminatedUnion('kind', [
  bolted,
  slidOn,
  seated,
  clamped,
  hinged,
  bonded,
  laid,
  screwedIn,
]);
export type StatedConnection = z.infer<typeof statedConnection>;
