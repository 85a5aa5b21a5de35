/** Every view of every family's rig, as shipped and as started, read word by word: nothing a maker could not take for a figure or a name. */
import { FAMILIES, familyById, type KitItem, type Loadout, type RigDocument } from '@tide-pebble/core';
import { startRig } from '@tide-pebble/core/bench';
import type { Page } from '@playwright/test';
import { expect, OF_WHAT_HANGS, test } from '../support/bench';
import { oneOfEachWay } from '../support/families';
import { OF_THE_BENCH } from '../support/views';

const ALL = ['shelf', ...OF_THE_BENCH];
/** Where a rig that was just started has faults and figures that the shipped one has not. */
const OF_THE_RIG = ['balance', 'strength', 'stock', 'build', 'build/patterns'];

/** What must not stand on any page. */
const FAULTS: readonly (readonly [string, RegExp])[] = [
  ['what is no figure', /\bNaN\b|\bundefined\b|\bnull\b|Infinity|\[object/],
  [
    'a range of one figure',
    /(?<![\d.,/])(?:from )?(\d[\d,./]*(?: \d+\/\d+)? (?:mm|in|thou|g|kg|oz|lb|s|min|N·m|N|lbf|Hz|MPa|%))(?: to |–)\1(?![\d.])/,
  ],
  ['a range in two units', /\d s (?:to|–) \d[\d.]* (?:min|h)\b/],
  ['known to nothing', /± 0(?:\.0+)? ?(?:mm|in|thou|g|oz|s|°|N)/],
  ['more digits than any scale has', /\d\.\d{4,}|\d{7,}/],
  ['less than nothing of a size', /(?:^|\s)-0(?:\.0+)?\s?(?:mm|in|g|°|s|%)/],
  ['a figure without its unit', /(?<!at )\b\d+(?:\.\d+)? (?:to|±) \d+(?:\.\d+)?(?=[;)]|\.(?!\d)|$)/m],
];

interface Shown {
  readonly rig: RigDocument;
  /** Names inside the program: of two words or more, or with a number, so that none is a word of the language. */
  readonly marks: readonly string[];
}

function marksOf(value: unknown, found = new Set<string>()): Set<string> {
  if (Array.isArray(value)) value.forEach((v) => marksOf(v, found));
  else if (value !== null && typeof value === 'object') {
    for (const [key, v] of Object.entries(value)) {
      if (
        ['id', 'target', 'member', 'node', 'part', 'body', 'pivot'].includes(key) &&
        typeof v === 'string' &&
        /^[a-z]+(-[a-z0-9]+)+$/.test(v)
      )
        found.add(v);
      marksOf(v, found);
    }
  }
  return found;
}

/** The text a maker sees, once nothing on it changes any more. */
async function words(page: Page, view: string): Promise<string> {
  await page.evaluate((url) => {
    history.pushState({}, '', url);
    dispatchEvent(new PopStateEvent('popstate'));
  }, `/${view}`);
  await expect(page.locator('main h1, main h2, main .view-title').first()).toBeVisible();
  let before = '';
  await expect
    .poll(
      async () => {
        const now = await page.evaluate(() =>
          document.querySelector('[role=progressbar]')
            ? `working ${performance.now()}`
            : [
                document.body.innerText,
                ...[...document.querySelectorAll('[aria-label], [title]')].map(
                  (e) => `${e.getAttribute('aria-label') ?? ''}\n${e.getAttribute('title') ?? ''}`,
                ),
                ...[...document.querySelectorAll('input:not([type=range])')].map((e) => (e as HTMLInputElement).value),
              ].join('\n'),
        );
        const same = now === before;
        before = now;
        return same;
      },
      { intervals: [60, 60, 60, 120], timeout: 60_000 },
    )
    .toBe(true);
  return before;
}

function faultsOf(text: string, { marks }: Shown): string[] {
  const around = (at: number): string => text.slice(Math.max(0, at - 50), at + 50).replace(/\s+/g, ' ');
  return [
    ...FAULTS.flatMap(([what, pattern]) =>
      [...text.matchAll(new RegExp(pattern, `${pattern.flags}g`))]
        .slice(0, 3)
        .map((m) => `${what}: …${around(m.index)}…`),
    ),
    ...marks.flatMap((mark) => {
      const at = text.search(new RegExp(`(?<![\\w-])${mark}(?![\\w-])`));
      return at < 0 ? [] : [`a name inside the program: …${around(at)}…`];
    }),
  ];
}

/** Families that hang on a joint; of all others no screen speaks of a drop, of hanging level, or of turning over. */
const HANGS = ['balance-arm', 'gimballed-bent-bar', 'tube-frame'];
const ONE_OF_EACH_WAY = ['balance-arm', 'boom', 'helmet-pole', 'printed-phone-frame', 'three-axis-frame'];
/** Sheets that speak of one rig, and of no other. */
const OF_ONE = [
  'frame',
  'balance',
  'strength',
  'balance/set-ups',
  'balance/learn',
  'balance/accuracy',
  'stock',
  'build',
  'build/patterns',
  'field',
  'log',
];

test.use({ demo: true });
test.describe.configure({ mode: 'parallel' });
for (const family of oneOfEachWay(
  FAMILIES.map((f) => f.id),
  ONE_OF_EACH_WAY,
)) {
  test(`every word of a ${family}`, async ({ bench: page, server }) => {
    test.setTimeout(300_000);
    const { documents, folder } = (await (await page.request.get(`${server.address}/api/documents`)).json()) as {
      folder: string;
      documents: { kind: string; id: string; body: unknown }[];
    };
    const all = <T>(kind: string): T[] => documents.filter((d) => d.kind === kind).map((d) => d.body as T);
    const shipped = all<RigDocument>('rig').find((r) => r.design.kind === 'family' && r.design.family === family)!;
    const kit = new Map(all<KitItem>('kit').map((k) => [k.id, k]));
    const loadout = all<Loadout>('loadout').find((l) => l.id === shipped.loadout)!;
    const { design, values } = startRig(familyById(family)!, loadout, kit, shipped.wants);
    const started: RigDocument = { ...shipped, id: 'started', name: 'Started', done: {}, design };
    await page.request.post(`${server.address}/api/changes`, {
      headers: { 'X-Data-Folder': folder },
      data: {
        changes: [
          { kind: 'rig', id: 'started', revision: 0, body: started },
          {
            kind: 'setup',
            id: 'of-started',
            revision: 0,
            body: { id: 'of-started', rig: 'started', loadout: loadout.id, values },
          },
        ],
      },
    });
    const found: string[] = [];
    for (const [rig, system, views] of [
      [shipped, 'inch', ALL],
      [started, 'mm', OF_THE_RIG],
    ] as const) {
      await page.evaluate(
        ([id, units]) => {
          localStorage.setItem('tide-pebble.rig', id!);
          localStorage.setItem('tide-pebble.units', units!);
        },
        [rig.id, JSON.stringify({ system, fraction: 32 })],
      );
      await page.goto(`${server.address}/frame`);
      await page.reload();
      const shown: Shown = { rig, marks: [...marksOf(rig.design)] };
      for (const view of views) {
        const text = await words(page, view);
        found.push(...faultsOf(text, shown).map((f) => `${view}, ${rig.name}: ${f}`));
        const foreign = !HANGS.includes(family) && OF_ONE.includes(view) ? OF_WHAT_HANGS.exec(text) : null;
        if (foreign)
          found.push(
            `${view}, ${rig.name}: of what hangs: …${text.slice(Math.max(0, foreign.index - 50), foreign.index + 50)}…`,
          );
      }
    }
    expect(found).toEqual([]);
  });
}
