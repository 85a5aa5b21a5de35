/** What the maker wants of wrist and arm, where they have said nothing. */
import type { Wants } from '../../../model';

/** A sixth of a middling wrist's strength: held for some ten minutes. */
export const USUAL_WRIST_AT_MOST = 1.5;
/** To this share of its strength a joint was found to work all day (Jonsson; docs/sources.md, Endurance): it hardly matters. */
export const ALL_DAY = 0.05;
/** One long take. */
export const USUAL_HOLD_FOR = 120;

export const wristAtMost = (wants: Wants): number => wants.wristAtMost ?? USUAL_WRIST_AT_MOST;
export const holdFor = (wants: Wants): number => wants.holdFor ?? USUAL_HOLD_FOR;
