/** An entry of the log as it is told, and in plain words for paper. */
import { figure, render, say, type LogEntry, type Phrase, type UnitChoice } from '@tide-pebble/core';
import type { dropOf } from '@tide-pebble/core/making';

export interface Line {
  readonly entry: LogEntry;
  readonly when: string;
  readonly rig: string;
  readonly loadout: string;
  readonly says: readonly Phrase[];
  readonly seen: Phrase;
  readonly drop: ReturnType<typeof dropOf>;
}

/** “Set up in 4 min, longest: Washers on: foot 80 s.” Empty where nothing was timed. */
export function timedTold({ timed }: LogEntry): Phrase {
  if (!timed) return [];
  const whole = timed.splits.reduce((sum, s) => sum + s.seconds, 0);
  const longest = timed.splits.reduce((a, b) => (b.seconds > a.seconds ? b : a));
  return say`${timed.what === 'setUp' ? 'Set up' : 'Broken down'} in ${figure('time', whole, 0)}; what took longest: ${longest.name}, ${figure('time', longest.seconds, 0)}.`;
}

/** In the order of the screen. */
export function lineTold({ entry, drop, seen, says }: Line, cause: Phrase, units: UnitChoice): readonly string[] {
  const told = (phrase: Phrase): string => render(phrase, units);
  const expected = entry.expected.dropPitch;
  return [
    drop
      ? told([
          figure('time', drop.mean, 2),
          ' drop seen, ',
          expected === null ? 'none' : figure('time', expected, 2),
          ' expected',
        ])
      : '',
    told(seen),
    told(timedTold(entry)),
    ...says.map(told),
    cause.length > 0 ? `By this reading alone. ${told(cause)}` : '',
    entry.wrong ? `Went wrong. ${entry.wrong}` : '',
    entry.toTry ? `To try. ${entry.toTry}` : '',
    entry.weather ?? '',
    entry.notes,
  ].filter((words) => words !== '');
}
