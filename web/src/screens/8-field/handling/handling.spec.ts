import type { LogEntry } from '@tide-pebble/core';
import { benchAt } from '../../../testing/bench';
import { sheet } from '../../../testing/sheets';
import { PackAndSetUp } from './handling';

const bench = benchAt({ 'foot-count': 14, 'stage-fore-aft': -0.03 });
const withBag = (bag: readonly [number, number, number]) => ({
  ...bench,
  rig: { ...bench.rig, wants: { ...bench.rig.wants, bag: [...bag] as [number, number, number] } },
});

describe('packing and setting up', () => {
  beforeEach(() => ['tide-pebble.packed', 'tide-pebble.splits'].forEach((k) => localStorage.removeItem(k)));

  it('lists what goes into the bag, ticked off over a reload, and takes all ticks off again', async () => {
    const first = await sheet(PackAndSetUp, bench);
    const boxes = (page: HTMLElement) => [...page.querySelectorAll<HTMLInputElement>('.part input')];
    const all = boxes(first.page).length;
    expect(all).toBeGreaterThan(2);
    boxes(first.page)[0]!.click();
    await first.fixture.whenStable();
    expect(first.page.textContent).toContain(`${all - 1} of ${all} to pack`);
    first.fixture.destroy();
    const again = await sheet(PackAndSetUp, bench);
    expect(boxes(again.page).filter((b) => b.checked)).toHaveSize(1);
    await again.press('Take all ticks off');
    expect(again.page.textContent).toContain(`${all} of ${all} to pack`);
  });

  it('says of a bag that is too small what stands out, and of a large one that it fits', async () => {
    const small = await sheet(PackAndSetUp, withBag([0.1, 0.08, 0.05]));
    expect(small.page.querySelector('.wrong')!.textContent).toMatch(
      /does not go in its bag: the piece with the .* is too large by \d+ mm/,
    );
    small.fixture.destroy();
    const large = await sheet(PackAndSetUp, withBag([1.5, 1, 1]));
    expect(large.page.querySelector('.wrong')).toBeNull();
    expect(large.page.textContent).toContain('with what is mounted too');
  });

  it('times it step by step, goes on over a reload, takes a step back, and keeps the splits in the log', async () => {
    let now = Date.parse('2026-06-14T10:00:00Z');
    spyOn(Date, 'now').and.callFake(() => now);
    const first = await sheet(PackAndSetUp, bench);
    expect(first.page.textContent).toContain('Never timed');
    await first.press('Time it, step by step');
    const watch = (page: HTMLElement) => page.querySelector<HTMLButtonElement>('.watch');
    const steps = Number(/Step 1 of (\d+)/.exec(watch(first.page)!.textContent)![1]);
    const done = async (of: Pick<typeof first, 'page' | 'fixture'>, seconds: number): Promise<void> => {
      now += 1000 * seconds;
      watch(of.page)!.click();
      await of.fixture.whenStable();
    };
    await done(first, 20);
    await done(first, 5);
    await first.press('One step back');
    expect(watch(first.page)!.textContent).toContain('Step 2 of');
    first.fixture.destroy();
    const again = await sheet(PackAndSetUp, bench);
    expect(watch(again.page)!.textContent).toContain('Step 2 of');
    for (let i = 1; i < steps; i++) await done(again, 30 + i);
    const entry = again.documents.committed[0]!.edits[0]!.body as LogEntry;
    expect(entry.timed!.what).toBe('setUp');
    expect(entry.timed!.splits.map((s) => s.seconds)).toEqual([
      20,
      36,
      ...Array.from({ length: steps - 2 }, (_, i) => 32 + i),
    ]);
    expect(again.page.textContent).toMatch(/Timed once: .* min/);
    expect(again.page.textContent).toContain('What would spare most');
    expect(watch(again.page)).toBeNull();
  });

  it('leaves a timing that was begun, and keeps nothing of it', async () => {
    const { page, press, documents } = await sheet(PackAndSetUp, bench);
    await press('Breaking it down');
    await press('Time it, step by step');
    expect([...page.querySelectorAll<HTMLButtonElement>('.way')].every((b) => b.disabled)).toBeTrue();
    await press('Leave it');
    expect(page.querySelector('.watch')).toBeNull();
    expect(documents.committed).toEqual([]);
  });
});
