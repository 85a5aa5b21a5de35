/** Whether the last reading denies what all readings together say: that the rig, set as it is, hangs in its pool. */
import type { Phrase } from '../../0-base';
import type { AdjusterValues } from '../../2-frame';
import { seenOf } from '../../3-balance';
import { HUNG_READINGS } from '../../3-balance/borne/hung/hungReadings';
import { readingWords } from '../../3-balance/borne/seen';
import type { LogEntry, Wants } from '../../model';

/** Set by hand it is as good as the same within this, m, rad or pieces. */
const SAME = 1e-6;
const LEANS = HUNG_READINGS.filter((r) => r.kind === 'noseDown' || r.kind === 'leftSideDown');

/** Null: it was read set otherwise, its lean was not read, or it lies within what is wanted. Leans in rad. */
export function lastDenies(
  last: Pick<LogEntry, 'values' | 'seen'> | undefined,
  now: AdjusterValues,
  { levelWithin }: Pick<Wants, 'levelWithin'>,
): Phrase | null {
  if (!last || !Object.entries(now).every(([id, value]) => Math.abs((last.values[id] ?? NaN) - value) <= SAME))
    return null;
  const out = LEANS.flatMap((kind) => {
    const lean = seenOf(last.seen, kind);
    return lean !== null && Math.abs(lean) > levelWithin ? [readingWords(kind, lean)] : [];
  });
  if (out.length === 0) return null;
  const said = out.flatMap((words, i) => (i > 0 ? [', ', ...words] : words));
  return [
    'All readings together put it in its pool, but the last one, set so, says ',
    ...said,
    ': read it once more. If it says the same again, something was changed since the first readings: take those out under What was learned.',
  ];
}
