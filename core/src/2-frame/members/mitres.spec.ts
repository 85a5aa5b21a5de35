import { assemble } from '../assemble';
import { designRig } from '../designRig';
import type { Rig } from '../../model';
import { finishedLength } from './finishedLength';
import { mitresOf, pastNodes } from './mitres';

function rigOf(tube: string): Rig {
  const made = designRig({ kind: 'family', family: 'three-axis-frame', dimensions: {}, choices: { tube }, edits: [] });
  if (!made.ok) throw new Error(made.reason);
  return made.rig;
}

describe('mitred corners', () => {
  for (const [tube, depth] of [
    ['square-alu-20x1.5', 0.02],
    ['square-alu-25x2', 0.025],
  ] as const)
    it(`of ${tube}: each member is sawn half its depth longer for each end at a right angle, over its long side`, () => {
      const rig = rigOf(tube);
      let seen = 0;
      for (const body of rig.bodies) {
        const at = new Map(body.nodes.map((n) => [n.id, n.at]));
        for (const member of body.members) {
          const mitres = mitresOf(body).get(member.id) ?? [];
          const [a, b] = [at.get(member.from)!, at.get(member.to)!];
          const apart = Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
          for (const m of mitres) {
            expect(m.lean).toBeCloseTo(Math.PI / 4, 9);
            expect(m.past).toBeCloseTo(depth / 2, 9);
          }
          expect(finishedLength(member, body)).toBeCloseTo(apart + (mitres.length * depth) / 2, 9);
          expect(pastNodes(member, body).from).toBeCloseTo(mitres.some((m) => m.end === 'from') ? depth / 2 : 0, 9);
          seen += mitres.length;
        }
      }
      expect(seen).toBe(6);
    });

  it('weigh what they weigh: what the long side is longer, the short side is shorter', () => {
    const rig = rigOf('square-alu-20x1.5');
    const { pieces } = assemble(rig, null);
    for (const body of rig.bodies)
      for (const member of body.members) {
        const [flat] = pieces.map((p) => p.flat).filter((f) => f.owner === member.id);
        const at = new Map(body.nodes.map((n) => [n.id, n.at]));
        const [a, b] = [at.get(member.from)!, at.get(member.to)!];
        const between = Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
        expect(flat!.mass).toBeCloseTo(between * (0.02 ** 2 - 0.017 ** 2) * flat!.density!, 6);
      }
  });
});
