/** What can be wanted of a rig in the hands: what the wrist carries, and for how long. */
import type { Want } from '../way';
import { WASHERS_AT_MOST } from '../wantsOfAny';
import { holdFor, wristAtMost } from './wantsOfHands';

export const WRIST: Want = {
  id: 'wrist',
  name: 'Wrist carries at most',
  kind: 'torque',
  range: [0.05, 40],
  firm: ['wristNose', 'wristSides'],
  of: wristAtMost,
  with: (w, v) => ({ ...w, wristAtMost: v ?? wristAtMost(w) }),
};
export const HOLD: Want = {
  id: 'hold',
  name: 'Held for at least',
  kind: 'time',
  range: [5, 7200],
  firm: [],
  of: holdFor,
  with: (w, v) => ({ ...w, holdFor: v ?? holdFor(w) }),
};
export const HELD_WANTS: readonly Want[] = [WRIST, HOLD, WASHERS_AT_MOST];
