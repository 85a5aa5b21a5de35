/** The fitting that joins the pipes meeting at a point, found from their directions; or which one is in the way, and the nearest that works. */
import { dot, scale, unit, type Vec3 } from '../../0-base';
import type { Fitting, Hub } from '../../model';
import type { PipeSize, PipeSystem } from '../parts/pipes';

export type FittingOutcome =
  | { readonly kind: 'fits'; readonly fitting: Fitting; readonly hub: Hub }
  | {
      readonly kind: 'none';
      /** Index of the direction that no fitting takes together with the others. */
      readonly inTheWay: number;
      /** The fitting that comes nearest, how far that direction would have to turn for it (rad) and where to; null when there are too many. */
      readonly nearest: { readonly fitting: Fitting; readonly turn: number; readonly direction: Vec3 } | null;
      /** The fitting that takes the rest, when the one in the way branches off by a short piece and a tee of its own. */
      readonly without: Fitting | null;
    };

/** A pipe gives this much in its fitting before it binds; also what rounding of typed angles needs. */
const MAKES_UP_WITHIN = 0.02;
const SQUARE = Math.PI / 2;
const HALF = Math.PI / 4;

/** What each fitting takes: its ways out, in a frame of its own. */
const FORMS: readonly { readonly fitting: Fitting; readonly ways: readonly Vec3[] }[] = [
  { fitting: 'cap', ways: [[1, 0, 0]] },
  {
    fitting: 'coupling',
    ways: [
      [1, 0, 0],
      [-1, 0, 0],
    ],
  },
  {
    fitting: 'elbow90',
    ways: [
      [1, 0, 0],
      [0, 1, 0],
    ],
  },
  {
    fitting: 'elbow45',
    ways: [
      [1, 0, 0],
      [-Math.SQRT1_2, Math.SQRT1_2, 0],
    ],
  },
  {
    fitting: 'tee',
    ways: [
      [1, 0, 0],
      [-1, 0, 0],
      [0, 1, 0],
    ],
  },
  {
    fitting: 'sideOutlet',
    ways: [
      [1, 0, 0],
      [0, 1, 0],
      [0, 0, 1],
    ],
  },
  {
    fitting: 'cross',
    ways: [
      [1, 0, 0],
      [-1, 0, 0],
      [0, 1, 0],
      [0, -1, 0],
    ],
  },
  {
    fitting: 'fourWay',
    ways: [
      [1, 0, 0],
      [-1, 0, 0],
      [0, 1, 0],
      [0, 0, 1],
    ],
  },
];

/** `directions` point away from the meeting point, along each pipe; any length above nil. */
export function fittingFor(system: PipeSystem, size: PipeSize, directions: readonly Vec3[]): FittingOutcome {
  const ways = directions.map(unit);
  const sold = FORMS.filter((f) => system.fittings.includes(f.fitting) && f.ways.length === ways.length);
  const found = sold.find((f) => sameAngles(f.ways, ways));
  if (found) return { kind: 'fits', fitting: found.fitting, hub: hubOf(found.fitting, system, size, ways) };
  return refusal(system, sold, ways);
}

/** Same set of ways, turned as a whole or mirrored: the angles between them are the same. No fitting here has a left and a right. */
function sameAngles(form: readonly Vec3[], ways: readonly Vec3[]): boolean {
  const sorted = (list: readonly Vec3[]): readonly number[] =>
    list.flatMap((a, i) => list.slice(i + 1).map((b) => angleOf(a, b))).sort((a, b) => a - b);
  const [want, have] = [sorted(form), sorted(ways)];
  return want.every((angle, i) => Math.abs(angle - have[i]!) <= MAKES_UP_WITHIN);
}

const angleOf = (a: Vec3, b: Vec3): number => Math.acos(Math.max(-1, Math.min(1, dot(a, b))));

function refusal(
  system: PipeSystem,
  sold: readonly { fitting: Fitting; ways: readonly Vec3[] }[],
  ways: readonly Vec3[],
): FittingOutcome {
  // Take away one at a time: the one whose absence leaves something that can be bought stands in the way.
  const takes = (list: readonly Vec3[]): Fitting | null =>
    FORMS.find((f) => system.fittings.includes(f.fitting) && f.ways.length === list.length && sameAngles(f.ways, list))
      ?.fitting ?? null;
  const rest = ways.map((_, i) => takes(ways.filter((_way, k) => k !== i)));
  const candidates = rest.map((fitting, i) => ({ i, fitting, nearest: nearestTurn(sold, ways, i) }));
  const best = candidates
    .filter((c) => c.fitting !== null)
    .sort((a, b) => (a.nearest?.turn ?? 9) - (b.nearest?.turn ?? 9) || b.i - a.i)[0];
  const pick = best ?? candidates.sort((a, b) => (a.nearest?.turn ?? 9) - (b.nearest?.turn ?? 9))[0]!;
  return { kind: 'none', inTheWay: pick.i, nearest: pick.nearest, without: pick.fitting };
}

/** The least turn of way `i` that lets a fitting take all: its angles to the others are set to ones that fittings have. */
function nearestTurn(
  sold: readonly { fitting: Fitting; ways: readonly Vec3[] }[],
  ways: readonly Vec3[],
  i: number,
): { fitting: Fitting; turn: number; direction: Vec3 } | null {
  const others = ways.filter((_, k) => k !== i);
  const tries = candidatesFor(others)
    .map((direction) => ({ direction, turn: angleOf(direction, ways[i]!) }))
    .sort((a, b) => a.turn - b.turn);
  for (const { direction, turn } of tries) {
    const turned = ways.map((w, k) => (k === i ? direction : w));
    const form = sold.find((f) => sameAngles(f.ways, turned));
    if (form) return { fitting: form.fitting, turn, direction };
  }
  return null;
}

/** Ways that make a square, a half bend or a straight run with one of `others`, in the planes those and the axes span. */
function candidatesFor(others: readonly Vec3[]): readonly Vec3[] {
  const axes: readonly Vec3[] = [
    [1, 0, 0],
    [-1, 0, 0],
    [0, 1, 0],
    [0, -1, 0],
    [0, 0, 1],
    [0, 0, -1],
  ];
  const seen = [...axes, ...others.map((o) => scale(o, -1)), ...others];
  return others.flatMap((o) =>
    seen.flatMap((toward) => {
      const side: Vec3 = [
        toward[0] - o[0] * dot(toward, o),
        toward[1] - o[1] * dot(toward, o),
        toward[2] - o[2] * dot(toward, o),
      ];
      const size = Math.hypot(...side);
      const straight = scale(o, -1);
      if (size < 1e-6) return [straight];
      const across = scale(side, 1 / size);
      const at = (angle: number): Vec3 => [
        o[0] * Math.cos(angle) + across[0] * Math.sin(angle),
        o[1] * Math.cos(angle) + across[1] * Math.sin(angle),
        o[2] * Math.cos(angle) + across[2] * Math.sin(angle),
      ];
      return [straight, at(SQUARE), at(Math.PI - HALF)];
    }),
  );
}

/** The fitting's body on these ways, its take-off by kind. */
export function hubOf(fitting: Fitting, system: PipeSystem, size: PipeSize, ways: readonly Vec3[]): Hub {
  const takeOff =
    fitting === 'cap'
      ? size.takeOff.cap
      : fitting === 'coupling' || fitting === 'union'
        ? size.takeOff.coupling
        : fitting === 'elbow45'
          ? size.takeOff.half
          : size.takeOff.square;
  const { section } = size.stock;
  if (section.kind !== 'tube') throw new TypeError('pipe is round');
  const outside = section.outerDiameter / 2;
  return {
    sockets: ways.map((direction) => ({ direction: unit(direction), takeOff, depth: size.depth })),
    outerRadius: outside + size.wall,
    boreRadius: outside,
    material: system.material,
    supply: {
      item: `${FITTING_NAMES[fitting]}, ${size.stock.name}`,
      packOf: 1,
      packPrice:
        Math.round(
          system.fittingPrice * (section.outerDiameter / 0.0213) * (1 + 0.25 * Math.max(0, ways.length - 2)) * 100,
        ) / 100,
    },
  };
}

export const FITTING_NAMES: Readonly<Record<Fitting, string>> = {
  elbow90: 'elbow 90°',
  elbow45: 'elbow 45°',
  tee: 'tee',
  cross: 'cross',
  sideOutlet: 'side-outlet elbow',
  fourWay: 'four-way',
  cap: 'cap',
  coupling: 'coupling',
  union: 'union',
  maleAdapter: 'male adapter',
  femaleAdapter: 'female adapter',
  bush: 'bush',
  flattened: 'flattened end, bolted',
  boltThrough: 'bolt through',
  rodInSleeve: 'threaded rod in a sleeve',
  hingePin: 'hinge pin',
  hoseClamp: 'hose clamp',
  groundClamp: 'ground clamp',
  woodScrew: 'wood screw',
  screw: 'screw',
  glue: 'glue',
  solder: 'solder',
  epoxy: 'epoxy',
  heatSetInsert: 'heat-set insert',
  weld: 'weld',
};
