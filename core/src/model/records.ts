/** What is kept beside the designs: the log of tries and the bin of things at hand. */
import * as z from 'zod';
import { finite, id, name, photo, positive, seconds } from './quantity';

/** A kind of reading, by the name that what bears the rig gives it (`3-balance/borne`). One that is not known any more is kept. */
const readingKind = z.string().regex(/^[a-z][A-Za-z]{0,39}$/);

/** How a rig rang: its frequency as typed, Hz, or whole swings counted on film; which way the picture went; how the swings die away. */
const ringing = z.strictObject({
  read: z.discriminatedUnion('by', [
    z.strictObject({ by: z.literal('ear'), frequency: positive.max(1000) }),
    z.strictObject({
      by: z.literal('film'),
      frameRate: positive.max(100_000),
      swings: positive.max(1000),
      /** From the first frame counted to the last. */
      frames: positive.max(1_000_000),
    }),
    /** By a phone's gyroscope, with one standard uncertainty, Hz. */
    z.strictObject({ by: z.literal('phone'), frequency: positive.max(1000), spread: positive.max(1000) }),
  ]),
  way: z.enum(['rolls', 'nods', 'pans']).optional(),
  /** It keeps its pace, slows down or quickens as it dies. */
  dies: z.enum(['even', 'slower', 'quicker']).optional(),
  /** What it said of the joints of the rig that was flicked: so many times as stiff as their kind, within so many times. */
  joints: z
    .array(z.strictObject({ join: z.string().min(1).max(400), name, factor: positive, within: positive }))
    .max(400)
    .optional(),
});
export type Ringing = z.infer<typeof ringing>;

/** Timings of one reading. */
export const DROPS_AT_MOST = 20;
/** Of one entry: the weights from both sides, the set-up, what broke. */
export const PHOTOS_AT_MOST = 6;

/** What the bench showed: nose and left side down are positive angles, rad. */
export const logEntry = z.strictObject({
  id,
  rig: id,
  loadout: id.nullable(),
  when: z.iso.datetime({ offset: true }),
  values: z.record(id, finite),
  expected: z.strictObject({
    noseDown: finite.nullable(),
    leftSideDown: finite.nullable(),
    dropPitch: seconds.nullable(),
    dropSpread: seconds.nullable(),
    /** Hz */
    rings: positive.nullable().optional(),
  }),
  seen: z.strictObject({
    noseDown: finite.optional(),
    leftSideDown: finite.optional(),
    dropTimes: z.array(positive.max(60)).max(DROPS_AT_MOST),
    /** It would not hang upright. Its mass on the scale, kg; ahead of the pivot where it balances on a finger, m. */
    turnsOver: z.literal(true).optional(),
    mass: positive.max(200).optional(),
    fingerAhead: finite.optional(),
    /** Flicked, with its grip in a vice. */
    rings: ringing.optional(),
    /** What else was read: of a pivot, contact or pose by its id. */
    others: z
      .array(z.strictObject({ kind: readingKind, about: id, value: finite }))
      .max(40)
      .optional(),
  }),
  notes: z.string().max(4000),
  weather: z.string().max(200).optional(),
  wrong: z.string().max(1000).optional(),
  /** A wish for the next version. */
  toTry: z.string().max(1000).optional(),
  /** Set up or broken down by the watch, step by step, s. */
  timed: z
    .strictObject({
      what: z.enum(['setUp', 'breakDown']),
      splits: z
        .array(z.strictObject({ step: z.string().min(1).max(220), name: z.string().min(1).max(400), seconds }))
        .min(1)
        .max(200),
    })
    .optional(),
  photos: z.array(photo).max(PHOTOS_AT_MOST).optional(),
});
export type LogEntry = z.infer<typeof logEntry>;

export const LENGTHS_AT_MOST = 200;
export const COUNTED_AT_MOST = 100_000;
/** Something at hand: counted pieces, or lengths of stock (each an offcut). */
export const binItem = z.strictObject({
  id,
  name,
  count: z.number().int().nonnegative().max(COUNTED_AT_MOST),
  lengths: z.array(positive.max(20)).max(LENGTHS_AT_MOST),
  /** Where it lies: “jar 3”. */
  place: z.string().max(80).optional(),
});
export type BinItem = z.infer<typeof binItem>;
