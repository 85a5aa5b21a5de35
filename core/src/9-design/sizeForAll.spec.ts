import { changedDesign, familyById } from '../2-frame';
import { setUpsFor } from './setUpsFor';
import { sizesForAll } from './sizeForAll';
import { startRig } from './startRig';
import { THREE_LOADS } from '../testing/loads';
import { kit, loadout, wants } from '../testing/rigs';

const { loadout: long, kit: longKit } = THREE_LOADS[2]!;
const allKit = new Map([...kit, ...longKit]);
const start = startRig(familyById('gimballed-bent-bar')!, loadout, kit, wants);
const input = {
  rig: { id: 'r', design: start.design, wants: { ...wants, massAtMost: 9, calmAtLeast: 0 }, loadout: loadout.id },
  loadouts: [loadout, long],
  kit: allKit,
  setups: [],
  bin: [],
};

describe('one size for every loadout', () => {
  const found = sizesForAll(input);
  it('counts what is served now, and never offers what is no better', () => {
    const rows = setUpsFor(input);
    expect(found.loadouts).toBe(2);
    expect(found.served).toBe(rows.filter((r) => r.values !== null).length);
    for (const b of found.better) expect(b.served > found.served || b.added < found.added).toBeTrue();
  });
  it('with what it offers as many loadouts can be balanced as it says', () => {
    for (const b of found.better) {
      const design = changedDesign(start.design, [{ kind: 'dimension', id: b.dimension, value: b.to }], () => 'e');
      expect(setUpsFor({ ...input, rig: { ...input.rig, design } }).filter((r) => r.values !== null).length)
        .withContext(b.name)
        .toBe(b.served);
    }
  });
  it('has nothing to offer for a rig of no family', () => {
    expect(
      sizesForAll({
        ...input,
        rig: {
          ...input.rig,
          design: {
            kind: 'free',
            rig: familyById('gimballed-bent-bar')!.build(
              familyById('gimballed-bent-bar')!.size(null, {
                breadth: 0.088,
                armClose: 0.25,
                armOut: 0.5,
                wristStrength: 9,
                leftHanded: false,
              }),
            ),
          },
        },
      }).better,
    ).toEqual([]);
  });
});
