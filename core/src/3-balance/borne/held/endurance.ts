/** How long a load can be held, by the joint that bears it: a rough range and never a promise. */

/** What gives out: the wrist with its grip, the shoulder joint, or skin and muscle under a pad. */
export type Tires = 'wrist' | 'shoulder' | 'pad';

export type Endurance =
  /** All of its strength and more: not at all. */
  | { readonly kind: 'tooMuch'; readonly share: number }
  /** An hour and more: no load is held for ever, and no curve was measured so far. */
  | { readonly kind: 'anHour'; readonly share: number }
  /** Minutes, with a factor of two each way between people. `measured`: within what the curve was fitted to. */
  | {
      readonly kind: 'minutes';
      readonly share: number;
      readonly least: number;
      readonly usual: number;
      readonly most: number;
      readonly measured: boolean;
    };

/**
 * t = a f^-b, seconds; f is the part of the strength asked for. Frey Law and Avin (2010), a and b within about a tenth,
 * fitted from f 0.15 to 0.9; the grip's stands for the wrist. For skin under a pad their general one, the least sure.
 * docs/sources.md, Endurance.
 */
export interface EnduranceCurve {
  readonly a: number;
  readonly b: number;
}
const CURVES: Readonly<Record<Tires, EnduranceCurve>> = {
  wrist: { a: 33.6, b: 1.61 },
  shoulder: { a: 14.9, b: 1.83 },
  pad: { a: 20, b: 2 },
};
const FITTED_FROM = 0.15;
/** People differ about twofold at the same share of strength (scatter of published endurance curves). */
const BETWEEN_PEOPLE = 2;
const MINUTE = 60;
const HOUR = 60;

/** `share` = load over strength, none to all of it. Falls without a step as the share grows. */
export function endurance(tires: Tires, share: number): Endurance {
  if (!(share < 1)) return { kind: 'tooMuch', share };
  const usual = timeHeld(CURVES[tires], share) / MINUTE;
  if (usual >= HOUR) return { kind: 'anHour', share };
  return {
    kind: 'minutes',
    share,
    least: usual / BETWEEN_PEOPLE,
    usual,
    most: usual * BETWEEN_PEOPLE,
    measured: share >= FITTED_FROM,
  };
}

/** How long a share of strength, above none, is held, s; and the share that is held just so long: the curve either way. */
export const timeHeld = ({ a, b }: EnduranceCurve, share: number): number => a * share ** -b;
export const shareForTime = ({ a, b }: EnduranceCurve, time: number): number => (a / time) ** (1 / b);
export const shareHeldFor = (tires: Tires, time: number): number => shareForTime(CURVES[tires], time);

/**
 * Loads in turn, round after round, till the muscle gives out, s: each step uses up time over its own endurance (Miner's way).
 * Recovery in the lighter steps is left out, which errs short. Infinite where no step loads it.
 */
export function timeInTurn(
  curve: EnduranceCurve,
  steps: readonly { readonly share: number; readonly seconds: number }[],
): number {
  const uses = steps.map(({ share, seconds }) => (share > 0 ? seconds / timeHeld(curve, share) : 0));
  const round = uses.reduce((sum, u) => sum + u, 0);
  if (!(round > 0)) return Infinity;
  const whole = Math.floor(1 / round);
  let [left, time] = [1 - whole * round, whole * steps.reduce((sum, s) => sum + s.seconds, 0)];
  for (const [i, { seconds }] of steps.entries()) {
    if (uses[i]! >= left) return time + (uses[i]! > 0 ? (seconds * left) / uses[i]! : 0);
    left -= uses[i]!;
    time += seconds;
  }
  return time;
}

/** Of several loads at once, the one that gives out first. */
export function firstToTire(loads: readonly { readonly tires: Tires; readonly share: number }[]): {
  readonly tires: Tires;
  readonly holds: Endurance;
} {
  const [first, ...rest] = loads.map(({ tires, share }) => ({ tires, holds: endurance(tires, share) }));
  return rest.reduce((a, b) => (isSooner(b.holds, a.holds) ? b : a), first!);
}

const RANK = { tooMuch: 0, minutes: 1, anHour: 2 } as const;
const isSooner = (a: Endurance, b: Endurance): boolean =>
  a.kind !== b.kind
    ? RANK[a.kind] < RANK[b.kind]
    : a.kind === 'minutes' && b.kind === 'minutes'
      ? a.usual < b.usual
      : a.share > b.share;
