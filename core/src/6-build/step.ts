/** One step of the build and what makes it; steps come from the rig's own parts and joints, never from a fixed text. */
import type { Phrase } from '../0-base';
import type { BarPlan } from '../5-stock';
import type { Rig } from '../model';
import type { BuildOrder, Joining } from './order/buildOrder';
import type { Cures } from './schedule/curing';

export interface BuildStep {
  /** Stays the same while the rig's identifiers do, so that ticks survive a change of size. */
  readonly id: string;
  readonly about: string;
  readonly title: Phrase;
  readonly tool: string;
  readonly figures: readonly Phrase[];
  readonly check: Phrase;
  readonly caution: string | null;
  /** Within reach before it is begun: afterwards there is no time to look for it. */
  readonly ready?: Phrase;
  /** Tried on scrap first, where a fit decides. */
  readonly trial?: Phrase;
  /** What the hand does, one after the other. */
  readonly moves?: readonly Phrase[];
  readonly tight?: Phrase;
  /** What can be done when it has gone wrong. */
  readonly wrong?: Phrase;
  /** Hands on the work, rough; drying is told apart. */
  readonly minutes: number;
  /** Until the next step may load it, s, at room warmth; and what of it sets, where that takes longer in the cold. */
  readonly dries?: number;
  readonly cures?: Cures;
  /** What is set up for it: a bit, a saw. Steps that share one can be done in one go. */
  readonly setUp?: string;
  /** A machine goes on with it by itself for so long, s. */
  readonly runs?: { readonly machine: 'printer'; readonly time: number };
  /** Cannot be undone: the check comes before it. */
  readonly final: boolean;
  /** Ids of steps that must be done before. A need that no step answers is dropped. */
  readonly needs: readonly string[];
  /** Connections it makes, operations it does, pieces it takes in hand, by their ids. */
  readonly does?: readonly string[];
  readonly makes?: readonly string[];
  readonly handles?: readonly string[];
  /** What no hand gets at any more once it is done. */
  readonly shutsIn?: Phrase;
  /** Steps that stood for it in files from before: of each of these, one. */
  readonly was?: readonly (readonly string[])[];
  /** What comes together, and by which way. */
  readonly joins?: Joining;
}

/** What goes on without a hand once it is done, s. */
export const goesOnFor = ({ dries, runs }: BuildStep): number => dries ?? runs?.time ?? 0;

/** A set-up: this bit in the drill, m; this saw at the vise. */
export const bitOf = (diameter: number): string => `bit ${Math.round(diameter * 1e5)}`;
export const sawOf = (saw: string): string => `saw ${saw.split(/,| or /)[0]!}`;
/** The step that makes a connection. */
export const connectStep = (connection: string): string => `connect:${connection}`;
/** The operation that saws a piece. */
export const cutId = (piece: string): string => `${piece}/cut`;
/** The step that saws it. */
export const cutStep = (piece: string): string => `cut:${piece}`;
/** The operation that gives a piece its outline. */
export const shapeId = (piece: string): string => `${piece}/shape`;
/** The operation that prints a part. */
export const printId = (piece: string): string => `${piece}/print`;
/** The operation that hammers its end flat. */
export const flattenId = (piece: string): string => `${piece}/flatten`;

export interface BuildInput {
  readonly rig: Rig;
  readonly bars: readonly BarPlan[];
  /** In what order it is put together. */
  readonly order: BuildOrder;
}

export interface StepMaker {
  readonly id: string;
  /** Steps free of needs come in this order of work. */
  readonly place: number;
  make(input: BuildInput): readonly BuildStep[];
}
