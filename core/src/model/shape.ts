/**
 * Solid shapes, each in its own frame. Box: centred, x its length; `bore` is the width and height of a hole all along x. Tube (also rods, discs, washers, stacks): along local z, centred.
 * Arc bar: bend centre at the origin, bent about local z from local +x through `angle`. Mesh: outward right-handed.
 */
import * as z from 'zod';
import { count, notNegative, positive, size, vec3 } from './quantity';

export const shape = z.discriminatedUnion('kind', [
  z
    .strictObject({
      kind: z.literal('box'),
      size: z.tuple([size, size, size]).readonly(),
      bore: z.tuple([size, size]).readonly().optional(),
    })
    .refine((s) => !s.bore || (s.bore[0] < s.size[1] && s.bore[1] < s.size[2]), {
      path: ['bore'],
      message: 'must be smaller than the box is wide and high',
    }),
  z
    .strictObject({ kind: z.literal('tube'), outerRadius: size, innerRadius: notNegative, length: size })
    .refine((s) => s.innerRadius < s.outerRadius, {
      path: ['innerRadius'],
      message: 'must be smaller than the outer radius',
    }),
  z
    .strictObject({
      kind: z.literal('arcBar'),
      midRadius: positive,
      thickness: positive,
      width: positive,
      angle: positive.max(2 * Math.PI),
    })
    .refine((s) => s.thickness < 2 * s.midRadius, {
      path: ['thickness'],
      message: 'must be less than twice the bend radius',
    }),
  z.strictObject({
    kind: z.literal('mesh'),
    vertices: z.array(vec3).max(200_000),
    triangles: z.array(z.tuple([count, count, count]).readonly()).max(400_000),
  }),
  z.strictObject({ kind: z.literal('point') }),
]);
export type Shape = z.infer<typeof shape>;
