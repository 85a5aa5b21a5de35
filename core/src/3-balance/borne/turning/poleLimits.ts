/** What a pole may do to whoever stands under it. */
import { DEGREE } from '../../../0-base';
import type { Wants } from '../../../model';

/** More droop than this and the first turn throws it up. */
export const MOST_DROOP = 20 * DEGREE;
/** Droop to aim at: it stays put, and comes level at the first turn. */
export const DROOP_AIM = 4 * DEGREE;
/** Near enough to the wanted droop. */
export const DROOP_WITHIN = 4 * DEGREE;
export const droopWanted = ({ droop }: Wants): number => droop ?? DROOP_AIM;
/** Sideways on a neck for a take, N m: rough, a tenth of what a neck holds for a moment. */
export const NECK_AT_MOST = 2.5;
/** A neck should not meet more than this before the mount lets go, N at the crown; and it must hold this many times what the spin pulls. */
export const LETS_GO_BY = 60;
export const HOLDS_TIMES = 2;
