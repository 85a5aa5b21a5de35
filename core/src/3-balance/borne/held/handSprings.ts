/** Hands as springs: what turns a rig back to how it is held, and what carries a step on to it. Rough: people differ severalfold. */
import type { Vec3 } from '../../../0-base';

/** About each rig axis: N m/rad and N m s/rad. */
export interface Springs {
  readonly spring: Vec3;
  readonly damper: Vec3;
}
/** Wrists pass their own rocking on; two hands apart hold each other still through the arms. */
export interface Hold {
  readonly wrist: Springs;
  readonly arms: Springs;
}
export type Firmness = 'slack' | 'usual' | 'firm';

/**
 * A wrist that holds turns back with 3 to 15 N m/rad, damped by 0.03 to 0.3 N m s/rad; a hand in space gives by 300 to 2,000 N/m,
 * damped by 5 to 40 N s/m (docs/sources.md, People as springs).
 */
const WRIST: Readonly<Record<Firmness, { readonly spring: number; readonly damper: number }>> = {
  slack: { spring: 3, damper: 0.15 },
  usual: { spring: 8, damper: 0.3 },
  firm: { spring: 15, damper: 0.3 },
};
const IN_SPACE: Readonly<Record<Firmness, { readonly spring: number; readonly damper: number }>> = {
  slack: { spring: 300, damper: 5 },
  usual: { spring: 600, damper: 20 },
  firm: { spring: 2000, damper: 40 },
};

/** `places`: where the hands take hold, m, rig axes. Two hands apart hold each other's wrist: about an axis across their line by the square of half their distance. */
export function holdOf(places: readonly Vec3[], firmness: Firmness = 'usual'): Hold {
  const middle = [0, 1, 2].map((i) => places.reduce((sum, p) => sum + p[i]!, 0) / places.length);
  const away = (axis: number): number =>
    places.reduce((sum, p) => sum + [0, 1, 2].reduce((s, i) => (i === axis ? s : s + (p[i]! - middle[i]!) ** 2), 0), 0);
  const all = (of: (axis: number) => number): Vec3 => [of(0), of(1), of(2)];
  const [wrist, space] = [WRIST[firmness], IN_SPACE[firmness]];
  return {
    wrist: { spring: all(() => places.length * wrist.spring), damper: all(() => places.length * wrist.damper) },
    arms: { spring: all((axis) => space.spring * away(axis)), damper: all((axis) => space.damper * away(axis)) },
  };
}

/**
 * How many times a shoulder's own bob, at `pace` steps a second, reaches what the hands carry: a mass (kg) on as many arms. 1 is
 * all of it; more, where arm and mass swing in time with the step.
 */
export function bobPassed(mass: number, hands: number, pace: number, firmness: Firmness): number {
  const w = 2 * Math.PI * pace;
  const [k, c] = [hands * IN_SPACE[firmness].spring, hands * IN_SPACE[firmness].damper * w];
  return Math.hypot(k, c) / Math.hypot(k - mass * w * w, c);
}
