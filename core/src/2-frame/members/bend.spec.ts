import * as fc from 'fast-check';
import { holds } from '../../testing/holds';
import { subtract, length } from '../../0-base';
import { flatBody, massCentre, sumsOf } from '../../1-load';
import {
  cutLength,
  followBends,
  frameAlong,
  inserted,
  neutralFractionFor,
  outerStrain,
  springBack,
  stripStart,
} from '..';

const section = { thickness: 0.006, width: 0.03 };
const start = stripStart([0, 0, 0], [1, 0, 0], [0, 1, 0]);

describe('a bent strip', () => {
  it('turned half round comes back beside itself', () => {
    const strip = followBends(
      section,
      [{ straight: 0.2 }, { angle: Math.PI, insideRadius: 0.1, neutralFraction: 0.5 }, { straight: 0.2 }],
      start,
    );
    strip.end.at.forEach((x, i) => expect(x).toBeCloseTo([0, 2 * 0.103, 0][i]!, 12));
    expect(strip.developedLength).toBeCloseTo(0.4 + Math.PI * 0.103, 12);
    expect(strip.largestOuterStrain).toBeCloseTo(0.003 / 0.103, 12);
  });

  it('finds every point of the blank on the bent bar, without a jump', () => {
    const strip = followBends(
      section,
      [
        { straight: 0.1 },
        { angle: 1.2, insideRadius: 0.05, neutralFraction: 0.5 },
        { roll: 0.4 },
        { angle: -0.9, insideRadius: 0.04, neutralFraction: 0.45 },
        { straight: 0.08 },
      ],
      start,
    );
    holds(
      fc.property(fc.double({ min: 0, max: 0.999, noNaN: true }), (part) => {
        const [a, b] = [
          frameAlong(strip, part * strip.developedLength),
          frameAlong(strip, (part + 0.001) * strip.developedLength),
        ];
        const step = length(subtract(b.at, a.at)) / (0.001 * strip.developedLength);
        return step > 0.9 && step < 1.1; // the middle of the thickness is a little longer or shorter than the neutral line
      }),
      { seed: 11 },
    );
    expect(length(subtract(frameAlong(strip, strip.developedLength).at, strip.end.at))).toBeLessThan(1e-12);
    expect(length(subtract(frameAlong(strip, strip.developedLength + 0.01).at, strip.end.at))).toBeCloseTo(0.01, 12);
  });

  it('out of its plane by an angle shifts the mass centre sideways, in it not at all', () => {
    const side = (roll: number): number => {
      const strip = followBends(
        section,
        [{ straight: 0.2 }, { roll }, { angle: Math.PI, insideRadius: 0.13, neutralFraction: 0.5 }, { straight: 0.1 }],
        stripStart([0, 0, 0], [1, 0, 0], [0, 0, -1]),
      );
      return massCentre(
        sumsOf(
          strip.stretches.map((s, i) =>
            flatBody({
              id: `${i}`,
              name: '',
              owner: '',
              shape: s.shape,
              at: s.origin,
              rotation: s.rotation,
              density: 2700,
            }),
          ),
        ),
      )[1];
    };
    expect(side(0)).toBeCloseTo(0, 12);
    expect(side(0.02)).toBeCloseTo(-side(-0.02), 12);
    expect(Math.abs(side(0.02))).toBeGreaterThan(0.001);
  });

  it('needs a former tighter than the bend, and tells how far to pull it', () => {
    const found = springBack({ radius: 0.15, angle: Math.PI, thickness: 0.006, stiffness: 69e9, yield: 145e6 });
    if (found.kind !== 'solved') return fail('no former');
    expect(found.formerRadius).toBeLessThan(0.15);
    const x = (found.formerRadius * 145e6) / (69e9 * 0.006);
    expect(found.formerRadius / 0.15).toBeCloseTo(4 * x ** 3 - 3 * x + 1, 9);
    expect(found.overbendAngle * found.formerRadius).toBeCloseTo(Math.PI * 0.15, 9);
    expect(springBack({ radius: -1, angle: 1, thickness: 0.006, stiffness: 69e9, yield: 145e6 }).kind).toBe(
      'noSolution',
    );
  });

  it('has its neutral line nearer the inside when tight', () => {
    expect(neutralFractionFor(0.1, 0.006)).toBe(0.5);
    expect(neutralFractionFor(0.006, 0.006)).toBeCloseTo(0.33, 12);
    expect(neutralFractionFor(0.048, 0.006)).toBeCloseTo(0.45, 12);
    expect(outerStrain(0.006, 0.006, 0.5)).toBeCloseTo(1 / 3, 12);
  });
});

describe('a cut length', () => {
  it('is the centre line less both take-offs, and pushing short makes the rig longer', () => {
    const end = { centreToFace: 0.03, depth: 0.0175, shortBy: 0.002 };
    expect(cutLength(end, end, 0.28).asAssembled).toBeCloseTo(0.284, 12);
    expect(cutLength(end, end, 0.28).possible).toBeTrue();
    expect(cutLength(end, end, 0.28).length).toBeCloseTo(0.255, 12);
    expect(cutLength(end, end, 0.02).possible).toBeFalse();
    expect(inserted(end)).toBeCloseTo(0.0155, 12);
    expect(inserted({ takeOff: -0.01 })).toBeNull();
  });
});
