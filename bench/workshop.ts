/** The workshop: steps laid over evenings beside the same steps done one after the other as they are told, and all patterns laid on sheets. */
import {
  assemble,
  FAMILIES,
  PIPE_SYSTEMS,
  pipework,
  USUAL_HANDS,
  withHardware,
  type Rig,
  type Run,
} from '@tide-pebble/core';
import { buildOrder, buildSteps, schedule, tasksOf, type Task, type Window } from '@tide-pebble/core/making';
import { jigsOf, layPages, patternsOf, USUAL_PRINTER } from '@tide-pebble/core/patterns';

export interface WorkshopTimes {
  readonly rigs: readonly {
    readonly id: string;
    /** Steps from a known order, the plan of the evenings, patterns on their sheets, jigs, ms. */
    readonly steps: number;
    readonly plan: number;
    readonly patterns: number;
    readonly jigs: number;
    /** When the last is done, s: planned, bound below, and as told. */
    readonly finish: number;
    readonly bound: number;
    readonly told: number;
  }[];
  /** A free frame of many pipes: steps from its order, and their plan, ms. */
  readonly many: { readonly members: number; readonly steps: number; readonly plan: number };
}
const HOUR = 3600;
const DAY = 24 * HOUR;
/** Two hours each evening. */
const EVENINGS: readonly Window[] = Array.from({ length: 180 }, (_, d) => [d * DAY + 18 * HOUR, d * DAY + 20 * HOUR]);

export function measureWorkshop(): WorkshopTimes {
  return {
    many: ofMany(),
    rigs: FAMILIES.map((family) => {
      const rig = family.build(family.size(null, USUAL_HANDS));
      const assembly = assemble(rig, null);
      const order = buildOrder(assembly, {});
      const [ordered, steps] = timed(() => buildSteps(rig, {}, order));
      if (ordered.kind !== 'ordered') throw new Error(family.id);
      const tasks = tasksOf(ordered.steps);
      const [made, plan] = timed(() => schedule(tasks, EVENINGS));
      if (made.kind !== 'planned') throw new Error(`${family.id}: ${made.kind}`);
      const [, patterns] = timed(() => layPages(patternsOf(assembly), USUAL_PRINTER));
      const [, jigs] = timed(() => jigsOf(assembly));
      return {
        id: family.id,
        steps,
        plan,
        patterns,
        jigs,
        finish: made.finish,
        bound: made.bound,
        told: asTold(tasks),
      };
    }),
  };
}

function ofMany(): WorkshopTimes['many'] {
  const rig = ladder(66);
  const order = buildOrder(assemble(rig, null), {});
  const [ordered, steps] = timed(() => buildSteps(rig, {}, order));
  if (ordered.kind !== 'ordered') throw new Error('the ladder');
  const [, plan] = timed(() => schedule(tasksOf(ordered.steps), EVENINGS));
  return { members: rig.bodies[0]!.members.length, steps, plan };
}

/** Two rails of soldered pipe and rungs between, each bay a ring. */
function ladder(bays: number): Rig {
  const system = PIPE_SYSTEMS.find((s) => s.hold === 'soldered')!;
  const along = Array.from({ length: bays + 1 }, (_, i) => i);
  const runs = along.flatMap((i): readonly Run[] => [
    { id: `rung-${i}`, name: `rung ${i + 1}`, from: `a${i}`, to: `b${i}`, direction: [0, 1, 0], cut: 0.1 },
    ...(i === bays
      ? []
      : ['a', 'b'].map((s) => ({
          id: `rail-${s}-${i}`,
          name: `rail ${s}, ${i + 1}`,
          from: `${s}${i}`,
          to: `${s}${i + 1}`,
          direction: [1, 0, 0] as const,
          cut: 0.08,
        }))),
  ]);
  const { nodes, members, joints } = pipework({
    pipe: { system, size: system.sizes[0]! },
    start: { node: 'a0', at: [0, 0, 0] },
    runs,
  });
  const body = { id: 'ladder', name: 'ladder', parts: [], stations: [], connections: [] };
  return withHardware({
    bodies: [{ ...body, nodes: [...nodes], members: [...members], joints: [...joints] }],
    pivots: [],
    contacts: [],
    poses: [],
    adjusters: [],
  });
}

/** One after the other in the order told, each as early as it can be. */
function asTold(tasks: readonly Task[]): number {
  const ends = new Map<string, number>();
  const hands = new Map<string, number>();
  const machines = new Map<string, number>();
  let now = 0;
  for (const { id, handsOn, wait, after, onceLaid = [], machine } of tasks) {
    const ready = Math.max(
      now,
      ...after.map((a) => ends.get(a) ?? 0),
      ...onceLaid.map((a) => hands.get(a) ?? 0),
      machine === undefined ? 0 : (machines.get(machine) ?? 0) - handsOn,
    );
    const window = EVENINGS.find(([from, to]) => Math.max(from, ready) + handsOn <= to);
    if (!window) return Infinity;
    now = Math.max(window[0], ready) + handsOn;
    hands.set(id, now);
    ends.set(id, now + wait);
    if (machine !== undefined) machines.set(machine, now + wait);
  }
  return Math.max(...ends.values());
}

const RUNS = 5;
function timed<T>(work: () => T): readonly [T, number] {
  let made = work();
  const times = Array.from({ length: RUNS }, () => {
    const start = performance.now();
    made = work();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return [made, times[Math.floor(RUNS / 2)]!];
}
