/**
 * What the bench taught: readings of the real rig, against all that the model does not know for sure. Each unsure figure is
 * moved as little as its own plus-minus asks (weighted least squares), so that what was read comes out; then the next
 * move follows from the rig as learned.
 */
import { sourceWords, type Vec3 } from '../../0-base';
import { addScaledSums, addSums, NO_SUMS, scaleSums, type Sums } from '../../1-load';
import { bodiesBeyond, pivotAt, placedPieces, valuesInOrder, type AdjusterValues } from '../../2-frame';
import {
  freeAxes,
  massId,
  poleHinge,
  readingsOf,
  seenOf,
  shortestDrop,
  supportAt,
  supportOf,
  type BalanceContext,
  type OwnFigure,
  type ReadingKind,
} from '../../3-balance';
import { type TrimOutcome } from '../../3-balance/bench';
import { judged, workpiece } from '../derive';
import type { BinItem, KitItem, Loadout, LogEntry, RigDocument } from '../../model';
import { movesBetween, type Move } from '../setUpsFor';
import { likeliest, type Read, type Wrong } from './likeliest';
import { nextSetUp } from './nextSetUp';
import {
  asLearned,
  figuresOf,
  carriedAt,
  frictionId,
  frictionSpread,
  fromHere,
  isWeighed,
  LEFT_OUT,
  LEFT_OUT_IDS,
  massUnder,
  withUnsureLoad,
  type At,
  type Figure,
  type Subject,
} from './unsure';

export interface LearnInput {
  readonly rig: Pick<RigDocument, 'design' | 'wants' | 'hands'>;
  readonly loadout: Loadout | null;
  readonly kit: ReadonlyMap<string, KitItem>;
  /** For wants of washers from the bin alone. */
  readonly bin: readonly BinItem[];
  /** How it is set now: the next move starts there. */
  readonly values: AdjusterValues;
  /** Of this rig with this loadout. */
  readonly entries: readonly Pick<LogEntry, 'values' | 'seen'>[];
}
export interface Lesson {
  /** What it is, apart from all others; and in words. */
  readonly source: string;
  readonly words: string;
  readonly owner: string;
  /** Moved by so many of its own standard uncertainties. */
  readonly spreads: number;
  /** Of a mass: from and to, kg, and what is still unsure of it; of a joint's friction, N m. */
  readonly mass: { readonly from: number; readonly to: number; readonly spread: number } | null;
  readonly friction: { readonly from: number; readonly to: number; readonly spread: number } | null;
}
export interface Learned {
  readonly kind: 'learned';
  /** What moved most first; only what moved by three tenths of its spread or more. */
  readonly lessons: readonly Lesson[];
  /** Moved by more than two of its spreads, or a mass by more than a tenth: it may be wrong and not only unsure; never what was weighed. Null when nothing is. */
  readonly suspect: Lesson | null;
  /** What no figure of the model explains: the mass centre lies off by this much besides, m. */
  readonly unexplained: Vec3;
  /** Where its mass centre lies as set now, by what was learned: m from what bears it, with one standard uncertainty. */
  readonly fromSupport: Vec3;
  readonly spread: Vec3;
  /** Figures that were read by themselves, to be taken over. */
  readonly own: readonly OwnFigure[];
  /** Whether anything read says where the mass centre lies, or what rubs: else there is no next move by it. */
  readonly placed: boolean;
  readonly next: { readonly outcome: TrimOutcome; readonly moves: readonly Move[] } | null;
}
export type LearnOutcome =
  | Learned
  | { readonly kind: 'noReadings' }
  | { readonly kind: 'nothingBears' }
  | { readonly kind: 'broken'; readonly reason: string }
  | { readonly kind: 'cannotBe'; readonly reading: number; readonly why: 'mass' | 'drop' };

/** What is plainly wrong is off by up to this part of a mass, or by so many spreads of any other figure. */
const WRONG_PART = 0.25;
const WRONG_SPREADS = 10;
const LEFT_OUT_WIDER = 6;
const TOLD_FROM = 0.3;
const SUSPECT_FROM = 2;
/** A mass off by this part is plainly not what was typed, however little is known of it. */
const SUSPECT_PART = 0.1;
/** What it weighs may be off by this part and still be this rig. */
const FAR_OFF = 0.5;

export function learnFrom({ rig, loadout, kit, bin, values, entries }: LearnInput): LearnOutcome {
  const made = workpiece(rig, loadout, kit, bin);
  if (!made.ok) return { kind: 'broken', reason: made.reason };
  const asSet = (set: AdjusterValues): BalanceContext => judged(made.work, set, rig.wants).context;
  const kinds = readingsOf(made.work.assembly.rig, asSet(values).evaluation);
  const own = ownFigures(kinds, entries, asSet);
  const assembly = withUnsureLoad(made.work.assembly);
  const support = supportOf(assembly.rig);
  if (!support) return { kind: 'nothingBears' };
  const inOrder = (set: AdjusterValues): readonly number[] => valuesInOrder(assembly.rig, set);
  const main: Subject = {
    carries: support.carries,
    at: (set) => supportAt(assembly.rig, support, inOrder(set)),
    mayLack: true,
  };
  const axes = poleHinge(assembly.rig) || support.kind === 'pivot' ? [] : freeAxes(assembly.rig);
  const onAxis = axes.map((pivot) => ({
    pivot,
    subject: {
      carries: bodiesBeyond(assembly.rig, pivot),
      at: (set: AdjusterValues) => pivotAt(assembly.rig, pivot, inOrder(set)),
      mayLack: false,
    },
  }));
  const at = (set: AdjusterValues): At => carriedAt(assembly, main, set);
  const now = at(values);
  if (now.bodies.length === 0) return { kind: 'nothingBears' };
  // The other bodies, grip and handle, are on the scale too.
  const beside = placedPieces(assembly, values)
    .filter((p) => !support.carries.has(p.body))
    .reduce((m, p) => m + p.flat.mass, 0);
  const sets = entries.map((e) => at(e.values));
  const figures = [...new Map([now, ...sets].flatMap(figuresOf).map((f) => [f.id, f] as const)).values()];
  const rubbing = axes.filter((p) => p.frictionTorque);
  const ids = [...figures.map((f) => f.id), ...LEFT_OUT_IDS, ...rubbing.map(frictionId)];
  const changesAt = ({ changes }: At): readonly Sums[] => ids.map((id) => changes.get(id) ?? NO_SUMS);
  const over = entries.map((_, i) => entries.slice(0, i).filter((f) => f.seen.turnsOver).length);
  const read = entries.flatMap(({ seen, values: set }, i): readonly Read[] => {
    const told = (kind: ReadingKind): ReturnType<NonNullable<ReadingKind['says']>> => {
      const value = seenOf(seen, kind);
      return value === null || !kind.says
        ? []
        : kind.says({ value, seen, assembly, values: set, at: main.at(set), beside, over: over[i]! });
    };
    const ofMain = kinds
      .filter((k) => !k.axis)
      .flatMap(told)
      .map((o) => ({ ...o, base: sets[i]!.base, changes: changesAt(sets[i]!) }));
    const ofAxes = onAxis.flatMap(({ pivot, subject }) => {
      const all = kinds.filter((k) => k.axis?.id === pivot.id).flatMap(told);
      if (all.length === 0) return [];
      const there = carriedAt(assembly, subject, set);
      const friction = {
        base: pivot.frictionTorque?.value ?? 0,
        changes: ids.map((id) => (id === frictionId(pivot) ? frictionSpread(pivot) : 0)),
      };
      return all.map((o) => ({ ...o, base: there.base, changes: changesAt(there), friction }));
    });
    return [...ofMain, ...ofAxes];
  });
  if (read.length === 0 && own.length === 0) return { kind: 'noReadings' };
  const [x, y, z] = now.base.first;
  // What was read tells nothing of where the mass centre lies.
  if (read.length === 0)
    return {
      kind: 'learned',
      own,
      placed: false,
      lessons: [],
      suspect: null,
      unexplained: [0, 0, 0],
      fromSupport: [x / now.base.mass, y / now.base.mass, z / now.base.mass],
      spread: [0, 0, 0],
      next: null,
    };
  for (const [i, { seen }] of entries.entries()) {
    const whole = sets[i]!.base.mass + beside;
    if (seen.mass !== undefined && Math.abs(seen.mass - whole) > FAR_OFF * whole)
      return { kind: 'cannotBe', reading: i, why: 'mass' };
  }
  for (const [i, { seen }] of entries.entries())
    if (seen.dropTimes.some((t) => t < shortestDrop(sets[i]!.base)))
      return { kind: 'cannotBe', reading: i, why: 'drop' };
  const weighed = new Set([now, ...sets].flatMap((s) => s.bodies.filter(isWeighed).map((b) => massId(b.source))));
  const mayBeWrong = figures.flatMap((f, i) => (weighed.has(f.id) || isMaterial(f) ? [] : [i]));
  const ways: readonly Wrong[] = [
    ...mayBeWrong.map((i) => ({ which: [i], wider: wrongBy(figures[i]!, now) })),
    { which: LEFT_OUT.map((_, axis) => figures.length + axis), wider: LEFT_OUT_WIDER },
  ];
  const { off, covariance, wrong } = likeliest(read, ways);
  const unsure = changesAt(now);
  const learned = unsure.reduce((sum, c, i) => addSums(sum, scaleSums(c, off[i]!)), now.base);
  const lessons = figures
    .map((f, i): Lesson => ({
      source: f.source,
      words: sourceWords(f.source),
      owner: f.owner,
      spreads: off[i]!,
      mass: massOf(f, now, off[i]!, Math.sqrt(covariance[i]![i]!)),
      friction: null,
    }))
    .concat(
      rubbing.map((pivot): Lesson => {
        const i = ids.indexOf(frictionId(pivot));
        const [from, spread] = [pivot.frictionTorque!.value, frictionSpread(pivot)];
        return {
          source: frictionId(pivot),
          words: `friction of the ${pivot.name}`,
          owner: pivot.id,
          spreads: off[i]!,
          mass: null,
          friction: { from, to: Math.max(0, from + off[i]! * spread), spread: spread * Math.sqrt(covariance[i]![i]!) },
        };
      }),
    )
    .filter((l) => Math.abs(l.spreads) >= TOLD_FROM)
    .sort((a, b) => Math.abs(b.spreads) - Math.abs(a.spreads));
  const plainlyWrong = wrong === null ? undefined : figures[mayBeWrong[wrong] ?? -1];
  const suspect = plainlyWrong
    ? lessons.find((l) => l.source === plainlyWrong.source)
    : lessons.find((l) => l.friction === null && isFarOff(l) && !(l.mass && weighed.has(massId(l.source))));
  const better = asLearned(assembly, new Map(ids.map((id, i) => [id, off[i]!])));
  // What no figure of the rig tells: what was left out, and what is not straight in two figures at once.
  const here = main.at(values);
  const also = fromHere(addScaledSums(learned, carriedAt(better, main, values).base, -1), [
    -here[0],
    -here[1],
    -here[2],
  ]);
  const outcome = nextSetUp(better, values, rig.wants, also);
  return {
    kind: 'learned',
    lessons,
    suspect: suspect ?? null,
    unexplained: LEFT_OUT.map((size, axis) => size * off[figures.length + axis]!) as unknown as Vec3,
    own,
    placed: true,
    fromSupport: learned.first.map((f) => f / learned.mass) as unknown as Vec3,
    spread: [0, 1, 2].map((axis) =>
      Math.sqrt(
        unsure.reduce(
          (v, a, i) =>
            v +
            unsure.reduce(
              (w, b, j) => w + placeOf(a, learned, axis) * covariance[i]![j]! * placeOf(b, learned, axis),
              0,
            ),
          0,
        ),
      ),
    ) as unknown as Vec3,
    next: {
      outcome,
      moves:
        outcome.kind === 'solved' || outcome.kind === 'axesSet'
          ? coarseFirst(movesBetween(assembly.rig.adjusters, values, { ...values, ...outcome.values }))
          : [],
    },
  };
}

/** What the readings give by themselves, of the rig set as each was read. */
const ownFigures = (
  kinds: readonly ReadingKind[],
  entries: LearnInput['entries'],
  asSet: (values: AdjusterValues) => BalanceContext,
): readonly OwnFigure[] =>
  [...new Set(kinds.map((k) => k.kind))].flatMap((name) => {
    const alike = kinds.filter((k) => k.kind === name && k.gives);
    const read = entries.flatMap(({ seen, values }) =>
      alike.flatMap((k) => {
        const value = seenOf(seen, k);
        return value === null ? [] : [{ about: k.about, value, context: asSet(values) }];
      }),
    );
    return read.length > 0 ? alike[0]!.gives!(read) : [];
  });

const isFarOff = ({ spreads, mass }: Lesson): boolean =>
  Math.abs(spreads) > SUSPECT_FROM || (mass !== null && Math.abs(mass.to - mass.from) > SUSPECT_PART * mass.from);

/** How far the mass centre goes along an axis for one unit of a change, m. */
const placeOf = (change: Sums, whole: Sums, axis: number): number =>
  (change.first[axis]! - (whole.first[axis]! / whole.mass) * change.mass) / whole.mass;

/** No material is plainly wrong: its spread is of all there are. */
const isMaterial = ({ source }: Figure): boolean => source.startsWith('density of ');

/** By how many of its spreads a figure is off when it is simply wrong: a mass by a good part of itself. */
function wrongBy(figure: Figure, now: At): number {
  const mass = massOf(figure, now, 0, 0);
  const perSpread = now.changes.get(figure.id)?.mass ?? 0;
  return mass ? Math.max(1, (WRONG_PART * mass.from) / perSpread) : WRONG_SPREADS;
}

function massOf(figure: Figure, at: At, off: number, left: number): Lesson['mass'] {
  const perSpread = at.changes.get(figure.id)?.mass ?? 0;
  const from = massUnder(figure, at);
  return perSpread > 0 && from > 0 ? { from, to: from + off * perSpread, spread: left * perSpread } : null;
}

/** Washers, then what levels, then what sets the drop; a height changes how touchy level is, so level comes once more. */
function coarseFirst(moves: readonly Move[]): readonly Move[] {
  const rank = ({ adjuster: { kind, axis } }: Move): number =>
    kind === 'count' ? 0 : Math.abs(axis?.[2] ?? 0) > 0.7 ? 2 : 1;
  return [...moves].sort((a, b) => rank(a) - rank(b));
}
