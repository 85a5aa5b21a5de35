/** Bodies turned about an axis through their travel, against round bars that stay: do they touch, where, and the least room. */
import {
  add,
  leastBetween,
  multiply,
  rootBetween,
  rotationAbout,
  subtract,
  transform,
  unit,
  type Vec3,
} from '../../0-base';
import { barGap, reachFromAxis, type RoundBar, type Solid3 } from './clearance';

export interface SweepInput {
  readonly axis: { readonly point: Vec3; readonly direction: Vec3 };
  /** From the first angle to the second, rad, right-handed about the axis. */
  readonly travel: readonly [number, number];
  readonly turning: readonly Solid3[];
  readonly bars: readonly RoundBar[];
}
export interface SweptBar {
  /** Index in `bars`. */
  readonly bar: number;
  readonly touches: boolean;
  /** First angle of the travel at which it touches, rad; null when it never does. */
  readonly firstTouchAngle: number | null;
  /** Least room, m, and the angle it is met at; zero or less when it touches. */
  readonly leastClearance: number;
  readonly atAngle: number;
}
export interface Sweep {
  readonly sweptRadius: number;
  readonly bars: readonly SweptBar[];
}

/** A step of about a third of a degree at most: a gap that closes and opens within one would be a hair on a bar. */
const STEP = 0.006;

export function sweep({ axis, travel, turning, bars }: SweepInput): Sweep {
  return {
    sweptRadius: turning.reduce((most, solid) => Math.max(most, reachFromAxis(solid, axis)), 0),
    bars: bars.map((bar, index) => sweptBar(bar, index, axis, travel, turning)),
  };
}

function sweptBar(
  bar: RoundBar,
  index: number,
  axis: SweepInput['axis'],
  [start, end]: readonly [number, number],
  turning: readonly Solid3[],
): SweptBar {
  const gap = (angle: number): number =>
    Math.min(...turning.map((solid) => barGap(bar, turnedAbout(solid, axis, angle))));
  const steps = Math.max(1, Math.ceil(Math.abs(end - start) / STEP));
  const angles = Array.from({ length: steps + 1 }, (_, i) => start + ((end - start) * i) / steps);
  const gaps = angles.map(gap);
  const lowest = gaps.reduce((best, g, i) => (g < gaps[best]! ? i : best), 0);
  const [before, after] = [angles[Math.max(0, lowest - 1)]!, angles[Math.min(steps, lowest + 1)]!];
  const between = leastBetween(gap, Math.min(before, after), Math.max(before, after));
  const atAngle = gap(between) < gaps[lowest]! ? between : angles[lowest]!;
  const leastClearance = Math.min(gaps[lowest]!, gap(between));
  const touching = gaps.findIndex((g) => g <= 0);
  const first =
    touching < 0
      ? leastClearance <= 0
        ? atAngle
        : null
      : touching === 0
        ? start
        : rootBetween(gap, angles[touching - 1]!, angles[touching]!);
  return { bar: index, touches: first !== null, firstTouchAngle: first, leastClearance, atAngle };
}

function turnedAbout(solid: Solid3, axis: SweepInput['axis'], angle: number): Solid3 {
  const turn = rotationAbout(unit(axis.direction), angle);
  return {
    ...solid,
    at: add(axis.point, transform(turn, subtract(solid.at, axis.point))),
    rotation: multiply(turn, solid.rotation),
  };
}
