/** An entry of the log as it is told, and in plain words for paper. */
import { figure, render, type LogEntry, type Phrase, type UnitChoice } from '@tide-pebble/core';
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

/** In the order of the screen. */
export function lineTold({ entry, drop, seen, says }: Line, cause: Phrase, units: UnitChoice): readonly string[] {
  const say = (phrase: Phrase): string => render(phrase, units);
  const expected = entry.expected.dropPitch;
  return [
    drop
      ? say([
          figure('time', drop.mean, 2),
          ' drop seen, ',
          expected === null ? 'none' : figure('time', expected, 2),
          ' expected',
        ])
      : '',
    say(seen),
    ...says.map(say),
    cause.length > 0 ? `Likeliest, by this reading alone. ${say(cause)}` : '',
    entry.wrong ? `Went wrong. ${entry.wrong}` : '',
    entry.toTry ? `To try. ${entry.toTry}` : '',
    entry.weather ?? '',
    entry.notes,
  ].filter((words) => words !== '');
}
