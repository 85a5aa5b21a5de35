/** How a reading's step becomes a standard uncertainty, and how independent ones add. */

/** A step s is an even spread of full width s: standard uncertainty s/√12 (GUM 4.3.7). */
export const spreadOfStep = (step: number): number => step / Math.sqrt(12);

/** Root of the sum of squares: independent contributions to one standard uncertainty. */
export const combine = (...contributions: readonly number[]): number => Math.hypot(...contributions);
