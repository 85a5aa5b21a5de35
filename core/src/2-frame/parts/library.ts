/** Parts to add by hand, each with its usual size and mass: weigh yours. Placed with their middle where they are put. */
import { printing } from './printed';
import type { Vec3 } from '../../0-base';
import type { Part } from '../../model';
import {
  clampBlock,
  foamGrip,
  handlebarClamp,
  quickRelease,
  QUICK_RELEASE_HEIGHT,
  rubberFoot,
  shoulderPad,
  strap,
  wingNut,
  woodenGrip,
} from './hardware';
import { holesOf, plate } from './plate';

export interface LibraryPart {
  readonly id: string;
  readonly name: string;
  readonly group: 'plates' | 'weights' | 'grips' | 'clamps' | 'joints' | 'small';
  make(id: string, at: Vec3): Part;
}

const solid =
  (name: string, shape: Part['shape'], material: string, mass: number, item: string, price: number) =>
  (id: string, at: Vec3): Part => ({
    id,
    name,
    shape,
    at,
    material,
    mass: { value: mass, spread: 0.05 * mass, source: `mass of ${name}` },
    supply: { item, packOf: 1, packPrice: price },
  });
const dense =
  (name: string, shape: Part['shape'], material: string, item: string, price: number) =>
  (id: string, at: Vec3): Part => ({ id, name, shape, at, material, supply: { item, packOf: 1, packPrice: price } });
const drum = (diameter: number, length: number, bore = 0): Part['shape'] => ({
  kind: 'tube',
  outerRadius: diameter / 2,
  innerRadius: bore / 2,
  length,
});
const PLATE: Vec3 = [0.1, 0.06, 0.006];

export const PART_LIBRARY: readonly LibraryPart[] = [
  {
    id: 'plate-single',
    name: 'plate, one hole',
    group: 'plates',
    make: (id, at) =>
      plate({
        id,
        name: 'plate',
        middle: at,
        size: PLATE,
        material: 'aluminium',
        holes: holesOf({ kind: 'single', diameter: 0.0066 }, at),
      }),
  },
  {
    id: 'plate-grid',
    name: 'plate, hole grid',
    group: 'plates',
    make: (id, at) =>
      plate({
        id,
        name: 'grid plate',
        middle: at,
        size: PLATE,
        material: 'aluminium',
        holes: holesOf({ kind: 'grid', diameter: 0.0066, pitch: 0.012, along: 7, across: 4 }, at),
      }),
  },
  {
    id: 'plate-slot',
    name: 'plate, slot',
    group: 'plates',
    make: (id, at) =>
      plate({
        id,
        name: 'slotted plate',
        middle: at,
        size: PLATE,
        material: 'aluminium',
        holes: holesOf({ kind: 'slot', diameter: 0.0066, length: 0.06 }, at),
      }),
  },
  {
    id: 'plate-ply',
    name: 'plywood plate',
    group: 'plates',
    make: (id, at) => plate({ id, name: 'plywood plate', middle: at, size: [0.12, 0.08, 0.012], material: 'birchPly' }),
  },
  {
    id: 'dovetail',
    name: 'dovetail rail',
    group: 'plates',
    make: (id, at) => ({
      ...solid(
        'dovetail rail',
        { kind: 'box', size: [0.15, 0.045, 0.012] },
        'aluminium',
        0.19,
        'dovetail rail 150 mm',
        14,
      )(id, at),
      takes: [
        { id: `${id}/top`, name: 'dovetail rail', at: [at[0], at[1], at[2] + 0.006], up: [0, 0, 1], kind: 'dovetail' },
      ],
    }),
  },
  {
    id: 'quick-release',
    name: 'quick-release clamp and plate',
    group: 'plates',
    make: (id, at) => quickRelease({ id, at: [at[0], at[1], at[2] - QUICK_RELEASE_HEIGHT / 2] }),
  },
  {
    id: 'weight-bar',
    name: 'weight bar, steel',
    group: 'weights',
    make: dense('weight bar', { kind: 'box', size: [0.08, 0.03, 0.012] }, 'steel', 'steel bar offcut', 2),
  },
  {
    id: 'weight-disc',
    name: 'weight disc, steel',
    group: 'weights',
    make: dense('weight disc', drum(0.05, 0.012, 0.0085), 'steel', 'steel disc 50 mm', 3),
  },
  {
    id: 'weight-shot',
    name: 'tube of shot',
    group: 'weights',
    make: dense('tube of shot', drum(0.025, 0.05), 'lead', 'shot, 250 g', 5),
  },
  {
    id: 'foam-grip',
    name: 'foam grip',
    group: 'grips',
    make: (id, at) => foamGrip({ id, at, axis: [0, 0, 1], length: 0.12, inside: 0.022 }),
  },
  {
    id: 'wood-grip',
    name: 'turned grip',
    group: 'grips',
    make: (id, at) => woodenGrip({ id, at, axis: [0, 0, 1], length: 0.12, diameter: 0.032, bore: 0.0085 }),
  },
  { id: 'shoulder-pad', name: 'shoulder pad', group: 'grips', make: (id, at) => shoulderPad({ id, at }) },
  { id: 'handlebar-clamp', name: 'handlebar clamp', group: 'clamps', make: (id, at) => handlebarClamp({ id, at }) },
  { id: 'clamp-block', name: 'clamp block', group: 'clamps', make: (id, at) => clampBlock({ id, at }) },
  {
    id: 'universal-joint',
    name: 'universal joint',
    group: 'joints',
    make: solid('universal joint', drum(0.022, 0.045), 'steel', 0.085, 'universal joint with two bearings', 9.9),
  },
  {
    id: 'bearing',
    name: 'ball bearing',
    group: 'joints',
    make: solid('ball bearing', drum(0.022, 0.007, 0.008), 'steel', 0.012, 'ball bearing 8 × 22 × 7', 1.5),
  },
  {
    id: 'swivel',
    name: 'swivel',
    group: 'joints',
    make: solid('swivel', drum(0.025, 0.03), 'steel', 0.06, 'swivel 25 mm', 4.5),
  },
  {
    id: 'knob',
    name: 'star knob',
    group: 'small',
    make: solid('star knob', drum(0.032, 0.02), 'pvc', 0.018, 'star knob M6', 1.4),
  },
  { id: 'wing-nut', name: 'wing nut', group: 'small', make: (id, at) => wingNut({ id, at, axis: [0, 0, 1] }) },
  { id: 'foot', name: 'rubber foot', group: 'small', make: (id, at) => rubberFoot({ id, at }) },
  { id: 'strap', name: 'hook-and-loop strap', group: 'small', make: (id, at) => strap({ id, at }) },
  {
    id: 'shoe',
    name: 'accessory shoe',
    group: 'small',
    make: (id, at) => ({
      ...solid(
        'accessory shoe',
        { kind: 'box', size: [0.02, 0.02, 0.006] },
        'aluminium',
        0.009,
        'shoe, screw-on',
        2,
      )(id, at),
      takes: [
        { id: `${id}/top`, name: 'accessory shoe', at: [at[0], at[1], at[2] + 0.003], up: [0, 0, 1], kind: 'shoe' },
      ],
    }),
  },
  {
    id: 'printed-block',
    name: 'printed block',
    group: 'small',
    make: dense('printed block', { kind: 'box', size: [0.04, 0.03, 0.02] }, 'petg', printing('a few hours'), 1),
  },
];
