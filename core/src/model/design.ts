/** A design: a family with its dimensions and the maker's own edits, or a freed rig; and what the maker wants of it. */
import * as z from 'zod';
import { typedWords, id, massQuantity, name, notNegative, positive, quantity } from './quantity';
import { part, rig } from './rig';

/** A change by identifier on top of the family's rig. One that no longer finds its target is shown, never dropped. */
export const edit = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('weigh'), id, target: id, mass: massQuantity }),
  z.strictObject({ kind: z.literal('remove'), id, target: id }),
  z.strictObject({ kind: z.literal('add'), id, body: id, part }),
]);
export type Edit = z.infer<typeof edit>;

export const design = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('family'),
    family: id,
    dimensions: z.record(id, quantity),
    choices: z.record(id, z.string().max(80)),
    edits: z.array(edit).max(400),
  }),
  z.strictObject({ kind: z.literal('free'), rig }),
]);
export type Design = z.infer<typeof design>;

export const wants = z
  .strictObject({
    /** Most the lens or the horizon may be off level, rad. */
    levelWithin: positive.max(1),
    dropTime: z.tuple([positive, positive]).readonly(),
    /** Total mass of rig and load at most, kg. */
    massAtMost: positive,
    /** Inertia in pitch at least this many times the bare camera's. */
    calmAtLeast: notNegative,
    shopPrice: notNegative,
  })
  .refine((w) => w.dropTime[0] <= w.dropTime[1], { path: ['dropTime'], message: 'must run from the shorter to the longer' });
export type Wants = z.infer<typeof wants>;

export const rigDocument = z.strictObject({
  id,
  name,
  notes: z.string().max(4000),
  design,
  wants,
  /** The loadout it is designed for; null until one is chosen. */
  loadout: id.nullable(),
  /** Build steps ticked off, by step id. */
  done: z.record(z.string().max(200), z.literal(true)),
  /** Saw kerf, m, used for cuts. */
  kerf: notNegative.max(0.02),
});
export type RigDocument = z.infer<typeof rigDocument>;

export const setup = z.strictObject({ id, rig: id, loadout: id, values: z.record(id, z.number()), typed: typedWords.optional() });
export type SetUp = z.infer<typeof setup>;
