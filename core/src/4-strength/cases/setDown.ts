/** Let go of a hand's breadth too early: it stops on its feet within what it bends, and the table gives. */
import { scale } from '../../0-base';
import type { StrengthCase } from '../strengthCase';

/** From so high, and so far a table and a rubber tip give, m. */
const HEIGHT = 0.02;
const GIVES = 0.001;

/** A weight that falls on a spring: 1 + √(1 + 2 h/δ) times itself, δ what it bends it by at rest. */
const times = (sag: number): number => 1 + Math.sqrt(1 + (2 * HEIGHT) / (sag + GIVES));

export const setDown: StrengthCase = {
  id: 'setDown',
  name: 'A hard set-down',
  heldBy: (contacts) => contacts.filter((c) => c.kind === 'ground'),
  loads: ({ frame, sag }) => [{ field: scale(frame.gravity, times(sag)), pushes: [] }],
  says: ({ sag }) => `set down hard, from 20 mm: ${times(sag).toFixed(1)} times its weight`,
};
