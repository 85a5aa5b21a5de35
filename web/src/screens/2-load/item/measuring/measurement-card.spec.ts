import { TestBed } from '@angular/core/testing';
import { newItem, type KitItem } from '@tide-pebble/core';
import { withMeasurement } from '@tide-pebble/core/measuring';
import { Edited } from '../../../../testing/edited';
import { Measuring } from './measuring';

const lens: KitItem = {
  ...newItem('l', 'lens', 'Zoom'),
  size: [0.1, 0.07, 0.07],
  boxCentre: [0.05, 0, 0],
  states: [
    {
      id: 'zoom',
      name: 'zoom',
      choices: [
        { id: 'wide', name: 'wide' },
        { id: 'long', name: 'long' },
      ],
    },
  ],
};
const weighed = (...grams: readonly number[]): KitItem =>
  withMeasurement(lens, {
    id: 'w',
    method: 'weigh',
    readings: { scale: grams.map((g) => ({ value: g / 1000, typed: `${g} g` })) },
    scaleStep: 0.001,
    rulerStep: 0.001,
  });
const choose = async (sheet: Edited<Measuring>, label: string, option: string): Promise<void> => {
  const select = [...sheet.page.querySelectorAll('label')]
    .find((l) => l.textContent!.trim().startsWith(label))!
    .querySelector('select')!;
  const found = [...select.options].find((o) => o.text.trim() === option);
  if (!found) throw new Error(`no ${option} among ${[...select.options].map((o) => o.text).join(' | ')}`);
  select.value = found.value;
  select.dispatchEvent(new Event('change'));
  await sheet.fixture.whenStable();
};

describe('a measurement’s card', () => {
  it('two readings far apart are told so: which of them is wrong they cannot say', async () => {
    const near = await Edited.of(Measuring, weighed(400, 402));
    expect(near.page.textContent).not.toContain('read it once more');
    TestBed.resetTestingModule();
    const far = await Edited.of(Measuring, weighed(400, 440));
    expect(far.page.textContent).toContain('40 g apart: read it once more');
    expect(far.item.mass!.value).toBeCloseTo(0.42, 12);
  });
  it('a reading emptied is gone, the others keep what was typed', async () => {
    const sheet = await Edited.of(Measuring, weighed(400, 401, 402));
    await sheet.type('Weigh it: Scale reads, again', '');
    expect(sheet.item.measurements![0]!.readings['scale']).toEqual([
      { value: 0.4, typed: '400 g' },
      { value: 0.402, typed: '402 g' },
    ]);
  });
  it('what the scale counts in changes how well the mass is known, not the mass', async () => {
    const sheet = await Edited.of(Measuring, weighed(400));
    const before = sheet.item.mass!;
    await choose(sheet, 'Scale counts in', '5 g');
    expect(sheet.item.mass!.value).toBe(before.value);
    // A step is as likely to be anywhere within: its width over the root of twelve, beside what else a scale is off by.
    const other = before.spread! ** 2 - 0.001 ** 2 / 12;
    expect(sheet.item.mass!.spread!).toBeCloseTo(Math.sqrt(0.005 ** 2 / 12 + other), 9);
  });
  it('taken in another state it says what that state changes, and leaves the usual figure alone', async () => {
    const sheet = await Edited.of(Measuring, lens);
    await sheet.press(/^On an edge/);
    await choose(sheet, 'In the state', 'zoom long');
    await sheet.type('On an edge, fore and aft: Tips one way', '60 mm');
    await sheet.type('On an edge, fore and aft: Tips the other', '62 mm');
    expect(sheet.item.measurements![0]!.state).toEqual({ state: 'zoom', choice: 'long' });
    expect(sheet.item.massCentre).toBeUndefined();
    await choose(sheet, 'In the state', 'as usual');
    expect(sheet.item.measurements![0]!.state).toBeUndefined();
    expect(sheet.item.massCentre!.at[0]).toBeCloseTo(0.061, 12);
  });
  it('turned to another axis the same readings are of that axis', async () => {
    const sheet = await Edited.of(Measuring, lens);
    await sheet.press(/^On an edge/);
    await sheet.type('On an edge, fore and aft: Tips one way', '34 mm');
    await sheet.type('On an edge, fore and aft: Tips the other', '36 mm');
    await choose(sheet, 'Along', 'sideways');
    expect(sheet.page.querySelector('article')!.getAttribute('aria-label')).toBe('On an edge, sideways');
    expect(sheet.item.measurements![0]!.axis).toBe(1);
    expect(sheet.item.massCentre!.at[1]).toBeCloseTo(0, 12);
  });
  it('left out it counts for nothing and is kept; deleted it is gone', async () => {
    const sheet = await Edited.of(Measuring, weighed(400));
    await sheet.press('Leave it out');
    expect(sheet.item.mass).toBeUndefined();
    expect(sheet.item.measurements).toHaveSize(1);
    await sheet.press('Count it again');
    expect(sheet.item.mass!.value).toBe(0.4);
    await sheet.press('Delete measurement: Weigh it');
    expect(sheet.item.measurements ?? []).toHaveSize(0);
    expect(sheet.item.mass).toBeUndefined();
  });
  it('a way this version does not know is shown by that name and kept', async () => {
    const strange: KitItem = {
      ...lens,
      measurements: [
        { id: 's', method: 'byLaser', readings: { beam: [{ value: 1 }] }, scaleStep: 0.001, rulerStep: 0.001 },
      ],
    };
    const sheet = await Edited.of(Measuring, strange);
    expect(sheet.page.querySelector('article')!.getAttribute('aria-label')).toBe('A way this version does not know');
    expect(sheet.item.measurements).toEqual(strange.measurements);
  });
});
