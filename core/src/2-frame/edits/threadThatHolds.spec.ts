import { threadThatHolds } from './threadThatHolds';
import { fastened, threaded } from './fastening';
import { hardwareOf } from '../connections/withHardware';
import { FAMILIES } from '../wholeFamilies';
import { familyInput } from '../family';
import type { Rig } from '../../model';

const looseIn = (rig: Rig): readonly string[] => hardwareOf(rig, null).faults.map((f) => f.connection);

describe('a thread that suits nothing', () => {
  it('is cured by the nearest that does, in every family and for every screw of its own', () => {
    let [tried, cured] = [0, 0];
    for (const family of FAMILIES) {
      const whole = family.build(familyInput(family, {}, {}).input);
      const before = looseIn(whole).length;
      for (const bolt of whole.bodies.flatMap((b) => b.connections ?? [])) {
        const rig = threaded(whole, { kind: 'thread', id: 'e', target: bolt.id, thread: 'M7×0.75' });
        if (!rig || looseIn(rig).length === before) continue;
        tried++;
        const found = threadThatHolds(rig, bolt.id);
        if (found === null) continue;
        cured++;
        const after = threaded(rig, { kind: 'thread', id: 'f', target: bolt.id, thread: found })!;
        expect(looseIn(after).length).withContext(`${family.id} ${bolt.id} ${found}`).toBeLessThan(looseIn(rig).length);
        expect(looseIn(after)).not.toContain(bolt.id);
      }
    }
    expect(tried).toBeGreaterThan(3);
    expect(cured / tried).toBeGreaterThan(0.5);
  });

  it('has no cure on a rod of the rig, in a camera, or where there is no such connection', () => {
    const family = FAMILIES.find((f) => f.id === 'gimballed-bent-bar')!;
    const rig = family.build(familyInput(family, {}, {}).input);
    expect(threadThatHolds(rig, 'camera')).toBeNull();
    expect(threadThatHolds(rig, 'nothing')).toBeNull();
    expect(fastened(rig, { kind: 'fasten', id: 'e', target: 'camera', nut: 'wing' })).toBeNull();
  });
});
