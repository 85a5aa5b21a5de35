/** How likely nothing tips more than the wrist likes, and it lasts as long as wanted, of all builds that fit what was measured. */
import { say, type Vec3 } from '../../../0-base';
import { moveSums } from '../../../1-load';
import { valuesInOrder } from '../../../2-frame';
import type { BalanceContext } from '../../balanceCheck';
import { shareOfBuilds } from '../../spread/builds';
import { spreadOf } from '../../spread/spread';
import type { Odds } from '../way';
import { shareHeldFor } from './endurance';
import { heldIn, type HeldPose } from './held';
import { shoulderMoment, shoulderStrength } from './shoulder';
import { holdFor, wristAtMost } from './wantsOfHands';

/** What each hand bears is straight in where the mass centre lies: one look this far off each way tells all, m. */
const LOOK = 0.001;
/** A hair of rounding. */
const MET = 1 + 1e-9;

/** Per hand: nose down, left side down (N m) and what it holds up (N). */
type Borne = readonly Vec3[];
const borne = ({ hands }: HeldPose): Borne => hands.map((h) => [h.noseDown, h.leftSideDown, h.up]);

export function heldOdds(context: BalanceContext): Odds {
  return {
    holds: shareThatHolds(context),
    title: say`Nothing tips more than your wrist likes, and it lasts as long as you want to hold it.`,
    does: 'lie so in the hand',
    mayNot: say`It should lie in the hand as you want it, but may not: hold it before you trust it.`,
    hardly: say`By these figures alone it will hardly lie in the hand as you want it: hold it, and find its mark by hand.`,
    besides: [say`Minutes are of a middling arm: people differ twofold.`],
  };
}

function shareThatHolds({ assembly: { rig }, values, evaluation, wants, hands }: BalanceContext): number | null {
  const { sums, pieces } = evaluation;
  const [first] = evaluation.held;
  if (!first || first.hands.length === 0) return null;
  const inOrder = valuesInOrder(rig, values);
  const at = (by: Vec3): Borne =>
    borne(heldIn(rig, inOrder, moveSums(sums, by), hands).find((p) => p.pose.id === first.pose.id) ?? first);
  const now = borne(first);
  const ways = (
    [
      [LOOK, 0, 0],
      [0, LOOK, 0],
      [0, 0, LOOK],
    ] as const
  ).map(at);
  const { covariance } = spreadOf(
    pieces.map((p) => p.flat),
    sums,
    [0, 0, 0],
  );
  const most = wristAtMost(wants) * MET;
  // Endurance falls with the share: as long as wanted is as much as so great a share.
  const [wristBears, shoulderBears] = (['wrist', 'shoulder'] as const).map((t) =>
    Math.min(1, shareHeldFor(t, holdFor(wants)) * MET),
  ) as [number, number];
  const arm = first.pose.arm ?? 0;
  return shareOfBuilds(covariance, (dx, dy, dz) => {
    let [wrist, shoulder] = [0, 0];
    for (let h = 0; h < now.length; h++) {
      const of = (k: 0 | 1 | 2): number =>
        now[h]![k] +
        ((ways[0]![h]![k] - now[h]![k]) * dx +
          (ways[1]![h]![k] - now[h]![k]) * dy +
          (ways[2]![h]![k] - now[h]![k]) * dz) /
          LOOK;
      const [nose, sides] = [of(0), of(1)];
      if (Math.abs(nose) > most || Math.abs(sides) > most) return false;
      wrist = Math.max(wrist, Math.hypot(nose, sides) / hands.wristStrength);
      shoulder = Math.max(shoulder, shoulderMoment(Math.abs(of(2)), arm) / shoulderStrength(hands));
    }
    return wrist <= wristBears && (first.shoulder === null || shoulder <= shoulderBears);
  });
}
