import { bucklingOf } from '@tide-pebble/core/strength';
import { frameOf } from '../frameCase';
import type { CaseKind } from '../physicsCase';

export const buckling: CaseKind = {
  kind: 'buckling',
  compute: (given) => {
    const { factors, axial } = bucklingOf(frameOf(given), given['factors'] ?? 1);
    return { criticalFactors: factors, axialForces: axial };
  },
};
