/** A setting taken over into its size leaves load, hands and weights where they were, against what bears the rig. */
import { massCentre, sumsOf } from '../1-load';
import { supportAt, supportOf } from '../3-balance/borne/support';
import { changedDesign, FAMILIES, placedPieces, shiftOf, valuesInOrder, type AdjusterValues } from '../2-frame';
import type { Design } from '../model';
import { THREE_LOADS } from '../testing/loads';
import { wants } from '../testing/rigs';
import { workpiece } from './derive';
import { startRig } from './startRig';
import { asSet } from './takenOver';

const { loadout, kit } = THREE_LOADS[0]!;
/** From what bears it to the load's mass centre and to each bolt's seat, m. */
function placesOf(design: Design, values: AdjusterValues): readonly number[] {
  const made = workpiece({ design }, loadout, kit);
  if (!made.ok) throw new Error(made.reason);
  const { rig, assembly } = made.work;
  const inOrder = valuesInOrder(rig, values);
  const support = supportOf(rig);
  const from = support ? supportAt(rig, support, inOrder) : [0, 0, 0];
  const load = massCentre(sumsOf(placedPieces(assembly, values).flatMap((p) => (p.isLoad ? [p.flat] : []))));
  const seats = assembly.stacks.flatMap((s) => {
    const by = shiftOf(rig, s.movedBy, inOrder);
    return s.station.seat.map((v, i) => v + by[i]!);
  });
  return [...load, ...seats].map((v, i) => v - from[i % 3]!);
}

describe('a setting taken over into its size', () => {
  const cases = FAMILIES.flatMap((family) =>
    family.dimensions.flatMap((spec) => (spec.setOn ? [{ family, spec, setOn: spec.setOn }] : [])),
  );
  it('is offered for what an adjuster goes on from', () => expect(cases.length).toBe(10));
  for (const { family, spec, setOn } of cases)
    it(`${family.name}, ${spec.name}: all stands where it stood`, () => {
      const { design, values } = startRig(family, loadout, kit, wants);
      const made = workpiece({ design }, loadout, kit);
      if (!made.ok) return fail(made.reason);
      const adjuster = made.work.rig.adjusters.find((a) => a.id === setOn.adjuster)!;
      const by =
        Math.max(adjuster.range[0], Math.min(adjuster.range[1], 8 * adjuster.step, 0.01)) || adjuster.range[1] / 2;
      const set = { ...values, [adjuster.id]: by };
      const size = design.dimensions[spec.id]!.value;
      const told = asSet(spec, size, made.work.rig, set)!;
      expect(told.value).toBeCloseTo(size + setOn.sense * by, 12);
      const after = changedDesign(design, told.changes!, () => 'x');
      const [before, now] = [placesOf(design, set), placesOf(after, { ...set, [adjuster.id]: 0 })];
      now.forEach((v, i) => expect(v).withContext(`${i}`).toBeCloseTo(before[i]!, 6));
      expect(asSet(spec, told.value, made.work.rig, { ...set, [adjuster.id]: 0 })).toBeNull();
    });
  it('that would leave the size’s range is told, and not offered', () => {
    const spec = { id: 'x', range: [0, 0.1] as const, setOn: { adjuster: 'a', sense: 1 as const } };
    const rig = { adjusters: [{ id: 'a', value: 0 }] } as unknown as Parameters<typeof asSet>[2];
    expect(asSet(spec, 0.09, rig, { a: 0.02 })).toEqual({ value: 0.11, changes: null });
    expect(asSet({ id: 'x', range: [0, 1] }, 0.09, rig, { a: 0.02 })).toBeNull();
  });
});
