import { FAMILIES } from '@tide-pebble/core';
import { benchAt, camera, loadout } from '../../../testing/bench';
import { pressInDialog } from '../../../testing/dialog';
import { pause } from '../../../testing/pause';
import { screen } from '../../../testing/store';
import { until } from '../../../testing/until';
import { Choose } from './choose';

const held = { rig: [benchAt({}).rig], kit: [camera], loadout: [loadout] };
const open = async () => {
  const made = await screen(Choose, held);
  const { page, fixture } = made;
  const ranked = (): readonly string[] => [...page.querySelectorAll('ol > li h2')].map((h) => h.textContent);
  const settle = (): Promise<void> => pause(fixture);
  const check = async (label: string): Promise<void> => {
    const box = [...page.querySelectorAll('mat-checkbox')].find(
      (c) => c.textContent.trim() === label || c.querySelector('input')!.getAttribute('aria-label') === label,
    )!;
    box.querySelector('input')!.click();
    await settle();
  };
  await settle();
  return { ...made, ranked, check };
};

describe('choosing a rig by the shots', () => {
  const forget = (): void => localStorage.removeItem('tide-pebble.answers');
  beforeEach(forget);
  afterEach(forget);

  it('ranks every family with its reasons and what it gives up, and the shots change the order', async () => {
    const { page, ranked, check } = await open();
    const first = ranked();
    expect([...first].sort()).toEqual(FAMILIES.map((f) => f.name).sort());
    for (const li of page.querySelectorAll('ol > li')) {
      expect(li.textContent).toContain('Gives up:');
      expect(li.querySelectorAll('path.shape').length)
        .withContext(li.querySelector('h2')!.textContent)
        .toBeGreaterThan(1);
    }
    await check('overhead');
    expect(ranked()).not.toEqual(first);
    const best = FAMILIES.find((f) => f.name === ranked()[0])!;
    expect(best.suits.carries).toContain('overhead');
  });
  it('sets up to four side by side, the first of five let go', async () => {
    const { page, check } = await open();
    const some = FAMILIES.slice(0, 5).map((f) => f.name);
    await check(`Compare ${some[0]!}`);
    expect(page.querySelector('.beside')).toBeNull();
    for (const name of some.slice(1)) await check(`Compare ${name}`);
    const heads = [...page.querySelectorAll('.beside thead th')].map((th) => th.textContent);
    expect([...heads].sort()).toEqual(some.slice(1).sort());
    for (const td of page.querySelectorAll('.beside td'))
      if (td.parentElement!.parentElement!.tagName === 'TBODY') expect(td.textContent.trim()).not.toBe('');
  });
  it('starts the rig with what these shots want of its balance', async () => {
    const { press, check, documents, went } = await open();
    await check('standing still');
    await press('Start this one: Closed hand frame');
    await until(() => pressInDialog('Start it all the same') || went[0], 'it to be ready');
    await until(() => went[0], 'the rig on the bench');
    const rig = documents.all('rig').find((r) => r.id !== 'r1')!;
    expect(rig.name).toBe('Rig');
    expect(rig.wants.dropTime).toEqual([2, 3]);
    expect(rig.wants.panLeanAtMost).toBeGreaterThan(0);
    expect(went).toEqual(['/frame']);
  });
});
