/** A rig is judged with its load on; without one the figures are of the bare frame. */
import { say } from '../../0-base';
import type { BalanceCheck } from '../balanceCheck';

export const nothingMounted: BalanceCheck = {
  id: 'nothingMounted',
  stage: 'load',
  look: ({ evaluation }) =>
    evaluation.loadMass > 0
      ? []
      : [
          {
            code: 'nothingMounted',
            severity: 'measure',
            about: 'load',
            figure: null,
            limit: null,
            title: say`Nothing is mounted.`,
            why: say`Every figure is of the bare rig, and changes when the camera goes on.`,
            toDo: say`Choose a loadout, or make one in Load.`,
            fixes: [],
          },
        ],
};
