/** How modes ring when what holds the frame is pushed about in any way, in time: each an oscillator, followed exactly between straight-line samples. */
import type { Vec3 } from '../../0-base';
import type { ModeAt } from './shakenBy';

export interface RungInput {
  readonly modes: readonly ModeAt[];
  /** How much of each mode a push along x, y and z rings: by axis, by mode. */
  readonly shares: readonly (readonly number[])[];
  /** Part of critical, of each; under one. */
  readonly damping: readonly number[];
  /** Adds the acceleration of what holds it at time t to `out`, m/s². */
  readonly pushed: (t: number, out: Float64Array) => void;
  /** A sample every so many seconds, the first at nought, from rest. */
  readonly every: number;
  readonly count: number;
}

/** Steps to a swing of the quickest: between them pushes are taken as straight lines. */
const STEPS = 16;

/** Turns about x y z at each sample, rad, against what holds it. */
export function rungBy({ modes, shares, damping, pushed, every, count }: RungInput): readonly Vec3[] {
  const quickest = Math.max(...modes.map((m) => m.frequency), 1 / every);
  const steps = Math.max(2, Math.ceil(every * quickest * STEPS));
  const dt = every / steps;
  const oscillators = modes.map(({ frequency }, i) => stepOf(2 * Math.PI * frequency, damping[i]!, dt));
  const state = modes.map(() => ({ q: 0, v: 0 }));
  const push = (t: number): Float64Array => {
    const out = new Float64Array(3);
    pushed(t, out);
    return out;
  };
  const forced = (a: Float64Array, mode: number): number =>
    -[0, 1, 2].reduce((sum, axis) => sum + shares[axis]![mode]! * a[axis]!, 0);
  let before = push(0);
  return Array.from({ length: count }, (_, n): Vec3 => {
    for (let s = 0; n > 0 && s < steps; s++) {
      const after = push((n - 1) * every + (s + 1) * dt);
      state.forEach((now, i) => {
        const step = oscillators[i]!;
        const [p0, p1] = [forced(before, i), forced(after, i)];
        const { q, v } = now;
        now.q = step.a * q + step.b * v + step.c * p0 + step.d * p1;
        now.v = step.e * q + step.f * v + step.g * p0 + step.h * p1;
      });
      before = after;
    }
    return [3, 4, 5].map((k) => state.reduce((sum, { q }, i) => sum + q * modes[i]!.six[k]!, 0)) as unknown as Vec3;
  });
}

interface Step {
  readonly a: number;
  readonly b: number;
  readonly c: number;
  readonly d: number;
  readonly e: number;
  readonly f: number;
  readonly g: number;
  readonly h: number;
}

/** Of q'' + 2 z w q' + w² q = p, p a straight line over the step (Nigam and Jennings 1969; Chopra, Dynamics of Structures, table 5.2.1). */
function stepOf(w: number, z: number, dt: number): Step {
  const root = Math.sqrt(1 - z * z);
  const wd = w * root;
  const fade = Math.exp(-z * w * dt);
  const [sin, cos] = [Math.sin(wd * dt), Math.cos(wd * dt)];
  const k = w * w;
  const zr = z / root;
  const two = (2 * z) / (w * dt);
  return {
    a: fade * (zr * sin + cos),
    b: (fade * sin) / wd,
    c: (two + fade * (((1 - 2 * z * z) / (wd * dt) - zr) * sin - (1 + two) * cos)) / k,
    d: (1 - two + fade * (((2 * z * z - 1) / (wd * dt)) * sin + two * cos)) / k,
    e: (-fade * w * sin) / root,
    f: fade * (cos - zr * sin),
    g: (-1 / dt + fade * ((w / root + zr / dt) * sin + cos / dt)) / k,
    h: (1 - fade * (zr * sin + cos)) / (k * dt),
  };
}
