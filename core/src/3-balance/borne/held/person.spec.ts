import * as fc from 'fast-check';
import { elbowMoment, judge, reachOfArm, statureOf } from '../..';
import { stanceOf } from './person';
import { length, subtract, type Vec3 } from '../../../0-base';
import { assemble, familyById, USUAL_HANDS } from '../../../2-frame';
import { familyInput } from '../../../2-frame/family';
import { balanceContext } from '../../../testing/rigs';
import type { Pose } from '../../../model';

const pose = (arm: number, more: Partial<Pose> = {}): Pose => ({
  id: 'p',
  name: 'Held',
  contacts: ['h'],
  arm,
  ...more,
});
const stance = (arm: number, hands = USUAL_HANDS, more: Partial<Pose> = {}) => {
  const found = stanceOf(pose(arm, more), [0.1, -0.2, 0.3], hands);
  if (found.kind !== 'reaches') throw new Error('out of reach');
  return found;
};

describe('a person who holds a rig', () => {
  it('has arms of one length whatever the pose: both links keep theirs', () => {
    expect(() =>
      fc.assert(
        fc.property(fc.integer({ min: 5, max: 60 }), fc.integer({ min: 140, max: 200 }), (cm, height) => {
          const hands = { ...USUAL_HANDS, stature: height / 100 };
          const found = stanceOf(pose(cm / 100), [0, 0, 0], hands);
          if (found.kind !== 'reaches') return expect(cm / 100).toBeGreaterThan(0.9 * reachOfArm(hands));
          expect(length(subtract(found.elbow, found.shoulder))).toBeCloseTo(0.186 * hands.stature, 9);
          expect(length(subtract(found.hand, found.elbow))).toBeCloseTo(0.196 * hands.stature, 9);
          expect(Math.hypot(found.hand[0] - found.shoulder[0], found.hand[1] - found.shoulder[1])).toBeCloseTo(
            cm / 100,
            9,
          );
        }),
        { numRuns: 100, seed: 8 },
      ),
    ).not.toThrow();
  });

  it('stands behind the rig, or before it when the lens looks back', () => {
    expect(stance(0.3).shoulder[0]).toBeCloseTo(-0.2, 12);
    expect(stance(0.3, USUAL_HANDS, { facesHolder: true }).shoulder[0]).toBeCloseTo(0.4, 12);
    expect(stance(0.3).eye[0]).toBeGreaterThan(stance(0.3).neck[0]);
  });

  it('has its body on the other side of the arm for a left hand', () => {
    const [right, left] = [stance(0.3), stance(0.3, { ...USUAL_HANDS, leftHanded: true })];
    expect(right.hip[1]).toBeGreaterThan(right.shoulder[1]);
    expect(left.hip[1]).toBeLessThan(left.shoulder[1]);
  });

  it('feels more at the elbow the further the forearm lies out, and its own weight with an empty hand', () => {
    expect(elbowMoment(stance(0.4), 10)).toBeGreaterThan(elbowMoment(stance(0.1), 10));
    expect(elbowMoment(stance(0.4), 0)).toBeGreaterThan(0);
    expect(statureOf(USUAL_HANDS)).toBe(1.72);
  });

  it('a pose nobody of that height reaches stops, with the figures', () => {
    const family = familyById('pipe-post')!;
    const { input } = familyInput(family, { armOut: { value: 0.8 } }, {});
    const told = judge(balanceContext(assemble(family.build(input), null))).find((f) => f.code === 'poseOutOfReach')!;
    expect(told.severity).toBe('stop');
    expect(told.figure!.value).toBe(0.8);
    expect(told.limit!.value).toBeCloseTo(reachOfArm(USUAL_HANDS), 12);
  });

  it('one contact on the shoulder fixes the shoulder there', () => {
    const on: Vec3 = [0, 0, 0];
    const found = stanceOf(pose(0.3), [0.35, 0.1, -0.1], USUAL_HANDS, { onShoulder: on, ground: null });
    expect(found.kind === 'reaches' && found.shoulder).toEqual(on);
    expect(stanceOf(pose(0.3), [2, 0, 0], USUAL_HANDS, { onShoulder: on, ground: null }).kind).toBe('outOfReach');
  });
});
