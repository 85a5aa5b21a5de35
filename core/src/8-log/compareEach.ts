/** Each reading of a rig against what it should be: within what is not known, or beyond it. */
import { fromTo, say, type Phrase } from '../0-base';
import { readingFigure, readingsOf, seenOf, type BalanceContext, type ReadingKind } from '../3-balance';
import type { LogEntry } from '../model';

/** Those that the bench of a hung rig tells by itself are left out there. */
export function compareEach(
  seen: LogEntry['seen'],
  context: BalanceContext,
  leaveOut: readonly ReadingKind['kind'][],
): readonly Phrase[] {
  return readingsOf(context.assembly.rig, context.evaluation)
    .filter((r) => !leaveOut.includes(r.kind))
    .flatMap((reading): readonly Phrase[] => {
      const value = seenOf(seen, reading);
      return value === null || reading.quantity === 'flag' ? [] : [against(reading, value, context)];
    });
}

function against(reading: ReadingKind, value: number, context: BalanceContext): Phrase {
  const expected = reading.expects(context);
  const shown = (x: number) => readingFigure(reading, x);
  const what = say`${reading.name}: ${shown(value)}`;
  if (!expected) return [...what, '. By the figures that cannot be told, so there is nothing to compare.'];
  const { least, most } = expected;
  if (value >= least && value <= most) return [...what, ...say`, as expected (${shown(expected.value)}).`];
  const { kind, decimals } = shown(value);
  return [
    ...what,
    ...say` instead of ${shown(expected.value)}; `,
    ...fromTo(kind, least, most, decimals),
    ' would have been within what is not known. Some figure of it is wrong, or it was read otherwise.',
  ];
}
