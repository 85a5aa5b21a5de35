/** Every piece of a rig as one closed mesh where the adjusters put it, its holes cut: what the proof that nothing stands inside another is made on. */
import { dot, scale } from '../../0-base';
import type { AdjusterValues, Assembly } from '../assemble';
import type { Connection } from '../connections/connection';
import { castOf, hole, MM } from './meshOf';
import { pieceShapes, type PieceShape } from './pieceShapes';
import type { Mesh, SolidKit } from './solidKit';

export interface PieceSolid {
  readonly id: string;
  readonly name: string;
  readonly mesh: Mesh;
  /** Axis-parallel box round it, mm. */
  readonly low: readonly [number, number, number];
  readonly high: readonly [number, number, number];
  /** The same words for the same solid in the same place: what answers are kept by. */
  readonly key: string;
}

export const pieceSolids = (
  kit: SolidKit,
  assembly: Assembly,
  values: AdjusterValues,
  connections: readonly Connection[],
): readonly PieceSolid[] =>
  pieceShapes(assembly, values, connections).flatMap((piece): readonly PieceSolid[] => {
    const whole = solidOfPiece(kit, piece);
    if (!whole) return [];
    const { id, name, flats, holes, mitres } = piece;
    const mesh = mitres.reduce(
      (m, { normal, at }) => m.trimByPlane([...scale(normal, -1)], -dot(normal, at) * MM),
      whole,
    );
    const { min, max } = mesh.boundingBox();
    return [
      {
        id,
        name,
        mesh,
        low: [min[0], min[1], min[2]],
        high: [max[0], max[1], max[2]],
        key: JSON.stringify([flats.map((f) => [f.shape, f.outline, f.at, f.rotation]), holes]),
      },
    ];
  });

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
