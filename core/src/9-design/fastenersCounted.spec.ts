/** With and without what connections bring: the sums of both, and what hangs by them. */
import { FAMILIES } from '../2-frame';
import { THREE_LOADS } from '../testing/loads';
import { wants } from '../testing/rigs';
import { judged, workpiece, type Workpiece } from './derive';
import { fastenersCounted } from './fastenersCounted';
import { startRig } from './startRig';

const started = (id: string): { work: Workpiece; values: Readonly<Record<string, number>> } => {
  const { loadout, kit } = THREE_LOADS[1]!;
  const { design, values } = startRig(
    FAMILIES.find((f) => f.id === id)!,
    loadout,
    kit,
    wants,
  );
  const made = workpiece({ design }, loadout, kit);
  if (!made.ok) throw new Error(made.reason);
  return { work: made.work, values };
};

describe('fasteners counted', () => {
  it('of every family are pieces of its rig, and weigh what those weigh', () => {
    for (const { id } of FAMILIES) {
      const { work, values } = started(id);
      const told = fastenersCounted(work, values);
      const parts = work.rig.bodies.flatMap((b) => b.parts).filter((p) => p.by);
      expect(told.pieces).withContext(id).toBe(parts.length);
      const { mass } = judged(work, values, wants).evaluation;
      expect(told.mass).withContext(id).toBeGreaterThan(0);
      expect(told.mass).withContext(id).toBeLessThan(mass);
    }
  });
  it('of a rig that hangs change how it hangs; of one that is held nothing hangs', () => {
    const { work, values } = started('gimballed-bent-bar');
    const told = fastenersCounted(work, values);
    expect(told.with!.noseDown).toBe(judged(work, values, wants).evaluation.hung!.hang.rest!.noseDown);
    expect(told.without!.noseDown).not.toBeCloseTo(told.with!.noseDown!, 4);
    expect(told.without!.dropTime).not.toBeCloseTo(told.with!.dropTime!, 2);
    const held = started('hand-frame');
    expect(fastenersCounted(held.work, held.values).with).toBeNull();
  });
});
