/**
 * One straight beam between two nodes, in its own axes: x along it, twelve unknowns u v w, then turns about x y z, at its start, then at its
 * end. Interdependent shape functions (Timoshenko; exact at the nodes for end loads and even ones), phi = 12 E I/(k G A L²).
 */
import type { Section } from './section';

export interface BeamMaterial {
  /** Pa */
  readonly stiffness: number;
  readonly shear: number;
  /** kg/m³ */
  readonly density: number;
}
export type Theory = 'eulerBernoulli' | 'timoshenko';

const SIZE = 12;
/** The plane of v and the turn about z; that of w and the turn about y, whose turn is minus the slope. */
const PLANES = [
  { shift: 1, turn: 5, sign: 1 },
  { shift: 2, turn: 4, sign: -1 },
] as const;
/** Gauss points and weights on 0 … 1: exact to the seventh power, shape functions squared have the sixth. */
const [NEAR, FAR] = [-1, 1].map((side) => Math.sqrt(3 / 7 + side * (2 / 7) * Math.sqrt(6 / 5)) / 2) as [number, number];
const [HEAVY, LIGHT] = [(18 + Math.sqrt(30)) / 72, (18 - Math.sqrt(30)) / 72];
const GAUSS = [
  [0.5 - FAR, LIGHT],
  [0.5 - NEAR, HEAVY],
  [0.5 + NEAR, HEAVY],
  [0.5 + FAR, LIGHT],
] as const;

const bendingOf = (section: Section, plane: number): number => (plane === 0 ? section.aboutZ : section.aboutY);
const shearRatio = (section: Section, m: BeamMaterial, length: number, plane: number, theory: Theory): number =>
  theory === 'eulerBernoulli'
    ? 0
    : (12 * m.stiffness * bendingOf(section, plane)) / (section.shearPart * m.shear * section.area * length ** 2);

/** Stiffness, 12 × 12 row by row, N/m and N m/rad; `length` above nought. */
export function beamStiffness(section: Section, m: BeamMaterial, length: number, theory: Theory): Float64Array {
  const k = new Float64Array(SIZE * SIZE);
  const put = (i: number, j: number, value: number): void => {
    k[i * SIZE + j] = value;
    k[j * SIZE + i] = value;
  };
  for (const [first, value] of [
    [0, (m.stiffness * section.area) / length],
    [3, (m.shear * section.torsion) / length],
  ] as const) {
    put(first, first, value);
    put(first + 6, first + 6, value);
    put(first, first + 6, -value);
  }
  PLANES.forEach(({ shift, turn, sign }, plane) => {
    const phi = shearRatio(section, m, length, plane, theory);
    const c = (m.stiffness * bendingOf(section, plane)) / (length ** 3 * (1 + phi));
    const [v1, r1, v2, r2] = [shift, turn, shift + 6, turn + 6];
    put(v1, v1, 12 * c);
    put(v2, v2, 12 * c);
    put(v1, v2, -12 * c);
    put(v1, r1, sign * 6 * length * c);
    put(v1, r2, sign * 6 * length * c);
    put(v2, r1, -sign * 6 * length * c);
    put(v2, r2, -sign * 6 * length * c);
    put(r1, r1, (4 + phi) * length ** 2 * c);
    put(r2, r2, (4 + phi) * length ** 2 * c);
    put(r1, r2, (2 - phi) * length ** 2 * c);
  });
  return k;
}

/** Consistent mass, kg and kg m². Turning of the sections in bending counts in Timoshenko's beam only. */
export function beamMass(section: Section, m: BeamMaterial, length: number, theory: Theory): Float64Array {
  const mass = new Float64Array(SIZE * SIZE);
  const line = m.density * section.area * length;
  const polar = m.density * (section.aboutY + section.aboutZ) * length;
  for (const [first, whole] of [
    [0, line],
    [3, polar],
  ] as const) {
    mass[first * SIZE + first] = mass[(first + 6) * SIZE + first + 6] = whole / 3;
    mass[first * SIZE + first + 6] = mass[(first + 6) * SIZE + first] = whole / 6;
  }
  PLANES.forEach((plane, p) => {
    const phi = shearRatio(section, m, length, p, theory);
    const rotary = theory === 'timoshenko' ? m.density * bendingOf(section, p) * length : 0;
    const at = [plane.shift, plane.turn, plane.shift + 6, plane.turn + 6];
    for (const [x, weight] of GAUSS) {
      const { shift, turn } = shapes(x, length, phi);
      for (let a = 0; a < 4; a++)
        for (let b = 0; b < 4; b++)
          mass[at[a]! * SIZE + at[b]!]! +=
            weight *
            (line * shift[a]! * shift[b]! + rotary * turn[a]! * turn[b]!) *
            signOf(a, plane.sign) *
            signOf(b, plane.sign);
    }
  });
  return mass;
}

/** End forces that an even force a metre (N/m, own axes) comes to: 12 numbers, as it acts on the nodes. */
export function evenLoad(perMetre: readonly [number, number, number], length: number): Float64Array {
  const f = new Float64Array(SIZE);
  for (let axis = 0; axis < 3; axis++) f[axis] = f[axis + 6] = (perMetre[axis]! * length) / 2;
  for (const { shift, turn, sign } of PLANES) {
    f[turn] = (sign * perMetre[shift]! * length ** 2) / 12;
    f[turn + 6] = (-sign * perMetre[shift]! * length ** 2) / 12;
  }
  return f;
}

/** What an axial force of one newton (tension) adds to the stiffness: Euler and Bernoulli's beam, bending only. */
export function axialStiffening(length: number): Float64Array {
  const k = new Float64Array(SIZE * SIZE);
  const L = length;
  const base = [
    [36, 3 * L, -36, 3 * L],
    [3 * L, 4 * L * L, -3 * L, -L * L],
    [-36, -3 * L, 36, -3 * L],
    [3 * L, -L * L, -3 * L, 4 * L * L],
  ];
  for (const plane of PLANES) {
    const at = [plane.shift, plane.turn, plane.shift + 6, plane.turn + 6];
    for (let a = 0; a < 4; a++)
      for (let b = 0; b < 4; b++)
        k[at[a]! * SIZE + at[b]!] = (base[a]![b]! / (30 * L)) * signOf(a, plane.sign) * signOf(b, plane.sign);
  }
  return k;
}

/** Turns are every second unknown of a plane. */
const signOf = (index: number, sign: number): number => (index % 2 === 1 ? sign : 1);

/** Sideways shift and turn of the section at a part x of the length, for each of v1, turn1, v2, turn2. */
function shapes(x: number, length: number, phi: number): { shift: readonly number[]; turn: readonly number[] } {
  const c = 1 / (1 + phi);
  const lean = 6 * (x * x - x) * (c / length);
  return {
    shift: [
      c * (1 + phi * (1 - x) - 3 * x * x + 2 * x ** 3),
      length * c * (x + (phi / 2) * (x - x * x) - 2 * x * x + x ** 3),
      c * (phi * x + 3 * x * x - 2 * x ** 3),
      length * c * ((-phi / 2) * (x - x * x) - x * x + x ** 3),
    ],
    turn: [lean, c * (1 + phi * (1 - x) - 4 * x + 3 * x * x), -lean, c * (phi * x - 2 * x + 3 * x * x)],
  };
}
