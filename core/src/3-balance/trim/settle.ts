/** With the washers given: where the slides and threads go so that all conditions are met with the most to spare, at steps a hand can set. */
import { rootBetween, rootsOfQuadratic } from '../../0-base';
import type { Sums } from '../../1-load';
import { mayMeet } from './bounds';
import type { Condition } from './conditions';
import { sumsAbout, type Mover, type TrimProblem } from './trimProblem';

export interface Settled {
  /** One a mover. */
  readonly settings: readonly number[];
  readonly about: Sums;
  /** Of the tightest condition; zero or more: all are met. */
  readonly slack: number;
  readonly tightest: Condition['id'] | null;
  /** How far a levelling mover would still have to go beyond its end, m, and which; null when none runs out. */
  readonly beyond: { readonly mover: string; readonly by: number } | null;
  /** False: it may be that a place between those tried meets all. */
  readonly sure: boolean;
  /** Of the mover that sets the drop: from where to where all is met; null when none is free for that. */
  readonly window: { readonly mover: string; readonly from: number; readonly to: number } | null;
}

/** Which movers level which way, and which set the height: the one that can do most first, the others where it runs out. Chosen once a problem. */
export interface Roles {
  readonly foreAft: readonly number[];
  readonly sideways: readonly number[];
  readonly height: readonly number[];
  /** Where the mass centre should lie ahead of the support, m, and further for each metre under it. */
  readonly ahead: number;
  readonly lean: number;
}

/** A mover serves, of the ways that are asked for, the one it goes along most; by less than this part it does not go along it. */
const ALONG = 0.05;
/** Places in the stretch of the height that will do, the middle first. */
const WINDOW_TRIED = [0.5, 0.25, 0.75, 0.06, 0.94, 0, 1];
/** Boxes of further heights and slides looked into, when the first of each alone do not do, before it is left open. */
const BOXES_AT_MOST = 96;
/** Boxes looked into in one search, over all its ways: some seconds. */
export const BOXES_IN_ALL = 10_000;
/** What is left of them. */
export interface Effort {
  boxes: number;
}
/** Two heights nearer than this are one, m. */
const LEAST_SPAN = 1e-5;
/** Slack below zero by this much is rounding. */
export const MET = -1e-9;

export function rolesOf(problem: TrimProblem): Roles {
  const { movers, groups, stacks, supportMovedBy, fixed } = problem;
  const onBolts = (i: number): number =>
    stacks.reduce(
      (m, s) =>
        m +
        (s.rides ?? []).reduce((n, r) => n + (r.movedBy.includes(i) ? r.byCount[r.byCount.length >> 1]!.mass : 0), 0),
      0,
    );
  const carried = (i: number): number =>
    supportMovedBy.includes(i)
      ? fixed.mass
      : groups.reduce((m, g) => m + (g.movedBy.includes(i) ? g.sums.mass : 0), onBolts(i));
  const asked = new Set(problem.conditions.map((c) => c.id));
  const anyOf = (...ids: readonly Condition['id'][]): boolean => ids.some((id) => asked.has(id));
  const ways = [
    anyOf('levelForeAft', 'droop', 'wristNose', 'overSupport'),
    anyOf('levelSideways', 'wristSides'),
    anyOf('dropPitch', 'dropRoll', 'upright'),
  ];
  const serves = movers.map((m, i) => {
    if (!(m.range[1] > m.range[0]) || carried(i) <= 0) return -1;
    const reach = m.axis.map(Math.abs);
    return [0, 1, 2].filter((way) => ways[way] && reach[way]! > ALONG).sort((p, q) => reach[q]! - reach[p]!)[0] ?? -1;
  });
  const along = (way: 0 | 1 | 2): readonly number[] => {
    const pull = ({ axis, range }: Mover, i: number): number =>
      carried(i) * Math.abs(axis[way]) * (range[1] - range[0]);
    return movers
      .flatMap((m, i) => (serves[i] === way ? [{ i, pull: pull(m, i) }] : []))
      .sort((a, b) => b.pull - a.pull)
      .map((f) => f.i);
  };
  const lean = problem.conditions.find((c) => c.lean !== undefined)?.lean ?? 0;
  return { foreAft: along(0), sideways: along(1), height: along(2), ahead: targetOf(problem), lean };
}

/**
 * `still`: what no mover moves, washers on. `free`: movers that may be set; the others stay as they are. `cost`: of the
 * places tried of the first height that meet the conditions, the one where this is least; left out, the first that does. `effort` is shared by all the ways of a search.
 */
export function settle(
  problem: TrimProblem,
  roles: Roles,
  still: Sums,
  free: (mover: number) => boolean = () => true,
  cost: ((about: Sums) => number) | null = null,
  effort: Effort = { boxes: BOXES_AT_MOST },
): Settled {
  const { movers } = problem;
  const settings = movers.map((m) => m.now);
  const [foreAft, sideways, [height, ...lifts]] = [
    roles.foreAft.filter(free),
    roles.sideways.filter(free),
    roles.height.filter(free),
  ];
  const levelling = [...foreAft, ...sideways];
  // More than one along a line: level leaves it open how far apart they stand, and that sets the inertia. They are looked for like further heights.
  const others = [...lifts, ...foreAft.slice(1), ...sideways.slice(1)];
  /** Those that a box has put somewhere; the first of their line then levels alone. */
  let put: ReadonlySet<number> = new Set();
  let beyond: Settled['beyond'] = null;
  const levelled = (): void => {
    beyond = null;
    for (const i of levelling) if (!put.has(i)) settings[i] = movers[i]!.now;
    for (const [axis, all] of [
      [0, foreAft],
      [1, sideways],
    ] as const) {
      const list = all.filter((i) => !put.has(i));
      for (const [n, i] of list.entries()) {
        const wanted = zeroAlong(problem, still, settings, i, axis, axis === 0 ? roles.ahead : 0, roles.lean);
        const kept = clamp(movers[i]!, wanted);
        settings[i] = kept;
        const by = Math.abs(wanted - kept);
        if (by <= Math.max(movers[i]!.step / 2, 1e-9)) break;
        // The next one takes on what this one cannot.
        if (n === list.length - 1 && (!beyond || by > (beyond as { by: number }).by))
          beyond = { mover: movers[i]!.id, by };
      }
    }
  };
  let best: Settled | null = null;
  const keep = (window: Settled['window']): void => {
    const one = { ...snapped(problem, still, settings, levelling, height ?? null), beyond, window, sure: true };
    const both = cost && best && one.slack >= MET && best.slack >= MET;
    if (!best || (both ? cost(one.about) < cost(best.about) : one.slack > best.slack)) best = one;
  };
  const byHeight = (): boolean => {
    if (height === undefined) {
      levelled();
      keep(null);
      return best!.slack >= MET;
    }
    settings[height] = clamp(movers[height]!, movers[height]!.now);
    levelled();
    const found = windowOf(problem, still, settings, height);
    // In the window the middle is the safest; where steps are too coarse for it, nearer an end hangs lower and is less
    // touchy. Without one, the least bad of where it stands and its ends.
    for (const place of found
      ? WINDOW_TRIED.map((part) => found.from + (found.to - found.from) * part)
      : [settings[height]!, ...movers[height]!.range]) {
      settings[height] = place;
      levelled();
      keep(found ? { mover: movers[height]!.id, ...found } : null);
      if (!cost && best!.slack >= MET) return true;
    }
    return best!.slack >= MET;
  };
  if (byHeight() || others.length === 0) return best!;
  put = new Set(others);
  // Halved and halved again: a box that no place in it can mend is left out, the middle of any other is tried.
  const boxes: (readonly (readonly [number, number])[])[] = [others.map((i) => movers[i]!.range)];
  for (let looked = 0; boxes.length > 0; looked++) {
    if (looked === BOXES_AT_MOST || effort.boxes <= 0) return leftOpen();
    effort.boxes--;
    const box = boxes.shift()!;
    if (
      !mayMeet(
        {
          ...problem,
          movers: movers.map((m, i) =>
            others.includes(i)
              ? { ...m, range: box[others.indexOf(i)]! }
              : free(i)
                ? m
                : { ...m, range: [m.now, m.now] },
          ),
        },
        still,
      )
    )
      continue;
    for (const [n, i] of others.entries()) settings[i] = onStep(movers[i]!, (box[n]![0] + box[n]![1]) / 2);
    if (byHeight()) return best!;
    const widest = others.map((_, n) => n).reduce((a, n) => (spanOf(box[n]!) > spanOf(box[a]!) ? n : a));
    if (spanOf(box[widest]!) < Math.max(movers[others[widest]!]!.step, LEAST_SPAN)) continue;
    const [from, to] = box[widest]!;
    boxes.push(
      ...(
        [
          [from, (from + to) / 2],
          [(from + to) / 2, to],
        ] as const
      ).map((half) => box.map((b, n) => (n === widest ? half : b))),
    );
  }
  return best!;

  function leftOpen(): Settled {
    return { ...best!, sure: false };
  }
}

const spanOf = ([from, to]: readonly [number, number]): number => to - from;

/** The nearest place its hand can set. */
function onStep(mover: Mover, value: number): number {
  return mover.step > 0 ? clamp(mover, Number((Math.round(value / mover.step) * mover.step).toPrecision(12))) : value;
}

/** Where the mass centre should lie ahead of the support, m: the middle of what is asked. */
function targetOf({ conditions }: TrimProblem): number {
  const over = conditions.find((c) => c.id === 'overSupport');
  if (!over) return 0;
  const [ahead, behind] = over.bounds;
  return (-ahead!.mass + behind!.mass) / 2;
}

/** The setting that brings the mass centre to `target` along an axis: the first moment is straight in it. */
function zeroAlong(
  problem: TrimProblem,
  still: Sums,
  settings: readonly number[],
  i: number,
  axis: 0 | 1,
  target: number,
  lean: number,
): number {
  const at = (value: number): number => {
    const { first, mass } = sumsAbout(
      problem,
      still,
      settings.map((s, k) => (k === i ? value : s)),
    );
    return first[axis] + (axis === 0 ? lean * first[2] : 0) - target * mass;
  };
  const {
    range: [from, to],
  } = problem.movers[i]!;
  const [a, b] = [at(from), at(to)];
  return a === b ? settings[i]! : from + ((to - from) * a) / (a - b);
}

/**
 * Where the height mover meets every condition: each condition's slack changes sign where a bound of it, a quadratic in
 * the setting, does (level, so |F| = -F.z). The widest stretch between such places whose middle meets all; null for none.
 */
function windowOf(
  problem: TrimProblem,
  still: Sums,
  settings: readonly number[],
  i: number,
): { readonly from: number; readonly to: number } | null {
  const {
    range: [from, to],
  } = problem.movers[i]!;
  const at = (value: number): Sums =>
    sumsAbout(
      problem,
      still,
      settings.map((s, k) => (k === i ? value : s)),
    );
  const [a, m, b] = [at(from), at((from + to) / 2), at(to)];
  const places = [from, to];
  for (const condition of problem.conditions) {
    for (const bound of condition.bounds) {
      const value = (s: Sums): number =>
        bound.constant +
        bound.mass * s.mass +
        bound.first[0] * s.first[0] +
        bound.first[1] * s.first[1] +
        bound.first[2] * s.first[2] +
        bound.inertia[0] * s.inertia[0][0] +
        bound.inertia[1] * s.inertia[1][1] +
        bound.inertia[2] * s.inertia[2][2];
      const [va, vm, vb] = [value(a), value(m), value(b)];
      // Through three places, in parts of the range.
      const square = 2 * (va - 2 * vm + vb);
      const roots = rootsOfQuadratic(square, vb - va - square, va).map((r) => from + (to - from) * r);
      places.push(
        ...roots.filter((r) => r > from && r < to),
        ...(condition.curved ? roots.flatMap((r) => metBeside(condition, at, r, from, to)) : []),
      );
    }
  }
  places.sort((p, q) => p - q);
  const met = (value: number): boolean => slackOf(problem.conditions, at(value), MET).slack >= MET;
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

/** Places about `near` where a condition that its bounds only come near to turns from met to not met: outward in growing steps, then halved. */
function metBeside(
  condition: Condition,
  at: (value: number) => Sums,
  near: number,
  from: number,
  to: number,
): readonly number[] {
  const slack = (value: number): number => Math.max(-1e3, condition.slack(at(value)));
  const start = Math.min(to, Math.max(from, near));
  const here = slack(start);
  return [-1, 1].flatMap((way) => {
    let inner = start;
    for (let reach = (to - from) * FIRST_REACH; ; reach *= 2) {
      const outer = Math.min(to, Math.max(from, start + way * reach));
      if (outer === inner) return [];
      if (slack(outer) > 0 !== here > 0) return [rootBetween(slack, inner, outer)];
      inner = outer;
    }
    return [];
  });
}
/** Part of the range that is looked at first. */
const FIRST_REACH = 1 / 4096;

/** Each levelling mover on its nearest step, which is the best for its own way; the height on the step below and above. */
function snapped(
  problem: TrimProblem,
  still: Sums,
  settings: readonly number[],
  levelling: readonly number[],
  height: number | null,
): Pick<Settled, 'settings' | 'about' | 'slack' | 'tightest'> {
  let tries: (readonly number[])[] = [settings];
  for (const i of height === null ? levelling : [...levelling, height]) {
    const { range, step, now } = problem.movers[i]!;
    if (!(step > 0) || (i !== height && settings[i] === now)) continue;
    const down = Math.floor(settings[i]! / step + 1e-9);
    const near = i === height ? [down, down + 1] : [Math.round(settings[i]! / step)];
    const places = near
      .map((n) => Number((n * step).toPrecision(12)))
      .filter((v) => v >= range[0] - 1e-12 && v <= range[1] + 1e-12);
    const kept = places.length > 0 ? places : [clamp(problem.movers[i]!, settings[i]!)];
    tries = tries.flatMap((t) => kept.map((v) => t.map((s, k) => (k === i ? v : s))));
  }
  let best: Pick<Settled, 'settings' | 'about' | 'slack' | 'tightest'> | null = null;
  for (const t of tries) {
    const about = sumsAbout(problem, still, t);
    const { slack, tightest } = slackOf(problem.conditions, about, best?.slack);
    if (!best || slack > best.slack) best = { settings: t, about, slack, tightest };
  }
  return best!;
}

/** Below `enough` the rest of them are not asked: a lean in a pan takes longer than all others. */
export function slackOf(
  conditions: readonly Condition[],
  about: Sums,
  enough = -Infinity,
): { readonly slack: number; readonly tightest: Condition['id'] | null } {
  let [slack, tightest]: [number, Condition['id'] | null] = [Infinity, null];
  for (const c of conditions) {
    const own = c.slack(about);
    if (own < slack) [slack, tightest] = [own, c.id];
    if (slack < enough) break;
  }
  return { slack, tightest };
}

const clamp = ({ range }: Mover, value: number): number => Math.min(range[1], Math.max(range[0], value));
