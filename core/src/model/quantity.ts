/** Numbers as they stand in a file: finite, SI, with an optional spread, source and the words the maker typed. */
import * as z from 'zod';

/** Nothing of a rig, its load or a reading of them reaches this far in SI (1 km, 1 t, 1 kN m); what is larger has slipped by powers of ten. */
const LARGEST = 1000;
export const finite = z.number().min(-LARGEST).max(LARGEST);
export const positive = z.number().positive().max(LARGEST);
export const notNegative = z.number().nonnegative().max(LARGEST);
/** A length or place of a rig or its load, m: longer than any boom, short enough that whatever samples it ends. */
const LONGEST = 20;
export const place = z
  .number()
  .min(-LONGEST, `must be within ${LONGEST} m`)
  .max(LONGEST, `must be within ${LONGEST} m`);
export const size = z.number().positive().max(LONGEST, `must be at most ${LONGEST} m`);
/** Money in the maker's own coin, a count, a time in seconds, a force in newtons, and what a material is given by. */
export const money = z.number().nonnegative().max(1e7);
export const count = z.number().int().nonnegative().max(1e6);
export const seconds = z.number().nonnegative().max(1e7);
export const newtons = z.number().positive().max(1e5);
/** What a scale, a ruler, a watch or a photo's picture points read. */
export const read = z.number().min(-1e6).max(1e6);
export const ofMaterial = z.number().positive().max(1e13);
export const id = z
  .string()
  .regex(/^[A-Za-z0-9][A-Za-z0-9_./-]{0,99}$/, 'letters, digits, and _ . / - only, 100 at most');
/** A picture kept beside the documents, named by the hash of its bytes; px. */
export const photo = z.strictObject({
  id: z.string().regex(/^[0-9a-f]{64}$/),
  width: count.positive(),
  height: count.positive(),
});
export type Photo = z.infer<typeof photo>;
export const name = z.string().trim().min(1).max(120);
export const vec3 = z.tuple([place, place, place]).readonly();
export const quaternion = z
  .tuple([finite, finite, finite, finite])
  .refine((q) => Math.hypot(...q) > 0.5, 'a rotation is a unit quaternion [w, x, y, z]')
  .readonly();

/** A figure with what is known about it. `spread` is one standard uncertainty; equal `source` means they vary together. */
export const quantity = z.strictObject({
  value: finite,
  spread: notNegative.optional(),
  source: z.string().max(120).optional(),
  typed: z.string().max(60).optional(),
});
export type Quantity = z.infer<typeof quantity>;

/** Figures kept as plain numbers elsewhere, in the words the maker typed, by name. */
export const typedWords = z.record(z.string().max(100), z.string().max(60));

export const massQuantity = quantity.extend({ value: positive });
/** A length of a part or a dimension that cannot be nil or less. */
export const sizeQuantity = quantity.extend({ value: positive });
