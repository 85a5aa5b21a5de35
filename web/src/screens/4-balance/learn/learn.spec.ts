import { readings, washerName, type LogEntry } from '@tide-pebble/core';
import { benchAt } from '../../../testing/bench';
import { sheet } from '../../../testing/sheets';
import { type } from '../../../testing/type';
import { Learn } from './learn';

const bench = benchAt({ 'foot-count': 5, 'stage-fore-aft': -0.01 });
const reading = (seen: LogEntry['seen'], id = 'one'): LogEntry => ({
  id,
  rig: bench.rig.id,
  loadout: 'ebb',
  when: `2026-01-0${id.length}T10:00:00Z`,
  values: bench.values,
  expected: { noseDown: 0, leftSideDown: 0, dropPitch: null, dropSpread: null },
  seen,
  notes: '',
});

describe('learning from the bench', () => {
  it('keeps what is typed as a reading of the rig as it is set, and says the next move, which is set when done', async () => {
    const { page, fixture, workspace, documents, press, button } = await sheet(Learn, bench);
    expect(button('Keep this reading')!.disabled).toBeTrue();
    const seen = readings(bench.judged.evaluation);
    await type(page, 'Nose down', `${(((seen.noseDown ?? 0) * 180) / Math.PI + 4).toFixed(1)} deg`, () =>
      fixture.whenStable(),
    );
    await type(page, 'Drop time', '1.4 s', () => fixture.whenStable());
    await type(page, 'Drop time, again', '1.6 s', () => fixture.whenStable());
    // What is typed survives a reload.
    expect(JSON.parse(localStorage.getItem('tide-pebble.reading-draft')!)).toEqual(
      jasmine.objectContaining({ dropTimes: [1.4, 1.6] }),
    );
    await press('Keep this reading');
    const body = documents.committed[0]!.edits[0]!.body as LogEntry;
    expect(body.values).toEqual(bench.values);
    expect(body.seen.dropTimes).toEqual([1.4, 1.6]);
    expect(localStorage.getItem('tide-pebble.reading-draft')).toBeNull();
    expect(page.textContent).toContain('Reading 1');
    expect(page.querySelector('.next h2')!.textContent).toBe('Next move, by one reading');
    expect(page.querySelectorAll('.next li').length).toBeGreaterThan(0);
    await press('Done: it is set so');
    expect(workspace.set).toHaveSize(1);
    // Set so, it is where the learning wants it.
    expect(page.querySelector('.next')!.textContent).toContain('Nothing to move');
  });
  it('refuses a reading that cannot be, by its number, until it is taken out', async () => {
    const { page, press, documents } = await sheet(Learn, bench, (w) =>
      w.log$.next([reading({ noseDown: 0.05, dropTimes: [] }), reading({ mass: 20, dropTimes: [] }, 'two2')]),
    );
    expect(page.querySelector('[role=status]')!.textContent).toContain('Reading 2 cannot be');
    expect(page.querySelector('.next')).toBeNull();
    const out = [...page.querySelectorAll('button')].filter((b) => b.textContent.trim() === 'Take out');
    out[1]!.click();
    expect(documents.committed[0]!.edits[0]).toEqual({ kind: 'log', id: 'two2', body: null });
    await press(/^Take out$/);
  });
  it('names a mass that is plainly wrong, and what to do about it', async () => {
    const { page } = await sheet(Learn, benchAt({ 'foot-count': 5 }), (w) =>
      w.log$.next([reading({ mass: bench.judged.evaluation.mass + 0.12, dropTimes: [] })]),
    );
    expect(page.querySelector('.wrong')!.textContent).toContain('Suspect: the mass of');
    expect(page.querySelector('.wrong')!.textContent).toContain('Weigh it again');
  });
  it('moves on with the washers in the bin alone, where only those are wanted', async () => {
    // So quick a drop takes weight on the foot.
    const wants = { ...bench.rig.wants, onlyBin: true, dropTime: [0.6, 0.75] as const };
    const only = { ...bench, rig: { ...bench.rig, wants } };
    const { page, fixture, workspace } = await sheet(Learn, only, (w) =>
      w.log$.next([reading({ noseDown: 0.3, dropTimes: [0.7] })]),
    );
    const before = page.textContent;
    workspace.bin$.next([
      { id: 'b', name: washerName(bench.work.rig.bodies.flatMap((b) => b.stations)[0]!), count: 60, lengths: [] },
    ]);
    await fixture.whenStable();
    expect(page.textContent).not.toBe(before);
    expect(page.querySelector('.next')!.textContent).not.toContain('washers off, to 0');
  });
  it('offers one more field for a drop than there are drops, to three', async () => {
    const { page, fixture } = await sheet(Learn, bench);
    const fields = (): number =>
      [...page.querySelectorAll('label')].filter((l) => l.textContent.trim().startsWith('Drop time')).length;
    expect(fields()).toBe(1);
    await type(page, 'Drop time', '1.4 s', () => fixture.whenStable());
    await type(page, 'Drop time, again', '1.5 s', () => fixture.whenStable());
    await type(page, 'Drop time, once more', '1.6 s', () => fixture.whenStable());
    expect(fields()).toBe(3);
  });
  it('of a rig in the hand asks where it balances, and moves the mark by it', async () => {
    const boom = benchAt({}, 'boom');
    const { page, fixture, press } = await sheet(Learn, boom);
    expect(page.textContent).not.toMatch(/[Dd]rop time|turned over/);
    await type(page, 'Balances on a finger, ahead of the hand', '40 mm', () => fixture.whenStable());
    await press('Keep this reading');
    expect(page.querySelector('.next')!.textContent).toMatch(/Hold mark/i);
    expect(page.textContent).toMatch(/By these readings the mass centre lies/);
  });
  it('offers to take over what a clamp was read to hold', async () => {
    const { page, fixture, press, workspace } = await sheet(Learn, benchAt({}, 'swivel-grip'));
    await type(page, 'The wing-nut clamp slips at', '1.2 N m', () => fixture.whenStable());
    await press('Keep this reading');
    expect(page.textContent).toContain('slips at 1.20 N·m');
    await press('Take it as this rig’s own');
    expect(workspace.edited).toEqual([jasmine.objectContaining({ kind: 'friction' })]);
  });
});
