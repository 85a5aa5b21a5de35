/** What each stiffening buys: every change there is to try, made, balanced again, reckoned whole and looked at by all checks; and which two together are stiffest for so many grams and so much money. */
import { length, type Change, type Phrase } from '../../0-base';
import { changedDesign, type AdjusterValues } from '../../2-frame';
import { trim } from '../../3-balance/bench';
import { strainedShare, strengthOf, type JointsHeard, type RigStrength } from '../../4-strength';
import { stockPlan } from '../../5-stock';
import type { BinItem, KitItem, Loadout, RigDocument } from '../../model';
import { judged, workpiece, type Workpiece } from '../derive';
import { STIFFENERS } from './changes';
import type { StiffChange } from './stiffener';

/** At most so much more, kg and money. */
export interface Spend {
  readonly mass: number;
  readonly cost: number;
}
export interface StiffenInput {
  readonly rig: RigDocument;
  readonly loadout: Loadout | null;
  readonly kit: ReadonlyMap<string, KitItem>;
  readonly bin: readonly BinItem[];
  readonly values: AdjusterValues;
  readonly pose: string | null;
  readonly bump: number;
  /** What flicks have said of its joints: they stay as they are where nothing is changed. */
  readonly joints?: JointsHeard | undefined;
}
export interface Stiffened {
  /** Lowest frequency, Hz; sag at the camera, m; turn of the lens in a walk, rad; least reserve over what it should be; what its joins carry; kg; what all of it costs from an empty bin. */
  readonly frequency: number;
  readonly sag: number;
  readonly walk: number;
  readonly reserve: number;
  /** What the join nearest to giving carries, of what it holds. */
  readonly joined: number;
  readonly mass: number;
  readonly cost: number;
}
export interface Stiffening extends Stiffened {
  readonly name: string;
  readonly to: Phrase;
  /** With the setting that balances it again, where one was found. */
  readonly changes: readonly Change[];
  readonly balance: 'setAgain' | 'asItWas' | 'notFound';
  /** Findings to stop at or mend that it brings. */
  readonly brings: readonly Phrase[];
}
export interface Stiffenings {
  readonly now: Stiffened;
  /** It is not balanced as it is set: all is told as it would be once balanced. */
  readonly isBalancedFirst: boolean;
  /** Those that ring at least a hundredth higher, or whose pieces or joins are strained less by as much; the highest first. */
  readonly better: readonly Stiffening[];
  /** Changes that were tried. */
  readonly tried: number;
}

/** A change of less is not worth a line. */
const WORTH = 1.01;
/** Two that differ by less do the same: one of a pair of twins. */
const ALIKE = 1e-9;

/** Null where it cannot be reckoned as it is. */
export function stiffenings(input: StiffenInput, tell: (part: number) => void = () => undefined): Stiffenings | null {
  const start = startOf(input);
  if (!start) return null;
  const tries = STIFFENERS.flatMap((s) => s.tries(start.work, start.strength));
  const better: Stiffening[] = [];
  tries.forEach((one, i) => {
    tell(i / tries.length);
    const made = tried(input, start, one);
    if (made && !better.some((b) => isAlike(b, made))) better.push(made);
  });
  return {
    now: start.now,
    isBalancedFirst: start.isMoved,
    better: better.sort((a, b) => b.frequency - a.frequency),
    tried: tries.length,
  };
}

interface Start {
  readonly work: Workpiece;
  /** As it is set; balanced where that can be had, for each change is balanced too. */
  readonly values: AdjusterValues;
  readonly isMoved: boolean;
  readonly strength: RigStrength;
  readonly now: Stiffened;
  /** What it has against it already. */
  readonly known: ReadonlySet<string>;
}

function startOf(input: StiffenInput): Start | null {
  const made = workpiece(input.rig, input.loadout, input.kit, input.bin);
  if (!made.ok) return null;
  const { work } = made;
  const { values, moved } = balanced(work, input, input.values);
  const strength = strengthWith(work, input, values);
  const now = strength && figuresOf(work, strength, input, values);
  if (!strength || !now) return null;
  const known = new Set(faultsOf(work, input, values).map((f) => f.key));
  return { work, values, isMoved: moved.length > 0, strength, now, known };
}

interface Balanced {
  readonly values: AdjusterValues;
  /** What is set otherwise for it. */
  readonly moved: readonly Change[];
  readonly isFound: boolean;
}
function balanced(work: Workpiece, { rig: { wants } }: StiffenInput, from: AdjusterValues): Balanced {
  const outcome = trim(work.assembly, from, wants);
  const found = outcome.kind === 'solved' || outcome.kind === 'axesSet' ? outcome.values : null;
  const values = { ...from, ...found };
  return { values, moved: settings(work, values, from), isFound: outcome.kind !== 'impossible' };
}
/** What differs of how it is set. */
const settings = ({ rig }: Workpiece, to: AdjusterValues, from: AdjusterValues): readonly Change[] =>
  rig.adjusters.flatMap(({ id, value: drawn }): readonly Change[] => {
    const value = to[id] ?? drawn;
    return Math.abs(value - (from[id] ?? drawn)) > ALIKE ? [{ kind: 'adjuster', id, value }] : [];
  });

/** Null where it cannot be made, or makes it no better. */
function tried(input: StiffenInput, start: Start, { name, to, changes }: StiffChange): Stiffening | null {
  const design = changedDesign(input.rig.design, changes, () => 'try');
  if (design === input.rig.design) return null;
  const made = workpiece({ ...input.rig, design }, input.loadout, input.kit, input.bin);
  if (!made.ok) return null;
  const { work } = made;
  const first = figuresWith(work, input, start.values);
  if (!first || !isStiffer(first, start.now)) return null;
  const { values, moved, isFound } = balanced(work, input, start.values);
  const got = moved.length > 0 ? figuresWith(work, input, values) : first;
  if (!got || !isStiffer(got, start.now)) return null;
  const brings = faultsOf(work, input, values).filter((f) => !start.known.has(f.key));
  return {
    ...got,
    name,
    to,
    changes: [...changes, ...settings(work, values, input.values)],
    balance: !isFound ? 'notFound' : moved.length > 0 ? 'setAgain' : 'asItWas',
    brings: brings.map((b) => b.title),
  };
}

const isAlike = (a: Stiffened, b: Stiffened): boolean =>
  [a.frequency - b.frequency, a.mass - b.mass, a.joined - b.joined, a.cost - b.cost].every((d) => Math.abs(d) < ALIKE);
const isStiffer = (a: Stiffened, now: Stiffened): boolean =>
  a.frequency > WORTH * now.frequency || a.reserve > WORTH * now.reserve || WORTH * a.joined < now.joined;

export interface Stiffest {
  /** The stiffest that keep within both, the highest first. */
  readonly best: readonly Stiffening[];
  /** All pairs were made and reckoned: no other two listed changes do better. */
  readonly pairs: number;
  /** Threes that were made and reckoned: all there are, or, where those are too many, those built on the best pairs. */
  readonly threes: number;
  readonly areAllThrees: boolean;
}
const TOLD = 5;

/**
 * Of the listed changes that bring no fault, one, two or three together, what rings highest for at most so much more mass (kg) and
 * money. Every pair is made and reckoned whole: what two do together is not what each does alone. So is every three, where there are
 * not too many; else those on the best pairs only, and of others nothing is proven.
 */
export function stiffestWithin(
  input: StiffenInput,
  { better }: Pick<Stiffenings, 'better'>,
  most: Spend,
  tell: (part: number) => void = () => undefined,
): Stiffest | null {
  const start = startOf(input);
  if (!start) return null;
  const isWithin = (s: Stiffened): boolean =>
    s.mass - start.now.mass <= most.mass + ALIKE && s.cost - start.now.cost <= most.cost + ALIKE;
  const bare = better
    .filter((s) => s.brings.length === 0)
    .map((s) => ({ ...s, changes: s.changes.filter((c) => c.kind !== 'adjuster') }));
  const pairs = bare.flatMap((a, i) => bare.slice(i + 1).flatMap((b) => (goTogether(a, b) ? [[a, b] as const] : [])));
  const makable = (all: readonly Stiffening[]): readonly Stiffening[] =>
    all.filter((s) => s.brings.length === 0 && isWithin(s)).sort(byFrequency);
  const together = (parts: readonly StiffChange[]): Stiffening | null =>
    tried(input, start, {
      name: parts.map((p) => p.name).join(' and '),
      to: parts.flatMap((p, i) => (i > 0 ? ['; ', ...p.to] : p.to)),
      changes: parts.flatMap((p) => p.changes),
    });
  const trios = pairs.flatMap(([a, b]) =>
    bare.slice(bare.indexOf(b) + 1).flatMap((c) => (goTogether(a, c) && goTogether(b, c) ? [[a, b, c] as const] : [])),
  );
  const areAllThrees = trios.length <= THREES_AT_MOST;
  const pairsTake = areAllThrees ? pairs.length / Math.max(1, pairs.length + trios.length) : PAIRS_TAKE;
  let done = 0;
  const both = pairs.flatMap((pair) => {
    tell((pairsTake * done++) / pairs.length);
    const made = together(pair);
    return made ? [{ made, pair }] : [];
  });
  const threes = areAllThrees ? trios : onBest(makable(both.map((b) => b.made)), both, trios);
  const all = threes.flatMap((three, i) => {
    tell(pairsTake + ((1 - pairsTake) * i) / threes.length);
    const made = together(three);
    return made ? [made] : [];
  });
  const best = makable([...better, ...both.map((b) => b.made), ...all]);
  return { best: best.slice(0, TOLD), pairs: pairs.length, threes: threes.length, areAllThrees };
}

type Pair = readonly [Stiffening, Stiffening];
type Three = readonly [Stiffening, Stiffening, Stiffening];
/** Of all threes those that hold one of the best pairs. */
function onBest(
  firm: readonly Stiffening[],
  both: readonly { readonly made: Stiffening; readonly pair: Pair }[],
  trios: readonly Three[],
): readonly Three[] {
  const best = firm.slice(0, THREES_FROM).map((made) => both.find((b) => b.made === made)!.pair);
  return trios.filter((three) => best.some((pair) => pair.every((p) => three.includes(p))));
}

/** More threes are not all made; then those on so many of the best pairs are, and of the work pairs are about this part. */
const THREES_AT_MOST = 400;
const THREES_FROM = 10;
const PAIRS_TAKE = 0.6;
const byFrequency = (a: Stiffening, b: Stiffening): number => b.frequency - a.frequency || a.mass - b.mass;

/** Two figures for one thing cannot both be had. */
function goTogether(a: StiffChange, b: StiffChange): boolean {
  const key = (c: Change): string => `${c.kind} ${c.id}`;
  const taken = new Set(a.changes.map(key));
  return !b.changes.some((c) => taken.has(key(c)));
}

function strengthWith(
  { assembly }: Workpiece,
  { pose, bump, joints }: Pick<StiffenInput, 'pose' | 'bump' | 'joints'>,
  values: AdjusterValues,
): RigStrength | null {
  const { poses } = assembly.rig;
  const outcome = strengthOf({
    assembly,
    values,
    pose: poses.find((p) => p.id === pose) ?? poses[0] ?? null,
    bump,
    modes: 3,
    ranges: false,
    joints,
  });
  return outcome.kind === 'solved' ? outcome.strength : null;
}

/** Null: it cannot be told. */
export function figuresWith(
  work: Workpiece,
  input: Pick<StiffenInput, 'rig' | 'pose' | 'bump' | 'joints'>,
  values: AdjusterValues,
): Stiffened | null {
  const strength = strengthWith(work, input, values);
  return strength && figuresOf(work, strength, input, values);
}

function figuresOf(
  { rig }: Workpiece,
  { modes, sag, shakes, strains, carried, frame }: RigStrength,
  { rig: document }: Pick<StiffenInput, 'rig'>,
  values: AdjusterValues,
): Stiffened | null {
  const lowest = modes.find((m) => m.livesIn[0]?.kind !== 'held');
  if (!lowest) return null;
  return {
    frequency: lowest.frequency,
    sag: sag ? length(sag.displacement) : 0,
    walk: shakes ? length(shakes.walk.peak) : 0,
    reserve: strains[0] ? strains[0].reserve / strains[0].wanted : Infinity,
    joined: carried[0] ? strainedShare(carried[0]) : 0,
    mass: frame.pieces.reduce((m, p) => m + p.mass, 0),
    cost: stockPlan(rig, values, [], document.kerf).cost,
  };
}

const faultsOf = (
  work: Workpiece,
  { rig }: StiffenInput,
  values: AdjusterValues,
): readonly { readonly key: string; readonly title: Phrase }[] =>
  judged(work, values, rig.wants).findings.flatMap((f) =>
    f.severity === 'stop' || f.severity === 'mend' ? [{ key: `${f.code} ${f.about}`, title: f.title }] : [],
  );
