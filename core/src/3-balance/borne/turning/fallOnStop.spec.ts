import * as fc from 'fast-check';
import { STANDARD_GRAVITY } from '../../../0-base';
import { fallOnStop, paddingFor } from './fallOnStop';
import type { Pole } from './spinningPole';

const pole: Pole = { mass: 0.8, fromHinge: [0.02, 0, -0.01], xx: 0.2, zz: 0.001, xz: 0, stopDown: 0.7, stopUp: 0.7 };

describe('a pole let go level', () => {
  it('meets its lower stop with the energy of what its mass centre fell', () => {
    const { rate } = fallOnStop(pole, 'down');
    const fall = -0.01 - (-0.01 * Math.cos(0.7) - 0.02 * Math.sin(0.7));
    expect(0.5 * 0.201 * rate ** 2).toBeCloseTo(0.8 * STANDARD_GRAVITY * fall, 10);
  });
  it('never gets to a stop it would have to climb to', () => expect(fallOnStop(pole, 'up').rate).toBe(0));
  it('falls either way the same when the pole is turned end for end', () => {
    expect(() =>
      fc.assert(
        fc.property(fc.integer({ min: -50, max: 50 }), fc.integer({ min: -30, max: 30 }), (x, z) => {
          const one: Pole = { ...pole, fromHinge: [x / 1000, 0, z / 1000] };
          const other: Pole = { ...pole, fromHinge: [-x / 1000, 0, z / 1000] };
          return Math.abs(fallOnStop(one, 'down').rate - fallOnStop(other, 'up').rate) < 1e-12;
        }),
        { seed: 5 },
      ),
    ).not.toThrow();
  });
  it('needs padding as the square of its speed, and more the further out the pad is met', () => {
    const at = { rate: 1, cameraFromAxis: 0.5, padFromAxis: 0.05, jolt: 49 };
    expect(paddingFor({ ...at, rate: 2 })).toBeCloseTo(4 * paddingFor(at), 12);
    expect(paddingFor({ ...at, padFromAxis: 0.1 })).toBeCloseTo(2 * paddingFor(at), 12);
    // Camera: 0.25/98 m of way; the pad a tenth of it, at 65 % give.
    expect(paddingFor(at)).toBeCloseTo(0.25 / 98 / 10 / 0.65, 12);
  });
});
