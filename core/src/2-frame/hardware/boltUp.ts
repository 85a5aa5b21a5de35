/**
 * A screw with all that it brings: washers, the next sold length, its nut; each with its place along the axis, what it weighs and
 * what it is asked for by. The axis starts at the outer face of the first layer and runs through the stack.
 */
import { fastenerMass, type Fastener } from './fastenerMass';
import {
  ACROSS_FLATS,
  DOME_HEAD,
  FLAT_WASHER,
  CAP_NUT,
  CAP_NUT_DEPTH,
  HEX_HEAD,
  LOW_HEAD,
  SPRING_WASHER,
  LOCK_NUT,
  NUT,
  partThread,
  SOLD_LENGTHS,
  SUNK_HEAD,
  THIN_NUT,
  WIDE_WASHER,
  WING_HUB,
  WING_MASS,
  isTabled,
  type SizeTable,
  type WasherTable,
} from './sizes';
import type { NutKind } from '../../model';
import { stackUp, type SoldScrew, type StackEnd, type StackLayer, type StackUp } from './stackUp';
import { threadArea, type Thread } from './thread';

export type WasherKind = 'flat' | 'wide' | 'spring';
/** What its thread ends in. A tapped hole's depth is measured; so is a camera's socket. */
export type BoltEnd =
  | { readonly kind: NutKind }
  | { readonly kind: 'tapped'; readonly depth: number; readonly in: 'steel' | 'aluminium' | 'plastic' }
  | { readonly kind: 'camera'; readonly depth: number };

export interface Bolt {
  readonly thread: Thread;
  /** What it passes, from the head on. */
  readonly layers: readonly StackLayer[];
  readonly washers?: { readonly head?: WasherKind; readonly end?: WasherKind };
  readonly end: BoltEnd;
  /** Under the nut; or under the head, where none turns at its end. */
  readonly lockWasher?: 'spring';
  /** Flush with the first layer's face; a low dome with a key; a dome whose square neck is let into it; a wing nut on a rod; left out: a hexagon. */
  readonly head?: 'sunk' | 'low' | 'square' | 'wing';
  /** A stud that is screwed so deep into something instead of having a head, m. */
  readonly root?: number;
  /** Threaded rod with a nut for its head, whatever screws are sold. */
  readonly rod?: true;
  /** Threaded all along, as under a stack whose count changes. */
  readonly full?: boolean;
  /** How wide the pipe or cap is that its head goes into, m: what is wider lies elsewhere. Left out: in the open. */
  readonly headRoom?: number;
  /** The same of what turns at its end. */
  readonly endRoom?: number;
  /** How thick the stack is as it is put together, m, where a layer's plus-minus stands for washers to come; left out: as thick as it is. */
  readonly stands?: number;
}
export interface BoltPiece {
  /** By what it does there, never by size: `screw`, `washer-head`, `nut`. */
  readonly role: string;
  readonly item: string;
  readonly fastener: Fastener;
  /** It is sawn to the length of its fastener. */
  readonly sawn?: true;
  /** kg, with one standard uncertainty; its mass centre along the axis, m. */
  readonly mass: number;
  readonly spread: number;
  readonly centre: number;
}
export interface BoltedUp {
  readonly fit: StackUp;
  /** Washers put under the head because no sold length was short enough without. */
  readonly packed: number;
  /** Of the screw, under its head, or of the rod that stands for it; null where neither suits: `fit` says why of each screw. */
  readonly length: number | null;
  /** How far its thread holds, m. */
  readonly engagement: number | null;
  /** Empty where nothing suits. */
  readonly pieces: readonly BoltPiece[];
}

const STEEL = 7850;
/** Catalogues lie within these parts of the sum; taken as two standard uncertainties. */
const WITHIN = { screw: 0.03, rod: 0.02, nut: 0.03, washer: 0.08 };
/** So far off may lie what was reckoned between the sizes of its neighbours: standards go from one to the next in steps. */
const BETWEEN_SIZES = 0.3;
/** Turns that must show beyond a nut. */
const BEYOND = 2;
/** Least thread in a tapped hole, of its diameter. */
const HOLDS_IN = { steel: 1, aluminium: 1.5, plastic: 2.5 };
/** Least thread in a cap nut, of its diameter: as much as in a plain one. */
const HOLDS_IN_CAP = 0.8;
/** In a camera: at least so far, and never to within this of its bottom, m. */
const CAMERA = { least: 0.0045, clear: 0.0005 };
const TAPPED_CLEAR = 0.001;
/** Washers under a head to take up length: more than these are no repair. */
const PACKED_AT_MOST = 4;
export const NUT_SIZES: Readonly<Record<NutKind, SizeTable>> = {
  nut: NUT,
  thin: THIN_NUT,
  lock: LOCK_NUT,
  wing: WING_HUB,
  cap: CAP_NUT,
};
export const NUT_WORDS: Readonly<Record<NutKind, string>> = {
  nut: 'nut',
  thin: 'thin nut',
  lock: 'lock nut',
  wing: 'wing nut',
  cap: 'cap nut',
};
const WASHERS: Readonly<Record<WasherKind, WasherTable>> = {
  flat: FLAT_WASHER,
  wide: WIDE_WASHER,
  spring: SPRING_WASHER,
};
/** Sawn and filed to this, m: a screw that must not bottom. */
const SAWN_TO = 0.0001;
const SLACK = 1e-9;
/** A rod is sawn to whole millimetres. */
const ROD_STEP = 0.001;
/** Longest hexagon screw threaded all along, of its diameter (ISO 4017 as it is sold). */
const FULL_TO = 10;

const isNut = (end: BoltEnd): end is { readonly kind: NutKind } => end.kind in NUT_SIZES;

/** While sizes are dragged the same screws are asked for again and again. */
const known = new Map<string, BoltedUp>();
const KNOWN_AT_MOST = 2000;

/** Throws RangeError for a thread that the standard of one of its parts does not know. */
export function boltUp(bolt: Bolt): BoltedUp {
  const key = keyOf(bolt);
  const before = known.get(key);
  if (before) return before;
  if (known.size >= KNOWN_AT_MOST) known.clear();
  const found = worked(bolt);
  known.set(key, found);
  return found;
}

/** All that the answer depends on, to the bit. */
function keyOf({
  thread,
  layers,
  washers = {},
  end,
  lockWasher,
  head,
  root,
  rod,
  full,
  stands,
  headRoom,
  endRoom,
}: Bolt): string {
  const ends = 'depth' in end ? `${end.kind} ${end.depth} ${'in' in end ? end.in : ''}` : end.kind;
  let key = `${thread.name} ${washers.head} ${washers.end} ${lockWasher} ${ends} ${head} ${root} ${rod} ${full} ${stands} ${headRoom} ${endRoom}`;
  for (const l of layers) key += ` ${l.thickness} ${l.plusMinus} ${l.count}`;
  return key;
}

function worked(asked: Bolt): BoltedUp {
  const wide = sizeOf(FLAT_WASHER.outside, asked.thread);
  const isTooWide = asked.headRoom !== undefined && wide > asked.headRoom;
  const isEndTooWide = asked.endRoom !== undefined && wide > asked.endRoom;
  const { head: headWasher, end: endWasher } = asked.washers ?? {};
  const bolt: Bolt = {
    ...asked,
    washers: {
      ...(headWasher && !isTooWide ? { head: headWasher } : {}),
      ...(endWasher && !isEndTooWide ? { end: endWasher } : {}),
    },
  };
  if (bolt.root !== undefined && isNut(bolt.end)) return rooted(bolt, bolt.root, bolt.end.kind);
  const { thread } = bolt;
  const head = bolt.washers?.head;
  const under = bolt.washers?.end;
  const thick = (kind: WasherKind): number => sizeOf(WASHERS[kind].thick, thread);
  let bare: StackUp | null = null;
  for (let packed = 0; ; packed++) {
    const layers: readonly StackLayer[] = [
      ...(packed > 0 ? [{ name: 'packing', thickness: thick('flat'), count: packed }] : []),
      ...(head ? [{ name: 'washer', thickness: thick(head) }] : []),
      ...bolt.layers,
      ...(under ? [{ name: 'washer', thickness: thick(under) }] : []),
      ...lockLayer(bolt),
    ];
    const fit = stackUp({
      threadDiameter: thread.diameter,
      pitch: thread.pitch,
      layers,
      end: endOf(bolt.end, thread),
      soldLengths: bolt.rod ? [] : soldScrews(thread, bolt.full ?? false),
    });
    bare ??= fit;
    if (fit.chosenLength !== null)
      return {
        fit,
        packed,
        length: fit.chosenLength,
        engagement: fit.engagement ?? (isNut(bolt.end) ? sizeOf(NUT_SIZES[bolt.end.kind], thread) : null),
        pieces: piecesOf(bolt, { kind: 'screw', length: fit.chosenLength }, packed),
      };
    // Only one that is too long, or meets with its plain shank, is helped by washers.
    const helps = fit.judged.some((j) => j.faults.length > 0 && !j.faults.includes('short'));
    if (!helps || packed === PACKED_AT_MOST || bolt.head === 'sunk' || isTooWide)
      return isNut(bolt.end) ? onRod(bolt, bolt.end.kind, bare) : sawn(bolt, bare);
  }
}

/** By what it does there. */
export const LOCK_ROLE = 'washer-lock';
const lockLayer = ({ lockWasher, thread }: Bolt): readonly StackLayer[] =>
  lockWasher ? [{ name: 'lock washer', thickness: sizeOf(WASHERS[lockWasher].thick, thread) }] : [];
/** How far a rod goes on past the stack: through its nut and beyond, or into a cap nut and short of its bottom. */
const reachInto = (kind: NutKind, thread: Thread): number =>
  kind === 'cap'
    ? sizeOf(CAP_NUT_DEPTH, thread) - thread.pitch
    : sizeOf(NUT_SIZES[kind], thread) + BEYOND * thread.pitch;

function sizeOf(table: SizeTable, thread: Thread): number {
  const size = table.of(thread);
  if (size === null) throw new RangeError(`no ${table.what} for ${thread.name}`);
  return size;
}

const soldScrews = (thread: Thread, full: boolean): readonly SoldScrew[] =>
  SOLD_LENGTHS[thread.standard].flatMap((length): readonly SoldScrew[] => {
    const isFull = length <= FULL_TO * thread.diameter + 1e-9;
    if (full && !isFull) return [];
    return [isFull ? { length } : { length, threadLength: Math.min(length, partThread(thread)) }];
  });

function endOf(end: BoltEnd, thread: Thread): StackEnd {
  if (end.kind === 'cap')
    return {
      type: 'blind',
      threadDepth: sizeOf(CAP_NUT_DEPTH, thread),
      engagementDiameters: HOLDS_IN_CAP,
      clearOfBottom: thread.pitch,
    };
  if (isNut(end)) return { type: 'nut', height: sizeOf(NUT_SIZES[end.kind], thread), pitchesBeyond: BEYOND };
  return end.kind === 'camera'
    ? {
        type: 'blind',
        threadDepth: end.depth,
        engagementDiameters: CAMERA.least / thread.diameter,
        clearOfBottom: CAMERA.clear,
      }
    : { type: 'blind', threadDepth: end.depth, engagementDiameters: HOLDS_IN[end.in], clearOfBottom: TAPPED_CLEAR };
}

/** What is screwed in: a screw as it is sold, or sawn shorter; or a rod. */
interface Shank {
  readonly kind: 'screw' | 'rod';
  /** As it is sold; a rod, as it is sawn. */
  readonly length: number;
  readonly sawnTo?: number;
}

/** Of a thread of the tables, or of one between them. */
function weighedPiece(
  thread: Thread,
  role: string,
  what: string,
  fastener: Fastener,
  within: keyof typeof WITHIN,
): BoltPiece {
  const weighed = fastenerMass(fastener, STEEL);
  const relative = isTabled(thread) || within === 'rod' ? WITHIN[within] : Math.hypot(WITHIN[within], BETWEEN_SIZES);
  return { role, item: `${thread.name} ${what}`, fastener, ...weighed, spread: (relative / 2) * weighed.mass };
}

export function washerPiece(thread: Thread, role: string, kind: WasherKind, at: number): BoltPiece {
  const { bore, outside, thick } = WASHERS[kind];
  const fastener: Fastener = {
    type: 'washer',
    at,
    outerDiameter: sizeOf(outside, thread),
    innerDiameter: sizeOf(bore, thread),
    thickness: sizeOf(thick, thread),
    count: 1,
  };
  return weighedPiece(thread, role, `${kind} washer`, fastener, 'washer');
}

/** Of a hexagon of the hub's height that weighs what the wing nut does, wings and all. */
const wingFlats = (thread: Thread, hub: number): number =>
  Math.sqrt((sizeOf(WING_MASS, thread) / STEEL / hub + threadArea(thread)) / (Math.sqrt(3) / 2));

/** Of a hexagon of the whole height that weighs what the nut does: hexagon round the thread, a dome of half a round over it. */
function capFlats(thread: Thread, height: number): number {
  const [flats, depth] = [sizeOf(ACROSS_FLATS, thread), sizeOf(CAP_NUT_DEPTH, thread)];
  const dome = (Math.PI / 6) * flats ** 2 * (height - depth);
  const volume = ((Math.sqrt(3) / 2) * flats ** 2 - threadArea(thread)) * depth + dome;
  return Math.sqrt((volume / height + threadArea(thread)) / (Math.sqrt(3) / 2));
}

export function nutPiece(thread: Thread, role: string, kind: NutKind, at: number): BoltPiece {
  const height = sizeOf(NUT_SIZES[kind], thread);
  const fastener: Fastener = {
    type: 'hexNut',
    at,
    acrossFlats:
      kind === 'wing'
        ? wingFlats(thread, height)
        : kind === 'cap'
          ? capFlats(thread, height)
          : sizeOf(ACROSS_FLATS, thread),
    height,
    threadDiameter: thread.diameter,
    pitch: thread.pitch,
  };
  return weighedPiece(thread, role, NUT_WORDS[kind], fastener, 'nut');
}

type Head = { readonly acrossFlats: number; readonly headHeight: number };
const hexagonal = (thread: Thread): Head => ({
  acrossFlats: sizeOf(ACROSS_FLATS, thread),
  headHeight: sizeOf(HEX_HEAD, thread),
});
/** As a hexagon of the dome's height and volume. */
function domed(thread: Thread): Head {
  const [wide, high] = [sizeOf(DOME_HEAD.diameter, thread), sizeOf(DOME_HEAD.height, thread)];
  const volume = (Math.PI * high * (0.75 * wide ** 2 + high ** 2)) / 6;
  return { acrossFlats: Math.sqrt(volume / high / (Math.sqrt(3) / 2)), headHeight: high };
}

/** A tube sawn to length that holds what lies on it off; it bears like a washer. */
export function spacerPiece(thread: Thread, role: string, at: number, length: number): BoltPiece {
  const { bore, outside } = FLAT_WASHER;
  const fastener: Fastener = {
    type: 'washer',
    at,
    outerDiameter: sizeOf(outside, thread),
    innerDiameter: sizeOf(bore, thread),
    thickness: length,
    count: 1,
  };
  return weighedPiece(thread, role, `spacer × ${Math.round(length * 10000) / 10} mm`, fastener, 'washer');
}

/** The screw, or the rod with the nut that is its head; `at` is what it bears on. */
function shankPieces({ thread, head, full }: Bolt, shank: Shank, at: number): readonly BoltPiece[] {
  const threads = { threadDiameter: thread.diameter, pitch: thread.pitch };
  if (shank.kind === 'rod') {
    const kind = head === 'wing' ? 'wing' : 'nut';
    const nutAt = at - sizeOf(NUT_SIZES[kind], thread);
    const rod: Fastener = {
      type: 'threadedRod',
      at: nutAt - BEYOND * thread.pitch,
      ...threads,
      length: shank.length,
    };
    return [weighedPiece(thread, 'screw', 'threaded rod', rod, 'rod'), nutPiece(thread, 'nut-head', kind, nutAt)];
  }
  const sold = soldScrews(thread, full ?? false).find((s) => s.length === shank.length);
  const length = shank.sawnTo ?? shank.length;
  const long = { ...threads, length, threadLength: Math.min(length, sold?.threadLength ?? length) };
  const name = `× ${shownLength(shank.length, thread)}`;
  const screw: Fastener =
    head === 'sunk'
      ? {
          type: 'countersunkScrew',
          at,
          headDiameter: sizeOf(SUNK_HEAD.diameter, thread),
          headHeight: sizeOf(SUNK_HEAD.height, thread),
          socketAcrossFlats: sizeOf(SUNK_HEAD.key, thread),
          socketDepth: sizeOf(SUNK_HEAD.keyDepth, thread),
          ...long,
        }
      : head === 'low'
        ? {
            type: 'lowHeadScrew',
            at,
            headDiameter: sizeOf(LOW_HEAD.diameter, thread),
            headHeight: sizeOf(LOW_HEAD.height, thread),
            socketAcrossFlats: sizeOf(LOW_HEAD.key, thread),
            socketDepth: sizeOf(LOW_HEAD.keyDepth, thread),
            ...long,
          }
        : {
            type: 'hexHeadScrew',
            at,
            ...(head === 'square' ? domed(thread) : hexagonal(thread)),
            ...long,
          };
  const all = sold?.threadLength === undefined ? ', threaded all along' : '';
  const item =
    head === 'sunk'
      ? `${name} countersunk screw`
      : head === 'low'
        ? `${name} low-head screw`
        : head === 'square'
          ? `${name} square-necked bolt`
          : `${name} hexagon screw${all}`;
  return [
    { ...weighedPiece(thread, 'screw', item, screw, 'screw'), ...(shank.sawnTo === undefined ? {} : { sawn: true }) },
  ];
}

function piecesOf(bolt: Bolt, shank: Shank, packed: number): readonly BoltPiece[] {
  const { thread, layers, washers = {}, end, stands, lockWasher } = bolt;
  const through = stands ?? layers.reduce((s, l) => s + l.thickness * (l.count ?? 1), 0);
  const thick = (kind: WasherKind | undefined): number => (kind ? sizeOf(WASHERS[kind].thick, thread) : 0);
  const flat = packed > 0 ? thick('flat') : 0;
  const lock = thick(lockWasher);
  const packedFrom = -thick(washers.head) - packed * flat;
  const headAt = packedFrom - (isNut(end) ? 0 : lock);
  const under = through + thick(washers.end);
  return [
    ...shankPieces(bolt, shank, headAt),
    ...Array.from({ length: packed }, (_, i) =>
      washerPiece(thread, `washer-packing-${i + 1}`, 'flat', packedFrom + i * flat),
    ),
    ...(washers.head ? [washerPiece(thread, 'washer-head', washers.head, -thick(washers.head))] : []),
    ...(washers.end ? [washerPiece(thread, 'washer-end', washers.end, through)] : []),
    ...(lockWasher ? [washerPiece(thread, LOCK_ROLE, lockWasher, isNut(end) ? under : headAt)] : []),
    ...(isNut(end) ? [nutPiece(thread, 'nut', end.kind, under + lock)] : []),
  ];
}

/** Where no screw is sold so long with thread enough: a rod sawn to length, with a nut for a head. Its length takes in both nuts. */
function onRod(bolt: Bolt, kind: NutKind, fit: StackUp): BoltedUp {
  const { thread } = bolt;
  const end = sizeOf(NUT_SIZES[kind], thread);
  const exact = fit.stackMost + sizeOf(NUT, thread) + BEYOND * thread.pitch + reachInto(kind, thread);
  const length = Math.ceil(exact / ROD_STEP - 1e-9) * ROD_STEP;
  return { fit, packed: 0, length, engagement: end, pieces: piecesOf(bolt, { kind: 'rod', length }, 0) };
}

/** On a rod of the rig, which begins and ends so far from the stack's outer face: a nut for the head, one at the end, if it reaches. */
export function onOwnRod(bolt: Bolt, [from, to]: readonly [number, number]): BoltedUp {
  const { thread, layers, end, washers = {} } = bolt;
  if (!isNut(end)) throw new RangeError('no rod without a nut');
  const kind = end.kind;
  const thick = (w: WasherKind | undefined): number => (w ? sizeOf(WASHERS[w].thick, thread) : 0);
  const all = [{ thickness: thick(washers.head) }, ...layers, { thickness: thick(washers.end) }, ...lockLayer(bolt)];
  const fit = stackUp({
    threadDiameter: thread.diameter,
    pitch: thread.pitch,
    layers: all,
    end: endOf(end, thread),
    soldLengths: [],
  });
  const before = thick(washers.head) + sizeOf(NUT, thread);
  const past = fit.stackMost - thick(washers.head);
  const [least, most] =
    kind === 'cap'
      ? [HOLDS_IN_CAP * thread.diameter, sizeOf(CAP_NUT_DEPTH, thread)]
      : [sizeOf(NUT_SIZES[kind], thread) + BEYOND * thread.pitch, Infinity];
  const reaches = from <= -before + SLACK && to >= past + least - SLACK && to <= past + most + SLACK;
  const pieces = piecesOf(bolt, { kind: 'rod', length: to - from }, 0).filter((p) => p.role !== 'screw');
  return {
    fit,
    packed: 0,
    length: reaches ? to - from : null,
    engagement: reaches ? sizeOf(NUT_SIZES[kind], thread) : null,
    pieces,
  };
}

/** Into a blind thread where no length sold is right: the next longer one, sawn so that it ends half way between too little and too much. */
function sawn(bolt: Bolt, fit: StackUp): BoltedUp {
  const none = { fit, packed: 0, length: null, engagement: null, pieces: [] };
  const end = endOf(bolt.end, bolt.thread);
  if (end.type !== 'blind') return none;
  const least = fit.stackMost + end.engagementDiameters * bolt.thread.diameter;
  const most = fit.stackLeast + end.threadDepth - end.clearOfBottom;
  const length = Math.round((least + most) / 2 / SAWN_TO) * SAWN_TO;
  const from = soldScrews(bolt.thread, true).find((s) => s.length > length);
  if (length < least - SLACK || length > most + SLACK) return none;
  if (!from || bolt.rod) return bolt.end.kind === 'tapped' && bolt.head !== 'sunk' ? rodInto(bolt, fit, length) : none;
  return {
    fit,
    packed: 0,
    length,
    engagement: length - fit.stackThickness,
    pieces: piecesOf(bolt, { kind: 'screw', length: from.length, sawnTo: length }, 0),
  };
}

/** A stud out of a thread in a piece, through its layers, a nut at its end. */
function rooted(bolt: Bolt, root: number, kind: NutKind): BoltedUp {
  const { thread, layers, washers = {}, end, stands } = bolt;
  const under = washers.end ? sizeOf(WASHERS[washers.end].thick, thread) : 0;
  const lock = lockLayer(bolt).reduce((s, l) => s + l.thickness, 0);
  const fit = stackUp({
    threadDiameter: thread.diameter,
    pitch: thread.pitch,
    layers: [...layers, { thickness: under }, ...lockLayer(bolt)],
    end: endOf(end, thread),
    soldLengths: [],
  });
  const nut = sizeOf(NUT_SIZES[kind], thread);
  const length = Math.ceil((root + fit.stackMost + reachInto(kind, thread)) / ROD_STEP - 1e-9) * ROD_STEP;
  const through = stands ?? layers.reduce((s, l) => s + l.thickness * (l.count ?? 1), 0);
  const rod: Fastener = {
    type: 'threadedRod',
    at: -root,
    threadDiameter: thread.diameter,
    pitch: thread.pitch,
    length,
  };
  return {
    fit,
    packed: 0,
    length,
    engagement: nut,
    pieces: [
      weighedPiece(thread, 'screw', 'threaded rod', rod, 'rod'),
      ...(washers.end ? [washerPiece(thread, 'washer-end', washers.end, through)] : []),
      ...(bolt.lockWasher ? [washerPiece(thread, LOCK_ROLE, bolt.lockWasher, through + under)] : []),
      nutPiece(thread, 'nut', kind, through + under + lock),
    ],
  };
}

/** Into a thread cut deep in: a rod of whole millimetres, with a nut for a head. */
function rodInto(bolt: Bolt, fit: StackUp, under: number): BoltedUp {
  const { thread } = bolt;
  const beyond = sizeOf(NUT_SIZES[bolt.head === 'wing' ? 'wing' : 'nut'], thread) + BEYOND * thread.pitch;
  const length = Math.round((under + beyond) / ROD_STEP) * ROD_STEP;
  return {
    fit,
    packed: 0,
    length: length - beyond,
    engagement: length - beyond - fit.stackThickness,
    pieces: piecesOf(bolt, { kind: 'rod', length }, 0),
  };
}

/** As it is asked for in a shop: whole millimetres, or inches by eighths. */
function shownLength(length: number, { standard }: Thread): string {
  if (standard === 'ISO') return `${Math.round(length * 1000)}`;
  const eighths = Math.round((length / 0.0254) * 8);
  const [whole, part] = [Math.floor(eighths / 8), eighths % 8];
  const [over, under] = part % 4 === 0 ? [part / 4, 2] : part % 2 === 0 ? [part / 2, 4] : [part, 8];
  return `${whole > 0 ? whole : ''}${part > 0 ? `${whole > 0 ? ' ' : ''}${over}/${under}` : ''} in`;
}
