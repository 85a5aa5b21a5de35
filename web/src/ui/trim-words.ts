/** What a trim found, in words: the result with its proof, or which want and which limit are in each other's way. */
import {
  figure,
  showFigure,
  type Adjuster,
  type Aim,
  type ConditionId,
  type TrimOutcome,
  type UnitChoice,
} from '@tide-pebble/core';

export const AIMS: readonly { readonly id: Aim; readonly name: string }[] = [
  { id: 'lightest', name: 'as light as can be' },
  { id: 'calmest', name: 'as calm as the mass allows' },
  { id: 'fewestMoves', name: 'with the fewest moves' },
  { id: 'steadiestPan', name: 'as level as can be in a pan' },
];

export const WANT_WORDS: Readonly<Record<ConditionId, string>> = {
  upright: 'that it hangs upright',
  levelForeAft: 'level, nose',
  levelSideways: 'level, sides',
  dropPitch: 'drop time',
  dropRoll: 'drop time in roll',
  mass: 'mass at most',
  added: 'washers at most',
  calmPitch: 'calm in pitch',
  calmRoll: 'calm in roll',
  calmPan: 'calm in pan',
  panLean: 'lean in a pan',
  wristNose: 'what tips in the wrist, nose',
  wristSides: 'what tips in the wrist, sides',
  overSupport: 'mass over the shoulder',
  axis: 'balance on every axis',
  bin: 'washers in the bin',
  bag: 'that it goes in the bag',
};

export function trimWords(
  outcome: TrimOutcome,
  adjusters: readonly Adjuster[],
  units: UnitChoice,
  aim: Aim = 'lightest',
): string {
  const say = (kind: 'length' | 'mass' | 'torque', value: number, decimals?: number): string =>
    showFigure(figure(kind, value, decimals), units);
  switch (outcome.kind) {
    case 'nothingBears':
      return 'Nothing bears this rig yet: it hangs on no joint and no hand holds it. Give it one in Frame.';
    case 'nothingToSet':
      return 'This rig has nothing to set: no slide, no thread, no bolt for washers. Add one in Frame.';
    case 'axesSet': {
      const worst = outcome.left.reduce((a, b) => (b.residual - b.friction > a.residual - a.friction ? b : a));
      return `Set from the inside out. ${worst.residual <= worst.friction ? 'What is left on each axis is hidden by its friction.' : `The ${worst.name} still pulls round with ${say('torque', worst.residual, 3)}; its friction hides ${say('torque', worst.friction, 3)}. It wants more travel.`}`;
    }
    case 'solved': {
      const washers =
        outcome.addedMass < 5e-5
          ? 'Balanced without a washer'
          : `Balanced with ${say('mass', outcome.addedMass)} of washers`;
      const proof = outcome.gap
        ? outcome.gap.looked < outcome.gap.of
          ? `. Not proven best: ${outcome.gap.looked.toLocaleString('en-GB')} of ${outcome.gap.of.toLocaleString('en-GB')} ways that could do were settled.`
          : `: ${NEARLY[aim](outcome.gap.atMost, outcome, units)}.`
        : // Nothing to put on: there is nothing to be proven of it.
          outcome.combinations === 1
          ? '.'
          : `: ${PROVEN[aim]} of ${outcome.combinations.toLocaleString('en-GB')} ways to put them on.`;
      const ties =
        outcome.ties.length > 1 ? ` ${outcome.ties.length} ways are as good; this one has most to spare.` : '';
      const unmet =
        outcome.unmet.length > 0 ? ` Let go for it: ${outcome.unmet.map((id) => WANT_WORDS[id]).join(', ')}.` : '';
      return `${washers}${proof}${ties}${unmet}`;
    }
    case 'impossible': {
      if (outcome.failing === 'bin')
        return 'It cannot be balanced with the washers in your bin; with more it could. Nothing was changed.';
      if (outcome.failing === 'bag')
        return 'It can be balanced, but then does not go in its bag, which you want firmly. Nothing was changed.';
      const name = adjusters.find((a) => a.id === outcome.beyond?.mover)?.name.toLowerCase();
      const why =
        outcome.beyond && name
          ? `the ${name} would have to go ${say('length', outcome.beyond.by, 1)} further than it can`
          : outcome.failing
            ? `“${WANT_WORDS[outcome.failing]}” cannot be met`
            : 'no way to set it comes near';
      return `It cannot be balanced as it is: ${why}. ${outcome.proven ? 'Every way was looked at or ruled out.' : 'Not every way was looked at.'} Nothing was changed.`;
    }
  }
}

/** Where every way was looked at, and only slides or heights between the places tried are left. */
const NEARLY: Readonly<
  Record<Aim, (atMost: number, outcome: Extract<TrimOutcome, { kind: 'solved' }>, units: UnitChoice) => string>
> = {
  lightest: (atMost, _, units) => `a way up to ${showFigure(figure('mass', atMost), units)} lighter is not ruled out`,
  calmest: (atMost, { cost }) =>
    `no way is more than ${Math.max(1, Math.ceil((100 * atMost) / Math.abs(cost)))} % calmer`,
  fewestMoves: (atMost) => `${atMost} ${atMost === 1 ? 'move' : 'moves'} fewer is not ruled out`,
  steadiestPan: (_, { combinations }) =>
    `the most level in a pan of ${combinations.toLocaleString('en-GB')} ways to put them on, each at its best of some heights`,
};
const PROVEN: Readonly<Record<Aim, string>> = {
  lightest: 'proven the lightest',
  calmest: 'proven the calmest within the mass',
  fewestMoves: 'proven the fewest moves',
  steadiestPan: 'proven the most level in a pan',
};
