/** A design: a family with its dimensions and the maker's own edits, or a freed rig; and what the maker wants of it. */
import * as z from 'zod';
import {
  finite,
  id,
  massQuantity,
  money,
  name,
  newtons,
  notNegative,
  positive,
  quantity,
  quaternion,
  seconds,
  size,
  typedWords,
  vec3,
} from './quantity';
import { ownSize } from './ownSize';
import { NUT_KINDS } from './connection';
import { contact, FITTINGS, HOLDS, joint, member, node, part, pose, rig, station, stock } from './rig';

/**
 * A change by identifier on top of the family's rig, or made at once in a freed one. One that no longer finds its target
 * is shown, never dropped. What is done to a thing with a twin is done to both, mirrored.
 */
export const edit = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('weigh'), id, target: id, mass: massQuantity }),
  z.strictObject({ kind: z.literal('remove'), id, target: id }),
  /** `hold`: where the added piece is held or worn, and the pose it makes possible; they go and move with the part. */
  z.strictObject({ kind: z.literal('add'), id, body: id, part, hold: z.strictObject({ contact, pose }).optional() }),
  z.strictObject({
    kind: z.literal('addMember'),
    id,
    body: id,
    nodes: z.array(node).max(2),
    member,
    joints: z.array(joint).max(2),
  }),
  /** A flat bar bolted between two corners that are there, wherever they are; one that folds comes off a wing nut. */
  z.strictObject({ kind: z.literal('brace'), id, body: id, member: id, from: id, to: id, stock, folds: z.boolean() }),
  /** A flat bar across the corner of two straight members that meet at a node, bolted to both so far from it, on one side or the other of their plane. */
  z.strictObject({
    kind: z.literal('corner'),
    id,
    body: id,
    member: id,
    node: id,
    first: id,
    second: id,
    reach: positive.max(1),
    side: z.enum(['front', 'back']),
    stock,
  }),
  /** Glued along a straight stretch of a piece, from and to so far along it: a strip on either of its faces, or a round in its bore. */
  z.strictObject({
    kind: z.literal('double'),
    id,
    body: id,
    member: id,
    target: id,
    stretch: z.number().int().nonnegative().max(200),
    from: notNegative,
    to: positive,
    lies: z.enum(['over', 'under', 'inside']),
    stock,
  }),
  z.strictObject({
    kind: z.literal('addStation'),
    id,
    body: id,
    station,
    countMost: z.number().int().nonnegative().max(400),
  }),
  z.strictObject({ kind: z.literal('move'), id, target: id, by: vec3 }),
  /** A weight by its station, held so far from its place by a strip. */
  z.strictObject({ kind: z.literal('carry'), id, target: id, by: vec3 }),
  z.strictObject({ kind: z.literal('turn'), id, target: id, turn: quaternion }),
  z.strictObject({ kind: z.literal('restock'), id, target: id, stock }),
  z.strictObject({ kind: z.literal('short'), id, target: id, end: z.literal([0, 1]), by: quantity }),
  /** What the shop asks for a pack of an item, or for one length of a stock. */
  z.strictObject({ kind: z.literal('price'), id, item: name, length: size.optional(), price: money }),
  z.strictObject({ kind: z.literal('screw'), id, target: id, length: size }),
  /** Another thread for a connection's screw: its length, nuts, washers and holes follow. */
  z.strictObject({ kind: z.literal('thread'), id, target: id, thread: name }),
  /** Another nut at its end, a spring washer under it or none, another head, holes it passes or cuts its thread in. */
  z.strictObject({
    kind: z.literal('fasten'),
    id,
    target: id,
    nut: z.enum(NUT_KINDS).optional(),
    lockWasher: z.enum(['spring', 'none']).optional(),
    head: z.enum(['hexagon', 'low', 'sunk']).optional(),
    holes: z.enum(['clear', 'bite']).optional(),
  }),
  z.strictObject({
    kind: z.literal('fitting'),
    id,
    target: id,
    fitting: z.enum(FITTINGS).optional(),
    hold: z.enum(HOLDS).optional(),
    outerRadius: positive.optional(),
    takeOff: notNegative.optional(),
    depth: notNegative.optional(),
    clearance: notNegative.max(0.02).optional(),
  }),
  /** The load stands on this plate, so far forward and left of the middle of its upper face, m. */
  z.strictObject({ kind: z.literal('mount'), id, target: id, forward: finite, left: finite }),
  /** What the maker can bear at a contact for a while, N. */
  z.strictObject({ kind: z.literal('comfort'), id, target: id, limit: newtons.max(2000) }),
  /** What a joint or clamp was read to hold by friction, N m; what a mount was read to let go at, N. */
  z.strictObject({ kind: z.literal('friction'), id, target: id, torque: quantity.extend({ value: notNegative }) }),
  /** Soft stuff on a joint's stops, m thick. */
  z.strictObject({ kind: z.literal('padding'), id, target: id, thickness: notNegative.max(0.2) }),
  z.strictObject({ kind: z.literal('breaksAway'), id, target: id, force: newtons.max(2000) }),
]);
export type Edit = z.infer<typeof edit>;

export const design = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('family'),
    family: id,
    dimensions: z.record(id, quantity),
    choices: z.record(id, z.string().max(80)),
    edits: z.array(edit).max(400),
    /** Sizes of the maker's own that are chosen, as they were when last looked at. */
    own: z.array(ownSize).max(40).optional(),
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
    shopPrice: money,
    /** Drop time in roll; washers at most, kg; inertia in roll and pan against the bare camera's; lean in a usual pan, rad; left out: as it comes. */
    dropRoll: z.tuple([positive, positive]).readonly().optional(),
    addedAtMost: positive.optional(),
    calmRollAtLeast: notNegative.optional(),
    calmPanAtLeast: notNegative.optional(),
    panLeanAtMost: positive.max(1).optional(),
    /** Only washers that are in the bin. */
    onlyBin: z.boolean().optional(),
    /** Wants that must be met, by id; the others are wishes. Left out: level and drop time, or what the wrist carries. */
    firm: z.array(z.string().max(40)).max(20).optional(),
    /** Most the wrist should carry, N m, and how long it should be held without a rest, s; left out: the usual. */
    wristAtMost: positive.optional(),
    holdFor: seconds.positive().optional(),
    /** A pole at rest: camera end down by this much, rad; left out: the usual. */
    droop: finite.min(-0.6).max(0.6).optional(),
    /** Inside length, width and height of the bag it should go in, m. */
    bag: z.tuple([size, size, size]).readonly().optional(),
  })
  .refine((w) => w.dropTime[0] <= w.dropTime[1], {
    path: ['dropTime'],
    message: 'must run from the shorter to the longer',
  });
export type Wants = z.infer<typeof wants>;

/** The maker's own measures, m, and what a wrist can turn with, N m. */
export const hands = z.strictObject({
  /** Across the knuckles of the closed hand. */
  breadth: positive.max(0.2),
  /** Level distance from shoulder to hand with the arm close, and out. */
  armClose: positive.max(1),
  armOut: positive.max(1.2),
  /** Most the wrist can hold for a moment, N m. */
  wristStrength: positive.max(60),
  leftHanded: z.boolean(),
  /** Height in shoes, m; left out: a middling adult's. */
  stature: positive.min(0.9).max(2.3).optional(),
});
export type Hands = z.infer<typeof hands>;

/** When its maker has time: from a day on, on these days of the week (Monday is 0), from and to so many minutes past midnight. */
export const evenings = z.strictObject({
  from: z.iso.date(),
  days: z
    .array(
      z
        .strictObject({
          day: z.number().int().min(0).max(6),
          from: z.number().int().min(0).max(1439),
          to: z.number().int().min(1).max(1440),
        })
        .refine((d) => d.to > d.from, { path: ['to'], message: 'must be after it begins' }),
    )
    .max(7),
  /** Of the shop, K: glue sets by it; left out: room warmth. */
  warmth: positive.min(233).max(333).optional(),
});
export type Evenings = z.infer<typeof evenings>;

/** The lower of two edges that lie opposite, by the rig's axis they are nearest to. */
export const EDGES = ['rear', 'right', 'lower'] as const;
export type Edge = (typeof EDGES)[number];

/** What came out otherwise than drawn, as it was measured on the piece: a bend by its number, rad; a hole along the blank from its start; a piece sawn so long, m; a piece that weighs so much, kg; one set at another angle, rad. */
export const asMade = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('bend'),
    member: id,
    bend: z.number().int().nonnegative().max(60),
    angle: positive.max(2 * Math.PI),
  }),
  z.strictObject({ kind: z.literal('hole'), member: id, hole: z.string().min(1).max(200), along: notNegative.max(20) }),
  /** Of a flat bar: how far from the middle of its width, m, signed as its hole is. */
  z.strictObject({
    kind: z.literal('across'),
    member: id,
    hole: z.string().min(1).max(200),
    across: finite.min(-1).max(1),
  }),
  /** In a plate or through a round, `member` by its id: how far inwards from the edge that lies that way in the rig, m. */
  z.strictObject({
    kind: z.literal('fromEdge'),
    member: id,
    hole: z.string().min(1).max(200),
    edge: z.enum(EDGES),
    off: notNegative.max(2),
  }),
  z.strictObject({ kind: z.literal('length'), member: id, length: size }),
  /** On the scale, finished; `member`: its piece, a part's too. */
  z.strictObject({ kind: z.literal('mass'), member: id, mass: positive.max(100) }),
  /** Set so, rad, to the one beside it: by the fitting that it is put into, or the glue line. */
  z.strictObject({
    kind: z.literal('turn'),
    member: id,
    joint: id,
    beside: id,
    angle: positive.max(Math.PI),
  }),
]);
export type AsMade = z.infer<typeof asMade>;

/** What one step took of one kind: pieces by their ids, and what of them came out of the bin. */
export const taken = z.strictObject({
  step: z.string().min(1).max(200),
  item: name,
  pieces: z.array(z.string().min(1).max(400)).min(1).max(2000),
  /** Pieces that lay counted in the bin; what is not there had come from elsewhere. */
  count: z.number().int().nonnegative().max(2000).optional(),
  /** Sawn off a length, m: how long it was before, and after with the kerf gone. `fresh`: off a bar that the bin did not know. */
  cut: z
    .strictObject({
      length: positive.max(20),
      from: positive.max(20),
      left: notNegative.max(20),
      fresh: z.literal(true).optional(),
    })
    .optional(),
});
export type Taken = z.infer<typeof taken>;

export const rigDocument = z.strictObject({
  id,
  name,
  notes: z.string().max(4000),
  design,
  wants,
  /** Left out: a middling adult's. */
  hands: hands.optional(),
  /** The loadout it is designed for; null until one is chosen. */
  loadout: id.nullable(),
  /** Build steps ticked off, by step id. */
  done: z.record(z.string().max(200), z.literal(true)),
  /** When a step whose glue sets was ticked off, by its id. */
  setting: z.record(z.string().max(200), z.iso.datetime()).optional(),
  evenings: evenings.optional(),
  /** How long steps took its maker by hand, and what was reckoned for them then, minutes; by the step's id. */
  took: z
    .record(z.string().max(200), z.strictObject({ minutes: positive.max(1440), reckoned: positive.max(10_000) }))
    .optional(),
  /** Which in its line it is, and what it was begun for; left out: the first of a line of its own. */
  version: z
    .strictObject({
      /** Id of the first of the line. */
      line: id,
      number: z.number().int().min(2).max(999),
      from: id,
      begun: z.iso.datetime(),
      wish: z.string().max(2000),
      /** Log entries whose wishes it takes up. */
      entries: z.array(id).max(100),
    })
    .optional(),
  /** What went into it as its steps were ticked off. */
  taken: z.array(taken).max(4000).optional(),
  /** Where it was made otherwise than drawn. */
  made: z.array(asMade).max(400).optional(),
  /** What its connections bring was counted when its set-ups were found, or its maker has been told that it was not. */
  fastenersCounted: z.literal(true).optional(),
  /** Saw kerf, m, used for cuts. */
  kerf: notNegative.max(0.02),
});
export type RigDocument = z.infer<typeof rigDocument>;

export const setup = z.strictObject({
  id,
  rig: id,
  loadout: id,
  values: z.record(id, finite),
  typed: typedWords.optional(),
});
export type SetUp = z.infer<typeof setup>;
