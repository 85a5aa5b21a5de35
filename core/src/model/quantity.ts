/** Numbers as they stand in a file: finite, SI, with an optional spread, source and the words the maker typed. */
import * as z from 'zod';

export const finite = z.number();
export const positive = z.number().positive();
export const notNegative = z.number().nonnegative();
export const id = z.string().regex(/^[A-Za-z0-9][A-Za-z0-9_./-]{0,99}$/, 'letters, digits, and _ . / - only, 100 at most');
export const name = z.string().trim().min(1).max(120);
export const vec3 = z.tuple([finite, finite, finite]).readonly();
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
