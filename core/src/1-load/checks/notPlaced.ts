/** Entries of the mounting tree that stand on nothing, or in a ring. */
import { say } from '../../0-base';
import type { LoadCheck } from '../loadCheck';

export const notPlaced: LoadCheck = {
  id: 'notPlaced',
  look: ({ placed }) =>
    placed.faults.map((fault) => ({
      code: 'loadNotPlaced',
      severity: 'stop' as const,
      about: fault.mounted,
      figure: null,
      limit: null,
      title: say`${fault.reason}`,
      why: say`It is left out of every figure.`,
      toDo: say`Say in Load what it stands on, or take it off.`,
      fixes: [],
    })),
};
