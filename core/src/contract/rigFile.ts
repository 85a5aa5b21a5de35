/** The open rig file: one rig with the kit, loadouts and set-ups it needs, so that it can be read on its own. */
import * as z from 'zod';
import { kitItem, loadout, rigDocument, setup } from '../model';
import { migrateRigFile } from './migrateRigFile';
import { readWith, type Read } from './faults';

export const RIG_FILE_VERSION = 1;

export const rigFile = z.strictObject({
  format: z.literal('tide-pebble-rig'),
  version: z.literal(RIG_FILE_VERSION),
  rig: rigDocument,
  kit: z.array(kitItem).max(500),
  loadouts: z.array(loadout).max(200),
  setups: z.array(setup).max(400),
});
export type RigFile = z.infer<typeof rigFile>;

/** Any JSON to a rig file of today's form; an older form is brought up step by step first. */
export function readRigFile(data: unknown): Read<RigFile> {
  const migrated = migrateRigFile(data);
  return migrated.ok ? readWith(rigFile, migrated.value) : migrated;
}

export function parseRigFile(text: string): Read<RigFile> {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    return {
      ok: false,
      faults: [{ path: '', message: `is not JSON: ${error instanceof Error ? error.message : 'unreadable'}` }],
    };
  }
  return readRigFile(data);
}
