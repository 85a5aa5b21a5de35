import { trim } from '@tide-pebble/core/bench';
import { benchAt } from '../../../testing/bench';
import { sheet } from '../../../testing/sheets';
import { type } from '../../../testing/type';
import { AccuracySheet } from './accuracy';

const bare = benchAt({});
const found = trim(bare.work.assembly, {}, bare.rig.wants);
const trimmed = found.kind === 'solved' ? found.values : {};

describe('what must be accurate', () => {
  it('is worked out when asked, the tightest first, with the chance of a build; rougher work makes it stale', async () => {
    const { page, fixture, press, jobs } = await sheet(AccuracySheet, benchAt(trimmed));
    expect(jobs.asked).toEqual([]);
    await press('Work it out');
    const names = (): string[] => [...page.querySelectorAll('tbody th')].map((th) => th.textContent);
    expect(names().length).toBeGreaterThan(3);
    expect(page.textContent).toMatch(/Of 10,000 such builds/);
    expect(page.querySelector('.big')!.textContent).toMatch(/%|practically all/);
    for (const td of page.querySelectorAll('td.figure')) expect(td.textContent).toMatch(/any|mm|°|g/);
    await type(page, 'Lengths, give or take', '3 mm', () => fixture.whenStable());
    expect(names()).toEqual([]);
    await press('Work it out');
    // Rough work wants care in more of them, or at the same ones sooner.
    expect(names().length).toBeGreaterThan(3);
  });
  it('of axes inside axes asks whether every axis can be balanced', async () => {
    const { page, press } = await sheet(AccuracySheet, benchAt({}, 'three-axis-frame'));
    await press('Work it out');
    expect(page.querySelectorAll('tbody th').length).toBeGreaterThan(3);
    expect(page.textContent).toContain('can be balanced on every axis, as near as its friction hides');
  });
  it('of a set-up that does not do what is wanted wherever its slides go says so, and no leeway of nothing', async () => {
    const { page, press } = await sheet(AccuracySheet, benchAt({}));
    await press('Work it out');
    expect(page.textContent).toMatch(/is not met wherever its slides go: no leeway is left to be told/);
    expect(page.querySelectorAll('tbody th').length).toBe(0);
  });
  it('lights up what a row is about', async () => {
    const { page, press, fixture } = await sheet(AccuracySheet, benchAt(trimmed));
    await press('Work it out');
    const row = page.querySelector('tbody tr')!;
    row.dispatchEvent(new MouseEvent('mouseenter'));
    await fixture.whenStable();
    expect(row.classList).toContain('lit');
    row.dispatchEvent(new MouseEvent('mouseleave'));
    await fixture.whenStable();
    expect(row.classList).not.toContain('lit');
  });
});
