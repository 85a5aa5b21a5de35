/** Glue, cement and solder: as much as the joints have faces, in the sums, in what is bought, and gone with what holds otherwise. */
import { placedPieces } from '../assemble';
import { applyEdits, assemble, FAMILIES, pipeOf, withHardware } from '..';
import type { Rig } from '../../model';
import { stockPlan } from '../../5-stock';
import { FILLERS } from '../hardware/fillers';
import { STATED_FAMILIES } from '../families';
import { familyInput } from '../family';
import { jointFillerId } from './jointFillers';

const built = (id: string, choices: Record<string, string> = {}): Rig => {
  const family = STATED_FAMILIES.find((f) => f.id === id)!;
  return family.build(familyInput(family, {}, choices).input);
};
const fillersOf = (rig: Rig) => withHardware(rig).bodies.flatMap((b) => b.parts.filter((p) => p.uses));
const massOf = (rig: Rig): number =>
  placedPieces(assemble(withHardware(rig), null), {}).reduce((s, p) => s + p.flat.mass, 0);

describe('what joints are filled with', () => {
  it('solder fills the gap round as much of each tube as goes in, and weighs in', () => {
    const rig = built('tube-frame', { tube: 'copperMetric/15' });
    const { size } = pipeOf('copperMetric/15');
    const joint = rig.bodies.flatMap((b) => b.joints).find((j) => j.hub?.sockets.length === 2)!;
    const filler = fillersOf(rig).find((p) => p.id === jointFillerId(joint.id))!;
    const area = 2 * Math.PI * 0.015 * size.depth;
    expect(filler.mass!.value).toBeCloseTo(FILLERS.solder.kept * area, 12);
    expect(filler.uses!.amount).toBeCloseTo(FILLERS.solder.used * area, 12);
    // The same frame with its joints pressed in dry weighs so much less.
    const dry = applyEdits(
      rig,
      rig.bodies.flatMap((b) => b.joints).map((j) => ({ kind: 'fitting', id: j.id, target: j.id, hold: 'pressed' })),
    ).rig;
    expect(fillersOf(dry)).toEqual([]);
    expect(massOf(rig) - massOf(dry)).toBeCloseTo(
      fillersOf(rig).reduce((s, p) => s + p.mass!.value, 0),
      12,
    );
  });
  it('is bought once for the whole rig, by weight, and a pack in the bin is enough', () => {
    const rig = withHardware(built('hand-frame', { pipe: 'pvc/1/2' }));
    const { item, pack, price } = FILLERS.pvcCement;
    const lineOf = (count: number) =>
      stockPlan(rig, {}, [{ id: 'b', name: item, count, lengths: [] }], 0.001).lines.filter((l) => l.item === item);
    const [line, ...more] = lineOf(0);
    expect(more).toEqual([]);
    expect(line).toEqual(jasmine.objectContaining({ unit: 'kg', packOf: pack, buy: 1, cost: price }));
    expect(line!.needed).toBeCloseTo(
      fillersOf(rig).reduce((s, p) => s + p.uses!.amount, 0),
      12,
    );
    expect(lineOf(1)[0]!.buy).toBe(0);
  });
  it('is what each glued face of a family is stuck with: none is left without', () => {
    for (const family of FAMILIES)
      for (const c of family.choices.flatMap((c) => c.options.map((o) => ({ [c.id]: o.id })))) {
        const rig = withHardware(built(family.id, c));
        const all = rig.bodies.flatMap((b) => b.parts);
        for (const bond of rig.bodies.flatMap((b) => b.connections ?? []).filter((x) => x.kind === 'bonded')) {
          const glue = all.find((p) => p.by === bond.id);
          expect(glue?.mass?.value).withContext(`${family.id} ${bond.id}`).toBeGreaterThan(0);
          expect(glue!.mass!.value).withContext(`${family.id} ${bond.id}`).toBeLessThan(0.01);
        }
        for (const joint of rig.bodies.flatMap((b) => b.joints))
          expect(all.some((p) => p.id === jointFillerId(joint.id)))
            .withContext(`${family.id} ${joint.id}`)
            .toBe(joint.hold === 'glued' || joint.hold === 'soldered');
      }
  });
});
