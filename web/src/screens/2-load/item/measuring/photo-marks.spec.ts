import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { newItem, type KitItem } from '@tide-pebble/core';
import { Photos } from '../../../../services/photos';
import { PhotoMarks } from './photo-marks';

/** A picture that is there. */
const DOT = 'data:image/gif;base64,R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7';

const camera: KitItem = {
  ...newItem('c', 'camera', 'Heron'),
  size: [0.1, 0.12, 0.08],
  boxCentre: [0, 0, 0.04],
  photo: { id: 'a'.repeat(64), type: 'image/png', width: 1000, height: 800 },
} as KitItem;

@Component({
  selector: 'tp-host',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PhotoMarks],
  template: '<tp-photo-marks [item]="item" view="side" (marked)="places.set($event)" />',
})
class Host {
  readonly item = camera;
  readonly places = signal<Readonly<Record<string, number>> | null>(null);
}

describe('touching the places on a photo', () => {
  const shown = async () => {
    TestBed.configureTestingModule({ providers: [{ provide: Photos, useValue: { address: () => DOT } }] });
    const fixture = TestBed.createComponent(Host);
    await fixture.whenStable();
    const page = fixture.nativeElement as HTMLElement;
    const img = page.querySelector('img')!;
    spyOn(img, 'getBoundingClientRect').and.returnValue(new DOMRect(10, 20, 500, 400));
    return {
      fixture,
      page,
      img,
      asks: () => page.querySelector('[role=status]')!.textContent!.trim(),
      /** In the photo's own pixels; it is shown at half its size. */
      touch: async (x: number, y: number) => {
        img.dispatchEvent(new MouseEvent('click', { clientX: 10 + x / 2, clientY: 20 + y / 2 }));
        await fixture.whenStable();
      },
      key: async (key: string, shiftKey = false) => {
        img.dispatchEvent(new KeyboardEvent('keydown', { key, shiftKey, cancelable: true }));
        await fixture.whenStable();
      },
    };
  };

  it('two corners for the scale, then two marks on each line: four places in metres', async () => {
    const s = await shown();
    expect(s.asks()).toContain('rear lower corner');
    await s.touch(200, 600);
    expect(s.asks()).toContain('front lower corner');
    await s.touch(700, 600); // 500 pixels are the 100 mm of the item
    for (const [x, y] of [
      [300, 200],
      [300, 700],
      [400, 250],
      [500, 650],
    ] as const)
      await s.touch(x, y);
    expect(s.fixture.componentInstance.places()).toEqual({
      aAcross: 0.02,
      aUp: 0.08,
      aAcross2: 0.02,
      aUp2: -0.02,
      bAcross: 0.04,
      bUp: 0.07,
      bAcross2: 0.06,
      bUp2: -0.01,
    });
    expect(s.asks()).toContain('rear lower corner');
  });
  it('a photo on a slant is set right by its two corners', async () => {
    const s = await shown();
    // The item's lower edge runs 300 across and 400 down: 500 pixels again.
    await s.touch(200, 100);
    await s.touch(500, 500);
    for (const [x, y] of [
      [500, 500],
      [500, 500],
      [200, 100],
      [200, 100],
    ] as const)
      await s.touch(x, y);
    const places = s.fixture.componentInstance.places()!;
    expect([places['aAcross'], places['aUp'], places['bAcross'], places['bUp']].map((v) => Math.abs(v!))).toEqual([
      0.1, 0, 0, 0,
    ]);
  });
  it('corners on one spot give no scale: it says so and asks again; one touch can be taken back', async () => {
    const s = await shown();
    await s.touch(200, 600);
    await s.touch(200, 600);
    expect(s.page.querySelector('[role=alert]')!.textContent).toContain('too close together');
    expect(s.asks()).toContain('rear lower corner');
    await s.touch(200, 600);
    expect(s.page.querySelector('[role=alert]')).toBeNull();
    [...s.page.querySelectorAll('button')].find((b) => b.textContent!.includes('Take back'))!.click();
    await s.fixture.whenStable();
    expect(s.asks()).toContain('rear lower corner');
  });
  it('by keys: arrows move a cross within the photo, Enter touches there, other keys are left alone', async () => {
    const s = await shown();
    await s.key('ArrowLeft', true);
    expect(s.page.querySelector('.cross')!.getAttribute('d')).toBe('M420 400h80M460 360v80');
    for (let n = 0; n < 30; n++) await s.key('ArrowLeft', true);
    expect(s.page.querySelector('.cross')!.getAttribute('d')).toBe('M-40 400h80M0 360v80');
    await s.key('Enter');
    expect(s.asks()).toContain('front lower corner');
    const tab = new KeyboardEvent('keydown', { key: 'Tab', cancelable: true });
    s.img.dispatchEvent(tab);
    expect(tab.defaultPrevented).toBeFalse();
  });
  it('a photo that is not in the folder is said to be gone', async () => {
    const s = await shown();
    s.img.dispatchEvent(new Event('error'));
    await s.fixture.whenStable();
    expect(s.page.querySelector('[role=alert]')!.textContent).toContain('not in this data folder');
  });
});
