import * as fc from 'fast-check';
import {
  cross,
  length,
  multiply,
  rotationAbout,
  scale,
  STANDARD_GRAVITY,
  subtract,
  transform,
  transpose,
  type Mat3,
  type Vec3,
} from '../../0-base';
import { leanBeyondLimit, panLimit, steadyPan, type PanRig } from './panLean';

const balanced: PanRig = {
  mass: 2,
  fromPivot: [0, 0, -0.02],
  inertia: [
    [0.12, 0, 0],
    [0, 0.14, 0],
    [0, 0, 0.03],
  ],
};
const lopsided: PanRig = {
  ...balanced,
  inertia: [
    [0.12, 0, -0.01],
    [0, 0.14, 0.004],
    [-0.01, 0.004, 0.03],
  ],
};
const rigs = fc
  .record({
    x: fc.integer({ min: -20, max: 20 }),
    y: fc.integer({ min: -20, max: 20 }),
    h: fc.integer({ min: 10, max: 60 }),
    xz: fc.integer({ min: -15, max: 15 }),
    yz: fc.integer({ min: -15, max: 15 }),
    rate: fc.integer({ min: 0, max: 180 }),
  })
  .map(({ x, y, h, xz, yz, rate }): { rig: PanRig; rate: number } => ({
    rig: {
      mass: 2,
      fromPivot: [x / 1e4, y / 1e4, -h / 1e3],
      inertia: [
        [0.12, 0.001, xz / 1e3],
        [0.001, 0.14, yz / 1e3],
        [xz / 1e3, yz / 1e3, 0.03],
      ],
    },
    rate: (rate * Math.PI) / 180,
  }));

describe('a steady pan', () => {
  it('leans by small angles as the closed form says, with its sign', () => {
    const rate = 0.2;
    const rest = steadyPan(lopsided, rate)!;
    const stiff = 2 * STANDARD_GRAVITY * 0.02;
    expect(rest.lensElevation).toBeCloseTo((rate ** 2 * -0.01) / (stiff + rate ** 2 * (0.03 - 0.12)), 5);
    expect(rest.leftElevation).toBeCloseTo((rate ** 2 * 0.004) / (stiff + rate ** 2 * (0.03 - 0.14)), 5);
  });
  it('does not lean when balanced, up to its limit; beyond it takes the new rest', () => {
    const { balanced: level, unstableAbove } = panLimit(balanced);
    expect(level).toBeTrue();
    expect(steadyPan(balanced, 0.99 * unstableAbove!)!.lensElevation).toBeCloseTo(0, 12);
    expect(leanBeyondLimit(balanced, 0.99 * unstableAbove!)).toBeNull();
    // The new rest is stationary too.
    const lean = leanBeyondLimit(balanced, 1.5 * unstableAbove!)!;
    expect(Math.cos(lean)).toBeCloseTo(
      (2 * STANDARD_GRAVITY * 0.02) / ((1.5 * unstableAbove!) ** 2 * (0.14 - 0.03)),
      12,
    );
    expect(steadyPan(balanced, 1.5 * unstableAbove!)!.minimum).toBeFalse();
  });
  it('is at rest where nothing turns it: torque of weight and spin cancel', () => {
    expect(() =>
      fc.assert(
        fc.property(rigs, ({ rig, rate }) => {
          const rest = steadyPan(rig, rate);
          if (!rest) return true;
          const k = subtract(
            scale(rig.fromPivot, rig.mass * STANDARD_GRAVITY),
            scale(transform(rig.inertia, rest.up), rate * rate),
          );
          return length(cross(rest.up, k)) < 1e-9;
        }),
        { seed: 11 },
      ),
    ).not.toThrow();
  });
  it('turning the axes about the vertical turns the answer with them', () => {
    expect(() =>
      fc.assert(
        fc.property(rigs, fc.integer({ min: 0, max: 359 }), ({ rig, rate }, degrees) => {
          const turn: Mat3 = rotationAbout([0, 0, 1], (degrees * Math.PI) / 180);
          const there: PanRig = {
            mass: rig.mass,
            fromPivot: transform(turn, rig.fromPivot),
            inertia: multiply(multiply(turn, rig.inertia), transpose(turn)),
          };
          const [one, other] = [steadyPan(rig, rate), steadyPan(there, rate)];
          return one === null || other === null
            ? one === other
            : length(subtract(transform(turn, one.up), other.up)) < 1e-8;
        }),
        { seed: 12 },
      ),
    ).not.toThrow();
  });
  it('follows the branch that begins at rest: of lumps laid out anyhow, however near to neutral, no step of the rate makes it jump', () => {
    const lump = fc.record({
      m: fc.integer({ min: 50, max: 1000 }),
      at: fc.tuple(
        fc.integer({ min: -300, max: 300 }),
        fc.integer({ min: -120, max: 120 }),
        fc.integer({ min: -400, max: 150 }),
      ),
    });
    const hung = fc
      .record({
        lumps: fc.array(lump, { minLength: 3, maxLength: 6 }),
        under: fc.integer({ min: 3, max: 100 }),
        off: fc.tuple(fc.integer({ min: -20, max: 20 }), fc.integer({ min: -20, max: 20 })),
      })
      .map(({ lumps, under, off }): PanRig => {
        const mass = lumps.reduce((sum, l) => sum + l.m / 1000, 0);
        const centre = lumps.reduce<Vec3>(
          (c, { m, at }) => [
            c[0] + (m * at[0]) / 1e6 / mass,
            c[1] + (m * at[1]) / 1e6 / mass,
            c[2] + (m * at[2]) / 1e6 / mass,
          ],
          [0, 0, 0],
        );
        const h = under / 1e4;
        const fromPivot: Vec3 = [(off[0] / 1000) * h, (off[1] / 1000) * h, -h];
        const inertia = lumps.reduce<Mat3>(
          (sum, { m, at }) => {
            const p: Vec3 = [
              at[0] / 1000 - centre[0] + fromPivot[0],
              at[1] / 1000 - centre[1] + fromPivot[1],
              at[2] / 1000 - centre[2] + fromPivot[2],
            ];
            const square = p[0] ** 2 + p[1] ** 2 + p[2] ** 2;
            return [0, 1, 2].map((i) =>
              [0, 1, 2].map((j) => sum[i]![j]! + (m / 1000) * ((i === j ? square : 0) - p[i]! * p[j]!)),
            ) as unknown as Mat3;
          },
          [
            [0, 0, 0],
            [0, 0, 0],
            [0, 0, 0],
          ],
        );
        return { mass, fromPivot, inertia };
      });
    expect(() =>
      fc.assert(
        fc.property(hung, (rig) => {
          const most = 1.6;
          const ups = Array.from({ length: 161 }, (_, i) => steadyPan(rig, most * Math.sqrt(i / 160)));
          // Where it turns fast it is looked at closer, until it does not.
          const near = (a: number, b: number, left: number): boolean => {
            const [p, q] = [steadyPan(rig, a), steadyPan(rig, b)];
            if (!p?.minimum || !q?.minimum) return p?.minimum === q?.minimum || left > 0;
            return (
              length(subtract(p.up, q.up)) < 0.1 ||
              (left > 0 && near(a, (a + b) / 2, left - 1) && near((a + b) / 2, b, left - 1))
            );
          };
          return ups.slice(1).every((u, i) => {
            const before = ups[i];
            return u?.minimum && before?.minimum && length(subtract(u.up, before.up)) < 0.1
              ? true
              : near(most * Math.sqrt(i / 160), most * Math.sqrt((i + 1) / 160), 14);
          });
        }),
        { seed: 13, numRuns: 150 },
      ),
    ).not.toThrow();
  });
  it('of a rig that does not hang is told by nothing, never by NaN', () => {
    for (const d of [
      [0, 0, 0.01],
      [0, 0, 0],
    ] as Vec3[])
      expect(steadyPan({ ...balanced, fromPivot: d }, 1)).toBeNull();
  });
});
