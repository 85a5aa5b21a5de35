import type { LogEntry } from '@tide-pebble/core';
import { FAMILIES } from '@tide-pebble/core';
import { benchAt } from '../../../testing/bench';
import { sheet } from '../../../testing/sheets';
import { until } from '../../../testing/until';
import { type } from '../../../testing/type';
import { Hang } from './hang';

const bench = benchAt({ 'foot-count': 5, 'stage-fore-aft': -0.01 });
const boxes = (page: HTMLElement) => [...page.querySelectorAll<HTMLInputElement>('.part input')];

describe('set it and read it', () => {
  afterEach(() => localStorage.clear());

  it('ticks off what is set, which lasts a reload, and asks again for what has moved since', async () => {
    const first = await sheet(Hang, bench);
    const count = boxes(first.page).length;
    expect(count).toBeGreaterThan(2);
    for (const box of boxes(first.page)) box.click();
    await first.fixture.whenStable();
    expect(first.page.textContent).toContain('All set.');
    const again = await sheet(Hang, bench);
    expect(boxes(again.page).every((b) => b.checked)).toBeTrue();
    const moved = await sheet(Hang, benchAt({ 'foot-count': 6, 'stage-fore-aft': -0.01 }));
    expect(boxes(moved.page).filter((b) => !b.checked)).toHaveSize(1);
    expect(moved.page.textContent).toContain(`1 of ${count} to set`);
  });
  it('keeps a reading, tells the next move large, and done stands as set; then reads on', async () => {
    const { page, fixture, documents, workspace, press, button } = await sheet(Hang, bench);
    expect(button('Keep this reading')!.disabled).toBeTrue();
    await type(page, 'Nose down', '4 deg', () => fixture.whenStable());
    await press('Keep this reading');
    const entry = documents.committed[0]!.edits[0]!.body as LogEntry;
    expect(entry.seen.noseDown).toBeCloseTo(0.0698, 3);
    expect(page.querySelectorAll('.move').length).toBeGreaterThan(0);
    await press('Done: it is set so');
    expect(workspace.set).toHaveSize(1);
    expect(boxes(page).every((b) => b.checked)).toBeTrue();
    // In its pool by what was learned: now what is looked at before each take.
    expect(page.textContent).toContain('Nothing to move');
    expect(page.querySelector('#walk')).not.toBeNull();
  });
  it('does not call it in its pool when the last reading, set so, says otherwise', async () => {
    const { page, fixture, documents, workspace, press } = await sheet(Hang, bench);
    await type(page, 'Nose down', '4 deg', () => fixture.whenStable());
    await press('Keep this reading');
    await press('Done: it is set so');
    const first = documents.committed[0]!.edits[0]!.body as LogEntry;
    const lean = (noseDown: number, hour: number): LogEntry => ({
      ...first,
      id: `again${hour}`,
      when: `2027-01-01T${hour}:00:00Z`,
      values: workspace.set[0]!,
      seen: { dropTimes: [], noseDown },
    });
    const level = [10, 11, 12, 13].map((hour) => lean(0, hour));
    workspace.log$.next([first, ...level]);
    await until(() => page.querySelector('#walk'), 'the pool');
    workspace.log$.next([first, ...level, lean(bench.rig.wants.levelWithin * 1.3, 14)]);
    await until(() => page.textContent.includes('read it once more'), 'that it is denied');
    expect(page.querySelector('#walk')).toBeNull();
    expect(page.textContent).not.toContain('Nothing to move');
  });
  for (const { id } of FAMILIES)
    it(`says of ${id} only what it can do`, async () => {
      const { page } = await sheet(Hang, benchAt({}, id));
      expect(page.textContent).not.toMatch(/NaN|undefined|null/);
      const hangs = page.textContent.includes('Drop time');
      expect(page.querySelector('tp-stopwatch') !== null).toBe(hangs);
      expect(page.textContent.includes('Try the clamp')).toBe(hangs);
    });
});
