/**
 * Trim, first version: with the slides and whole washers, find level and the wanted drop time with the least added
 * mass. Every combination of counts is tried in order of mass, so the first that fits is proven least. A solver with
 * more kinds of variable takes this function's place behind the same outcome.
 */
import { addScaled, unit, ZERO, type Vec3 } from '../../0-base';
import { addSums, massCentre, moveSums, NO_SUMS, sumsOf, sumsOfOne, type Sums } from '../../1-load';
import { bodiesBeyond, pivotAt, shiftOf, stackBody, valuesInOrder, type AdjusterValues, type Assembly } from '../../2-frame';
import type { Adjuster, Wants } from '../../model';
import { aboutAxis } from '../dropTimeWanted';
import { dropTime, FROM_LEVEL } from '../dropTime';

/** The wants that stand in the way, gravest first. */
export type Obstacle = 'topHeavy' | 'slideTravel' | 'dropTooShort' | 'dropTooLong' | 'slideStep';

export type TrimOutcome =
  | { readonly kind: 'solved'; readonly values: AdjusterValues; readonly addedMass: number; readonly tried: number; readonly ties: number }
  | { readonly kind: 'noSolution'; readonly obstacle: Obstacle; readonly nearest: AdjusterValues; readonly shortBy: number; readonly adjuster: string | null; readonly tried: number }
  | { readonly kind: 'notHung' }
  | { readonly kind: 'tooLarge'; readonly combinations: number; readonly most: number };

/** A tenth of a second of work at about a microsecond each; more belongs to the full solver. */
const COMBINATIONS_AT_MOST = 400_000;

interface Variables {
  /** Where every adjuster stands now; a slide that trim does not turn stays there. */
  readonly inOrder: readonly number[];
  readonly pivot: Vec3;
  /** Everything that hangs and that no free slide moves, bolts bare. */
  readonly fixed: Sums;
  /** What each set of slides moves together. */
  readonly groups: readonly { readonly slides: readonly number[]; readonly sums: Sums }[];
  readonly stacks: readonly { readonly adjuster: number; readonly byCount: readonly Sums[] }[];
}

export function trim(assembly: Assembly, values: AdjusterValues, wants: Pick<Wants, 'levelWithin' | 'dropTime'>): TrimOutcome {
  const variables = variablesOf(assembly, values);
  if (!variables) return { kind: 'notHung' };
  const combinations = variables.stacks.reduce((n, s) => n * s.byCount.length, 1);
  if (combinations > COMBINATIONS_AT_MOST) return { kind: 'tooLarge', combinations, most: COMBINATIONS_AT_MOST };
  const choices = allCounts(variables);
  let best: { tried: Tried; counts: readonly number[]; mass: number; ties: number } | null = null;
  let nearest: { tried: Tried; counts: readonly number[] } | null = null;
  let tried = 0;
  for (const { counts, sums, mass } of choices) {
    if (best && mass > best.mass * (1 + 1e-9) + 1e-12) break;
    tried++;
    const result = tryCounts(assembly, variables, sums, wants);
    if (result.obstacle === null) {
      if (!best) best = { tried: result, counts, mass, ties: 1 };
      else best = { ...(result.offMiddle < best.tried.offMiddle ? { tried: result, counts } : { tried: best.tried, counts: best.counts }), mass: best.mass, ties: best.ties + 1 };
    } else if (!nearest || closer(result, nearest.tried)) nearest = { tried: result, counts };
  }
  if (best) return { kind: 'solved', values: valuesOf(assembly, variables, best), addedMass: best.mass, tried, ties: best.ties };
  const at = nearest!;
  return { kind: 'noSolution', obstacle: at.tried.obstacle!, nearest: valuesOf(assembly, variables, at), shortBy: at.tried.shortBy, adjuster: at.tried.adjuster, tried };
}

function variablesOf(assembly: Assembly, values: AdjusterValues): Variables | null {
  const { rig } = assembly;
  const pivot = rig.pivots.find((p) => p.kind === 'universal');
  if (!pivot) return null;
  const beyond = bodiesBeyond(rig, pivot);
  const inOrder = valuesInOrder(rig, values);
  const isSlide = (i: number): boolean => ['slide', 'telescope', 'holes'].includes(rig.adjusters[i]!.kind);
  let fixed = NO_SUMS;
  const groups = new Map<string, { slides: readonly number[]; sums: Sums }>();
  for (const piece of assembly.pieces.filter((p) => beyond.has(p.body))) {
    const slides = piece.movedBy.filter(isSlide);
    const others = shiftOf(rig, piece.movedBy.filter((i) => !isSlide(i)), inOrder);
    const sums = moveSums(sumsOfOne(piece.flat), others);
    if (slides.length === 0) fixed = addSums(fixed, sums);
    else {
      const key = slides.join();
      groups.set(key, { slides, sums: addSums(groups.get(key)?.sums ?? NO_SUMS, sums) });
    }
  }
  const stacks: { adjuster: number; byCount: Sums[] }[] = [];
  for (const stack of assembly.stacks.filter((s) => beyond.has(s.body))) {
    const shift = shiftOf(rig, stack.movedBy, inOrder);
    const at = (count: number): Sums => {
      const body = stackBody(stack, count);
      return body ? moveSums(sumsOf([body]), shift) : NO_SUMS;
    };
    if (stack.countedBy === null) fixed = addSums(fixed, at(stack.station.count));
    else {
      const [least, most] = rig.adjusters[stack.countedBy]!.range;
      const byCount = Array.from({ length: Math.floor(most) - Math.ceil(least) + 1 }, (_, n) => at(Math.ceil(least) + n));
      // One count may set several bolts at once: a pair, left and right.
      const pair = stacks.find((s) => s.adjuster === stack.countedBy);
      if (pair) pair.byCount = pair.byCount.map((sums, n) => addSums(sums, byCount[n]!));
      else stacks.push({ adjuster: stack.countedBy, byCount });
    }
  }
  return { inOrder, pivot: pivotAt(rig, pivot, inOrder), fixed, groups: [...groups.values()], stacks };
}

interface Choice {
  readonly counts: readonly number[];
  readonly sums: Sums;
  readonly mass: number;
}

/** Every combination of counts (as indices into byCount), lightest first. */
function allCounts({ stacks }: Variables): readonly Choice[] {
  let choices: Choice[] = [{ counts: [], sums: NO_SUMS, mass: 0 }];
  for (const stack of stacks) {
    choices = choices.flatMap((c) => stack.byCount.map((s, n) => ({ counts: [...c.counts, n], sums: addSums(c.sums, s), mass: c.mass + s.mass })));
  }
  return choices.sort((a, b) => a.mass - b.mass);
}

interface Tried {
  readonly obstacle: Obstacle | null;
  readonly shortBy: number;
  readonly adjuster: string | null;
  readonly slides: ReadonlyMap<number, number>;
  /** How far the drop time lies from the middle of the wanted range. */
  readonly offMiddle: number;
}

function tryCounts(assembly: Assembly, { inOrder, pivot, fixed, groups }: Variables, stacked: Sums, wants: Pick<Wants, 'levelWithin' | 'dropTime'>): Tried {
  const { adjusters } = assembly.rig;
  const still = addSums(fixed, stacked);
  const slides = new Map<number, number>();
  const placed = (): Sums => groups.reduce((s, g) => addSums(s, moveSums(g.sums, slideShift(adjusters, g.slides, slides, inOrder))), still);
  let outside: { adjuster: Adjuster; by: number } | null = null;
  for (const axis of [0, 1] as const) {
    const index = slideAlong(adjusters, groups, axis);
    if (index === null) continue;
    const adjuster = adjusters[index]!;
    slides.set(index, 0);
    const all = placed();
    const moving = groups.filter((g) => g.slides.includes(index)).reduce((m, g) => m + g.sums.mass, 0);
    const wanted = (all.mass * pivot[axis] - all.first[axis]) / (moving * unit(adjuster.axis!)[axis]!);
    const kept = Math.min(adjuster.range[1], Math.max(adjuster.range[0], wanted));
    const stepped = toStep(adjuster, kept);
    slides.set(index, stepped);
    const by = Math.abs(wanted - kept);
    if (by > adjuster.step / 2 && (!outside || by > outside.by)) outside = { adjuster, by };
  }
  const sums = placed();
  const centre = massCentre(sums);
  const d: Vec3 = [centre[0] - pivot[0], centre[1] - pivot[1], centre[2] - pivot[2]];
  const middle = (wants.dropTime[0] + wants.dropTime[1]) / 2;
  const result = (obstacle: Obstacle | null, shortBy: number, adjuster: string | null = null, offMiddle = Infinity): Tried => ({ obstacle, shortBy, adjuster, slides, offMiddle });
  if (outside) return result('slideTravel', outside.by, outside.adjuster.id);
  if (d[2] >= 0) return result('topHeavy', d[2]);
  const { inertia, distance } = aboutAxis(sums, pivot, 'pitch');
  const drop = dropTime({ mass: sums.mass, inertia, distance, releaseAngle: FROM_LEVEL });
  if (drop.kind !== 'falls') return result('topHeavy', 0);
  if (drop.time > wants.dropTime[1]) return result('dropTooLong', drop.time - wants.dropTime[1]);
  if (drop.time < wants.dropTime[0]) return result('dropTooShort', wants.dropTime[0] - drop.time);
  const lean = Math.max(Math.abs(Math.atan2(d[0], -d[2])), Math.abs(Math.atan2(d[1], -d[2])));
  if (lean > wants.levelWithin) return result('slideStep', lean - wants.levelWithin);
  return result(null, 0, null, Math.abs(drop.time - middle));
}

/** The free slide that does most along x (0) or y (1): carries the most mass that way. */
function slideAlong(adjusters: readonly Adjuster[], groups: Variables['groups'], axis: 0 | 1): number | null {
  const pull = (i: number): number => groups.filter((g) => g.slides.includes(i)).reduce((m, g) => m + g.sums.mass, 0) * Math.abs(unit(adjusters[i]!.axis!)[axis]!);
  const along = [...new Set(groups.flatMap((g) => g.slides))].filter((i) => Math.abs(unit(adjusters[i]!.axis!)[axis]!) > 0.7);
  return along.length === 0 ? null : along.reduce((a, b) => (pull(b) > pull(a) ? b : a));
}

function slideShift(adjusters: readonly Adjuster[], moved: readonly number[], slides: ReadonlyMap<number, number>, inOrder: readonly number[]): Vec3 {
  return moved.reduce<Vec3>((shift, i) => addScaled(shift, unit(adjusters[i]!.axis!), slides.get(i) ?? inOrder[i]!), ZERO);
}

/** Nearest setting the hand can make, within the range. */
export function toStep(adjuster: Pick<Adjuster, 'range' | 'step'>, value: number): number {
  const [least, most] = adjuster.range;
  const steps = Math.round(value / adjuster.step);
  return Math.min(most, Math.max(least, Number((steps * adjuster.step).toPrecision(12))));
}

/** Obstacles from the farthest to the nearest to a solution. */
const NEARER: readonly Obstacle[] = ['slideTravel', 'topHeavy', 'dropTooShort', 'dropTooLong', 'slideStep'];
const closer = (a: Tried, b: Tried): boolean => {
  const [ra, rb] = [NEARER.indexOf(a.obstacle!), NEARER.indexOf(b.obstacle!)];
  return ra !== rb ? ra > rb : a.shortBy < b.shortBy;
};

function valuesOf(assembly: Assembly, variables: Variables, at: { tried: Tried; counts: readonly number[] }): AdjusterValues {
  const found: Record<string, number> = {};
  for (const [index, value] of at.tried.slides) found[assembly.rig.adjusters[index]!.id] = value;
  variables.stacks.forEach((stack, i) => {
    const adjuster = assembly.rig.adjusters[stack.adjuster]!;
    found[adjuster.id] = Math.ceil(adjuster.range[0]) + at.counts[i]!;
  });
  return found;
}
