import { stackUp as stack, type StackInput } from '@tide-pebble/core';
import type { CaseKind } from '../physicsCase';

export const stackUp: CaseKind = {
  kind: 'stackUp',
  compute: (given) => ({ ...stack(given as unknown as StackInput) }),
};
