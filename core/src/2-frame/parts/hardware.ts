/** Small hardware that several families use: grips, knobs, clamps, feet, pads, straps, quick-release plates. Masses are of usual ones, to be weighed. */
import {
  addScaled,
  alignZ,
  cross,
  dot,
  fromColumns,
  length,
  quaternionOf,
  subtract,
  unit,
  type Vec3,
} from '../../0-base';
import type { Part } from '../../model';

const turnTo = (axis: Vec3): Pick<Part, 'turn'> => ({ turn: quaternionOf(alignZ(unit(axis))) });
const round = (outerRadius: number, length: number, innerRadius = 0): Part['shape'] => ({
  kind: 'tube',
  outerRadius,
  innerRadius,
  length,
});
type Place = { readonly id: string; readonly at: Vec3; readonly twin?: string };
const twin = (place: Place): Pick<Part, 'twin'> | Record<string, never> => (place.twin ? { twin: place.twin } : {});

/** Foam sleeve over a pipe or rod of `inside` diameter; `at` is its middle. */
export const foamGrip = (place: Place & { axis: Vec3; length: number; inside: number }): Part => ({
  id: place.id,
  name: 'foam grip',
  shape: round(place.inside / 2 + 0.006, place.length, place.inside / 2),
  at: place.at,
  ...turnTo(place.axis),
  material: 'rubberFoam',
  ...twin(place),
  supply: { item: 'foam grip sleeve', packOf: 2, packPrice: 4.2 },
});

/** Foam on what of a pipe stands free of its fittings: cut and moved so that it ends clear of both. */
export function gripOnPipe(
  place: Place & { length: number; inside: number },
  { from, to }: { readonly from: Vec3; readonly to: Vec3 },
): Part {
  const run = subtract(to, from);
  const axis = unit(run);
  const cut = Math.max(OFF_FITTING, Math.min(place.length, length(run) - 2 * OFF_FITTING));
  const wanted = dot(subtract(place.at, from), axis);
  const along = Math.min(length(run) - cut / 2 - OFF_FITTING, Math.max(cut / 2 + OFF_FITTING, wanted));
  return foamGrip({ ...place, axis, length: cut, at: addScaled(from, axis, along) });
}
const OFF_FITTING = 0.001;

/** Turned wooden grip with a bore for its rod; `at` is its middle. */
export const woodenGrip = (
  place: Place & { axis: Vec3; length: number; diameter: number; bore: number; material?: string },
): Part => ({
  id: place.id,
  name: 'turned grip',
  shape: round(place.diameter / 2, place.length, place.bore / 2),
  at: place.at,
  ...turnTo(place.axis),
  material: place.material ?? 'oak',
  ...twin(place),
  supply: { item: `turned grip blank ${Math.round(place.diameter * 1000)} mm`, packOf: 1, packPrice: 3.5 },
});

/** Camera screw with a knob, its head under the plate: `at` is the underside it is pulled up to. */
export const cameraScrew = (place: Place): Part => ({
  id: place.id,
  name: 'camera screw',
  shape: round(0.009, 0.01),
  at: addScaled(place.at, [0, 0, -1], 0.005),
  material: 'steel',
  mass: { value: 0.014, spread: 0.002, source: 'mass of camera screw' },
  supply: { item: '1/4-20 camera screw with knob', packOf: 1, packPrice: 2.4 },
});

export const wingNut = (place: Place & { axis: Vec3 }): Part => ({
  id: place.id,
  name: 'wing nut',
  shape: round(0.011, 0.008, 0.003),
  at: place.at,
  ...turnTo(place.axis),
  material: 'steel',
  mass: { value: 0.008, spread: 0.001, source: 'mass of wing nut' },
  ...twin(place),
  supply: { item: 'wing nut', packOf: 4, packPrice: 2 },
});

/** Of its thread's diameter. */
export const LONG_NUT = 3;
/** Long nut that joins two threads, from `from` on along `axis`, as a round one of its six sides' area. */
export const longNut = ({
  id,
  from,
  axis,
  thread,
}: {
  readonly id: string;
  readonly from: Vec3;
  readonly axis: Vec3;
  readonly thread: number;
}): Part => ({
  id,
  name: `long nut ${Math.round(thread * 1000)} mm`,
  shape: round(0.79 * thread, LONG_NUT * thread, thread / 2),
  at: addScaled(from, unit(axis), (LONG_NUT / 2) * thread),
  ...turnTo(axis),
  material: 'steel',
  supply: { item: `long nut ${Math.round(thread * 1000)} mm`, packOf: 2, packPrice: 2.6 },
});

/** Quick-release clamp and plate; `at` is its underside, the load stands 18 mm higher. */
export const QUICK_RELEASE_HEIGHT = 0.018;
export const quickRelease = (place: Place): Part => ({
  id: place.id,
  name: 'quick-release clamp and plate',
  shape: { kind: 'box', size: [0.06, 0.05, QUICK_RELEASE_HEIGHT] },
  at: addScaled(place.at, [0, 0, 1], QUICK_RELEASE_HEIGHT / 2),
  material: 'aluminium',
  mass: { value: 0.105, spread: 0.01, source: 'mass of quick-release clamp and plate' },
  supply: { item: 'quick-release clamp with plate', packOf: 1, packPrice: 16 },
});

/** Rubber foot; `at` is its top. */
export const FOOT_HEIGHT = 0.01;
export const rubberFoot = (place: Place & { readonly tall?: number }): Part => ({
  id: place.id,
  name: 'rubber foot',
  shape: round(0.011, place.tall ?? FOOT_HEIGHT),
  at: addScaled(place.at, [0, 0, -1], (place.tall ?? FOOT_HEIGHT) / 2),
  material: 'rubberFoam',
  mass: { value: 0.005, spread: 0.001, source: 'mass of rubber foot' },
  ...twin(place),
  supply: { item: 'rubber foot, screw-on', packOf: 4, packPrice: 2.6 },
  drilled: true,
});

/** Rubber cap over a bare end of a rod or tube `across` wide; `at` is the end, `axis` points out of it. */
export const endCap = (place: Place & { axis: Vec3; across: number; square?: boolean }): Part => ({
  id: place.id,
  name: 'end cap',
  shape: place.square
    ? {
        kind: 'box',
        size: [CAP_LENGTH, place.across + 2 * CAP_WALL, place.across + 2 * CAP_WALL],
        bore: [place.across, place.across],
      }
    : round(place.across / 2 + CAP_WALL, CAP_LENGTH, place.across / 2),
  at: addScaled(place.at, unit(place.axis), CAP_WALL - CAP_LENGTH / 2),
  ...(place.square ? { turn: quaternionOf(alongX(unit(place.axis))) } : turnTo(place.axis)),
  material: 'rubberFoam',
  ...twin(place),
  mass: { value: 0.002, spread: 0.001, source: 'mass of end cap' },
  supply: { item: `rubber end cap ${Math.round(place.across * 1000)} mm`, packOf: 4, packPrice: 1.6 },
});
const CAP_LENGTH = 0.015;
const CAP_WALL = 0.0015;
/** Its own x along the axis, flat with the level where it can be. */
function alongX(axis: Vec3): ReturnType<typeof fromColumns> {
  const side = Math.abs(axis[1]) > 0.9 ? ([0, 0, 1] as const) : ([0, 1, 0] as const);
  return fromColumns(axis, side, cross(axis, side));
}

/** Wall over the hole of a clamp made to fit, m: what is screwed on is screwed into it. */
export const CLAMP_TOP = 0.014;
/** Handlebar clamp round a tube, with a camera screw on top; `at` is the tube's middle. One made to fit goes `round` a bar across, along y. */
export const handlebarClamp = (place: Place & { readonly round?: number }): Part => ({
  id: place.id,
  name: 'handlebar clamp',
  ...(place.round === undefined
    ? {
        shape: { kind: 'box' as const, size: [0.04, 0.036, 0.05] as const },
        at: addScaled(place.at, [0, 0, 1], 0.008),
      }
    : {
        shape: {
          kind: 'box' as const,
          size: [0.036, place.round + 0.012, place.round + 2 * CLAMP_TOP] as const,
          bore: [place.round, place.round] as const,
        },
        at: place.at,
        turn: quaternionOf(fromColumns([0, 1, 0], [-1, 0, 0], [0, 0, 1])),
      }),
  material: 'aluminium',
  mass: { value: 0.085, spread: 0.01, source: 'mass of handlebar clamp' },
  supply: { item: 'handlebar clamp with 1/4-20 screw', packOf: 1, packPrice: 9 },
});

/** A clamp block round a bar, which carries a weight bolt; `at` is its middle. One made to fit has the bar's own hole, along x before it is turned. */
export const clampBlock = (
  place: Place & { size?: Vec3; round?: { readonly bore: readonly [number, number]; readonly turn: Part['turn'] } },
): Part => ({
  id: place.id,
  name: 'clamp block',
  shape: { kind: 'box', size: place.size ?? [0.03, 0.045, 0.022], ...(place.round ? { bore: place.round.bore } : {}) },
  at: place.at,
  ...(place.round?.turn ? { turn: place.round.turn } : {}),
  material: 'aluminium',
  ...(place.round ? {} : { mass: { value: 0.048, spread: 0.004, source: 'mass of clamp block' } }),
  ...twin(place),
  supply: { item: 'clamp block with screw', packOf: 1, packPrice: 6.5 },
});

export const shoulderPad = (place: Place): Part => ({
  id: place.id,
  name: 'shoulder pad',
  shape: { kind: 'box', size: [0.12, 0.08, 0.03] },
  at: place.at,
  material: 'rubberFoam',
  mass: { value: 0.09, spread: 0.02, source: 'mass of shoulder pad' },
  supply: { item: 'foam shoulder pad', packOf: 1, packPrice: 8 },
});

export const strap = (place: Place): Part => ({
  id: place.id,
  name: 'hook-and-loop strap',
  shape: { kind: 'box', size: [0.02, 0.06, 0.003] },
  at: place.at,
  material: 'hookAndLoop',
  ...twin(place),
  supply: { item: 'hook-and-loop strap', packOf: 10, packPrice: 4.5 },
});
