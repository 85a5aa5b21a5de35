/** A server of its own for a test, on a free port and a temporary folder; and the words the page is driven with. */
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test as base, type Locator, type Page } from '@playwright/test';

const root = fileURLToPath(new URL('../../', import.meta.url));

export class Server {
  readonly data = mkdtempSync(join(tmpdir(), 'tide-pebble-e2e-'));
  private process: ChildProcess | null = null;
  address = '';
  /** On the house's network, as this machine reaches it; empty where it is not open to it. */
  house = '';

  constructor(
    private readonly demo: boolean,
    private readonly isOpen = false,
  ) {}

  /** Resolves when the server says where it is. A second start takes the same port, and may serve another folder. */
  async start(data = this.data): Promise<void> {
    const port = this.address ? new URL(this.address).port : '0';
    const child = spawn(
      process.execPath,
      [
        join(root, 'dist/server/main.mjs'),
        ...['--port', port, '--data', data],
        ...(this.demo ? ['--demo'] : []),
        ...(this.isOpen ? ['--lan'] : []),
      ],
      { stdio: ['ignore', 'pipe', 'pipe'] },
    );
    this.process = child;
    let said = '';
    await new Promise<void>((ready, failed) => {
      const listen = (text: Buffer): void => {
        said += text.toString();
        const found = /http:\/\/127\.0\.0\.1:\d+/.exec(said);
        const house = /network at https:\/\/[\d.]+:(\d+)/.exec(said);
        if (found && (house || !this.isOpen)) {
          this.address = found[0];
          this.house = house ? `https://127.0.0.1:${house[1]}` : '';
          ready();
        }
      };
      child.stdout.on('data', listen);
      child.stderr.on('data', listen);
      child.once('exit', (code) => failed(new Error(`the server ended with ${code}: ${said}`)));
    });
  }

  async stop(signal: NodeJS.Signals = 'SIGTERM'): Promise<number | null> {
    const child = this.process;
    if (!child || child.exitCode !== null) return child?.exitCode ?? null;
    this.process = null;
    child.kill(signal);
    return new Promise((done) => child.once('exit', (code) => done(code)));
  }

  async end(): Promise<void> {
    await this.stop('SIGKILL');
    rmSync(this.data, { recursive: true, force: true });
  }
}

/** `demo` picks the demo scenario; without it the folder starts empty. */
export const test = base.extend<{ demo: boolean; isOpen: boolean; server: Server; bench: Page }>({
  demo: [false, { option: true }],
  /** Open to the house's network too. */
  isOpen: [false, { option: true }],
  server: async ({ demo, isOpen }, use) => {
    const server = new Server(demo, isOpen);
    await server.start();
    await use(server);
    await server.end();
  },
  bench: async ({ page, server }, use) => {
    const errors: string[] = [];
    page.on('pageerror', (error) => errors.push(error.message));
    // Going away and refusing are part of some tests; anything else in the console is a fault.
    page.on('console', (message) => {
      if (message.type() === 'error' && !/Failed to load resource|ERR_CONNECTION/.test(message.text()))
        errors.push(message.text());
    });
    await page.goto(server.address);
    await use(page);
    expect(errors).toEqual([]);
  },
});

export const goTo = async (page: Page, stage: string): Promise<void> => {
  await page
    .getByRole('navigation', { name: 'Stages' })
    .getByRole('link', { name: new RegExp(`^${stage}`) })
    .click();
};

/** Where the file lies that is saved by what is done. */
/** A rig of a family from the page where all are drawn; what no change cures is read and taken. */
export async function startOne(
  page: Page,
  family: string,
  { name = '', loadout }: { readonly name?: string; readonly loadout?: string } = {},
): Promise<void> {
  if (!new URL(page.url()).pathname.endsWith('/shelf/all')) {
    await goTo(page, 'Shelf');
    await page.getByRole('link', { name: 'All of them, drawn' }).click();
  }
  if (name) await page.getByPlaceholder('Limpet, say').fill(name);
  if (loadout) await page.getByLabel('For which loadout').selectOption({ label: loadout });
  await page.getByRole('button', { name: `Start this one: ${family}` }).click();
  await startedOne(page);
}
/** After the press: it is made ready first. */
export async function startedOne(page: Page): Promise<void> {
  const allTheSame = page.getByRole('button', { name: 'Start it all the same' });
  const there = page.waitForURL('**/frame', { timeout: 90_000 });
  await Promise.race([there, allTheSame.waitFor({ timeout: 90_000 })]);
  if (await allTheSame.isVisible()) await allTheSame.click();
  await there;
}
export const savedBy = async (page: Page, act: () => Promise<void>): Promise<string> => {
  const [file] = await Promise.all([page.waitForEvent('download'), act()]);
  return file.path();
};

/** Types into a field by its label and takes it with Enter. */
export const fill = async (page: Page | Locator, label: string, text: string): Promise<void> => {
  const field = page.getByLabel(label, { exact: true });
  await field.fill(text);
  await field.press('Enter');
};

/** Picks one out of a list that acts on choice: the field by its label, then the option. */
export const pick = async (page: Page, label: string, option: string): Promise<void> => {
  await page.getByLabel(label, { exact: true }).click();
  await page.getByRole('option', { name: option, exact: true }).click();
};

/** On an item's sheet: starts a measurement by its way's name. */
export const measure = async (page: Page, way: string): Promise<void> => {
  const another = page.getByRole('button', { name: 'Measure another way' });
  const button = page.getByRole('region', { name: 'Measure it' }).getByRole('button', { name: new RegExp(`^${way}`) });
  await button.or(another).first().waitFor();
  if ((await another.isVisible()) && (await another.getAttribute('aria-expanded')) === 'false') await another.click();
  const cards = page.locator('tp-measurement-card');
  const before = await cards.count();
  await button.first().click();
  // The new card takes the focus; typing elsewhere before that would be typing into it.
  await expect(cards).toHaveCount(before + 1);
  await expect(cards.last().locator('.readings input').first()).toBeFocused();
};

/** How many rigs the server keeps, once the shelf has a card for each: cards come one after the other. */
export const shelfWhole = async (page: Page): Promise<number> => {
  const kept = await page.request.get(new URL('/api/documents', page.url()).href);
  const { documents } = (await kept.json()) as { documents: readonly { kind: string }[] };
  const rigs = documents.filter((d) => d.kind === 'rig').length;
  await expect(page.locator('tp-rig-card')).toHaveCount(rigs);
  return rigs;
};

/** Each card of the shelf that is in view has been judged and drawn as well. */
export const shelfDrawn = async (page: Page): Promise<void> => {
  await shelfWhole(page);
  await expect
    .poll(() =>
      page
        .getByRole('article')
        .locator('.state')
        .evaluateAll(
          (all) => all.filter((e) => e.getBoundingClientRect().top < innerHeight && e.textContent.trim() === '').length,
        ),
    )
    .toBe(0);
};

export const allKept = async (page: Page): Promise<void> => {
  // What the last press changed is on the page by then: before, it may still read “All kept” of the change before.
  await page.evaluate(() => new Promise((shown) => requestAnimationFrame(() => requestAnimationFrame(shown))));
  await expect(page.getByRole('banner').getByRole('status')).toHaveText(/^All kept/);
};

/** A readout of the tide line by its name: the whole text of its button. */
export const readout = async (page: Page, name: string): Promise<string> =>
  (
    await page
      .getByRole('region', { name: 'Tide line' })
      .getByRole('button', { name: new RegExp(`^${name}`) })
      .innerText()
  ).replace(/\s+/g, ' ');

/** What only a rig that hangs on a joint is told. */
export const OF_WHAT_HANGS =
  /[Dd]rop time|lying level, let go|[Ll]et go lying|hangs? level|hangs wrong|hanging rig|shin height|rights itself|[Ii]t turns over|[Hh]ang (?:it|the rig)\b|Play the drop|rest upright/;

export { expect };

/** What an item's sheet keeps folded: lens and sensor, photo, points, states, what must stay free. */
export async function unfold(page: Page): Promise<void> {
  await page.getByText(/^More: lens and sensor/).click();
}

/** All steps of Build are drawn: they come from the top, a portion at a time. */
export const stepsStand = (page: Page): Promise<void> =>
  page.locator('.steps ol[aria-busy=false] > li strong').first().waitFor();
