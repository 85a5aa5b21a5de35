/** What an item weighs and where its mass centre is, in the state it is in; a guess with an honest spread until measured. */
import { add, scale, subtract, type Vec3 } from '../0-base';
import type { KitItem, StateChange, StateChoice } from '../model';
import { CLASS_FACTS } from './kitClasses';

/** Standard uncertainty of a mass centre taken as the middle: a tenth of each side; across a round thing a thirtieth, for it was turned. */
const CENTRE_GUESS = 0.1;
const ROUND_GUESS = 1 / 30;

export interface ItemFigures {
  readonly mass: number;
  readonly massSpread: number;
  readonly weighed: boolean;
  /** From the item's foot, item axes. */
  readonly centre: Vec3;
  readonly centreSpread: Vec3;
  readonly balanced: boolean;
}

export function guessedCentreSpread({ form, size }: Pick<KitItem, 'form' | 'size'>): Vec3 {
  const across = form === 'cylinder' ? ROUND_GUESS : CENTRE_GUESS;
  return [size[0] * CENTRE_GUESS, size[1] * across, size[2] * across];
}

/** Which axes of the mass centre are better known than by guessing. */
export function axesKnown(item: KitItem): readonly [boolean, boolean, boolean] {
  const guess = guessedCentreSpread(item);
  const known = (i: 0 | 1 | 2): boolean =>
    item.massCentre !== undefined && (item.massCentre.spread?.[i] ?? 0) < guess[i] * (1 - 1e-9);
  return [known(0), known(1), known(2)];
}

/**
 * Mass (kg) and mass centre (m from the item's foot) as usual, then in the states chosen. A weighed mass always wins
 * over the estimate. Changes add as first moments, so their order does not matter.
 */
export function itemFigures(item: KitItem, states: Readonly<Record<string, string>> = {}): ItemFigures {
  const usual = usualFigures(item);
  const changes = chosenChanges(item, states);
  return changes.length === 0 ? usual : changes.reduce((now, change) => changed(now, usual, change), usual);
}

/** The chosen option of each state; a state not chosen is in its first. */
export function chosen(item: KitItem, states: Readonly<Record<string, string>>): readonly StateChoice[] {
  return (item.states ?? []).map((state) => state.choices.find((c) => c.id === states[state.id]) ?? state.choices[0]!);
}

function chosenChanges(item: KitItem, states: Readonly<Record<string, string>>): readonly StateChange[] {
  if (!item.states || item.states.length === 0) return [];
  return chosen(item, states).flatMap((c) => (c.change ? [c.change] : []));
}

function usualFigures(item: KitItem): ItemFigures {
  const [length, width, height] = item.size;
  const facts = CLASS_FACTS[item.class];
  const volume = item.form === 'cylinder' ? (Math.PI / 4) * length * width * height : length * width * height;
  const mass = item.mass?.value ?? facts.density * volume;
  return {
    mass,
    massSpread: item.mass ? (item.mass.spread ?? 0) : mass * facts.densitySpread,
    weighed: item.mass !== undefined,
    centre: item.massCentre?.at ?? item.boxCentre,
    centreSpread: item.massCentre ? (item.massCentre.spread ?? [0, 0, 0]) : guessedCentreSpread(item),
    balanced: item.massCentre !== undefined,
  };
}

/** First moment added by a change, kg m, and its mass, kg, against the usual item. */
export function momentOfChange(
  usual: ItemFigures,
  change: StateChange,
): { readonly mass: number; readonly first: Vec3 } {
  return change.kind === 'moves'
    ? { mass: 0, first: scale(change.by, usual.mass) }
    : { mass: change.mass.value, first: scale(change.at, change.mass.value) };
}

/** Where it is not said how well a change is known: typed from a millimetre ruler and a gram scale, one standard uncertainty. */
const USUAL_CHANGE = { place: 0.0005, mass: 0.0006 };

/** Standard uncertainties of a change's place along each axis, m, and of its mass, kg. */
export function spreadOfChange(change: StateChange): { readonly place: Vec3; readonly mass: number } {
  const { place, mass } = USUAL_CHANGE;
  return {
    place: change.spread ?? [place, place, place],
    mass: change.kind === 'adds' ? (change.mass.spread ?? mass) : 0,
  };
}

function changed(now: ItemFigures, usual: ItemFigures, change: StateChange): ItemFigures {
  const { mass: more, first } = momentOfChange(usual, change);
  const mass = now.mass + more;
  // Taking off more than there is cannot be: the change is left out, and the finding of the loadout says so.
  if (!(mass > 0)) return now;
  const centre = scale(add(scale(now.centre, now.mass), first), 1 / mass);
  const { place: own, mass: massSpread } = spreadOfChange(change);
  const arm = change.kind === 'adds' ? subtract(change.at, centre) : ([0, 0, 0] as Vec3);
  const weight = change.kind === 'adds' ? more / mass : usual.mass / mass;
  const spread = now.centreSpread.map((s, i) =>
    Math.hypot((s * now.mass) / mass, own[i as 0 | 1 | 2] * weight, (massSpread * arm[i]!) / mass),
  ) as unknown as Vec3;
  return { ...now, mass, massSpread: Math.hypot(now.massSpread, massSpread), centre, centreSpread: spread };
}
