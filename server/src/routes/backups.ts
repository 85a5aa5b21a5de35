/** The whole project as one zip of plain JSON, and back again: all of it or nothing. */
import { raw, Router } from 'express';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { backup, readWith, type Backup, type Fault } from '@tide-pebble/core';
import { BadRequest } from '../problem';
import { readBody, type Store } from '../store/openStore';

const ENTRY = 'project.json';
/** Unpacked, so that a small zip cannot fill the machine. */
const UNPACKED_AT_MOST = 256 * 1024 * 1024;

export function backupRoutes(store: Store, now: () => string): Router {
  const router = Router();
  router.get('/backup', (_request, response) => {
    const content: Backup = { format: 'tide-pebble-backup', version: 1, savedAt: now(), documents: store.all().map(({ kind, id, body }) => ({ kind, id, body })) };
    response.attachment('tide-pebble-backup.zip').type('application/zip');
    response.send(Buffer.from(zipSync({ [ENTRY]: strToU8(JSON.stringify(content, null, 1)) })));
  });
  router.post('/restore', raw({ type: () => true, limit: '64mb' }), (request, response) => {
    store.replaceAll(readBackup(unpack(request.body as Buffer)));
    response.json({ documents: store.all() });
  });
  return router;
}

function unpack(body: Buffer): unknown {
  if (!Buffer.isBuffer(body) || body.length === 0) throw new BadRequest('Choose a backup file: a zip that Tide Pebble made.');
  let text: string;
  try {
    const files = unzipSync(body, { filter: (f) => f.name === ENTRY && f.originalSize <= UNPACKED_AT_MOST });
    if (!files[ENTRY]) throw new Error('no project inside');
    text = strFromU8(files[ENTRY]);
  } catch {
    throw new BadRequest(`This is not a backup of Tide Pebble: it must be a zip with ${ENTRY} in it.`);
  }
  try {
    return JSON.parse(text);
  } catch {
    throw new BadRequest(`The ${ENTRY} in this backup is not JSON.`);
  }
}

/** Checked whole before anything is replaced. */
export function readBackup(data: unknown): Backup['documents'] {
  const read = readWith(backup, data);
  if (!read.ok) throw new BadRequest('This backup is not in the form this reads.', read.faults);
  const faults: Fault[] = [];
  for (const [i, { kind, id, body }] of read.value.documents.entries()) {
    const found = readBody(kind, id, body);
    if (!found.ok) faults.push(...found.faults.map((f) => ({ path: `documents.${i}.body.${f.path}`, message: f.message })));
  }
  if (faults.length > 0) throw new BadRequest(`${faults[0]!.path} ${faults[0]!.message}.`, faults);
  return read.value.documents;
}
