import { applyEdits, changedDesign, FAMILIES, hardwareOf, withoutHardware } from '..';
import { connectionsOf } from './connectionsOf';
import { METRIC, render } from '../../0-base';
import { judged, workpiece } from '../../9-design/derive';
import { wants } from '../../testing/rigs';
import { partOf, rigOf } from '../../testing/partsRig';
import { familyInput } from '../family';
import type { Design, Rig, StatedConnection } from '../../model';

const board = partOf('board', { kind: 'box', size: [0.1, 0.08, 0.006] }, [0, 0, 0.003], { material: 'birchPly' });
const pad = (off: number) =>
  partOf('pad', { kind: 'box', size: [0.08, 0.06, 0.02] }, [0, 0, 0.016 + off], { material: 'rubberFoam' });
const glued: StatedConnection = {
  kind: 'bonded',
  id: 'pad-on',
  name: 'pad on its board',
  piece: 'pad',
  to: 'board',
  glue: 'contact',
  area: 0.004,
};
const withPad = (off: number): Rig => rigOf([board, pad(off)], { connections: [glued] });

describe('two pieces that keep each other', () => {
  it('meet, or it is said how far they are apart and that nothing keeps them; a fortieth of a millimetre is touching', () => {
    expect(hardwareOf(withPad(0), null).faults).toEqual([]);
    expect(hardwareOf(withPad(0.00002), null).faults).toEqual([]);
    const [fault] = hardwareOf(withPad(0.005), null).faults;
    expect(render(fault!.reason, METRIC)).toBe('The pad stands 5 mm off the board: nothing keeps it there.');
    expect(fault!.move!.by[2]).toBeCloseTo(-0.005, 9);
    expect(connectionsOf(withPad(0), () => 0)[0]!.touches).toEqual([['pad', 'board']]);
    expect(connectionsOf(withPad(0.005), () => 0)[0]!.touches).toEqual([]);
  });

  it('what stands off is brought back by the cure offered with it, in the rig as it is kept', () => {
    const design: Design = { kind: 'free', rig: withPad(0.003) };
    const findings = (d: Design) => {
      const made = workpiece({ design: d }, null, new Map());
      return made.ok ? judged(made.work, {}, wants).findings.filter((f) => f.code === 'connectionLoose') : [];
    };
    const [loose] = findings(design);
    expect(findings(changedDesign(design, loose!.fixes[0]!.changes, () => 'c'))).toEqual([]);
  });

  it('meet in every family, and come apart when the one that is held is moved away', () => {
    for (const family of FAMILIES) {
      const rig = withoutHardware(family.build(familyInput(family, {}, {}).input));
      const about = (r: Rig) => hardwareOf(r, null).faults.filter((f) => f.move);
      expect(about(rig)).withContext(family.id).toEqual([]);
      const held = rig.bodies
        .flatMap((b) => b.connections ?? [])
        .flatMap((c) => (c.kind === 'bonded' ? [c.piece] : c.kind === 'laid' ? [c.piece] : []))
        .find((id) => rig.bodies.some((b) => b.parts.some((p) => p.id === id)));
      if (!held) continue;
      const { rig: moved } = applyEdits(rig, [{ kind: 'move', id: 'e', target: held, by: [0.3, 0.3, 0.3] }]);
      expect(about(moved).map((f) => f.about))
        .withContext(family.id)
        .toContain(held);
    }
  });
});
