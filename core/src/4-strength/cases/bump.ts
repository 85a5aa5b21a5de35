/** A kerb, a stair, a jolt of the arm: so many times its weight, the way it hangs. */
import { scale } from '../../0-base';
import type { StrengthCase } from '../strengthCase';

export const bump: StrengthCase = {
  id: 'bump',
  name: 'A bump',
  loads: ({ frame, bump: times }) => [{ field: scale(frame.gravity, times), pushes: [] }],
  says: ({ bump: times }) => `bumped to ${times} times its weight`,
};
