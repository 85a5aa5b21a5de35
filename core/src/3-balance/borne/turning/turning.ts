/** What turns freely: a pole on its hinge, at rest and spun; axes inside axes, each against its own friction. */
import { addScaled, dot, length, scale, subtract, type Vec3 } from '../../../0-base';
import { massCentre, sumsOf, type Sums } from '../../../1-load';
import {
  bodiesBeyond,
  pivotAt,
  valuesInOrder,
  type AdjusterValues,
  type Assembly,
  type PlacedPiece,
} from '../../../2-frame';
import type { Adjuster, Pivot } from '../../../model';
import { nestedAxes } from './nestedAxes';
import { poleOf, spinningPole, type Pole, type PoleSpun } from './spinningPole';
import { freeAxes, poleHinge } from '../support';

export interface PoleReading {
  readonly hinge: Pivot;
  readonly swivel: Pivot;
  /** Where the hinge stands, m, and what it carries. */
  readonly hingeAt: Vec3;
  readonly sums: Sums;
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
/** A slide goes up and down when it lifts the mass centre by this part of its own way. */
const RISES = 0.3;
/** A hinge without stops is let down by its own fork at about this, rad. */
const OPEN = 1.4;

export function poleIn(
  assembly: Assembly,
  values: readonly number[],
  pieces: readonly PlacedPiece[],
): PoleReading | null {
  const { rig } = assembly;
  const found = poleHinge(rig);
  if (!found) return null;
  const beyond = bodiesBeyond(rig, found.hinge);
  const carried = pieces.filter((p) => beyond.has(p.body));
  if (carried.length === 0) return null;
  const [hinge, swivel] = [pivotAt(rig, found.hinge, values), pivotAt(rig, found.swivel, values)];
  const [least, most] = found.hinge.stops ?? [-OPEN, OPEN];
  const sums = sumsOf(carried.map((p) => p.flat));
  const pole = poleOf(sums, hinge, {
    stopDown: most,
    stopUp: -least,
    hingeAhead: hinge[0] - swivel[0],
  });
  return {
    ...found,
    hingeAt: hinge,
    sums,
    pole,
    rest: spinningPole(pole, 0),
    spun: RATES.map((rate) => spinningPole(pole, rate)),
  };
}

/** Innermost first; none for a pole, which has its own reading, or where nothing turns freely. */
export function axesIn(
  assembly: Assembly,
  values: readonly number[],
  pieces: readonly PlacedPiece[],
): readonly AxisReading[] {
  const { rig } = assembly;
  if (poleHinge(rig)) return [];
  const pivots = freeAxes(rig);
  const carried = pivots.map((pivot) => bodiesBeyond(rig, pivot));
  const stages = pivots.map((pivot, i) => {
    const own = pieces.filter((p) => carried[i]!.has(p.body) && !(i > 0 && carried[i - 1]!.has(p.body)));
    const sums = sumsOf(own.map((p) => p.flat));
    return {
      axisPoint: pivotAt(rig, pivot, values),
      axisDirection: pivot.axis ?? UPRIGHT,
      frictionTorque: pivot.frictionTorque?.value ?? 0,
      mass: sums.mass,
      massCentre: sums.mass > 0 ? massCentre(sums) : UPRIGHT,
    };
  });
  return nestedAxes(stages).flatMap((stage, i) =>
    stage.carriedMass > 0
      ? [
          {
            pivot: pivots[i]!,
            at: stages[i]!.axisPoint,
            carriedMass: stage.carriedMass,
            offset: stage.offset,
            distance: stage.massCentreToAxis,
            residual: stage.residualTorque,
            friction: stages[i]!.frictionTorque,
          },
        ]
      : [],
  );
}

/**
 * On the hand's step, within reach: the nearest, but what goes up and down goes to the lower of the two mass centres. A
 * walk shakes the rubbing loose, and what is a hair top-heavy then turns over.
 */
function onStep({ step, range }: Adjuster, value: number, rises: number): number {
  const steps = value / step;
  const near =
    Math.abs(rises) < RISES ? Math.round(steps) : rises > 0 ? Math.floor(steps + 1e-6) : Math.ceil(steps - 1e-6);
  const set = near * step + 0;
  return set < range[0] - 1e-12 || set > range[1] + 1e-12 ? Math.round(steps) * step + 0 : set;
}

/** What can be set on axes inside axes: each slide, where it stands, and how the mass centre on each axis goes with it, per m. */
export interface AxisSlide {
  readonly adjuster: Adjuster;
  readonly here: number;
  readonly ways: readonly Vec3[];
}

/** Every offset is straight in every slide: one look at each tells all. */
export function axisSlides(
  assembly: Assembly,
  values: AdjusterValues,
  read: (values: AdjusterValues) => readonly AxisReading[],
): readonly AxisSlide[] {
  const inOrder = valuesInOrder(assembly.rig, values);
  const base = read(values);
  return assembly.rig.adjusters.flatMap((adjuster, index) => {
    if (adjuster.kind === 'count') return [];
    const here = inOrder[index]!;
    const probe = adjuster.range[1] - here > 0.001 ? 0.001 : -0.001;
    const after = read({ ...values, [adjuster.id]: here + probe });
    return [
      { adjuster, here, ways: base.map((axis, i): Vec3 => scale(subtract(after[i]!.offset, axis.offset), 1 / probe)) },
    ];
  });
}

/**
 * Settings that bring each axis's mass centre onto it, inside first as a maker does it, each within its range; and the
 * offsets that are left, m. An axis moves only by adjusters that leave the axes inside it where they are. `kept`: the
 * place a hand can set, for one that raises the mass centre by so much.
 */
export function setOnAxes(
  offsets: readonly Vec3[],
  slides: readonly AxisSlide[],
  kept: (adjuster: Adjuster, value: number, rises: number) => number = (_a, value) => value,
): { readonly set: ReadonlyMap<string, number>; readonly left: readonly Vec3[] } {
  const set = new Map(slides.map((s) => [s.adjuster.id, s.here]));
  const left = offsets.map((from, i) => {
    const useful = slides
      .filter(({ ways }) => length(ways[i]!) > 1e-4 && ways.slice(0, i).every((w) => length(w) < 1e-4))
      .sort((a, b) => length(b.ways[i]!) - length(a.ways[i]!));
    const goTo = ({ adjuster, ways }: AxisSlide, value: number): void => {
      offset = addScaled(offset, ways[i]!, value - set.get(adjuster.id)!);
      set.set(adjuster.id, value);
    };
    let offset = slides.reduce<Vec3>((sum, s) => addScaled(sum, s.ways[i]!, set.get(s.adjuster.id)! - s.here), from);
    // One after another, the strongest first, till none moves: two slides square to each other need one pass.
    for (let pass = 0; pass < 12; pass++) {
      for (const slide of useful) {
        const {
          adjuster: { id, range },
          ways,
        } = slide;
        goTo(
          slide,
          Math.min(range[1], Math.max(range[0], set.get(id)! - dot(offset, ways[i]!) / dot(ways[i]!, ways[i]!))),
        );
      }
    }
    for (const slide of useful) goTo(slide, kept(slide.adjuster, set.get(slide.adjuster.id)!, slide.ways[i]![2]));
    return offset;
  });
  return { set, left };
}

/** New settings for axes inside axes, each on the step of its hand. */
export function balancedAxes(
  assembly: Assembly,
  values: AdjusterValues,
  read: (values: AdjusterValues) => readonly AxisReading[],
): AdjusterValues {
  const { set } = setOnAxes(
    read(values).map((axis) => axis.offset),
    axisSlides(assembly, values, read),
    onStep,
  );
  return { ...values, ...Object.fromEntries(set) };
}
