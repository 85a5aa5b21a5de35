import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { DEGREE, familyById, type Quantity } from '@tide-pebble/core';
import { AimDials, type Tilt } from './aim-dials';

const tilts: readonly Tilt[] = familyById('boom')!
  .dimensions.filter((d) => d.kind === 'angle')
  .map((d) => ({ ...d, value: 0 }));

describe('dials of where the camera can look', () => {
  let fixture: ComponentFixture<AimDials>;
  const changes: { id: string; quantity: Quantity }[] = [];
  const host = (): HTMLElement => fixture.nativeElement as HTMLElement;
  const press = (dial: number, key: string): boolean => {
    const dials = host().querySelectorAll('svg');
    return dials[dial]!.dispatchEvent(new KeyboardEvent('keydown', { key, cancelable: true }));
  };
  beforeEach(async () => {
    changes.length = 0;
    fixture = TestBed.createComponent(AimDials);
    fixture.componentRef.setInput('tilts', tilts);
    fixture.componentInstance.changed.subscribe((c) => changes.push(c));
    await fixture.whenStable();
  });

  it('one a tilt, with its range and setting for those who cannot see it', () => {
    const dials = [...host().querySelectorAll('svg')];
    expect(dials.length).toBe(3);
    for (const dial of dials) {
      expect(dial.getAttribute('aria-label')).toBeTruthy();
      expect(Number(dial.getAttribute('aria-valuemin'))).toBeLessThan(Number(dial.getAttribute('aria-valuemax')));
      expect(dial.getAttribute('aria-valuetext')).toBe('0°');
    }
    expect(host().textContent).toContain('any direction');
  });

  it('turn by keys in whole degrees, and stop at the end of their range', async () => {
    press(0, 'ArrowDown');
    expect(changes[0]!.quantity.value).toBeCloseTo(DEGREE, 12);
    fixture.componentRef.setInput(
      'tilts',
      tilts.map((t) => ({ ...t, value: t.range[1] })),
    );
    await fixture.whenStable();
    press(0, 'PageDown');
    expect(changes[1]!.quantity.value).toBeCloseTo(tilts[0]!.range[1], 12);
    expect(press(0, 'a')).toBeTrue();
    expect(changes.length).toBe(2);
  });

  it('say less of a rig with one tilt', async () => {
    fixture.componentRef.setInput('tilts', tilts.slice(0, 1));
    await fixture.whenStable();
    expect(host().textContent).toContain('turn the whole rig');
  });
});
