import { METRIC, placedPieces, meshFault, type PlacedPiece, type Vec3 } from '@tide-pebble/core';
import { scaleFor, squareOn } from '@tide-pebble/core/making';
import { strFromU8, unzipSync } from 'fflate';
import { benchAt } from '../testing/bench';
import { dxfOf } from './dxf';
import { gltfOf, printedStl, printedThreeMf, stlOf, threeMfOf } from './models';
import { readMesh } from './read-mesh';
import { paperSize, svgOf } from './svg';

const pieces = (family: string): readonly PlacedPiece[] => placedPieces(benchAt({}, family).work.assembly, {});

describe('a drawing on paper', () => {
  const sheet = squareOn(pieces('pipe-post'));

  it('is as large as its scale says', () => {
    const [width, height] = paperSize({ sheet, scale: 5 });
    expect(width).toBeCloseTo((sheet.width * 1000) / 5 + 24, 6);
    const svg = svgOf({ sheet, scale: 5, title: 'Winkle', units: METRIC });
    expect(svg).toContain(`width="${width.toFixed(2)}mm" height="${height.toFixed(2)}mm"`);
    const page = new DOMParser().parseFromString(svg, 'image/svg+xml');
    expect(page.querySelector('parsererror')).toBeNull();
    expect(page.querySelectorAll('g[id] path').length).toBe(sheet.views.reduce((n, v) => n + v.outlines.length, 0));
  });

  it('fits the paper at the scale it picks, and none fits a stamp', () => {
    const scale = scaleFor(sheet, [0.267, 0.155])!;
    expect(sheet.height / scale).toBeLessThanOrEqual(0.155);
    expect(scaleFor(sheet, [0.001, 0.001])).toBeNull();
  });

  it('keeps a name from being markup', () => {
    const svg = svgOf({ sheet, scale: 5, title: '<b>&"Winkle"', units: METRIC });
    expect(svg).toContain('&lt;b&gt;&amp;&quot;Winkle&quot;, 1 : 5');
  });

  it('goes out as DXF in millimetres, a polyline an outline', () => {
    const dxf = dxfOf(sheet);
    const outlines = sheet.views.flatMap((v) => v.outlines);
    expect([...dxf.matchAll(/^LWPOLYLINE$/gm)].length).toBe(outlines.length + outlines.filter((o) => o.bore).length);
  });
});

describe('a rig as a model', () => {
  it('leaves as closed bodies in 3MF, each with the volume it has here', async () => {
    const rig = pieces('hand-frame');
    const files = unzipSync(threeMfOf(rig));
    const model = new DOMParser().parseFromString(strFromU8(files['3D/3dmodel.model']!), 'text/xml');
    const objects = [...model.querySelectorAll('object')];
    expect(objects.length).toBe(rig.length);
    for (const object of objects) {
      const vertices = [...object.querySelectorAll('vertex')].map(
        (v) => ['x', 'y', 'z'].map((a) => Number(v.getAttribute(a))) as unknown as Vec3,
      );
      const triangles = [...object.querySelectorAll('triangle')].map(
        (t) => ['v1', 'v2', 'v3'].map((a) => Number(t.getAttribute(a))) as unknown as Vec3,
      );
      const read = meshFault(vertices, triangles);
      expect('volume' in read && read.volume > 0)
        .withContext(`${object.getAttribute('name')}: ${'reason' in read ? read.reason : ''}`)
        .toBeTrue();
    }
  });

  it('is triangles in STL and named meshes in glTF', async () => {
    const rig = pieces('boom');
    const stl = stlOf(rig);
    const count = new DataView(stl.buffer, stl.byteOffset).getUint32(80, true);
    expect(stl.byteLength).toBe(84 + 50 * count);
    const gltf = JSON.parse(await gltfOf(rig)) as { meshes: readonly unknown[]; nodes: readonly { name?: string }[] };
    expect(gltf.meshes.length).toBe(rig.length);
    expect(gltf.nodes.some((n) => /^boom.tube/.test(n.name ?? ''))).toBeTrue();
  });
});

describe('a part from a file', () => {
  const file = (name: string, content: string | Uint8Array<ArrayBuffer>): File => new File([content], name);
  const facets = (faces: readonly (readonly string[])[]): string =>
    `solid a\n${faces.map((f) => `facet normal 0 0 0\nouter loop\n${f.map((v) => `vertex ${v}`).join('\n')}\nendloop\nendfacet`).join('\n')}\nendsolid a\n`;
  const [o, x, y, z] = ['0 0 0', '10 0 0', '0 10 0', '0 0 10'];
  const faces = [
    [o, y, x],
    [o, x, z],
    [o, z, y],
    [x, y, z],
  ];

  it('reads a closed STL in millimetres', async () => {
    const read = await readMesh(file('wedge.stl', facets(faces)));
    if (!read.ok) return fail(read.reason);
    expect(read.volume).toBeCloseTo(1e-6 / 6, 12);
    expect(read.shape.vertices.length).toBe(4);
  });

  it('reads what it wrote itself', async () => {
    const [plate] = pieces('pipe-post').filter((p) => p.flat.owner === 'camera-plate');
    const read = await readMesh(file('plate.3mf', threeMfOf([plate!])));
    if (!read.ok) return fail(read.reason);
    expect(read.volume).toBeCloseTo(0.075 * 0.06 * 0.006, 9);
  });

  it('refuses an open one with the place, an inside-out one, and what is no file of either kind', async () => {
    const reasons = await Promise.all(
      [
        file('open.stl', facets(faces.slice(0, 3))),
        file('out.stl', facets(faces.map((f) => [...f].reverse()))),
        file('none.3mf', 'not a zip'),
      ].map(async (f) => {
        const read = await readMesh(f);
        return read.ok ? 'taken' : read.reason;
      }),
    );
    expect(reasons[0]).toMatch(/open.*at .* m\./);
    expect(reasons[1]).toContain('inside out');
    expect(reasons[2]).toContain('could not be read');
  });
});

describe('one printed part', () => {
  it('comes back from STL and 3MF as large as it went out, standing on its bed', async () => {
    // A wedge, 20 mm deep, off its bed.
    const printed = {
      vertices: Float32Array.from([0, 0, 5, 30, 0, 5, 0, 0, 25, 0, 20, 5, 30, 20, 5, 0, 20, 25]),
      triangles: Uint32Array.from([0, 1, 2, 3, 5, 4, 0, 3, 4, 0, 4, 1, 1, 4, 5, 1, 5, 2, 0, 2, 5, 0, 5, 3]),
      volume: 6e-6,
    };
    for (const [name, bytes] of [
      ['wedge.stl', printedStl(printed)],
      ['wedge.3mf', printedThreeMf('wedge', printed)],
    ] as const) {
      const read = await readMesh(new File([bytes], name));
      if (!read.ok) return fail(read.reason);
      expect(read.volume / printed.volume)
        .withContext(name)
        .toBeCloseTo(1, 4);
    }
    const view = new DataView(printedStl(printed).buffer);
    const heights = Array.from({ length: 8 * 3 }, (_, i) =>
      view.getFloat32(84 + Math.floor(i / 3) * 50 + 12 + (i % 3) * 12 + 8, true),
    );
    expect(Math.min(...heights)).toBeCloseTo(0, 5);
  });
});
