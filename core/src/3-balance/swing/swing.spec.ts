import * as fc from 'fast-check';
import {
  multiply,
  quaternionAbout,
  quaternionOf,
  rotationAbout,
  rotationOf,
  STANDARD_GRAVITY,
  transform,
  transpose,
  type Mat3,
  type Vec3,
} from '../../0-base';
import { dropTime, FROM_LEVEL } from '../borne/hung/dropTime';
import { steadyPan, type PanRig } from '../pan/panLean';
import { breaksOf, headingAt } from './handMotion';
import { energyAt, SAMPLE, swing, turnFromUp, type Swing, type SwingInput } from './swing';

const rig: PanRig = {
  mass: 2.3,
  fromPivot: [0.001, 0.0005, -0.024],
  inertia: [
    [0.131, 0.001, -0.004],
    [0.001, 0.142, 0.002],
    [-0.004, 0.002, 0.036],
  ],
};
const plain: PanRig = {
  mass: 2,
  fromPivot: [0, 0, -0.03],
  inertia: [
    [0.12, 0, 0],
    [0, 0.14, 0],
    [0, 0, 0.03],
  ],
};
const STILL = { pushes: [] };
function run(input: Omit<SwingInput, 'motion'> & Partial<SwingInput>): Swing {
  const outcome = swing({ motion: STILL, ...input });
  if (outcome.kind !== 'swings') throw new Error(outcome.kind);
  return outcome.swing;
}
const turnAt = (s: Swing, n: number): Mat3 =>
  rotationOf([0, 1, 2, 3].map((i) => s.samples[n * SAMPLE + i]!) as unknown as [number, number, number, number]);
/** Mass centre straight behind the pivot: nose up by a right angle. */
const NOSE_UP = quaternionAbout([0, 1, 0], -FROM_LEVEL);

describe('the swing', () => {
  it('keeps its energy to 1e-9 over a minute of free tumbling', () => {
    const s = run({
      rig,
      every: 0.05,
      until: 60,
      from: quaternionOf(multiply(rotationAbout([0, 1, 0], -1.2), rotationAbout([1, 0, 0], 0.7))),
    });
    const first = energyAt(rig, s, 0);
    const scale = rig.mass * STANDARD_GRAVITY * 0.024;
    for (let n = 0; n < s.count; n += 50) expect(Math.abs(energyAt(rig, s, n) - first) / scale).toBeLessThan(1e-9);
  });
  it('from level comes upright in the drop time of the closed form', () => {
    const drop = dropTime({ mass: 2, inertia: 0.14, distance: 0.03, releaseAngle: FROM_LEVEL });
    if (drop.kind !== 'falls') return fail('it should fall');
    const s = run({ rig: plain, every: drop.time, until: drop.time, from: NOSE_UP });
    expect(turnAt(s, 1)[2][0]).toBeCloseTo(0, 9);
    expect(s.samples[SAMPLE + 5]).toBeCloseTo(drop.rateAtUpright, 9);
  });
  it('with a joint that rubs comes upright as the pendulum with dry friction does', () => {
    const dry = 0.05;
    const drop = dropTime({ mass: 2, inertia: 0.14, distance: 0.03, releaseAngle: FROM_LEVEL }, { dry });
    if (drop.kind !== 'falls') return fail('it should fall');
    const s = run({ rig: plain, joint: { dry }, every: drop.time, until: drop.time, from: NOSE_UP, tolerance: 1e-10 });
    // Rubbing falls off below a thousandth of a radian a second: seen only in the first instants.
    expect(turnAt(s, 1)[2][0]).toBeCloseTo(0, 3);
  });
  it('hanging at rest stays so when nothing moves the hand', () => {
    const s = run({ rig, every: 0.5, until: 5 });
    expect(
      Math.max(...[0, 1, 2].flatMap((i) => [4, 5, 6].map((k) => Math.abs(s.samples[(3 + i) * SAMPLE + k]!)))),
    ).toBeLessThan(1e-12);
  });
  it('moved with the ground beneath it, in other axes, is the same swing', () => {
    expect(() =>
      fc.assert(
        fc.property(fc.integer({ min: 0, max: 359 }), (degrees) => {
          const turn = rotationAbout([0, 0, 1], (degrees * Math.PI) / 180);
          const there: PanRig = {
            mass: rig.mass,
            fromPivot: transform(turn, rig.fromPivot),
            inertia: multiply(multiply(turn, rig.inertia), transpose(turn)),
          };
          const from = rotationAbout([0, 1, 0], 0.6);
          const one = run({ rig, every: 1, until: 2, from: quaternionOf(from), tolerance: 1e-11 });
          // Rig axes turned by `turn`: the same matter, so rig-to-world is from · turnᵀ.
          const other = run({
            rig: there,
            every: 1,
            until: 2,
            from: quaternionOf(multiply(from, transpose(turn))),
            tolerance: 1e-11,
          });
          const [a, b] = [turnAt(one, 2), multiply(turnAt(other, 2), turn)];
          return a.every((row, i) => row.every((x, k) => Math.abs(x - b[i]![k]!) < 1e-8));
        }),
        { seed: 3, numRuns: 20 },
      ),
    ).not.toThrow();
  });
  it('in axes inside axes that all carry the same is the swing of one body', () => {
    const whole = rig.fromPivot.map((x) => x * rig.mass) as unknown as Vec3;
    const walk = {
      pushes: [{ type: 'sine' as const, direction: [0.6, 0.3, 1] as Vec3, amplitude: 2, frequency: 1.8 }],
    };
    const [one, other] = [{}, { axes: { roll: whole, tilt: whole, pan: whole } }].map((joint) =>
      run({ rig, motion: walk, joint, every: 0.5, until: 5, from: [1, 0, 0, 0] }),
    );
    for (let k = 0; k < one!.samples.length; k++) expect(other!.samples[k]).toBeCloseTo(one!.samples[k]!, 10);
  });
  it('in axes inside axes swings about each by what that one carries, and balanced is moved by no push', () => {
    const axes = { roll: [0, 0, -0.02] as Vec3, tilt: [0, 0, -0.005] as Vec3, pan: [0, 0, 0] as Vec3 };
    const inertia: Mat3 = [
      [0.004, 0, 0],
      [0, 0.002, 0],
      [0, 0, 0.01],
    ];
    for (const [about, way, moment, own] of [
      [[1, 0, 0], 0, 0.02, 0.004],
      [[0, 1, 0], 1, 0.005, 0.002],
    ] as const) {
      const period = 2 * Math.PI * Math.sqrt(own / (moment * STANDARD_GRAVITY));
      const s = run({
        rig: { mass: 1.2, fromPivot: [0, 0, 0], inertia },
        joint: { axes },
        every: period,
        until: period,
        from: quaternionAbout(about, 1e-3),
      });
      expect(s.samples[SAMPLE + 1 + way])
        .withContext(`axis ${way}`)
        .toBeCloseTo(0.5e-3, 8);
    }
    const still = run({
      rig: { mass: 1.2, fromPivot: [0, 0, 0], inertia },
      joint: { axes: { roll: [0, 0, 0], tilt: [0, 0, 0], pan: [0, 0, 0] }, viscous: 0.003 },
      motion: { pushes: [{ type: 'sine', direction: [1, 1, 1], amplitude: 5, frequency: 2 }] },
      every: 1,
      until: 5,
      from: [1, 0, 0, 0],
    });
    expect(Math.max(...still.samples.subarray(5 * SAMPLE + 4))).toBe(0);
  });
  it('panned steadily by a firm hand it settles to the lean of the steady pan', () => {
    const rate = 0.5;
    const lead = { pushes: [], turns: [{ angle: rate * 400, start: 0, duration: 400 }] };
    const s = run({
      rig,
      motion: lead,
      joint: { viscous: 0.05, pan: { spring: 2, damper: 1 } },
      every: 50,
      until: 200,
      tolerance: 1e-9,
    });
    // Half way through the turn its rate is twice the mean: the lean is that of the rate it has there.
    const [, now] = headingAt(lead, 200);
    const told = steadyPan(rig, now)!;
    // Drag on all axes tilts it a hair more; within a few per cent of the lean.
    expect(Math.asin(turnAt(s, 4)[2][0])).toBeCloseTo(told.lensElevation, 1);
  });
  it('held fast by a wrist comes back to how it was held', () => {
    const s = run({
      rig: plain,
      joint: { wrist: { spring: [8, 8, 8], damper: [0.8, 0.8, 0.8] } },
      motion: { pushes: [{ type: 'halfSine', direction: [1, 0, 0], peak: 2, start: 0, duration: 0.3 }] },
      every: 0.1,
      until: 6,
      tolerance: 1e-10,
    });
    expect(Math.abs(Math.asin(turnAt(s, 3)[2][0]))).toBeGreaterThan(1e-3);
    expect(Math.abs(Math.asin(turnAt(s, 60)[2][0]))).toBeLessThan(1e-4);
  });
  it('asked for too long a run says so, and looks along world x at first', () => {
    expect(swing({ rig, motion: STILL, every: 1e-4, until: 100 })).toEqual(
      jasmine.objectContaining({ kind: 'tooLong', samples: 1_000_001 }),
    );
    const turn = rotationOf(turnFromUp([0.1, -0.05, Math.sqrt(1 - 0.0125)] as Vec3));
    expect(turn[1][0]).toBeCloseTo(0, 12);
    expect(turn[2]).toEqual([jasmine.anything() as never, jasmine.anything() as never, jasmine.anything() as never]);
    expect(turn[2][0]).toBeCloseTo(0.1, 12);
  });
  it('a turn of the hand starts and ends without a jerk, and steps end where a term does', () => {
    const motion = {
      pushes: [{ type: 'constant' as const, direction: [1, 0, 0] as Vec3, value: 1, start: 1, duration: 2 }],
      turns: [{ angle: 1, start: 0.5, duration: 1 }],
    };
    expect(headingAt(motion, 0.5)).toEqual([0, 0]);
    expect(headingAt(motion, 3)[0]).toBeCloseTo(1, 12);
    expect(headingAt(motion, 1)[1]).toBeCloseTo(2, 12);
    expect(breaksOf(motion)).toEqual([0.5, 1, 1.5, 3]);
  });
});
