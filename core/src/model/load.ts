/**
 * What is carried. A kit item's own frame has its origin at its foot (a body's tripod socket, a lens's flange, a
 * microphone's shoe) and axes like the rig's. A loadout is items mounted on items; the first stands on the rig's mount.
 */
import * as z from 'zod';
import { id, massQuantity, name, notNegative, positive, quantity, quaternion, typedWords, vec3 } from './quantity';

export const KIT_CLASSES = ['camera', 'lens', 'battery', 'microphone', 'light', 'monitor', 'plate', 'phone', 'other'] as const;

export const mountPoint = z.strictObject({ id, name, at: vec3 });

export const kitItem = z.strictObject({
  id,
  name,
  class: z.enum(KIT_CLASSES),
  /** Left out while it has never been weighed: an estimate by class then stands in, with its spread. */
  mass: massQuantity.optional(),
  form: z.enum(['box', 'cylinder']),
  /** Outside size along x, y, z; a cylinder lies along x. */
  size: z.tuple([positive, positive, positive]).readonly(),
  /** From the item's foot to the middle of its box. */
  boxCentre: vec3,
  /** From the item's foot to its mass centre; left out while it has not been balanced. */
  massCentre: z.strictObject({ at: vec3, spread: vec3.optional(), source: z.string().max(120).optional() }).optional(),
  mountPoints: z.array(mountPoint).max(20),
  sensor: z.strictObject({ width: positive, height: positive }).optional(),
  focalLength: z.strictObject({ shortest: positive, longest: positive }).optional(),
  socketDepth: quantity.extend({ value: notNegative }).optional(),
  notes: z.string().max(2000).optional(),
  typed: typedWords.optional(),
});
export type KitItem = z.infer<typeof kitItem>;

export const mounted = z.strictObject({
  id,
  item: id,
  /** The mounted entry it stands on, and at which of its points; null for the one on the rig. */
  on: z.strictObject({ mounted: id, point: id }).nullable(),
  offset: vec3,
  turn: quaternion.optional(),
});

export const loadout = z.strictObject({
  id,
  name,
  items: z.array(mounted).max(60),
  /** What must be as it is when shooting: "strap off, screen out". */
  conditions: z.string().max(400),
});
export type Loadout = z.infer<typeof loadout>;
export type Mounted = z.infer<typeof mounted>;
