/**
 * What is carried. A kit item's own frame has its origin at its foot (a body's tripod socket, a lens's flange, a
 * microphone's shoe) and axes like the rig's. A loadout is items mounted on items; the first stands on the rig's mount.
 */
import * as z from 'zod';
import {
  id,
  massQuantity,
  name,
  notNegative,
  photo,
  positive,
  quantity,
  quaternion,
  read,
  size,
  typedWords,
  vec3,
} from './quantity';

export const KIT_CLASSES = [
  'camera',
  'action camera',
  'phone',
  'lens',
  'battery',
  'card',
  'microphone',
  'light',
  'monitor',
  'viewfinder',
  'receiver',
  'recorder',
  'cable',
  'cage',
  'plate',
  'clamp',
  'filter',
  'strap',
  'other',
] as const;
export type KitClass = (typeof KIT_CLASSES)[number];

/** How one thing holds on to another. */
export const MOUNT_KINDS = ['thread', 'slide', 'shoe', 'dovetail', 'clip', 'lens mount', 'bay'] as const;
export type MountKind = (typeof MOUNT_KINDS)[number];

export const mountPoint = z.strictObject({ id, name, at: vec3, kind: z.enum(MOUNT_KINDS).optional() });
export type MountPoint = z.infer<typeof mountPoint>;

/**
 * What a state does to its item, against the item as it was measured: the whole item's mass centre moves (a screen
 * swung out, a zoom racked), or mass is added or taken away at a place (a larger battery, no strap).
 */
export const stateChange = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('moves'), by: vec3, spread: vec3.optional() }),
  z.strictObject({ kind: z.literal('adds'), mass: quantity, at: vec3, spread: vec3.optional() }),
]);
export type StateChange = z.infer<typeof stateChange>;

export const stateChoice = z.strictObject({
  id,
  name,
  change: stateChange.optional(),
  focalLength: positive.optional(),
});
export type StateChoice = z.infer<typeof stateChoice>;

/** The first choice is the item as it was measured. */
export const itemState = z.strictObject({ id, name, choices: z.array(stateChoice).min(2).max(8) });
export type ItemState = z.infer<typeof itemState>;

export const CLEARANCE_KINDS = [
  'battery door',
  'card door',
  'ports',
  'screen swing',
  'eyepiece',
  'hand room',
  'tripod socket',
  'pin hole',
] as const;
/** A box of space that must stay free, or be reached, in the item's own frame. */
export const clearance = z.strictObject({
  id,
  kind: z.enum(CLEARANCE_KINDS),
  at: vec3,
  size: z.tuple([size, size, size]).readonly(),
});
export type Clearance = z.infer<typeof clearance>;

export const reading = z.strictObject({
  value: read,
  typed: z.string().max(60).optional(),
  from: z.enum(['scale', 'photo']).optional(),
  leftOut: z.literal(true).optional(),
});
export type Reading = z.infer<typeof reading>;

/** What was read while measuring, kept as it was read: every figure found from it is worked out again from these. */
export const measurement = z.strictObject({
  id,
  method: id,
  /** The line it was measured along, for methods that need one: 0 fore and aft, 1 sideways, 2 height. */
  axis: z.literal([0, 1, 2]).optional(),
  /** The face it was seen on, for methods in a plane. */
  view: z.enum(['side', 'front', 'top']).optional(),
  /** Measured in this state instead of as usual. */
  state: z.strictObject({ state: id, choice: id }).optional(),
  readings: z.record(id, z.array(reading).max(50)),
  /** Full width of one division, kg and m. */
  scaleStep: positive,
  rulerStep: positive,
  leftOut: z.literal(true).optional(),
});
export type Measurement = z.infer<typeof measurement>;

export const kitItem = z.strictObject({
  id,
  name,
  class: z.enum(KIT_CLASSES),
  /** Left out while it has never been weighed: an estimate by class then stands in, with its spread. */
  mass: massQuantity.optional(),
  form: z.enum(['box', 'cylinder']),
  /** Outside size along x, y, z; a cylinder lies along x. */
  size: z.tuple([size, size, size]).readonly(),
  /** From the item's foot to the middle of its box. */
  boxCentre: vec3,
  /** From the item's foot to its mass centre; left out while it has not been balanced. */
  massCentre: z.strictObject({ at: vec3, spread: vec3.optional(), source: z.string().max(120).optional() }).optional(),
  /** What holds its own foot. */
  foot: z.enum(MOUNT_KINDS).optional(),
  mountPoints: z.array(mountPoint).max(20),
  states: z.array(itemState).max(8).optional(),
  clearances: z.array(clearance).max(20).optional(),
  /** Items that go out with this one: this battery with that plate. */
  goesWith: z.array(id).max(10).optional(),
  /** `crop`: the sensor is used only to 1/crop of its width and height. */
  sensor: z.strictObject({ width: positive, height: positive, crop: positive.min(1).optional() }).optional(),
  focalLength: z
    .strictObject({ shortest: positive, longest: positive })
    .refine((f) => f.shortest <= f.longest, { path: ['longest'], message: 'must not be shorter than the shortest' })
    .optional(),
  /** The picture takes in this many times the width the sensor alone would. */
  squeeze: positive.min(1).max(2.5).optional(),
  socketDepth: quantity.extend({ value: notNegative }).optional(),
  measurements: z.array(measurement).max(60).optional(),
  photo: photo.optional(),
  notes: z.string().max(2000).optional(),
  typed: typedWords.optional(),
});
export type KitItem = z.infer<typeof kitItem>;

export const mounted = z.strictObject({
  id,
  item: id,
  /** The mounted entry it stands on, and at which of its points; null for the one on the rig. */
  on: z.strictObject({ mounted: id, point: id }).nullable(),
  /** A place of the rig's own: a shoe, a rail, a hole. It stands there on every rig that has one of that name, on `on` elsewhere. */
  onRig: id.optional(),
  offset: vec3,
  turn: quaternion.optional(),
  /** Choice by state. A state left open may be any of its choices while shooting; balance takes the first. */
  states: z.record(id, id).optional(),
  typed: typedWords.optional(),
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
