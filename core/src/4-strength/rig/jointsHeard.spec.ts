import { FAMILIES } from '../../2-frame';
import { started } from '../../testing/started';
import { jointsHeard, strengthOf, NOTHING_HEARD, type JointHeard, type JointsHeard } from '..';

const strength = (id: string, joints: JointsHeard = NOTHING_HEARD) => {
  const { assembly, values } = started(id);
  const outcome = strengthOf({ assembly, values, pose: assembly.rig.poses[0] ?? null, bump: 3, joints });
  if (outcome.kind !== 'solved') throw new Error('not solved');
  return outcome.strength;
};
const lowest = (id: string, joints: JointsHeard = NOTHING_HEARD): number => strength(id, joints).modes[0]!.frequency;
const heardAt = (id: string, frequency: number, joints: JointsHeard = NOTHING_HEARD) => {
  const outcome = jointsHeard({ ...started(id), joints, frequency, uncertainty: 0.001, way: null });
  if (outcome.kind !== 'heard') throw new Error(outcome.kind);
  return outcome;
};
const known = (joints: readonly (JointHeard & { readonly id: string })[]): JointsHeard =>
  new Map(joints.map((j) => [j.id, j]));

describe('a flick', () => {
  for (const { id } of FAMILIES)
    it(`${id}: heard as reckoned moves no joint; heard lower, those that give most are softer, and it rings so`, () => {
      const as = lowest(id);
      const same = heardAt(id, as);
      expect(same.expected).toBeCloseTo(as, 6);
      expect(same.explained).toBeCloseTo(as, 6);
      expect(same.joints.every((j) => Math.abs(j.spreads) < 1e-6)).toBeTrue();
      const lower = heardAt(id, 0.93 * as);
      // Joints are pulled back to what their kinds are, the more so the better those are known beside the reading.
      expect(lower.explained).toBeLessThan(as);
      expect(lower.explained).toBeGreaterThan(0.925 * as);
      expect(lower.joints.every((j) => j.factor < 1)).toBeTrue();
      // What hardly takes part is not told.
      expect(lowest(id, known(lower.joints)) / lower.explained).toBeCloseTo(1, 2);
    });

  it('tells the joint that is slack: the rest keep to their kind, and the range narrows', () => {
    const id = 'helmet-pole';
    const before = strength(id);
    const [softest] = heardAt(id, 0.85 * before.modes[0]!.frequency).joints;
    const after = strength(id, known(heardAt(id, 0.85 * before.modes[0]!.frequency).joints));
    expect(softest!.spreads).toBeLessThan(0);
    const width = ({ range: [least, most] }: { readonly range: readonly [number, number] }): number =>
      Math.log(most / least);
    expect(width(after.modes[0]!)).toBeLessThan(0.8 * width(before.modes[0]!));
  });

  it('heard twice alike says little more than once; far from anything its joints can be, it is not explained', () => {
    const id = 'helmet-pole';
    const as = lowest(id);
    const once = heardAt(id, 0.9 * as);
    const twice = heardAt(id, 0.9 * as, known(once.joints));
    expect(Math.abs(twice.joints[0]!.spreads)).toBeLessThan(Math.abs(once.joints[0]!.spreads));
    expect(heardAt(id, 10 * as).explained).toBeLessThan(5 * as);
  });

  it('of a way that nothing rings in says so', () => {
    const { assembly, values } = started('pipe-post');
    const ways = (['rolls', 'nods', 'pans'] as const).map(
      (way) => jointsHeard({ assembly, values, joints: NOTHING_HEARD, frequency: 20, uncertainty: 0.1, way }).kind,
    );
    expect(ways).toContain('heard');
    const bare = { ...assembly, rig: { ...assembly.rig, contacts: [], poses: [] } };
    expect(
      jointsHeard({ assembly: bare, values, joints: NOTHING_HEARD, frequency: 20, uncertainty: 0.1, way: null }).kind,
    ).toBe('notHeld');
  });
});
