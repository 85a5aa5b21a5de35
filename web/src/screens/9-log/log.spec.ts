import type { LogEntry } from '@tide-pebble/core';
import { benchAt } from '../../testing/bench';
import { sheet } from '../../testing/sheets';
import { type } from '../../testing/type';
import { Photos } from '../../services/photos';
import { until } from '../../testing/until';
import { Log } from './log';

const bench = benchAt({ 'foot-count': 5 });
const benchHangs = benchAt({ 'foot-count': 14, 'stage-fore-aft': -0.03 });

describe('the log', () => {
  it('keeps drops, leans and notes of the rig as it is set, beside what was expected', async () => {
    const { page, fixture, documents, press, button } = await sheet(Log, bench);
    expect(button('Keep this in the log')!.disabled).toBeTrue();
    await type(page, 'Drop time', '1.9 s', () => fixture.whenStable());
    await type(page, 'Drop time, again', '2.1 s', () => fixture.whenStable());
    await type(page, 'Nose down', '-2', () => fixture.whenStable());
    const [notes, wrong] = [...page.querySelectorAll('textarea')];
    for (const [field, words] of [
      [notes!, 'Wind from the sea.'],
      [wrong!, 'A nut came loose.'],
    ] as const) {
      field.value = words;
      field.dispatchEvent(new Event('input'));
    }
    await fixture.whenStable();
    await press('Keep this in the log');
    const entry = documents.committed[0]!.edits[0]!.body as LogEntry;
    expect(entry.seen.dropTimes).toEqual([1.9, 2.1]);
    expect(entry.seen.noseDown!).toBeCloseTo((-2 * Math.PI) / 180, 9);
    expect(entry.seen.leftSideDown).toBeUndefined();
    expect(entry.values).toEqual(bench.values);
    expect(page.querySelector('.seen')!.textContent).toMatch(/2\.00 s.*drop seen/);
    expect(page.querySelector('.seen')!.textContent).toContain('nose up');
    expect(page.textContent).toContain('Wind from the sea.');
    expect(entry.wrong).toBe('A nut came loose.');
    // Nothing of it is left for the next one.
    expect([notes!.value, wrong!.value]).toEqual(['', '']);
    expect(button('Keep this in the log')!.disabled).toBeTrue();
  });
  it('takes a drop out again before it is kept, and forgets nothing at a reload', async () => {
    const first = await sheet(Log, bench);
    await type(first.page, 'Drop time', '1.9 s', () => first.fixture.whenStable());
    await type(first.page, 'Drop time, again', '2.6 s', () => first.fixture.whenStable());
    first.page.querySelector<HTMLButtonElement>('.drops button:last-child')!.click();
    await first.fixture.whenStable();
    expect(first.page.querySelectorAll('.drops button')).toHaveSize(1);
    first.fixture.destroy();
    const again = await sheet(Log, bench);
    expect([...again.page.querySelectorAll('.drops button')].map((b) => b.textContent.trim())).toEqual(['1.90 s ×']);
  });
  it('asks of a held rig what it can answer: no drop, but its grips on a scale, and keeps that', async () => {
    const { page, fixture, documents, press } = await sheet(Log, benchAt({}, 'hand-frame'));
    expect(page.querySelector('.watch')).toBeNull();
    expect(page.textContent).not.toMatch(/[Dd]rop|upright|Nose down/);
    await type(page, 'Hand scale under the left hand', '9 N', () => fixture.whenStable());
    await press('Keep this in the log');
    const entry = documents.committed[0]!.edits[0]!.body as LogEntry;
    expect(entry.seen.others).toEqual([jasmine.objectContaining({ kind: 'gripScale', value: 9 })]);
    expect(page.querySelector('.log li')!.textContent).toMatch(/hand scale under the left hand 9\.0 N/);
  });
  it('keeps photos with an entry, shows them, and takes one off again before', async () => {
    const { page, fixture, documents, press, button } = await sheet(Log, bench);
    const photos = fixture.debugElement.injector.get(Photos);
    const keep = spyOn(photos, 'keep');
    const photo = (n: number) => ({ id: `${n}`.repeat(64), width: 4, height: 3 });
    const choose = async (...names: string[]): Promise<void> => {
      const files = new DataTransfer();
      for (const name of names) files.items.add(new File(['x'], name, { type: 'image/png' }));
      const field = page.querySelector<HTMLInputElement>('tp-photo-field input')!;
      field.files = files.files;
      field.dispatchEvent(new Event('change'));
      await fixture.whenStable();
    };
    keep.and.returnValues(Promise.resolve(photo(1)), Promise.resolve(photo(2)));
    await choose('a.png', 'b.png');
    await until(() => page.querySelectorAll('.pictures button').length === 2, 'two photos');
    keep.and.rejectWith(new Error('This picture is larger than 40 MB. Make it smaller first.'));
    await choose('c.png');
    await until(() => page.querySelector('tp-photo-field .wrong'), 'the reason');
    expect(page.querySelectorAll('.pictures button')).toHaveSize(2);
    page.querySelector<HTMLButtonElement>('.pictures button')!.click();
    await fixture.whenStable();
    expect(button('Keep this in the log')!.disabled).toBeFalse();
    await press('Keep this in the log');
    const entry = documents.committed[0]!.edits[0]!.body as LogEntry;
    expect(entry.photos).toEqual([photo(2)]);
    expect(page.querySelector<HTMLImageElement>('li .pictures img')!.src).toContain(`/api/photos/${'2'.repeat(64)}`);
    expect(page.querySelectorAll('.pictures button')).toHaveSize(0);
  });
  it('tells what a reading most likely comes from, and nothing of one that is as expected', async () => {
    const entry = (id: string, noseDown: number): LogEntry => ({
      id,
      rig: 'r1',
      loadout: 'ebb',
      when: `2026-02-0${id}T10:00:00Z`,
      values: benchHangs.values,
      expected: {
        noseDown: benchHangs.judged.evaluation.hung!.hang.rest!.noseDown,
        leftSideDown: 0,
        dropPitch: null,
        dropSpread: null,
      },
      seen: { dropTimes: [], noseDown },
      notes: '',
    });
    const { page } = await sheet(Log, benchHangs, (w) => {
      w.rigs$.next([benchHangs.rig]);
      w.log$.next([entry('1', benchHangs.judged.evaluation.hung!.hang.rest!.noseDown), entry('2', 0.5)]);
    });
    await until(() => page.textContent!.includes('By this reading alone.'), 'a cause');
    const [newest, other] = [...page.querySelectorAll('.log li')].map((l) => l.textContent);
    expect(newest).toContain('By this reading alone.');
    expect(other).not.toContain('By this reading alone');
  });
  it('starts and stops the watch with the space bar, but not from within a field', async () => {
    const { page, fixture } = await sheet(Log, bench);
    const watch = (): string => page.querySelector('.watch span:last-child')!.textContent;
    expect(watch()).toBe('Let go');
    document.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', bubbles: true, cancelable: true }));
    await fixture.whenStable();
    expect(watch()).toBe('Upright');
    page.querySelector<HTMLElement>('.watch')!.click();
    await fixture.whenStable();
    expect(watch()).toBe('Let go');
    page
      .querySelector('textarea')!
      .dispatchEvent(new KeyboardEvent('keydown', { key: ' ', bubbles: true, cancelable: true }));
    await fixture.whenStable();
    expect(watch()).toBe('Let go');
  });
  it('deletes an entry with a way back, and says what an entry tells', async () => {
    const entry: LogEntry = {
      id: 'e1',
      rig: 'r1',
      loadout: 'ebb',
      when: '2026-02-03T10:00:00Z',
      values: bench.values,
      expected: { noseDown: 0, leftSideDown: 0, dropPitch: 2, dropSpread: 0.05 },
      seen: { dropTimes: [0.9], noseDown: 0.2 },
      notes: '',
    };
    const { page, fixture, documents, said } = await sheet(Log, bench, (w) =>
      w.log$.next([entry, { ...entry, id: 'e2', rig: 'r9' }]),
    );
    expect(page.querySelectorAll('.log li')).toHaveSize(1);
    expect(page.querySelectorAll('.log li p').length).toBeGreaterThan(1);
    page.querySelector<HTMLButtonElement>('button[aria-label^="Delete the entry"]')!.click();
    await fixture.whenStable();
    expect(documents.committed[0]!.edits).toEqual([{ kind: 'log', id: 'e1', body: null }]);
    expect(said).toEqual(['The entry is deleted.']);
    expect(page.textContent).toContain('Nothing logged yet');
  });
  it('finds words in what was kept, of this rig or all, and keeps what to try beside what went wrong', async () => {
    const { page, fixture, documents, press } = await sheet(Log, bench);
    const write = async (label: string, text: string): Promise<void> => {
      const field = [...page.querySelectorAll('label.stack')]
        .find((l) => l.textContent.trim().startsWith(label))!
        .querySelector<HTMLInputElement | HTMLTextAreaElement>('textarea, input')!;
      field.value = text;
      field.dispatchEvent(new Event('input'));
      await fixture.whenStable();
    };
    for (const [wrong, toTry] of [
      ['dipped', 'a pin'],
      ['rang', 'glue'],
      ['dipped again', ''],
      ['slipped', 'tape'],
      ['rang', 'foam'],
    ]) {
      await write('What went wrong', wrong!);
      await write('What to try next', toTry!);
      await press('Keep this in the log');
    }
    const kept = documents.committed.map((c) => c.edits[0]!.body as LogEntry);
    expect(kept.map((e) => [e.wrong, e.toTry])).toContain(['dipped again', undefined]);
    const seek = page.querySelector<HTMLInputElement>('input[type=search]')!;
    seek.value = 'rang foam';
    seek.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    expect(page.textContent).toContain('1 of 5');
    expect(page.querySelectorAll('.log li').length).toBe(1);
    seek.value = 'whale';
    seek.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    expect(page.textContent).toContain('Nothing in the log has all these words.');
  });
});
