import { METRIC, render } from '../../0-base';
import { FAMILIES } from '../../2-frame';
import { kit, loadout, rigOf } from '../../testing/rigs';
import { started } from '../../testing/started';
import type { AsMade, RigDocument } from '../../model';
import { judged, workpiece } from '../derive';
import { whatNow, type WhatNow } from './whatNow';

/** A family as it is started for its load, so that as drawn it is as wanted. */
function startedRig(family: string): { readonly rig: RigDocument; readonly values: Readonly<Record<string, number>> } {
  const { design, values } = started(family);
  return { rig: { ...rigOf(family), design }, values };
}
function told(family: string, made: readonly AsMade[]): WhatNow {
  const { rig, values } = startedRig(family);
  const outcome = whatNow({ rig: { ...rig, made: [...made] }, loadout, kit, values });
  if (outcome.kind !== 'told') throw new Error(outcome.reason);
  return outcome.now;
}
const workOf = (family: string, made: readonly AsMade[]) => {
  const made_ = workpiece({ ...startedRig(family).rig, made: [...made] }, loadout, kit);
  if (!made_.ok) throw new Error(made_.reason);
  return made_.work;
};
const out = (of: readonly { readonly out: boolean; readonly name: string }[]): readonly string[] =>
  of.filter((g) => g.out).map((g) => g.name);

describe('what to do with a rig made otherwise', () => {
  it('a bend four degrees short and a hole three millimetres off: the last hole elsewhere and the trim bring it level again', () => {
    const family = 'gimballed-bent-bar';
    const { rig } = workOf(family, []);
    const bar = rig.bodies.flatMap((b) => b.members).find((m) => m.id === 'bar')!;
    const angle =
      bar.path.kind === 'bent' ? bar.path.segments.flatMap((s) => ('angle' in s ? [Math.abs(s.angle)] : []))[0]! : 0;
    const rear = bar.holes.find((h) => h.name.startsWith('rear weight'))!;
    const made: readonly AsMade[] = [
      { kind: 'bend', member: 'bar', bend: 0, angle: angle - (4 * Math.PI) / 180 },
      { kind: 'hole', member: 'bar', hole: rear.id, along: rear.along + 0.003 },
    ];
    const now = told(family, made);
    expect(out(now.made)).toContain('Nose');
    expect(now.hole!.name).toContain('foot');
    expect(Math.abs(now.hole!.along - now.hole!.drawn)).toBeGreaterThan(0.0003);
    expect(now.left).toEqual([]);
    // Done as told and looked at anew, by the whole way from the document.
    const { wants } = rigOf(family);
    const { member, hole, along } = now.hole!;
    const after = judged(workOf(family, [...made, { kind: 'hole', member, hole, along }]), now.values, wants);
    expect(Math.abs(after.evaluation.hung!.hang.rest!.noseDown)).toBeLessThan(wants.levelWithin);
    expect(after.findings.filter((f) => f.code.startsWith('notLevel')).map((f) => render(f.title, METRIC))).toEqual([]);
  });

  it('one leg of a ring: its fellow is to be cut the same, and then it goes together', () => {
    const { rig } = workOf('tube-frame', []);
    const leg = rig.bodies.flatMap((b) => b.members).find((m) => m.name === 'front leg, left')!;
    const cut: AsMade = { kind: 'length', member: leg.id, length: 0.22 };
    const now = told('tube-frame', [cut]);
    expect(now.fellows.map((f) => f.name)).toEqual(['front leg, right']);
    expect(now.left.map((l) => render(l, METRIC)).join()).toContain(
      'does not go together: front leg, left: 220 mm long',
    );
    const [fellow] = now.fellows;
    const both = told('tube-frame', [cut, { kind: 'length', member: fellow!.member, length: fellow!.length }]);
    expect(both.left.map((l) => render(l, METRIC)).join()).not.toContain('does not go together');
    expect(both.fellows).toEqual([]);
  });

  for (const { id } of FAMILIES)
    it(`${id}: made as drawn nothing is to be done that was not to be done before; what is told to make again is enough`, () => {
      const { rig } = workOf(id, []);
      const member = rig.bodies.flatMap((b) => b.members).find((m) => m.holes.some((h) => !h.afterBending && h.by));
      const plain = told(id, []);
      expect(plain.made.map((g) => g.figure)).toEqual(plain.drawn.map((g) => g.figure));
      if (!member) return;
      const hole = member.holes.find((h) => !h.afterBending && h.by)!;
      const off: AsMade = { kind: 'hole', member: member.id, hole: hole.id, along: hole.along + 0.003 };
      const now = told(id, [off]);
      expect(now.made.length).toBe(plain.made.length);
      for (const a of now.again)
        expect(
          told(
            id,
            [off].filter((e) => e.member !== a.of.member),
          ).left,
        ).toEqual([]);
      if (now.left.length > 0 && plain.left.length === 0) expect(now.again.length).toBe(1);
    });
});
