/**
 * What the command line prints of a whole rig, for whoever wants to go through it piece by piece: SI, rig axes, adjusters as set,
 * the load left out. The rig is whole when everything hangs together through connections alone, each piece is come by once,
 * and all that is done to it stands in a step.
 */
import * as z from 'zod';

const vec = z.tuple([z.number(), z.number(), z.number()]).readonly();
const ids = z.array(z.string()).readonly();

export const PIECE_KINDS = ['cut', 'bought', 'fastener', 'fitting', 'weight', 'print', 'consumable'] as const;
export const OPERATIONS = ['cut', 'hole', 'slot', 'thread', 'flatten', 'bend', 'shape', 'mark', 'print'] as const;
export const MARKS = ['hole', 'slot', 'bend', 'cut', 'line'] as const;

const operation = z.strictObject({
  id: z.string(),
  kind: z.enum(OPERATIONS),
  /** After hanging, on purpose. */
  last: z.boolean().optional(),
});
const piece = z.strictObject({
  id: z.string(),
  name: z.string(),
  kind: z.enum(PIECE_KINDS),
  mass: z.number(),
  massCentre: vec,
  material: z.string().nullable(),
  /** Least and greatest corner of the upright box it fits in. */
  box: z.tuple([vec, vec]).readonly(),
  /** What is done to it. */
  made: z.array(operation).readonly(),
  body: z.string(),
});
const connection = z.strictObject({
  id: z.string(),
  name: z.string(),
  kind: z.string(),
  /** In order along the screw, or into the socket. */
  pieces: ids,
  hardware: ids,
  holes: z
    .array(
      z.strictObject({
        piece: z.string(),
        at: vec,
        axis: vec,
        diameter: z.number(),
        thread: z.string().nullable(),
        deep: z.number().optional(),
        recess: z.strictObject({ diameter: z.number(), depth: z.number(), six: z.literal(true).optional() }).optional(),
        sold: z.literal(true).optional(),
        sunk: z.boolean().optional(),
      }),
    )
    .readonly(),
  stack: z
    .array(z.strictObject({ piece: z.string(), thickness: z.number() }))
    .readonly()
    .nullable(),
  thread: z.string().nullable(),
  screwLength: z.number().nullable(),
  engagement: z.number().nullable(),
  touches: z.array(z.tuple([z.string(), z.string()]).readonly()).readonly(),
  reversible: z.boolean(),
  comesApart: z.boolean(),
});
const billLine = z.strictObject({
  id: z.string(),
  item: z.string(),
  unit: z.enum(['each', 'm', 'kg']),
  need: z.number(),
  pieces: ids,
  length: z.record(z.string(), z.number()).optional(),
});
const toBuyLine = z.strictObject({
  bill: z.string(),
  /** What the nest uses up, kerf and waste counted; or the bill's need with its spares. */
  need: z.number(),
  inBin: z.number(),
  packOf: z.number(),
  packs: z.number(),
  price: z.number(),
});
const markSheet = z.strictObject({
  piece: z.string(),
  /** The end or face that all is measured from. */
  from: z.string(),
  marks: z
    .array(
      z.strictObject({
        id: z.string(),
        kind: z.enum(MARKS),
        connection: z.string().nullable(),
        diameter: z.number().nullable(),
      }),
    )
    .readonly(),
});
const step = z.strictObject({
  id: z.string(),
  title: z.string(),
  does: ids,
  makes: ids,
  handles: ids,
  needs: ids,
});

export const whole = z.strictObject({
  rig: z.string(),
  loadout: z.string().nullable(),
  rigMass: z.number(),
  pieces: z.array(piece).readonly(),
  connections: z.array(connection).readonly(),
  bill: z.array(billLine).readonly(),
  toBuy: z.array(toBuyLine).readonly(),
  marks: z.array(markSheet).readonly(),
  steps: z.array(step).readonly(),
  /** Pieces that no order puts together, and connections whose screw no tool reaches in any. */
  blocked: z.array(z.array(z.string()).readonly()).readonly(),
  unreached: z.array(z.string()).readonly(),
  overlaps: z
    .array(z.strictObject({ a: z.string(), b: z.string(), volume: z.number(), allowedBy: z.string().nullable() }))
    .readonly(),
  /** Pairs looked at by their true solids whose boxes meet and that share nothing; left out: nothing was looked at. */
  insideEachOther: z
    .array(z.tuple([z.string(), z.string()]).readonly())
    .readonly()
    .optional(),
});
export type Whole = z.infer<typeof whole>;
export type WholePiece = Whole['pieces'][number];
