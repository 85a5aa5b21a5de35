/** What turns freely: a pole on its hinge, at rest and spun; axes inside axes, each against its own friction. */
import { dot, length, subtract, type Vec3 } from '../0-base';
import { massCentre, sumsOf } from '../1-load';
import { bodiesBeyond, pivotAt, valuesInOrder, type AdjusterValues, type Assembly, type PlacedPiece } from '../2-frame';
import type { Pivot } from '../model';
import { nestedAxes } from './nestedAxes';
import { poleOf, spinningPole, type Pole, type PoleSpun } from './spinningPole';
import { freeAxes, poleHinge } from './support';

export interface PoleReading {
  readonly hinge: Pivot;
  readonly swivel: Pivot;
  readonly pole: Pole;
  readonly rest: PoleSpun;
  /** At half a turn, one turn and a turn and a half a second. */
  readonly spun: readonly PoleSpun[];
}
export interface AxisReading {
  readonly pivot: Pivot;
  readonly at: Vec3;
  readonly carriedMass: number;
  /** From the axis to the mass centre carried, square to the axis, m. */
  readonly offset: Vec3;
  readonly distance: number;
  /** Torque at the worst attitude, N m, and what friction hides. */
  readonly residual: number;
  readonly friction: number;
}

const UPRIGHT: Vec3 = [0, 0, 1];
const RATES = [Math.PI, 2 * Math.PI, 3 * Math.PI];
/** A hinge without stops is let down by its own fork at about this, rad. */
const OPEN = 1.4;

export function poleIn(assembly: Assembly, values: readonly number[], pieces: readonly PlacedPiece[]): PoleReading | null {
  const { rig } = assembly;
  const found = poleHinge(rig);
  if (!found) return null;
  const beyond = bodiesBeyond(rig, found.hinge);
  const carried = pieces.filter((p) => beyond.has(p.body));
  if (carried.length === 0) return null;
  const [hinge, swivel] = [pivotAt(rig, found.hinge, values), pivotAt(rig, found.swivel, values)];
  const [least, most] = found.hinge.stops ?? [-OPEN, OPEN];
  const pole = poleOf(sumsOf(carried.map((p) => p.flat)), hinge, { stopDown: most, stopUp: -least, hingeAhead: hinge[0] - swivel[0] });
  return { ...found, pole, rest: spinningPole(pole, 0), spun: RATES.map((rate) => spinningPole(pole, rate)) };
}

/** Innermost first; none for a pole, which has its own reading, or where nothing turns freely. */
export function axesIn(assembly: Assembly, values: readonly number[], pieces: readonly PlacedPiece[]): readonly AxisReading[] {
  const { rig } = assembly;
  if (poleHinge(rig)) return [];
  const pivots = freeAxes(rig);
  const carried = pivots.map((pivot) => bodiesBeyond(rig, pivot));
  const stages = pivots.map((pivot, i) => {
    const own = pieces.filter((p) => carried[i]!.has(p.body) && !(i > 0 && carried[i - 1]!.has(p.body)));
    const sums = sumsOf(own.map((p) => p.flat));
    return { axisPoint: pivotAt(rig, pivot, values), axisDirection: pivot.axis ?? UPRIGHT, frictionTorque: pivot.frictionTorque?.value ?? 0, mass: sums.mass, massCentre: sums.mass > 0 ? massCentre(sums) : UPRIGHT };
  });
  return nestedAxes(stages).flatMap((stage, i) => (stage.carriedMass > 0 ? [{
    pivot: pivots[i]!, at: stages[i]!.axisPoint, carriedMass: stage.carriedMass, offset: stage.offset, distance: stage.massCentreToAxis, residual: stage.residualTorque, friction: stages[i]!.frictionTorque,
  }] : []));
}

/**
 * New settings that bring each axis's mass centre onto it, inside first as a maker does it; each is kept in its range and
 * on its step. An axis moves only by adjusters that leave the axes inside it where they are.
 */
export function balancedAxes(assembly: Assembly, values: AdjusterValues, read: (values: AdjusterValues) => readonly AxisReading[]): AdjusterValues {
  let now: Record<string, number> = { ...values };
  const count = read(now).length;
  for (let i = 0; i < count; i++) {
    const before = read(now);
    const useful = assembly.rig.adjusters.flatMap((adjuster, index) => {
      if (adjuster.kind === 'count') return [];
      const here = valuesInOrder(assembly.rig, now)[index]!;
      const probe = adjuster.range[1] - here > 0.001 ? 0.001 : -0.001;
      const after = read({ ...now, [adjuster.id]: here + probe });
      const way = subtract(after[i]!.offset, before[i]!.offset);
      const disturbs = after.slice(0, i).some((a, k) => length(subtract(a.offset, before[k]!.offset)) > 1e-7);
      return disturbs || length(way) < 1e-7 ? [] : [{ adjuster, here, way: [way[0] / probe, way[1] / probe, way[2] / probe] as Vec3 }];
    });
    // One after another, the strongest first, till neither moves: two slides square to each other need one pass.
    const sorted = [...useful].sort((a, b) => length(b.way) - length(a.way));
    const offset: [number, number, number] = [...before[i]!.offset];
    const set = new Map(sorted.map((u) => [u.adjuster.id, u.here]));
    for (let pass = 0; pass < 12; pass++) {
      for (const { adjuster, way } of sorted) {
        const wanted = set.get(adjuster.id)! - dot(offset, way) / dot(way, way);
        const kept = Math.min(adjuster.range[1], Math.max(adjuster.range[0], wanted));
        const by = kept - set.get(adjuster.id)!;
        set.set(adjuster.id, kept);
        offset.forEach((_, k) => (offset[k]! += way[k]! * by));
      }
    }
    now = { ...now, ...Object.fromEntries(sorted.map(({ adjuster }) => [adjuster.id, Math.round(set.get(adjuster.id)! / adjuster.step) * adjuster.step + 0])) };
  }
  return now;
}
