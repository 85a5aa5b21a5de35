/** The Frame stage in the real page: an edit with every check on, for a family's rig and a free frame of 200 members; and the 3D view turned. */
import { chromium, type Page } from '@playwright/test';
import { Server } from '../e2e/support/bench';
import { editTimes, watchEdits, type EditTimes } from './painted';
import { familyById, type Member, type Node, type Rig, type Vec3 } from '@tide-pebble/core';

export interface FrameTimes {
  /** An edit of a family's first size, for a demo rig of each. */
  readonly families: readonly { readonly rig: string; readonly times: EditTimes }[];
  readonly free: EditTimes;
  /** Frames a second while the 3D view turns, by rig. */
  readonly turning: readonly { readonly rig: string; readonly rate: number }[];
}
const EDITS = 60;
/** Typed figures do not come faster; what follows the figures is done by then. */
const PAUSE_MS = 150;
const TURNS = 90;

export async function measureFrame(only?: readonly string[]): Promise<FrameTimes> {
  const server = new Server(true);
  await server.start();
  const browser = await chromium.launch({
    executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium',
    args: ['--disable-background-networking', '--disable-frame-rate-limit', '--disable-gpu-vsync'],
  });
  try {
    const page = await (
      await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' })
    ).newPage();
    await page.addInitScript(() => Object.assign(globalThis, { __name: (f: unknown) => f }));
    await open(page, server, 'rig-limpet');
    const rigs = await page.evaluate(async () =>
      (
        (await (await fetch('/api/documents')).json()) as {
          documents: { kind: string; id: string; body: { design: { family?: string } } }[];
        }
      ).documents
        .filter((d) => d.kind === 'rig' && d.body.design.family !== undefined)
        .map((d) => d.id),
    );
    const families = [];
    for (const rig of only ?? rigs) {
      await open(page, server, rig);
      const size = page.locator('.row tp-quantity-field input').first();
      const shown = await size.inputValue();
      const other = shown.replace(/[\d.]+/, (n) => `${Number(n) + 1}`);
      families.push({ rig, times: await edits(page, (await size.getAttribute('id'))!, [other, shown]) });
    }
    const turning = [];
    for (const rig of ['rig-y-cockle', 'rig-y-barnacle', 'rig-limpet']) {
      await open(page, server, rig);
      turning.push({ rig, rate: await turnRate(page) });
    }
    await page.goto(`${server.address}/shelf`);
    await page.getByLabel('Rig file').setInputFiles({
      name: 'frame.rig.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify(bigFrame(200))),
    });
    await page.getByText('is on the shelf.').waitFor();
    await page.goto(`${server.address}/frame`);
    await page.getByRole('button', { name: /^member 0/ }).click();
    await page.locator('summary', { hasText: 'corners' }).click();
    await page.getByRole('button', { name: 'n 1', exact: true }).click();
    const height = await page.getByLabel('Above the middle', { exact: true }).first().getAttribute('id');
    return { families, free: await edits(page, height!, ['31 mm', '32 mm']), turning };
  } finally {
    await browser.close();
    await server.end();
  }
}

async function open(page: Page, server: Server, rig: string): Promise<void> {
  await page.goto(`${server.address}/shelf`);
  await page.evaluate((id) => localStorage.setItem('tide-pebble.rig', id), rig);
  await page.goto(`${server.address}/frame`);
  await page.locator('tp-rig-views svg').waitFor();
  await page.waitForTimeout(800);
}

/** Types one text and the other by turns, at no set time within the frames. */
async function edits(page: Page, field: string, texts: readonly [string, string]): Promise<EditTimes> {
  await watchEdits(page, 'change');
  await page.evaluate(
    async ([id, one, other, count, pause]) => {
      for (let n = 0; n < count; n++) {
        const input = document.getElementById(id) as HTMLInputElement;
        input.value = n % 2 === 0 ? one : other;
        input.dispatchEvent(new Event('input', { bubbles: true }));
        input.dispatchEvent(new Event('change', { bubbles: true }));
        await new Promise((done) => setTimeout(done, pause + ((n * 7) % 17)));
      }
    },
    [field, texts[0], texts[1], EDITS, PAUSE_MS] as const,
  );
  return editTimes(page);
}

async function turnRate(page: Page): Promise<number> {
  await page.getByRole('button', { name: 'In 3D' }).click();
  await page.locator('tp-rig-3d canvas').waitFor();
  await page.waitForTimeout(500);
  return page.evaluate(async (turns) => {
    const view = document.querySelector('tp-rig-3d')!;
    const started = performance.now();
    for (let n = 0; n < turns; n++) {
      view.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight' }));
      await new Promise((done) => requestAnimationFrame(done));
    }
    return (1000 * turns) / (performance.now() - started);
  }, TURNS);
}

/** A lattice of round rods, freed: so many members over a grid of corners, with the pipe post's plate to carry the camera. */
export function bigFrame(members: number): object {
  const post = familyById('pipe-post')!;
  const usual = post.build({
    dimensions: Object.fromEntries(post.dimensions.map((d) => [d.id, d.usual])),
    choices: Object.fromEntries(post.choices.map((c) => [c.id, c.usual])),
  });
  const stock = usual.bodies[0]!.members[0]!.stock;
  const nodes: Node[] = Array.from({ length: members + 1 }, (_, i) => ({
    id: `n-${i}`,
    at: [0.05 * (i % 10), 0.05 * (Math.floor(i / 10) % 5), 0.03 * Math.floor(i / 50)] as Vec3,
  }));
  const rods: Member[] = Array.from({ length: members }, (_, i) => ({
    id: `m-${i}`,
    name: `member ${i}`,
    from: `n-${i}`,
    to: `n-${i + 1}`,
    stock,
    leftLong: 0,
    holes: [],
    path: { kind: 'straight', widthDirection: [0, 1, 0] },
  }));
  const rig: Rig = { ...usual, bodies: [{ ...usual.bodies[0]!, nodes, members: rods, joints: [] }] };
  return {
    format: 'tide-pebble-rig',
    version: 1,
    kit: [],
    loadouts: [],
    setups: [],
    rig: {
      id: 'rig-lattice',
      name: 'Lattice',
      notes: '',
      design: { kind: 'free', rig },
      wants: { levelWithin: 0.0175, dropTime: [1.8, 2.4], massAtMost: 5, calmAtLeast: 5, shopPrice: 200 },
      loadout: null,
      done: {},
      kerf: 0.0015,
    },
  };
}
