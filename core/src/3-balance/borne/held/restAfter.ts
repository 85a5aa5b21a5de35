/** How long to rest after a take, so that the next can be as long. */
import type { Endurance } from './endurance';

const MINUTE = 60;
/** Below this share no rest was found to be needed. */
const FROM_SHARE = 0.15;

/**
 * Rest, s, after holding for `take` s: 18 (t/T)^1.4 (f - 0.15)^0.5 of the time held (Rohmert 1973; docs/sources.md,
 * Endurance), T the time to giving out, f the share of strength. None to a share of 0.15; null where the take cannot be held at all.
 */
export function restAfter(holds: Endurance, take: number): number | null {
  if (holds.kind === 'tooMuch') return null;
  if (holds.kind === 'anHour' || holds.share <= FROM_SHARE) return 0;
  const part = take / (holds.usual * MINUTE);
  return part > 1 ? null : 18 * part ** 1.4 * Math.sqrt(holds.share - FROM_SHARE) * take;
}
