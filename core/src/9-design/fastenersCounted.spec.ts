/** What connections bring, counted: of every family, and none of a rig without them. */
import { assemble, FAMILIES } from '../2-frame';
import { THREE_LOADS } from '../testing/loads';
import { plainRig, wants } from '../testing/rigs';
import { judged, workpiece } from './derive';
import { fastenersCounted } from './fastenersCounted';
import { startRig } from './startRig';

describe('fasteners counted', () => {
  it('of every family are pieces of its rig, and weigh a part of it', () => {
    const { loadout, kit } = THREE_LOADS[1]!;
    for (const family of FAMILIES) {
      const { design, values } = startRig(family, loadout, kit, wants);
      const made = workpiece({ design }, loadout, kit);
      if (!made.ok) throw new Error(made.reason);
      const { rig, assembly } = made.work;
      const told = fastenersCounted(assembly);
      const screws = rig.bodies.flatMap((b) => b.connections ?? []).filter((c) => c.kind === 'bolted' && !c.screw);
      expect(told.pieces).withContext(family.id).toBeGreaterThanOrEqual(screws.length);
      expect(told.mass).withContext(family.id).toBeGreaterThan(0);
      expect(told.mass)
        .withContext(family.id)
        .toBeLessThan(judged(made.work, values, wants).evaluation.mass);
    }
  });
  it('of a rig that has none are none', () =>
    expect(fastenersCounted(assemble(plainRig, null))).toEqual({ pieces: 0, mass: 0 }));
});
