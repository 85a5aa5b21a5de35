/** Pose by pose: what each hand carries, what shoulder and elbow feel, for how long, where the lens is, and how to rest. */
import { add, figure, say, scale, subtract, transform, type Phrase } from '../../../0-base';
import { shiftOf, valuesInOrder } from '../../../2-frame';
import type { BalanceContext } from '../../balanceCheck';
import type { Readout } from '../way';
import { NO_TORQUE, NOSE, SIDES, fallsWay, wayOfSign, type TwoWays } from '../words';
import type { HeldHand, HeldPose } from './held';
import { holdWords } from './holdWords';
import { elbowMoment, shoulderHeightOf, type Stance } from './person';
import { groundUnder, stancesOf, turnOf } from './stances';
import { restAfter } from './restAfter';
import { holdFor } from './wantsOfHands';
import { pushWords } from '../worn/pushWords';

/** Less than this is nothing, N. */
const NOTHING = 0.05;
/** Hands within this part of each other share evenly. */
const EVEN = 0.03;

export const heldReadouts = (context: BalanceContext): readonly Readout[] =>
  context.evaluation.held.map((pose) => ({
    id: pose.pose.id,
    name: pose.pose.name,
    lines: [
      ...(pose.falls ? [say`Cannot be held by pushing: it falls ${fallsWay(pose.falls)}.`] : []),
      ...pose.bears.map(pushWords),
      ...(pose.bears.length > 0 ? [] : pose.hands).map(handWords),
      ...evenly(pose),
      ...loose(context, pose),
      ...arm(context, pose),
      holdWords(pose),
      ...rest(context, pose),
    ],
  }));

function handWords(hand: HeldHand): Phrase {
  const tips = (torque: number, words: TwoWays): Phrase =>
    Math.abs(torque) < NO_TORQUE ? [] : say`, ${figure('torque', Math.abs(torque))} ${wayOfSign(torque, words)}`;
  const carries: Phrase =
    Math.abs(hand.up) < NOTHING
      ? ['carries nothing']
      : say`${hand.up >= 0 ? 'holds up' : 'holds down'} ${figure('force', Math.abs(hand.up), 1)}`;
  return [`${hand.contact.name}: `, ...carries, ...tips(hand.noseDown, NOSE), ...tips(hand.leftSideDown, SIDES), '.'];
}

/** Two hands that share unevenly: by how much the mass centre would have to move for both to carry the same. */
function evenly({ hands, pose, bears }: HeldPose): readonly Phrase[] {
  const [a, b] = hands;
  if (bears.length > 0 || !a || !b) return [];
  const whole = a.up + b.up;
  const share = b.up / whole;
  // A hand that carries nothing is told as that.
  if (!(whole > 0) || Math.abs(share - 0.5) < EVEN || Math.min(share, 1 - share) < EVEN) return [];
  const turn = turnOf(pose);
  const run = transform(turn, subtract(b.at, a.at));
  const by = scale(run, 0.5 - share);
  const level = Math.hypot(by[0], by[1]);
  if (level < 5e-4) return [];
  const ahead = Math.abs(by[0]) >= Math.abs(by[1]);
  const way = ahead ? (by[0] > 0 ? 'forward' : 'back') : by[1] > 0 ? 'to the left' : 'to the right';
  return [
    say`They share ${figure('percent', 1 - share, 0)} and ${figure('percent', share, 0)}; even with the mass centre ${figure('length', level, 0)} further ${way}.`,
  ];
}

/** In one hand, loosely: where it comes to rest about the grip, or that it turns over. */
function loose({ evaluation }: BalanceContext, { hands, bears, pose }: HeldPose): readonly Phrase[] {
  const [only, second] = hands;
  if (bears.length > 0 || !only || second || !evaluation.massCentre) return [];
  if (evaluation.hung || evaluation.axes.length > 0) return [];
  const turn = turnOf(pose);
  const [x, , z] = transform(turn, subtract(evaluation.massCentre, only.at));
  if (z >= 0) return [];
  const angle = Math.atan2(x, -z);
  return [
    Math.abs(angle) < 0.0009
      ? say`Let it lie on a thumb and it stays level.`
      : say`Let it lie on a thumb and it hangs ${figure('angle', Math.abs(angle))} ${wayOfSign(angle, NOSE)}.`,
  ];
}

/** Shoulder and elbow, the arm's own weight with it; and how high the lens then is. */
function arm(context: BalanceContext, held: HeldPose): readonly Phrase[] {
  const { assembly, values, hands } = context;
  const { rig } = assembly;
  const inOrder = valuesInOrder(rig, values);
  const upOf = new Map(held.hands.map(({ contact, up }) => [contact.id, up]));
  const stances = stancesOf(rig, held.pose, inOrder, hands).flatMap(({ contact, stance }) =>
    stance.kind === 'reaches' ? [{ stance, up: upOf.get(contact.id) ?? 0 }] : [],
  );
  const elbow = Math.max(0, ...stances.map(({ stance, up }) => elbowMoment(stance, Math.max(0, up))));
  const [first] = stances;
  return [
    ...(held.shoulder === null && elbow === 0
      ? []
      : [
          [
            ...(held.shoulder === null
              ? say`At the `
              : say`At the shoulder ${figure('torque', held.shoulder, 1)}, at the `),
            ...say`elbow ${figure('torque', elbow, 1)}, the arm’s own weight with it.`,
          ],
        ]),
    ...(first ? lensHeight(context, first.stance, held) : []),
  ];
}

/** Above the ground, standing, by the maker's stature, or by the foot it stands on; over all that a telescope or pole can be drawn out. */
function lensHeight(
  { assembly, values, hands, evaluation }: BalanceContext,
  { shoulder }: Stance,
  { pose }: HeldPose,
): readonly Phrase[] {
  const { rig, mount } = assembly;
  if (!mount || evaluation.loadMass === 0) return [];
  const inOrder = valuesInOrder(rig, values);
  const movedBy = assembly.mountMovedBy;
  const ground = groundUnder(rig, pose, inOrder) ?? shoulder[2] - shoulderHeightOf(hands);
  const heightAt = (settings: readonly number[]): number =>
    transform(turnOf(pose), add(mount, shiftOf(rig, movedBy, settings)))[2] - ground;
  const drawn = rig.adjusters.findIndex((a, i) => a.kind === 'telescope' && movedBy.includes(i));
  const now = say`The camera’s foot is ${figure('length', heightAt(inOrder), 0)} above the ground, ${groundUnder(rig, pose, inOrder) === null ? 'standing' : 'on its foot'}.`;
  if (drawn < 0) return [now];
  const [low, high] = rig.adjusters[drawn]!.range.map((value) =>
    heightAt(inOrder.map((v, i) => (i === drawn ? value : v))),
  ) as [number, number];
  return [
    [
      ...now,
      ...say` Drawn out and in, ${figure('length', Math.min(low, high), 0)} to ${figure('length', Math.max(low, high), 0)}.`,
    ],
  ];
}
/** After a take as long as wanted; and when to change grips. */
function rest({ wants, evaluation }: BalanceContext, { holds }: HeldPose): readonly Phrase[] {
  const take = holdFor(wants);
  const pause = restAfter(holds, take);
  if (holds.kind !== 'minutes' || pause === null) return [];
  const half = (holds.usual * 60) / 2;
  const change = say`${evaluation.held.length > 1 ? 'Change grips' : 'Put it down'} after ${figure('time', half, 0)}: half of what it lasts.`;
  return pause < 1
    ? [change]
    : [[...change, ...say` After a take of ${figure('time', take, 0)} rest ${figure('time', pause, 0)}.`]];
}
