import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import type { LanLook, Right } from '@tide-pebble/core';
import decodeQR from 'qr/decode.js';
import { of, throwError } from 'rxjs';
import { House } from '../../../services/house';
import { HeldFolder } from '../../../services/keeping/folder';
import { Notices } from '../../../services/notices';
import { until } from '../../../testing/until';
import { Phones } from './phones';

const closed: LanLook = { open: false, addresses: [], fingerprint: '', offer: null, devices: [] };
const open: LanLook = {
  open: true,
  addresses: ['https://192.168.7.20:4681'],
  fingerprint: 'AB:CD',
  offer: null,
  devices: [
    { id: 'd1', name: 'Pocket', right: 'field', pairedAt: '2026-06-01T08:00:00Z', seenAt: '2026-06-02T09:00:00Z' },
  ],
};

describe('phones', () => {
  const start = async (look: LanLook, right?: Right) => {
    const asked: string[] = [];
    const said: string[] = [];
    const house = {
      now: look,
      fault: '',
      look: () => (house.fault ? throwError(() => new Error(house.fault)) : of(house.now)),
      offer: (may: Right) => {
        asked.push(may);
        house.now = { ...house.now, offer: { code: 'ABCD-2345', right: may, until: '2026-06-14T10:10:00Z' } };
        return of(house.now);
      },
      letGo: (id: string) => {
        asked.push(id);
        house.now = { ...house.now, devices: [] };
        return of(house.now);
      },
    };
    TestBed.configureTestingModule({
      providers: [
        provideRouter([]),
        { provide: House, useValue: house },
        { provide: Notices, useValue: { say: (text: string) => said.push(text) } },
      ],
    });
    TestBed.inject(HeldFolder).setRight(right);
    const fixture = TestBed.createComponent(Phones);
    await fixture.whenStable();
    const page = fixture.nativeElement as HTMLElement;
    const press = async (name: string): Promise<void> => {
      [...page.querySelectorAll('button')].find((b) => b.textContent.trim() === name)!.click();
      await fixture.whenStable();
    };
    await until(() => !page.textContent.includes('Asking'), 'an answer');
    await fixture.whenStable();
    return { fixture, page, press, asked, said, house };
  };
  afterEach(() => TestBed.inject(HeldFolder).setRight(undefined));

  it('says how it is opened to the house where it is not, and which phones are paired all the same', async () => {
    const { page } = await start({ ...closed, devices: open.devices });
    expect(page.textContent).toContain('npm start -- --lan');
    expect(page.textContent).toContain('Pocket');
    expect(page.textContent).not.toContain('Make a code');
  });

  it('makes a code with what it gives, as words and as a picture that a camera reads', async () => {
    const { fixture, page, press, asked } = await start(open);
    page.querySelectorAll<HTMLInputElement>('input[type=radio]')[1]!.click();
    await press('Make a code');
    expect(asked).toEqual(['read']);
    expect(page.querySelector('.code')!.textContent).toBe('ABCD-2345');
    expect(page.textContent).toContain('it only reads');
    const img = await until(() => page.querySelector('img'), 'the picture');
    await fixture.whenStable();
    await img.decode();
    const canvas = new OffscreenCanvas(440, 440);
    const pen = canvas.getContext('2d')!;
    pen.fillStyle = '#fff';
    pen.fillRect(0, 0, 440, 440);
    pen.drawImage(img, 0, 0, 440, 440);
    expect(decodeQR(pen.getImageData(0, 0, 440, 440))).toBe('https://192.168.7.20:4681/pair?code=ABCD-2345');
  });

  it('lets a phone go', async () => {
    const { page, press, asked, said } = await start(open);
    await press('Let go');
    expect(asked).toEqual(['d1']);
    expect(said[0]).toContain('Pocket is let go');
    expect(page.textContent).toContain('None yet.');
  });

  it('says why where the server cannot be asked, and that phones are not paired from a phone', async () => {
    const first = await start(open);
    first.house.fault = 'The server cannot be reached.';
    await until(() => first.page.textContent.includes('cannot be reached'), 'the reason');
    TestBed.resetTestingModule();
    const { page } = await start(open, 'field');
    expect(page.textContent).toContain('This one is paired');
    expect(page.querySelector('button')).toBeNull();
  });
});
