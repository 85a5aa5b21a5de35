import { evaluate } from '..';
import {
  bareSwinger,
  MOTIONS,
  SETTLED,
  swing,
  swingerOf,
  swingFigures,
  traceOf,
  type Swinger,
  type SwingFigures,
} from '../bench';
import { DEGREE, quaternionAbout, ZERO } from '../../0-base';
import { placeLoad } from '../../1-load';
import { assemble, designRig, familyById, type AdjusterValues } from '../../2-frame';
import { startRig } from '../../9-design/startRig';
import { THREE_LOADS } from '../../testing/loads';
import { bentBarAssembly, wants } from '../../testing/rigs';
import { trim } from '../trim/trim';

const ACROSS = 0.7;
function figuresOf({ rig, joint, level, holds }: Swinger, id: string): SwingFigures {
  const { motion, ends, until, release } = MOTIONS.find((m) => m.id === id)!;
  const wrist = holds !== 'joint' ? { from: quaternionAbout([0, 0, 1], 0) } : {};
  const outcome = swing({
    rig,
    joint,
    motion,
    every: 1 / 60,
    until,
    tolerance: 1e-8,
    ...wrist,
    ...(release ? { from: quaternionAbout([0, 1, 0], -release) } : {}),
  });
  if (outcome.kind !== 'swings') throw new Error(outcome.kind);
  return swingFigures(traceOf(outcome.swing, motion, level), ACROSS, ends);
}
const assembly = bentBarAssembly();
const found = trim(assembly, {}, wants);
const values = found.kind === 'solved' ? found.values : {};
const evaluation = evaluate(assembly, values);
const hung = swingerOf(assembly, values, evaluation)!;
const bare = bareSwinger(assembly, values, evaluation)!;

describe('a swing read as a picture', () => {
  it('of every motion has figures, and none is NaN', () => {
    expect(MOTIONS.length).toBeGreaterThanOrEqual(8);
    for (const { id } of MOTIONS) {
      const f = figuresOf(hung, id);
      for (const axis of [f.pitch, f.roll, f.pan])
        for (const x of Object.values(axis)) expect(Number.isFinite(x)).withContext(id).toBeTrue();
      expect(f.pitch.peak).toBeGreaterThanOrEqual(f.pitch.rms);
    }
  });
  it('the hung rig is calmer in a walk than the bare camera in a hand', () => {
    const [rig, camera] = [figuresOf(hung, 'walk'), figuresOf(bare, 'walk')];
    expect(hung.holds).toBe('joint');
    expect(bare.holds).toBe('wrist');
    for (const axis of ['pitch', 'roll', 'pan'] as const)
      expect(rig[axis].rms).withContext(axis).toBeLessThan(camera[axis].rms);
    expect(camera.settles).not.toBeNull();
    expect(camera.settles!).toBeLessThan(2);
  });
  it('a drop begins a right angle up and comes to zero', () => {
    const f = figuresOf({ ...hung, joint: { ...hung.joint, viscous: 0.2 } }, 'drop');
    expect(f.pitch.peak).toBeCloseTo(Math.PI / 2 - hung.level.lens, 1);
    expect(SETTLED).toBeGreaterThan(0);
  });
  it('axes inside axes, set from the inside out, follow the hand by no more than their bearings rub; unset they follow what pulls them round', () => {
    const { loadout, kit } = THREE_LOADS[2]!;
    const start = startRig(familyById('three-axis-frame')!, loadout, kit, wants);
    const made = designRig(start.design);
    if (!made.ok) return fail(made.reason);
    const frame = assemble(made.rig, placeLoad(loadout, kit));
    const found = trim(frame, {}, wants);
    if (found.kind !== 'axesSet') return fail(found.kind);
    const at = (set: AdjusterValues): Swinger => swingerOf(frame, set, evaluate(frame, set))!;
    const [set, off] = [
      at(found.values),
      at({ ...found.values, 'camera-fore-aft': found.values['camera-fore-aft']! + 0.01 }),
    ];
    expect(set.holds).toBe('axes');
    expect(Math.max(set.joint.axes!.tilt[2], set.joint.axes!.roll[2])).toBeLessThanOrEqual(0);
    // Nothing left over at all: what does not rub keeps all of the hand's walk away, what rubs hard follows its rocking of 1.2°.
    const axes = { roll: ZERO, tilt: ZERO, pan: ZERO };
    const peak = (joint: Swinger['joint']): number =>
      figuresOf({ ...set, joint: { axes, ...joint } }, 'walk').pitch.peak;
    expect(peak({})).toBeLessThan(1e-9);
    expect(peak({ dry: 0.05 })).toBeGreaterThan(0.8 * 1.2 * DEGREE);
    expect(figuresOf(off, 'walk').pitch.peak).toBeGreaterThan(1);
  });
  it('a held rig swings in its wrist; one that turns over does not swing at all', () => {
    const { loadout, kit } = THREE_LOADS[1]!;
    const start = startRig(familyById('hand-frame')!, loadout, kit, wants);
    const made = designRig(start.design);
    if (!made.ok) return fail(made.reason);
    const held = assemble(made.rig, placeLoad(loadout, kit));
    expect(swingerOf(held, start.values, evaluate(held, start.values))!.holds).toBe('wrist');
    const over = { ...values, 'pivot-height': -0.008, 'foot-count': 0, 'rear-count': 0, 'front-count': 0 };
    expect(swingerOf(assembly, over, evaluate(assembly, over))).toBeNull();
  });
});
