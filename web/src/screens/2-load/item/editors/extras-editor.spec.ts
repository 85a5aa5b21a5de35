import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { newItem, type KitItem } from '@tide-pebble/core';
import { LoadBench } from '../../../../services/load-bench';
import { Photos } from '../../../../services/photos';
import { Edited } from '../../../../testing/edited';
import { until } from '../../../../testing/until';
import { ExtrasEditor } from './extras-editor';

const phone = newItem('p', 'phone', 'Slate');
const lens = newItem('l', 'lens', 'Zoom');
const body: KitItem = { ...newItem('c', 'camera', 'Heron'), sensor: { width: 0.0173, height: 0.013 } };
const hood = newItem('h', 'filter', 'Hood');

describe('what else is known of an item', () => {
  let keep: jasmine.Spy;
  const shown = (item: KitItem): Promise<Edited<ExtrasEditor>> => {
    keep = jasmine.createSpy('keep').and.resolveTo({ id: 'a'.repeat(64), type: 'image/png', width: 4, height: 3 });
    const kit = [body, lens, hood];
    TestBed.configureTestingModule({
      providers: [
        { provide: LoadBench, useValue: { kitList: signal(kit), kit: signal(new Map(kit.map((k) => [k.id, k]))) } },
        { provide: Photos, useValue: { keep, address: () => 'data:,' } },
      ],
    });
    return Edited.of(ExtrasEditor, item);
  };

  it('a sensor by its width alone takes 3 to 2, its height typed corrects it, empty takes it away', async () => {
    const sheet = await shown(phone);
    await sheet.type('Sensor width', '9 mm');
    expect(sheet.item.sensor!.width).toBeCloseTo(0.009, 12);
    expect(sheet.item.sensor!.height).toBeCloseTo(0.006, 12);
    await sheet.type('Sensor height', '6.75 mm');
    expect(sheet.item.sensor!.width).toBeCloseTo(0.009, 12);
    expect(sheet.item.sensor!.height).toBeCloseTo(0.00675, 12);
    await sheet.type('Crop while filming', '1.5');
    expect(sheet.item.sensor!.crop).toBe(1.5);
    await sheet.type('Sensor width', '');
    expect(sheet.item.sensor).toBeUndefined();
  });
  it('one focal length is both ends; the long end makes it a zoom, and neither end passes the other', async () => {
    const sheet = await shown(lens);
    await sheet.type('Focal length', '12 mm');
    expect(sheet.item.focalLength).toEqual({ shortest: 0.012, longest: 0.012 });
    await sheet.type('Focal length, long end', '60 mm');
    expect(sheet.item.focalLength).toEqual({ shortest: 0.012, longest: 0.06 });
    await sheet.type('Focal length', '80 mm');
    expect(sheet.item.focalLength).toEqual({ shortest: 0.08, longest: 0.08 });
    await sheet.type('Focal length, long end', '35 mm');
    expect(sheet.item.focalLength).toEqual({ shortest: 0.035, longest: 0.035 });
    // 17.3 mm wide behind 35 mm: 2 atan(17.3 / 70) = 27.76 degrees.
    expect(sheet.page.textContent).toContain('Sees 28° across on Heron.');
  });
  it('asks of a thing only what such a thing has', async () => {
    const sheet = await shown(newItem('b', 'battery', 'Brick'));
    expect(sheet.page.textContent).not.toContain('What it sees');
    expect(sheet.page.textContent).toContain('Goes out with');
  });
  it('a tie to what is gone can still be untied', async () => {
    const sheet = await shown({ ...phone, goesWith: ['h', 'gone'] });
    expect(sheet.page.querySelector('.tied')!.textContent).toContain('something that is gone');
    const untie = [...sheet.page.querySelectorAll<HTMLButtonElement>('.tied button')].at(-1)!;
    untie.click();
    await sheet.fixture.whenStable();
    expect(sheet.item.goesWith).toEqual(['h']);
  });
  it('a photo is kept and taken off; one that cannot be is told, and the item stays as it was', async () => {
    const sheet = await shown(phone);
    const field = sheet.page.querySelector<HTMLInputElement>('input[type=file]')!;
    const give = (): void => {
      const files = new DataTransfer();
      files.items.add(new File(['x'], 'slate.png', { type: 'image/png' }));
      field.files = files.files;
      field.dispatchEvent(new Event('change'));
    };
    give();
    await until(() => sheet.item.photo, 'the photo');
    await sheet.fixture.whenStable();
    expect(sheet.page.querySelector('img')!.alt).toBe('Photo of Slate');
    await sheet.press('Take the photo off');
    expect(sheet.item.photo).toBeUndefined();
    keep.and.rejectWith(new Error('This file is no picture.'));
    give();
    const told = await until(() => sheet.page.querySelector('[role=alert]'), 'the reason');
    expect(told.textContent).toContain('no picture');
    expect(sheet.item.photo).toBeUndefined();
    expect(sheet.page.querySelector('[role=status]')).toBeNull();
  });
});
