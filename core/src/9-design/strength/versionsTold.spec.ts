import { NOTHING_HEARD } from '../../4-strength';
import { bentBar, kit, loadout, rigOf } from '../../testing/rigs';
import type { Design } from '../../model';
import { sideBySide, type Side } from './sideBySide';
import { versionsTold } from './versionsTold';

const side = (family: string, dimensions: Extract<Design, { kind: 'family' }>['dimensions'] = {}): Side => ({
  rig: { ...rigOf(family), design: { kind: 'family', family, dimensions, choices: {}, edits: [] } },
  loadout,
  values: {},
  joints: NOTHING_HEARD,
});

describe('a line of versions', () => {
  const [one, two] = [
    side('gimballed-bent-bar'),
    side('gimballed-bent-bar', { [bentBar.dimensions[0]!.id]: { value: 1.05 * bentBar.dimensions[0]!.usual } }),
  ];

  it('tells each in its figures, and what was changed from the one before as the two beside each other do', () => {
    const parts: number[] = [];
    const [first, second] = versionsTold({ sides: [one, two], kit }, (part) => parts.push(part));
    const beside = sideBySide({ one, other: two, kit });
    if (beside.kind !== 'told' || first?.kind !== 'told' || second?.kind !== 'told') return fail('not told');
    expect(first.side).toEqual(beside.one);
    expect(first.changed).toEqual([]);
    expect(second.side).toEqual(beside.other);
    expect(second.changed).toEqual(beside.differs);
    expect([...parts].sort((a, b) => a - b)).toEqual(parts);
  });

  it('tells the rest where one of them cannot be worked out', () => {
    const broken: Side = { ...one, rig: { ...one.rig, design: { ...two.rig.design, family: 'no-such' } as Design } };
    expect(versionsTold({ sides: [one, broken, two], kit }).map((v) => v.kind)).toEqual(['told', 'cannot', 'told']);
    const [, , last] = versionsTold({ sides: [one, broken, two], kit });
    expect(last).toEqual(versionsTold({ sides: [two], kit })[0]!);
  });
});
