import { shareForTime, timeHeld, timeInTurn, type EnduranceCurve } from '@tide-pebble/core';
import type { CaseKind, Given } from '../physicsCase';

/** Of a normal law, the part below x deviations. */
function normalBelow(x: number): number {
  // Its series: exact to rounding within six deviations.
  let [term, sum] = [x, x];
  for (let n = 1; n < 200 && Math.abs(term) > 1e-18; n++) {
    term *= (-x * x) / (2 * n);
    sum += term / (2 * n + 1);
  }
  return 0.5 + sum / Math.sqrt(2 * Math.PI);
}
/** 5 %, 50 % and 95 % of a normal law. */
const PERCENTILES = [-1.6448536269514722, 0, 1.6448536269514722];

export const endurance: CaseKind = {
  kind: 'endurance',
  compute: (given) => {
    const curves = new Map(
      Object.entries(given['models'] as Given).map(([joint, { a, b, validFrom }]) => [joint, { a, b, validFrom }]),
    );
    const curve = (joint: string): EnduranceCurve & { readonly validFrom: number } => curves.get(joint)!;
    const joints = (given['pose'] as Given[]).map(({ joint, moment, strength }) => {
      const share = (moment as number) / (strength as number);
      return {
        joint: joint as string,
        share,
        seconds: timeHeld(curve(joint), share),
        belowModel: share < curve(joint).validFrom,
      };
    });
    const first = joints.reduce((a, b) => (b.seconds < a.seconds ? b : a));
    const { sequence, wanted, people } = given as Record<'sequence' | 'wanted' | 'people', Given>;
    const share = shareForTime(curve(wanted['joint']), wanted['seconds']);
    const needed = people['moment'] / shareForTime(curve(people['joint']), people['seconds']);
    return {
      joints,
      limitedBy: first.joint,
      holdSeconds: first.seconds,
      sequenceSeconds: timeInTurn(
        curve(sequence['joint']),
        (sequence['steps'] as Given[]).map((s) => ({
          share: s['moment'] / sequence['strength'],
          seconds: s['seconds'],
        })),
      ),
      shareForWanted: share,
      momentForWanted: share * wanted['strength'],
      wantedWithinModel: share >= curve(wanted['joint']).validFrom,
      strengthNeeded: needed,
      shareOfPeople: 1 - normalBelow((needed - people['strengthMean']) / people['strengthDeviation']),
      secondsAtPercentiles5_50_95: PERCENTILES.map((z) =>
        timeHeld(curve(people['joint']), people['moment'] / (people['strengthMean'] + z * people['strengthDeviation'])),
      ),
    };
  },
};
