/** What the real rig did against what was expected, and what that says about the model. */
import { figure, say, STANDARD_GRAVITY, ellipticK, type Phrase } from '../0-base';
import type { LogEntry } from '../model';
import type { Evaluation } from '../3-balance';

export interface Comparison {
  /** Mean of the stopwatch, its spread (one standard uncertainty of the mean), s. */
  readonly dropSeen: { readonly mean: number; readonly spread: number; readonly outliers: readonly number[] } | null;
  /** How far the mass centre really lies under the pivot, from the drop time, m. */
  readonly heightImplied: number | null;
  readonly says: readonly Phrase[];
}

/** A thumb on a stopwatch: standard uncertainty of one reading, s. */
const THUMB = 0.1;

/**
 * The evaluation is of the set-up as logged. A drop time seen gives h = I (K/T)²/(M g) with the model's inertia, which
 * is far better known than h itself, with twice the part of its spread that T has; a lean seen gives the offset h tan(lean).
 * What is to blame, and the next move, are for learning from all readings to say: this only says what one of them proves.
 */
export function compare(entry: LogEntry, evaluation: Evaluation): Comparison {
  const says: Phrase[] = [];
  const dropSeen = meanOf(entry.seen.dropTimes);
  const { hung } = evaluation;
  if (!hung) return { dropSeen, heightImplied: null, says: [say`This rig hangs on no joint, so there is no drop time to compare.`] };
  const K = ellipticK(Math.SQRT1_2);
  const heightImplied = dropSeen ? (hung.pitch.inertia * (K / dropSeen.mean) ** 2) / (hung.sums.mass * STANDARD_GRAVITY) : null;
  if (dropSeen && heightImplied !== null) {
    const expected = entry.expected.dropPitch;
    const read = 2 * heightImplied * (dropSeen.spread / dropSeen.mean);
    const off = heightImplied - hung.hang.bottomHeaviness;
    const known = hung.spread.massCentre[2];
    const where = say`the mass centre lies ${figure('length', heightImplied, 2)} ± ${figure('length', 2 * read, 2)} under the pivot`;
    const than = say`${figure('length', Math.abs(off), 2)} ${off > 0 ? 'lower' : 'higher'} than the figures say`;
    const apart = Math.abs(off) > 2 * read;
    if (expected === null) says.push([...say`It fell in ${figure('time', dropSeen.mean)}, though the figures said it would not right itself: `, ...where, '.']);
    else if (!apart) says.push([...say`Drop time agrees: ${figure('time', dropSeen.mean)} seen, ${figure('time', expected)} expected. So `, ...where, known > read ? say`; that was only known to ± ${figure('length', 2 * known, 1)}.` : '.'].flat());
    // A reading that knows more than the forecast did is no agreement within its spread: it says where the mass centre is.
    else says.push([...say`It fell in ${figure('time', dropSeen.mean)} instead of ${figure('time', expected)}: `, ...where, ', ', ...than, ...(Math.abs(off) <= 2 * known ? say`. The figures were known to ± ${figure('length', 2 * known, 1)} only, so they are not wrong by this: they are better known now.` : say`. That is more than they should be off: one of them is wrong.`)]);
    for (const outlier of dropSeen.outliers) says.push(say`One reading of ${figure('time', outlier)} stands apart from the others. It is counted; time it once more.`);
  }
  const h = heightImplied ?? Math.max(0, hung.hang.bottomHeaviness);
  lean(says, h, entry.seen.noseDown, entry.expected.noseDown, 'Fore and aft', ['ahead', 'behind'], ['nose down', 'nose up']);
  lean(says, h, entry.seen.leftSideDown, entry.expected.leftSideDown, 'Side to side', ['to the left', 'to the right'], ['left side down', 'right side down']);
  if (says.length === 0) says.push(say`Nothing to compare yet: time a drop, or type how it hangs.`);
  return { dropSeen, heightImplied, says };
}

function lean(says: Phrase[], h: number, seen: number | undefined, expected: number | null, axis: string, place: readonly [string, string], words: readonly [string, string]): void {
  if (seen === undefined || expected === null) return;
  const off = h * (Math.tan(seen) - Math.tan(expected));
  if (Math.abs(seen - expected) < 0.0175) {
    says.push(say`${axis} it hangs as expected, within a degree.`);
    return;
  }
  says.push(say`It hangs ${figure('angle', Math.abs(seen))} ${words[seen > 0 ? 0 : 1]}: the mass centre lies ${figure('length', Math.abs(off), 2)} further ${place[off > 0 ? 0 : 1]} than the figures say.`);
}

function meanOf(times: readonly number[]): Comparison['dropSeen'] {
  if (times.length === 0) return null;
  const mean = times.reduce((s, t) => s + t, 0) / times.length;
  const scatter = times.length > 1 ? Math.sqrt(times.reduce((s, t) => s + (t - mean) ** 2, 0) / (times.length - 1)) : THUMB;
  const sorted = [...times].sort((a, b) => a - b);
  const median = sorted[Math.floor(sorted.length / 2)]!;
  // Shown, never dropped: further from the median than three thumbs.
  const outliers = times.length > 2 ? times.filter((t) => Math.abs(t - median) > 3 * THUMB) : [];
  return { mean, spread: Math.max(scatter, THUMB) / Math.sqrt(times.length), outliers };
}
