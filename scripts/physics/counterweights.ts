import { sumsOf, type FlatBody, type Sums, type Vec3 } from '@tide-pebble/core';
import {
  dropCondition,
  dropOfSums,
  levelCondition,
  solveTrim,
  uprightCondition,
  type Condition,
  type Found,
  type TrimProblem,
} from '@tide-pebble/core/bench';
import { bodiesOf, sumsOfBodies, type CaseKind, type Given } from '../physicsCase';

/** A slide that levels does so exactly; this is what is left to rounding, rad. */
const EXACT = 1e-7;

export const counterweights: CaseKind = {
  kind: 'counterweights',
  compute: (given) => {
    const { want, slide, axis } = given;
    const problem: TrimProblem = {
      movers: slide
        ? [
            {
              id: 'slide',
              axis: slide.direction,
              range: slide.range,
              step: 0,
              now: Math.min(slide.range[1], Math.max(slide.range[0], 0)),
            },
          ]
        : [],
      groups: slide ? [{ movedBy: [0], sums: sumsOfBodies(slide.bodies) }] : [],
      stacks: given['stations'].map((s: Given, i: number) => ({
        id: `${i}`,
        least: 0,
        now: 0,
        byCount: Array.from({ length: s['most'] + 1 }, (_, n) => stackOf(s, n)),
      })),
      fixed: sumsOfBodies(given['fixedBodies']),
      support: given['pivot'],
      supportMovedBy: [],
      conditions: conditionsOf(want, axis ?? 'pitch', slide),
    };
    const found = solveTrim(problem, 'lightest');
    if (found.kind === 'none') return { combinationsTried: found.combinations, possible: false };
    const counted = [...found.best].sort((a, b) => compareCounts(a.counts, b.counts));
    return {
      combinationsTried: found.combinations,
      possible: true,
      leastAddedMass: found.best[0]!.added,
      optimal: counted.map((f) => asTold(f, axis ?? 'pitch', slide)),
      nextBestAddedMass: found.next,
    };
  },
};

function conditionsOf(want: Given, axis: 'pitch' | 'roll', slide: Given | undefined): readonly Condition[] {
  const levels = slide?.['sets'] === 'level';
  const along = levels ? (Math.abs(slide!['direction'][0]) > 0.5 ? 'foreAft' : 'sideways') : null;
  const pitch = want['pitchWithin'] ?? (along === 'foreAft' ? EXACT : undefined);
  const roll = want['rollWithin'] ?? (along === 'sideways' ? EXACT : undefined);
  const lean = (axis === 'pitch' ? pitch : roll) ?? 1.2;
  return [
    uprightCondition,
    ...(pitch === undefined ? [] : [levelCondition('foreAft', pitch)]),
    ...(roll === undefined ? [] : [levelCondition('sideways', roll)]),
    ...(want['dropTime'] ? [dropCondition(axis, want['dropTime'], lean)] : []),
  ];
}

function stackOf({ seat, outward, washer }: Given, count: number): Sums {
  if (count === 0) return sumsOf([]);
  const bodies: readonly FlatBody[] = bodiesOf([
    { shape: 'disc', ...washer, seat, axis: outward, count, mass: count * washer.mass },
  ]);
  return sumsOf(bodies);
}

function asTold({ counts, settled }: Found, axis: 'pitch' | 'roll', slide: Given | undefined): Given {
  const { about, settings, window } = settled;
  const centre = about.first.map((f) => f / about.mass) as unknown as Vec3;
  return {
    counts,
    dropTime: dropOfSums(axis, about),
    massCentreFromPivot: centre,
    noseDownInSideView: Math.atan2(centre[0], -centre[2]),
    leftSideDownInFrontView: Math.atan2(centre[1], -centre[2]),
    ...(slide?.['sets'] === 'level' ? { slideAt: settings[0] } : {}),
    ...(window ? { slideFrom: window.from, slideTo: window.to, slideUsedForDropTime: settings[0] } : {}),
  };
}

const compareCounts = (a: readonly number[], b: readonly number[]): number =>
  a.map((n, i) => n - b[i]!).find((d) => d !== 0) ?? 0;
