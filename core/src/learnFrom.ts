/**
 * What the bench taught: readings of the real rig, against all that the model does not know for sure. Each unsure figure is
 * moved as little as its own plus-minus asks (weighted least squares), so that what was read comes out; then the next
 * move follows from the rig as learned.
 */
import { DEGREE, ellipticK, solveDefinite, STANDARD_GRAVITY, subtract, type Vec3 } from './0-base';
import { addSums, moveSums, scaleSums, sumsOf, type Sums } from './1-load';
import { bodiesBeyond, pivotAt, placedPieces, valuesInOrder, type AdjusterValues } from './2-frame';
import { shiftsOf, trim, type TrimOutcome } from './3-balance';
import { workpiece } from './derive';
import type { Adjuster, KitItem, Loadout, LogEntry, RigDocument } from './model';
import { movesBetween, type Move } from './setUpsFor';

export interface LearnInput {
  readonly rig: Pick<RigDocument, 'design' | 'wants' | 'hands'>;
  readonly loadout: Loadout | null;
  readonly kit: ReadonlyMap<string, KitItem>;
  /** How it is set now: the next move starts there. */
  readonly values: AdjusterValues;
  /** Of this rig with this loadout. */
  readonly entries: readonly Pick<LogEntry, 'values' | 'seen'>[];
}
export interface Lesson {
  readonly source: string;
  readonly owner: string;
  /** Moved by so many of its own standard uncertainties. */
  readonly spreads: number;
  /** Of a mass: from and to, kg, and what is still unsure of it. */
  readonly mass: { readonly from: number; readonly to: number; readonly spread: number } | null;
}
export interface Learned {
  readonly kind: 'learned';
  /** What moved most first; only what moved by a fifth of its spread or more. */
  readonly lessons: readonly Lesson[];
  /** Moved by more than two of its spreads, so it may be wrong and not only unsure; null when nothing is. */
  readonly suspect: Lesson | null;
  /** What no figure of the model explains: the mass centre lies off by this much besides, m. */
  readonly unexplained: Vec3;
  /** How it hangs as set now, by what was learned: m from the pivot, with one standard uncertainty. */
  readonly fromPivot: Vec3;
  readonly spread: Vec3;
  readonly next: { readonly outcome: TrimOutcome; readonly moves: readonly Move[] };
}
export type LearnOutcome = Learned | { readonly kind: 'noReadings' } | { readonly kind: 'notHung' } | { readonly kind: 'broken'; readonly reason: string } | { readonly kind: 'cannotBe'; readonly reading: number; readonly why: 'mass' | 'drop' };

/** Standard uncertainties of readings: a lean by eye against a level, a thumb on a stopwatch, a scale's step and drift, a finger's width. */
const READ = { lean: 1.5 * DEGREE, drop: 0.1, mass: 0.002, finger: 0.002 };
/** No reading of a place is better than this, m: joints, cables, draughts. */
const BEST = 2e-5;
/** What the model may have left out altogether, as a shift of the mass centre, m, standard. */
const LEFT_OUT: Vec3 = [0.003, 0.002, 0.002];
const PASSES = 8;
/** How far above the pivot the mass centre is taken to lie when a rig turns over the first time, m. */
const ABOVE = 0.003;
/** Readings are taken to mean no more than unsure figures up to this cost, a chance of one in a hundred for a few of them. */
const WRONG_FROM = 9;
const WRONG_PART = 0.25;
const WRONG_SPREADS = 10;
const TOLD_FROM = 0.2;
const SUSPECT_FROM = 2;
/** What it weighs may be off by this part and still be this rig. */
const FAR_OFF = 0.5;
const K = ellipticK(Math.SQRT1_2);

export function learnFrom({ rig, loadout, kit, values, entries }: LearnInput): LearnOutcome {
  const made = workpiece(rig, loadout, kit);
  if (!made.ok) return { kind: 'broken', reason: made.reason };
  const { assembly } = made.piece;
  const pivot = assembly.rig.pivots.find((p) => p.kind === 'universal');
  if (!pivot) return { kind: 'notHung' };
  const beyond = bodiesBeyond(assembly.rig, pivot);
  const hanging = (set: AdjusterValues) => placedPieces(assembly, set).filter((p) => beyond.has(p.body)).map((p) => p.flat);
  const at = (set: AdjusterValues): Vec3 => pivotAt(assembly.rig, pivot, valuesInOrder(assembly.rig, set));
  const about = (set: AdjusterValues): Sums => moveSums(sumsOf(hanging(set)), subtract([0, 0, 0], at(set)));
  const now = hanging(values);
  if (now.length === 0) return { kind: 'notHung' };
  const here = at(values);
  const base = about(values);
  // The other bodies, grip and handle, are on the scale too.
  const held = placedPieces(assembly, values).filter((p) => !beyond.has(p.body)).reduce((m, p) => m + p.flat.mass, 0);
  const known = shiftsOf(now).map((s) => ({ source: s.source, owner: s.owner, sums: fromHere(s.sums, here) }));
  const left = LEFT_OUT.map((size, i) => ({ source: 'left out', owner: '', sums: { mass: 0, first: [0, 1, 2].map((k) => (k === i ? size * base.mass : 0)) as unknown as Vec3, inertia: [[0, 0, 0], [0, 0, 0], [0, 0, 0]] as const } }));
  const unsure = [...known, ...left];
  const over = entries.map((_, i) => entries.slice(0, i).filter((f) => f.seen.turnsOver).length);
  const observed = entries.flatMap((e, i) => observations(e, about(e.values), held, ABOVE * 2 ** over[i]!).map((o) => ({ ...o, entry: i })));
  if (observed.length === 0) return { kind: 'noReadings' };
  for (const [i, { seen }] of entries.entries()) if (seen.mass !== undefined && Math.abs(seen.mass - base.mass - held) > FAR_OFF * (base.mass + held)) return { kind: 'cannotBe', reading: i, why: 'mass' };
  for (const [i, { seen }] of entries.entries()) if (seen.dropTimes.some((t) => t < shortest(base))) return { kind: 'cannotBe', reading: i, why: 'drop' };
  const { off, covariance, wrong } = likeliest(observed, unsure.map((u) => u.sums), known.map((u) => wrongBy(u.source, u.sums.mass, now)));
  const change = unsure.reduce((sum, u, i) => addSums(sum, scaleSums(u.sums, off[i]!)), NOTHING);
  const learned = addSums(base, change);
  const lessons = known.map((u, i): Lesson => ({ source: u.source, owner: u.owner, spreads: off[i]!, mass: massOf(u.source, u.sums.mass, now, off[i]!, Math.sqrt(covariance[i]![i]!)) })).filter((l) => Math.abs(l.spreads) >= TOLD_FROM).sort((a, b) => Math.abs(b.spreads) - Math.abs(a.spreads));
  const n = known.length;
  const outcome = gentlest(trim(assembly, values, rig.wants, { aim: 'fewestMoves', also: fromHere(change, [-here[0], -here[1], -here[2]]) }), assembly.rig.adjusters, values);
  return {
    kind: 'learned', lessons, suspect: (wrong === null ? undefined : lessons.find((l) => l.source === known[wrong]!.source)) ?? (lessons[0] && Math.abs(lessons[0].spreads) > SUSPECT_FROM ? lessons[0] : null),
    unexplained: LEFT_OUT.map((size, i) => size * off[n + i]!) as unknown as Vec3,
    fromPivot: learned.first.map((f) => f / learned.mass) as unknown as Vec3,
    spread: [0, 1, 2].map((axis) => Math.sqrt(unsure.reduce((v, a, i) => v + unsure.reduce((w, b, j) => w + placeOf(a.sums, learned, axis) * covariance[i]![j]! * placeOf(b.sums, learned, axis), 0), 0))) as unknown as Vec3,
    next: { outcome, moves: outcome.kind === 'solved' ? coarseFirst(movesBetween(assembly.rig.adjusters, values, { ...values, ...outcome.values })) : [] },
  };
}

/** Of as few moves, those that go least far: what is still wrong of a figure counts for less. */
function gentlest(outcome: TrimOutcome, adjusters: readonly Adjuster[], from: AdjusterValues): TrimOutcome {
  if (outcome.kind !== 'solved') return outcome;
  const far = ({ values }: { readonly values: AdjusterValues }): number => adjusters.reduce((sum, { id, range, value }) => sum + Math.abs((values[id] ?? value) - (from[id] ?? value)) / Math.max(range[1] - range[0], 1e-9), 0);
  const [first] = [...outcome.ties].sort((a, b) => far(a) - far(b));
  return first ? { ...outcome, values: first.values, addedMass: first.added } : outcome;
}

const NOTHING: Sums = { mass: 0, first: [0, 0, 0], inertia: [[0, 0, 0], [0, 0, 0], [0, 0, 0]] };
/** Quicker than a body of this size can fall from any pivot, by two thumbs: T is least where h² = I/M. */
const shortest = (s: Sums): number => Math.max(0.1, K * Math.sqrt((2 * Math.sqrt(s.inertia[1][1] / s.mass)) / STANDARD_GRAVITY) - 2 * READ.drop);

/** How far the mass centre goes along an axis for one unit of a change, m. */
const placeOf = (change: Sums, whole: Sums, axis: number): number => (change.first[axis]! - (whole.first[axis]! / whole.mass) * change.mass) / whole.mass;

/** A difference of sums about the origin, as one about a point: it may have no mass of its own, so it is carried term by term. */
function fromHere({ mass, first, inertia }: Sums, p: Vec3): Sums {
  const moved: Vec3 = [first[0] - mass * p[0], first[1] - mass * p[1], first[2] - mass * p[2]];
  // I about p: I + terms of -2 F·p + m p·p, tensor form.
  const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  const spread = -2 * dot(first, p) + mass * dot(p, p);
  const row = (i: 0 | 1 | 2): Vec3 => [0, 1, 2].map((k) => inertia[i][k]! + (i === k ? spread : 0) + first[i] * p[k]! + p[i] * first[k]! - mass * p[i] * p[k]!) as unknown as Vec3;
  return { mass, first: moved, inertia: [row(0), row(1), row(2)] };
}

interface Observation {
  /** A place in m, or a mass in kg, that should be nought, straight in the sums; and how well it was read. */
  readonly value: (s: Sums) => number;
  readonly spread: (s: Sums) => number;
  readonly base: Sums;
}

/** Each reading as something that is nought for the rig that was read. */
function observations({ seen }: LearnInput['entries'][number], base: Sums, held: number, above: number): readonly Observation[] {
  const far = ({ first, mass }: Sums): number => Math.hypot(...first) / mass;
  const lean = (angle: number, i: 0 | 1): Observation => ({
    base, value: ({ first, mass }) => (first[i] * Math.cos(angle) + first[2] * Math.sin(angle)) / mass, spread: (s) => Math.max(BEST, far(s) * READ.lean),
  });
  const drops = seen.dropTimes;
  const nose = seen.noseDown ?? 0;
  const mean = drops.reduce((s, t) => s + t, 0) / drops.length;
  return [
    ...(seen.noseDown === undefined ? [] : [lean(seen.noseDown, 0)]),
    ...(seen.leftSideDown === undefined ? [] : [lean(seen.leftSideDown, 1)]),
    // T² M g h = K² I, so h - K² I/(M g T²) is nought; h along the way it was seen to hang.
    ...(drops.length === 0 ? [] : [{
      base, value: ({ first, inertia, mass }: Sums) => (first[0] * Math.sin(nose) - first[2] * Math.cos(nose)) / mass - (K ** 2 * inertia[1][1]) / (STANDARD_GRAVITY * mean ** 2 * mass),
      spread: (s: Sums) => Math.max(BEST, (2 * Math.abs(Math.hypot(s.first[0], s.first[2]) / s.mass) * READ.drop) / Math.sqrt(drops.length) / mean),
    }]),
    // It turned over: the mass centre lies above the pivot, by how much is not known. Turned over again, it was more.
    ...(seen.turnsOver ? [{ base, value: ({ first, mass }: Sums) => first[2] / mass - above, spread: () => above / 3 }] : []),
    ...(seen.mass === undefined ? [] : [{ base, value: ({ mass }: Sums) => mass + held - seen.mass!, spread: () => READ.mass }]),
    ...(seen.fingerAhead === undefined ? [] : [{ base, value: ({ first, mass }: Sums) => first[0] / mass - seen.fingerAhead!, spread: () => READ.finger }]),
  ];
}

interface Fit {
  readonly off: readonly number[];
  readonly covariance: readonly (readonly number[])[];
  /** Sum of squares, of figures in their own spreads and of readings in theirs. */
  readonly cost: number;
}

/**
 * Every figure a little off, or one of them plainly wrong: whichever makes what was read likelier. A wrong figure may be
 * off by so many of its spreads, and costs what so much wider a belief does, 2 ln of it.
 */
function likeliest(observed: readonly Observation[], changes: readonly Sums[], wider: readonly number[]): Fit & { readonly wrong: number | null } {
  let best: Fit & { readonly wrong: number | null } = { ...fitted(observed, changes), wrong: null };
  if (best.cost < WRONG_FROM) return best;
  wider.forEach((factor, j) => {
    if (factor <= 1) return;
    const one = fitted(observed, changes.map((c, i) => (i === j ? scaleSums(c, factor) : c)));
    const cost = one.cost + 2 * Math.log(factor);
    const own = (i: number): number => (i === j ? factor : 1);
    if (cost < best.cost) best = { off: one.off.map((x, i) => x * own(i)), covariance: one.covariance.map((row, i) => row.map((x, k) => x * own(i) * own(k))), cost, wrong: j };
  });
  return best;
}

/** By how many of its spreads a figure is off when it is simply wrong: a mass by a good part of itself. No material is: its spread is of all there are. */
function wrongBy(source: string, perSpread: number, bodies: Parameters<typeof massOf>[2]): number {
  if (source.startsWith('density of ')) return 1;
  const mass = massOf(source, perSpread, bodies, 0, 0);
  return mass ? Math.max(1, (WRONG_PART * mass.from) / perSpread) : WRONG_SPREADS;
}

/** Least squares of (own spreads)² + (what was read)², by a few Gauss-Newton passes in the readings' own small space. */
function fitted(observed: readonly Observation[], changes: readonly Sums[]): Fit {
  let off = changes.map(() => 0);
  let gains: number[][] = [];
  let slopes: number[][] = [];
  for (let pass = 0; pass < PASSES; pass++) {
    const total = changes.reduce((sum, c, i) => addSums(sum, scaleSums(c, off[i]!)), NOTHING);
    const there = observed.map((o) => addSums(o.base, total));
    const spreads = observed.map((o, k) => o.spread(there[k]!));
    slopes = observed.map((o, k) => changes.map((c) => (o.value(addSums(there[k]!, scaleSums(c, STEP))) - o.value(addSums(there[k]!, scaleSums(c, -STEP)))) / (2 * STEP) / spreads[k]!));
    const misses = observed.map((o, k) => o.value(there[k]!) / spreads[k]! - slopes[k]!.reduce((s, j, i) => s + j * off[i]!, 0));
    const square = slopes.map((a, i) => slopes.map((b, k) => a.reduce((s, x, n) => s + x * b[n]!, 0) + (i === k ? 1 : 0)));
    gains = square.map((_, i) => solveDefinite(square, square.map((__, k) => (i === k ? 1 : 0))));
    const weights = solveDefinite(square, misses.map((m) => -m));
    off = changes.map((_, i) => slopes.reduce((s, row, k) => s + row[i]! * weights[k]!, 0));
  }
  const covariance = changes.map((_, i) => changes.map((__, j) => (i === j ? 1 : 0) - slopes.reduce((s, row, k) => s + row[i]! * slopes.reduce((t, other, l) => t + gains[k]![l]! * other[j]!, 0), 0)));
  const total = changes.reduce((sum, c, i) => addSums(sum, scaleSums(c, off[i]!)), NOTHING);
  const cost = off.reduce((sum, x) => sum + x * x, 0) + observed.reduce((sum, o) => {
    const there = addSums(o.base, total);
    return sum + (o.value(there) / o.spread(there)) ** 2;
  }, 0);
  return { off, covariance, cost };
}
const STEP = 0.05;

function massOf(source: string, perSpread: number, bodies: readonly { readonly source: string; readonly mass: number; readonly massSpread: number }[], off: number, left: number): Lesson['mass'] {
  if (!(perSpread > 0)) return null;
  const from = bodies.filter((b) => b.source === source && b.massSpread > 0).reduce((m, b) => m + b.mass, 0);
  return from > 0 ? { from, to: from + off * perSpread, spread: left * perSpread } : null;
}

/** Washers, then what levels, then what sets the drop; a height changes how touchy level is, so level comes once more. */
function coarseFirst(moves: readonly Move[]): readonly Move[] {
  const rank = ({ adjuster: { kind, axis } }: Move): number => (kind === 'count' ? 0 : Math.abs(axis?.[2] ?? 0) > 0.7 ? 2 : 1);
  return [...moves].sort((a, b) => rank(a) - rank(b));
}
