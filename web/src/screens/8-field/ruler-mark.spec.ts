import { TestBed } from '@angular/core/testing';
import { INCH } from '@tide-pebble/core';
import { Units } from '../../services/units';
import { RulerMark } from './ruler-mark';

async function drawn(value: number, range: readonly [number, number], system: 'mm' | 'inch' = 'mm') {
  TestBed.inject(Units).setSystem(system);
  const fixture = TestBed.createComponent(RulerMark);
  fixture.componentRef.setInput('value', value);
  fixture.componentRef.setInput('range', range);
  await fixture.whenStable();
  const svg = (fixture.nativeElement as HTMLElement).querySelector('svg')!;
  return {
    needle: Number(/^M([-\d.]+)/.exec(svg.querySelector('.needle')!.getAttribute('d')!)![1]),
    ticks: svg.querySelectorAll('path:not(.needle)').length - 1,
    labels: [...svg.querySelectorAll('text')].map((t) => ({ at: Number(t.getAttribute('x')), says: t.textContent })),
  };
}

describe('a slide’s ruler on the card', () => {
  afterEach(() => localStorage.clear());
  it('stands the needle where its own ticks read the setting, in either unit', async () => {
    for (const [system, range, unit] of [
      ['mm', [-0.05, 0.05], 0.001],
      ['inch', [-2 * INCH, 2 * INCH], INCH],
    ] as const) {
      const zero = await drawn(0, range, system);
      for (const { at, says } of zero.labels) expect((await drawn(Number(says) * unit, range, system)).needle).toBe(at);
      expect(zero.labels.length).withContext(system).toBeGreaterThan(2);
      expect(zero.ticks).withContext(system).toBeLessThanOrEqual(34);
    }
  });
  it('draws no more ticks than can be told apart, however long the slide', async () => {
    for (const half of [0.004, 0.02, 0.1, 0.4]) expect((await drawn(0, [-half, half])).ticks).toBeLessThanOrEqual(27);
  });
});
