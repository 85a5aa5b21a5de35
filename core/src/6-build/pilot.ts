/** A pilot about a third of the hole, never under 2 mm: the web of the larger bit then cuts nothing. Both m. */
export const pilotFor = (diameter: number): number => Math.max(0.002, Math.round((diameter / 3) * 2000) / 2000);
