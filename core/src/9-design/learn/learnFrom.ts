/**
 * What the bench taught: readings of the real rig, against all that the model does not know for sure. Each unsure figure is
 * moved as little as its own plus-minus asks (weighted least squares), so that what was read comes out; then the next
 * move follows from the rig as learned.
 */
import { sourceWords, type Vec3 } from '../../0-base';
import { addScaledSums, addSums, NO_SUMS, scaleSums, type Sums } from '../../1-load';
import { bodiesBeyond, pivotAt, placedPieces, valuesInOrder, type AdjusterValues } from '../../2-frame';
import { massId, type TrimOutcome } from '../../3-balance';
import { workpiece } from '../derive';
import type { BinItem, KitItem, Loadout, LogEntry, RigDocument } from '../../model';
import { movesBetween, type Move } from '../setUpsFor';
import { likeliest, type Wrong } from './likeliest';
import { nextSetUp } from './nextSetUp';
import { observations, shortestDrop } from './readings';
import {
  asLearned,
  figuresOf,
  fromHere,
  hangingAt,
  isWeighed,
  LEFT_OUT,
  LEFT_OUT_IDS,
  massUnder,
  withUnsureLoad,
  type At,
  type Figure,
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
  /** Of a mass: from and to, kg, and what is still unsure of it. */
  readonly mass: { readonly from: number; readonly to: number; readonly spread: number } | null;
}
export interface Learned {
  readonly kind: 'learned';
  /** What moved most first; only what moved by three tenths of its spread or more. */
  readonly lessons: readonly Lesson[];
  /** Moved by more than two of its spreads, or a mass by more than a tenth: it may be wrong and not only unsure; never what was weighed. Null when nothing is. */
  readonly suspect: Lesson | null;
  /** What no figure of the model explains: the mass centre lies off by this much besides, m. */
  readonly unexplained: Vec3;
  /** How it hangs as set now, by what was learned: m from the pivot, with one standard uncertainty. */
  readonly fromPivot: Vec3;
  readonly spread: Vec3;
  readonly next: { readonly outcome: TrimOutcome; readonly moves: readonly Move[] };
}
export type LearnOutcome =
  | Learned
  | { readonly kind: 'noReadings' }
  | { readonly kind: 'notHung' }
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
  const assembly = withUnsureLoad(made.piece.assembly);
  const pivot = assembly.rig.pivots.find((p) => p.kind === 'universal');
  if (!pivot) return { kind: 'notHung' };
  const beyond = bodiesBeyond(assembly.rig, pivot);
  const at = (set: AdjusterValues): At => hangingAt(assembly, pivot, beyond, set);
  const now = at(values);
  if (now.bodies.length === 0) return { kind: 'notHung' };
  // The other bodies, grip and handle, are on the scale too.
  const held = placedPieces(assembly, values)
    .filter((p) => !beyond.has(p.body))
    .reduce((m, p) => m + p.flat.mass, 0);
  const sets = entries.map((e) => at(e.values));
  const figures = [...new Map([now, ...sets].flatMap(figuresOf).map((f) => [f.id, f] as const)).values()];
  const ids = [...figures.map((f) => f.id), ...LEFT_OUT_IDS];
  const changesAt = ({ changes }: At): readonly Sums[] => ids.map((id) => changes.get(id) ?? NO_SUMS);
  const over = entries.map((_, i) => entries.slice(0, i).filter((f) => f.seen.turnsOver).length);
  const read = entries.flatMap(({ seen }, i) =>
    observations(seen, held, over[i]!, pivot).map((o) => ({ ...o, base: sets[i]!.base, changes: changesAt(sets[i]!) })),
  );
  if (read.length === 0) return { kind: 'noReadings' };
  for (const [i, { seen }] of entries.entries()) {
    const whole = sets[i]!.base.mass + held;
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
    }))
    .filter((l) => Math.abs(l.spreads) >= TOLD_FROM)
    .sort((a, b) => Math.abs(b.spreads) - Math.abs(a.spreads));
  const plainlyWrong = wrong === null ? undefined : figures[mayBeWrong[wrong] ?? -1];
  const suspect = plainlyWrong
    ? lessons.find((l) => l.source === plainlyWrong.source)
    : lessons.find((l) => isFarOff(l) && !(l.mass && weighed.has(massId(l.source))));
  const better = asLearned(assembly, new Map(ids.map((id, i) => [id, off[i]!])));
  // What no figure of the rig tells: what was left out, and what is not straight in two figures at once.
  const here = pivotAt(assembly.rig, pivot, valuesInOrder(assembly.rig, values));
  const also = fromHere(addScaledSums(learned, hangingAt(better, pivot, beyond, values).base, -1), [
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
    fromPivot: learned.first.map((f) => f / learned.mass) as unknown as Vec3,
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
        outcome.kind === 'solved'
          ? coarseFirst(movesBetween(assembly.rig.adjusters, values, { ...values, ...outcome.values }))
          : [],
    },
  };
}

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
