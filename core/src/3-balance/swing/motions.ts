/** Ways a hand moves a rig while filming, as sums of simple terms. Sizes are middling figures of walking and handling; people differ. */
import { DEGREE, type Vec3 } from '../../0-base';
import type { HandMotion, Push } from './handMotion';

export interface Motion {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  /** Let go nose up at this angle instead of hanging at rest, rad. */
  readonly release?: number;
  readonly motion: HandMotion;
  /** The quicker harmonics of steps: a swing hardly feels them, what bends rings by them. */
  readonly steps?: readonly Push[];
  /** When the last of it ends, s: what comes after is settling. */
  readonly ends: number;
  readonly until: number;
}

const [X, Y, Z]: readonly [Vec3, Vec3, Vec3] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

/** Steps a second, and the sizes of bob, its second harmonic, surge and sway, m/s²; sway goes at half the pace. `rock`: how far the hand itself nods, rad. */
function gait(
  pace: number,
  bob: number,
  second: number,
  surge: number,
  sway: number,
  rock: number,
  duration: number,
): HandMotion {
  return {
    pushes: [
      { type: 'sine', direction: Z, amplitude: bob, frequency: pace, duration },
      { type: 'sine', direction: Z, amplitude: second, frequency: 2 * pace, phase: 0.7, duration },
      { type: 'sine', direction: X, amplitude: surge, frequency: pace, phase: 1.1, duration },
      { type: 'sine', direction: Y, amplitude: sway, frequency: pace / 2, phase: 0.3, duration },
    ],
    wobbles: [
      { axis: Y, amplitude: rock, frequency: pace, phase: 0.5, duration },
      { axis: X, amplitude: 0.8 * rock, frequency: pace / 2, phase: 1.3, duration },
      { axis: Z, amplitude: 0.7 * rock, frequency: pace / 2, phase: 2.1, duration },
    ],
  };
}

/** Third and fourth of the body's harmonics at this pace, as a soft arm lets them through (Young 2001; `4-strength/answer/footfall`), m/s². */
const quick = (pace: number, third: number, fourth: number, duration: number): readonly Push[] => [
  { type: 'sine', direction: Z, amplitude: third, frequency: 3 * pace, phase: 0.2, duration },
  { type: 'sine', direction: Z, amplitude: fourth, frequency: 4 * pace, phase: 1.6, duration },
];

export const MOTIONS: readonly Motion[] = [
  {
    id: 'drop',
    name: 'Drop',
    says: 'Held nose up by a right angle and let go.',
    release: Math.PI / 2,
    motion: { pushes: [] },
    ends: 0,
    until: 12,
  },
  {
    id: 'walk',
    name: 'Walk',
    says: 'Ten seconds of walking, 1.8 steps a second.',
    motion: gait(1.8, 1.9, 0.5, 0.8, 0.55, 1.2 * DEGREE, 10),
    steps: quick(1.8, 0.23, 0.21, 10),
    ends: 10,
    until: 16,
  },
  {
    id: 'run',
    name: 'Run',
    says: 'Six seconds of running, 2.7 steps a second.',
    motion: gait(2.7, 6, 2, 2.4, 1.4, 2.5 * DEGREE, 6),
    steps: quick(2.7, 0.34, 0.2, 6),
    ends: 6,
    until: 14,
  },
  {
    id: 'stairs',
    name: 'Stairs',
    says: 'Eight seconds down a flight, 1.5 steps a second.',
    motion: gait(1.5, 2.8, 1.1, 1, 0.7, 1.6 * DEGREE, 8),
    steps: quick(1.5, 0.21, 0.18, 8),
    ends: 8,
    until: 14,
  },
  {
    id: 'start',
    name: 'Start and stop',
    says: 'From standing to a walk, four steps, and stop.',
    motion: {
      pushes: [
        { type: 'halfSine', direction: X, peak: 2.1, start: 0.5, duration: 0.9 },
        { type: 'halfSine', direction: X, peak: -2.1, start: 3.6, duration: 0.9 },
      ],
    },
    ends: 4.5,
    until: 14,
  },
  {
    id: 'pan',
    name: 'Slow pan',
    says: 'A quarter turn to the left in four seconds.',
    motion: { pushes: [], turns: [{ angle: 90 * DEGREE, start: 0.5, duration: 4 }] },
    ends: 4.5,
    until: 14,
  },
  {
    id: 'whip',
    name: 'Whip pan',
    says: 'A quarter turn to the left in two thirds of a second.',
    motion: { pushes: [], turns: [{ angle: 90 * DEGREE, start: 0.5, duration: 0.67 }] },
    ends: 1.17,
    until: 10,
  },
  {
    id: 'gust',
    name: 'Gust',
    says: 'A puff of about 8 m/s from the right on a hand-sized camera.',
    motion: { pushes: [], gusts: [{ torque: [-0.05, 0, 0.01], start: 0.5, duration: 1.2 }] },
    ends: 1.7,
    until: 12,
  },
  {
    id: 'crouch',
    name: 'Crouch',
    says: 'Down by half a metre and up again, leaning a little forward.',
    motion: {
      pushes: [
        { type: 'halfSine', direction: [0.15, 0, -1], peak: 2.4, start: 0.5, duration: 0.6 },
        { type: 'halfSine', direction: [-0.15, 0, 1], peak: 2.4, start: 1.1, duration: 0.6 },
        { type: 'halfSine', direction: [-0.15, 0, 1], peak: 2.4, start: 3, duration: 0.6 },
        { type: 'halfSine', direction: [0.15, 0, -1], peak: 2.4, start: 3.6, duration: 0.6 },
      ],
    },
    ends: 4.2,
    until: 12,
  },
];
