/** One way to measure: which figures to read, the sum that is done with them, and what would make the result better. */
import type { Phrase } from '../0-base';
import type { KitItem } from '../model';
import type { Averaged } from './averaged';
import type { Found } from './agreement';

export type Axis = 0 | 1 | 2;
export type View = 'side' | 'front' | 'top';

export interface AxisWords {
  readonly name: string;
  /** The face that places along it are read from, and its two ends. */
  readonly face: string;
  readonly near: string;
  readonly far: string;
}
export const AXIS_WORDS: readonly [AxisWords, AxisWords, AxisWords] = [
  { name: 'fore and aft', face: 'the rear face', near: 'rear', far: 'front' },
  { name: 'sideways', face: 'the right side', near: 'right', far: 'left' },
  { name: 'height', face: 'the underside', near: 'lower', far: 'upper' },
];
/** The two item axes a square-on view shows: across the paper and up it. */
export const VIEW_AXES: Readonly<Record<View, readonly [Axis, Axis]>> = { side: [0, 2], front: [1, 2], top: [0, 1] };

export interface MethodReading {
  readonly id: string;
  readonly kind: 'length' | 'mass';
  readonly name: (axis: AxisWords) => string;
  readonly help?: string;
  /** Taken as zero when nothing was read. */
  readonly optional?: true;
  /** Whether it may be below zero, and whether zero itself can be. */
  readonly least?: 'any' | 'zero';
}

export interface MethodInput {
  readonly item: KitItem;
  readonly axis: Axis;
  readonly view: View;
  readonly scaleStep: number;
  readonly rulerStep: number;
  /** From other methods; null while it has not been weighed. */
  readonly weight: Found | null;
  /** Mean of a reading's repeats; null when there is none. */
  readonly read: (id: string) => Averaged | null;
}
/** What was found: centres from the item's foot along an item axis, m; masses in kg; sizes and depths in m. */
export interface MethodFound extends Found {
  readonly what: 'mass' | 'centre' | 'size' | 'depth';
  readonly axis: Axis | null;
}
export type MethodOutcome =
  | { readonly kind: 'found'; readonly found: readonly MethodFound[]; readonly sum: Phrase; readonly better: Phrase }
  /** Readings are still missing: which one to take next. */
  | { readonly kind: 'waiting'; readonly next: string }
  | { readonly kind: 'impossible'; readonly reading: string; readonly reason: Phrase };

/** A stroke of the little drawing of how it is done: paths on a sheet 200 wide and 100 high, y down. */
export interface PictureStroke {
  readonly look: 'bench' | 'item' | 'support' | 'scale' | 'measure' | 'cord' | 'pebble';
  readonly path: string;
}

export interface Method {
  readonly id: string;
  readonly name: string;
  readonly finds: 'mass' | 'centre' | 'size' | 'depth';
  /** How soon a maker would reach for it among those that find the same: 1 first. */
  readonly reach: number;
  /** Rough, with everything at hand. */
  readonly minutes: number;
  readonly needs: 'axis' | 'view' | 'nothing';
  /** When to choose it, in a line. */
  readonly choose: string;
  readonly how: readonly string[];
  readonly readings: readonly MethodReading[];
  readonly picture: readonly PictureStroke[];
  readonly work: (input: MethodInput) => MethodOutcome;
}

export const impossible = (reading: string, reason: Phrase | string): MethodOutcome => ({
  kind: 'impossible',
  reading,
  reason: typeof reason === 'string' ? [reason] : reason,
});

/** A place read from a face, as a place from the item's foot. */
export const fromFoot = (item: KitItem, axis: Axis, place: number): number =>
  place - item.size[axis] / 2 + item.boxCentre[axis];

/** The first reading that is still missing, if any. */
export function missing(method: Pick<Method, 'readings'>, input: MethodInput): MethodOutcome | null {
  const next = method.readings.find((r) => !r.optional && input.read(r.id) === null);
  return next ? { kind: 'waiting', next: next.id } : null;
}

/** Farther outside the box than this (a part of its size) a mass centre cannot be. A knob or a lens hood reaches out a little. */
const OUTSIDE_AT_MOST = 0.02;

/** A mass centre lies within the item. */
export function insideBox(item: KitItem, axis: Axis, place: number, spread: number): string | null {
  const room = Math.max(OUTSIDE_AT_MOST * item.size[axis], 2 * spread);
  if (place >= -room && place <= item.size[axis] + room) return null;
  return `That puts the mass centre outside the item. Check the size, and that all was read from ${AXIS_WORDS[axis].face}.`;
}
