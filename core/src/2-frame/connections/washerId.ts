/** A washer on its station by its number from the seat: `trim/1`. */
export const washerId = (station: string, number: number): string => `${station}/${number}`;
