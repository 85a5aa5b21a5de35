import { connectionsOf, cornerBar, FAMILIES, hardwareOf, stockById, withEdit, withoutHardware } from '..';
import { dot, length, METRIC, render, subtract, unit } from '../../0-base';
import { familyInput } from '../family';
import type { Design, Rig } from '../../model';

const STOCK = stockById('aluminium-25x5')!;
const built = (id: string): Rig => {
  const family = FAMILIES.find((f) => f.id === id)!;
  return withoutHardware(family.build(familyInput(family, {}, {}).input));
};
const across = (rig: Rig, node: string, first: string, second: string, reach = 0.05, side: 'front' | 'back' = 'back') =>
  cornerBar(rig, { body: 'frame', member: 'bar', node, first, second, reach, side, stock: STOCK });
const refusal = (of: ReturnType<typeof cornerBar>): string =>
  of.kind === 'refused' ? render(of.reason, METRIC) : 'made';

describe('a bar across a corner', () => {
  it('is bolted to both members as far from the corner as it says, clear over the fitting', () => {
    const made = across(built('hand-frame'), 'bottom', 'bottom-left', 'stub');
    if (made.kind !== 'made') throw new Error(refusal(made));
    const { rig, faults } = hardwareOf(made.rig, null);
    expect(faults).toEqual([]);
    const body = rig.bodies.find((b) => b.id === 'frame')!;
    const corner = body.nodes.find((n) => n.id === 'bottom')!.at;
    const bolts = connectionsOf(rig, () => 0).filter((c) => c.id.startsWith('bar-bolt'));
    expect(bolts.map((b) => b.pieces.filter((p) => p !== 'bar'))).toEqual([['bottom-left'], ['stub']]);
    for (const { holes, screwLength } of bolts) {
      expect(screwLength).not.toBeNull();
      const inMember = holes.find((h) => h.piece !== 'bar')!;
      const off = subtract(inMember.at, corner);
      const sideways = dot(off, unit(inMember.axis));
      expect(Math.sqrt(length(off) ** 2 - sideways ** 2)).toBeCloseTo(0.05, 9);
    }
    // Its underside clears the fitting.
    const bar = body.members.find((m) => m.id === 'bar')!;
    const [end] = [bar.from].map((n) => body.nodes.find((o) => o.id === n)!.at);
    const hub = body.joints.find((j) => j.node === 'bottom')!.hub!;
    const axis = unit(bolts[0]!.holes[0]!.axis);
    expect(Math.abs(dot(subtract(end!, corner), axis)) - 0.0025).toBeGreaterThanOrEqual(hub.outerRadius - 1e-9);
  });

  it('says why where there is none', () => {
    const rig = built('hand-frame');
    expect(refusal(across(rig, 'bottom', 'bottom-left', 'bottom-right'))).toContain('nearly in line');
    expect(refusal(across(rig, 'bottom', 'bottom-left', 'stub', 0.3))).toContain('too short');
    expect(refusal(across(rig, 'bottom', 'bottom-left', 'top-left'))).toContain('Pick two straight members');
    expect(refusal(across(built('three-axis-frame'), 'pan-corner', 'drop', 'top'))).toContain('Pick two');
  });

  it('goes with its edit, and comes off as it was put on', () => {
    const design: Design = { kind: 'family', family: 'hand-frame', dimensions: {}, choices: {}, edits: [] };
    const edit = {
      kind: 'corner',
      id: 'e',
      body: 'frame',
      member: 'bar',
      node: 'bottom',
      first: 'bottom-left',
      second: 'stub',
      reach: 0.05,
      side: 'back',
      stock: STOCK,
    } as const;
    const put = withEdit(design, edit)!;
    expect(put.kind === 'family' && put.edits).toEqual([edit]);
    expect(withEdit(put, { kind: 'remove', id: 'off', target: 'bar' })).toEqual(design);
  });
});
