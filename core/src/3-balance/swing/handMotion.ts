/** What a hand does to the pivot: its acceleration, where it points, and what pushes the rig besides; sums of simple terms. */
import { type Vec3 } from '../../0-base';

/** Accelerations of the pivot, m/s², world axes; times in s. Left out: from zero, for ever. */
export type Push =
  | {
      readonly type: 'halfSine';
      readonly direction: Vec3;
      readonly peak: number;
      readonly start: number;
      readonly duration: number;
    }
  | {
      readonly type: 'constant';
      readonly direction: Vec3;
      readonly value: number;
      readonly start?: number;
      readonly duration: number;
    }
  | {
      readonly type: 'sine';
      readonly direction: Vec3;
      readonly amplitude: number;
      readonly frequency: number;
      readonly phase?: number;
      readonly start?: number;
      readonly duration?: number;
    };
/** A turn of the hand to the left about the vertical, rad, smooth from start to end. */
export interface PanTurn {
  readonly angle: number;
  readonly start: number;
  readonly duration: number;
}
/** Wind: a torque on the rig about world axes, N m, as one smooth puff. */
export interface Gust {
  readonly torque: Vec3;
  readonly start: number;
  readonly duration: number;
}
/** The hand itself rocks, rad about a world axis: what a bare camera shows and a free joint keeps away. */
export interface Wobble {
  readonly axis: Vec3;
  readonly amplitude: number;
  readonly frequency: number;
  readonly phase?: number;
  readonly duration?: number;
}
export interface HandMotion {
  readonly pushes: readonly Push[];
  readonly turns?: readonly PanTurn[];
  readonly gusts?: readonly Gust[];
  readonly wobbles?: readonly Wobble[];
}

export const STILL: HandMotion = { pushes: [] };

/** Adds the pivot's acceleration at time t (s) to `out`. */
export function addAcceleration({ pushes }: HandMotion, t: number, out: Float64Array): void {
  for (const p of pushes) {
    const since = t - (p.start ?? 0);
    if (since < 0 || since > (p.duration ?? Infinity)) continue;
    const size =
      p.type === 'constant'
        ? p.value
        : p.type === 'halfSine'
          ? p.peak * Math.sin((Math.PI * since) / p.duration)
          : p.amplitude * Math.sin(2 * Math.PI * p.frequency * since + (p.phase ?? 0));
    for (let i = 0; i < 3; i++) out[i] = out[i]! + size * p.direction[i]!;
  }
}

/** Where the hand points (rad, to the left) and how fast it turns (rad/s). A turn is s - sin(2 pi s)/(2 pi): no jerk at its ends. */
export function headingAt({ turns = [] }: HandMotion, t: number): readonly [angle: number, rate: number] {
  let [angle, rate] = [0, 0];
  for (const turn of turns) {
    const s = Math.min(1, Math.max(0, (t - turn.start) / turn.duration));
    angle += turn.angle * (s - Math.sin(2 * Math.PI * s) / (2 * Math.PI));
    if (s > 0 && s < 1) rate += (turn.angle / turn.duration) * (1 - Math.cos(2 * Math.PI * s));
  }
  return [angle, rate];
}

/** Adds the wind's torque, N m, world axes: sin² over its duration. */
export function addGust({ gusts = [] }: HandMotion, t: number, out: Float64Array): void {
  for (const g of gusts) {
    const s = (t - g.start) / g.duration;
    if (s <= 0 || s >= 1) continue;
    const size = Math.sin(Math.PI * s) ** 2;
    for (let i = 0; i < 3; i++) out[i] = out[i]! + size * g.torque[i]!;
  }
}

/** Adds the hand's small turn (rotation vector) and how fast it turns to `out`, six numbers in world axes. */
export function addWobble({ wobbles = [] }: HandMotion, t: number, out: Float64Array): void {
  for (const w of wobbles) {
    if (t > (w.duration ?? Infinity)) continue;
    const [turn, phase] = [2 * Math.PI * w.frequency, w.phase ?? 0];
    // Grows in over the first half second, so that the hand does not jump, and dies out over the last.
    const [grow, growing] = faded(t, w.duration ?? Infinity);
    const [angle, rate] = [w.amplitude * Math.sin(turn * t + phase), w.amplitude * turn * Math.cos(turn * t + phase)];
    for (let i = 0; i < 3; i++) {
      out[i] = out[i]! + w.axis[i]! * grow * angle;
      out[3 + i] = out[3 + i]! + w.axis[i]! * (grow * rate + growing * angle);
    }
  }
}

const FADE = 0.5;
function faded(t: number, duration: number): readonly [number, number] {
  const ends = [t / FADE, (duration - t) / FADE];
  const s = Math.min(...ends);
  if (s >= 1) return [1, 0];
  return [s * s * (3 - 2 * s), ((s === ends[0] ? 1 : -1) * 6 * s * (1 - s)) / FADE];
}

/** Times at which something begins or ends: a step in time must not run across one. In order, without doubles. */
export function breaksOf({ pushes, turns = [], gusts = [], wobbles = [] }: HandMotion): readonly number[] {
  const ends = [
    ...[...pushes, ...turns, ...gusts].flatMap((p) => [p.start ?? 0, (p.start ?? 0) + (p.duration ?? Infinity)]),
    ...wobbles.flatMap((w) => [FADE, (w.duration ?? Infinity) - FADE, w.duration ?? Infinity]),
  ];
  return [...new Set(ends.filter((t) => t > 0 && Number.isFinite(t)))].sort((a, b) => a - b);
}
