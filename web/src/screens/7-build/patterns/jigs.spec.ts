import { of } from 'rxjs';
import { benchAt } from '../../../testing/bench';
import { sheet } from '../../../testing/sheets';
import { Solids } from '../../../services/solids';
import { TestBed } from '@angular/core/testing';
import { Jigs } from './jigs';

describe('jigs to print', () => {
  it('are told with their size, drawn with their guides, and what is needed first', async () => {
    const bench = benchAt({}, 'tube-frame');
    const { page } = await sheet(Jigs, bench, undefined, { bench });
    const items = [...page.querySelectorAll('li')];
    expect(items.length).toBeGreaterThan(2);
    for (const li of items) {
      expect(li.textContent).toMatch(/\d+ mm × \d+ mm × \d+ mm on the bed/);
      expect(li.querySelectorAll('polygon').length).toBeGreaterThan(0);
      expect(li.querySelector('svg')!.outerHTML).not.toMatch(/NaN|Infinity/);
    }
    expect(page.textContent).toContain('measure its guides by calipers');
  });

  it('says why one cannot be made, and keeps the buttons', async () => {
    const bench = benchAt({}, 'tube-frame');
    const { page, press } = await sheet(Jigs, bench, undefined, { bench });
    spyOn(TestBed.inject(Solids), 'jig').and.returnValue(of(null));
    await press('STL');
    await new Promise((done) => setTimeout(done, 300));
    expect(page.querySelector('[role=alert]')!.textContent).toContain('The jig could not be made');
    expect(page.querySelector<HTMLButtonElement>('button')!.disabled).toBeFalse();
  });

  it('are none where nothing is drilled or squared up', async () => {
    const bench = benchAt({});
    const { page } = await sheet(Jigs, bench, undefined, { bench });
    expect(page.querySelector('section')).toBeNull();
  });
});
