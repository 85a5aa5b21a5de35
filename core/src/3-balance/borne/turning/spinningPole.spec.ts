import * as fc from 'fast-check';
import { freeDroop, hingeRaise, poleOf, spinningPole, type Pole } from '../..';
import { STANDARD_GRAVITY, type Vec3 } from '../../../0-base';
import { flatBody, sumsOf } from '../../../1-load';

const body = (mass: number, at: Vec3) =>
  flatBody({ id: 'b', name: 'b', owner: 'b', shape: { kind: 'point' }, at, mass: { value: mass } });
const pole = (camera: number, tail: number, hinge: Vec3, more: Partial<Pole> = {}): Pole => ({
  ...poleOf(sumsOf([body(camera, [0.6, 0, 0]), body(tail, [-0.6, 0, 0]), body(0.2, [0, 0, 0])]), hinge, {
    stopDown: 0.8,
    stopUp: 0.8,
  }),
  ...more,
});

describe('a spinning pole', () => {
  it('hangs with its mass centre under the hinge', () => {
    const p = pole(0.14, 0.13, [0, 0, 0.02]);
    const droop = freeDroop(p)!;
    expect(Math.tan(droop)).toBeCloseTo(p.fromHinge[0] / -p.fromHinge[2], 12);
    expect(spinningPole(p, 0).droop).toBeCloseTo(droop, 12);
    expect(spinningPole(p, 0).neckMoment).toBeCloseTo(0, 12);
  });

  it('rises towards level the faster it spins, and pulls the head aside with M R w²', () => {
    const p = pole(0.15, 0.13, [0, 0, 0.02]);
    const droops = [0, 1, 2, 4, 8, 16].map((w) => spinningPole(p, w));
    droops.slice(1).forEach((d, i) => expect(Math.abs(d.droop!)).toBeLessThan(Math.abs(droops[i]!.droop!)));
    expect(droops[5]!.droop!).toBeLessThan(0.01);
    for (const d of droops)
      expect(d.swivelSideLoad).toBeCloseTo(p.mass * d.rate ** 2 * Math.abs(d.massCentreAheadOfSwivel), 9);
  });

  it('lies on its stop with the hinge under the mass centre, and on neither when balanced in it', () => {
    const under = pole(0.15, 0.13, [0, 0, -0.01]);
    expect(spinningPole(under, 0).onStop).toBe('down');
    expect(spinningPole(under, 0).droop).toBe(0.8);
    const even = pole(0.13, 0.13, [0, 0, 0]);
    expect(freeDroop(even)).toBeNull();
    expect(spinningPole(even, 0).droop).toBeNull();
    expect(spinningPole(even, 3).droop).toBeCloseTo(0, 12);
  });

  it('at rest in the spin nothing turns it about the hinge, whatever the pole', () => {
    expect(() =>
      fc.assert(
        fc.property(
          fc.double({ min: 0.05, max: 0.4, noNaN: true }),
          fc.double({ min: 0.05, max: 0.4, noNaN: true }),
          fc.double({ min: 0.005, max: 0.08, noNaN: true }),
          fc.double({ min: 0, max: 9, noNaN: true }),
          (camera, tail, height, rate) => {
            const p = pole(camera, tail, [0, 0, height]);
            const { droop, onStop } = spinningPole(p, rate);
            if (onStop !== null || droop === null) return;
            // Point by point: gravity and the outward pull about the hinge.
            const moment = (
              [
                [camera, 0.6],
                [tail, -0.6],
                [0.2, 0],
              ] as const
            ).reduce((sum, [m, along]) => {
              const [x, z] = [
                along * Math.cos(droop) - height * Math.sin(droop),
                -along * Math.sin(droop) - height * Math.cos(droop),
              ];
              return sum + m * (STANDARD_GRAVITY * x + rate * rate * x * z);
            }, 0);
            expect(Math.abs(moment)).toBeLessThan(1e-8);
          },
        ),
        { numRuns: 200, seed: 4 },
      ),
    ).not.toThrow();
  });

  it('says how far up the hinge must go for a droop, and then it droops so', () => {
    const p = pole(0.15, 0.13, [0, 0, 0.004]);
    const raise = hingeRaise(p, 0.15);
    expect(raise).toBeGreaterThan(0);
    expect(freeDroop(pole(0.15, 0.13, [0, 0, 0.004 + raise]))!).toBeCloseTo(0.15, 12);
  });

  it('pulls itself over when the hinge stands ahead of the swivel', () => {
    const straight = pole(0.13, 0.13, [0, 0, 0.02]);
    expect(spinningPole({ ...straight, hingeAhead: 0.05 }, 4).droop!).not.toBeCloseTo(
      spinningPole(straight, 4).droop!,
      4,
    );
  });
});
