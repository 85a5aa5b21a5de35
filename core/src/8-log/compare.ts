/** What the real rig did against what was expected, and what that says about the model. */
import { figure, rootBetween, say, STANDARD_GRAVITY, type Phrase } from '../0-base';
import type { LogEntry } from '../model';
import { dropFromLevel, pinDepth, ringRead, type BalanceContext, type Hung } from '../3-balance';
import { compareEach } from './compareEach';

export interface Comparison {
  /** Mean of the stopwatch, its spread (one standard uncertainty of the mean), s. */
  readonly dropSeen: { readonly mean: number; readonly spread: number; readonly outliers: readonly number[] } | null;
  /** How far the mass centre really lies under the pivot, from the drop time, m. */
  readonly heightImplied: number | null;
  readonly says: readonly Phrase[];
}

/** Told with what they prove of where the mass centre lies. */
const TOLD_ABOVE = ['dropTimes', 'noseDown', 'leftSideDown'] as const;
/** A thumb on a stopwatch: standard uncertainty of one reading, s. */
const THUMB = 0.1;

/**
 * The evaluation is of the set-up as logged. A drop time seen gives how far the mass centre lies under the joint with the
 * model's inertia, which is far better known than that; a lean seen gives the offset h tan(lean).
 * What is to blame, and the next move, are for learning from all readings to say: this only says what one of them proves.
 */
export function compare(entry: LogEntry, context: BalanceContext): Comparison {
  const says: Phrase[] = [...rung(entry)];
  const dropSeen = dropOf(entry.seen);
  const { hung } = context.evaluation;
  if (!hung) {
    const each = compareEach(entry.seen, context, []);
    const none = say`Nothing to compare: of what was read, none is of this rig as it is now.`;
    const all = [...says, ...each];
    return { dropSeen, heightImplied: null, says: all.length > 0 ? all : [none] };
  }
  const heightImplied = dropSeen ? heightFrom(hung, dropSeen.mean) : null;
  if (dropSeen && heightImplied !== null) {
    const expected = entry.expected.dropPitch;
    const read = Math.abs(heightFrom(hung, dropSeen.mean + dropSeen.spread) - heightImplied);
    const off = heightImplied - hung.hang.bottomHeaviness;
    const known = hung.spread.massCentre[2];
    const where = say`the mass centre lies ${figure('length', heightImplied, 2)} ± ${figure('length', 2 * read, 2)} under the pivot`;
    const than = say`${figure('length', Math.abs(off), 2)} ${off > 0 ? 'lower' : 'higher'} than the figures say`;
    const apart = Math.abs(off) > 2 * read;
    if (expected === null)
      says.push([
        ...say`It fell in ${figure('time', dropSeen.mean)}, though the figures said it would not right itself: `,
        ...where,
        '.',
      ]);
    else if (!apart)
      says.push(
        [
          ...say`Drop time agrees: ${figure('time', dropSeen.mean)} seen, ${figure('time', expected)} expected. So `,
          ...where,
          known > read ? say`; that was only known to ± ${figure('length', 2 * known, 1)}.` : '.',
        ].flat(),
      );
    // A reading that knows more than the forecast did is no agreement within its spread: it says where the mass centre is.
    else
      says.push([
        ...say`It fell in ${figure('time', dropSeen.mean)} instead of ${figure('time', expected)}: `,
        ...where,
        ', ',
        ...than,
        ...(Math.abs(off) <= 2 * known
          ? say`. The figures were known to ± ${figure('length', 2 * known, 1)} only, so they are not wrong by this: they are better known now.`
          : say`. That is more than they should be off: one of them is wrong.`),
      ]);
    for (const outlier of dropSeen.outliers)
      says.push(
        say`One reading of ${figure('time', outlier)} stands apart from the others. It is counted; time it once more.`,
      );
  }
  const h = heightImplied ?? Math.max(0, hung.hang.bottomHeaviness);
  lean(
    says,
    h,
    entry.seen.noseDown,
    entry.expected.noseDown,
    'Fore and aft',
    ['ahead', 'behind'],
    ['nose down', 'nose up'],
  );
  lean(
    says,
    h,
    entry.seen.leftSideDown,
    entry.expected.leftSideDown,
    'Side to side',
    ['to the left', 'to the right'],
    ['left side down', 'right side down'],
  );
  says.push(...compareEach(entry.seen, context, TOLD_ABOVE));
  if (says.length === 0) says.push(say`Nothing to compare yet: time a drop, or type how it hangs.`);
  return { dropSeen, heightImplied, says };
}

/** Nearer than this part of what was reckoned it is as expected: joints are hardly known better. */
const RINGS_ALIKE = 0.1;
function rung({ seen, expected }: LogEntry): readonly Phrase[] {
  if (!seen.rings || !expected.rings) return [];
  const { frequency } = ringRead(seen.rings);
  const off = frequency / expected.rings - 1;
  const beside = say`Flicked it rang at ${figure('frequency', frequency)}; ${figure('frequency', expected.rings)} was reckoned`;
  if (Math.abs(off) < RINGS_ALIKE) return [[...beside, ': as expected.']];
  const [unlike] = [...(seen.rings.joints ?? [])].sort(
    (a, b) => Math.abs(Math.log(b.factor)) - Math.abs(Math.log(a.factor)),
  );
  return [
    [
      ...beside,
      off < 0 ? ': it wobbles more than its figures said.' : ': it is firmer than its figures said.',
      ...(unlike
        ? say` What explains it best is ${unlike.name}: ${figure('count', unlike.factor, unlike.factor < 1 ? 2 : 1)} times as stiff as its kind is.`
        : []),
    ],
  ];
}

/**
 * How far the mass centre lies under the joint for a drop of this time, m: with the model's inertia, its lean fore and aft
 * (which quickens the drop too) and the joint's friction; about the pin it pitches on. Nil where the lean alone would be quicker.
 */
function heightFrom({ pivot, pitch, sums, hang }: Hung, time: number): number {
  const at = (distance: number): number =>
    Math.min(
      1e6,
      dropFromLevel(pitch.inertia, sums.mass * STANDARD_GRAVITY * distance, pivot.frictionTorque?.value ?? 0),
    );
  const [near, far] = [1e-9, 10];
  const distance =
    at(far) >= time ? far : Math.exp(rootBetween((log) => at(Math.exp(log)) - time, Math.log(near), Math.log(far)));
  return Math.sqrt(Math.max(0, distance ** 2 - hang.fromPivot[0] ** 2)) + pinDepth(pivot, 'pitch');
}

function lean(
  says: Phrase[],
  h: number,
  seen: number | undefined,
  expected: number | null,
  axis: string,
  place: readonly [string, string],
  words: readonly [string, string],
): void {
  if (seen === undefined || expected === null) return;
  const off = h * (Math.tan(seen) - Math.tan(expected));
  if (Math.abs(seen - expected) < 0.0175) {
    says.push(say`${axis} it hangs as expected, within a degree.`);
    return;
  }
  says.push(
    say`It hangs ${figure('angle', Math.abs(seen))} ${words[seen > 0 ? 0 : 1]}: the mass centre lies ${figure('length', Math.abs(off), 2)} further ${place[off > 0 ? 0 : 1]} than the figures say.`,
  );
}

/** What a stopwatch said, by itself: no rig is needed for it. */
export function dropOf({ dropTimes: times }: LogEntry['seen']): Comparison['dropSeen'] {
  if (times.length === 0) return null;
  const mean = times.reduce((s, t) => s + t, 0) / times.length;
  const scatter =
    times.length > 1 ? Math.sqrt(times.reduce((s, t) => s + (t - mean) ** 2, 0) / (times.length - 1)) : THUMB;
  const sorted = [...times].sort((a, b) => a - b);
  const median = sorted[Math.floor(sorted.length / 2)]!;
  // Shown, never dropped: further from the median than three thumbs.
  const outliers = times.length > 2 ? times.filter((t) => Math.abs(t - median) > 3 * THUMB) : [];
  return { mean, spread: Math.max(scatter, THUMB) / Math.sqrt(times.length), outliers };
}
