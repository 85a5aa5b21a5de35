/** Total mass and calm against what the maker wants of them. */
import { figure, say, type Finding } from '../../0-base';
import type { BalanceCheck } from '../balanceCheck';

export const heavyAndCalm: BalanceCheck = {
  id: 'heavyAndCalm',
  stage: 'balance',
  look: ({ evaluation, wants }) => {
    const findings: Finding[] = [];
    if (evaluation.mass > wants.massAtMost) {
      findings.push({
        code: 'tooHeavy',
        severity: 'mend',
        about: 'load',
        figure: figure('mass', evaluation.mass),
        limit: figure('mass', wants.massAtMost),
        title: say`At ${figure('mass', evaluation.mass)} it is heavier than the ${figure('mass', wants.massAtMost)} you want to carry.`,
        why: say`The arm tires first; ${figure('mass', evaluation.addedMass)} of it is washers.`,
        toDo: say`The same weights further out do more, so fewer will do; a lighter frame or load helps at once.`,
        fixes: [],
      });
    }
    const { calm } = evaluation;
    if (calm && calm.pitch < wants.calmAtLeast) {
      findings.push({
        code: 'notCalm',
        severity: 'note',
        about: 'load',
        figure: figure('ratio', calm.pitch),
        limit: figure('ratio', wants.calmAtLeast),
        title: say`In pitch it resists a twist only ${figure('ratio', calm.pitch)} as well as the bare camera.`,
        why: say`You want ${figure('ratio', wants.calmAtLeast)}. Mass further from where it is held counts with the square of its distance.`,
        toDo: say`A longer frame, or the same weights further out.`,
        fixes: [],
      });
    }
    return findings;
  },
};
