/** A printed part as the one closed solid that a printer takes: holes through, pockets for what is dropped in, a little wider than that. */
import { connectionsOf } from '../connections/connectionsOf';
import type { Vec3 } from '../../0-base';
import type { FlatBody } from '../../1-load';
import { countOf, valuesInOrder, type AdjusterValues, type Assembly } from '../assemble';
import { NUT_ROOM } from '../parts/printed';
import { castOf, matrix, MM } from './meshOf';
import { pieceShapes } from './pieceShapes';
import { solidOfPiece } from './pieceSolids';
import type { Mesh, SolidKit } from './solidKit';

/** A closed mesh, mm; `volume` m³. */
export interface Printed {
  readonly vertices: Float32Array;
  readonly triangles: Uint32Array;
  readonly volume: number;
}

/** The side that is widest across a nut's flats, of its drawn round: a hexagon as large. */
const FLATS_OF_ROUND = 1 / Math.sqrt(Math.sqrt(3) / 2 / Math.PI);

/** Null where there is no such part. */
export function printedSolid(kit: SolidKit, assembly: Assembly, values: AdjusterValues, part: string): Printed | null {
  const { rig, stacks } = assembly;
  const inOrder = valuesInOrder(rig, values);
  const counts = new Map(stacks.map((s) => [s.station.id, countOf(s, inOrder)]));
  const shapes = pieceShapes(
    assembly,
    values,
    connectionsOf(rig, (station) => counts.get(station) ?? 0),
  );
  const own = shapes.find((s) => s.id === part);
  const whole = own && solidOfPiece(kit, own);
  if (!whole) return null;
  const seated = rig.bodies
    .flatMap((b) => b.connections ?? [])
    .flatMap((c) => (c.kind === 'seated' && c.in === part && !c.bored ? [c] : []));
  const pockets = seated.flatMap((c) =>
    (shapes.find((s) => s.id === c.piece)?.flats ?? []).flatMap((f) => pocketFor(kit, f, c.six === true) ?? []),
  );
  const solid = pockets.length > 0 ? whole.subtract(kit.Manifold.union(pockets)) : whole;
  const made = printedOf(solid);
  kit.tidy();
  return made;
}

/** The mesh of a solid, which may be tidied away afterwards. */
export function printedOf(solid: Mesh): Printed {
  const { vertProperties, triVerts, numProp } = solid.getMesh();
  return {
    vertices: Float32Array.from(
      { length: (vertProperties.length / numProp) * 3 },
      (_, i) => vertProperties[Math.floor(i / 3) * numProp + (i % 3)]!,
    ),
    triangles: Uint32Array.from(triVerts),
    volume: solid.volume() / MM ** 3,
  };
}

/** What is dropped in, so much wider all round. */
function pocketFor(kit: SolidKit, flat: FlatBody, isSix: boolean): Mesh | null {
  const { shape, at, rotation } = flat;
  if (shape.kind !== 'tube') {
    if (shape.kind !== 'box') return null;
    const size = shape.size.map((s) => s + 2 * NUT_ROOM) as unknown as Vec3;
    return castOf(kit, { shape: { kind: 'box', size }, at, rotation })?.outside ?? null;
  }
  const length = shape.length + 2 * NUT_ROOM;
  if (!isSix)
    return (
      castOf(kit, {
        shape: { kind: 'tube', outerRadius: shape.outerRadius + NUT_ROOM, innerRadius: 0, length },
        at,
        rotation,
      })?.outside ?? null
    );
  const flats = shape.outerRadius * FLATS_OF_ROUND + 2 * NUT_ROOM;
  const corners = flats / Math.sqrt(3);
  return kit.Manifold.cylinder(length * MM, corners * MM, corners * MM, 6, true).transform(matrix(rotation, at));
}
