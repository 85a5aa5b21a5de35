import { FAMILIES, familyById } from '../../2-frame';
import { judged, workpiece } from '../../9-design/derive';
import { startRig } from '../../9-design/startRig';
import { kit, loadout, wants } from '../../testing/rigs';
import { bobPassed, holdOf } from '../borne/held/handSprings';
import { MOTIONS } from './motions';
import { seenIn, steadinessReadouts, walking } from './steadiness';
import { SMALL, sway } from './sway';
import { swing } from './swing';
import { traceOf, swingFigures } from './swingFigures';
import { bareSwinger, swingerOf, type Swinger } from './swinger';

const contextOf = (family: string) => {
  const { design, values } = startRig(familyById(family)!, loadout, kit, wants);
  const made = workpiece({ design }, loadout, kit);
  if (!made.ok) throw new Error(made.reason);
  return judged(made.work, values, wants).context;
};
const motionOf = (id: string) => MOTIONS.find((m) => m.id === id)!;

/** By the whole motion, as the swing player follows it. */
function played(swinger: Swinger, id: string) {
  const motion = motionOf(id);
  const outcome = swing({
    rig: swinger.rig,
    joint: swinger.joint,
    motion: motion.motion,
    every: 1 / 60,
    until: motion.until,
    tolerance: 1e-8,
    ...(swinger.holds !== 'joint' ? { from: [1, 0, 0, 0] as const } : {}),
  });
  if (outcome.kind !== 'swings') throw new Error(outcome.kind);
  const figures = swingFigures(traceOf(outcome.swing, motion.motion, swinger.level), 0.7, motion.ends);
  return { roll: figures.roll.peak, pitch: figures.pitch.peak, pan: figures.pan.peak };
}

describe('sway for small turns', () => {
  it('is within a fifth, or a fifth of a degree, of the whole motion followed', () => {
    for (const family of [
      'gimballed-bent-bar',
      'hand-frame',
      'pipe-post',
      'boom',
      'sliding-top-handle',
      'tube-frame',
    ]) {
      const { assembly, values, evaluation } = contextOf(family);
      for (const [what, swinger] of [
        ['rig', swingerOf(assembly, values, evaluation)],
        ['bare', bareSwinger(assembly, values, evaluation)],
      ] as const) {
        for (const id of ['walk', 'start', 'gust']) {
          const [quick, full] = [sway(swinger!, motionOf(id)), played(swinger!, id)];
          // Turned far one way, it goes the other ways too: no small turn.
          if (Math.max(quick.pitch, quick.roll) > SMALL / 2) continue;
          for (const axis of ['pitch', 'roll'] as const) {
            expect(Math.abs(quick[axis] - full[axis]))
              .withContext(`${family}, ${what}, ${id}, ${axis}: ${quick[axis]} for ${full[axis]}`)
              .toBeLessThan(0.0035 + 0.2 * full[axis]);
          }
        }
      }
    }
  });
  it('tells a rig hung 2 mm under its joint from one hung 20 mm: started, the lower swings further', () => {
    const { assembly, values, evaluation } = contextOf('gimballed-bent-bar');
    const own = swingerOf(assembly, values, evaluation)!;
    const hungAt = (below: number): Swinger => ({ ...own, rig: { ...own.rig, fromPivot: [0, 0, -below] } });
    const [near, far] = [0.002, 0.02].map((below) => sway(hungAt(below), motionOf('start')).pitch) as [number, number];
    expect(far).toBeGreaterThan(3 * near);
  });
});

describe('what is seen', () => {
  it('of a rigid frame in two hands turns less than the bare camera across them, and bobs no less', () => {
    const context = contextOf('hand-frame');
    const walk = walking(context)!;
    expect(walk.rig.roll).toBeLessThan(walk.bare.roll);
    expect(bobPassed(context.evaluation.mass, 2, 1.8, 'usual')).toBeGreaterThanOrEqual(1);
  });
  it('two hands apart hold stiffer across their line than about it, and no axis softer than one', () => {
    const one = holdOf([[0, 0, 0]]);
    const two = holdOf([
      [0, 0.15, 0],
      [0, -0.15, 0],
    ]);
    expect(two.wrist.spring[0]).toBeCloseTo(2 * one.wrist.spring[0], 12);
    expect(two.arms.spring[0]).toBeCloseTo(2 * 600 * 0.15 ** 2, 9);
    expect(two.arms.spring[1]).toBe(0);
    expect(one.arms.spring).toEqual([0, 0, 0]);
  });
  it('is told in words for every family that swings in a hand, and for no other', () => {
    for (const { id } of FAMILIES) {
      const context = contextOf(id);
      const told = steadinessReadouts(context).length > 0;
      expect(told)
        .withContext(id)
        .toBe(seenIn(motionOf('walk'), context) !== null);
      if (context.evaluation.pole || context.evaluation.held[0]?.bears.length) expect(told).withContext(id).toBeFalse();
    }
  });
});
