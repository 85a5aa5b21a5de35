import { TestBed } from '@angular/core/testing';
import { DEGREE } from '@tide-pebble/core';
import { LensView } from './lens-view';

const [WIDTH, HEIGHT] = [300, 200];
const through = async (inputs: { across?: number; pitch?: number; roll?: number; pan?: number; out?: boolean }) => {
  const fixture = TestBed.createComponent(LensView);
  for (const [name, value] of Object.entries({ across: 40 * DEGREE, pitch: 0, roll: 0, pan: 0, ...inputs }))
    fixture.componentRef.setInput(name, value);
  await fixture.whenStable();
  const svg = (fixture.nativeElement as HTMLElement).querySelector('svg')!;
  return {
    svg,
    says: svg.getAttribute('aria-label'),
    horizon: Number(svg.querySelector('.horizon')!.getAttribute('y1')),
    turn: Number(/rotate\(([-\d.]+)/.exec(svg.querySelector('g')!.getAttribute('transform')!)![1]),
    light: Number(/^M([-\d.]+)/.exec(svg.querySelector('.light')!.getAttribute('d')!)![1]),
  };
};

describe('through the lens', () => {
  it('keeps a level horizon in the middle, and says so', async () => {
    const { says, horizon, turn } = await through({});
    expect([says, horizon, turn]).toEqual(['Through the lens: level.', HEIGHT / 2, 0]);
  });
  it('lifts the horizon out of the picture by half its height when it looks down by half its angle', async () => {
    const across = 40 * DEGREE;
    // The width of the picture and its angle fix the scale: half the height is this angle.
    const half = Math.atan((HEIGHT / WIDTH) * Math.tan(across / 2));
    expect((await through({ across, pitch: half })).horizon).toBeCloseTo(HEIGHT, 9);
    expect((await through({ across, pitch: -half })).horizon).toBeCloseTo(0, 9);
    // A longer lens sees the same lean larger.
    expect((await through({ across: 10 * DEGREE, pitch: 2 * DEGREE })).horizon - HEIGHT / 2).toBeGreaterThan(
      4 * ((await through({ across, pitch: 2 * DEGREE })).horizon - HEIGHT / 2),
    );
  });
  it('turns the world the other way than the camera', async () => {
    const { turn, says } = await through({ roll: 5 * DEGREE, pitch: -1 * DEGREE });
    expect(turn).toBe(-5);
    expect(says).toBe('Through the lens: 1.0° down, 5.0° left side up.');
  });
  it('moves the shore to the right as it pans to the left, by the angle', async () => {
    const [still, panned] = [await through({}), await through({ pan: 19 * DEGREE })];
    expect(panned.light).toBeGreaterThan(still.light);
    // What it pans on to comes to the middle, but for half the width of the light itself.
    expect(Math.abs(panned.light - WIDTH / 2)).toBeLessThan(8);
  });
  it('says when it drifts out, and draws nothing that is no number', async () => {
    const { svg } = await through({ out: true, pitch: 3, roll: -2, pan: 40 });
    expect(svg.querySelector('.out')!.textContent).toBe('drifts out');
    expect(svg.outerHTML).not.toMatch(/NaN|Infinity/);
  });
});
