/**
 * A body as a closed mesh, mm, rig axes. Round things are many-sided: what is solid lies just inside the true round and what is
 * bored just outside it, so that two that fit never seem to overlap. What is lost is under `SAGITTA` anywhere.
 */
import { alignZ, type Mat3, type Vec3 } from '../../0-base';
import type { FlatBody } from '../../1-load';
import type { Mesh, SolidKit } from './solidKit';

export const MM = 1000;
/** How far a side of a round may lie inside it, mm. */
const SAGITTA = 0.05;
const SIDES = { least: 16, most: 128 };
/** A bore is cut so much longer than its piece at each end that no skin stays, mm. */
const BEYOND = 1;

/** Sides of a round of this radius, m: a multiple of four. */
export function sidesOf(radius: number): number {
  const needed = Math.PI / Math.acos(Math.max(0, 1 - SAGITTA / (radius * MM)));
  return Math.min(SIDES.most, Math.max(SIDES.least, 4 * Math.ceil(needed / 4)));
}

/** A round rod along z about its middle, m; `isBore`: its sides lie outside the round. */
export function rod({ Manifold }: SolidKit, radius: number, length: number, isBore = false): Mesh {
  const sides = sidesOf(radius);
  const to = (radius * MM) / (isBore ? Math.cos(Math.PI / sides) : 1);
  return Manifold.cylinder(length * MM + (isBore ? 2 * BEYOND : 0), to, to, sides, true);
}

/** The body without what is bored out of it, and its bore; null for what has no volume. */
export interface Cast {
  readonly outside: Mesh;
  readonly bore: Mesh | null;
}

export function castOf(kit: SolidKit, body: Pick<FlatBody, 'shape' | 'outline' | 'at' | 'rotation'>): Cast | null {
  const made = unplaced(kit, body);
  if (!made) return null;
  const to = (m: Mesh): Mesh => m.transform(matrix(body.rotation, body.at));
  return { outside: to(made.outside), bore: made.bore ? to(made.bore) : null };
}

function unplaced(kit: SolidKit, { shape, outline }: Pick<FlatBody, 'shape' | 'outline'>): Cast | null {
  const { Manifold } = kit;
  switch (shape.kind) {
    case 'box': {
      const [x, y, z] = shape.size.map((s) => s * MM) as [number, number, number];
      return {
        outside: outline
          ? extruded(
              kit,
              outline.map(([a, b]) => [a * MM, b * MM]),
              z,
            )
          : Manifold.cube([x, y, z], true),
        bore: shape.bore ? Manifold.cube([x + 2 * BEYOND, shape.bore[0] * MM, shape.bore[1] * MM], true) : null,
      };
    }
    case 'tube':
      return {
        outside: rod(kit, shape.outerRadius, shape.length),
        bore: shape.innerRadius > 0 ? rod(kit, shape.innerRadius, shape.length, true) : null,
      };
    case 'arcBar': {
      const [inner, outer] = [-1, 1].map((e) => (shape.midRadius + (e * shape.thickness) / 2) * MM) as [number, number];
      const steps = Math.max(2, Math.ceil((sidesOf(shape.midRadius) * shape.angle) / (2 * Math.PI)));
      const round = (radius: number): [number, number][] =>
        Array.from({ length: steps + 1 }, (_, i) => {
          const angle = (shape.angle * i) / steps;
          return [radius * Math.cos(angle), radius * Math.sin(angle)];
        });
      return {
        outside: extruded(kit, [...round(outer), ...round(inner).reverse()], shape.width * MM),
        bore: null,
      };
    }
    case 'mesh':
      return { outside: ofTriangles(kit, shape), bore: null };
    case 'point':
      return null;
  }
}

/** A flat outline, mm, as thick as this about its own plane. */
function extruded({ Manifold, CrossSection }: SolidKit, outline: readonly [number, number][], thick: number): Mesh {
  const flat = new CrossSection([[...outline]], 'NonZero');
  const solid = Manifold.extrude(flat, thick).translate([0, 0, -thick / 2]);
  flat.delete();
  return solid;
}

/** Throws where the triangles do not close a volume: such a part is refused before it comes into a rig. */
function ofTriangles({ Manifold }: SolidKit, shape: Extract<FlatBody['shape'], { kind: 'mesh' }>): Mesh {
  const mesh = {
    numProp: 3,
    vertProperties: new Float32Array(shape.vertices.flatMap((v) => v.map((x) => x * MM))),
    triVerts: new Uint32Array(shape.triangles.flat()),
  };
  return Manifold.ofMesh(mesh as unknown as Parameters<typeof Manifold.ofMesh>[0]);
}

/** A straight hole from `at` along `way`, m; it begins a little before. */
export function hole(kit: SolidKit, at: Vec3, way: Vec3, diameter: number, depth: number): Mesh {
  const sides = sidesOf(diameter / 2);
  const to = ((diameter / 2) * MM) / Math.cos(Math.PI / sides);
  return kit.Manifold.cylinder(depth * MM + BEYOND, to, to, sides, false)
    .translate([0, 0, -BEYOND])
    .transform(matrix(alignZ(way), at));
}

/** Column by column, as the library has them. */
export function matrix(r: Mat3, at: Vec3): Parameters<Mesh['transform']>[0] {
  return [
    ...[r[0][0], r[1][0], r[2][0], 0],
    ...[r[0][1], r[1][1], r[2][1], 0],
    ...[r[0][2], r[1][2], r[2][2], 0],
    ...at.map((x) => x * MM),
    1,
  ] as unknown as Parameters<Mesh['transform']>[0];
}
