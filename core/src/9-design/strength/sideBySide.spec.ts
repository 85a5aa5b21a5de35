import { METRIC, render } from '../../0-base';
import { FAMILIES } from '../../2-frame';
import { NOTHING_HEARD } from '../../4-strength';
import { kit, loadout, rigOf } from '../../testing/rigs';
import type { Design } from '../../model';
import { sideBySide, type Side } from './sideBySide';

const sideOf = (family: string, more: Partial<Extract<Design, { kind: 'family' }>> = {}): Side => ({
  rig: { ...rigOf(family), design: { kind: 'family', family, dimensions: {}, choices: {}, edits: [], ...more } },
  loadout,
  values: {},
  joints: NOTHING_HEARD,
});
const told = (one: Side, other: Side) => {
  const outcome = sideBySide({ one, other, kit });
  if (outcome.kind !== 'told') throw new Error(outcome.reason);
  return outcome;
};

describe('two rigs side by side', () => {
  for (const { id, dimensions, choices } of FAMILIES)
    it(`${id}: alike nothing differs; one size or choice changed is named, and alone does all of it`, () => {
      const plain = sideOf(id);
      const same = told(plain, sideOf(id));
      expect(same.differs).toEqual([]);
      expect(same.one).toEqual(same.other);
      const [size] = dimensions;
      const pick = choices.find((c) => c.options.length > 1);
      const value = size!.usual * 1.05;
      const sized = told(plain, sideOf(id, { dimensions: { [size!.id]: { value } } }));
      expect(sized.differs.map((d) => d.name)).toEqual([size!.name]);
      expect(sized.differs[0]!.alone).toEqual(sized.other.strength);
      if (!pick) return;
      const option = pick.options.find((o) => o.id !== pick.usual)!;
      const chosen = told(plain, sideOf(id, { choices: { [pick.id]: option.id } }));
      const row = chosen.differs.find((d) => d.name === pick.name)!;
      expect(render(row.to, METRIC)).toBe(option.name);
      if (chosen.differs.length === 1) expect(row.alone).toEqual(chosen.other.strength);
    });

  it('tells what was changed by hand on either side, what is carried and how it is set', () => {
    const weighed = { kind: 'weigh' as const, id: 'e1', target: 'bar', mass: { value: 0.3 } };
    const other = sideOf('gimballed-bent-bar', { edits: [weighed] });
    const names = told(sideOf('gimballed-bent-bar'), { ...other, loadout: null, values: { 'foot-count': 4 } }).differs;
    expect(names.map((d) => d.name)).toEqual([
      jasmine.stringMatching(/^Weighed: /),
      'What it carries',
      'How it is set',
    ]);
    expect(names[2]!.alone!.mass).toBeGreaterThan(told(other, other).one.strength!.mass - 0.4);
    expect(told(other, sideOf('gimballed-bent-bar')).differs[0]!.name).toMatch(/^Weighed: /);
  });

  it('of two kinds tells both in figures, and what they carry alone as what differs', () => {
    const both = told(sideOf('boom'), sideOf('tube-frame'));
    expect(both.isOneKind).toBeFalse();
    expect(both.differs).toEqual([]);
    expect(both.other.strength!.frequency).not.toBe(both.one.strength!.frequency);
    expect(sideBySide({ one: sideOf('sail'), other: sideOf('boom'), kit }).kind).toBe('cannot');
  });
});
