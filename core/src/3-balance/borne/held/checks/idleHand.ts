/** A hand that a pose asks for and that carries nothing: it is free to focus, or to rest. */
import { figure, say, type Finding } from '../../../../0-base';
import type { BalanceCheck } from '../../../balanceCheck';
import type { HeldPose } from '../held';

/** Less than this part of what all bear together is nothing. */
const NOTHING = 0.03;

export const idleHand: BalanceCheck = {
  id: 'idleHand',
  stage: 'balance',
  look: ({ evaluation }) => evaluation.held.flatMap(idleIn),
};

function idleIn({ pose, hands, bears, falls }: HeldPose): readonly Finding[] {
  if (falls) return [];
  const loads =
    bears.length > 0
      ? bears.map((b) => ({ contact: b.contact, size: b.size }))
      : hands.map((h) => ({ contact: h.contact, size: Math.abs(h.up) }));
  const all = loads.reduce((sum, l) => sum + l.size, 0);
  if (loads.length < 2 || !(all > 0)) return [];
  return loads
    .filter((l) => l.contact.kind === 'hand' && l.size < NOTHING * all)
    .map(({ contact, size }) => ({
      code: 'idleHand',
      severity: 'note' as const,
      about: contact.id,
      place: pose.id,
      figure: figure('force', size, 1),
      limit: figure('force', NOTHING * all, 1),
      title: say`${pose.name}: the ${contact.name} carries nothing.`,
      why: say`All of the ${figure('force', all, 0)} is borne without it.`,
      toDo: say`Let it steer and focus, or move its grip to where it takes a share.`,
      fixes: [],
    }));
}
