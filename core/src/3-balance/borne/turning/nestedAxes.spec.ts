import * as fc from 'fast-check';
import { axesGap, nestedAxes, torqueAtTilt, type StageInput } from '../..';
import { STANDARD_GRAVITY, type Vec3 } from '../../../0-base';

const cradle: StageInput = {
  axisPoint: [0, 0, 0.02],
  axisDirection: [0, 1, 0],
  frictionTorque: 0.01,
  mass: 0.84,
  massCentre: [0.05, 0.004, 0.025],
  slides: [
    { direction: [1, 0, 0], movesStagesUpTo: 0, travel: [-0.06, 0.06] },
    { direction: [0, 0, 1], movesStagesUpTo: 0, travel: [-0.02, 0.02] },
  ],
};
const arm: StageInput = {
  axisPoint: [0, 0, 0.02],
  axisDirection: [1, 0, 0],
  frictionTorque: 0.01,
  mass: 0.3,
  massCentre: [-0.08, 0.02, 0.03],
  slides: [
    { direction: [0, 1, 0], movesStagesUpTo: 0, travel: [-0.02, 0.02] },
    { direction: [0, 0, 1], movesStagesUpTo: 1, travel: [-0.02, 0.02] },
  ],
};
const pan: StageInput = {
  axisPoint: [-0.02, 0, 0.1],
  axisDirection: [0, 0, 1],
  frictionTorque: 0.008,
  mass: 0.45,
  massCentre: [-0.12, 0, 0.1],
  slides: [{ direction: [1, 0, 0], movesStagesUpTo: 2, travel: [-0.05, 0.05] }],
};

describe('axes inside axes', () => {
  it('each carries all inside it; the worst torque is its weight times how far it lies off the axis', () => {
    const [tilt, roll] = nestedAxes([cradle, arm]);
    expect(tilt!.massCentreToAxis).toBeCloseTo(Math.hypot(0.05, 0.005), 12);
    expect(tilt!.residualTorque).toBeCloseTo(0.84 * STANDARD_GRAVITY * Math.hypot(0.05, 0.005), 12);
    expect(roll!.carriedMass).toBeCloseTo(1.14, 12);
    expect(torqueAtTilt(2, Math.PI / 3)).toBeCloseTo(1, 12);
  });

  it('balanced from the inside out nothing is left, and the moves are those of the mass centres', () => {
    const stages = nestedAxes([cradle, arm, pan], true);
    for (const s of stages) expect(s.residualTorqueAfterSlides).toBeLessThan(1e-12);
    expect(stages[0]!.slideMoves[0]!).toBeCloseTo(-0.05, 12);
    expect(stages[0]!.slideMoves[1]!).toBeCloseTo(-0.005, 12);
  });

  it('says which slide runs out, and leaves alone one that does nothing about its axis', () => {
    const short: StageInput = {
      ...cradle,
      slides: [
        { direction: [1, 0, 0], movesStagesUpTo: 0, travel: [-0.03, 0.03] },
        { direction: [0, 1, 0], movesStagesUpTo: 0, travel: [-0.01, 0.01] },
      ],
    };
    const [stage] = nestedAxes([short], true);
    expect(stage!.withinTravel).toEqual([false, true]);
    expect(stage!.slideMoves[1]).toBe(0);
    expect(stage!.residualTorqueAfterSlides).toBeCloseTo(0.84 * STANDARD_GRAVITY * 0.005, 9);
  });

  it('friction hides what is less than it', () => {
    expect(nestedAxes([{ ...cradle, massCentre: [0.001, 0.3, 0.02] }])[0]!.hiddenByFriction).toBeTrue();
    expect(nestedAxes([{ ...cradle, massCentre: [0.002, 0.3, 0.02] }])[0]!.hiddenByFriction).toBeFalse();
  });

  it('is the same wherever the axes stand, and splitting a stage’s mass along its axis changes nothing', () => {
    const by = fc.tuple(
      fc.double({ min: -2, max: 2, noNaN: true }),
      fc.double({ min: -2, max: 2, noNaN: true }),
      fc.double({ min: -2, max: 2, noNaN: true }),
    );
    const shift = (p: Vec3, d: Vec3): Vec3 => [p[0] + d[0], p[1] + d[1], p[2] + d[2]];
    expect(() =>
      fc.assert(
        fc.property(by, (d) => {
          const a = nestedAxes([cradle, arm, pan], true);
          const b = nestedAxes(
            [cradle, arm, pan].map((s) => ({
              ...s,
              axisPoint: shift(s.axisPoint, d),
              massCentre: shift(s.massCentre, d),
            })),
            true,
          );
          a.forEach((s, i) => {
            expect(b[i]!.residualTorque).toBeCloseTo(s.residualTorque, 9);
            s.slideMoves.forEach((m, k) => expect(b[i]!.slideMoves[k]!).toBeCloseTo(m, 9));
          });
        }),
        { numRuns: 50, seed: 6 },
      ),
    ).not.toThrow();
  });

  it('tells axes that miss one another by how much', () => {
    expect(axesGap(cradle, arm)).toBeCloseTo(0, 12);
    expect(axesGap(cradle, { axisPoint: [0, 0, 0.03], axisDirection: [1, 0, 0] })).toBeCloseTo(0.01, 12);
    expect(axesGap(cradle, { axisPoint: [0.02, 5, 0.02], axisDirection: [0, 1, 0] })).toBeCloseTo(0.02, 12);
  });
});
