/** Data folders and rig files of every released form, as they were written then: they open, read whole, and save as today's. */
import { copyFileSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseRigFile } from '@tide-pebble/core';
import { openStore } from './openStore';

const fixtures = fileURLToPath(new URL('../../fixtures', import.meta.url));
const released = readdirSync(fixtures).filter((f) => f.endsWith('.db'));

describe('a data folder of a released form', () => {
  it('is kept here for each of them', () => expect(released.length).toBeGreaterThan(0));
  for (const name of released) {
    it(`opens, with nothing damaged, and saves: ${name}`, () => {
      const folder = mkdtempSync(join(tmpdir(), 'tide-pebble-released-'));
      const file = join(folder, 'tide-pebble.db');
      copyFileSync(join(fixtures, name), file);
      const store = openStore(file, 'demo');
      const { documents, damaged } = store.contents();
      expect(damaged).toEqual([]);
      expect(documents.filter((d) => d.kind === 'rig').length).toBeGreaterThan(10);
      expect(store.identity.length).toBeGreaterThan(10);
      for (const { kind, id, revision, body } of documents)
        expect(store.save([{ kind, id, revision, body: { ...(body as object) } }])[0]!.revision).toBe(revision);
      const rig = documents.find((d) => d.kind === 'rig')!;
      expect(
        store.save([
          { kind: 'rig', id: rig.id, revision: rig.revision, body: { ...(rig.body as object), name: 'Renamed' } },
        ])[0]!.revision,
      ).toBe(rig.revision + 1);
      store.close();
      // What it was before is kept beside it.
      expect(readdirSync(folder).some((f) => f.includes('.before-'))).toBeTrue();
      rmSync(folder, { recursive: true, force: true });
    });
  }
});

describe('a rig file of a released form', () => {
  const rigFiles = readdirSync(fixtures).filter((f) => f.startsWith('rig-file-'));
  it('is kept here for each of them', () => expect(rigFiles.length).toBeGreaterThan(0));
  for (const name of rigFiles) {
    it(`opens, and is today's form when written again: ${name}`, () => {
      const read = parseRigFile(readFileSync(join(fixtures, name), 'utf8'));
      if (!read.ok) return fail(JSON.stringify(read.faults));
      expect(parseRigFile(JSON.stringify(read.value))).toEqual(read);
    });
  }
});
