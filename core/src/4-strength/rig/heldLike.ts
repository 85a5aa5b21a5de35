/** What holds a rig gives too: a palm, a wrist, a shoulder, the ground; or nothing, as in a vice. */
import type { Contact } from '../../model';
import type { Six } from '../frame/frameModel';

/** In use, or clamped: what it does by itself. */
export type Held = 'asHeld' | 'vice';

/** Palm on grip 5 to 50 kN/m and 30 to 100 N m/rad (ISO 10068); the wrist that holds 3 to 15 N m/rad in a row with it (Charles). */
const PALM = { along: 15e3, about: 6 };
/** Shoulder pad 5 to 30 kN/m (from memory), and some turning. */
const PAD = { along: 12e3, about: 30 };
const CHEST = { along: 8e3, about: 10 };
const HEAD = { along: 2e4, about: 20 };
const GROUND = { along: 1e6, about: 1e3 };
const VICE = { along: 1e7, about: 1e5 };

const KIND: Readonly<Record<Contact['kind'], { readonly along: number; readonly about: number }>> = {
  hand: PALM,
  shoulder: PAD,
  chest: CHEST,
  helmet: HEAD,
  ground: GROUND,
};

export function heldLike({ kind }: Contact, held: Held): Six {
  const { along, about } = held === 'vice' ? VICE : KIND[kind];
  return [along, along, along, about, about, about];
}
/** What of a hand goes along with its grip, kg: 0.3 to 0.6 above 20 Hz (ISO 10068, from memory). */
const HAND = 0.45;
export const goesAlong = ({ kind }: Contact, held: Held): number => (held === 'asHeld' && kind === 'hand' ? HAND : 0);

/** Part of critical: a hand takes out much, 0.2 to 0.5 by itself. */
export const HELD_DAMPING = 0.25;
