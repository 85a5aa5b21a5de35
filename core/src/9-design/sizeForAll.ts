/**
 * Before the build: what of the family (where a hole is drilled, how long a post is, which rail is bought), or which two of
 * them together, let every loadout be balanced with the fewest faults; slides and washers free for each.
 */
import { changedDesign, type AdjusterValues, type ChoiceSpec, type DimensionSpec } from '../2-frame';
import { ALL_DAY, evaluate, wayOfRig } from '../3-balance';
import { trim } from '../3-balance/bench';
import { figure, type Change, type Phrase } from '../0-base';
import type { Loadout } from '../model';
import { judged, workpiece, type Designed, type Workpiece } from './derive';
import type { SetUpsInput } from './setUpsFor';

/** One size or choice of the family, as it would be and as it is. */
export interface Resize {
  readonly change: Extract<Change, { readonly kind: 'dimension' | 'choice' }>;
  readonly name: string;
  readonly to: Phrase;
  readonly from: Phrase;
  /** How far that is from how it is now, as a part of all it could be. */
  readonly away: number;
}
export interface Serves {
  /** Loadouts that can be balanced, the faults that then stand in all of them, and their washers together, kg. */
  readonly served: number;
  readonly faults: number;
  readonly added: number;
}
/** With how many loadouts it cannot even be drawn: that is never better. */
interface Score extends Serves {
  readonly broken: number;
}
export interface SizeForAll extends Score {
  /** One, or two together. */
  readonly sizes: readonly Resize[];
}
export interface SizesForAll extends Serves {
  readonly loadouts: number;
  /** Better than now, the best first: more loadouts, else as many with fewer faults, else with less. */
  readonly better: readonly SizeForAll[];
}

/** Places tried over a dimension's range, evenly, and then between the best and its neighbours. */
const PLACES = 13;
const FINER = 3;
/** With another thing changed already: fewer, for it is done for each of the best. */
const PLACES_OF_TWO = 7;
const BEST_TO_PAIR = 3;
/** Sizes are sawn and drilled to whole ones of these, m and rad. */
const WHOLE = { length: 0.001, angle: Math.PI / 360 };
/** Washers saved by less than this are no reason to change a size, kg. */
const WORTH = 0.01;
const MOST_TOLD = 4;

export function sizesForAll(
  { rig, loadouts, kit, setups, bin }: SetUpsInput,
  tell: (part: number) => void = () => undefined,
): SizesForAll {
  const scoreOne = (design: Designed['design'], loadout: Loadout): Score => {
    const made = workpiece({ ...rig, design }, loadout, kit, bin);
    if (!made.ok) return { broken: 1, served: 0, faults: 0, added: 0 };
    const held = setups.find((s) => s.rig === rig.id && s.loadout === loadout.id)?.values ?? {};
    const outcome = trim(made.work.assembly, held, rig.wants);
    const set = outcome.kind === 'solved' || outcome.kind === 'axesSet' ? { ...held, ...outcome.values } : null;
    const { findings } = judged(made.work, set ?? held, rig.wants);
    const faults = findings.filter((f) => f.severity === 'stop' || f.severity === 'mend').length;
    return set && (outcome.kind === 'axesSet' || hardlyTips(made.work, set))
      ? { broken: 0, served: 1, faults, added: outcome.kind === 'solved' ? outcome.addedMass : 0 }
      : { broken: 0, served: 0, faults, added: 0 };
  };
  /** Null as soon as it can no longer be better than what it has to beat, whatever the loadouts left may bring. */
  const score = (changes: readonly Change[], toBeat: Score | null): Score | null => {
    const design = changes.length === 0 ? rig.design : changedDesign(rig.design, changes, () => 'try');
    let sum: Score = { broken: 0, served: 0, faults: 0, added: 0 };
    for (const [k, loadout] of loadouts.entries()) {
      const one = scoreOne(design, loadout);
      sum = {
        broken: sum.broken + one.broken,
        served: sum.served + one.served,
        faults: sum.faults + one.faults,
        added: sum.added + one.added,
      };
      const left = loadouts.length - 1 - k;
      if (toBeat && byScore({ ...sum, served: sum.served + left }, toBeat) > 0) return null;
    }
    return sum;
  };
  const now = score([], null)!;
  const made = workpiece(rig, loadouts[0] ?? null, kit);
  const { family, input } = made.ok ? made.work : { family: null, input: null };
  const dimensions = family && input ? family.dimensions.filter((d) => !d.given) : [];
  const choices = family && input ? family.choices : [];
  const steps = (dimensions.length + choices.length) * (1 + BEST_TO_PAIR);
  let done = 0;

  /** Of each size and choice the best, with what is changed already; of those alone that could beat `toBeat`, where it is given. */
  const bestOfEach = (held: readonly Resize[], places: number, toBeat: Score | null): readonly SizeForAll[] => {
    const at: Try = (size, best) => {
      const sizes = [...held, size];
      const found = score(
        sizes.map((s) => s.change),
        best ?? toBeat,
      );
      return found && { sizes, ...found };
    };
    const choicesWith = (changed: readonly Resize[]): Readonly<Record<string, string>> => ({
      ...input!.choices,
      ...Object.fromEntries(
        changed.flatMap(({ change }) => (change.kind === 'choice' ? [[change.id, change.value] as const] : [])),
      ),
    });
    const look = <S extends ChoiceSpec | DimensionSpec>(
      specs: readonly S[],
      best: (spec: S) => SizeForAll | null,
    ): readonly SizeForAll[] =>
      specs
        .filter(({ id }) => !held.some((h) => h.change.id === id))
        .flatMap((spec) => {
          tell(Math.min(1, done++ / steps));
          return best(spec) ?? [];
        });
    return [
      ...look(choices, (c) => bestOption(c, input!.choices[c.id]!, at)),
      ...look(dimensions, (d) =>
        bestSize(d, input!.dimensions[d.id]!, d.stepOf?.(choicesWith(held)) ?? WHOLE[d.kind], places, at),
      ),
    ];
  };

  const singles = [...bestOfEach([], PLACES, null)].sort(byBest);
  const better = singles.filter((s) => isWorth(s, now));
  const best = better[0] ?? now;
  // Two together are asked only where one does not serve all of them without a fault.
  const pairs =
    best.served === loadouts.length && best.faults === 0
      ? []
      : singles.slice(0, BEST_TO_PAIR).flatMap((s) => bestOfEach(s.sizes, PLACES_OF_TWO, best));
  const told = [...better, ...pairs.filter((p) => isWorth(p, now) && isWorth(p, best))].sort(byBest);
  const key = ({ sizes }: SizeForAll): string =>
    sizes
      .map((s) => s.change.id)
      .sort()
      .join(' ');
  return {
    loadouts: loadouts.length,
    ...now,
    better: told.filter((t, i) => told.findIndex((o) => key(o) === key(t)) === i).slice(0, MOST_TOLD),
  };
}

/** What it scores, or null where it is certainly no better than the best so far. */
type Try = (size: Resize, best: SizeForAll | null) => SizeForAll | null;
const theBetter = (tried: SizeForAll | null, best: SizeForAll | null): SizeForAll | null =>
  tried && (!best || byBest(tried, best) < 0) ? tried : best;

function bestOption(c: ChoiceSpec, now: string, at: Try): SizeForAll | null {
  const place = (id: string): number => c.options.findIndex((o) => o.id === id);
  const nameOf = (id: string): string => c.options[place(id)]?.name ?? id;
  return c.options
    .filter((o) => o.id !== now)
    .reduce<SizeForAll | null>((best, o) => {
      const size: Resize = {
        change: { kind: 'choice', id: c.id, value: o.id },
        name: c.name,
        to: [o.name],
        from: [nameOf(now)],
        away: Math.abs(place(o.id) - place(now)) / c.options.length,
      };
      return theBetter(at(size, best), best);
    }, null);
}

function bestSize(d: DimensionSpec, now: number, whole: number, places: number, at: Try): SizeForAll | null {
  const [least, most] = d.range;
  let best: { readonly value: number; readonly plan: SizeForAll } | null = null;
  const look = (value: number): void => {
    const steps = Math.min(
      Math.floor(most / whole + 1e-9),
      Math.max(Math.ceil(least / whole - 1e-9), Math.round(value / whole)),
    );
    const to = Number((steps * whole).toPrecision(10));
    const size: Resize = {
      change: { kind: 'dimension', id: d.id, value: to },
      name: d.name,
      to: [figure(d.kind, to)],
      from: [figure(d.kind, now)],
      away: Math.abs(to - now) / (most - least),
    };
    const tried = at(size, best?.plan ?? null);
    if (tried && theBetter(tried, best?.plan ?? null) === tried) best = { value: to, plan: tried };
  };
  const stride = (most - least) / (places - 1);
  for (let k = 0; k < places; k++) look(least + k * stride);
  const found = (): typeof best => best;
  for (let k = 1; k <= FINER; k++)
    for (const side of [-1, 1]) {
      const from = found();
      if (from) look(from.value + (side * stride) / 2 ** k);
    }
  return found()?.plan ?? null;
}

/** Held in the hands, a loadout is served where nothing tips that would be felt: not wherever the wrist can bear it. */
function hardlyTips({ assembly, hands, rig }: Workpiece, values: AdjusterValues): boolean {
  if (wayOfRig(rig)?.id !== 'held') return true;
  const pose = evaluate(assembly, values, hands).held[0];
  const worst = Math.max(0, ...(pose?.hands ?? []).map((h) => Math.hypot(h.noseDown, h.leftSideDown)));
  return worst <= ALL_DAY * hands.wristStrength;
}

const isWorth = (a: Score, b: Score): boolean =>
  a.broken <= b.broken &&
  (a.served > b.served ||
    (a.served === b.served && (a.faults < b.faults || (a.faults === b.faults && b.added - a.added > WORTH))));

/** Drawable with more; more loadouts; else fewer faults; else fewer washers; else nearer to how it is now. */
const byBest = (a: SizeForAll, b: SizeForAll): number => byScore(a, b) || awayOf(a) - awayOf(b);
const awayOf = ({ sizes }: SizeForAll): number => sizes.reduce((s, r) => s + r.away, 0);
function byScore(a: Score, b: Score): number {
  if (a.broken !== b.broken) return a.broken - b.broken;
  if (a.served !== b.served) return b.served - a.served;
  if (a.faults !== b.faults) return a.faults - b.faults;
  return Math.abs(a.added - b.added) > 1e-6 ? a.added - b.added : 0;
}
