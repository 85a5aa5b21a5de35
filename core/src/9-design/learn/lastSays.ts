/** What the last reading says of the rig as it is set: against all readings together, or against what is reckoned. */
import type { Phrase } from '../../0-base';
import type { AdjusterValues } from '../../2-frame';
import { seenOf } from '../../3-balance';
import { HUNG_READINGS } from '../../3-balance/borne/hung/hungReadings';
import { readingWords } from '../../3-balance/borne/seen';
import type { ReadingKind } from '../../3-balance/borne/way';
import type { LogEntry, Wants } from '../../model';

/** Set by hand it is as good as the same within this, m, rad or pieces. */
const SAME = 1e-6;
const LEANS = HUNG_READINGS.filter((r) => r.kind === 'noseDown' || r.kind === 'leftSideDown');

type Read = Pick<LogEntry, 'values' | 'seen'>;
type Level = Pick<Wants, 'levelWithin'>;

/** The leans that were read as it is set now, rad; none where it was read set otherwise. */
function leansNow(
  last: Read | undefined,
  now: AdjusterValues,
): readonly { readonly kind: ReadingKind; readonly lean: number }[] {
  if (!last || !Object.entries(now).every(([id, value]) => Math.abs((last.values[id] ?? NaN) - value) <= SAME))
    return [];
  return LEANS.flatMap((kind) => {
    const lean = seenOf(last.seen, kind);
    return lean === null ? [] : [{ kind, lean }];
  });
}

/** Which leans were read to be as wanted, set as it is now: of those, what is reckoned counts for less than what was seen. */
export const leansReadRight = (
  last: Read | undefined,
  now: AdjusterValues,
  { levelWithin }: Level,
): readonly ReadingKind['kind'][] =>
  leansNow(last, now).flatMap(({ kind, lean }) => (Math.abs(lean) <= levelWithin ? [kind.kind] : []));

/** Null: it was read set otherwise, its lean was not read, or it lies within what is wanted. */
export function lastDenies(last: Read | undefined, now: AdjusterValues, { levelWithin }: Level): Phrase | null {
  const out = leansNow(last, now).flatMap(({ kind, lean }) =>
    Math.abs(lean) > levelWithin ? [readingWords(kind, lean)] : [],
  );
  if (out.length === 0) return null;
  const said = out.flatMap((words, i) => (i > 0 ? [', ', ...words] : words));
  return [
    'All readings together put it in its pool, but the last one, set so, says ',
    ...said,
    ': read it once more. If it says the same again, something was changed since the first readings: take those out under What was learned.',
  ];
}
