/** A pole on a level hinge that stands on an upright swivel: how far the camera end droops, at rest and spun, and what it does to head and neck. */
import { rootBetween, STANDARD_GRAVITY, subtract, type Vec3 } from '../../../0-base';
import { inertiaAbout, massCentre, type Sums } from '../../../1-load';

export interface PoleSpun {
  /** rad/s. */
  readonly rate: number;
  /** Camera end down, rad; null when it has no rest of its own. */
  readonly droop: number | null;
  /** The stop it lies on. */
  readonly onStop: 'up' | 'down' | null;
  /** Level pull on the swivel that goes round with the pole, N. */
  readonly swivelSideLoad: number;
  /** Moment of the weight on the neck, N m. */
  readonly neckMoment: number;
  /** How far ahead of the swivel the mass centre lies, m. */
  readonly massCentreAheadOfSwivel: number;
}
export interface Pole {
  readonly mass: number;
  /** Mass centre from the hinge, m: x along the pole to the camera end, z up with the pole level. */
  readonly fromHinge: Vec3;
  /** Sum of m x², m z² and m x z about the hinge, kg m². */
  readonly xx: number;
  readonly zz: number;
  readonly xz: number;
  /** Stops, rad from level, both positive. */
  readonly stopDown: number;
  readonly stopUp: number;
  /** The hinge this far ahead of the swivel's axis, m. */
  readonly hingeAhead?: number;
}

/** The pole from its bodies' sums, with the pole level and along x, and its hinge (m, same axes). */
export function poleOf(sums: Sums, hinge: Vec3, stops: Pick<Pole, 'stopDown' | 'stopUp' | 'hingeAhead'>): Pole {
  const [[ixx, , ixz], [, iyy], [, , izz]] = inertiaAbout(sums, hinge);
  return {
    mass: sums.mass,
    fromHinge: subtract(massCentre(sums), hinge),
    xx: (iyy + izz - ixx) / 2,
    zz: (ixx + iyy - izz) / 2,
    xz: -ixz,
    ...stops,
  };
}

/** The mass centre on the hinge within this part of the pole's own size is no rest at all. */
const NEUTRAL = 1e-9;

/** Camera end down where its mass centre hangs straight under the hinge, rad, stops left out; null when it is neutral. */
export function freeDroop(pole: Pole): number | null {
  const [x, , z] = pole.fromHinge;
  const size = Math.sqrt((pole.xx + pole.zz) / pole.mass);
  return Math.hypot(x, z) <= NEUTRAL * size ? null : Math.atan2(x, -z);
}

/** dU/dq of the spinning pole at a droop `q` (rad), N m: 0 where it rests. U as in `spinningPole`. */
export function poleSlope(
  { mass, fromHinge: [x, , z], xx, zz, xz, hingeAhead = 0 }: Pole,
  rate: number,
  q: number,
): number {
  const [c, s] = [Math.cos(q), Math.sin(q)];
  const turned = (zz - xx) * s * c + xz * (c * c - s * s) + hingeAhead * mass * (z * c - x * s);
  return mass * STANDARD_GRAVITY * (-x * c - z * s) - rate * rate * turned;
}

/**
 * Droop at a steady spin. In the spinning frame the pole has the potential U(q) = M g z - w²/2 sum m (x + e)²; it goes
 * downhill in U from where it lay at rest (level when neutral) to the first place where U' is zero, or to a stop.
 * Found to rounding; friction is left out.
 */
export function spinningPole(pole: Pole, rate: number): PoleSpun {
  const {
    mass,
    fromHinge: [x, y, z],
    stopDown,
    stopUp,
    hingeAhead = 0,
  } = pole;
  const free = freeDroop(pole);
  const kept = (q: number): number => Math.min(stopDown, Math.max(-stopUp, q));
  const slope = (q: number): number => poleSlope(pole, rate, q);
  const neutral = free === null;
  const start = kept(free ?? 0);
  const droop = neutral && rate === 0 ? null : rate === 0 ? start : downhill(slope, start, -stopUp, stopDown);
  const at = droop ?? 0;
  const ahead = x * Math.cos(at) + z * Math.sin(at) + hingeAhead;
  const out = Math.hypot(ahead, y);
  return {
    rate,
    droop,
    onStop:
      droop === null
        ? null
        : stopDown - droop < 1e-9 && slope(droop) < -restTolerance(pole)
          ? 'down'
          : droop + stopUp < 1e-9 && slope(droop) > restTolerance(pole)
            ? 'up'
            : null,
    swivelSideLoad: mass * rate * rate * out,
    neckMoment: mass * STANDARD_GRAVITY * out,
    massCentreAheadOfSwivel: ahead,
  };
}

/** How far up the hinge would have to be above where it is for the pole to hang by itself with `droop`, m; its mass centre stays. Zero or less: it already does. */
export function hingeRaise(pole: Pole, droop: number): number {
  const [x, , z] = pole.fromHinge;
  return Math.abs(x) / Math.tan(droop) + z;
}

const restTolerance = (pole: Pole): number =>
  1e-9 * pole.mass * STANDARD_GRAVITY * Math.sqrt((pole.xx + pole.zz) / pole.mass);

/** Steps by which the first turning point is looked for; U has at most two dips a turn, far wider than this. */
const LOOK = 720;

function downhill(slope: (q: number) => number, from: number, least: number, most: number): number {
  const first = slope(from);
  if (first === 0) return from;
  const end = first < 0 ? most : least;
  if (from === end) return end;
  let before = from;
  for (let n = 1; n <= LOOK; n++) {
    const next = from + ((end - from) * n) / LOOK;
    if (slope(next) === 0) return next;
    if (slope(next) * first < 0) return rootBetween(slope, before, next);
    before = next;
  }
  return end;
}
