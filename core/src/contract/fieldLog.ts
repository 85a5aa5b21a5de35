/** What a field pack gives back: the readings kept in it, to be brought in once each. */
import * as z from 'zod';
import { logEntry, type LogEntry } from '../model';
import { readWith, type Read } from './faults';

export const FIELD_LOG = 'tide-pebble-field-log';

const fieldLog = z.strictObject({
  format: z.literal(FIELD_LOG),
  version: z.literal(1),
  entries: z.array(logEntry).max(10_000),
});

/** The text of a file; faults in words, never a part of it. */
export function parseFieldLog(text: string): Read<readonly LogEntry[]> {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return { ok: false, faults: [{ path: '', message: 'is not a log that a field pack gave back' }] };
  }
  const read = readWith(fieldLog, data);
  return read.ok ? { ok: true, value: read.value.entries } : read;
}

export interface BroughtIn {
  /** Not here yet. */
  readonly fresh: readonly LogEntry[];
  /** Here already, word for word or otherwise: each was kept once, and is left as it is. */
  readonly known: number;
  /** Of a rig that is not here any more: kept all the same. */
  readonly ofGoneRigs: number;
}

/** Two phones' readings of one take are two readings; one brought in twice is one. */
export function broughtIn(
  entries: readonly LogEntry[],
  isHere: (entry: string) => boolean,
  isRig: (rig: string) => boolean,
): BroughtIn {
  const seen = new Set<string>();
  const fresh = entries.filter((e) => !isHere(e.id) && !seen.has(e.id) && seen.add(e.id));
  return { fresh, known: entries.length - fresh.length, ofGoneRigs: fresh.filter((e) => !isRig(e.rig)).length };
}
