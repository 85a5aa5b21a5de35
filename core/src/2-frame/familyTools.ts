/** Small tools that families share: how their dimensions and choices are written down, and how a rig weighs out while it is sized. */
import { withHardware } from './connections/withHardware';
import { DEGREE } from '../0-base';
import { massCentre, sumsOf, type PlacedLoad } from '../1-load';
import type { Part, Rig, StatedConnection } from '../model';
import { assemble, placedPieces, type AdjusterValues } from './assemble';
import type { Takes } from './parts/ownSizes';
import type { ChoiceSpec, DimensionSpec, FamilyInput } from './family';

export const lengthSpec = (
  id: string,
  name: string,
  about: string,
  usual: number,
  least: number,
  most: number,
  help: string,
): DimensionSpec => ({ id, name, about, usual, range: [least, most], help, kind: 'length' });
/** In degrees, least first. */
export const angleSpec = (
  id: string,
  name: string,
  about: string,
  usual: number,
  least: number,
  most: number,
  help: string,
): DimensionSpec => ({
  id,
  name,
  about,
  usual: usual * DEGREE,
  range: [least * DEGREE, most * DEGREE],
  help,
  kind: 'angle',
});
export const given = (by: NonNullable<DimensionSpec['given']>, spec: DimensionSpec): DimensionSpec => ({
  ...spec,
  given: by,
});
/** A size that an adjuster goes on from. */
export const setOn = (adjuster: string, spec: DimensionSpec, sense: 1 | -1 = 1): DimensionSpec => ({
  ...spec,
  setOn: { adjuster, sense },
});
export const choiceSpec = (
  id: string,
  name: string,
  help: string,
  usual: string,
  options: readonly { readonly id: string; readonly name: string }[],
  takes?: Takes,
): ChoiceSpec => ({ id, name, help, usual, options, ...(takes ? { takes } : {}) });
export const named = (
  options: Readonly<Record<string, string>>,
): readonly { readonly id: string; readonly name: string }[] =>
  Object.entries(options).map(([id, name]) => ({ id, name }));
export const namesOf = (
  table: Readonly<Record<string, { readonly name: string }>>,
): readonly { readonly id: string; readonly name: string }[] =>
  Object.entries(table).map(([id, { name }]) => ({ id, name }));

export const usualInput = (dimensions: readonly DimensionSpec[], choices: readonly ChoiceSpec[]): FamilyInput => ({
  dimensions: Object.fromEntries(dimensions.map((d) => [d.id, d.usual])),
  choices: Object.fromEntries(choices.map((c) => [c.id, c.usual])),
});

/** Sizes a maker can set: 5 mm steps. */
export const toFiveMillimetres = (metres: number): number => Math.round(metres * 200) / 200;
export const within = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value));

/** A few pieces of a rig with what keeps them there. */
export interface Held {
  readonly parts: readonly Part[];
  readonly connections: readonly StatedConnection[];
}

export interface Weighed {
  readonly mass: number;
  readonly centre: readonly [number, number, number];
}
/** Mass and mass centre of all bodies, or of those named, as the rig is built and set, with all that its connections bring. */
export function weighed(
  rig: Rig,
  load: PlacedLoad | null,
  values: AdjusterValues = {},
  bodies?: readonly string[],
): Weighed {
  const sums = sumsOf(
    placedPieces(assemble(withHardware(rig), load), values)
      .filter((p) => !bodies || bodies.includes(p.body))
      .map((p) => p.flat),
  );
  return { mass: sums.mass, centre: massCentre(sums) };
}

/** Box round a load standing at the origin: from the mount, m; a small camera's when there is none. */
export function loadBox(load: PlacedLoad | null): {
  readonly low: readonly [number, number, number];
  readonly high: readonly [number, number, number];
  readonly mass: number;
} {
  if (!load || load.bodies.length === 0) return { low: [-0.03, -0.06, 0], high: [0.08, 0.06, 0.08], mass: 0 };
  const low: [number, number, number] = [Infinity, Infinity, Infinity];
  const high: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  for (const { shape, at, rotation } of load.bodies) {
    const half =
      shape.kind === 'box'
        ? shape.size.map((s) => s / 2)
        : shape.kind === 'tube'
          ? [shape.outerRadius, shape.outerRadius, shape.length / 2]
          : [0, 0, 0];
    for (const i of [0, 1, 2] as const) {
      const reach =
        Math.abs(rotation[i][0]) * half[0]! + Math.abs(rotation[i][1]) * half[1]! + Math.abs(rotation[i][2]) * half[2]!;
      low[i] = Math.min(low[i], at[i] - reach);
      high[i] = Math.max(high[i], at[i] + reach);
    }
  }
  return { low, high, mass: sumsOf(load.bodies).mass };
}

/** Where f, nearly a straight line, is zero: two secant steps, kept between the ends. */
export function zeroOf(f: (x: number) => number, least: number, most: number): number {
  let [a, b] = [least, most];
  let [fa, fb] = [f(a), f(b)];
  for (let step = 0; step < 3 && fa !== fb; step++) {
    const next = within(a - (fa * (b - a)) / (fb - fa), least, most);
    [a, fa, b, fb] = [b, fb, next, f(next)];
  }
  return b;
}
