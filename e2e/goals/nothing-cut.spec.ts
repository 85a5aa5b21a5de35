/** No word is cut off, outside the page or on another: every view, four sizes of page (one of them at 200 %), both units, long names, much kit. */
import type { Page } from '@playwright/test';
import type { KitItem, Loadout, RigDocument } from '@tide-pebble/core';
import { expect, test } from '../support/bench';
import { wordsAstray } from '../support/boxes';
import { VIEWS } from '../support/views';

const LONG = 'Heronsgate underwater housing with both arms and the wide port, second of two';
const SIZES = [
  [1280, 800],
  [1024, 768],
  [390, 844],
  // The first at twice its size, as whoever sees little sets it.
  [640, 400],
] as const;

/** Two hundred things with long names, thirty-three loadouts; the rig on the bench is called as long. */
async function much(page: Page, address: string): Promise<void> {
  const { documents, folder } = (await (await page.request.get(`${address}/api/documents`)).json()) as {
    folder: string;
    documents: { kind: string; id: string; revision: number; body: unknown }[];
  };
  const of = <T>(kind: string, id: string): { revision: number; body: T } =>
    documents.find((d) => d.kind === kind && d.id === id) as { revision: number; body: T };
  const heron = of<KitItem>('kit', 'kit-heron').body;
  const ebb = documents.find((d) => d.kind === 'loadout')!.body as Loadout;
  const limpet = of<RigDocument>('rig', 'rig-limpet');
  const answer = await page.request.post(`${address}/api/changes`, {
    headers: { 'X-Data-Folder': folder },
    data: {
      changes: [
        ...Array.from({ length: 190 }, (_, i) => ({
          kind: 'kit',
          id: `many-${i}`,
          revision: 0,
          body: { ...heron, id: `many-${i}`, name: `${LONG} ${i}` },
        })),
        ...Array.from({ length: 33 }, (_, i) => ({
          kind: 'loadout',
          id: `load-${i}`,
          revision: 0,
          body: { ...ebb, id: `load-${i}`, name: `${LONG} ${i}` },
        })),
        {
          kind: 'rig',
          id: 'rig-limpet',
          revision: limpet.revision,
          body: { ...limpet.body, name: LONG, loadout: 'load-0' },
        },
      ],
    },
  });
  expect(answer.ok()).toBe(true);
}

test.use({ demo: true });
test.describe.configure({ mode: 'parallel' });
/** Each size in each unit is six minutes of a slow machine: `npm run soak -- families` does; here the widest and the phone’s, in one of them each. */
const every = process.env['EVERY_LOAD'] !== undefined;
for (const [nth, [width, height]] of (every ? SIZES : [SIZES[0], SIZES[2]]).entries())
  for (const system of every ? (['mm', 'inch'] as const) : [(['inch', 'mm'] as const)[nth % 2]!])
    test(`nothing is cut, outside or overlapping at ${width} × ${height}, in ${system}`, async ({
      bench: page,
      server,
    }) => {
      test.setTimeout(400_000);
      await much(page, server.address);
      await page.setViewportSize({ width, height });
      await page.evaluate((units) => localStorage.setItem('tide-pebble.units', JSON.stringify(units)), {
        system,
        fraction: 64,
        currency: '€',
      });
      const found: string[] = [];
      for (const view of VIEWS) {
        await page.goto(`${server.address}/${view}`);
        await expect(page.locator('main h1, main h2, main .view-title').first()).toBeVisible();
        await expect(page.locator('main [aria-busy=true], main mat-progress-bar')).toHaveCount(0, { timeout: 90_000 });
        found.push(...(await wordsAstray(page)).map((f) => `${view}: ${f}`));
      }
      expect(found).toEqual([]);
    });
