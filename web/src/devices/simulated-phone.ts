/** A simulated phone on a rig: laid flat on it as a level, strapped to it while it falls, or laid on its camera when that is flicked. The rig it lies on is not quite the one that was drawn. */
import type { BalanceContext } from '@tide-pebble/core';
import { concatAll, interval, map, switchMap, take, throwError, timer } from 'rxjs';
import { ASLEEP, DENIED, SILENT_MS, type MotionSensor, type SensorFault, type TurningSample } from './motion-sensor';

/** What is done with it. */
export type Laid = 'forward' | 'backward' | 'strapped' | 'flicked';
/** The rig as it really is: leans as it hangs, rad, nose and left side down positive; its drop, s; how it rings, Hz, null where that is not reckoned. */
export interface RealRig {
  readonly noseDown: number;
  readonly leftSideDown: number;
  readonly drop: number;
  readonly rings: number | null;
}

/** So far the real mass centre lies ahead, to the left and below of where it was reckoned, m. */
const OFF = [0.0004, 0.0002, 0.0001] as const;
const G = 9.80665;
/** K(sin 45°): of a pendulum let go at a right angle. */
const QUARTER = 1.854074677;

/** Joints hold so much less than they were reckoned to: its pace, as a share. */
const LOOSER = 0.93;
/** A camera that is flicked nods, and dies away in so many swings to a third. */
const SWINGS = 6;

/** Null where the rig neither hangs and falls upright, nor has its ringing reckoned, Hz. */
export function realRig(
  { evaluation: { hung } }: Pick<BalanceContext, 'evaluation'>,
  reckoned: number | null = null,
): RealRig | null {
  const rings = reckoned === null ? null : LOOSER * reckoned;
  const still = { noseDown: 0, leftSideDown: 0, drop: Infinity, rings };
  if (hung?.pitch.drop.kind !== 'falls' || !hung.hang.rest) return rings === null ? null : still;
  const [x, y, z] = hung.hang.fromPivot;
  const [realX, realY, below] = [x + OFF[0], y + OFF[1], OFF[2] - z];
  if (below <= 0) return rings === null ? null : still;
  return {
    noseDown: Math.atan2(realX, below),
    leftSideDown: Math.atan2(realY, below),
    drop: hung.pitch.drop.time * Math.sqrt(-z / below),
    rings,
  };
}

/** Its sensor and its back are off by so much, rad. */
const OWN = { nose: 0.021, left: -0.012 };
const RATE = 100;
/** It plays so many times as fast as life. */
const QUICK = 4;
const NOISE = { borne: 0.03, turning: 0.05 };
const NOISY = 60;
/** Held level before it is let go, and watched in all, s. */
const HELD = 1.2;
const WATCHED = 30;
/** Steps of the fall to a sample. */
const STEPS = 20;

export function simulatedPhone(rig: RealRig, laid: Laid, fault: SensorFault, chance: () => number): MotionSensor {
  return {
    name: 'a simulated phone',
    listen: () => {
      if (fault === 'denied') return throwError(() => new Error(DENIED));
      if (fault === 'asleep') return timer(SILENT_MS / 5).pipe(switchMap(() => throwError(() => new Error(ASLEEP))));
      const noise = (by: number): number =>
        by * (fault === 'noisy' ? NOISY : 1) * 2 * (chance() + chance() + chance() - 1.5);
      const rate = laid === 'strapped' ? falling(rig.drop) : laid === 'flicked' ? ringing(rig.rings ?? 0) : () => 0;
      const sign = laid === 'backward' ? -1 : 1;
      const [a, b] = [Math.tan(sign * rig.noseDown + OWN.nose), Math.tan(sign * rig.leftSideDown + OWN.left)];
      const up = G / Math.hypot(1, a, b);
      const sample = (i: number): TurningSample => {
        const turning = (rate(i / RATE) * 180) / Math.PI;
        if (fault === 'stuck' && i > 5) return { time: i / RATE, x: 0.4, y: 0.4, z: 0.4, borne: [0.1, 0.1, G] };
        return {
          time: i / RATE,
          // Strapped askew, as one is; laid on a camera it lies straight.
          x: 0.6 + (laid === 'flicked' ? 1 : 0.8) * turning + noise(NOISE.turning),
          y: -0.2 - (laid === 'flicked' ? 0.1 : 0.6) * turning + noise(NOISE.turning),
          z: noise(NOISE.turning),
          borne: [b * up + noise(NOISE.borne), -a * up + noise(NOISE.borne), up + noise(NOISE.borne)],
        };
      };
      const portion = RATE / 10;
      return interval(100 / QUICK).pipe(
        take(WATCHED * 10),
        map((n) => Array.from({ length: portion }, (_, i) => sample(n * portion + i))),
        concatAll(),
      );
    },
  };
}

/** The turning of a pendulum held at a right angle and let go, rad/s, asked for moment after moment. */
function falling(drop: number): (time: number) => number {
  const w2 = (QUARTER / drop) ** 2;
  let [angle, rate, at] = [Math.PI / 2, 0, HELD];
  const dt = 1 / RATE / STEPS;
  return (time) => {
    // Half a step of speed, a step of angle, half a step of speed (Störmer and Verlet).
    for (; at < time; at += dt) {
      rate -= (dt / 2) * w2 * Math.sin(angle);
      angle += dt * rate;
      rate -= (dt / 2) * w2 * Math.sin(angle);
    }
    return rate;
  };
}

/** Pushed by a finger for a moment, then a tone that dies away, rad/s. */
function ringing(frequency: number): (time: number) => number {
  const dies = frequency / SWINGS;
  return (time) => {
    const t = time - HELD;
    if (t < 0) return 0;
    return t < PUSHED ? 0.8 : 0.4 * Math.exp(-dies * t) * Math.cos(2 * Math.PI * frequency * t);
  };
}
/** s */
const PUSHED = 0.03;
