/** A reading as it goes into the log: what was seen, beside what the figures say of the rig as it is set. */
import { readings, type Firmness, type LogEntry } from '@tide-pebble/core';
import type { Bench } from './workspace';

/** What is told in words with a reading. */
export type Told = Partial<Pick<LogEntry, 'notes' | 'weather' | 'wrong' | 'toTry' | 'photos' | 'timed'>>;

export function newReading(bench: Bench, firm: Firmness | null, seen: LogEntry['seen'], told: Told): LogEntry {
  const { evaluation } = bench.judged;
  const { noseDown, leftSideDown, dropPitch } = readings(evaluation);
  return {
    id: crypto.randomUUID(),
    rig: bench.rig.id,
    loadout: bench.loadout?.id ?? null,
    when: new Date().toISOString(),
    values: { ...bench.values },
    expected: {
      noseDown,
      leftSideDown,
      dropPitch,
      dropSpread: evaluation.hung?.spread.dropPitch ?? null,
      ...(firm?.rings ? { rings: firm.rings.frequency } : {}),
    },
    seen,
    notes: told.notes ?? '',
    // What was left empty is not kept as an empty word.
    ...Object.fromEntries(
      (['weather', 'wrong', 'toTry'] as const).flatMap((k) => (told[k]?.trim() ? [[k, told[k].trim()]] : [])),
    ),
    ...(told.timed ? { timed: told.timed } : {}),
    ...(told.photos?.length ? { photos: told.photos } : {}),
  };
}
