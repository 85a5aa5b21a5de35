/**
 * A way of being borne, as one set of questions: every screen asks them of the rig's own ways, and branches on none. A new
 * way is a folder beside the others that answers them, and one line in `ways.ts`.
 */
import type { Gauge, Phrase, Vec3 } from '../../0-base';
import type { AdjusterValues } from '../../2-frame';
import type { Adjuster, Pivot, Rig, Wants } from '../../model';
import type { BalanceContext } from '../balanceCheck';
import type { Evaluation } from '../evaluate';
import type { ConditionId } from '../trim/conditions';
import type { Observation, OwnFigure, Taken, TakenOf } from './says';
import type { Support } from './support';
import type { TwoWays } from './words';

/** One thing that can be wanted, with its figure; SI. */
export interface Want {
  readonly id: string;
  readonly name: string;
  readonly kind: 'angle' | 'time' | 'mass' | 'torque' | 'number' | 'money';
  readonly range: readonly [number, number];
  readonly help?: string;
  /** Can be left empty: then it is not asked. */
  readonly optional?: boolean;
  /** The conditions of the trim that are firm or not by it; none for what is no condition. */
  readonly firm: readonly ConditionId[];
  of(wants: Wants): number | null;
  with(wants: Wants, value: number | null): Wants;
}

/** A readout of the tide line, with what is told when it is touched. */
export interface WayGauge {
  readonly gauge: Gauge;
  readonly title: string;
  /** Codes of the findings that speak of it. */
  readonly codes: readonly string[];
  readonly wants: readonly Want[];
  /** What it means on the bench. */
  readonly notes?: readonly BenchNote[];
}
/** What a figure or its plus-minus means with the rig in the hand. */
export interface BenchNote {
  readonly words: Phrase;
  /** The part or adjuster it speaks of, to light up in the drawing. */
  readonly about: string | null;
}

/** A heading with sentences: one a pose, an axis, a rate of spin. The first is the most telling. */
export interface Readout {
  readonly id: string;
  readonly name: string;
  readonly lines: readonly Phrase[];
  readonly curve?: Curve;
}
/** How a figure goes with a count of washers, everything else as set. */
export interface Curve {
  readonly of: string;
  readonly over: string;
  readonly quantity: 'angle';
  readonly points: readonly { readonly x: number; readonly y: number }[];
  readonly here: number;
  readonly wanted: number;
}

/** How likely it is to do what is wanted, of all builds that fit what was measured; with no finding against it. */
export interface Odds {
  /** That it holds, 0 to 1; null where the model cannot tell. */
  readonly holds: number | null;
  /** “It hangs level and rights itself in the time you want.” */
  readonly title: Phrase;
  /** The same as a part of a sentence: “hang level and in time”. */
  readonly does: string;
  /** What to do where it may not, or hardly will. */
  readonly mayNot: Phrase;
  readonly hardly: Phrase;
  /** What else the odds say: how many turn over, what each want alone would do. */
  readonly besides: readonly Phrase[];
  readonly besidesHardly?: readonly Phrase[];
}

/** What a reading should be, and between what it may be by all that is not known. */
export interface Expected {
  readonly value: number;
  readonly least: number;
  readonly most: number;
}
/** One thing a maker can read of the real rig: all that is known of it stands here. */
export interface ReadingKind {
  /** Its name in the log. */
  readonly kind: string;
  readonly name: string;
  readonly help: string;
  readonly quantity: 'angle' | 'time' | 'mass' | 'length' | 'force' | 'torque' | 'flag';
  readonly range: readonly [number, number];
  /** What it is read of: a pivot, a contact, a pose; null for the whole rig. */
  readonly about: string | null;
  /** The words for a positive and a negative one, where the sign is a way. */
  readonly words?: TwoWays;
  /** By the figures as the rig is set; null where they cannot tell. */
  expects(context: BalanceContext): Expected | null;
  /** What it says of where the mass centre lies, or of what rubs; left out where it says nothing of that. */
  says?(taken: Taken): readonly Observation[];
  /** Said of what this axis carries, about a point on it, and of its friction; else of what bears the rig. */
  readonly axis?: Pivot;
  /** What it gives by itself: of all readings of its kind, of whatever part. */
  gives?(read: readonly TakenOf[]): readonly OwnFigure[];
}

export interface CardLine {
  readonly figure: Phrase;
  readonly rest: Phrase;
}

export interface Way {
  readonly id: string;
  /** Whether the rig as it stands is borne so. */
  bears(evaluation: Evaluation): boolean;
  /** Whether a rig of these joints and poses will be; `support` is what bears it first. */
  willBear(rig: Rig, support: Support): boolean;
  /** Three readouts, the most telling first. */
  gauges(context: BalanceContext): readonly [WayGauge, WayGauge, WayGauge];
  /** What can be wanted of it, beside what may be wanted of any rig. */
  readonly wants: readonly Want[];
  /** What the trim brings it to, in a line; empty where there is nothing to say. */
  aim(wants: Wants): Phrase;
  odds(context: BalanceContext): Odds;
  /** In full: each pose, axis or rate of spin. */
  readouts(context: BalanceContext): readonly Readout[];
  /** What the rig does with the adjusters so, as the end of “1/8 turn forward: …”. */
  after(context: BalanceContext, adjuster: Adjuster, values: AdjusterValues): Phrase;
  /** Where the set-ups of each loadout lie: the heading over them. */
  readonly placesHeading: string;
  /** What its spread means on the bench. */
  plusMinus(context: BalanceContext): readonly BenchNote[];
  /** What a maker can read of the real rig. */
  readings(rig: Rig): readonly ReadingKind[];
  /** What was learned of where its mass centre lies: from what bears it, m, with one standard uncertainty. */
  learned(fromSupport: Vec3, spread: Vec3): Phrase;
  /** What is to be done to read it, for whoever has logged nothing yet. */
  readonly firstReading: string;
  /** What to expect, on the card. */
  card(context: BalanceContext): readonly CardLine[];
  /** Of builds drawn by chance, what those that can be set do: “can be brought level …”. */
  readonly buildsCan: string;
  /** How it is balanced once it is built: the last step of the bench. */
  readonly lastStep: { readonly title: string; readonly check: string };
  /** Why a steady pan is not asked of it; empty where it is. */
  readonly noPan: string;
  /** Why the swing player has nothing to show, when it has not. */
  noSwing(evaluation: Evaluation): string;
}
