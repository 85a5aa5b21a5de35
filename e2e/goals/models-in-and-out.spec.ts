/** The rig to paper and to other programs, and printed parts from them; what cannot be weighed is refused with the place. */
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, goTo, readout, savedBy, test } from '../support/bench';

test.use({ demo: true });

test.beforeEach(async ({ bench: page }) => {
  await page.getByRole('button', { name: 'Put Barnacle on the bench' }).click();
  await goTo(page, 'Frame');
});

// By key: the panels above it are still being laid out, and a press of the mouse can land beside what moves.
const save = async (page: Page, button: string): Promise<Buffer> =>
  readFileSync(await savedBy(page, () => page.getByRole('button', { name: button, exact: true }).press('Enter')));

/** A tetrahedron with legs of 30 mm as text STL; without its last face it is open, turned about it is inside out. */
function stl(kind: 'closed' | 'open' | 'insideOut'): string {
  const [o, x, y, z] = ['0 0 0', '30 0 0', '0 30 0', '0 0 30'];
  const faces = [
    [o, y, x],
    [o, x, z],
    [o, z, y],
    [x, y, z],
  ]
    .slice(0, kind === 'open' ? 3 : 4)
    .map((f) => (kind === 'insideOut' ? [...f].reverse() : f));
  return `solid wedge\n${faces.map((f) => `facet normal 0 0 0\nouter loop\n${f.map((v) => `vertex ${v}`).join('\n')}\nendloop\nendfacet`).join('\n')}\nendsolid wedge\n`;
}

test('SVG and DXF carry the drawing at its size', async ({ bench: page }) => {
  await page.getByRole('link', { name: 'On paper' }).click();
  await page.getByLabel('Scale').selectOption({ label: '1 : 5' });
  const svg = (await save(page, 'Save as SVG')).toString();
  expect(svg).toMatch(/^<svg [^>]*width="[\d.]+mm"/);
  expect(svg).toContain('1 : 5');
  expect(svg).toContain('hand post');
  const dxf = (await save(page, 'Save as DXF, full size')).toString();
  expect(dxf).toContain('LWPOLYLINE');
  expect(dxf).toContain('$INSUNITS');
  // Across the lower bar, 30 + 245 + 25 mm less nothing: its ends are in the drawing at full size.
  const across = [...svg.matchAll(/lower bar/g)].length;
  expect(across).toBeGreaterThanOrEqual(3);
});

test('STL, 3MF and glTF leave, and a 3MF comes back with its volume', async ({ bench: page, server }) => {
  const made = await save(page, 'STL');
  expect(made.readUInt32LE(80)).toBeGreaterThan(500);
  expect(made.length).toBe(84 + 50 * made.readUInt32LE(80));
  const gltf = JSON.parse((await save(page, 'glTF')).toString()) as {
    asset: { version: string };
    meshes: readonly unknown[];
  };
  expect(gltf.asset.version).toBe('2.0');
  expect(gltf.meshes.length).toBeGreaterThan(10);
  const zip = await save(page, '3MF');
  expect(zip.subarray(0, 2).toString()).toBe('PK');
  const path = join(server.data, 'whole.3mf');
  writeFileSync(path, zip);
  await page.getByLabel('Part file').setInputFiles(path);
  await expect(page.getByText(/^\s*whole is on the rig: [\d,.]+ k?g, from its volume/)).toBeVisible();
});

test('a printed part is weighed by its volume; open and inside-out ones are refused with the place', async ({
  bench: page,
  server,
}) => {
  const bring = async (kind: 'closed' | 'open' | 'insideOut'): Promise<void> => {
    const path = join(server.data, `${kind}.stl`);
    writeFileSync(path, stl(kind));
    await page.getByLabel('Part file').setInputFiles(path);
  };
  await bring('open');
  await expect(page.getByRole('alert')).toContainText(/The mesh is open.* m\. Nothing was added/);
  await bring('insideOut');
  await expect(page.getByRole('alert')).toContainText('inside out');
  const before = await readout(page, 'Mass');
  await page.getByLabel('Material of the part').selectOption({ label: 'PLA, solid' });
  await bring('closed');
  // 30³/6 mm³ of PLA at 1240 kg/m³ is 5.58 g.
  await expect(page.getByText('closed is on the rig: 5.6 g, from its volume')).toBeVisible();
  expect(await readout(page, 'Mass')).not.toBe(before);
});
