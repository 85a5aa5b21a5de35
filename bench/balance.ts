/** The balance bench's heavy work: the swing beside a general rigid-body engine, the solver beside trying all and an integer-programming solver, builds by chance. */
import RAPIER from '@dimforge/rapier3d-compat';
import highsLoader from 'highs';
import { addSums, quaternionOf, rotationAbout, rotationOf, type PanRig } from '@tide-pebble/core';
import { energyAt, SAMPLE, solveTrim, sumsAbout, swing, turnFromUp, type TrimProblem } from '@tide-pebble/core/bench';
import { accuracyOf, type AccuracyInput } from '@tide-pebble/core/making';
import { bigTrim } from '../core/src/testing/bigTrim';

const RIG: PanRig = {
  mass: 2.3,
  fromPivot: [0.001, 0.0005, -0.024],
  inertia: [
    [0.131, 0.001, -0.004],
    [0.001, 0.142, 0.002],
    [-0.004, 0.002, 0.036],
  ],
};
const FROM = turnFromUp([Math.sin(0.5), 0.1, Math.sqrt(1 - Math.sin(0.5) ** 2 - 0.01)]);
const UNTIL = 60;
const EVERY = 0.5;

export interface SwingTimes {
  readonly ours: { readonly ms: number; readonly error: number };
  readonly engine: { readonly ms: number; readonly error: number; readonly step: number };
  /** At no more than the engine's error, and in no more than its time. */
  readonly atEqualError: number;
  readonly errorAtEqualTime: number;
  readonly energy: number;
}

const median = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]!;
function timed(work: () => void, runs = 7): number {
  work();
  return median(
    Array.from({ length: runs }, () => {
      const started = performance.now();
      work();
      return performance.now() - started;
    }),
  );
}

function ours(tolerance: number, every = EVERY): Float64Array {
  const outcome = swing({ rig: RIG, motion: { pushes: [] }, from: FROM, every, until: UNTIL, tolerance });
  if (outcome.kind !== 'swings') throw new Error(outcome.kind);
  return outcome.swing.samples;
}

/** Largest angle between two runs at the same instants, rad. */
function apart(a: Float64Array, b: Float64Array): number {
  let worst = 0;
  for (let n = 0; n * SAMPLE < a.length; n++) {
    let dot = 0;
    for (let i = 0; i < 4; i++) dot += a[n * SAMPLE + i]! * b[n * SAMPLE + i]!;
    worst = Math.max(worst, 2 * Math.acos(Math.min(1, Math.abs(dot))));
  }
  return worst;
}

/** The same rig on a ball joint in the engine, sampled at the same instants. */
function engine(step: number): Float64Array {
  const world = new RAPIER.World({ x: 0, y: 0, z: -9.80665 });
  world.timestep = step;
  world.integrationParameters.numSolverIterations = 8;
  const hand = world.createRigidBody(RAPIER.RigidBodyDesc.fixed());
  const [w, x, y, z] = FROM;
  const turn = rotationOf(FROM);
  const d = RIG.fromPivot;
  const at = [0, 1, 2].map((i) => turn[i]![0] * d[0] + turn[i]![1] * d[1] + turn[i]![2] * d[2]) as [
    number,
    number,
    number,
  ];
  const body = world.createRigidBody(
    RAPIER.RigidBodyDesc.dynamic()
      .setTranslation(...at)
      .setRotation({ w, x, y, z }),
  );
  // Inertia about its own mass centre: principal moments and the frame they stand in.
  const { values, frame } = principal(aboutCentre(RIG));
  const quarter = quaternionOf(frame);
  body.setAdditionalMassProperties(
    RIG.mass,
    { x: 0, y: 0, z: 0 },
    { x: values[0], y: values[1], z: values[2] },
    { w: quarter[0], x: quarter[1], y: quarter[2], z: quarter[3] },
    true,
  );
  world.createImpulseJoint(
    RAPIER.JointData.spherical({ x: 0, y: 0, z: 0 }, { x: -d[0], y: -d[1], z: -d[2] }),
    hand,
    body,
    true,
  );
  const each = Math.round(EVERY / step);
  const samples = new Float64Array((UNTIL / EVERY + 1) * SAMPLE);
  for (let n = 0; n <= UNTIL / EVERY; n++) {
    if (n > 0) for (let k = 0; k < each; k++) world.step();
    const q = body.rotation();
    samples.set([q.w, q.x, q.y, q.z], n * SAMPLE);
  }
  world.free();
  return samples;
}

function aboutCentre({ mass, fromPivot: [x, y, z], inertia }: PanRig): number[][] {
  const carry = [
    [y * y + z * z, -x * y, -x * z],
    [-x * y, x * x + z * z, -y * z],
    [-x * z, -y * z, x * x + y * y],
  ];
  return inertia.map((row, i) => row.map((v, k) => v - mass * carry[i]![k]!));
}

/** Jacobi turns: principal moments with their axes as columns. */
function principal(matrix: number[][]): {
  values: [number, number, number];
  frame: Parameters<typeof quaternionOf>[0];
} {
  const a = matrix.map((r) => [...r]);
  let v = [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ];
  for (let sweep = 0; sweep < 30; sweep++) {
    for (const [p, q, axis] of [
      [0, 1, [0, 0, 1]],
      [1, 2, [1, 0, 0]],
      [0, 2, [0, -1, 0]],
    ] as const) {
      const angle = 0.5 * Math.atan2(2 * a[p]![q]!, a[p]![p]! - a[q]![q]!);
      const r = rotationAbout(axis, angle);
      const rt = [0, 1, 2].map((i) => [0, 1, 2].map((k) => r[k]![i]!));
      const product = (m: readonly (readonly number[])[], n: readonly (readonly number[])[]): number[][] =>
        [0, 1, 2].map((i) =>
          [0, 1, 2].map((k) => m[i]![0]! * n[0]![k]! + m[i]![1]! * n[1]![k]! + m[i]![2]! * n[2]![k]!),
        );
      const next = product(product(rt, a), r);
      next.forEach((row, i) => row.forEach((x, k) => (a[i]![k] = x)));
      v = product(v, r);
    }
  }
  return { values: [a[0]![0]!, a[1]![1]!, a[2]![2]!], frame: v as unknown as Parameters<typeof quaternionOf>[0] };
}

export async function measureSwing(): Promise<SwingTimes> {
  await RAPIER.init();
  const exact = ours(1e-14);
  const step = 1 / 240;
  const engineError = apart(engine(step), exact);
  const engineMs = timed(() => void engine(step), 5);
  const tolerances = Array.from({ length: 13 }, (_, i) => 10 ** (-1 - i));
  const runs = tolerances.map((tolerance) => ({
    error: apart(ours(tolerance), exact),
    ms: timed(() => void ours(tolerance)),
  }));
  const equalError = runs.filter((r) => r.error <= engineError).reduce((a, b) => (b.ms < a.ms ? b : a));
  const equalTime = runs.filter((r) => r.ms <= engineMs).reduce((a, b) => (b.error < a.error ? b : a));
  const outcome = swing({ rig: RIG, motion: { pushes: [] }, from: FROM, every: EVERY, until: UNTIL });
  if (outcome.kind !== 'swings') throw new Error(outcome.kind);
  const first = energyAt(RIG, outcome.swing, 0);
  const energy =
    Math.max(
      ...Array.from({ length: outcome.swing.count }, (_, n) => Math.abs(energyAt(RIG, outcome.swing, n) - first)),
    ) /
    (RIG.mass * 9.80665 * 0.024);
  return {
    ours: equalTime,
    engine: { ms: engineMs, error: engineError, step },
    atEqualError: engineMs / equalError.ms,
    errorAtEqualTime: engineError / equalTime.error,
    energy,
  };
}

export interface SolverTimes {
  readonly ms: number;
  readonly overAll: number;
  readonly milp: { readonly ms: number; readonly ours: number; readonly its: number; readonly oursMs: number };
}

export async function measureSolver(): Promise<SolverTimes> {
  const problem = bigTrim();
  const ms = timed(() => void solveTrim(problem), 5);
  // Trying all: the sums of each way and every condition asked, slides as they are; one in 41 of them, times 41.
  const part = timed(() => tryAll(problem, 41), 1);
  const still: TrimProblem = {
    ...problem,
    movers: [],
    groups: [],
    fixed: addSums(problem.fixed, problem.groups[0]!.sums),
  };
  const loose = { ...still, conditions: still.conditions.filter((c) => c.id !== 'levelSideways') };
  const started = performance.now();
  const its = await byMilp(loose);
  const milpMs = performance.now() - started;
  const own = solveTrim(loose);
  return {
    ms,
    overAll: (part * 41) / ms,
    milp: {
      ms: milpMs,
      ours: own.kind === 'solved' ? own.best[0]!.added : Infinity,
      its,
      oursMs: timed(() => void solveTrim(loose), 5),
    },
  };
}

function tryAll(problem: TrimProblem, every: number): number {
  let best = Infinity;
  const settings = problem.movers.map((m) => m.now);
  const [a, b, c, d] = problem.stacks as [
    TrimProblem['stacks'][number],
    TrimProblem['stacks'][number],
    TrimProblem['stacks'][number],
    TrimProblem['stacks'][number],
  ];
  for (let i = 0; i < a.byCount.length; i += every)
    for (const two of b.byCount)
      for (const three of c.byCount)
        for (const four of d.byCount) {
          const one = a.byCount[i]!;
          const added = one.mass + two.mass + three.mass + four.mass;
          const about = sumsAbout(
            problem,
            addSums(addSums(addSums(addSums(problem.fixed, one), two), three), four),
            settings,
          );
          if (added < best && problem.conditions.every((k) => k.slack(about) >= 0)) best = added;
        }
  return best;
}

/** Least added mass with one binary a count, under the conditions' linear bounds: what an integer-programming solver can state. */
async function byMilp(problem: TrimProblem): Promise<number> {
  const highs = await highsLoader();
  const bounds = problem.conditions.flatMap((c) => c.bounds);
  const value = (b: (typeof bounds)[number], s: TrimProblem['fixed']): number =>
    b.mass * s.mass +
    b.first[0] * s.first[0] +
    b.first[1] * s.first[1] +
    b.first[2] * s.first[2] +
    b.inertia[0] * s.inertia[0][0] +
    b.inertia[1] * s.inertia[1][1] +
    b.inertia[2] * s.inertia[2][2];
  const terms = (of: (s: TrimProblem['fixed']) => number): string =>
    problem.stacks
      .flatMap((s, i) => s.byCount.map((sums, n) => ({ k: of(sums), v: `x${i}_${n}` })))
      .filter((t) => t.k !== 0)
      .map((t) => `${t.k < 0 ? '-' : '+'} ${Math.abs(t.k).toExponential(12)} ${t.v}`)
      .join(' ');
  const lp = [
    'Minimize',
    ` obj: ${terms((s) => s.mass)}`,
    'Subject To',
    ...bounds.map(
      (b, j) =>
        ` b${j}: ${terms((s) => 1e3 * value(b, s))} <= ${(-1e3 * (b.constant + value(b, problem.fixed))).toExponential(12)}`,
    ),
    ...problem.stacks.map((s, i) => ` s${i}: ${s.byCount.map((_, n) => `x${i}_${n}`).join(' + ')} = 1`),
    'Binary',
    ` ${problem.stacks.flatMap((s, i) => s.byCount.map((_, n) => `x${i}_${n}`)).join(' ')}`,
    'End',
  ].join('\n');
  const found = highs.solve(lp);
  return found.Status === 'Optimal' ? found.ObjectiveValue : Infinity;
}

export function measureBuilds(input: AccuracyInput): number {
  return timed(() => void accuracyOf(input), 3);
}
