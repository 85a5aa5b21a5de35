/** What a trim found, in words: the result with its proof, or which want and which limit are in each other's way. */
import { figure, say, type Phrase } from '../../0-base';
import type { Adjuster } from '../../model';
import type { ConditionId } from './conditions';
import type { Aim } from './solveTrim';
import type { TrimOutcome } from './trim';

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
  droop: 'droop at rest',
  wristNose: 'what tips in the wrist, nose',
  wristSides: 'what tips in the wrist, sides',
  wristFelt: 'that nothing is felt in the wrist',
  overSupport: 'mass over the shoulder',
  axis: 'balance on every axis',
  bin: 'washers in the bin',
  bag: 'that it goes in the bag',
};

type Solved = Extract<TrimOutcome, { kind: 'solved' }>;

export function trimWords(outcome: TrimOutcome, adjusters: readonly Adjuster[], aim: Aim = 'lightest'): Phrase {
  switch (outcome.kind) {
    case 'nothingBears':
      return say`Nothing bears this rig yet: it hangs on no joint and no hand holds it. Give it one in Frame.`;
    case 'nothingToSet':
      return say`This rig has nothing to set: no slide, no thread, no bolt for washers. Add one in Frame.`;
    case 'axesSet': {
      const worst = outcome.left.reduce((a, b) => (b.residual - b.friction > a.residual - a.friction ? b : a));
      return [
        'Set from the inside out. ',
        ...(worst.residual <= worst.friction
          ? say`What is left on each axis is hidden by its friction.`
          : say`The ${worst.name} still pulls round with ${figure('torque', worst.residual, 3)}; its friction hides ${figure('torque', worst.friction, 3)}. It wants more travel.`),
      ];
    }
    case 'solved':
      return [...washersOf(outcome), ...proofOf(outcome, aim), ...besides(outcome)];
    case 'impossible': {
      if (outcome.failing === 'bin')
        return say`It cannot be balanced with the washers in your bin; with more it could. Nothing was changed.`;
      if (outcome.failing === 'bag')
        return say`It can be balanced, but then does not go in its bag, which you want firmly. Nothing was changed.`;
      const name = adjusters.find((a) => a.id === outcome.beyond?.mover)?.name.toLowerCase();
      const why =
        outcome.beyond && name
          ? say`the ${name} would have to go ${figure('length', outcome.beyond.by, 1)} further than it can`
          : outcome.failing
            ? say`“${WANT_WORDS[outcome.failing]}” cannot be met`
            : say`no way to set it comes near`;
      const looked = outcome.proven ? 'Every way was looked at or ruled out.' : 'Not every way was looked at.';
      return ['It cannot be balanced as it is: ', ...why, `. ${looked} Nothing was changed.`];
    }
  }
}

const washersOf = ({ addedMass }: Solved): Phrase =>
  addedMass < WITHOUT ? say`Balanced without a washer` : say`Balanced with ${figure('mass', addedMass)} of washers`;
/** Less than any washer weighs, kg. */
const WITHOUT = 5e-5;

function proofOf(outcome: Solved, aim: Aim): Phrase {
  const { gap, combinations } = outcome;
  if (gap && gap.looked < gap.of)
    return say`. Not proven best: ${many(gap.looked)} of ${many(gap.of)} ways that could do were settled.`;
  if (gap) return [': ', ...NEARLY[aim](gap.atMost, outcome), '.'];
  // Nothing to put on: there is nothing to be proven of it.
  return combinations === 1 ? say`.` : say`: ${PROVEN[aim]} of ${many(combinations)} ways to put them on.`;
}

const besides = ({ ties, unmet }: Solved): Phrase => [
  ...(ties.length > 1 ? say` ${many(ties.length)} ways are as good; this one has most to spare.` : []),
  ...(unmet.length > 0 ? say` Let go for it: ${unmet.map((id) => WANT_WORDS[id]).join(', ')}.` : []),
];

const many = (count: number): string => count.toLocaleString('en-GB');

/** Where every way was looked at, and only slides or heights between the places tried are left. */
const NEARLY: Readonly<Record<Aim, (atMost: number, outcome: Solved) => Phrase>> = {
  lightest: (atMost) => say`a way up to ${figure('mass', atMost)} lighter is not ruled out`,
  calmest: (atMost, { cost }) =>
    say`no way is more than ${many(Math.max(1, Math.ceil((100 * atMost) / Math.abs(cost))))} % calmer`,
  fewestMoves: (atMost) => say`${many(atMost)} ${atMost === 1 ? 'move' : 'moves'} fewer is not ruled out`,
  steadiestPan: (_, { combinations }) =>
    say`the most level in a pan of ${many(combinations)} ways to put them on, each at its best of some heights`,
};
const PROVEN: Readonly<Record<Aim, string>> = {
  lightest: 'proven the lightest',
  calmest: 'proven the calmest within the mass',
  fewestMoves: 'proven the fewest moves',
  steadiestPan: 'proven the most level in a pan',
};
