/**
 * When to do what: tasks for one pair of hands, each whole inside one window of time, what cures or prints going on by itself
 * meanwhile, so that the last of it ends as early as can be.
 *
 * Times are seconds from one start. A task may start when all it comes after have ended, hands and wait. A machine is taken from
 * when the hands let go of it until the wait ends. Proven by branch and bound: for a given order of hands each task as early as
 * it can be is best, so orders are what is searched (French 1982); what is left is bounded below by Jackson's preemptive rule on
 * the windows (Carlier 1982). Where the search is cut short the gap to that bound is told.
 */
export interface Task {
  readonly id: string;
  /** Hands are needed for so long, s; what goes on by itself afterwards, s. */
  readonly handsOn: number;
  readonly wait: number;
  readonly after: readonly string[];
  /** Only the hands of these must be done with: it need not have set. */
  readonly onceLaid?: readonly string[] | undefined;
  readonly machine?: string | undefined;
  /** Not before then, s: something that was done before the plan still goes on. */
  readonly notBefore?: number | undefined;
}
export type Window = readonly [number, number];
export interface Planned {
  readonly id: string;
  readonly start: number;
  /** It may start so much later, s, without the last end being later, the order of hands kept. */
  readonly slack: number;
}
export type Schedule =
  | {
      readonly kind: 'planned';
      /** In the order hands do them. */
      readonly tasks: readonly Planned[];
      readonly finish: number;
      /** No order ends before this; `proven`: it is the finish. */
      readonly bound: number;
      readonly proven: boolean;
    }
  /** Each of these waits for another of them. */
  | { readonly kind: 'ring'; readonly ids: readonly string[] }
  /** No window is as long as this takes. */
  | { readonly kind: 'tooLong'; readonly id: string; readonly longest: number }
  /** The windows end before all is done: `proven` that no order does; what was left over by the best that was tried. */
  | { readonly kind: 'noTime'; readonly left: readonly string[]; readonly proven: boolean };

/** Tasks looked at over all orders before it is told with its gap. */
const LOOKED_AT = 12_000;
/** Minutes of hands are rough: a plan this near to the bound is not looked past, s. */
const NEAR = 300;
const WITHIN = 0.005;
/** Two times that differ by less are one, s. */
const SAME = 1e-6;

/** Longest chain of hands and waits, s, as if hands were many and every hour free. A ring throws. */
export function criticalPath(tasks: readonly Task[]): number {
  const { inOrder, stuck } = sorted(tasks);
  if (stuck.length > 0) throw new RangeError('tasks wait for each other in a ring');
  const ends = new Map<string, number>();
  const byId = new Map(inOrder.map((t) => [t.id, t]));
  for (const t of inOrder) {
    const laid = (t.onceLaid ?? []).map((a) => (ends.get(a) ?? 0) - (byId.get(a)?.wait ?? 0));
    const start = Math.max(t.notBefore ?? 0, ...t.after.map((a) => ends.get(a) ?? 0), ...laid);
    ends.set(t.id, start + t.handsOn + t.wait);
  }
  return Math.max(0, ...ends.values());
}

export function schedule(tasks: readonly Task[], windows: readonly Window[], lookedAt = LOOKED_AT): Schedule {
  const { inOrder, stuck } = sorted(tasks);
  if (stuck.length > 0) return { kind: 'ring', ids: ringOf(stuck) };
  const times = windows.filter(([from, to]) => to > from).sort((a, b) => a[0] - b[0]);
  const longest = Math.max(0, ...times.map(([from, to]) => to - from));
  const long = tasks.find((t) => t.handsOn > longest + SAME);
  if (long) return { kind: 'tooLong', id: long.id, longest };
  const of = problem(inOrder, hoursOf(times));
  const search = new Search(of, lookedAt);
  const rules = RULES.map((rule) => built(of, rule));
  for (const one of rules) if (one.left.length === 0) search.take(one.order, one.finish);
  const bound = search.boundOf(of.none);
  if (search.best === null || search.finish > bound + Math.min(NEAR, WITHIN * bound)) search.run();
  if (search.best === null) {
    const fewest = rules.reduce((a, b) => (b.left.length < a.left.length ? b : a));
    return { kind: 'noTime', left: fewest.left.map((i) => of.tasks[i]!.id), proven: search.isDone };
  }
  const proven = search.isDone || search.finish <= bound + SAME;
  return {
    kind: 'planned',
    tasks: withSlack(of, search.best, search.finish),
    finish: search.finish,
    bound: proven ? search.finish : bound,
    proven,
  };
}

/** Windows by their beginnings. */
interface Hours {
  readonly windows: readonly Window[];
  /** When all up to and with this one have ended. */
  readonly until: readonly number[];
}
interface Problem {
  readonly tasks: readonly Task[];
  readonly hours: Hours;
  /** By number: what comes before, and after. */
  readonly needs: readonly (readonly number[])[];
  readonly then: readonly (readonly number[])[];
  /** What hands must be done with before; hands do one thing at a time, so it sets their order only. */
  readonly laid: readonly (readonly number[])[];
  /** By number: what its hands make ready, or its end. */
  readonly frees: readonly (readonly number[])[];
  /** All that hands must be done with before. */
  readonly before: readonly (readonly number[])[];
  readonly machine: readonly number[];
  readonly machines: number;
  /** From when its hands are done to the end of all that hangs on it, as if hands were many, s. */
  readonly tail: readonly number[];
  readonly none: State;
}
interface State {
  readonly done: readonly boolean[];
  /** When each ended, hands and wait; of those that are done. */
  readonly ends: readonly number[];
  readonly free: readonly number[];
  /** Hands are free from then on. */
  readonly now: number;
  readonly finish: number;
  readonly order: readonly Placed[];
}
interface Placed {
  readonly task: number;
  readonly start: number;
}

function problem(tasks: readonly Task[], hours: Hours): Problem {
  const number = new Map(tasks.map((t, i) => [t.id, i]));
  const needs = tasks.map((t) => [...new Set(t.after.flatMap((a) => number.get(a) ?? []))]);
  const laid = tasks.map((t) => [...new Set((t.onceLaid ?? []).flatMap((a) => number.get(a) ?? []))]);
  const backwards = (of: readonly (readonly number[])[]): readonly (readonly number[])[] => {
    const found: number[][] = tasks.map(() => []);
    of.forEach((list, j) => {
      for (const i of list) found[i]!.push(j);
    });
    return found;
  };
  const then = backwards(needs);
  const lays = backwards(laid);
  const frees = backwards(tasks.map((_, i) => [...new Set([...needs[i]!, ...laid[i]!])]));
  const before: number[][] = [];
  tasks.forEach((_, i) => before.push([...new Set([...needs[i]!, ...laid[i]!].flatMap((n) => [n, ...before[n]!]))]));
  const names = [...new Set(tasks.flatMap((t) => t.machine ?? []))];
  const tail = tasks.map((t) => t.wait);
  for (let i = tasks.length - 1; i >= 0; i--) {
    for (const j of then[i]!) tail[i] = Math.max(tail[i]!, tasks[i]!.wait + tasks[j]!.handsOn + tail[j]!);
    for (const j of lays[i]!) tail[i] = Math.max(tail[i]!, tasks[j]!.handsOn + tail[j]!);
  }
  return {
    tasks,
    hours,
    needs,
    then,
    laid,
    frees,
    before,
    machine: tasks.map((t) => (t.machine === undefined ? -1 : names.indexOf(t.machine))),
    machines: names.length,
    tail,
    none: {
      done: tasks.map(() => false),
      ends: tasks.map(() => 0),
      free: names.map(() => 0),
      now: 0,
      finish: 0,
      order: [],
    },
  };
}

function hoursOf(windows: readonly Window[]): Hours {
  let last = -Infinity;
  return { windows, until: windows.map(([, high]) => (last = Math.max(last, high))) };
}

/** The first window that has not ended by then. */
function firstFrom({ until }: Hours, from: number): number {
  let [low, high] = [0, until.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (until[middle]! < from - SAME) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The first moment from then on that lies so long whole inside one window; null: there is none. */
function fits(hours: Hours, from: number, takes: number): number | null {
  const { windows } = hours;
  for (let w = firstFrom(hours, from); w < windows.length; w++) {
    const [low, high] = windows[w]!;
    const start = Math.max(low, from);
    if (start + takes <= high + SAME) return start;
  }
  return null;
}

/** When hands have worked so long from then on, s; Infinity where the windows end before. */
function worked(hours: Hours, from: number, takes: number): number {
  let left = takes;
  if (left <= SAME) return from;
  const { windows } = hours;
  for (let w = firstFrom(hours, from); w < windows.length; w++) {
    const [low, high] = windows[w]!;
    const room = high - Math.max(low, from);
    if (room <= 0) continue;
    if (left <= room + SAME) return Math.max(low, from) + left;
    left -= room;
  }
  return Infinity;
}

/** When hands can begin it next; null: no window is left for it. */
function startOf(of: Problem, { now, ends, free }: Pick<State, 'now' | 'ends' | 'free'>, task: number): number | null {
  const { handsOn, notBefore = 0 } = of.tasks[task]!;
  const machine = of.machine[task]!;
  let from = Math.max(now, notBefore);
  for (const n of of.needs[task]!) from = Math.max(from, ends[n]!);
  // Hands let go of a machine no sooner than it is free.
  if (machine >= 0) from = Math.max(from, free[machine]! - handsOn);
  return fits(of.hours, from, handsOn);
}

function after(of: Problem, state: State, task: number): State | null {
  const { handsOn, wait } = of.tasks[task]!;
  const machine = of.machine[task]!;
  const start = startOf(of, state, task);
  if (start === null) return null;
  const end = start + handsOn + wait;
  return {
    done: state.done.map((d, i) => d || i === task),
    ends: state.ends.map((e, i) => (i === task ? end : e)),
    free: state.free.map((f, i) => (i === machine ? end : f)),
    now: start + handsOn,
    finish: Math.max(state.finish, end),
    order: [...state.order, { task, start }],
  };
}

const isReady = ({ needs, laid }: Problem, { done }: State, task: number): boolean =>
  !done[task] && needs[task]!.every((n) => done[n]) && laid[task]!.every((n) => done[n]);

/** Larger is done first. `idle`: how long hands wait until it begins, s. */
type Rule = (of: Problem, idle: number, task: number) => number;
const RULES: readonly Rule[] = [
  // As the steps are told: where that is as soon done, it stays.
  (_of, _idle, i) => -i,
  // What has the longest to go after it.
  ({ tasks, tail }, _idle, i) => tasks[i]!.handsOn + tail[i]!,
  ({ tail }, _idle, i) => tail[i]!,
  // What can begin first; of those the longest to go.
  ({ tail }, idle, i) => -1e3 * idle + tail[i]!,
  // What fills what is left of the evening.
  ({ tasks, tail }, idle, i) => -1e3 * idle + 10 * tasks[i]!.handsOn + tail[i]!,
];

/** One after the other, of what is ready always what the rule likes best. */
function built(
  of: Problem,
  rule: Rule,
): { readonly order: readonly Placed[]; readonly finish: number; readonly left: readonly number[] } {
  const ends = [...of.none.ends];
  const free = [...of.none.free];
  const order: Placed[] = [];
  let [now, finish] = [of.none.now, of.none.finish];
  const waitsFor = of.tasks.map((_, i) => new Set([...of.needs[i]!, ...of.laid[i]!]).size);
  const ready = new Set(of.tasks.flatMap((_, i) => (waitsFor[i] === 0 ? [i] : [])));
  for (;;) {
    let best: { readonly task: number; readonly start: number; readonly worth: number } | null = null;
    for (const task of ready) {
      const start = startOf(of, { now, ends, free }, task);
      if (start === null) continue;
      const worth = rule(of, start - now, task);
      // As told, where both are worth the same.
      if (!best || worth > best.worth || (worth === best.worth && task < best.task)) best = { task, start, worth };
    }
    if (!best) break;
    const { task, start } = best;
    const { handsOn, wait } = of.tasks[task]!;
    now = start + handsOn;
    ends[task] = now + wait;
    if (of.machine[task]! >= 0) free[of.machine[task]!] = ends[task]!;
    finish = Math.max(finish, ends[task]!);
    order.push({ task, start });
    ready.delete(task);
    for (const next of of.frees[task]!) if (--waitsFor[next]! === 0) ready.add(next);
  }
  const placed = new Set(order.map((o) => o.task));
  return { order, finish, left: of.tasks.flatMap((_, i) => (placed.has(i) ? [] : [i])) };
}

class Search {
  best: readonly Placed[] | null = null;
  finish = Infinity;
  /** All orders were looked at or ruled out. */
  isDone = false;
  private looked = 0;
  /** By what is done: the states that none was better than. */
  private readonly known = new Map<string, State[]>();

  constructor(
    private readonly of: Problem,
    private readonly most: number,
  ) {}

  take(order: readonly Placed[], finish: number): void {
    if (finish < this.finish - SAME) [this.best, this.finish] = [order, finish];
  }

  run(): void {
    this.isDone = this.from(this.of.none);
  }

  /** False: cut short. */
  private from(state: State): boolean {
    if (state.order.length === this.of.tasks.length) {
      this.take(state.order, state.finish);
      return true;
    }
    this.looked += this.of.tasks.length;
    if (this.looked > this.most) return false;
    if (this.boundOf(state) >= this.finish - SAME || this.isWorse(state)) return true;
    const nexts = this.of.tasks.flatMap((_, i) => {
      const next = isReady(this.of, state, i) ? after(this.of, state, i) : null;
      return next ? [{ next, tail: this.of.tail[i]!, start: next.order.at(-1)!.start }] : [];
    });
    nexts.sort((a, b) => a.start - b.start || b.tail - a.tail);
    for (const { next } of nexts) if (!this.from(next)) return false;
    return true;
  }

  /** The same is done by another order with hands, machines and all that others wait for free no later. */
  private isWorse(state: State): boolean {
    const key = state.done.map((d) => (d ? '1' : '0')).join('');
    const others = this.known.get(key) ?? [];
    const open = state.done.flatMap((d, i) => (d && this.of.then[i]!.some((j) => !state.done[j]) ? [i] : []));
    const noLater = (a: State, b: State): boolean =>
      a.now <= b.now + SAME &&
      a.finish <= b.finish + SAME &&
      a.free.every((f, i) => f <= b.free[i]! + SAME) &&
      open.every((i) => a.ends[i]! <= b.ends[i]! + SAME);
    if (others.some((o) => noLater(o, state))) return true;
    this.known.set(key, [...others.filter((o) => !noLater(state, o)), state]);
    return false;
  }

  /**
   * No order from here ends sooner: hands work through what is left inside the windows, always on what has the longest to go of
   * what has come free, put down and taken up again at will.
   */
  boundOf(state: State): number {
    const { of } = this;
    const left = of.tasks.flatMap((_, i) => (state.done[i] ? [] : [i]));
    const head = new Map<number, number>();
    for (const i of left) {
      const ready = Math.max(
        state.now,
        of.tasks[i]!.notBefore ?? 0,
        ...of.needs[i]!.map((n) =>
          state.done[n] ? state.ends[n]! : head.get(n)! + of.tasks[n]!.handsOn + of.tasks[n]!.wait,
        ),
        ...of.laid[i]!.flatMap((n) => (state.done[n] ? [] : [head.get(n)! + of.tasks[n]!.handsOn])),
      );
      // Hands work through all that comes before, one after the other.
      const load = of.before[i]!.reduce((sum, n) => (state.done[n] ? sum : sum + of.tasks[n]!.handsOn), 0);
      const start = fits(of.hours, Math.max(ready, worked(of.hours, state.now, load)), of.tasks[i]!.handsOn);
      if (start === null) return Infinity;
      head.set(i, start);
    }
    let end = state.finish;
    for (const i of left) end = Math.max(end, head.get(i)! + of.tasks[i]!.handsOn + of.tail[i]!);
    const todo = left.map((i) => ({ head: head.get(i)!, takes: of.tasks[i]!.handsOn, tail: of.tail[i]! }));
    return Math.max(end, preemptive(todo, of.hours.windows), machinesTake(of, state, left, head));
  }
}

/** Jackson's rule with the hands going home between windows; Infinity where they end too soon. */
function preemptive(
  tasks: readonly { readonly head: number; readonly takes: number; readonly tail: number }[],
  windows: readonly Window[],
): number {
  const waiting = tasks.map((t) => ({ ...t, left: t.takes }));
  let end = 0;
  for (const { head, takes, tail } of tasks) if (takes === 0) end = Math.max(end, head + tail);
  let toDo = waiting.filter((t) => t.left > 0);
  for (const [low, high] of windows) {
    let now = low;
    while (toDo.length > 0 && now < high - SAME) {
      const ready = toDo.filter((t) => t.head <= now + SAME);
      const coming = Math.min(Infinity, ...toDo.flatMap((t) => (t.head > now + SAME ? [t.head] : [])));
      if (ready.length === 0) {
        now = coming;
        continue;
      }
      const next = ready.reduce((a, b) => (b.tail > a.tail ? b : a));
      const until = Math.min(high, coming, now + next.left);
      next.left -= until - now;
      now = until;
      if (next.left <= SAME) {
        end = Math.max(end, now + next.tail);
        toDo = toDo.filter((t) => t !== next);
      }
    }
  }
  return toDo.length > 0 ? Infinity : end;
}

/**
 * What each machine still has to run, one after the other, and the shortest that is left to do after the last of it. Hands must be
 * there to begin each: as if each ran as short as the shortest, the last begins no sooner.
 */
function machinesTake(of: Problem, state: State, left: readonly number[], head: ReadonlyMap<number, number>): number {
  let most = 0;
  for (let m = 0; m < of.machines; m++) {
    const own = left.filter((i) => of.machine[i] === m);
    if (own.length === 0) continue;
    const from = Math.max(state.free[m]!, Math.min(...own.map((i) => head.get(i)! + of.tasks[i]!.handsOn)));
    const least = (pick: (task: Task) => number): number => Math.min(...own.map((i) => pick(of.tasks[i]!)));
    const runs = own.reduce((sum, i) => sum + of.tasks[i]!.wait, 0);
    most = Math.max(most, from + runs + Math.min(...own.map((i) => of.tail[i]! - of.tasks[i]!.wait)));
    const [hands, run] = [least((t) => t.handsOn), least((t) => t.wait)];
    let letGo = from;
    for (let k = 1; k < own.length; k++) letGo = (fits(of.hours, letGo + run - hands, hands) ?? Infinity) + hands;
    most = Math.max(most, Math.min(...own.map((i) => chainFrom(of, i, letGo))));
  }
  return most;
}

/** When the longest that hangs on a task has ended, hands of each in a window, once its own have let go then. */
function chainFrom(of: Problem, task: number, letGo: number): number {
  let [at, end] = [task, letGo + of.tasks[task]!.wait];
  for (;;) {
    const [next, ...others] = of.then[at]!;
    if (next === undefined) return Math.max(end, letGo + of.tail[task]!);
    at = others.reduce(
      (a, b) => (of.tasks[b]!.handsOn + of.tail[b]! > of.tasks[a]!.handsOn + of.tail[a]! ? b : a),
      next,
    );
    const { handsOn, wait } = of.tasks[at]!;
    const start = fits(of.hours, end, handsOn);
    if (start === null) return Infinity;
    end = start + handsOn + wait;
  }
}

/** Backwards from the end: how late each may start, with hands in this order. */
function withSlack(of: Problem, order: readonly Placed[], finish: number): readonly Planned[] {
  const latest = new Map<number, number>();
  const nextOn = new Map<number, number>();
  let handsBy = Infinity;
  for (const { task } of [...order].reverse()) {
    const { handsOn, wait } = of.tasks[task]!;
    const machine = of.machine[task]!;
    const endBy = Math.min(
      finish,
      ...of.then[task]!.map((j) => latest.get(j)!),
      // The next on its machine may be in hand before, but lets go no sooner.
      ...(machine >= 0 && nextOn.has(machine) ? [nextOn.get(machine)!] : []),
    );
    const by = Math.min(handsBy, endBy - wait) - handsOn;
    const start = lastFit(of.hours.windows, by, handsOn);
    latest.set(task, start);
    handsBy = start;
    if (machine >= 0) nextOn.set(machine, start + handsOn);
  }
  return order.map(({ task, start }) => ({
    id: of.tasks[task]!.id,
    start,
    slack: Math.max(0, latest.get(task)! - start),
  }));
}
function lastFit(windows: readonly Window[], by: number, takes: number): number {
  let last = -Infinity;
  for (const [low, high] of windows) {
    const start = Math.min(by, high - takes);
    if (start >= low - SAME) last = Math.max(last, start);
  }
  return last;
}

const before = ({ after: ended, onceLaid = [] }: Task): readonly string[] => [...ended, ...onceLaid];

/** Each after what it needs; what is needed and not among them counts as done. What waits in a ring, or for one, is left over. */
function sorted(tasks: readonly Task[]): { readonly inOrder: readonly Task[]; readonly stuck: readonly Task[] } {
  const known = new Set(tasks.map((t) => t.id));
  const done = new Set<string>();
  const inOrder: Task[] = [];
  const stuck = [...tasks];
  for (;;) {
    const i = stuck.findIndex((t) => before(t).every((a) => done.has(a) || !known.has(a)));
    if (i < 0) return { inOrder, stuck };
    const [next] = stuck.splice(i, 1);
    inOrder.push(next!);
    done.add(next!.id);
  }
}

/** Each of what is left over waits for another of them: going on from one to the next comes round. */
function ringOf(stuck: readonly Task[]): readonly string[] {
  const path: string[] = [];
  let at = stuck[0]!;
  while (!path.includes(at.id)) {
    path.push(at.id);
    at = stuck.find((t) => before(at).includes(t.id))!;
  }
  return path.slice(path.indexOf(at.id));
}
