/** A test walk: how the camera shook on it, read from a gyro or from the footage. */
import * as z from 'zod';
import { id, name, notNegative } from './quantity';

/** More samples a second, or a longer log, than any gyro keeps. */
const hertz = z.number().positive().max(100_000);

/** Shake about one axis, rad; the strongest tone in Hz; rms in each band of `8-log/steady/shake`. */
const shake = z.strictObject({
  rms: notNegative.max(4),
  peak: notNegative.max(20),
  strongest: hertz.nullable(),
  bands: z.array(notNegative.max(4)).max(60),
});

export const walk = z.strictObject({
  id,
  /** Null: the bare camera in the hand. */
  rig: id.nullable(),
  loadout: id.nullable(),
  when: z.iso.datetime({ offset: true }),
  /** Like is compared with like: the same path at the same pace. */
  path: name,
  by: z.enum(['gyro', 'clip']),
  seconds: z.number().positive().max(100_000),
  /** Samples or frames a second. */
  rate: hertz,
  pan: shake,
  tilt: shake,
  roll: shake,
  /** Rms of the roll’s slow way about a straight line, rad: not its shake. */
  horizon: notNegative.max(4),
  /** Peaks that Swing foretold of the rig as it was then, rad; null where it foretells none. */
  foretold: z.strictObject({ pan: notNegative, tilt: notNegative, roll: notNegative }).nullable(),
  /** The longest lens on it: tangents of half its angles of view across and up; null where none is known. */
  view: z.strictObject({ across: z.number().positive().max(100), up: z.number().positive().max(100) }).nullable(),
  notes: z.string().max(4000),
});
export type Walk = z.infer<typeof walk>;
