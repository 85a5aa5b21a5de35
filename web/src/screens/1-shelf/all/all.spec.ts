import { FAMILIES } from '@tide-pebble/core';
import { benchAt, camera, loadout } from '../../../testing/bench';
import { dialogText, pressInDialog } from '../../../testing/dialog';
import { pause } from '../../../testing/pause';
import { screen } from '../../../testing/store';
import { type } from '../../../testing/type';
import { until } from '../../../testing/until';
import { AllFamilies } from './all';

const held = { rig: [benchAt({}).rig], kit: [camera], loadout: [loadout] };

describe('all families, drawn', () => {
  it('draws each with its load, and in the hand where a hand holds it', async () => {
    for (const kept of [held, {}]) {
      const { page, fixture } = await screen(AllFamilies, kept);
      await pause(fixture);
      const cards = [...page.querySelectorAll('article')];
      expect(cards).toHaveSize(FAMILIES.length);
      await until(() => cards.every((c) => c.querySelectorAll('path.shape').length > 1) || undefined, 'every picture');
      // A pole on a helmet is in no hand.
      expect(page.querySelectorAll('svg:has(.fist)').length).toBe(FAMILIES.length - 1);
    }
  });
  it('makes one ready for the loadout and the hand, under its name, and puts it on the bench', async () => {
    const { page, press, documents, went, bench, fixture } = await screen(AllFamilies, held);
    const name = page.querySelector<HTMLInputElement>('input[type=text]')!;
    name.value = ' Sandpiper ';
    name.dispatchEvent(new Event('input'));
    await type(page, 'Your closed hand, across the knuckles', '100 mm', () => fixture.whenStable());
    await press('Start this one: Bent bar on a universal joint');
    await until(() => went[0], 'the rig on the bench');
    const rig = documents.all('rig').find((r) => r.name === 'Sandpiper')!;
    expect([rig.loadout, rig.hands!.breadth]).toEqual(['ebb', 0.1]);
    expect(documents.all('setup').filter((s) => s.rig === rig.id)).toHaveSize(1);
    expect((await bench()).rig.id).toBe(rig.id);
    expect(went).toEqual(['/frame']);
    // Sized and trimmed: it hangs level as it was started.
    expect(Math.abs((await bench()).judged.evaluation.hung!.hang.rest!.noseDown)).toBeLessThan(0.02);
  });
  it('tells before it is started what no change cures, and starts nothing that is not wanted', async () => {
    const heavy = { ...camera, mass: { value: 9 } };
    const { press, documents, went } = await screen(AllFamilies, { ...held, kit: [heavy] });
    await press('Start this one: Bent bar on a universal joint');
    await until(() => dialogText().includes('Not this one') || undefined, 'what is left');
    expect(dialogText()).toContain('no single change cures');
    expect(dialogText()).toContain('heavier than');
    expect(pressInDialog('Not this one')).toBeTrue();
    await until(() => dialogText() === '' || undefined, 'the dialog gone');
    expect([documents.all('rig').length, went.length]).toEqual([1, 0]);
    await press('Start this one: Bent bar on a universal joint');
    await until(() => pressInDialog('Start it all the same') || undefined, 'what is left once more');
    await until(() => went[0], 'the rig on the bench');
    expect(documents.all('rig')).toHaveSize(2);
  });
});
