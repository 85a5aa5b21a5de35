/** Every piece of a rig as one closed mesh where the adjusters put it, its holes cut: what the proof that nothing stands inside another is made on. */
import { addScaled, dot, multiply, scale, subtract, transform, transpose, type Mat3, type Vec3 } from '../../0-base';
import type { FlatBody } from '../../1-load';
import type { AdjusterValues, Assembly } from '../assemble';
import type { Connection } from '../connections/connection';
import { castOf, hole, MM } from './meshOf';
import { pieceShapes, type PieceShape } from './pieceShapes';
import { boundsOf } from './reachInto';
import type { Mesh, SolidKit } from './solidKit';

export interface PieceSolid {
  readonly id: string;
  readonly name: string;
  /** Cast when it is first asked for. */
  readonly mesh: () => Mesh;
  /** Axis-parallel box round it, mm. */
  readonly low: Vec3;
  readonly high: Vec3;
  /** The same words for the same solid, wherever it stands. */
  readonly form: string;
  /** Where it stands: of its first body. */
  readonly at: Vec3;
  readonly rotation: Mat3;
}

export const pieceSolids = (
  kit: SolidKit,
  assembly: Assembly,
  values: AdjusterValues,
  connections: readonly Connection[],
): readonly PieceSolid[] =>
  pieceShapes(assembly, values, connections).flatMap((piece): readonly PieceSolid[] => {
    const solid = piece.flats.filter((f) => f.shape.kind !== 'point');
    const [first] = solid;
    if (!first) return [];
    const boxes = solid.map(boxOf);
    const side = (end: 'low' | 'high', of: (...all: number[]) => number): Vec3 =>
      [0, 1, 2].map((k) => of(...boxes.map((b) => b[end][k as 0])) * MM) as unknown as Vec3;
    let cast: Mesh | null = null;
    return [
      {
        id: piece.id,
        name: piece.name,
        mesh: () => (cast ??= meshOfPiece(kit, piece)!),
        low: side('low', Math.min),
        high: side('high', Math.max),
        form: formOf(piece, first),
        at: first.at,
        rotation: first.rotation,
      },
    ];
  });

/** How one stands to another: with their forms, all that what they share depends on. */
export function pairKey(a: PieceSolid, b: PieceSolid): string {
  const [one, other] = a.form <= b.form ? [a, b] : [b, a];
  const back = transpose(one.rotation);
  return `${one.form} ${other.form} ${words(multiply(back, other.rotation).flat())} ${words(transform(back, subtract(other.at, one.at)))}`;
}

/** Of its bodies, holes and sawn ends, seen from its first body. */
function formOf({ flats, holes, mitres }: PieceShape, { at, rotation }: FlatBody): string {
  const back = transpose(rotation);
  const place = (p: Vec3): string => words(transform(back, subtract(p, at)));
  const way = (v: Vec3): string => words(transform(back, v));
  return [
    ...flats.map(
      (f) =>
        `${JSON.stringify(f.shape)}${f.outline ? JSON.stringify(f.outline) : ''}${place(f.at)}${words(multiply(back, f.rotation).flat())}`,
    ),
    ...holes.map((h) => `o${place(h.at)}${way(h.way)}${words([h.diameter, h.depth])}`),
    ...mitres.map((m) => `/${place(m.at)}${way(m.normal)}`),
  ].join('|');
}
/** To a nanometre: the same place reckoned another way is the same place. */
const words = (numbers: readonly number[]): string => numbers.map((n) => Math.round(n * 1e9) + 0).join();

/** Steps of a bar bent to an arc; its corners are taken a little outside it. */
const ARC_STEPS = 24;
function boxOf(flat: FlatBody): { readonly low: Vec3; readonly high: Vec3 } {
  const { shape, at, rotation } = flat;
  if (shape.kind === 'box' || shape.kind === 'tube') return boundsOf({ shape, at, rotation });
  const points =
    shape.kind === 'mesh' ? shape.vertices : shape.kind === 'arcBar' ? arcCorners(shape) : [[0, 0, 0] as Vec3];
  const placed = points.map((p) => addScaled(at, transform(rotation, p), 1));
  const side = (of: (...all: number[]) => number): Vec3 =>
    [0, 1, 2].map((k) => of(...placed.map((p) => p[k as 0]))) as unknown as Vec3;
  return { low: side(Math.min), high: side(Math.max) };
}
function arcCorners(shape: Extract<FlatBody['shape'], { kind: 'arcBar' }>): readonly Vec3[] {
  const { midRadius, thickness, width, angle } = shape;
  const outer = (midRadius + thickness / 2) / Math.cos(angle / ARC_STEPS / 2);
  return Array.from({ length: ARC_STEPS + 1 }, (_, i) => (angle * i) / ARC_STEPS).flatMap((t) =>
    [midRadius - thickness / 2, outer].flatMap((r) =>
      [-1, 1].map((s): Vec3 => [r * Math.cos(t), r * Math.sin(t), (s * width) / 2]),
    ),
  );
}

function meshOfPiece(kit: SolidKit, piece: PieceShape): Mesh | null {
  const whole = solidOfPiece(kit, piece);
  return whole
    ? piece.mitres.reduce((m, { normal, at }) => m.trimByPlane([...scale(normal, -1)], -dot(normal, at) * MM), whole)
    : null;
}

/** All outsides together, less all bores: an elbow's arm does not close the other. */
export function solidOfPiece(kit: SolidKit, { flats, holes }: PieceShape): Mesh | null {
  const casts = flats.flatMap((f) => castOf(kit, f) ?? []);
  if (casts.length === 0) return null;
  const { Manifold } = kit;
  const solid = Manifold.union(casts.map((c) => c.outside));
  const bores = [
    ...casts.flatMap((c) => (c.bore ? [c.bore] : [])),
    ...holes.map((h) => hole(kit, h.at, h.way, h.diameter, h.depth)),
  ];
  return bores.length === 0 ? solid : solid.subtract(Manifold.union(bores));
}
