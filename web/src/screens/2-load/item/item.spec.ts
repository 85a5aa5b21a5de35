import { TestBed } from '@angular/core/testing';
import { newItem, type KitItem } from '@tide-pebble/core';
import { resultsOf } from '@tide-pebble/core/measuring';
import { type Subject } from 'rxjs';
import type { ScaleReading } from '../../../devices/scale';
import { ScaleLink } from '../../../services/scale-link';
import { Edited } from '../../../testing/edited';
import { pick } from '../../../testing/pick';
import { ClearancesEditor } from './editors/clearances-editor';
import { FactsEditor } from './editors/facts-editor';
import { ItemDrawing } from './item-drawing';
import { KnownPanel } from './known-panel';
import { until } from '../../../testing/until';
import { Measuring } from './measuring/measuring';
import { PointsEditor } from './editors/points-editor';
import { StatesEditor } from './editors/states-editor';

const lens: KitItem = { ...newItem('l', 'lens', 'Long lens'), size: [0.1, 0.07, 0.07], boxCentre: [0.05, 0, 0] };
const camera: KitItem = { ...newItem('c', 'camera', 'Heron'), size: [0.06, 0.12, 0.08], boxCentre: [0.01, 0, 0.04] };

describe('measuring an item', () => {
  it('on an edge: from two tips to a mass centre, with its plus-minus and what would better it', async () => {
    const sheet = await Edited.of(Measuring, lens);
    expect(sheet.page.textContent).toContain('Where its mass centre is');
    await sheet.press(/^On an edge/);
    await sheet.type('On an edge, fore and aft: Tips one way', '44 mm');
    expect(sheet.page.querySelector('.result')).toBeNull();
    await sheet.type('On an edge, fore and aft: Tips the other', '46');
    expect(sheet.page.querySelector('.result')!.textContent).toContain('45 mm');
    expect(sheet.page.querySelector('.result')!.textContent).toContain('Better still');
    expect(sheet.item.massCentre!.at[0]).toBeCloseTo(0.045, 12);
    expect(sheet.item.measurements![0]!.readings['tipsOneWay']).toEqual([{ value: 0.044, typed: '44 mm' }]);
  });
  it('tells a reading that cannot be beside it, keeps it, and uses nothing', async () => {
    const sheet = await Edited.of(Measuring, lens);
    await sheet.press(/^On an edge/);
    await sheet.type('On an edge, fore and aft: Tips one way', '300 mm');
    await sheet.type('On an edge, fore and aft: Tips the other', '46 mm');
    expect(sheet.page.querySelector('[role=alert]')!.textContent).toContain('outside the item');
    expect(sheet.item.massCentre).toBeUndefined();
    expect(sheet.item.measurements![0]!.readings['tipsOneWay']![0]!.value).toBe(0.3);
  });
  it('shows the reading that stands apart, and leaves it out only when told', async () => {
    const sheet = await Edited.of(Measuring, lens);
    await sheet.press(/^Weigh it/);
    for (const [i, text] of ['400 g', '401 g', '440 g', '400 g'].entries())
      await sheet.type(`Weigh it: Scale reads${['', ', again', ', third time', ', fourth time'][i]}`, text);
    expect(sheet.item.mass!.value).toBeCloseTo(0.41025, 9);
    await sheet.press('stands apart: leave it out');
    expect(sheet.item.mass!.value).toBeCloseTo(0.40033, 5);
    await sheet.press('count it');
    expect(sheet.item.mass!.value).toBeCloseTo(0.41025, 9);
    await sheet.press('Leave it out');
    expect(sheet.item.mass).toBeUndefined();
  });
  it('takes a settled figure from the scale, and nothing from one that is lost', async () => {
    const sheet = await Edited.of(Measuring, lens);
    const link = TestBed.inject(ScaleLink);
    await sheet.press(/^Weigh it/);
    link.connect(false);
    await sheet.fixture.whenStable();
    const readings = (link as unknown as { readings: Subject<ScaleReading> }).readings;
    const button = [...sheet.page.querySelectorAll('button')].find((b) =>
      b.getAttribute('aria-label')?.startsWith('From the scale'),
    )!;
    button.click();
    await sheet.fixture.whenStable();
    for (const grams of [390, 400, 400, 400, 400, 400])
      readings.next({ mass: grams / 1000, stable: grams === 400, overload: false });
    await until(() => sheet.item.measurements![0]!.readings['scale'], 'the settled figure');
    await sheet.fixture.whenStable();
    expect(sheet.item.measurements![0]!.readings['scale']).toEqual([{ value: 0.4, from: 'scale' }]);
    button.click();
    await sheet.fixture.whenStable();
    link.disconnect();
    await until(() => sheet.page.querySelector('[role=alert]'), 'the reason');
    expect(sheet.page.querySelector('[role=alert]')!.textContent).toContain('Nothing was taken');
    expect(sheet.item.mass!.value).toBe(0.4);
  });
  it('hung twice may count squares of the paper', async () => {
    const sheet = await Edited.of(Measuring, lens);
    await sheet.press(/^Hung twice/);
    await sheet.type('One square is', '5 mm');
    await sheet.type('Hung twice, from the side: First line, upper mark, across, in squares', '9');
    expect(sheet.item.measurements![0]!.readings['aAcross']![0]).toEqual({
      value: jasmine.any(Number) as never,
      typed: '9 squares',
    });
    expect(sheet.item.measurements![0]!.readings['aAcross']![0]!.value).toBeCloseTo(0.045, 12);
  });
});

describe('what is known of an item', () => {
  it('says how well, by which ways, and whether they agree', async () => {
    const sheet = await Edited.of(Measuring, { ...lens, mass: { value: 0.4, spread: 0.0006 } });
    const fixture = TestBed.createComponent(KnownPanel);
    const show = async (item: KitItem): Promise<string> => {
      fixture.componentRef.setInput('item', item);
      fixture.componentRef.setInput('results', resultsOf(item));
      await fixture.whenStable();
      return (fixture.nativeElement as HTMLElement).textContent ?? '';
    };
    expect(await show(lens)).toContain('guessed');
    await sheet.press(/^On an edge/);
    await sheet.type('On an edge, fore and aft: Tips one way', '44 mm');
    await sheet.type('On an edge, fore and aft: Tips the other', '46 mm');
    await sheet.press('Measure another way');
    await sheet.press(/^On two scales/);
    await sheet.type('On two scales, fore and aft: Scale at the rear end', '220 g');
    await sheet.type('On two scales, fore and aft: Scale at the front end', '180 g');
    await sheet.type('On two scales, fore and aft: Between the bars', '90 mm');
    await sheet.type('On two scales, fore and aft: From the rear face to the nearer bar', '5 mm');
    expect(await show(sheet.item)).toContain('They agree: 0.5 mm apart');
    await sheet.type('On two scales, fore and aft: From the rear face to the nearer bar', '15 mm');
    const told = await show(sheet.item);
    expect(told).toContain('They disagree by');
  });
});

describe('an item’s sheet', () => {
  it('makes each change to the item as it is by then, not as it was drawn', async () => {
    const sheet = await Edited.of(FactsEditor, newItem('a', 'other', 'New'));
    const name = sheet.page.querySelector<HTMLInputElement>('input')!;
    name.value = 'Wide lens';
    name.dispatchEvent(new Event('change'));
    await sheet.choose('Kind', 'lens');
    expect([sheet.item.name, sheet.item.class, sheet.item.form, sheet.item.foot]).toEqual([
      'Wide lens',
      'lens',
      'cylinder',
      'lens mount',
    ]);
  });
  it('grows the box away from the foot', async () => {
    const sheet = await Edited.of(FactsEditor, camera);
    await sheet.type('Length, along the lens', '80 mm');
    expect(sheet.item.size[0]).toBe(0.08);
    expect(sheet.item.size[0] / 2 - sheet.item.boxCentre[0]).toBeCloseTo(0.02, 12);
  });
  it('takes a state from a preset, and what it does in maker’s figures', async () => {
    const sheet = await Edited.of(StatesEditor, camera);
    await sheet.press(/screen$/);
    await sheet.type('screen out, moves to the left', '4 mm');
    expect(sheet.item.states![0]!.choices.map((c) => c.name)).toEqual(['in', 'out']);
    expect(sheet.item.states![0]!.choices[1]!.change).toEqual({ kind: 'moves', by: [0, 0.004, 0] });
    await sheet.press(/strap$/);
    await sheet.type('strap on, adds', '38 g');
    const strap = sheet.item.states![1]!.choices[1]!.change!;
    expect(strap.kind === 'adds' && strap.mass.value).toBe(0.038);
    await sheet.press('Delete the state screen');
    expect(sheet.item.states!.map((s) => s.name)).toEqual(['strap']);
  });
  it('keeps points and free spaces by their faces', async () => {
    const points = await Edited.of(PointsEditor, camera);
    await points.press(/Add a point/);
    await points.type('Foot to point 4, up', '85 mm');
    expect(points.item.mountPoints.at(-1)).toEqual({
      id: 'point-4',
      name: 'point 4',
      kind: 'thread',
      at: [0, 0, 0.085],
    });
    TestBed.resetTestingModule();
    const free = await Edited.of(ClearancesEditor, camera);
    await pick(free.page, 'Add a free space', 'battery door', () => free.fixture.whenStable());
    await free.type('battery door, from the rear', '10 mm');
    expect(free.item.clearances![0]!.at[0]).toBeCloseTo(0.01 - 0.03 + 0.01, 12);
    await free.press('Delete the free space battery door');
    expect(free.item.clearances).toEqual([]);
  });
  it('is drawn with its foot, its points and where its mass centre is', async () => {
    const fixture = TestBed.createComponent(ItemDrawing);
    fixture.componentRef.setInput('item', {
      ...camera,
      massCentre: { at: [0.01, 0, 0.04], spread: [0.001, 0.001, 0.001] },
      clearances: [{ id: 'p', kind: 'ports', at: [0, -0.08, 0.04], size: [0.03, 0.04, 0.04] }],
    });
    fixture.componentRef.setInput('found', [{ what: 'centre', axis: 0, value: 0.01, spread: 0.001 }]);
    await fixture.whenStable();
    const page = fixture.nativeElement as HTMLElement;
    expect(page.querySelectorAll('.box').length).toBe(3);
    expect(page.querySelectorAll('.clear').length).toBe(3);
    expect(page.querySelectorAll('.found').length).toBe(2);
    expect(page.querySelectorAll('.pebble.guess').length).toBe(0);
  });
});
