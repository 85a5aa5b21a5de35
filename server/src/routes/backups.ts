/** The whole project as one zip of plain JSON, and back again: all of it or nothing. */
import { raw, Router } from 'express';
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { backup, readWith, type Backup, type Fault } from '@tide-pebble/core';
import { photoOf } from '../photo';
import { BadRequest } from '../problem';
import { readBody, type Store } from '../store/openStore';

const ENTRY = 'project.json';
const PHOTO = /^photos\/[0-9a-f]{64}\.(jpg|png|webp)$/;
const ENDINGS: Readonly<Record<string, string>> = { 'image/jpeg': 'jpg', 'image/png': 'png', 'image/webp': 'webp' };
/** Unpacked, so that a small zip cannot fill the machine. */
const UNPACKED_AT_MOST = 256 * 1024 * 1024;

export function backupRoutes(store: Store, now: () => string): Router {
  const router = Router();
  router.get('/backup', (_request, response) => {
    const content: Backup = { format: 'tide-pebble-backup', version: 1, savedAt: now(), documents: store.all().map(({ kind, id, body }) => ({ kind, id, body })) };
    response.attachment('tide-pebble-backup.zip').type('application/zip');
    const photos = Object.fromEntries(store.photos().map((p) => [`photos/${p.id}.${ENDINGS[p.type]}`, [p.bytes, { level: 0 }] as const]));
    response.send(Buffer.from(zipSync({ [ENTRY]: strToU8(JSON.stringify(content, null, 1)), ...photos } as Zippable)));
  });
  router.post('/restore', raw({ type: () => true, limit: '64mb' }), (request, response) => {
    const { project, photos } = unpack(request.body as Buffer);
    store.replaceAll(readBackup(project), photos.map(photoOf));
    response.json({ documents: store.all() });
  });
  return router;
}

function unpack(body: Buffer): { readonly project: unknown; readonly photos: readonly Buffer[] } {
  if (!Buffer.isBuffer(body) || body.length === 0) throw new BadRequest('Choose a backup file: a zip that Tide Pebble made.');
  let text: string;
  let photos: readonly Buffer[];
  let unpacked = 0;
  try {
    const files = unzipSync(body, { filter: (f) => (f.name === ENTRY || PHOTO.test(f.name)) && (unpacked += f.originalSize) <= UNPACKED_AT_MOST });
    if (!files[ENTRY]) throw new Error('no project inside');
    text = strFromU8(files[ENTRY]);
    photos = Object.entries(files).flatMap(([name, bytes]) => (name === ENTRY ? [] : [Buffer.from(bytes)]));
  } catch {
    throw new BadRequest(`This is not a backup of Tide Pebble: it must be a zip with ${ENTRY} in it.`);
  }
  try {
    return { project: JSON.parse(text) as unknown, photos };
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
