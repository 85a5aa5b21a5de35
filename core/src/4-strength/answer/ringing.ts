/** What a flick tells: frequency and damping from swings counted, and how stiff the joint is that would ring so. */
import { rootBetween } from '../../0-base';
import type { EndSpring, FrameModel } from '../frame/frameModel';
import { modesOf } from '../frame/modesOf';
import { frameSystem } from '../frame/frameSystem';

export interface Flick {
  /** Of the film, 1/s; and how well a frame is told, frames, standard. */
  readonly frameRate: number;
  readonly frameUncertainty: number;
  readonly swings: { readonly count: number; readonly firstFrame: number; readonly lastFrame: number };
  /** In any unit, so many whole swings apart. */
  readonly amplitudes: { readonly first: number; readonly last: number; readonly swingsBetween: number };
}
export interface Heard {
  /** Hz */
  readonly dampedFrequency: number;
  readonly naturalFrequency: number;
  /** Standard, Hz. */
  readonly frequencyUncertainty: number;
  /** Part of critical. */
  readonly dampingRatio: number;
}

/** By the logarithmic decrement. Frames not rising, no swings or amplitudes that do not fall to above nought throw. */
export function heardRinging({ frameRate, frameUncertainty, swings, amplitudes }: Flick): Heard {
  const frames = swings.lastFrame - swings.firstFrame;
  if (!(frames > 0 && swings.count > 0)) throw new RangeError('The last frame must come after the first.');
  if (!(amplitudes.last > 0 && amplitudes.first >= amplitudes.last && amplitudes.swingsBetween > 0))
    throw new RangeError('Swings die away: the last must be smaller than the first, and above nought.');
  const dampedFrequency = (swings.count * frameRate) / frames;
  const decrement = Math.log(amplitudes.first / amplitudes.last) / amplitudes.swingsBetween;
  const dampingRatio = decrement / Math.hypot(2 * Math.PI, decrement);
  const naturalFrequency = dampedFrequency / Math.sqrt(1 - dampingRatio ** 2);
  return {
    dampedFrequency,
    dampingRatio,
    naturalFrequency,
    frequencyUncertainty: ((Math.SQRT2 * frameUncertainty) / frames) * naturalFrequency,
  };
}

/** Of one joint under a stiff arm: (2πf)² I + M g h, h the mass's height above the joint (hanging below: negative), N m/rad. */
export const lumpedStiffness = (frequency: number, inertia: number, gravityMoment: number): number =>
  (2 * Math.PI * frequency) ** 2 * inertia + gravityMoment;

/** A spring at a member's end that is not known: about which of its own axes, and which mode was heard, 0 the lowest. */
export interface UnknownSpring {
  readonly member: number;
  readonly end: 'from' | 'to';
  readonly axis: number;
  readonly mode: number;
}
const PIECES = 6;
const AS_RIGID = 1e9;

/** The stiffness within `search` (N m/rad) that gives the mode this frequency; null when none does, with the frequency were it rigid. */
export function springHeard(
  model: FrameModel,
  unknown: UnknownSpring,
  frequency: number,
  [least, most]: readonly [number, number],
): { readonly stiffness: number | null; readonly ifRigid: number | null } {
  const off = (stiffness: number): number =>
    modesOf(
      frameSystem(withSpring(model, unknown, stiffness), () => PIECES),
      unknown.mode + 1,
    )!.modes[unknown.mode]!.frequency - frequency;
  if (off(least) > 0 || off(most) < 0) return { stiffness: null, ifRigid: off(AS_RIGID) + frequency };
  const root = rootBetween((log) => off(Math.exp(log)), Math.log(least), Math.log(most), 1e-11);
  return { stiffness: Math.exp(root), ifRigid: null };
}

function withSpring(model: FrameModel, { member, end, axis }: UnknownSpring, stiffness: number): FrameModel {
  const side = end === 'from' ? 'startSpring' : 'endSpring';
  const members = model.members.map((m, i) => {
    if (i !== member) return m;
    const spring: EndSpring = m[side] ?? {
      about: [Infinity, Infinity, Infinity],
      along: [Infinity, Infinity, Infinity],
    };
    const about = spring.about.map((k, a) => (a === axis ? stiffness : k)) as unknown as EndSpring['about'];
    return { ...m, [side]: { ...spring, about } };
  });
  return { ...model, members };
}
