/** What a reading of the real rig says: an equation in the rig's sums, or a figure that it gives by itself. */
import type { Phrase, Vec3 } from '../../0-base';
import type { Sums } from '../../1-load';
import type { AdjusterValues, Assembly } from '../../2-frame';
import type { LogEntry } from '../../model';
import type { BalanceContext } from '../balanceCheck';

/** Of the sums about the point it is borne at, or about a point on the axis read, and the friction of the joint read. */
export interface Observation {
  /** A place in m, or a mass in kg, that should be zero, straight in the sums; and how well it was read. */
  readonly value: (s: Sums, friction: number) => number;
  readonly spread: (s: Sums, friction: number) => number;
}
/** No reading of a place is better than this, m: joints, cables, draughts. */
export const BEST = 5e-6;

/** One reading as it was taken. */
export interface Taken {
  readonly value: number;
  /** All that was read with it. */
  readonly seen: LogEntry['seen'];
  readonly assembly: Assembly;
  readonly values: AdjusterValues;
  /** Where the rig is borne, m. */
  readonly at: Vec3;
  /** On the scale too, but not borne there: grip and handle, kg. */
  readonly beside: number;
  /** How often it was seen to turn over before. */
  readonly over: number;
}

/** A reading against the rig set as it was read. */
export interface TakenOf {
  readonly about: string | null;
  readonly value: number;
  readonly context: BalanceContext;
}
/** To be taken over with a press. */
export interface OwnFigure {
  readonly id: string;
  readonly words: Phrase;
  /** What takes it over: a change of the rig, or of the maker's own measures. */
  readonly take:
    | {
        readonly kind: 'friction';
        readonly target: string;
        readonly torque: { readonly value: number; readonly spread: number; readonly source: string };
      }
    | { readonly kind: 'breaksAway'; readonly target: string; readonly force: number }
    | { readonly kind: 'wristStrength'; readonly value: number };
}
/** A figure read and one known this near are one. */
const SAME = 0.03;
export const isSame = (known: number | null | undefined, read: number): boolean =>
  known !== null && known !== undefined && Math.abs(known - read) < SAME * read;
