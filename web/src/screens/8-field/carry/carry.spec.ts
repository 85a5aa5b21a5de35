import type { LogEntry } from '@tide-pebble/core';
import { benchAt } from '../../../testing/bench';
import { sheet } from '../../../testing/sheets';
import { until } from '../../../testing/until';
import { CarryIt } from './carry';

describe('how to carry it', () => {
  beforeEach(() => localStorage.removeItem('tide-pebble.splits'));

  it('tells habits with this rig’s own figures, a drill each and how it is measured', async () => {
    const { page } = await sheet(CarryIt, benchAt({ 'foot-count': 14, 'stage-fore-aft': -0.03 }));
    await until(() => page.querySelectorAll('section h2').length > 2, 'the guides');
    expect(page.textContent).toMatch(/before the shoulder it asks \d+ % of its strength/);
    expect(page.textContent).toMatch(/swings to and fro once in [\d.]+ s/);
    expect(page.querySelectorAll('.lead').length).toBeGreaterThan(2);
    expect(page.querySelector('a[href="/log/steady"]')).not.toBeNull();
  });

  it('times a hold over a reload, and keeps it as a reading; what was too short is not kept', async () => {
    let now = Date.parse('2026-06-14T10:00:00Z');
    spyOn(Date, 'now').and.callFake(() => now);
    const bench = benchAt({}, 'hand-frame');
    const first = await sheet(CarryIt, bench);
    await first.press('Hold it now');
    now += 1000;
    await first.press(/Put down/);
    expect(first.documents.committed).toEqual([]);
    await first.press('Hold it now');
    now += 95_000;
    first.fixture.destroy();
    const again = await sheet(CarryIt, bench);
    await again.press(/Put down/);
    const { seen } = again.documents.committed[0]!.edits[0]!.body as LogEntry;
    expect(seen.others).toEqual([jasmine.objectContaining({ kind: 'heldFor', value: 95 })]);
  });

  it('leaves a hold that was begun, and keeps nothing', async () => {
    const { page, press, documents } = await sheet(CarryIt, benchAt({}, 'hand-frame'));
    await press('Hold it now');
    await press('Leave it');
    expect(page.querySelector('.watch')).toBeNull();
    expect(documents.committed).toEqual([]);
  });
});
