/** A rig on shoulder, chest and hands: can it be held by pushing, and does each bear no more than is comfortable. */
import { figure, say, type Finding } from '../../../../0-base';
import type { BalanceCheck, BalanceContext } from '../../../balanceCheck';
import { fixByAdjuster } from '../../../adjusters/fixByAdjuster';
import type { HeldPose } from '../../held/held';
import { comfortOf } from '../worn';

export const wornLoads: BalanceCheck = {
  id: 'wornLoads',
  stage: 'balance',
  look: (context) =>
    context.evaluation.held.flatMap((pose) => [...falling(context, pose), ...overComfort(context, pose)]),
};

function falling(context: BalanceContext, { pose, falls }: HeldPose): readonly Finding[] {
  if (!falls) return [];
  const nose = Math.abs(falls.noseDown) >= Math.abs(falls.leftSideDown);
  const way = nose
    ? falls.noseDown > 0
      ? 'nose down'
      : 'nose up'
    : falls.leftSideDown > 0
      ? 'left side down'
      : 'right side down';
  const fix = fixByAdjuster(context, nose ? 0 : 1, (r) => r.fromPivot[nose ? 0 : 1]);
  return [
    {
      code: 'cannotBeHeld',
      severity: 'stop',
      about: pose.contacts[0] ?? 'rig',
      place: pose.id,
      figure: figure('torque', Math.abs(nose ? falls.noseDown : falls.leftSideDown)),
      limit: figure('torque', 0),
      title: say`${pose.name}: it falls ${way}; pushing alone cannot hold it.`,
      why: say`Shoulder, chest and hands push; none of them here can make up ${figure('torque', Math.abs(nose ? falls.noseDown : falls.leftSideDown))}.`,
      toDo: nose
        ? say`Put weight on the ${falls.noseDown > 0 ? 'tail' : 'front'}, or hold it further ${falls.noseDown > 0 ? 'forward' : 'back'}.`
        : say`Bring the load over the middle, or hold it on that side.`,
      fixes: fix ? [fix] : [],
    },
  ];
}

function overComfort(context: BalanceContext, { pose, bears }: HeldPose): readonly Finding[] {
  const worst = bears.reduce<(typeof bears)[number] | null>((a, b) => (a === null || b.share > a.share ? b : a), null);
  if (!worst || worst.share <= 1) return [];
  const { contact, size } = worst;
  const offset = context.evaluation.fromSupport?.[0] ?? 0;
  const fix = contact.kind === 'hand' ? fixByAdjuster(context, 0, (r) => r.fromPivot[0]) : null;
  return [
    {
      code: 'overComfort',
      severity: 'mend',
      about: contact.id,
      place: pose.id,
      figure: figure('force', size),
      limit: figure('force', comfortOf(contact)),
      title: say`${pose.name}: the ${contact.name} bears ${figure('force', size)}.`,
      why: say`About ${figure('force', comfortOf(contact))} is comfortable for a while. An estimate: the share that asks least of all together; yours may differ.${contact.kind === 'hand' ? ' The mass centre lies ' : ''}${contact.kind === 'hand' ? figure('length', Math.abs(offset)) : ''}${contact.kind === 'hand' ? (offset > 0 ? ' ahead of the shoulder.' : ' behind the shoulder.') : ''}`,
      toDo:
        contact.kind === 'hand'
          ? say`More on the ${offset > 0 ? 'tail' : 'front'} takes it off the hands and puts it on the shoulder.`
          : say`Take weight off, or spread it over a wider pad.`,
      fixes: fix ? [fix] : [],
    },
  ];
}
