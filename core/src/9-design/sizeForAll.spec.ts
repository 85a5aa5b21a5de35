import { changedDesign, familyById } from '../2-frame';
import { setUpsFor } from './setUpsFor';
import { sizesForAll, type SizeForAll } from './sizeForAll';
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

const named = ({ sizes }: SizeForAll): string => sizes.map((s) => s.change.id).join(' + ');

describe('one size for every loadout', () => {
  const found = sizesForAll(input);
  it('counts what is served now, and never offers what is no better', () => {
    const rows = setUpsFor(input);
    expect(found.loadouts).toBe(2);
    expect(found.served).toBe(rows.filter((r) => r.values !== null).length);
    for (const b of found.better)
      expect(b.served > found.served || b.faults < found.faults || b.added < found.added)
        .withContext(named(b))
        .toBeTrue();
  });
  it('with what it offers as many loadouts can be balanced as it says', () => {
    for (const b of found.better) {
      const design = changedDesign(
        start.design,
        b.sizes.map((s) => s.change),
        () => 'e',
      );
      expect(setUpsFor({ ...input, rig: { ...input.rig, design } }).filter((r) => r.values !== null).length)
        .withContext(named(b))
        .toBe(b.served);
    }
  });
  it('finds a rail, its holes and its place together where none alone will do, and no figure measured off the camera', () => {
    const family = familyById('sliding-top-handle')!;
    const own = startRig(family, loadout, kit, wants);
    if (own.design.kind !== 'family') throw new Error('a family was asked for');
    // The shortest rail, screwed on far from where these loads balance.
    const design = {
      ...own.design,
      dimensions: { ...own.design.dimensions, railForward: { value: -0.125 } },
      choices: { ...own.design.choices, rail: '100', pitch: 'by25' },
    };
    const all = THREE_LOADS.map((l) => l.loadout);
    const looked = sizesForAll({
      ...input,
      rig: { ...input.rig, design, wants },
      loadouts: all,
      kit: new Map(THREE_LOADS.flatMap((l) => [...l.kit])),
    });
    expect(looked.served).toBeLessThan(all.length);
    expect(looked.better[0]!.served).toBe(all.length);
    const ids = looked.better.flatMap((b) => b.sizes.map((s) => s.change.id));
    // It goes on by its holes: what is offered is where it will stand.
    for (const { sizes } of looked.better) {
      if (sizes.some((s) => s.change.id === 'pitch')) continue;
      for (const { change } of sizes)
        if (change.id === 'railForward')
          expect(Number(change.value) / 0.025).toBeCloseTo(Math.round(Number(change.value) / 0.025), 6);
    }
    for (const measured of ['topHeight', 'eyeRelief']) expect(ids).not.toContain(measured);
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
