import type { BinItem } from '@tide-pebble/core';
import { barPlans, takenBy } from '@tide-pebble/core/making';
import { benchAt, camera, loadout } from '../../../testing/bench';
import { pause } from '../../../testing/pause';
import { screen } from '../../../testing/store';
import { until } from '../../../testing/until';
import { Bin } from './bin';

const { rig: limpet } = benchAt({});
const post = benchAt({}, 'pipe-post');
const other = { ...limpet, id: 'r2', name: 'Other' };
const washers: BinItem = { id: 'b1', name: 'M10 wide washer 30 mm', count: 1, lengths: [] };
const rod: BinItem = { id: 'b2', name: 'brass rod', count: 0, lengths: [0.4, 1] };

async function open(rig = limpet) {
  const made = await screen(Bin, { rig: [rig, other], kit: [camera], loadout: [loadout], bin: [washers, rod] });
  const { page, fixture } = made;
  await until(() => page.querySelectorAll('.row').length > 0, 'what lies in the bin');
  const box = (label: string): HTMLInputElement => page.querySelector(`[aria-label="${label}"]`)!;
  const names = (): readonly string[] => [...page.querySelectorAll('.row strong')].map((n) => n.textContent);
  const change = async (input: HTMLInputElement, text: string, kind: string): Promise<void> => {
    input.value = text;
    input.dispatchEvent(new Event(kind, { bubbles: true }));
    await pause(fixture);
  };
  return { ...made, box, names, change };
}

describe('your bin', () => {
  it('finds by name or by where it lies, and forgets a place that is emptied', async () => {
    const { box, names, change, documents } = await open();
    expect(names()).toEqual(['brass rod', washers.name]);
    await change(box('Where it lies: brass rod'), ' jar 3 ', 'change');
    expect(documents.get('bin', 'b2')?.place).toBe('jar 3');
    await change(box('Find in the bin'), 'JAR', 'input');
    expect(names()).toEqual(['brass rod']);
    await change(box('Where it lies: brass rod'), '  ', 'change');
    expect('place' in documents.get('bin', 'b2')!).toBeFalse();
  });

  it('says what two rigs want at once, and how many are short', async () => {
    const { page, fixture } = await open();
    await until(() => page.textContent.includes('for Limpet'), 'who wants it');
    const pick = [...page.querySelectorAll('[column] mat-checkbox')].find((b) => b.textContent.trim() === 'Other')!;
    pick.querySelector<HTMLInputElement>('input')!.click();
    await pause(fixture);
    await until(() => /\d+ for Limpet, \d+ for Other; \d+ short/.test(page.textContent), 'both');
    expect(page.querySelector('.row .wrong')!.textContent).toMatch(/[1-9]\d* short/);
  });

  it('adds a thing or a length, and says so where it lies there already', async () => {
    const { page, change, documents, fixture } = await open();
    const named = page.querySelector<HTMLInputElement>('.add input')!;
    const add = async (): Promise<void> => {
      page.querySelector<HTMLFormElement>('.add')!.requestSubmit();
      await pause(fixture);
    };
    await add();
    expect(page.querySelector('#bin-refused')!.textContent).toContain('Type what it is');
    await change(named, 'M6 washer', 'input');
    await add();
    expect(documents.all('bin').find((b) => b.name === 'M6 washer')?.count).toBe(1);
    await change(named, 'BRASS rod', 'input');
    await add();
    expect(page.querySelector('#bin-refused')!.textContent).toContain('lies there already');
    expect(documents.all('bin')).toHaveSize(3);
  });

  it('takes the rig apart: what comes back is told before, lies in the bin after, and can be undone', async () => {
    const bar = barPlans(post.work.rig)[0]!;
    const step = { id: 'all', handles: [bar.member] };
    const { taken } = takenBy(step, [], [], { rig: post.work.rig, kerf: limpet.kerf, plan: null }, () => 'x');
    const { page, press, documents } = await open({ ...post.rig, done: { all: true }, taken: [...taken] });
    await until(() => page.textContent.includes('Built into Limpet'), 'what is built in');
    await press(/Take it apart/);
    const rig = documents.get('rig', 'r1')!;
    expect([rig.done, rig.taken]).toEqual([{}, undefined]);
    expect(documents.all('bin').find((b) => b.name === bar.stock)?.lengths[0]).toBeCloseTo(bar.blank, 9);
    documents.undo();
    expect(documents.get('rig', 'r1')?.taken).toHaveSize(1);
  });
});
