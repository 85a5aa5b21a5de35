import { familyById, snapOf } from '..';
import { familyInput } from '../family';
import type { Rig } from '../../model';

function pillars(bar: string): Rig {
  const family = familyById('plate-and-pillar')!;
  const { input } = familyInput(family, {}, {});
  return family.build({ ...input, choices: { ...input.choices, bar } });
}
const slotted = familyById('plate-and-pillar')!
  .choices.find((c) => c.id === 'bar')!
  .options.find((o) => o.id.startsWith('slotted'))!.id;
const plain = familyById('plate-and-pillar')!
  .choices.find((c) => c.id === 'bar')!
  .options.find((o) => !o.id.startsWith('slotted'))!.id;

describe('snapOf', () => {
  const onStrip = (rig: Rig): string => {
    const [strip] = rig.bodies[0]!.members.filter((m) => m.stock.section.kind === 'flat');
    const at = rig.bodies[0]!.nodes.find((n) => n.id === strip!.from)!.at;
    const to = rig.bodies[0]!.nodes.find((n) => n.id === strip!.to)!.at;
    const middle = at.map((a, i) => (a + to[i]!) / 2);
    return rig.bodies[0]!.parts.find((p) => Math.hypot(...p.at.map((a, i) => a - middle[i]!)) < 0.04)?.id ?? '';
  };

  it('goes by a slotted strip’s pitch along the strip and by the fine step across it', () => {
    const rig = pillars(slotted);
    const id = onStrip(rig);
    expect(id).not.toBe('');
    const section = rig.bodies[0]!.members.find((m) => m.stock.section.kind === 'flat')!.stock.section;
    const pitch = section.kind === 'flat' ? section.slots!.pitch : 0;
    const steps = snapOf(rig, id, 0.001);
    expect(steps.filter((s) => s === pitch).length).toBe(1);
    expect(steps.filter((s) => s === 0.001).length).toBe(2);
  });

  it('goes by the fine step on a plain bar, away from it, and for what is not there', () => {
    expect(snapOf(pillars(plain), onStrip(pillars(plain)), 0.0254 / 16)).toEqual([
      0.0254 / 16,
      0.0254 / 16,
      0.0254 / 16,
    ]);
    expect(snapOf(pillars(slotted), 'nothing', 0.001)).toEqual([0.001, 0.001, 0.001]);
  });
});
