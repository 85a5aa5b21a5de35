/**
 * Pipe and tube systems by trade size: the pipe, how deep it goes into a fitting, and how far its end stands from the
 * fitting's centre. Fittings differ by maker: each figure can be measured and overtyped on the rig.
 */
import { MATERIALS } from '../../0-base';
import type { Fitting, Hold, Stock } from '../../model';
import { ownOf, type OwnSizes } from './ownSizes';

export interface PipeSize {
  readonly id: string;
  readonly stock: Stock;
  /** Socket depth, or made-up length of thread, m. */
  readonly depth: number;
  /** Wall of the fitting's arms, m. */
  readonly wall: number;
  /** Centre of the fitting to the pipe's end when home, m: through square and half bends, half of a coupling, a cap's end. */
  readonly takeOff: { readonly square: number; readonly half: number; readonly coupling: number; readonly cap: number };
}
export interface PipeSystem {
  readonly id: string;
  readonly name: string;
  readonly hold: Hold;
  /** What the fittings are made of. */
  readonly material: string;
  readonly fittings: readonly Fitting[];
  readonly sizes: readonly PipeSize[];
  /** Travel of one turn of its thread, m; null where it has none. */
  readonly threadPitch: number | null;
  readonly dryingTime: number;
  /** Rough price of one fitting of the smallest size, in the maker's own money. */
  readonly fittingPrice: number;
}

const MM = 0.001;
/**
 * Plastic pipe is sold by its least wall and weighs more: the wall of a pipe of this mass a metre (kg/m) and outside diameter
 * (mm), mm. Area = mass / density = π t (D - t). Valid below a solid rod's mass.
 */
export const meanWall = (outer: number, massAMetre: number, density: number): number =>
  (outer - Math.sqrt(outer ** 2 - (4e6 * massAMetre) / (density * Math.PI))) / 2;
const pvcWall = (outer: number, massAMetre: number): number => meanWall(outer, massAMetre, MATERIALS['pvc']!.density);
const cpvcWall = (outer: number, massAMetre: number): number => meanWall(outer, massAMetre, MATERIALS['cpvc']!.density);
const BY_MASS = 'mean wall from the mass a metre that pipe tables give, which is a tenth above that of the least wall';

interface Row {
  readonly id: string;
  readonly name: string;
  /** Outside diameter and wall, mm. */
  readonly pipe: readonly [number, number];
  readonly depth: number;
  readonly wall: number;
  /** Square, half, coupling, cap; mm. */
  readonly takeOff: readonly [number, number, number, number];
  readonly perMetre: number;
}

const sizesOf = (
  material: string,
  source: string,
  lengths: readonly number[],
  rows: readonly Row[],
): readonly PipeSize[] =>
  rows.map((r) => ({
    id: r.id,
    depth: r.depth * MM,
    wall: r.wall * MM,
    takeOff: {
      square: r.takeOff[0] * MM,
      half: r.takeOff[1] * MM,
      coupling: r.takeOff[2] * MM,
      cap: r.takeOff[3] * MM,
    },
    stock: {
      name: r.name,
      material,
      source,
      section: { kind: 'tube', outerDiameter: r.pipe[0] * MM, wall: r.pipe[1] * MM },
      sold: lengths.map((length, i) => ({
        length,
        price: Math.round(r.perMetre * length * (i > 0 ? 0.9 : 1) * 100) / 100,
      })),
    },
  }));

const FEET = 0.3048;
const ALL: readonly Fitting[] = [
  'elbow90',
  'elbow45',
  'tee',
  'cross',
  'sideOutlet',
  'fourWay',
  'cap',
  'coupling',
  'union',
];
const measure = 'fittings differ by maker: measure yours';

export const PIPE_SYSTEMS: readonly PipeSystem[] = [
  {
    id: 'steel',
    name: 'threaded steel pipe',
    hold: 'threaded',
    material: 'malleableIron',
    threadPitch: 0.001814,
    dryingTime: 0,
    fittingPrice: 2.4,
    fittings: ['elbow90', 'elbow45', 'tee', 'cross', 'sideOutlet', 'cap', 'coupling', 'union'],
    sizes: sizesOf(
      'steel',
      `Schedule 40 sizes; class 150 centre-to-end less normal engagement; ${measure}`,
      [3 * FEET, 6 * FEET],
      [
        {
          id: '1/4',
          name: 'steel pipe 1/4 in (DN 8)',
          pipe: [13.72, 2.24],
          depth: 10.2,
          wall: 2.8,
          takeOff: [10.4, 8.3, 3.3, 5],
          perMetre: 5.2,
        },
        {
          id: '3/8',
          name: 'steel pipe 3/8 in (DN 10)',
          pipe: [17.15, 2.31],
          depth: 10.4,
          wall: 3,
          takeOff: [13.7, 9.9, 4.3, 5],
          perMetre: 5.9,
        },
        {
          id: '1/2',
          name: 'steel pipe 1/2 in (DN 15)',
          pipe: [21.34, 2.77],
          depth: 13.6,
          wall: 3.2,
          takeOff: [14.9, 8.8, 3.4, 6],
          perMetre: 6.6,
        },
        {
          id: '3/4',
          name: 'steel pipe 3/4 in (DN 20)',
          pipe: [26.67, 2.87],
          depth: 13.9,
          wall: 3.4,
          takeOff: [19.4, 11, 5.4, 6],
          perMetre: 8.1,
        },
        {
          id: '1',
          name: 'steel pipe 1 in (DN 25)',
          pipe: [33.4, 3.38],
          depth: 17.3,
          wall: 3.8,
          takeOff: [20.8, 11.1, 3.9, 7],
          perMetre: 11.5,
        },
      ],
    ),
  },
  {
    id: 'pvc',
    name: 'PVC pipe, Schedule 40',
    hold: 'glued',
    material: 'pvc',
    threadPitch: null,
    dryingTime: 7200,
    fittingPrice: 0.8,
    fittings: ALL,
    sizes: sizesOf(
      'pvc',
      `Schedule 40 pipe and socket sizes; ${BY_MASS}; ${measure}`,
      [2 * FEET, 5 * FEET, 10 * FEET],
      [
        {
          id: '1/2',
          name: 'PVC pipe 1/2 in Sch 40 (DN 15)',
          pipe: [21.34, pvcWall(21.34, 0.253)],
          depth: 17.5,
          wall: 3.2,
          takeOff: [12.7, 6.4, 1.6, 5],
          perMetre: 1.9,
        },
        {
          id: '3/4',
          name: 'PVC pipe 3/4 in Sch 40 (DN 20)',
          pipe: [26.67, pvcWall(26.67, 0.336)],
          depth: 18.3,
          wall: 3.3,
          takeOff: [14.3, 7.9, 1.6, 5],
          perMetre: 2.4,
        },
        {
          id: '1',
          name: 'PVC pipe 1 in Sch 40 (DN 25)',
          pipe: [33.4, pvcWall(33.4, 0.496)],
          depth: 22.2,
          wall: 3.8,
          takeOff: [17.5, 7.9, 1.6, 6],
          perMetre: 3.3,
        },
      ],
    ),
  },
  {
    id: 'cpvc',
    name: 'CPVC pipe, copper size',
    hold: 'glued',
    material: 'cpvc',
    threadPitch: null,
    dryingTime: 7200,
    fittingPrice: 0.7,
    fittings: ALL.filter((f) => f !== 'sideOutlet' && f !== 'fourWay'),
    sizes: sizesOf(
      'cpvc',
      `copper tube size; ${BY_MASS}; ${measure}`,
      [2 * FEET, 5 * FEET, 10 * FEET],
      [
        {
          id: '1/2',
          name: 'CPVC pipe 1/2 in',
          pipe: [15.88, cpvcWall(15.88, 0.131)],
          depth: 12.7,
          wall: 2,
          takeOff: [9.5, 5, 1.5, 4],
          perMetre: 2.2,
        },
        {
          id: '3/4',
          name: 'CPVC pipe 3/4 in',
          pipe: [22.23, cpvcWall(22.23, 0.221)],
          depth: 17.8,
          wall: 2.4,
          takeOff: [14.3, 6.5, 1.5, 4],
          perMetre: 3.1,
        },
      ],
    ),
  },
  {
    id: 'copper',
    name: 'copper tube, inch sizes',
    hold: 'soldered',
    material: 'copper',
    threadPitch: null,
    dryingTime: 900,
    fittingPrice: 1.1,
    fittings: ['elbow90', 'elbow45', 'tee', 'cap', 'coupling', 'union'],
    sizes: sizesOf(
      'copper',
      `types M and L; solder cups; ${measure}`,
      [2 * FEET, 5 * FEET, 10 * FEET],
      [
        {
          id: '1/2-M',
          name: 'copper tube 1/2 in type M',
          pipe: [15.88, 0.71],
          depth: 12.7,
          wall: 0.9,
          takeOff: [9.5, 5, 1, 1.5],
          perMetre: 8.2,
        },
        {
          id: '1/2-L',
          name: 'copper tube 1/2 in type L',
          pipe: [15.88, 1.02],
          depth: 12.7,
          wall: 0.9,
          takeOff: [9.5, 5, 1, 1.5],
          perMetre: 10.4,
        },
        {
          id: '3/4-M',
          name: 'copper tube 3/4 in type M',
          pipe: [22.23, 0.81],
          depth: 19.1,
          wall: 1,
          takeOff: [14.3, 6.5, 1, 1.5],
          perMetre: 13,
        },
        {
          id: '3/4-L',
          name: 'copper tube 3/4 in type L',
          pipe: [22.23, 1.14],
          depth: 19.1,
          wall: 1,
          takeOff: [14.3, 6.5, 1, 1.5],
          perMetre: 16.5,
        },
      ],
    ),
  },
  {
    id: 'copperMetric',
    name: 'copper tube, metric',
    hold: 'soldered',
    material: 'copper',
    threadPitch: null,
    dryingTime: 900,
    fittingPrice: 1,
    fittings: ['elbow90', 'elbow45', 'tee', 'cap', 'coupling', 'union'],
    sizes: sizesOf(
      'copper',
      `EN 1057 tube with capillary fittings; ${measure}`,
      [1, 2, 3],
      [
        {
          id: '15',
          name: 'copper tube 15 × 1',
          pipe: [15, 1],
          depth: 12,
          wall: 0.9,
          takeOff: [10, 5, 1, 1.5],
          perMetre: 9.6,
        },
        {
          id: '22',
          name: 'copper tube 22 × 1',
          pipe: [22, 1],
          depth: 17,
          wall: 1,
          takeOff: [14, 7, 1, 1.5],
          perMetre: 14.5,
        },
      ],
    ),
  },
  {
    id: 'plasticMetric',
    name: 'plastic pressure pipe, metric',
    hold: 'glued',
    material: 'pvc',
    threadPitch: null,
    dryingTime: 7200,
    fittingPrice: 0.7,
    fittings: ALL.filter((f) => f !== 'sideOutlet' && f !== 'fourWay'),
    sizes: sizesOf(
      'pvc',
      `PVC-U sizes with solvent sockets; wall half way through its tolerance, which starts at the one it is sold by; ${measure}`,
      [1, 2],
      [
        {
          id: '20',
          name: 'PVC-U pipe 20 × 1.9',
          pipe: [20, 2.1],
          depth: 16,
          wall: 2.6,
          takeOff: [11.5, 5.5, 1.5, 4],
          perMetre: 1.5,
        },
        {
          id: '25',
          name: 'PVC-U pipe 25 × 2.3',
          pipe: [25, 2.55],
          depth: 18.5,
          wall: 2.9,
          takeOff: [14, 6.5, 1.5, 4],
          perMetre: 2.1,
        },
      ],
    ),
  },
];

interface PipeChosen {
  readonly system: PipeSystem;
  readonly size: PipeSize;
}

/** A system and one of its sizes by the id a choice carries: "pvc/3/4", or that of an own size. Null where it is no pipe. */
export function pipeWith(choice: string, own?: OwnSizes): PipeChosen | null {
  const typed = ownOf(own, 'pipe', choice);
  const system = PIPE_SYSTEMS.find((s) => (typed ? typed.like === s.id : choice.startsWith(`${s.id}/`)));
  const size = typed ?? system?.sizes.find((s) => choice === `${system.id}/${s.id}`);
  return system && size ? { system, size } : null;
}

/** The same; ids that are no pipe's are the programmer's mistake. */
export function pipeOf(choice: string, own?: OwnSizes): PipeChosen {
  const found = pipeWith(choice, own);
  if (!found) throw new RangeError(`no pipe “${choice}”`);
  return found;
}

/** Options for a family's choice of pipe, from the systems it may be made of. */
export const pipeOptions = (systems: readonly string[]): readonly { readonly id: string; readonly name: string }[] =>
  PIPE_SYSTEMS.filter((s) => systems.includes(s.id)).flatMap((s) =>
    s.sizes.map((size) => ({ id: `${s.id}/${size.id}`, name: size.stock.name })),
  );
