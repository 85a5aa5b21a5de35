import { METRIC, render } from '../../0-base';
import { placeLoad, sumsOf } from '../../1-load';
import { assemble, designRig, familyById, outrigger, placedPieces } from '..';
import type { Design, Edit } from '../../model';
import { kit, loadout, usual } from '../../testing/rigs';

const bentBar = familyById('gimballed-bent-bar')!;
const withEdits = (edits: readonly Edit[]): Design => ({
  kind: 'family',
  family: bentBar.id,
  dimensions: {},
  choices: {},
  edits: [...edits],
});
const made = (edits: readonly Edit[]) => {
  const design = designRig(withEdits(edits));
  if (!design.ok) throw new Error(design.reason);
  return design;
};
const mass = (edits: readonly Edit[]): number =>
  sumsOf(placedPieces(assemble(made(edits).rig, placeLoad(loadout, kit)), {}).map((p) => p.flat)).mass;

describe('changes stored before connections', () => {
  it('of a weighed bolt weigh it with all that is on it, and once', () => {
    const parts = made([]).rig.bodies.flatMap((b) => b.parts);
    const reckoned = parts.filter((p) => p.by === 'rear-bolt').reduce((m, p) => m + p.mass!.value, 0);
    const weigh: Edit = { kind: 'weigh', id: 'w', target: 'rear-bolt', mass: { value: 0.05 } };
    expect(made([weigh]).unapplied).toEqual([]);
    expect(mass([weigh]) - mass([])).toBeCloseTo(0.05 - reckoned, 12);
    const screw: Edit = { kind: 'weigh', id: 'w', target: 'camera-screw', mass: { value: 0.02 } };
    expect(made([screw]).unapplied).toEqual([]);
    expect(mass([screw])).toBeGreaterThan(mass([]));
  });
  it('that carried a weight off by a strip and two moves carry it as far, on one strip, held at both ends', () => {
    const foot = bentBar
      .build(usual)
      .bodies.flatMap((b) => b.stations)
      .find((s) => s.id === 'foot')!;
    const by = [-0.12, 0, 0] as const;
    const weight = { ...foot, washerRadius: foot.washer.outerRadius };
    const old = outrigger({ weight, by, onto: 'bar' })!;
    const shift = old.seat.map((v, i) => v - foot.seat[i]!) as unknown as typeof by;
    const edits: readonly Edit[] = [
      { kind: 'add', id: 'a', body: 'sled', part: old.fastener },
      { kind: 'addMember', id: 'b', body: 'sled', nodes: [...old.nodes], member: old.member, joints: [old.joint] },
      { kind: 'move', id: 'c', target: 'foot', by: shift },
      { kind: 'move', id: 'd', target: 'foot-bolt', by: shift },
    ];
    const now = made(edits);
    expect(now.unapplied).toEqual([]);
    expect(now.loose.map((f) => render(f.reason, METRIC))).toEqual([]);
    const seat = now.rig.bodies.flatMap((b) => b.stations).find((s) => s.id === 'foot')!.seat;
    old.seat.forEach((v, i) => expect(seat[i]!).toBeCloseTo(v, 9));
    expect(now.rig.bodies.flatMap((b) => b.members).filter((m) => m.id === 'outrigger-foot')).toHaveSize(1);
  });
  it('that find nothing are told as they are stored', () => {
    const edit: Edit = { kind: 'weigh', id: 'w', target: 'kelp', mass: { value: 0.05 } };
    expect(made([edit]).unapplied).toEqual([edit]);
  });
});
