/** Quick questions about what stands near what, for the checks of clearances. */
import { add, dot, figure, length, say, scale, subtract, transform, type Finding, type Vec3 } from '../../0-base';
import type { FreeSpace, LensCone } from '../../1-load';
import type { Shape } from '../../model';
import { shiftOf, valuesInOrder, type PlacedPiece } from '../assemble';
import { solidGap, type Solid3 } from './clearance';
import type { FrameContext } from '../frameCheck';

/** Radius of the ball about `at` that holds the whole shape, m. */
export function reachOf({ shape }: Solid3): number {
  switch (shape.kind) {
    case 'box':
      return Math.hypot(...shape.size) / 2;
    case 'tube':
      return Math.hypot(shape.outerRadius, shape.length / 2);
    case 'arcBar':
      return Math.hypot(shape.midRadius + shape.thickness / 2, shape.width / 2);
    case 'mesh':
      return Math.max(...shape.vertices.map(length));
    case 'point':
      return 0;
  }
}

/** The gap where it is under `limit`, else null; far things are told apart by their balls alone. */
export function gapUnder(a: Solid3, b: Solid3, limit: number): number | null {
  if (length(subtract(a.at, b.at)) - reachOf(a) - reachOf(b) >= limit) return null;
  const gap = solidGap(a, b);
  return gap < limit ? gap : null;
}

/** Corners and middles of a box; rings along a tube: enough to tell whether it stands in a cone. */
export const pointsOf = ({ shape, at, rotation }: Solid3): readonly Vec3[] =>
  localPoints(shape).map((p) => add(at, transform(rotation, p)));

/** Shapes never change, so where their points lie is found once. */
const points = new WeakMap<Shape, readonly Vec3[]>();

function localPoints(shape: Shape): readonly Vec3[] {
  const known = points.get(shape);
  if (known) return known;
  const found = surface(shape);
  points.set(shape, found);
  return found;
}

function surface(shape: Shape): readonly Vec3[] {
  if (shape.kind === 'tube') {
    const along = Math.max(2, Math.ceil(shape.length / 0.03) + 1);
    return Array.from({ length: along }, (_, i) => shape.length * (i / (along - 1) - 0.5)).flatMap((z) =>
      [0, 1, 2, 3, 4, 5, 6, 7].map((k): Vec3 => [
        shape.outerRadius * Math.cos((k * Math.PI) / 4),
        shape.outerRadius * Math.sin((k * Math.PI) / 4),
        z,
      ]),
    );
  }
  if (shape.kind === 'arcBar') {
    const along = Math.max(4, Math.ceil((shape.angle * shape.midRadius) / 0.03));
    return Array.from({ length: along + 1 }, (_, i) => (shape.angle * i) / along).flatMap((t) =>
      [-1, 1].map((s): Vec3 => [shape.midRadius * Math.cos(t), shape.midRadius * Math.sin(t), (s * shape.width) / 2]),
    );
  }
  if (shape.kind === 'mesh') return shape.vertices;
  if (shape.kind === 'point') return [[0, 0, 0]];
  const steps = shape.size.map((s) => Math.max(1, Math.min(12, Math.ceil(s / 0.04))));
  const line = (axis: 0 | 1 | 2): readonly number[] =>
    Array.from({ length: steps[axis]! + 1 }, (_, i) => shape.size[axis] * (i / steps[axis]! - 0.5));
  return line(0).flatMap((x) => line(1).flatMap((y) => line(2).map((z): Vec3 => [x, y, z])));
}

/** From load axes at the mount to rig axes, with the adjusters set; null when nothing carries a load. */
export function loadPlace({ assembly, values }: Pick<FrameContext, 'assembly' | 'values'>): ((p: Vec3) => Vec3) | null {
  if (!assembly.mount) return null;
  const movedBy = assembly.mountMovedBy;
  const origin = add(assembly.mount, shiftOf(assembly.rig, movedBy, valuesInOrder(assembly.rig, values)));
  return (p) => add(origin, transform(assembly.mountTurn, p));
}

/** How far a point stands inside the picture's edge, m, at its sides and at its top or bottom; the lesser counts. Null behind the lens's front. */
export type IntoPicture = (p: Vec3) => { readonly across: number; readonly up: number } | null;

/** The lens's cone where the load stands on the rig, worked out once for all the points that are asked about. */
export function pictureOf(cone: LensCone, place: (p: Vec3) => Vec3): IntoPicture {
  const front = place(cone.front);
  const origin = place([0, 0, 0]);
  const [forward, left, upward] = [cone.forward, cone.left, cone.up].map((v) => subtract(place(v), origin)) as [
    Vec3,
    Vec3,
    Vec3,
  ];
  const [wide, tall] = [Math.tan(cone.wide.across / 2), Math.tan(cone.wide.up / 2)];
  return (p) => {
    const d = subtract(p, front);
    const ahead = dot(d, forward);
    return ahead <= 0
      ? null
      : {
          across: cone.frontRadius + ahead * wide - Math.abs(dot(d, left)),
          up: cone.frontRadius + ahead * tall - Math.abs(dot(d, upward)),
        };
  };
}

export function spaceSolid(space: FreeSpace, place: (p: Vec3) => Vec3): Solid3 {
  const columns = [0, 1, 2].map((i) => subtract(place(column(space.turn, i)), place([0, 0, 0])));
  const rotation = [0, 1, 2].map((r) => columns.map((c) => c[r]!) as unknown as Vec3) as unknown as Solid3['rotation'];
  return { shape: { kind: 'box', size: space.size }, at: place(space.at), rotation };
}
const column = (m: readonly Vec3[], i: number): Vec3 => [m[0]![i]!, m[1]![i]!, m[2]![i]!];

/** Frame pieces by the element they belong to, the load left out. */
export const framePieces = (frame: FrameContext): readonly PlacedPiece[] => frame.pieces.filter((p) => !p.isLoad);

/** Further than this is another rig, m. */
const PUSHED_AT_MOST = 0.1;
/** To half a millimetre. */
const STEP = 0.0005;
const WAYS: readonly Vec3[] = [
  [1, 0, 0],
  [-1, 0, 0],
  [0, 1, 0],
  [0, -1, 0],
  [0, 0, 1],
  [0, 0, -1],
];

/**
 * A part pushed along the rig's axes, the shortest way that leaves `least` of room, as a change to offer. `gapOf`: what
 * room there is with one of its pieces where it stands then. Members stay, for their fittings would not; so does what a
 * connection brings, for it goes with what it holds.
 */
export function pushAway(
  { rig, pieces }: Pick<FrameContext, 'rig' | 'pieces'>,
  owner: string,
  gapOf: (piece: Solid3) => number,
  least: number,
): Finding['fixes'] {
  const part = rig.bodies.flatMap((b) => b.parts).find((p) => p.id === owner && !p.mount && !p.by);
  if (!part) return [];
  const own = pieces.filter((p) => p.flat.owner === owner).map((p) => p.flat);
  const gapAt = (way: Vec3, by: number): number =>
    Math.min(...own.map((s) => gapOf({ shape: s.shape, at: add(s.at, scale(way, by)), rotation: s.rotation })));
  const [shortest] = WAYS.flatMap((way) => {
    // A gap along a line is convex: once it is wide enough it stays so.
    if (gapAt(way, PUSHED_AT_MOST) < least) return [];
    let [near, far] = [0, PUSHED_AT_MOST];
    while (far - near > STEP) {
      const middle = (near + far) / 2;
      if (gapAt(way, middle) < least) near = middle;
      else far = middle;
    }
    return [{ way, by: Math.ceil(far / STEP) * STEP }];
  }).sort((a, b) => a.by - b.by);
  return shortest
    ? [
        {
          label: say`Move the ${part.name} ${figure('length', shortest.by)} away`,
          changes: [{ kind: 'move', id: owner, by: scale(shortest.way, shortest.by) }],
        },
      ]
    : [];
}
