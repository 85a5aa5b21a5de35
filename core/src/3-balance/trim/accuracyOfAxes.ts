/** What must be accurate of axes inside axes: whether the slides bring each axis's mass centre as near to it as its friction hides. */
import { addScaled, length, STANDARD_GRAVITY, type Vec3 } from '../../0-base';
import type { AdjusterValues, Assembly } from '../../2-frame';
import { axisSlides, setOnAxes, type AxisReading, type AxisSlide } from '../borne/turning/turning';
import type { Mended } from './accuracy';

/** From each axis to the mass centre it carries, square to the axis, m; innermost first. */
export type AxisOffsets = readonly Vec3[];

export function mendedOnAxes(
  assembly: Assembly,
  values: AdjusterValues,
  read: (values: AdjusterValues) => readonly AxisReading[],
): Mended<AxisOffsets> {
  const axes = read(values);
  const slides = axisSlides(assembly, values, read);
  const wider = (more: { readonly mover: string; readonly by: number }): readonly AxisSlide[] =>
    slides.map((s) =>
      s.adjuster.id === more.mover
        ? {
            ...s,
            adjuster: {
              ...s.adjuster,
              range: [s.adjuster.range[0] - more.by, s.adjuster.range[1] + more.by] as [number, number],
            },
          }
        : s,
    );
  const held = (offsets: AxisOffsets, by: readonly AxisSlide[]): boolean =>
    setOnAxes(offsets, by).left.every(
      (left, i) => axes[i]!.carriedMass * STANDARD_GRAVITY * length(left) <= axes[i]!.friction,
    );
  return {
    still: axes.map((a) => a.offset),
    plus: (offsets, change, by) => offsets.map((o, i) => addScaled(o, change[i]!, by)),
    mended: (offsets, more) => held(offsets, more ? wider(more) : slides),
    fails: () => 'axis',
    felt: (change, by) => ({
      kind: 'torque',
      value: Math.max(...change.map((c, i) => axes[i]!.carriedMass * STANDARD_GRAVITY * length(c) * Math.abs(by))),
    }),
    movers: slides.filter((s) => s.ways.some((w) => length(w) > 1e-4)).map((s) => s.adjuster.id),
  };
}
