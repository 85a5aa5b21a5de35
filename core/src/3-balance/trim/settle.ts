/** With the washers given: where the slides and threads go so that all conditions are met with the most to spare, at steps a hand can set. */
import { rootsOfQuadratic } from '../../0-base';
import type { Sums } from '../../1-load';
import type { Condition } from './conditions';
import { sumsAbout, type Mover, type TrimProblem } from './trimProblem';

export interface Settled {
  /** One a mover. */
  readonly settings: readonly number[];
  readonly about: Sums;
  /** Of the tightest condition; nought or more: all are met. */
  readonly slack: number;
  readonly tightest: Condition['id'] | null;
  /** How far a levelling mover would still have to go beyond its end, m, and which; null when none runs out. */
  readonly beyond: { readonly mover: string; readonly by: number } | null;
  /** Of the mover that sets the drop: from where to where all is met; null when none is free for that. */
  readonly window: { readonly mover: string; readonly from: number; readonly to: number } | null;
}

/** Which mover levels which way, and which sets the height; chosen once a problem. */
export interface Roles {
  readonly foreAft: number | null;
  readonly sideways: number | null;
  readonly height: number | null;
}

/** A mover serves a way it mostly goes. */
const ALONG = 0.7;
/** Places in the stretch of the height that will do, the middle first. */
const WINDOW_TRIED = [0.5, 0.25, 0.75, 0.06, 0.94];
/** Slack below nought by this much is rounding. */
export const MET = -1e-9;

export function rolesOf(problem: TrimProblem): Roles {
  const { movers, groups, supportMovedBy, fixed } = problem;
  const carried = (i: number): number => (supportMovedBy.includes(i) ? fixed.mass : groups.filter((g) => g.movedBy.includes(i)).reduce((m, g) => m + g.sums.mass, 0));
  const best = (axis: 0 | 1 | 2): number | null => {
    const found = movers.flatMap((m, i) => (Math.abs(m.axis[axis]) > ALONG && m.range[1] > m.range[0] && carried(i) > 0 ? [{ i, pull: carried(i) * (m.range[1] - m.range[0]) }] : []));
    return found.length === 0 ? null : found.reduce((a, b) => (b.pull > a.pull ? b : a)).i;
  };
  const asked = new Set(problem.conditions.map((c) => c.id));
  return {
    foreAft: asked.has('levelForeAft') || asked.has('wristNose') || asked.has('overSupport') ? best(0) : null,
    sideways: asked.has('levelSideways') || asked.has('wristSides') ? best(1) : null,
    height: asked.has('dropPitch') || asked.has('dropRoll') || asked.has('upright') ? best(2) : null,
  };
}

/** `still`: what no mover moves, washers on. `free`: movers that may be set; the others stay as they are. */
export function settle(problem: TrimProblem, roles: Roles, still: Sums, free: (mover: number) => boolean = () => true): Settled {
  const { movers } = problem;
  const settings = movers.map((m) => m.now);
  const allowed = (i: number | null): number | null => (i !== null && free(i) ? i : null);
  const [foreAft, sideways, height] = [allowed(roles.foreAft), allowed(roles.sideways), allowed(roles.height)];
  let beyond: Settled['beyond'] = null;
  const levelled = (): void => {
    beyond = null;
    for (const [axis, i] of [[0, foreAft], [1, sideways]] as const) {
      if (i === null) continue;
      const wanted = zeroAlong(problem, still, settings, i, axis, axis === 0 ? targetOf(problem) : 0);
      const kept = clamp(movers[i]!, wanted);
      settings[i] = kept;
      const by = Math.abs(wanted - kept);
      if (by > Math.max(movers[i]!.step / 2, 1e-9) && (!beyond || by > (beyond as { by: number }).by)) beyond = { mover: movers[i]!.id, by };
    }
  };
  levelled();
  let window: Settled['window'] = null;
  if (height !== null) {
    const found = windowOf(problem, still, settings, height);
    if (found) window = { mover: movers[height]!.id, ...found };
    const { range } = movers[height]!;
    // In the window the middle is the safest; where steps are too coarse for it, nearer an end hangs lower and is less
    // touchy. Without one, the least bad of where it stands and its ends.
    const tried = found ? WINDOW_TRIED.map((part) => found.from + (found.to - found.from) * part) : [clamp(movers[height]!, settings[height]!), ...range];
    let best: (ReturnType<typeof snapped> & { readonly beyond: Settled['beyond'] }) | null = null;
    for (const place of tried) {
      settings[height] = place;
      levelled();
      const one = { ...snapped(problem, still, settings, [foreAft, sideways, height]), beyond };
      if (!best || one.slack > best.slack) best = one;
      if (best.slack >= MET) break;
    }
    return { ...best!, window };
  }
  return { ...snapped(problem, still, settings, [foreAft, sideways, height]), beyond, window };
}

/** Where the mass centre should lie ahead of the support, m: the middle of what is asked. */
function targetOf({ conditions }: TrimProblem): number {
  const over = conditions.find((c) => c.id === 'overSupport');
  if (!over) return 0;
  const [ahead, behind] = over.bounds;
  return (-ahead!.mass + behind!.mass) / 2;
}

/** The setting that brings the mass centre to `target` along an axis: the first moment is straight in it. */
function zeroAlong(problem: TrimProblem, still: Sums, settings: readonly number[], i: number, axis: 0 | 1, target: number): number {
  const at = (value: number): number => {
    const { first, mass } = sumsAbout(problem, still, settings.map((s, k) => (k === i ? value : s)));
    return first[axis] - target * mass;
  };
  const { range: [from, to] } = problem.movers[i]!;
  const [a, b] = [at(from), at(to)];
  return a === b ? settings[i]! : from + ((to - from) * a) / (a - b);
}

/**
 * Where the height mover meets every condition: each condition's slack changes sign where a bound of it, a quadratic in
 * the setting, does (level, so |F| = -F.z). The widest stretch between such places whose middle meets all; null for none.
 */
function windowOf(problem: TrimProblem, still: Sums, settings: readonly number[], i: number): { readonly from: number; readonly to: number } | null {
  const { range: [from, to] } = problem.movers[i]!;
  const at = (value: number): Sums => sumsAbout(problem, still, settings.map((s, k) => (k === i ? value : s)));
  const [a, m, b] = [at(from), at((from + to) / 2), at(to)];
  const places = [from, to];
  for (const condition of problem.conditions) {
    for (const bound of condition.bounds) {
      const value = (s: Sums): number => bound.constant + bound.mass * s.mass + bound.first[0] * s.first[0] + bound.first[1] * s.first[1] + bound.first[2] * s.first[2] + bound.inertia[0] * s.inertia[0][0] + bound.inertia[1] * s.inertia[1][1] + bound.inertia[2] * s.inertia[2][2];
      const [va, vm, vb] = [value(a), value(m), value(b)];
      // Through three places, in parts of the range.
      const square = 2 * (va - 2 * vm + vb);
      places.push(...rootsOfQuadratic(square, vb - va - square, va).filter((r) => r > 0 && r < 1).map((r) => from + (to - from) * r));
    }
  }
  places.sort((p, q) => p - q);
  const met = (value: number): boolean => slackOf(problem.conditions, at(value)).slack >= MET;
  let best: { from: number; to: number } | null = null;
  let open: { from: number; to: number } | null = null;
  for (let k = 0; k + 1 < places.length; k++) {
    const [p, q] = [places[k]!, places[k + 1]!];
    if (q - p <= 1e-12) continue;
    if (!met((p + q) / 2)) {
      open = null;
      continue;
    }
    open = open ? { from: open.from, to: q } : { from: p, to: q };
    if (!best || open.to - open.from > best.to - best.from) best = open;
  }
  return best;
}

/** Each levelling mover on its nearest step, which is the best for its own way; the height, last in `set`, on the step below and above. */
function snapped(problem: TrimProblem, still: Sums, settings: readonly number[], set: readonly [number | null, number | null, number | null]): Pick<Settled, 'settings' | 'about' | 'slack' | 'tightest'> {
  let tries: (readonly number[])[] = [settings];
  for (const [role, i] of set.entries()) {
    if (i === null) continue;
    const { range, step } = problem.movers[i]!;
    if (!(step > 0)) continue;
    const down = Math.floor(settings[i]! / step + 1e-9);
    const near = role === 2 ? [down, down + 1] : [Math.round(settings[i]! / step)];
    const places = near.map((n) => Number((n * step).toPrecision(12))).filter((v) => v >= range[0] - 1e-12 && v <= range[1] + 1e-12);
    const kept = places.length > 0 ? places : [clamp(problem.movers[i]!, settings[i]!)];
    tries = tries.flatMap((t) => kept.map((v) => t.map((s, k) => (k === i ? v : s))));
  }
  let best: Pick<Settled, 'settings' | 'about' | 'slack' | 'tightest'> | null = null;
  for (const t of tries) {
    const about = sumsAbout(problem, still, t);
    const { slack, tightest } = slackOf(problem.conditions, about);
    if (!best || slack > best.slack) best = { settings: t, about, slack, tightest };
  }
  return best!;
}

export function slackOf(conditions: readonly Condition[], about: Sums): { readonly slack: number; readonly tightest: Condition['id'] | null } {
  let [slack, tightest]: [number, Condition['id'] | null] = [Infinity, null];
  for (const c of conditions) {
    const own = c.slack(about);
    if (own < slack) [slack, tightest] = [own, c.id];
  }
  return { slack, tightest };
}

const clamp = ({ range }: Mover, value: number): number => Math.min(range[1], Math.max(range[0], value));
