/** How far a rig set down on its feet may be tilted or pushed before it goes over. */
import { STANDARD_GRAVITY, type Vec3 } from '../../../0-base';

export interface TipOver {
  /** False when the mass centre is already outside its feet: it falls as it stands, and the angles are zero or less. */
  readonly standsAlone: boolean;
  /** Least tilt that brings the mass centre over an edge, rad, and the level way it then goes. */
  readonly leastTilt: number;
  readonly towards: Vec3;
  /** Distance in the ground from the point under the mass centre to that edge, m. */
  readonly edge: number;
  readonly height: number;
  /** Tilt that tips it towards a level direction: over the foot furthest that way. */
  tiltTowards(direction: readonly [number, number]): number;
  /** Level push at a height above the ground that just tips it, N. */
  leastPush(mass: number, height: number): number;
}
/** Fewer than three feet, or all in a line, hold nothing up by themselves. */
export type TipOverOutcome = { readonly kind: 'stands'; readonly tip: TipOver } | { readonly kind: 'noBase' };

/** `feet` on one level ground, m, rig axes with z up; `massCentre` above it. */
export function tipOver(massCentre: Vec3, feet: readonly Vec3[]): TipOverOutcome {
  const edges = hullEdges(feet.map((f) => [f[0], f[1]]));
  if (edges.length < 3) return { kind: 'noBase' };
  const ground = feet.reduce((sum, f) => sum + f[2], 0) / feet.length;
  const height = massCentre[2] - ground;
  const distances = edges.map(({ from, normal }) => ({
    normal,
    distance: (from[0] - massCentre[0]) * normal[0] + (from[1] - massCentre[1]) * normal[1],
  }));
  const nearest = distances.reduce((a, b) => (b.distance < a.distance ? b : a));
  return {
    kind: 'stands',
    tip: {
      standsAlone: nearest.distance > 0,
      leastTilt: Math.atan2(nearest.distance, height),
      towards: [nearest.normal[0], nearest.normal[1], 0],
      edge: nearest.distance,
      height,
      tiltTowards: ([x, y]) => {
        const size = Math.hypot(x, y);
        const reach = Math.max(...feet.map((f) => ((f[0] - massCentre[0]) * x + (f[1] - massCentre[1]) * y) / size));
        return Math.atan2(reach, height);
      },
      leastPush: (mass, pushHeight) => (mass * STANDARD_GRAVITY * nearest.distance) / pushHeight,
    },
  };
}

type Flat = readonly [number, number];

/** Edges of the convex hull, each with its outward normal. */
function hullEdges(points: readonly Flat[]): readonly { from: Flat; normal: Flat }[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const chain = (ordered: readonly Flat[]): Flat[] => {
    const kept: Flat[] = [];
    for (const p of ordered) {
      while (kept.length >= 2 && turn(kept.at(-2)!, kept.at(-1)!, p) <= 1e-12) kept.pop();
      kept.push(p);
    }
    return kept.slice(0, -1);
  };
  const hull = [...chain(sorted), ...chain(sorted.reverse())];
  if (hull.length < 3) return [];
  return hull.map((from, i) => {
    const to = hull[(i + 1) % hull.length]!;
    const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
    const size = Math.hypot(dx, dy);
    return { from, normal: [dy / size, -dx / size] };
  });
}

const turn = (o: Flat, a: Flat, b: Flat): number => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);
