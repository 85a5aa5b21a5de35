/** Axes inside axes: what each one carries, how far its mass centre lies off it, and the slides that bring it there, from the inside out. */
import { addScaled, cross, dot, length, scale, STANDARD_GRAVITY, subtract, unit, type Vec3 } from '../../../0-base';

export interface StageSlide {
  readonly direction: Vec3;
  /** Moves this stage and all inside it, counted from the innermost as zero. */
  readonly movesStagesUpTo: number;
  readonly travel: readonly [number, number];
}
export interface StageInput {
  readonly axisPoint: Vec3;
  readonly axisDirection: Vec3;
  readonly frictionTorque: number;
  /** Of what belongs to this stage alone. */
  readonly mass: number;
  readonly massCentre: Vec3;
  readonly slides?: readonly StageSlide[];
}
export interface StageBalance {
  readonly carriedMass: number;
  /** m; how far the carried mass centre lies off the axis. */
  readonly massCentreToAxis: number;
  /** From the axis to the mass centre, square to the axis, m. */
  readonly offset: Vec3;
  /** N m at worst: axis level, mass centre abeam. */
  readonly residualTorque: number;
  readonly hiddenByFriction: boolean;
  /** Moves that bring it nearest its axis, m, in the order of its slides; and what is then left. */
  readonly slideMoves: readonly number[];
  readonly withinTravel: readonly boolean[];
  readonly residualTorqueAfterSlides: number;
}

/** Innermost first. With `balance` each stage's slides are moved before the next is looked at, as a maker does; else all stay. */
export function nestedAxes(stages: readonly StageInput[], balance = false): readonly StageBalance[] {
  const centres = stages.map((s) => s.massCentre);
  return stages.map((stage, i) => {
    const inside = stages.slice(0, i + 1);
    const carriedMass = inside.reduce((sum, s) => sum + s.mass, 0);
    const axis = unit(stage.axisDirection);
    const offsetNow = (): Vec3 => {
      const first = inside.reduce<Vec3>((sum, s, k) => addScaled(sum, centres[k]!, s.mass), [0, 0, 0]);
      const from = subtract(scale(first, 1 / carriedMass), stage.axisPoint);
      return subtract(from, scale(axis, dot(from, axis)));
    };
    const offset = offsetNow();
    const massCentreToAxis = length(offset);
    const residualTorque = carriedMass * STANDARD_GRAVITY * massCentreToAxis;
    const slides = stage.slides ?? [];
    const slideMoves = movesFor(
      offset,
      slides.map((slide) => {
        const moved = stages.slice(0, Math.min(slide.movesStagesUpTo, i) + 1).reduce((sum, s) => sum + s.mass, 0);
        const way = scale(unit(slide.direction), moved / carriedMass);
        return subtract(way, scale(axis, dot(way, axis)));
      }),
    );
    if (balance) {
      slides.forEach((slide, n) => {
        for (let k = 0; k <= Math.min(slide.movesStagesUpTo, i); k++)
          centres[k] = addScaled(centres[k]!, unit(slide.direction), slideMoves[n]!);
      });
    }
    const after = balance ? carriedMass * STANDARD_GRAVITY * length(offsetNow()) : residualTorque;
    return {
      carriedMass,
      massCentreToAxis,
      offset,
      residualTorque,
      hiddenByFriction: residualTorque <= stage.frictionTorque,
      slideMoves,
      withinTravel: slideMoves.map(
        (move, n) => move >= slides[n]!.travel[0] - 1e-12 && move <= slides[n]!.travel[1] + 1e-12,
      ),
      residualTorqueAfterSlides: after < 1e-12 * carriedMass * STANDARD_GRAVITY ? 0 : after,
    };
  });
}

/** Torque with the axis raised by `fromLevel` (rad), N m. */
export const torqueAtTilt = (residual: number, fromLevel: number): number => residual * Math.cos(fromLevel);

/** Least squares of `offset + sum move·way = 0`, at most two ways that count; one that does nothing about this axis stays. */
function movesFor(offset: Vec3, ways: readonly Vec3[]): readonly number[] {
  const moves = ways.map(() => 0);
  const useful = ways.map((w, i) => ({ w, i })).filter(({ w }) => length(w) > 1e-9);
  const [a, b] = useful;
  if (!a) return moves;
  const [aa, ao] = [dot(a.w, a.w), -dot(a.w, offset)];
  const bb = b ? dot(b.w, b.w) : 0;
  const ab = b ? dot(a.w, b.w) : 0;
  const determinant = aa * bb - ab * ab;
  if (!b || determinant <= 1e-12 * aa * bb) moves[a.i] = ao / aa;
  else {
    const bo = -dot(b.w, offset);
    moves[a.i] = (ao * bb - bo * ab) / determinant;
    moves[b.i] = (bo * aa - ao * ab) / determinant;
  }
  return moves;
}

/** The gap left between two axes that should cross at one point, m; those of a cradle that misses it are never balanced at every attitude. */
export function axesGap(
  a: Pick<StageInput, 'axisPoint' | 'axisDirection'>,
  b: Pick<StageInput, 'axisPoint' | 'axisDirection'>,
): number {
  const [u, v] = [unit(a.axisDirection), unit(b.axisDirection)];
  const between = subtract(b.axisPoint, a.axisPoint);
  const square = cross(u, v);
  const size = length(square);
  return size < 1e-9 ? length(subtract(between, scale(u, dot(between, u)))) : Math.abs(dot(between, square)) / size;
}
