import { aboutAxis, dropTime, FROM_LEVEL, massCentre, propagate, type Uncertain } from '@tide-pebble/core';
import { sumsOfBodies, type CaseKind, type Given } from '../physicsCase';

type Linear = number | { readonly const: number; readonly terms: Readonly<Record<string, number>> };

/** The bodies are boxes whose mass and centre are sums of the uncertain figures; the rig hangs at the origin. */
export const uncertainty: CaseKind = {
  kind: 'uncertainty',
  compute: (given) => {
    const quantities: readonly Uncertain[] = given['quantities'].map(
      (q: { name: string; value: number; standardUncertainty: number }) => ({
        name: q.name,
        value: q.value,
        spread: q.standardUncertainty,
      }),
    );
    const outputs: readonly string[] = given['outputs'];
    const pivot = given['pivot'] ?? [0, 0, 0];
    const found = propagate(quantities, given['correlations'] ?? [], (values) => {
      const by = new Map(quantities.map((q, i) => [q.name, values[i]!]));
      const at = (f: Linear): number =>
        typeof f === 'number'
          ? f
          : Object.entries(f.terms).reduce((sum, [name, k]) => sum + k * by.get(name)!, f.const);
      const sums = sumsOfBodies(
        given['bodies'].map((b: Given) => ({
          shape: 'box',
          size: b['boxSize'],
          centre: b['centre'].map(at),
          mass: at(b['mass']),
        })),
      );
      const d = massCentre(sums).map((c, i) => c - pivot[i]) as [number, number, number];
      const figures: Readonly<Record<string, () => number>> = {
        mass: () => sums.mass,
        massCentreX: () => massCentre(sums)[0],
        bottomHeaviness: () => -d[2],
        noseDownInSideView: () => Math.atan2(d[0], -d[2]),
        dropTimePitch: () => {
          const drop = dropTime({ mass: sums.mass, ...aboutAxis(sums, pivot, 'pitch'), releaseAngle: FROM_LEVEL });
          return drop.kind === 'falls' ? drop.time : NaN;
        },
      };
      return outputs.map((name) => figures[name]!());
    });
    const named = <T>(list: readonly T[]): Readonly<Record<string, T>> =>
      Object.fromEntries(outputs.map((name, i) => [name, list[i]!]));
    return {
      nominal: named(found.values),
      standardUncertainty: named(found.spreads),
      plusMinusTwoSigma: named(found.spreads.map((s) => 2 * s)),
      largestContributorAlone: named(found.largest),
    };
  },
};
