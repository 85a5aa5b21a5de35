/**
 * One beam along a curved line, from what forces on its end do while its start is held: each section turns and stretches by what passes through
 * it, F = ∫ Bᵀ c B ds with B the balance of forces, and K follows from F⁻¹ and the rigid motions alone. No chord stands for the curve.
 */
import { cross, subtract, transform, transpose, type Mat3, type Vec3 } from '../../0-base';
import { factored, skyline, solve } from '../solver/skyline';
import { sandwiched, transposedTimes } from '../solver/small';
import type { Theory } from './element';
import type { FrameMember } from './frameModel';
import { carried } from './carried';
import type { MemberPiece } from './memberPieces';

export interface ArcLine {
  /** Into how many slices the line is cut; two Gauss points each: the integrals' error falls with the fourth power of a slice. */
  readonly slices: number;
  /** m */
  readonly length: number;
  /** At a part of its length. */
  readonly at: (part: number) => Vec3;
  readonly axesAt: (part: number) => Mat3;
}

const GAUSS = [0.5 - Math.sqrt(3) / 6, 0.5 + Math.sqrt(3) / 6] as const;
/** Every so many slices a point of its line is told, for stresses and drawing. */
const TOLD_EVERY = 3;

export function arcPiece(
  { section, material, id }: FrameMember,
  line: ArcLine,
  theory: Theory,
): Omit<MemberPiece, 'startsAt'> {
  if (!(line.length > 0)) throw new RangeError(`${id} has no length.`);
  const { slices } = line;
  const end = line.at(1);
  const step = line.length / slices;
  const shear = theory === 'timoshenko' ? 1 / (section.shearPart * material.shear * section.area) : 0;
  const gives = [
    1 / (material.stiffness * section.area),
    shear,
    shear,
    1 / (material.shear * section.torsion),
    1 / (material.stiffness * section.aboutY),
    1 / (material.stiffness * section.aboutZ),
  ];
  /** How a section at `at` gives to unit loads on the end: 6 × 6, stretch and turn in rig axes by column of load. */
  const givenBy = (at: Vec3, axes: Mat3): Float64Array => {
    const loads = balance(subtract(end, at));
    const out = new Float64Array(36);
    for (let column = 0; column < 6; column++)
      for (let half = 0; half < 2; half++) {
        const v = half * 3;
        const through: Vec3 = [loads[v * 6 + column]!, loads[(v + 1) * 6 + column]!, loads[(v + 2) * 6 + column]!];
        const own = transform(axes, through);
        const back = transform(transpose(axes), [own[0] * gives[v]!, own[1] * gives[v + 1]!, own[2] * gives[v + 2]!]);
        for (let i = 0; i < 3; i++) out[(v + i) * 6 + column] = back[i]!;
      }
    return out;
  };
  /** Motion of a point `to` that the giving at `at` makes, added to `into`. */
  const addMotion = (into: Float64Array, at: Vec3, to: Vec3, give: Float64Array, weight: number): void => {
    const arm = subtract(to, at);
    for (let column = 0; column < 6; column++) {
      const turn: Vec3 = [give[18 + column]!, give[24 + column]!, give[30 + column]!];
      const swept = cross(turn, arm);
      for (let i = 0; i < 3; i++) {
        into[i * 6 + column]! += weight * (give[i * 6 + column]! + swept[i]!);
        into[(3 + i) * 6 + column]! += weight * turn[i]!;
      }
    }
  };
  const stations = Array.from({ length: 2 * slices }, (_, k) => {
    const part = (Math.floor(k / 2) + GAUSS[(k % 2) as 0 | 1]) / slices;
    const [at, axes] = [line.at(part), line.axesAt(part)];
    return { at, axes, give: givenBy(at, axes) };
  });
  const flexibility = new Float64Array(36);
  for (const { at, give } of stations) addMotion(flexibility, at, end, give, step / 2);
  const stiff = inverted(flexibility);

  // The end's motion beyond what the start's carries it along.
  const start = line.at(0);
  const beyond = new Float64Array(72);
  const rigid = carried(subtract(end, start));
  for (let i = 0; i < 6; i++) {
    beyond[i * 12 + 6 + i] = 1;
    for (let j = 0; j < 6; j++) beyond[i * 12 + j] = -rigid[i * 6 + j]!;
  }
  const force = times6(stiff, beyond, 12);

  const line1 = material.density * section.area * step;
  const polar = material.density * (section.aboutY + section.aboutZ) * step;
  const [mass, weight] = [new Float64Array(144), new Float64Array(36)];
  for (let k = 0; k < slices; k++) {
    const part = (k + 0.5) / slices;
    const [at, axes] = [line.at(part), line.axesAt(part)];
    // What gives before the middle of this slice moves it.
    const bent = new Float64Array(36);
    for (let s = 0; s < 2 * k; s++) addMotion(bent, stations[s]!.at, at, stations[s]!.give, step / 2);
    addMotion(bent, stations[2 * k]!.at, at, stations[2 * k]!.give, step / 2);
    const shape = times6(bent, force, 12);
    const along = carried(subtract(at, start));
    for (let i = 0; i < 6; i++) for (let j = 0; j < 6; j++) shape[i * 12 + j]! += along[i * 6 + j]!;
    const own = new Float64Array(36);
    for (let i = 0; i < 3; i++) {
      own[i * 7] = line1;
      for (let j = 0; j < 3; j++) {
        const rotary =
          theory === 'timoshenko'
            ? material.density *
              step *
              (section.aboutY * axes[1][i]! * axes[1][j]! + section.aboutZ * axes[2][i]! * axes[2][j]!)
            : 0;
        own[(3 + i) * 6 + 3 + j] = polar * axes[0][i]! * axes[0][j]! + rotary;
      }
    }
    sandwiched(own, shape, 6, 12).forEach((x, i) => (mass[i]! += x));
    const field = new Float64Array(18);
    for (let i = 0; i < 3; i++) field[i * 3 + i] = line1;
    transposedTimes(shape, field, 6, 12, 3).forEach((x, i) => (weight[i]! += x));
  }

  const told = Array.from({ length: slices / TOLD_EVERY + 1 }, (_, k) => (k * TOLD_EVERY) / slices);
  return {
    points: told.map(line.at),
    axes: told.slice(1).map((t) => line.axesAt(t - TOLD_EVERY / (2 * slices))),
    endAxes: [line.axesAt(0), line.axesAt(1)],
    stiffness: sandwiched(stiff, beyond, 6, 12),
    mass,
    weight,
  };
}

/** What unit loads on a point put through a section `arm` behind it: the force, and the moment with its arm. */
function balance([x, y, z]: Vec3): Float64Array {
  const b = new Float64Array(36);
  for (let i = 0; i < 6; i++) b[i * 7] = 1;
  // arm × force
  b[19] = -z;
  b[20] = y;
  b[24] = z;
  b[26] = -x;
  b[30] = -y;
  b[31] = x;
  return b;
}

function inverted(m: Float64Array): Float64Array {
  const dense = skyline(new Int32Array(6));
  for (let i = 0; i < 6; i++) for (let j = 0; j <= i; j++) dense.values[dense.start[i]! + j] = m[i * 6 + j]!;
  const factors = factored(dense);
  const out = new Float64Array(36);
  for (let j = 0; j < 6; j++) {
    const column = solve(
      factors,
      Float64Array.from({ length: 6 }, (_, i) => (i === j ? 1 : 0)),
    );
    for (let i = 0; i < 6; i++) out[i * 6 + j] = column[i]!;
  }
  return out;
}

/** a · b; a 6 × 6, b 6 × n. */
function times6(a: Float64Array, b: Float64Array, n: number): Float64Array {
  const out = new Float64Array(6 * n);
  for (let i = 0; i < 6; i++)
    for (let k = 0; k < 6; k++) for (let j = 0; j < n; j++) out[i * n + j]! += a[i * 6 + k]! * b[k * n + j]!;
  return out;
}
