/** A new rig of a family for a load: sized, then set up as near to level and to the wanted drop time as its adjusters go. */
import { placeLoad, type PlacedLoad } from './1-load';
import { assemble, USUAL_HANDS, type AdjusterValues, type Family, type Sizing } from './2-frame';
import { evaluate, supportOf, trim } from './3-balance';
import type { Design, Hands, KitItem, Loadout, Wants } from './model';

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

/** A rig held in the hand: the mark it is held at, or the camera's slide, is set so that nothing tips fore and aft. */
function overHand(assembly: ReturnType<typeof assemble>, values: AdjusterValues): AdjusterValues {
  const adjuster = assembly.rig.adjusters.find((a) => a.kind !== 'count' && Math.abs(a.axis?.[0] ?? 0) > 0.9);
  if (!adjuster) return values;
  const miss = (value: number): number => evaluate(assembly, { ...values, [adjuster.id]: value }).fromSupport?.[0] ?? 0;
  const [least, most] = adjuster.range;
  const [a, b] = [miss(least), miss(most)];
  if (a === b) return values;
  const exact = least + ((most - least) * a) / (a - b);
  const stepped = Math.round(Math.min(most, Math.max(least, exact)) / adjuster.step) * adjuster.step;
  return { ...values, [adjuster.id]: stepped };
}
