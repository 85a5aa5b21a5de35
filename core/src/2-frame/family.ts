/** What a rig family is: one file, one object. Nothing outside knows its name. */
import type { Finding, Phrase, QuantityKind } from '../0-base';
import type { PlacedLoad } from '../1-load';
import { ownName, type Hands, type Quantity, type Rig } from '../model';
import type { OwnSizes, Takes } from './parts/ownSizes';

export interface DimensionSpec {
  readonly id: string;
  readonly name: string;
  readonly help: string;
  readonly kind: Extract<QuantityKind, 'length' | 'angle'>;
  readonly range: readonly [number, number];
  readonly usual: number;
  /** Measured off the maker, the camera or the rig as built, or set by the shot: no size to be chosen for balance. */
  readonly given?: 'measured' | 'shot';
  /** Where it goes by bought holes: from one to the next, by what was chosen. Left out: anywhere. */
  readonly stepOf?: (choices: Readonly<Record<string, string>>) => number;
  /** The adjuster that goes on from it: what is set there is this size and so much more, or less by `sense` -1. */
  readonly setOn?: { readonly adjuster: string; readonly sense: 1 | -1 };
  /** Rig element the dimension belongs to, so that list and drawing light up together. */
  readonly about: string;
}
export interface ChoiceSpec {
  readonly id: string;
  readonly name: string;
  readonly help: string;
  readonly options: readonly { readonly id: string; readonly name: string }[];
  readonly usual: string;
  /** Sizes of the maker's own that it can take too; left out: none. */
  readonly takes?: Takes;
}
/** Every dimension and choice given, in SI. */
export interface FamilyInput {
  readonly dimensions: Readonly<Record<string, number>>;
  readonly choices: Readonly<Record<string, string>>;
  /** Sizes of the maker's own among those chosen. */
  readonly own?: OwnSizes;
}
export interface Sizing extends FamilyInput {
  readonly reasons: readonly Phrase[];
  /** Where to set the adjusters at the start, by id; the rest stay at zero. */
  readonly startValues: Readonly<Record<string, number>>;
}
/** A dimension drawn on the square-on view, between two points in rig axes. */
export interface DrawnDimension {
  readonly dimension: string;
  readonly from: readonly [number, number, number];
  readonly to: readonly [number, number, number];
  readonly view: 'side' | 'front';
  /** How far the dimension line stands off what it measures, px on the drawing; the sign picks the side. */
  readonly offset: number;
}

export const CARRIES = ['eye level', 'waist', 'low', 'overhead'] as const;
export const MOVES = ['walking', 'running', 'tight spaces', 'long reach', 'standing still'] as const;
/** What a family can and cannot do by its nature; sizes, masses and costs are worked out from the rig, not said here. */
export interface Suitability {
  readonly carries: readonly (typeof CARRIES)[number][];
  readonly moves: readonly (typeof MOVES)[number][];
  readonly hands: 1 | 2;
  /** Takes rain, snow and spray without harm: no bare bearings, no bare wood. */
  readonly wet: boolean;
  /** Heaviest load it is made for, kg; left out: any that its sizes take. */
  readonly loadAtMost?: number;
  /** Rests the picture on a free joint, or is held rigidly. */
  readonly hangs: boolean;
}

export interface Family {
  readonly id: string;
  readonly name: string;
  readonly summary: string;
  /** Shots it is good for, in the maker's words. */
  readonly goodFor: readonly string[];
  readonly givesUp: string;
  readonly suits: Suitability;
  /** What goes wrong with such rigs, in a maker's words, the likeliest first. */
  readonly goesWrong: readonly string[];
  readonly dimensions: readonly DimensionSpec[];
  readonly choices: readonly ChoiceSpec[];
  size(load: PlacedLoad | null, hands: Hands): Sizing;
  build(input: FamilyInput): Rig;
  /** Dimensions worth drawing, for the built rig. */
  drawn(input: FamilyInput): readonly DrawnDimension[];
  advise(input: FamilyInput, rig: Rig): readonly Finding[];
}

/** What can be chosen: of the table, and of the maker's own. */
export const optionsOf = (
  { options, takes }: Pick<ChoiceSpec, 'options' | 'takes'>,
  own?: OwnSizes,
): ChoiceSpec['options'] =>
  takes ? [...options, ...(own ?? []).filter(takes).map((o) => ({ id: o.id, name: ownName(o) }))] : options;

export interface DimensionFault {
  readonly id: string;
  readonly name: string;
  readonly value: number;
  readonly range: readonly [number, number];
}

/** The family's input from a design's quantities: usual values where none is given, faults where one is out of range. */
export function familyInput(
  family: Family,
  dimensions: Readonly<Record<string, Quantity>>,
  choices: Readonly<Record<string, string>>,
  own?: OwnSizes,
): { input: FamilyInput; faults: readonly DimensionFault[] } {
  const faults: DimensionFault[] = [];
  const numbers: Record<string, number> = {};
  for (const spec of family.dimensions) {
    const value = dimensions[spec.id]?.value ?? spec.usual;
    const [least, most] = spec.range;
    const slack = 1e-9 * Math.max(Math.abs(least), Math.abs(most));
    if (!(value >= least - slack && value <= most + slack))
      faults.push({ id: spec.id, name: spec.name, value, range: spec.range });
    numbers[spec.id] = Math.min(most, Math.max(least, Number.isFinite(value) ? value : spec.usual));
  }
  const picked = Object.fromEntries(
    family.choices.map((c) => [c.id, optionsOf(c, own).some((o) => o.id === choices[c.id]) ? choices[c.id]! : c.usual]),
  );
  return { input: { dimensions: numbers, choices: picked, ...(own ? { own } : {}) }, faults };
}
