import * as fc from 'fast-check';
import { cross, length, multiply, rotationAbout, scale, STANDARD_GRAVITY, subtract, transform, transpose, type Mat3, type Vec3 } from '../../0-base';
import { leanBeyondLimit, panLimit, steadyPan, type PanRig } from './panLean';

const balanced: PanRig = { mass: 2, fromPivot: [0, 0, -0.02], inertia: [[0.12, 0, 0], [0, 0.14, 0], [0, 0, 0.03]] };
const lopsided: PanRig = { ...balanced, inertia: [[0.12, 0, -0.01], [0, 0.14, 0.004], [-0.01, 0.004, 0.03]] };
const rigs = fc.record({ x: fc.integer({ min: -20, max: 20 }), y: fc.integer({ min: -20, max: 20 }), h: fc.integer({ min: 10, max: 60 }), xz: fc.integer({ min: -15, max: 15 }), yz: fc.integer({ min: -15, max: 15 }), rate: fc.integer({ min: 0, max: 180 }) })
  .map(({ x, y, h, xz, yz, rate }): { rig: PanRig; rate: number } => ({ rig: { mass: 2, fromPivot: [x / 1e4, y / 1e4, -h / 1e3], inertia: [[0.12, 0.001, xz / 1e3], [0.001, 0.14, yz / 1e3], [xz / 1e3, yz / 1e3, 0.03]] }, rate: (rate * Math.PI) / 180 }));

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
    expect(Math.cos(lean)).toBeCloseTo((2 * STANDARD_GRAVITY * 0.02) / ((1.5 * unstableAbove!) ** 2 * (0.14 - 0.03)), 12);
    expect(steadyPan(balanced, 1.5 * unstableAbove!)!.minimum).toBeFalse();
  });
  it('is at rest where nothing turns it: torque of weight and spin cancel', () => {
    expect(() => fc.assert(fc.property(rigs, ({ rig, rate }) => {
      const rest = steadyPan(rig, rate);
      if (!rest) return true;
      const k = subtract(scale(rig.fromPivot, rig.mass * STANDARD_GRAVITY), scale(transform(rig.inertia, rest.up), rate * rate));
      return length(cross(rest.up, k)) < 1e-9;
    }), { seed: 11 })).not.toThrow();
  });
  it('turning the axes about the vertical turns the answer with them', () => {
    expect(() => fc.assert(fc.property(rigs, fc.integer({ min: 0, max: 359 }), ({ rig, rate }, degrees) => {
      const turn: Mat3 = rotationAbout([0, 0, 1], (degrees * Math.PI) / 180);
      const there: PanRig = { mass: rig.mass, fromPivot: transform(turn, rig.fromPivot), inertia: multiply(multiply(turn, rig.inertia), transpose(turn)) };
      const [one, other] = [steadyPan(rig, rate), steadyPan(there, rate)];
      return one === null || other === null ? one === other : length(subtract(transform(turn, one.up), other.up)) < 1e-8;
    }), { seed: 12 })).not.toThrow();
  });
  it('of a rig that does not hang is told by nothing, never by NaN', () => {
    for (const d of [[0, 0, 0.01], [0, 0, 0]] as Vec3[]) expect(steadyPan({ ...balanced, fromPivot: d }, 1)).toBeNull();
  });
});
