/** A swing read as a picture: pitch, roll and pan of the lens against how it hung, and how much of the frame that is. */
import { rotationOf, type Mat3 } from '../../0-base';
import { headingAt, type HandMotion } from './handMotion';
import { SAMPLE, type Swing } from './swing';

export interface SwingTrace {
  readonly every: number;
  /** Against the first rest, rad: nose up, left side up, and to the left of where the hand points. */
  readonly pitch: Float64Array;
  readonly roll: Float64Array;
  readonly pan: Float64Array;
}
export interface AxisFigures {
  readonly rms: number;
  readonly peak: number;
  /** Of the picture's width, each way. */
  readonly peakOfFrame: number;
}
export interface SwingFigures {
  readonly pitch: AxisFigures;
  readonly roll: AxisFigures;
  readonly pan: AxisFigures;
  /** From the end of the motion until it stays within SETTLED of rest in pitch and roll, s; null when it does not within the run. */
  readonly settles: number | null;
}

/** Half a degree: what an eye forgives in a horizon. */
export const SETTLED = Math.PI / 360;

/** `level`: the lens elevation and left elevation it comes back to, rad. Zero for a rig that hangs level. */
export function traceOf(
  swing: Swing,
  motion: HandMotion,
  level: { readonly lens: number; readonly left: number },
): SwingTrace {
  const [pitch, roll, pan] = Array.from({ length: 3 }, () => new Float64Array(swing.count)) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  let before = 0;
  let first: number | null = null;
  for (let n = 0; n < swing.count; n++) {
    const turn = turnAt(swing, n);
    pitch[n] = Math.asin(clamp(turn[2][0])) - level.lens;
    roll[n] = Math.atan2(turn[2][1], turn[2][2]) - level.left;
    // Straight up or down the lens points nowhere on the level: what it last had stands.
    const heading: number =
      Math.hypot(turn[0][0], turn[1][0]) < 1e-6 ? before : unwrapped(Math.atan2(turn[1][0], turn[0][0]), before);
    before = heading;
    first ??= heading;
    pan[n] = heading - first - headingAt(motion, n * swing.every)[0];
  }
  return { every: swing.every, pitch, roll, pan };
}

export function turnAt({ samples }: Swing, n: number): Mat3 {
  const at = n * SAMPLE;
  return rotationOf([samples[at]!, samples[at + 1]!, samples[at + 2]!, samples[at + 3]!]);
}

/** `across`: the picture's width, rad. An angle q shifts it by tan q / (2 tan(across/2)); what leaves the frame counts as all of it. */
export function swingFigures(trace: SwingTrace, across: number, ends: number): SwingFigures {
  const axis = (angles: Float64Array): AxisFigures => {
    let [squares, peak] = [0, 0];
    for (const a of angles) {
      squares += a * a;
      peak = Math.max(peak, Math.abs(a));
    }
    return {
      rms: Math.sqrt(squares / angles.length),
      peak,
      peakOfFrame: Math.min(1, Math.tan(Math.min(peak, 1.5)) / (2 * Math.tan(across / 2))),
    };
  };
  let last = -1;
  for (let n = 0; n < trace.pitch.length; n++)
    if (Math.max(Math.abs(trace.pitch[n]!), Math.abs(trace.roll[n]!)) > SETTLED) last = n;
  const settled = last + 1 < trace.pitch.length ? Math.max(0, (last + 1) * trace.every - ends) : null;
  return { pitch: axis(trace.pitch), roll: axis(trace.roll), pan: axis(trace.pan), settles: settled };
}

const clamp = (x: number): number => Math.max(-1, Math.min(1, x));
const unwrapped = (angle: number, near: number): number =>
  angle + 2 * Math.PI * Math.round((near - angle) / (2 * Math.PI));
