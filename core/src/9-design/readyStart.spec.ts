import { FAMILIES, familyById, USUAL_HANDS } from '../2-frame';
import { THREE_LOADS } from '../testing/loads';
import { wants } from '../testing/rigs';
import { cure } from './cure';
import { judged, workpiece } from './derive';
import { chooseFamilies, type ChooseInput, type Wishes } from './choose';
import { readyCandidate, readyStart } from './readyStart';
import { startRig } from './startRig';

const ANY: Wishes = {
  carries: [],
  moves: [],
  hands: null,
  wet: false,
  hours: null,
  money: null,
  mass: null,
  tools: null,
};
const faultsOf = (
  design: ReturnType<typeof startRig>['design'],
  values: Readonly<Record<string, number>>,
  load: number,
) => {
  const { loadout, kit } = THREE_LOADS[load]!;
  const made = workpiece({ design }, loadout, kit);
  if (!made.ok) throw new Error(made.reason);
  return judged(made.work, values, wants).findings.filter(
    (f) => f.stage !== 'load' && (f.severity === 'stop' || f.severity === 'mend'),
  );
};

describe('a rig made ready', () => {
  // One of each way to be cured: a size, a choice, a piece moved, a washer; the quick ones of each load.
  for (const [id, load] of [
    ['pipe-post', 0],
    ['swivel-grip', 0],
    ['sliding-top-handle', 1],
    ['plate-and-pillar', 1],
    ['hand-frame', 2],
    ['gimballed-bent-bar', 0],
  ] as const)
    it(`${id} for ${THREE_LOADS[load]!.name} starts without a fault that it had, and says what was changed`, () => {
      const family = familyById(id)!;
      const { loadout, kit } = THREE_LOADS[load]!;
      const start = startRig(family, loadout, kit, wants);
      const before = faultsOf(start.design, start.values, load);
      const ready = readyStart(family, { loadout, kit, wants });
      expect(before.length).toBeGreaterThan(0);
      expect(ready.cured.length).toBeGreaterThan(0);
      expect(faultsOf(ready.design, ready.values, load).length).toBe(ready.left.length);
      expect(ready.left.length).toBeLessThan(before.length);
    });

  it('what is left, no single change cures without another fault', () => {
    const family = familyById('plate-and-pillar')!;
    const { loadout, kit } = THREE_LOADS[2]!;
    const { design, values, left } = readyStart(family, { loadout, kit, wants });
    expect(left.length).toBeGreaterThan(0);
    for (const finding of left) {
      const cures = cure({ rig: { design, wants }, loadout, kit, values, finding });
      expect(cures.filter((c) => !c.trimAfter)).toEqual([]);
    }
  });

  it('one that has no fault is left as it starts', () => {
    const family = familyById('boom')!;
    const { loadout, kit } = THREE_LOADS[0]!;
    const start = startRig(family, loadout, kit, wants);
    expect(readyStart(family, { loadout, kit, wants })).toEqual({
      design: start.design,
      values: start.values,
      cured: [],
      left: [],
    });
  });

  it('is looked at again as it then is, and what lies in the bin is not bought', () => {
    const { loadout, kit } = THREE_LOADS[0]!;
    const input: ChooseInput = { wishes: ANY, loadout, kit, wants };
    const family = familyById('hand-frame')!;
    const bare = readyCandidate(family, input);
    const { bodies } = family.build(family.size(null, USUAL_HANDS));
    const { name } = bodies.flatMap((b) => b.members)[0]!.stock;
    const held = readyCandidate(family, { ...input, bin: [{ id: 'b1', name, count: 0, lengths: [3] }] });
    expect(held.cost).toBeLessThan(bare.cost);
    expect(held.reasons.some((r) => r.good && JSON.stringify(r.text).includes('Your bin saves'))).toBeTrue();
    expect(bare.reasons.some((r) => JSON.stringify(r.text).includes('Your bin saves'))).toBeFalse();
  });

  it('is chosen among all families for each load', () => {
    const { loadout, kit } = THREE_LOADS[1]!;
    expect(
      chooseFamilies({ wishes: ANY, loadout, kit, wants })
        .map((c) => c.family)
        .sort(),
    ).toEqual(FAMILIES.map((f) => f.id).sort());
  });
});
