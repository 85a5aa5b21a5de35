/** Older forms of the rig file brought to today's, one step a version. Steps are never edited once released. */
import type { Read } from './faults';

type Data = Readonly<Record<string, unknown>>;
export type MigrationStep = (file: Data) => Data;

/** From version n (the index is n - 1) to n + 1. Version 1 is the first form there is, so there are none yet. */
const STEPS: readonly MigrationStep[] = [];

/** `steps` is given by tests only. */
export function migrateRigFile(data: unknown, steps = STEPS): Read<unknown> {
  const newest = steps.length + 1;
  const fault = (message: string, path = ''): Read<unknown> => ({ ok: false, faults: [{ path, message }] });
  if (typeof data !== 'object' || data === null || Array.isArray(data))
    return fault('must be an object with format, version and rig');
  const file = data as Data;
  if (file['format'] !== 'tide-pebble-rig') return fault('must be "tide-pebble-rig"', 'format');
  const version = file['version'];
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return fault('must be a whole number from 1 up', 'version');
  if (version > newest)
    return fault(`is ${version}, written by a newer Tide Pebble; this one reads up to ${newest}`, 'version');
  if (typeof file['rig'] !== 'object' || file['rig'] === null) return fault('is missing', 'rig');
  return { ok: true, value: steps.slice(version - 1).reduce((f, step) => step(f), file) };
}
