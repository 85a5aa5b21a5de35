/** How long a pose can be held: Rohmert's curve, a rough range and never a promise. */

export type Endurance =
  /** Above the strength given: not at all. */
  | { readonly kind: 'tooMuch'; readonly share: number }
  /** Under 15 % of strength the curve says nothing but "long". */
  | { readonly kind: 'long'; readonly share: number }
  /** Minutes, from the curve and a factor of two each way between people. */
  | {
      readonly kind: 'minutes';
      readonly share: number;
      readonly least: number;
      readonly usual: number;
      readonly most: number;
    };

/** People differ about twofold at the same share of strength (scatter of published endurance curves). */
const BETWEEN_PEOPLE = 2;

/** `share` = load over strength. minutes = -1.5 + 2.1/f - 0.6/f² + 0.1/f³ for f from 0.15 to 1 (Rohmert 1960). */
export function endurance(share: number): Endurance {
  if (!(share < 1)) return { kind: 'tooMuch', share };
  if (share < 0.15) return { kind: 'long', share };
  const usual = Math.max(0, -1.5 + 2.1 / share - 0.6 / share ** 2 + 0.1 / share ** 3);
  return { kind: 'minutes', share, least: usual / BETWEEN_PEOPLE, usual, most: usual * BETWEEN_PEOPLE };
}
