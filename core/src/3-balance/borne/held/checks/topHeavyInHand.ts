/** A mass centre above the hand: it rolls over unless the wrist holds it; how hard, and what weight below cures it. */
import { figure, say, STANDARD_GRAVITY, type Finding } from '../../../../0-base';
import { valuesInOrder } from '../../../../2-frame';
import type { BalanceCheck, BalanceContext } from '../../../balanceCheck';
import { leadingWay } from '../../ways';

/** A wrist turns back with so much, N m/rad: relaxed at least, and holding at least (docs/sources.md, People as springs). */
const RELAXED = 0.5;
const HOLDING = 3;
/** A lean that a step or a start brings about, rad. */
const LEANT = 0.35;

export const topHeavyInHand: BalanceCheck = {
  id: 'topHeavyInHand',
  stage: 'balance',
  look: (context): readonly Finding[] => {
    const { evaluation } = context;
    const [pose] = evaluation.held;
    const from = evaluation.fromSupport;
    if (leadingWay(evaluation)?.id !== 'held' || !pose || !from || pose.pose.turn) return [];
    const rises = from[2];
    const wrists = pose.hands.length;
    const asks = evaluation.mass * STANDARD_GRAVITY * rises;
    if (!(asks > RELAXED * wrists)) return [];
    const slack = asks > HOLDING * wrists;
    const cure = weightBelow(context, rises);
    return [
      {
        code: 'topHeavyInHand',
        severity: slack ? 'mend' : 'note',
        about: pose.hands[0]!.contact.id,
        figure: figure('length', rises),
        limit: figure('length', ((slack ? HOLDING : RELAXED) * wrists) / (evaluation.mass * STANDARD_GRAVITY)),
        title: say`Top-heavy in the hand: its mass centre lies ${figure('length', rises)} above it.`,
        why: say`Let go slack it rolls over. Leant ${figure('angle', LEANT, 0)} the ${wrists > 1 ? 'wrists hold' : 'wrist holds'} ${figure('torque', asks * Math.sin(LEANT))} against it; a relaxed one turns back with about ${figure('torque', RELAXED * wrists * LEANT)}, one that holds with ${figure('torque', HOLDING * wrists * LEANT)} and more (rough).`,
        toDo: cure.words,
        fixes: cure.fixes,
      },
    ];
  },
};

/** As much under the hand as brings the mass centre down to it: by the washers that are there, or told by its mass. */
function weightBelow(
  context: BalanceContext,
  rises: number,
): { readonly words: Finding['toDo']; readonly fixes: Finding['fixes'] } {
  const { assembly, values, quick, evaluation } = context;
  const inOrder = valuesInOrder(assembly.rig, values);
  for (const [i, adjuster] of assembly.rig.adjusters.entries()) {
    if (adjuster.kind !== 'count' || !quick) continue;
    const at = (count: number): number => quick.at({ ...values, [adjuster.id]: count }).fromPivot[2];
    const here = Math.round(inOrder[i]!);
    const most = adjuster.range[1];
    if (at(most) >= at(here)) continue;
    for (let count = here + 1; count <= most; count++) {
      if (at(count) > 0) continue;
      return {
        words: say`Washers below the hand bring it down.`,
        fixes: [
          {
            label: say`${adjuster.name}: ${figure('count', count)} instead of ${figure('count', here)}`,
            changes: [{ kind: 'adjuster', id: adjuster.id, value: count }],
          },
        ],
      };
    }
  }
  const depth = LOWEST_HUNG;
  return {
    words: say`Hold it nearer the camera, or hang ${figure('mass', (evaluation.mass * rises) / depth)} some ${figure('length', depth, 0)} below the hand.`,
    fixes: [],
  };
}
/** A forearm's length: as low as a weight under a hand is worn, m. */
const LOWEST_HUNG = 0.25;
