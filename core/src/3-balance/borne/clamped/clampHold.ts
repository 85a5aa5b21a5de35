/** A clamped hinge: what it holds by friction against what tips it, as set and at the worst, and the lean at which it slips. */
import { cross, dot, length, STANDARD_GRAVITY, subtract, unit, type Vec3 } from '../../../0-base';
import { massCentre, sumsOf } from '../../../1-load';
import { bodiesBeyond, pivotAt, valuesInOrder, type AdjusterValues, type Assembly } from '../../../2-frame';
import type { Pivot } from '../../../model';
import type { Evaluation } from '../../evaluate';

export interface ClampHold {
  readonly pivot: Pivot;
  /** Torque about its axis as it is set, and with the mass centre abeam, N m; always positive. */
  readonly now: number;
  readonly worst: number;
  /** What it holds, N m, and its spread; null when that is not known. */
  readonly holds: number | null;
  readonly spread: number;
  /** Lean from balance at which it slips, rad; null when it never does, or nobody knows. */
  readonly slipsAt: number | null;
}

export const clampsOf = (rig: Assembly['rig']): readonly Pivot[] =>
  rig.pivots.filter((p) => p.clamped && p.axis !== undefined);

export function clampHolds(
  { rig }: Pick<Assembly, 'rig'>,
  values: AdjusterValues,
  { pieces }: Pick<Evaluation, 'pieces'>,
): readonly ClampHold[] {
  const inOrder = valuesInOrder(rig, values);
  return clampsOf(rig).flatMap((pivot): readonly ClampHold[] => {
    const beyond = bodiesBeyond(rig, pivot);
    const carried = pieces.filter((p) => beyond.has(p.body)).map((p) => p.flat);
    if (carried.length === 0) return [];
    const sums = sumsOf(carried);
    const d = subtract(massCentre(sums), pivotAt(rig, pivot, inOrder));
    const axis = unit(pivot.axis!);
    const along = dot(d, axis);
    const square: Vec3 = [d[0] - axis[0] * along, d[1] - axis[1] * along, d[2] - axis[2] * along];
    const weight = sums.mass * STANDARD_GRAVITY;
    const worst = weight * length(square);
    const holds = pivot.frictionTorque?.value ?? null;
    return [
      {
        pivot,
        now: Math.abs(dot(axis, cross(d, [0, 0, -weight]))),
        worst,
        holds,
        spread: pivot.frictionTorque?.spread ?? 0,
        slipsAt: holds === null || holds >= worst ? null : Math.asin(holds / worst),
      },
    ];
  });
}
