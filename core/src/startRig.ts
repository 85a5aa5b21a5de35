/** A new rig of a family for a load: sized, then set up as near to level and to the wanted drop time as its adjusters go. */
import { placeLoad, type PlacedLoad } from './1-load';
import { assemble, USUAL_HANDS, type AdjusterValues, type Assembly, type Family, type Sizing } from './2-frame';
import { evaluate, supportOf, trim } from './3-balance';
import type { Adjuster, Design, Hands, KitItem, Loadout, Rig, Wants } from './model';

export interface Start {
  readonly sized: Sizing;
  readonly design: Extract<Design, { kind: 'family' }>;
  readonly values: AdjusterValues;
}

export function startRig(family: Family, loadout: Loadout | null, kit: ReadonlyMap<string, KitItem>, wants: Wants, hands: Hands = USUAL_HANDS): Start {
  const load = loadout ? placeLoad(loadout, kit) : null;
  const sized = family.size(load, hands);
  return {
    sized,
    design: { kind: 'family', family: family.id, dimensions: Object.fromEntries(Object.entries(sized.dimensions).map(([id, value]) => [id, { value }])), choices: { ...sized.choices }, edits: [] },
    values: setUp(family, sized, load, wants),
  };
}

function setUp(family: Family, sized: Sizing, load: PlacedLoad | null, wants: Wants): AdjusterValues {
  const assembly = assemble(family.build(sized), load);
  if (!load) return sized.startValues;
  const support = supportOf(assembly.rig);
  if (support?.kind === 'pivot') {
    const found = trim(assembly, sized.startValues, wants);
    return found.kind === 'solved' || found.kind === 'noSolution' ? (found.kind === 'solved' ? found.values : found.nearest) : sized.startValues;
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

/** Where each loadout wants a held rig's mark or slide, so that nothing tips fore and aft; null when it has none. */
export function holdPlaces(rig: Rig, loadouts: readonly Loadout[], kit: ReadonlyMap<string, KitItem>, values: AdjusterValues): { readonly adjuster: Adjuster; readonly places: readonly HoldPlace[] } | null {
  const adjuster = foreAftOf(rig);
  if (!adjuster || supportOf(rig)?.kind !== 'hands') return null;
  return {
    adjuster,
    places: loadouts.map((loadout) => {
      const wanted = levelAt(assemble(rig, placeLoad(loadout, kit)), adjuster, values);
      const [least, most] = adjuster.range;
      return { loadout: loadout.id, name: loadout.name, value: wanted, reaches: wanted >= least - 1e-9 && wanted <= most + 1e-9 };
    }),
  };
}

const foreAftOf = (rig: Rig): Adjuster | null => rig.adjusters.find((a) => a.kind !== 'count' && Math.abs(a.axis?.[0] ?? 0) > 0.9) ?? null;

/** The setting at which the mass centre is over the hands, fore and aft; beyond the range where that is where it lies. */
function levelAt(assembly: Assembly, adjuster: Adjuster, values: AdjusterValues): number {
  const miss = (value: number): number => evaluate(assembly, { ...values, [adjuster.id]: value }).fromSupport?.[0] ?? 0;
  const [least, most] = adjuster.range;
  const [a, b] = [miss(least), miss(most)];
  return a === b ? 0 : least + ((most - least) * a) / (a - b);
}

/** A rig held in the hand: the mark it is held at, or the camera's slide, is set so that nothing tips fore and aft. */
function overHand(assembly: Assembly, values: AdjusterValues): AdjusterValues {
  const adjuster = foreAftOf(assembly.rig);
  if (!adjuster) return values;
  const [least, most] = adjuster.range;
  const stepped = Math.round(Math.min(most, Math.max(least, levelAt(assembly, adjuster, values))) / adjuster.step) * adjuster.step;
  return { ...values, [adjuster.id]: stepped };
}
