/** Modes of a frame of 60 members with arcs, beside a dense solver from the registry; and a rig's whole strength, family by family. */
import { assemble, FAMILIES, USUAL_HANDS, type Vec3 } from '@tide-pebble/core';
import {
  barSection,
  frameSystem,
  modesOf,
  strengthOf,
  tubeSection,
  type FrameMember,
  type FrameModel,
  type FrameSystem,
} from '@tide-pebble/core/strength';
import { CholeskyDecomposition, EigenvalueDecomposition, Matrix } from 'ml-matrix';

export interface StrengthTimes {
  readonly frame: {
    readonly unknowns: number;
    readonly ms: number;
    readonly denseMs: number;
    readonly proven: boolean;
  };
  /** The same six by both, at about 300 unknowns: the largest difference, as a part. */
  readonly apart: number;
  readonly many: { readonly members: number; readonly ms: number };
  /** The slowest last, ms. */
  readonly families: readonly { readonly id: string; readonly ms: number }[];
}
const RUNS = 3;
const steel = { stiffness: 200e9, shear: 77e9, density: 7850 };

/** Two rails and rungs between; every third bay's upper rail is an arc. */
function ladder(bays: number): FrameModel {
  const nodes = new Map<string, Vec3>();
  const members: FrameMember[] = [];
  const round = tubeSection(0.01, 0.0085);
  const flat = barSection(0.03, 0.004);
  for (let i = 0; i <= bays; i++) {
    nodes.set(`a${i}`, [0.12 * i, 0.003 * i, 0]);
    nodes.set(`b${i}`, [0.12 * i, 0.1 + 0.003 * i, 0.02]);
    members.push({ id: `r${i}`, from: `a${i}`, to: `b${i}`, section: flat, material: steel, yDirection: [1, 0, 0] });
    if (i === 0) continue;
    members.push({ id: `a${i}`, from: `a${i - 1}`, to: `a${i}`, section: round, material: steel });
    const [from, to] = [nodes.get(`b${i - 1}`)!, nodes.get(`b${i}`)!];
    const middle = from.map((x, k) => (x + to[k]!) / 2) as unknown as Vec3;
    members.push({
      id: `b${i}`,
      from: `b${i - 1}`,
      to: `b${i}`,
      section: round,
      material: steel,
      ...(i % 3 === 0 ? { arc: { centre: middle, axis: [0, 0, 1] as Vec3, angle: Math.PI } } : {}),
    });
  }
  return {
    theory: 'timoshenko',
    nodes,
    members,
    links: [],
    supports: [{ node: 'a0', fixed: [true, true, true, true, true, true] }],
    equipment: [
      {
        node: `b${bays}`,
        mass: 0.9,
        offset: [0.02, 0.01, 0.05],
        inertia: [
          [0.001, 0, 0],
          [0, 0.002, 0],
          [0, 0, 0.002],
        ],
      },
    ],
    loads: [],
  };
}

const timed = (work: () => unknown): number => {
  const times = Array.from({ length: RUNS }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[Math.floor(RUNS / 2)]!;
};

/** L⁻¹ K L⁻ᵀ with M = L Lᵀ, and its eigenvalues. */
function dense({ stiffness, mass }: FrameSystem): readonly number[] {
  const full = (sky: FrameSystem['mass']): Matrix => {
    const m = Matrix.zeros(sky.size, sky.size);
    for (let i = 0; i < sky.size; i++)
      for (let j = sky.first[i]!; j <= i; j++) {
        const value = sky.values[sky.start[i]! + j]!;
        m.set(i, j, value);
        m.set(j, i, value);
      }
    return m;
  };
  const lower = new CholeskyDecomposition(full(mass)).lowerTriangularMatrix;
  const size = lower.rows;
  const halved = (of: Matrix): Matrix => {
    const x = of.clone();
    for (let i = 0; i < size; i++)
      for (let c = 0; c < size; c++) {
        let sum = x.get(i, c);
        for (let k = 0; k < i; k++) sum -= lower.get(i, k) * x.get(k, c);
        x.set(i, c, sum / lower.get(i, i));
      }
    return x;
  };
  const both = halved(halved(full(stiffness)).transpose());
  const values = new EigenvalueDecomposition(both, { assumeSymmetric: true }).realEigenvalues;
  return [...values].sort((a, b) => a - b).map((v) => Math.sqrt(v) / (2 * Math.PI));
}

export function measureStrength(): StrengthTimes {
  const large = ladder(20);
  const system = frameSystem(large, () => 6);
  const unknowns = system.stiffness.size;
  let proven = false;
  const ms = timed(
    () =>
      (proven = modesOf(
        frameSystem(large, () => 6),
        6,
      )!.proven),
  );
  const small = frameSystem(ladder(8), () => 2);
  const exact = dense(small);
  const start = performance.now();
  dense(small);
  const denseMs = (performance.now() - start) * (unknowns / small.stiffness.size) ** 3;
  const apart = Math.max(...modesOf(small, 6)!.modes.map((m, i) => Math.abs(m.frequency / exact[i]! - 1)));
  const many = ladder(66);
  return {
    frame: { unknowns, ms, denseMs, proven },
    apart,
    many: {
      members: many.members.length,
      ms: timed(() =>
        modesOf(
          frameSystem(many, () => 3),
          6,
        ),
      ),
    },
    families: FAMILIES.map((f) => {
      const assembly = assemble(f.build(f.size(null, USUAL_HANDS)), null);
      const pose = assembly.rig.poses[0] ?? null;
      return { id: f.id, ms: timed(() => strengthOf({ assembly, values: {}, pose, bump: 3 })) };
    }).sort((a, b) => a.ms - b.ms),
  };
}
