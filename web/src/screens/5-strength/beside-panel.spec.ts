import { benchAt } from '../../testing/bench';
import { sheet } from '../../testing/sheets';
import { of, throwError } from 'rxjs';
import { BesidePanel } from './beside-panel';

const SAVED = '2026-03-02T10:00:00.000Z';
const bench = benchAt({ 'foot-count': 10 });
const longer = {
  ...bench.rig,
  id: 'r2',
  name: 'Whelk',
  design: { ...bench.rig.design, dimensions: { bendInsideRadius: { value: 0.2 } } } as typeof bench.rig.design,
};
const shown = async () => {
  const made = await sheet(
    BesidePanel,
    bench,
    (workspace) => {
      workspace.rigs$.next([bench.rig, longer]);
    },
    { bench },
  );
  const pick = async (option: RegExp): Promise<void> => {
    const select = made.page.querySelector('select')!;
    select.value = [...select.options].find((o) => option.test(o.textContent))!.value;
    select.dispatchEvent(new Event('change'));
    await made.fixture.whenStable();
  };
  const tables = (): readonly string[] => [...made.page.querySelectorAll('table')].map((t) => t.textContent);
  return { ...made, pick, tables };
};

describe('a rig beside another', () => {
  it('shows both in figures, and what differs one at a time', async () => {
    const { pick, tables, page } = await shown();
    expect(tables()).toEqual([]);
    await pick(/Whelk/);
    const [both, differs] = tables();
    expect(both).toMatch(/Rings at[\d.]+ Hz[\d.]+ Hz/);
    expect(differs).toContain('200 mm');
    expect(page.textContent).not.toMatch(/NaN|undefined|Infinity/);
    await pick(/choose a rig/);
    expect(tables()).toEqual([]);
  });
  it('stands beside earlier saves of itself, and says when they cannot be had', async () => {
    const { page, press, pick, tables, fixture, api } = await shown();
    api.past = () => throwError(() => new Error('away'));
    api.onePast = () => of({ kind: 'rig', id: 'r1', revision: 1, body: longer, savedAt: SAVED });
    await press('Earlier saves of this one');
    expect(page.querySelector('[role=alert]')!.textContent).toContain('away');
    api.past = () => of([{ revision: 1, savedAt: SAVED }]);
    await press('Earlier saves of this one');
    await pick(/as saved 2 Mar/);
    await fixture.whenStable();
    expect(tables()[0]).toContain('as it was saved');
  });
});
