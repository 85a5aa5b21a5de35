/**
 * A screw with all that it brings: washers, the next sold length, its nut; each with its place along the axis, what it weighs and
 * what it is asked for by. The axis starts at the outer face of the first layer and runs through the stack.
 */
import { fastenerMass, type Fastener } from './fastenerMass';
import {
  ACROSS_FLATS,
  FLAT_WASHER,
  HEX_HEAD,
  LOCK_NUT,
  NUT,
  partThread,
  SOLD_LENGTHS,
  THIN_NUT,
  WIDE_WASHER,
  type SizeTable,
  type WasherTable,
} from './sizes';
import { stackUp, type SoldScrew, type StackEnd, type StackLayer, type StackUp } from './stackUp';
import type { Thread } from './thread';

export type WasherKind = 'flat' | 'wide';
export type NutKind = 'nut' | 'thin' | 'lock';
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
  /** Threaded all along, as under a stack whose count changes. */
  readonly full?: boolean;
}
export interface BoltPiece {
  /** By what it does there, never by size: `screw`, `washer-head`, `nut`. */
  readonly role: string;
  readonly item: string;
  readonly fastener: Fastener;
  /** kg, with one standard uncertainty; its mass centre along the axis, m. */
  readonly mass: number;
  readonly spread: number;
  readonly centre: number;
}
export interface BoltedUp {
  readonly fit: StackUp;
  /** Washers put under the head because no sold length was short enough without. */
  readonly packed: number;
  /** Empty where no sold screw suits: `fit` says why of each. */
  readonly pieces: readonly BoltPiece[];
}

const STEEL = 7850;
/** Catalogues lie within these parts of the sum; taken as two standard uncertainties. */
const WITHIN = { screw: 0.03, nut: 0.03, washer: 0.08 };
/** Turns that must show beyond a nut. */
const BEYOND = 2;
/** Least thread in a tapped hole, of its diameter. */
const HOLDS_IN = { steel: 1, aluminium: 1.5, plastic: 2.5 };
/** In a camera: at least so far, and never to within this of its bottom, m. */
const CAMERA = { least: 0.0045, clear: 0.0005 };
const TAPPED_CLEAR = 0.001;
/** Washers under a head to take up length: more than these are no repair. */
const PACKED_AT_MOST = 4;
const NUTS: Readonly<Record<NutKind, SizeTable>> = { nut: NUT, thin: THIN_NUT, lock: LOCK_NUT };
const NUT_WORDS: Readonly<Record<NutKind, string>> = { nut: 'nut', thin: 'thin nut', lock: 'lock nut' };
const WASHERS: Readonly<Record<WasherKind, WasherTable>> = { flat: FLAT_WASHER, wide: WIDE_WASHER };
/** Longest hexagon screw threaded all along, of its diameter (ISO 4017 as it is sold). */
const FULL_TO = 10;

const isNut = (end: BoltEnd): end is { readonly kind: NutKind } => end.kind in NUTS;

/** Throws RangeError for a thread that the standard of one of its parts does not know. */
export function boltUp(bolt: Bolt): BoltedUp {
  const { thread } = bolt;
  const head = bolt.washers?.head;
  const under = bolt.washers?.end;
  const thick = (kind: WasherKind): number => sizeOf(WASHERS[kind].thick, thread);
  for (let packed = 0; ; packed++) {
    const layers: readonly StackLayer[] = [
      ...(packed > 0 ? [{ name: 'packing', thickness: thick('flat'), count: packed }] : []),
      ...(head ? [{ name: 'washer', thickness: thick(head) }] : []),
      ...bolt.layers,
      ...(under ? [{ name: 'washer', thickness: thick(under) }] : []),
    ];
    const fit = stackUp({
      threadDiameter: thread.diameter,
      pitch: thread.pitch,
      layers,
      end: endOf(bolt.end, thread),
      soldLengths: soldScrews(thread, bolt.full ?? false),
    });
    if (fit.chosenLength !== null) return { fit, packed, pieces: piecesOf(bolt, fit.chosenLength, packed) };
    // Only one that is too long, or meets with its plain shank, is helped by washers.
    const helps = fit.judged.some((j) => j.faults.length > 0 && !j.faults.includes('short'));
    if (!helps || packed === PACKED_AT_MOST) return { fit, packed: 0, pieces: [] };
  }
}

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
  if (isNut(end)) return { type: 'nut', height: sizeOf(NUTS[end.kind], thread), pitchesBeyond: BEYOND };
  return end.kind === 'camera'
    ? {
        type: 'blind',
        threadDepth: end.depth,
        engagementDiameters: CAMERA.least / thread.diameter,
        clearOfBottom: CAMERA.clear,
      }
    : { type: 'blind', threadDepth: end.depth, engagementDiameters: HOLDS_IN[end.in], clearOfBottom: TAPPED_CLEAR };
}

function piecesOf(
  { thread, layers, washers = {}, end, full }: Bolt,
  length: number,
  packed: number,
): readonly BoltPiece[] {
  const through = layers.reduce((s, l) => s + l.thickness * (l.count ?? 1), 0);
  const threads = { threadDiameter: thread.diameter, pitch: thread.pitch };
  const acrossFlats = sizeOf(ACROSS_FLATS, thread);
  const piece = (role: string, item: string, fastener: Fastener, within: number): BoltPiece => {
    const weighed = fastenerMass(fastener, STEEL);
    return { role, item, fastener, ...weighed, spread: (within / 2) * weighed.mass };
  };
  const washer = (role: string, kind: WasherKind, at: number, count = 1): BoltPiece => {
    const { bore, outside, thick } = WASHERS[kind];
    return piece(
      role,
      `${thread.name} ${kind} washer`,
      {
        type: 'washer',
        at,
        outerDiameter: sizeOf(outside, thread),
        innerDiameter: sizeOf(bore, thread),
        thickness: sizeOf(thick, thread),
        count,
      },
      WITHIN.washer,
    );
  };
  const thick = (kind: WasherKind | undefined): number => (kind ? sizeOf(WASHERS[kind].thick, thread) : 0);
  const flat = packed * (packed > 0 ? thick('flat') : 0);
  const headAt = -thick(washers.head) - flat;
  const sold = soldScrews(thread, full ?? false).find((s) => s.length === length)!;
  const isFull = sold.threadLength === undefined;
  return [
    piece(
      'screw',
      `${thread.name} × ${shownLength(length, thread)} hexagon screw${isFull ? ', threaded all along' : ''}`,
      {
        type: 'hexHeadScrew',
        at: headAt,
        acrossFlats,
        headHeight: sizeOf(HEX_HEAD, thread),
        ...threads,
        length,
        threadLength: sold.threadLength ?? length,
      },
      WITHIN.screw,
    ),
    ...(packed > 0 ? [washer('washer-packing', 'flat', headAt, packed)] : []),
    ...(washers.head ? [washer('washer-head', washers.head, -thick(washers.head))] : []),
    ...(washers.end ? [washer('washer-end', washers.end, through)] : []),
    ...(isNut(end)
      ? [
          piece(
            'nut',
            `${thread.name} ${NUT_WORDS[end.kind]}`,
            {
              type: 'hexNut',
              at: through + thick(washers.end),
              acrossFlats,
              height: sizeOf(NUTS[end.kind], thread),
              ...threads,
            },
            WITHIN.nut,
          ),
        ]
      : []),
  ];
}

/** As it is asked for in a shop: whole millimetres, or inches by eighths. */
function shownLength(length: number, { standard }: Thread): string {
  if (standard === 'ISO') return `${Math.round(length * 1000)}`;
  const eighths = Math.round((length / 0.0254) * 8);
  const [whole, part] = [Math.floor(eighths / 8), eighths % 8];
  const [over, under] = part % 4 === 0 ? [part / 4, 2] : part % 2 === 0 ? [part / 2, 4] : [part, 8];
  return `${whole > 0 ? whole : ''}${part > 0 ? `${whole > 0 ? ' ' : ''}${over}/${under}` : ''} in`;
}
