/** How low a rig may ring before its camera shows it. */

/** A first mode under this is felt at each step: a walk's third and fourth harmonics reach it, Hz. */
export const FELT_BELOW = 8;
/** Above this a walk hardly rings it, Hz. */
export const FIRM_ABOVE = 15;
