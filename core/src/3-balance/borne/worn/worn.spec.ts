import { comfortOf, evaluate, judge, supportOf } from '../..';
import { METRIC, render, STANDARD_GRAVITY } from '../../../0-base';
import { placeLoad } from '../../../1-load';
import { assemble, designRig, familyById, type AdjusterValues, type Assembly } from '../../../2-frame';
import { startRig } from '../../../9-design/startRig';
import { THREE_LOADS } from '../../../testing/loads';
import { balanceContext, figuresOf, wants } from '../../../testing/rigs';
import { shoulderMoment } from '../held/shoulder';

const { loadout, kit } = THREE_LOADS[2]!;
const start = startRig(familyById('shoulder-rig')!, loadout, kit, wants);
const made = designRig(start.design);
const assembly: Assembly = assemble(
  made.ok
    ? made.rig
    : (() => {
        throw new Error(made.reason);
      })(),
  placeLoad(loadout, kit),
);
const codes = (of: Assembly, values: AdjusterValues) => judge(balanceContext(of, values));

describe('a rig worn on the shoulder', () => {
  it('is borne by shoulder, chest and hands in its first pose, by the hands alone in the others', () => {
    const { held, mass } = evaluate(assembly, start.values);
    expect(held.map((p) => p.pose.id)).toEqual(['eye-level', 'waist', 'low']);
    const [eye, waist] = held;
    const up = eye!.bears.reduce((sum, b) => sum + b.force[2], 0);
    expect(up).toBeCloseTo(mass * STANDARD_GRAVITY, 6);
    expect(
      Math.hypot(
        eye!.bears.reduce((s, b) => s + b.force[0], 0),
        eye!.bears.reduce((s, b) => s + b.force[1], 0),
      ),
    ).toBeLessThan(1e-6);
    expect(eye!.bears.find((b) => b.contact.kind === 'shoulder')!.size).toBeGreaterThan(0.8 * up);
    expect(waist!.bears).toEqual([]);
    expect(supportOf(assembly.rig)!.kind).toBe('hands');
  });

  it('without its tail the hands carry, the finding says so, and one change takes it off them', () => {
    const bare = { ...start.values, 'tail-count': 0, 'camera-fore-aft': 0.04 };
    const hands = (v: AdjusterValues): number =>
      Math.max(
        ...evaluate(assembly, v)
          .held[0]!.bears.filter((b) => b.contact.kind === 'hand')
          .map((b) => b.size),
      );
    expect(hands(bare)).toBeGreaterThan(2 * hands(start.values));
    const strict: Assembly = {
      ...assembly,
      rig: {
        ...assembly.rig,
        contacts: assembly.rig.contacts.map((c) => (c.kind === 'hand' ? { ...c, comfortLimit: 4 } : c)),
      },
    };
    const told = codes(strict, bare).find((f) => f.code === 'overComfort')!;
    expect(told.limit!.value).toBe(4);
    expect(render(told.why, METRIC)).toContain('ahead of the shoulder');
  });

  it('that only the shoulder bears falls, and it is said which way; moved back over it, it stands', () => {
    const rig = { ...assembly.rig, poses: [{ id: 'alone', name: 'Hands off', contacts: ['on-shoulder'] }] };
    const alone: Assembly = { ...assembly, rig };
    const ahead = { ...start.values, 'tail-count': 0 };
    const { held } = evaluate(alone, ahead);
    expect(held[0]!.falls!.noseDown).toBeGreaterThan(0);
    expect(held[0]!.holds.kind).toBe('tooMuch');
    const told = codes(alone, ahead).find((f) => f.code === 'cannotBeHeld')!;
    expect(told.severity).toBe('stop');
    expect(render(told.title, METRIC)).toContain('nose down');
    expect(Object.values(figuresOf(told.fixes[0]?.changes ?? [])).every(Number.isFinite)).toBeTrue();
  });

  it('weighs a held-out arm with the arm’s own weight, and takes a contact’s own limit before the usual one', () => {
    expect(shoulderMoment(10, 0.3)).toBeGreaterThan(3);
    const [shoulder] = assembly.rig.contacts;
    expect(comfortOf(shoulder!)).toBe(80);
    expect(comfortOf({ ...shoulder!, comfortLimit: 12 })).toBe(12);
  });
});
