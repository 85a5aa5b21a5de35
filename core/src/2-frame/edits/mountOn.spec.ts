import { applyEdits, FAMILIES, mountedAt, upperFace, withHardware } from '..';
import { connectionsOf } from '../connections/connectionsOf';
import { dot, subtract } from '../../0-base';
import { boundOf } from '../../testing/mounts';
import { partOf, rigOf } from '../../testing/partsRig';
import { familyInput } from '../family';
import type { Rig } from '../../model';

const on = (rig: Rig, target: string, forward = 0, left = 0): Rig | null => {
  const { rig: made, unapplied } = applyEdits(rig, [{ kind: 'mount', id: 'e', target, forward, left }]);
  return unapplied.length > 0 ? null : made;
};
const built = (id: string): Rig => {
  const family = FAMILIES.find((f) => f.id === id)!;
  return family.build(familyInput(family, {}, {}).input);
};
const camera = (rig: Rig) =>
  rig.bodies.flatMap((b) => b.connections ?? []).filter((c) => c.kind === 'bolted' && c.end.kind === 'camera');

describe('a plate of the maker’s own choice for the camera', () => {
  const board = partOf('board', { kind: 'box', size: [0.2, 0.1, 0.012] }, [0.1, 0, 0.5]);
  const post = partOf('post', { kind: 'tube', outerRadius: 0.02, innerRadius: 0, length: 0.3 }, [0, 0, 0]);

  it('stands on the middle of the upper face, or as far off it as is asked, with a screw through it', () => {
    const made = on(rigOf([board, post]), 'board', 0.03, -0.02)!;
    const part = made.bodies[0]!.parts.find((p) => p.mount)!;
    expect(part.id).toBe('board');
    part.mount!.forEach((v, i) => expect(v).toBeCloseTo([0.13, -0.02, 0.506][i]!, 12));
    const [screw] = connectionsOf(withHardware(made), () => 0).filter((c) => c.id === 'camera');
    expect(screw!.stack!.map((l) => l.piece)).toContain('board');
    expect(screw!.holes.some((h) => h.piece === 'board')).toBeTrue();
    expect(mountedAt(made.bodies[0]!, part)!.left).toBeCloseTo(-0.02, 12);
  });

  it('tilted, the camera stands square on it', () => {
    const made = on(rigOf([{ ...board, turn: [Math.cos(0.1), 0, Math.sin(0.1), 0] }]), 'board')!;
    const [part] = made.bodies[0]!.parts;
    const { up } = upperFace(part!)!;
    expect(dot(subtract(part!.mount!, part!.at), up)).toBeCloseTo(0.006, 12);
    expect(part!.mountTurn).toBeDefined();
  });

  it('is refused past the edge, on what is round, on edge, or not there', () => {
    const rig = rigOf([board, post]);
    expect(on(rig, 'board', 0.11)).toBeNull();
    expect(on(rig, 'post')).toBeNull();
    expect(on(rig, 'gone')).toBeNull();
    expect(upperFace({ ...board, shape: { kind: 'box', size: [0.2, 0.1, 0.012], bore: [0.05, 0.01] } })).toBeNull();
  });

  it('takes the one camera screw of any family along to any plate it has', () => {
    for (const family of FAMILIES) {
      const rig = built(family.id);
      const plates = rig.bodies.flatMap((b) => b.parts).filter((p) => !p.by && !p.of && upperFace(p) && !p.mount);
      for (const { id } of plates) {
        const made = on(rig, id)!;
        const mounts = made.bodies.flatMap((b) => b.parts).filter((p) => p.mount);
        expect(mounts.map((p) => p.id))
          .withContext(`${family.id} ${id}`)
          .toEqual([id]);
        expect(camera(made).length).withContext(`${family.id} ${id}`).toBe(1);
        expect(boundOf(made, id)).withContext(`${family.id} ${id}`).toBeLessThan(1e-9);
      }
    }
  });

  it('keeps its screw while other pieces are taken off, and goes without it with its own plate', () => {
    for (const family of FAMILIES) {
      const rig = built(family.id);
      const screws = camera(rig).flatMap((c) => (c.kind === 'bolted' ? [c] : []));
      const holds = new Set(screws.flatMap((c) => c.stack.flatMap((l) => (l.kind === 'piece' ? [l.piece] : []))));
      for (const { id, twin, mount } of rig.bodies.flatMap((b) => b.parts.filter((p) => !p.by && !p.of))) {
        if (holds.has(id) || mount || (twin && holds.has(twin))) continue;
        const { rig: left } = applyEdits(rig, [{ kind: 'remove', id: 'e', target: id }]);
        expect(camera(left).length).withContext(`${family.id} without ${id}`).toBe(screws.length);
      }
    }
  });
});
