/** Before the build: one size of the family (where a hole is drilled, how long a post is) that lets every loadout be balanced, slides and washers free for each. */
import { changedDesign, type AdjusterValues } from '../2-frame';
import { ALL_DAY, evaluate, trim, wayOfRig } from '../3-balance';
import { workpiece, type Workpiece } from './derive';
import type { SetUpsInput } from './setUpsFor';

export interface SizeForAll {
  readonly dimension: string;
  readonly name: string;
  readonly kind: 'length' | 'angle';
  readonly from: number;
  readonly to: number;
  /** Loadouts that can then be balanced, and the washers of all of them together, kg. */
  readonly served: number;
  readonly added: number;
}
export interface SizesForAll {
  readonly loadouts: number;
  /** As it is now. */
  readonly served: number;
  readonly added: number;
  /** Better than now, the best first, one a dimension: more loadouts, else as many with less. */
  readonly better: readonly SizeForAll[];
}

/** Places tried over a dimension's range, evenly, and then between the best and its neighbours. */
const PLACES = 13;
const FINER = 3;
/** Sizes are sawn and drilled to whole ones of these, m and rad. */
const WHOLE = { length: 0.001, angle: Math.PI / 360 };
/** Washers saved by less than this are no reason to change a size, kg. */
const WORTH = 0.01;
const MOST_TOLD = 4;

export function sizesForAll(
  { rig, loadouts, kit, setups, bin }: SetUpsInput,
  tell: (part: number) => void = () => undefined,
): SizesForAll {
  const score = (dimension: string | null, value: number): { readonly served: number; readonly added: number } => {
    const design =
      dimension === null
        ? rig.design
        : changedDesign(rig.design, [{ kind: 'dimension', id: dimension, value }], () => 'try');
    return loadouts.reduce(
      (sum, loadout) => {
        const made = workpiece({ ...rig, design }, loadout, kit, bin);
        if (!made.ok) return sum;
        const held = setups.find((s) => s.rig === rig.id && s.loadout === loadout.id)?.values ?? {};
        const outcome = trim(made.piece.assembly, held, rig.wants);
        return (outcome.kind === 'solved' && hardlyTips(made.piece, outcome.values)) || outcome.kind === 'axesSet'
          ? { served: sum.served + 1, added: sum.added + (outcome.kind === 'solved' ? outcome.addedMass : 0) }
          : sum;
      },
      { served: 0, added: 0 },
    );
  };
  const now = score(null, 0);
  const made = workpiece(rig, loadouts[0] ?? null, kit);
  const dimensions =
    made.ok && made.piece.family && made.piece.input
      ? made.piece.family.dimensions.map((d) => ({ ...d, value: made.piece.input!.dimensions[d.id]! }))
      : [];
  const better = dimensions.flatMap((d, i): readonly SizeForAll[] => {
    tell(i / dimensions.length);
    const whole = WHOLE[d.kind];
    const at = (value: number): SizeForAll => ({
      dimension: d.id,
      name: d.name,
      kind: d.kind,
      from: d.value,
      to: value,
      ...score(d.id, value),
    });
    const inRange = (value: number): number =>
      Math.min(d.range[1], Math.max(d.range[0], Number((Math.round(value / whole) * whole).toPrecision(10))));
    const stride = (d.range[1] - d.range[0]) / (PLACES - 1);
    let best = Array.from({ length: PLACES }, (_, k) => at(inRange(d.range[0] + k * stride))).reduce((a, b) =>
      isBetter(b, a) ? b : a,
    );
    for (let k = 1; k <= FINER; k++)
      for (const side of [-1, 1]) {
        const tried = at(inRange(best.to + (side * stride) / 2 ** k));
        if (isBetter(tried, best)) best = tried;
      }
    return best.served > now.served || (best.served === now.served && now.added - best.added > WORTH) ? [best] : [];
  });
  return {
    loadouts: loadouts.length,
    ...now,
    better: better.sort((a, b) => b.served - a.served || a.added - b.added).slice(0, MOST_TOLD),
  };
}

/** Held in the hands, a loadout is served where nothing tips that would be felt: not wherever the wrist can bear it. */
function hardlyTips({ assembly, hands, rig }: Workpiece, values: AdjusterValues): boolean {
  if (wayOfRig(rig)?.id !== 'held') return true;
  const pose = evaluate(assembly, values, hands).held[0];
  const worst = Math.max(0, ...(pose?.hands ?? []).map((h) => Math.hypot(h.noseDown, h.leftSideDown)));
  return worst <= ALL_DAY * hands.wristStrength;
}

/** More loadouts; else fewer washers; else nearer to how it is now. */
function isBetter(a: SizeForAll, b: SizeForAll): boolean {
  if (a.served !== b.served) return a.served > b.served;
  if (Math.abs(a.added - b.added) > 1e-6) return a.added < b.added;
  return Math.abs(a.to - a.from) < Math.abs(b.to - b.from);
}
