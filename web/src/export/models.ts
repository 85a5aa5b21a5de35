/** The whole rig as a model for other programs: STL, 3MF and glTF. Millimetres for print, metres for glTF, as each expects. */
import type { FlatBody, PlacedPiece, Printed } from '@tide-pebble/core';
import { strToU8, zipSync } from 'fflate';
import {
  BufferGeometry,
  Float32BufferAttribute,
  Group,
  Mesh,
  MeshStandardMaterial,
  Uint32BufferAttribute,
} from 'three';
import { GLTFExporter } from 'three/addons/exporters/GLTFExporter.js';
import { STLExporter } from 'three/addons/exporters/STLExporter.js';
import { mergeVertices } from 'three/addons/utils/BufferGeometryUtils.js';
import { placement, solidGeometry } from '../ui/drawing/solid-geometry';

const COLOURS: Readonly<Record<FlatBody['look'], number>> = {
  steel: 0xcbd4d8,
  wood: 0xd8b88a,
  plastic: 0xffffff,
  rubber: 0x3b4b54,
  gear: 0x4b5a62,
};
const MM = 1000;

function meshes(
  pieces: readonly PlacedPiece[],
  scale: number,
): readonly { readonly piece: PlacedPiece; readonly geometry: BufferGeometry }[] {
  return pieces.map((piece) => {
    // Corners that lie on one another become one, so that each body is closed.
    const bare = solidGeometry(piece.flat.shape, undefined, piece.flat.outline);
    for (const name of Object.keys(bare.attributes)) if (name !== 'position') bare.deleteAttribute(name);
    return {
      piece,
      geometry: mergeVertices(bare, 1e-7)
        .applyMatrix4(placement(piece.flat.at, piece.flat.rotation))
        .scale(scale, scale, scale),
    };
  });
}

function group(pieces: readonly PlacedPiece[], scale: number): Group {
  const all = new Group();
  for (const { piece, geometry } of meshes(pieces, scale)) {
    geometry.computeVertexNormals();
    const mesh = new Mesh(geometry, new MeshStandardMaterial({ color: COLOURS[piece.flat.look] }));
    mesh.name = piece.flat.name;
    all.add(mesh);
  }
  return all;
}

export function stlOf(pieces: readonly PlacedPiece[]): Uint8Array<ArrayBuffer> {
  return bytes(new STLExporter().parse(group(pieces, MM), { binary: true }));
}
const bytes = (view: DataView): Uint8Array<ArrayBuffer> =>
  new Uint8Array(view.buffer as ArrayBuffer, view.byteOffset, view.byteLength);

export async function gltfOf(pieces: readonly PlacedPiece[]): Promise<string> {
  const made = group(pieces, 1);
  // z is up on the bench, y in glTF.
  made.rotation.x = -Math.PI / 2;
  made.updateMatrixWorld();
  return JSON.stringify(await new GLTFExporter().parseAsync(made));
}

/** One object a body, in millimetres; the smallest package the format allows. */
export const threeMfOf = (pieces: readonly PlacedPiece[]): Uint8Array<ArrayBuffer> =>
  packed(meshes(pieces, MM).map(({ piece, geometry }) => ({ name: piece.flat.name, geometry })));

/** One printed part, as a printer takes it: laid on its bed. */
export const printedThreeMf = (name: string, printed: Printed): Uint8Array<ArrayBuffer> =>
  packed([{ name, geometry: onBed(printed) }]);
export const printedStl = (printed: Printed): Uint8Array<ArrayBuffer> =>
  bytes(new STLExporter().parse(new Mesh(onBed(printed)), { binary: true }));

/** Its lowest face at nought. */
function onBed({ vertices, triangles }: Printed): BufferGeometry {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new Float32BufferAttribute(vertices, 3));
  geometry.setIndex(new Uint32BufferAttribute(triangles, 1));
  geometry.computeBoundingBox();
  const { min, max } = geometry.boundingBox!;
  return geometry.translate(-(min.x + max.x) / 2, -(min.y + max.y) / 2, -min.z);
}

function packed(
  bodies: readonly { readonly name: string; readonly geometry: BufferGeometry }[],
): Uint8Array<ArrayBuffer> {
  const objects = bodies.map(({ name, geometry }, i) => {
    const positions = geometry.getAttribute('position');
    const vertices = Array.from(
      { length: positions.count },
      (_, v) =>
        `<vertex x="${positions.getX(v).toFixed(5)}" y="${positions.getY(v).toFixed(5)}" z="${positions.getZ(v).toFixed(5)}"/>`,
    );
    const index = geometry.getIndex()!;
    const triangles = Array.from(
      { length: index.count / 3 },
      (_, t) => [index.getX(3 * t), index.getX(3 * t + 1), index.getX(3 * t + 2)] as const,
    )
      .filter(([a, b, c]) => a !== b && b !== c && c !== a)
      .map(([a, b, c]) => `<triangle v1="${a}" v2="${b}" v3="${c}"/>`);
    return `<object id="${i + 1}" type="model" name="${name.replace(/[&<>"]/g, ' ')}"><mesh><vertices>${vertices.join('')}</vertices><triangles>${triangles.join('')}</triangles></mesh></object>`;
  });
  const model = `<?xml version="1.0" encoding="UTF-8"?><model unit="millimeter" xml:lang="en-US" xmlns="http://schemas.microsoft.com/3dmanufacturing/core/2015/02"><resources>${objects.join('')}</resources><build>${objects.map((_, i) => `<item objectid="${i + 1}"/>`).join('')}</build></model>`;
  return zipSync({
    '[Content_Types].xml': strToU8(
      '<?xml version="1.0" encoding="UTF-8"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="model" ContentType="application/vnd.ms-package.3dmanufacturing-3dmodel+xml"/></Types>',
    ),
    '_rels/.rels': strToU8(
      '<?xml version="1.0" encoding="UTF-8"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Target="/3D/3dmodel.model" Id="rel0" Type="http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel"/></Relationships>',
    ),
    '3D/3dmodel.model': strToU8(model),
  });
}
