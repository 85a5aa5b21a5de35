import * as fc from 'fast-check';
import { applyEdits, assemble, familyById, placedPieces } from '..';
import { add, quaternionAbout, rotationOf, subtract, transform, type Vec3 } from '../../0-base';
import { massCentre, sumsOf } from '../../1-load';
import { familyInput } from '../family';
import type { Rig } from '../../model';

const built = (id: string): Rig => {
  const family = familyById(id)!;
  return family.build(familyInput(family, {}, {}).input);
};
const turned = (rig: Rig, target: string, axis: Vec3, angle: number): Rig => {
  const made = applyEdits(rig, [{ kind: 'turn', id: 'e', target, turn: quaternionAbout(axis, angle) }]);
  expect(made.unapplied).toEqual([]);
  return made.rig;
};
const mass = (rig: Rig): number => sumsOf(placedPieces(assemble(rig, null), {}).map((p) => p.flat)).mass;
const nodeAt = (rig: Rig, id: string): Vec3 => rig.bodies.flatMap((b) => b.nodes).find((n) => n.id === id)!.at;

describe('a member turned', () => {
  const post = built('pipe-post');
  const body = post.bodies[0]!;
  const handle = body.members.find((m) => m.id === 'handle')!;

  it('swings its free end about the end that holds it, and leaves the rest where it is', () => {
    const turn = rotationOf(quaternionAbout([0, 0, 1], 0.4));
    const rig = turned(post, 'handle', [0, 0, 1], 0.4);
    const free = [handle.from, handle.to].find(
      (n) => body.members.filter((m) => m.from === n || m.to === n).length === 1,
    )!;
    const held = handle.from === free ? handle.to : handle.from;
    const expected = add(nodeAt(post, held), transform(turn, subtract(nodeAt(post, free), nodeAt(post, held))));
    nodeAt(rig, free).forEach((c, i) => expect(c).toBeCloseTo(expected[i]!, 12));
    for (const n of body.nodes) if (n.id !== free) expect(nodeAt(rig, n.id)).toEqual(n.at);
  });

  it('keeps its length and its mass, and a turn back undoes it', () => {
    expect(() =>
      fc.assert(
        fc.property(
          fc.double({ min: -1.5, max: 1.5, noNaN: true }),
          fc.constantFrom<Vec3>([1, 0, 0], [0, 1, 0], [0, 0, 1]),
          (angle, axis) => {
            const there = turned(post, 'handle', axis, angle);
            const back = turned(there, 'handle', axis, -angle);
            const size = (rig: Rig): number =>
              Math.hypot(...subtract(nodeAt(rig, handle.to), nodeAt(rig, handle.from)));
            expect(size(there)).toBeCloseTo(size(post), 12);
            const [a, b] = [post, back].map((rig) =>
              massCentre(sumsOf(placedPieces(assemble(rig, null), {}).map((p) => p.flat))),
            );
            b!.forEach((c, i) => expect(c).toBeCloseTo(a![i]!, 9));
            expect(mass(back)).toBeCloseTo(mass(post), 9);
          },
        ),
        { numRuns: 40, seed: 5 },
      ),
    ).not.toThrow();
  });

  it('in a closed frame moves the far corner alone', () => {
    const frame = built('hand-frame');
    const [side] = frame.bodies[0]!.members.filter((m) => !m.twin && m.path.kind === 'straight');
    const rig = turned(frame, side!.id, [0, 1, 0], 0.05);
    expect(nodeAt(rig, side!.from)).toEqual(nodeAt(frame, side!.from));
    expect(nodeAt(rig, side!.to)).not.toEqual(nodeAt(frame, side!.to));
  });
});
