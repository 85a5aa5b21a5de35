/** A printed part from an STL or 3MF file: one closed mesh in metres, or the reason it cannot be weighed and where. */
import { meshFault, type Shape, type Vec3 } from '@tide-pebble/core';
import { unzipSync } from 'fflate';
import { Mesh, type BufferGeometry } from 'three';
import { ThreeMFLoader } from 'three/addons/loaders/3MFLoader.js';
import { STLLoader } from 'three/addons/loaders/STLLoader.js';
import { mergeVertices } from 'three/addons/utils/BufferGeometryUtils.js';

export type ReadMesh =
  | { readonly ok: true; readonly shape: Extract<Shape, { kind: 'mesh' }>; readonly volume: number }
  | { readonly ok: false; readonly reason: string };

/** A document should stay a few megabytes; a bracket has a few thousand. */
const TRIANGLES_AT_MOST = 60_000;
const MEGABYTE = 1024 * 1024;
const FILE_AT_MOST = 20 * MEGABYTE;
const UNPACKED_AT_MOST = 64 * MEGABYTE;
const MM = 0.001;

/** Files are in millimetres, as printers take them. */
export async function readMesh(file: File): Promise<ReadMesh> {
  if (file.size > FILE_AT_MOST)
    return { ok: false, reason: `${file.name} is larger than ${FILE_AT_MOST / MEGABYTE} MB: make the part coarser.` };
  const bytes = await file.arrayBuffer();
  let geometries: readonly BufferGeometry[];
  try {
    if (file.name.toLowerCase().endsWith('.3mf') && unpackedSize(bytes) > UNPACKED_AT_MOST)
      return {
        ok: false,
        reason: `${file.name} unpacks to more than ${UNPACKED_AT_MOST / MEGABYTE} MB: no part does.`,
      };
    geometries = file.name.toLowerCase().endsWith('.3mf') ? geometriesOf3mf(bytes) : [new STLLoader().parse(bytes)];
  } catch (error) {
    return {
      ok: false,
      reason: `${file.name} could not be read: ${error instanceof Error ? error.message : 'it is no STL or 3MF file'}.`,
    };
  }
  const vertices: Vec3[] = [];
  const triangles: Vec3[] = [];
  for (const geometry of geometries) addTo(vertices, triangles, geometry);
  if (triangles.length === 0) return { ok: false, reason: `${file.name} has no triangles in it.` };
  if (triangles.length > TRIANGLES_AT_MOST)
    return {
      ok: false,
      reason: `${file.name} has ${triangles.length} triangles; make it coarser, ${TRIANGLES_AT_MOST} at most.`,
    };
  const fault = meshFault(vertices, triangles);
  if ('reason' in fault) return { ok: false, reason: fault.reason };
  return { ok: true, shape: { kind: 'mesh', vertices, triangles }, volume: fault.volume };
}

/** As its own list of contents says, bytes: a reader takes no more than that of each. Throws for what is no zip. */
function unpackedSize(bytes: ArrayBuffer): number {
  let sum = 0;
  unzipSync(new Uint8Array(bytes), { filter: (f) => ((sum += f.originalSize), false) });
  return sum;
}

function geometriesOf3mf(bytes: ArrayBuffer): readonly BufferGeometry[] {
  const found: BufferGeometry[] = [];
  const made = new ThreeMFLoader().parse(bytes);
  made.updateMatrixWorld(true);
  made.traverse((object) => {
    if (object instanceof Mesh)
      found.push((object.geometry as BufferGeometry).clone().applyMatrix4(object.matrixWorld));
  });
  return found;
}

function addTo(vertices: Vec3[], triangles: Vec3[], geometry: BufferGeometry): void {
  const bare = geometry.clone();
  for (const name of Object.keys(bare.attributes)) if (name !== 'position') bare.deleteAttribute(name);
  const merged = mergeVertices(bare, 1e-4);
  const positions = merged.getAttribute('position');
  const index = merged.getIndex();
  const base = vertices.length;
  for (let i = 0; i < positions.count; i++)
    vertices.push([positions.getX(i) * MM, positions.getY(i) * MM, positions.getZ(i) * MM]);
  const count = index ? index.count : positions.count;
  const at = (i: number): number => base + (index ? index.getX(i) : i);
  for (let i = 0; i + 2 < count; i += 3) {
    const [a, b, c] = [at(i), at(i + 1), at(i + 2)];
    if (a !== b && b !== c && c !== a) triangles.push([a, b, c]);
  }
}
