import { benchAt } from '../../../testing/bench';
import { sheet, type Sheet } from '../../../testing/sheets';
import { SwingSheet } from './swing';

const trimmed = { 'foot-count': 5, 'pivot-height': 0.0075 };
const pick = async ({ page, fixture }: Sheet<SwingSheet>, label: string, option: RegExp): Promise<void> => {
  const select = page.querySelector<HTMLSelectElement>(`select[aria-label="${label}"]`)!;
  select.value = [...select.options].find((o) => option.test(o.textContent))!.value;
  select.dispatchEvent(new Event('change'));
  await fixture.whenStable();
};
const table = (page: HTMLElement): readonly string[][] =>
  [...page.querySelectorAll('tr')].map((tr) => [...tr.querySelectorAll('th,td')].map((c) => c.textContent.trim()));

describe('the swing', () => {
  it('is worked out beside the bare camera, with a figure for each', async () => {
    const { page, jobs } = await sheet(SwingSheet, benchAt(trimmed));
    expect([...jobs.asked].sort()).toEqual(['rung', 'swing']);
    const rows = table(page);
    expect(rows.length).toBeGreaterThan(8);
    for (const row of rows.slice(1))
      for (const cell of row.slice(1))
        expect(cell)
          .withContext(row[0]!)
          .toMatch(/\d|at once|not in the run/);
    expect(page.textContent).not.toMatch(/NaN|undefined|Infinity/);
  });
  it('offers a drop only to what hangs', async () => {
    const drops = async (family?: string): Promise<boolean> => {
      const { page } = await sheet(SwingSheet, benchAt(family ? {} : trimmed, family));
      return [...page.querySelectorAll('option')].some((o) => /drop/i.test(o.textContent));
    };
    expect(await drops()).toBeTrue();
    expect(await drops('hand-frame')).toBeFalse();
  });
  it('is worked out anew for another motion, and set beside nothing when asked', async () => {
    const swing = await sheet(SwingSheet, benchAt(trimmed));
    const said = (): string =>
      table(swing.page)
        .map((r) => r.join())
        .join(';');
    const before = said();
    await pick(swing, 'Motion', /stairs/i);
    expect(said()).not.toBe(before);
    await pick(swing, 'Beside', /^nothing$/);
    expect(table(swing.page)[1]!.length).toBe(2);
    // Two runs of one motion are the same to the last figure.
    const once = said();
    await pick(swing, 'Motion', /walk/i);
    await pick(swing, 'Motion', /stairs/i);
    expect(said()).toBe(once);
  });
  it('bends on top of its swing, which can be left out; another rig swings and bends beside it', async () => {
    const bench = benchAt(trimmed);
    const swing = await sheet(SwingSheet, bench, (workspace) =>
      workspace.rigs$.next([bench.rig, { ...benchAt({}, 'boom').rig, id: 'r2', name: 'Whelk' }]),
    );
    const walked = (): readonly string[] => table(swing.page).flat();
    const [bent, box] = [walked(), swing.page.querySelector<HTMLInputElement>('input[type=checkbox]')!];
    box.click();
    await swing.fixture.whenStable();
    expect(walked()).not.toEqual(bent);
    box.click();
    await swing.fixture.whenStable();
    expect(walked()).toEqual(bent);
    await pick(swing, 'Beside', /^Whelk$/);
    expect(table(swing.page)[0]).toEqual(['', 'this rig, as set', 'Whelk']);
    expect(swing.page.textContent).not.toMatch(/NaN|undefined|Infinity/);
  });
});
