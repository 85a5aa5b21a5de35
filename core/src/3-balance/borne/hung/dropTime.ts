/** The test of a stabilizer: held over, let go, timed until it is first upright. */
import { ellipticK, rootBetween, STANDARD_GRAVITY } from '../../../0-base';

export interface Pendulum {
  readonly mass: number;
  /** About the pivot's axis, kg m². */
  readonly inertia: number;
  /** Mass centre to the axis, m. */
  readonly distance: number;
  /** Of the mass centre from straight below the axis, rad; let go at rest. */
  readonly releaseAngle: number;
}
export interface Friction {
  /** Constant against the motion, N m. */
  readonly dry?: number;
  /** Per rad/s, N m s. */
  readonly viscous?: number;
  /** Per (rad/s)², N m s². */
  readonly drag?: number;
}
export type Drop =
  | { readonly kind: 'falls'; readonly time: number; readonly rateAtUpright: number }
  | { readonly kind: 'stops'; readonly angle: number; readonly time: number }
  /** Balanced upside down, on its axis, or damped so that it only creeps. */
  | { readonly kind: 'never' };

export const FROM_LEVEL = Math.PI / 2;

const STEPS_A_SWING = 400; // RK4 at T/400: error about 1e-9 of T against the closed form
const SWINGS_AT_MOST = 60;
const STEPS_AT_MOST = 400_000; // a rig so damped that this is not enough only creeps

/**
 * Without friction T = K(sin(a0/2)) √(I/(M g d)), exact; rate at upright from the energy. With friction it is integrated
 * by RK4 with the end found to rounding; it stops where the rate comes to zero short of upright. docs/sources.md, Drop time.
 */
export function dropTime(pendulum: Pendulum, friction: Friction = {}): Drop {
  const moment = pendulum.mass * STANDARD_GRAVITY * pendulum.distance;
  if (!(moment > 0)) return { kind: 'never' };
  const { dry = 0, viscous = 0, drag = 0 } = friction;
  if (dry === 0 && viscous === 0 && drag === 0) return freeDrop(pendulum, moment);
  if (moment * Math.sin(pendulum.releaseAngle) <= dry) return { kind: 'stops', angle: pendulum.releaseAngle, time: 0 };
  return timedDrop(pendulum, moment, { dry, viscous, drag });
}

function freeDrop({ inertia, releaseAngle }: Pendulum, moment: number): Drop {
  const time = ellipticK(Math.sin(releaseAngle / 2)) * Math.sqrt(inertia / moment);
  if (!Number.isFinite(time)) return { kind: 'never' };
  return { kind: 'falls', time, rateAtUpright: Math.sqrt((2 * moment * (1 - Math.cos(releaseAngle))) / inertia) };
}

type State = readonly [angle: number, rate: number];

function timedDrop(
  { inertia, releaseAngle }: Pendulum,
  moment: number,
  { dry, viscous, drag }: Required<Friction>,
): Drop {
  // It only ever moves towards upright here, so friction always pushes the angle up.
  const acceleration = ([angle, rate]: State): number =>
    (-moment * Math.sin(angle) + dry - viscous * rate + drag * rate * rate) / inertia;
  const swing = 2 * Math.PI * Math.sqrt(inertia / moment);
  // Strong damping is quicker than the swing: the step follows the faster of the two, or RK4 would run away.
  const topRate = Math.sqrt((2 * moment * (1 - Math.cos(releaseAngle))) / inertia);
  const damping = (viscous + drag * topRate) / inertia;
  const step = Math.min(swing / STEPS_A_SWING, damping > 0 ? 0.2 / damping : Infinity);
  const steps = Math.min(STEPS_AT_MOST, Math.ceil((swing * SWINGS_AT_MOST) / step));
  let state: State = [releaseAngle, 0];
  for (let n = 0; n < steps; n++) {
    const from = state;
    const next = rk4(acceleration, from, step);
    if (next[0] <= 0) {
      const part = rootBetween((h) => rk4(acceleration, from, h)[0], 0, step);
      return { kind: 'falls', time: n * step + part, rateAtUpright: -rk4(acceleration, from, part)[1] };
    }
    if (next[1] >= 0 && n > 0) {
      const part = from[1] === 0 ? 0 : rootBetween((h) => rk4(acceleration, from, h)[1], 0, step);
      return { kind: 'stops', angle: rk4(acceleration, from, part)[0], time: n * step + part };
    }
    state = next;
  }
  return { kind: 'never' };
}

function rk4(acceleration: (s: State) => number, [a, r]: State, h: number): State {
  const k1 = acceleration([a, r]);
  const k2 = acceleration([a + (h / 2) * r, r + (h / 2) * k1]);
  const k3 = acceleration([a + (h / 2) * (r + (h / 2) * k1), r + (h / 2) * k2]);
  const k4 = acceleration([a + h * (r + (h / 2) * k2), r + h * k3]);
  return [a + h * r + ((h * h) / 6) * (k1 + k2 + k3), r + (h / 6) * (k1 + 2 * k2 + 2 * k3 + k4)];
}

/** Angles of the swing from release, one a time step (s), for playing it; frictionless, until `until`. */
export function dropMotion(pendulum: Pendulum, timeStep: number, until: number): readonly number[] {
  const k = (pendulum.mass * STANDARD_GRAVITY * pendulum.distance) / pendulum.inertia;
  const inner = Math.max(1, Math.ceil((timeStep * Math.sqrt(k)) / 0.01));
  let state: State = [pendulum.releaseAngle, 0];
  const angles = [state[0]];
  for (let t = timeStep; t <= until + 1e-9; t += timeStep) {
    for (let n = 0; n < inner; n++) state = rk4(([a]) => -k * Math.sin(a), state, timeStep / inner);
    angles.push(state[0]);
  }
  return angles;
}
