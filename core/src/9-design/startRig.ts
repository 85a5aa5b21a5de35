/** A new rig of a family for a load: sized, then set up as near to level and to the wanted drop time as its adjusters go. */
import { placeLoad, type PlacedLoad } from '../1-load';
import {
  assemble,
  placedPieces,
  placesOnRig,
  USUAL_HANDS,
  valuesInOrder,
  type AdjusterValues,
  type Assembly,
  type Family,
  type Sizing,
} from '../2-frame';
import { axesIn, balancedAxes, quickBalance, supportOf } from '../3-balance';
import { trim } from '../3-balance/bench';
import type { Adjuster, Design, Hands, KitItem, Loadout, Rig, Wants } from '../model';

export interface Start {
  readonly sized: Sizing;
  readonly design: Extract<Design, { kind: 'family' }>;
  readonly values: AdjusterValues;
}

export function startRig(
  family: Family,
  loadout: Loadout | null,
  kit: ReadonlyMap<string, KitItem>,
  wants: Wants,
  hands: Hands = USUAL_HANDS,
): Start {
  const load = loadout ? placeLoad(loadout, kit) : null;
  const sized = family.size(load, hands);
  return {
    sized,
    design: {
      kind: 'family',
      family: family.id,
      dimensions: Object.fromEntries(Object.entries(sized.dimensions).map(([id, value]) => [id, { value }])),
      choices: { ...sized.choices },
      edits: [],
    },
    values: setUp(family, sized, loadout && ((rig) => placeLoad(loadout, kit, placesOnRig(rig))), wants),
  };
}

function setUp(family: Family, sized: Sizing, loadOn: ((rig: Rig) => PlacedLoad) | null, wants: Wants): AdjusterValues {
  if (!loadOn) return sized.startValues;
  const rig = family.build(sized);
  const assembly = assemble(rig, loadOn(rig));
  const axes = (values: AdjusterValues) =>
    axesIn(assembly, valuesInOrder(assembly.rig, values), placedPieces(assembly, values));
  if (axes(sized.startValues).length > 0) return balancedAxes(assembly, sized.startValues, axes);
  const support = supportOf(assembly.rig);
  if (support?.kind === 'pivot') {
    // A lean in a pan is asked at the bench: to keep it small can take longer than to size every family.
    const { panLeanAtMost: _later, ...now } = wants;
    const found = trim(assembly, sized.startValues, now);
    return found.kind === 'solved' ? found.values : found.kind === 'impossible' ? found.nearest : sized.startValues;
  }
  return overHand(assembly, sized.startValues);
}

export interface HoldPlace {
  readonly loadout: string;
  readonly name: string;
  /** Setting of the adjuster, and whether it reaches so far. */
  readonly value: number;
  readonly reaches: boolean;
}

export interface HoldPlaces {
  readonly adjuster: Adjuster;
  /** By loadout, with everything else set so. */
  at(values: AdjusterValues): readonly HoldPlace[];
}

/**
 * Where each loadout wants the hold mark, the camera's hole or its slide, so that the mass centre lies over what bears the
 * rig, fore and aft; null when it has none of them. Made once a rig, then asked at each setting.
 */
export function holdPlaces(
  rig: Rig,
  loadouts: readonly Loadout[],
  kit: ReadonlyMap<string, KitItem>,
): HoldPlaces | null {
  const adjuster = foreAftOf(rig);
  if (!adjuster) return null;
  const [least, most] = adjuster.range;
  const balances = loadouts.map((loadout) => ({
    loadout,
    quick: quickBalance(assemble(rig, placeLoad(loadout, kit, placesOnRig(rig)))),
  }));
  return {
    adjuster,
    at: (values) =>
      balances.flatMap(({ loadout, quick }): readonly HoldPlace[] => {
        if (!quick) return [];
        const value = levelAt((v) => quick.at({ ...values, [adjuster.id]: v }).fromPivot[0], adjuster);
        return [
          { loadout: loadout.id, name: loadout.name, value, reaches: value >= least - 1e-9 && value <= most + 1e-9 },
        ];
      }),
  };
}

/** Null for a rig on the shoulder too: there the eye says where the camera goes, and the tail balances. */
const foreAftOf = (rig: Rig): Adjuster | null =>
  rig.contacts.some((c) => c.kind === 'shoulder') || axesFree(rig)
    ? null
    : (rig.adjusters.find((a) => a.kind !== 'count' && Math.abs(a.axis?.[0] ?? 0) > 0.9) ?? null);
/** Axes inside axes are balanced one by one, not over the hand. */
const axesFree = (rig: Rig): boolean => rig.pivots.filter((p) => p.kind === 'hinge' && !p.clamped).length > 1;

/** The setting at which `miss`, straight in the setting, is zero; beyond the range where that is where it lies. */
function levelAt(miss: (value: number) => number, { range: [least, most] }: Adjuster): number {
  const [a, b] = [miss(least), miss(most)];
  return a === b ? 0 : least + ((most - least) * a) / (a - b);
}

/** A rig held in the hand: the mark it is held at, or the camera's slide, is set so that nothing tips fore and aft. */
function overHand(assembly: Assembly, values: AdjusterValues): AdjusterValues {
  const adjuster = foreAftOf(assembly.rig);
  const quick = quickBalance(assembly);
  if (!adjuster || !quick) return values;
  const [least, most] = adjuster.range;
  const wanted = levelAt((v) => quick.at({ ...values, [adjuster.id]: v }).fromPivot[0], adjuster);
  const stepped = Math.round(Math.min(most, Math.max(least, wanted)) / adjuster.step) * adjuster.step;
  // Zero, not minus zero: a file knows only one.
  return { ...values, [adjuster.id]: stepped + 0 };
}
