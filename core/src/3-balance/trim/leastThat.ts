/** The least of something that will do, where more of it does as well. */

export interface Stretch {
  /** Tried first. */
  readonly first: number;
  /** Further is another thing altogether. */
  readonly most: number;
  /** Amounts are told, and applied, in whole steps of this. */
  readonly step: number;
}

/** Halvings of the last stretch: to within a sixty-fourth of it. */
const HALVINGS = 6;

/** The least amount, in whole steps, that will do: doubled from the first, then halved between. Null when none does. */
export function leastThat({ first, most, step }: Stretch, does: (amount: number) => boolean): number | null {
  let fails = 0;
  for (let amount = first; ; amount = Math.min(most, amount * 2)) {
    if (does(amount)) {
      let works = amount;
      for (let i = 0; i < HALVINGS && works - fails > step * 1.01; i++) {
        const middle = (fails + works) / 2;
        if (does(middle)) works = middle;
        else fails = middle;
      }
      const whole = Number((Math.ceil(works / step - 1e-9) * step).toPrecision(12));
      return does(whole) ? whole : works;
    }
    fails = amount;
    if (amount >= most) return null;
  }
}
