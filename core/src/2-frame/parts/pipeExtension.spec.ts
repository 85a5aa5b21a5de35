import { heldReadouts } from '../../3-balance/borne/held/heldReadouts';
import { shoulderHeightOf } from '../../3-balance/borne/held/person';
import { besideRig, stancesOf } from '../../3-balance/borne/held/stances';
import { METRIC, render } from '../../0-base';
import { placeLoad } from '../../1-load';
import { assemble, familyById, USUAL_HANDS, type Assembly } from '../../2-frame';
import { balanceContext, kit, loadout } from '../../testing/rigs';
import { familyInput } from '../family';

const frame = familyById('hand-frame')!;
function withExtension(extension: string, cut = 0.4): Assembly {
  const { input } = familyInput(frame, { extension: { value: cut } }, { extension });
  return assemble(frame.build(input), placeLoad(loadout, kit));
}
/** What is said of a pose, in metres. */
function told(assembly: Assembly, pose: string): string {
  const readout = heldReadouts(balanceContext(assembly)).find((r) => r.id === pose)!;
  return readout.lines.map((l) => render(l, METRIC)).join('\n');
}
const footAbove = (words: string): number =>
  Number(/camera’s foot is ([\d.]+) mm above the ground/.exec(words)![1]) / 1000;

describe('an extension of a pipe frame', () => {
  it('has a pose of its own each, with the height of the lens; none has no more than the frame’s own', () => {
    const own = withExtension('none').rig.poses.map((p) => p.id);
    for (const [extension, poses] of Object.entries({
      shoulder: ['at-the-shoulder'],
      longHandle: ['held-high', 'turned-over'],
      monopod: ['on-foot'],
    })) {
      const assembly = withExtension(extension);
      expect(assembly.rig.poses.map((p) => p.id)).toEqual([...own, ...poses]);
      for (const pose of poses) expect(told(assembly, pose)).withContext(pose).toContain('above the ground');
    }
  });

  it('on its foot the lens is as high as the leg makes it, whoever holds it', () => {
    const [short, long] = [0.4, 0.9].map((cut) => withExtension('monopod', cut));
    expect(footAbove(told(long!, 'on-foot')) - footAbove(told(short!, 'on-foot'))).toBeCloseTo(0.5, 3);
    const { rig, mount } = short!;
    const ground = rig.contacts.find((c) => c.kind === 'ground')!.at[2];
    expect(footAbove(told(short!, 'on-foot'))).toBeCloseTo(mount![2] - ground, 3);
  });

  it('on its foot the foot bears what the hands do not, and they hold hardly anything', () => {
    const { evaluation } = balanceContext(withExtension('monopod', 1));
    const { bears, falls } = evaluation.held.find((p) => p.pose.id === 'on-foot')!;
    expect(falls).toBeNull();
    const up = bears.reduce((sum, b) => sum + b.force[2], 0);
    expect(up).toBeCloseTo(evaluation.mass * 9.80665, 6);
    expect(bears.find((b) => b.contact.kind === 'ground')!.force[2]).toBeGreaterThan(0.5 * up);
  });

  it('turned over, the camera hangs below the hand and is low; held high it is above it', () => {
    const assembly = withExtension('longHandle');
    const [high, low] = ['held-high', 'turned-over'].map((id) => footAbove(told(assembly, id)));
    expect(high! - low!).toBeGreaterThan(0.8);
    const pose = assembly.rig.poses.find((p) => p.id === 'turned-over')!;
    const [{ contact, stance } = { contact: null, stance: null }] = stancesOf(assembly.rig, pose, [], USUAL_HANDS);
    if (stance?.kind !== 'reaches' || !contact) throw new Error('out of reach');
    // The person stands upright; the rig is turned about the hand, and drawn beside it the hand is where it holds.
    expect(stance.shoulder[2]).toBeGreaterThan(stance.hand[2]);
    besideRig(pose, stance).hand.forEach((v, i) => expect(v).toBeCloseTo(contact.at[i]!, 12));
  });

  it('nobody grows for a foot on a long leg: what is then too high to hold is said', () => {
    const tall = withExtension('monopod', 1.4);
    const pose = tall.rig.poses.find((p) => p.id === 'on-foot')!;
    const ground = tall.rig.contacts.find((c) => c.kind === 'ground')!.at[2];
    for (const { stance } of stancesOf(tall.rig, pose, [], USUAL_HANDS))
      if (stance.kind === 'reaches')
        expect(stance.shoulder[2] - ground).toBeLessThanOrEqual(shoulderHeightOf(USUAL_HANDS));
  });
});
