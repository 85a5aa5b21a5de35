/** The whole project as one zip of plain JSON and back, and the copies the server keeps by itself: looked at first, then put in place or beside. */
import { randomUUID } from 'node:crypto';
import { raw, Router, type Request } from 'express';
import { strToU8, zipSync, type Zippable } from 'fflate';
import { adoptDocuments, lookAtBackup, RESTORE_WAYS, type Backup, type RestoreWay } from '@tide-pebble/core';
import { photoOf, type Photo } from '../photo';
import { BadRequest, NotFound } from '../problem';
import type { Backups } from '../store/backups';
import type { Store } from '../store/openStore';
import { isFree, unpackAside } from '../unpack/unpackAside';
import { ENTRY } from '../unpack/unpackBackup';

const ENDINGS: Readonly<Record<string, string>> = { 'image/jpeg': 'jpg', 'image/png': 'png', 'image/webp': 'webp' };

interface Incoming {
  readonly savedAt: string | null;
  readonly documents: Backup['documents'];
  readonly photos: readonly Photo[];
}

export function backupRoutes(store: Store, backups: Backups, now: () => string): Router {
  const router = Router();
  const zip = raw({ type: () => true, limit: '64mb' });
  router.get('/backup', (_request, response) => {
    const content: Backup = {
      format: 'tide-pebble-backup',
      version: 1,
      savedAt: now(),
      documents: store.all().map(({ kind, id, body }) => ({ kind, id, body })),
    };
    response.attachment('tide-pebble-backup.zip').type('application/zip');
    const photos = Object.fromEntries(
      store.photos().map((p) => [`photos/${p.id}.${ENDINGS[p.type]}`, [p.bytes, { level: 0 }] as const]),
    );
    response.send(Buffer.from(zipSync({ [ENTRY]: strToU8(JSON.stringify(content, null, 1)), ...photos } as Zippable)));
  });
  router.get('/backups', (_request, response) => {
    response.json({ backups: backups.list() });
  });
  // One at a time, asked before its bytes are taken in.
  router.post(['/restore', '/restore/look'], (_request, _response, next) => {
    isFree();
    next();
  });
  router.post('/restore/look', zip, async (request, response) => {
    response.json(look(await fromZip(request)));
  });
  router.post('/restore', zip, async (request, response) => {
    const way = wayOf(request);
    await put(await fromZip(request), way);
    response.json(contents());
  });
  router.get('/backups/:name/look', async (request, response) => {
    response.json(look(await fromKept(request.params.name)));
  });
  router.post('/backups/:name/restore', async (request, response) => {
    const way = wayOf(request);
    await put(await fromKept(request.params.name), way);
    response.json(contents());
  });
  return router;

  function contents(): object {
    return { folder: store.identity, ...store.contents() };
  }

  function look(incoming: Incoming): object {
    return lookAtBackup({ ...incoming, photos: incoming.photos.length }, store.all());
  }

  async function fromKept(name: string): Promise<Incoming> {
    const found = await backups.open(name);
    if (!found) throw new NotFound('There is no such backup here.');
    return {
      savedAt: backups.list().find((b) => b.name === name)?.savedAt ?? null,
      documents: found.documents.map(({ kind, id, body }) => ({ kind, id, body })),
      photos: found.photos,
    };
  }

  /** What was here before is copied first: there is always a way back. */
  async function put({ documents, photos }: Incoming, way: RestoreWay): Promise<void> {
    if (!store.isEmpty()) await backups.make(store);
    if (way === 'instead') return store.replaceAll(documents, photos);
    const held = new Map(store.all().map((d) => [`${d.kind}/${d.id}`, d.body]));
    store.putBeside(
      adoptDocuments(documents, (kind, id) => held.get(`${kind}/${id}`) ?? null, randomUUID, { called: 'from backup' }),
      photos,
    );
  }
}

function wayOf(request: Request): RestoreWay {
  const way = RESTORE_WAYS.find((w) => w === request.query['way']);
  if (!way) throw new BadRequest(`Say how: ?way=${RESTORE_WAYS.join(' or ?way=')}.`);
  return way;
}

async function fromZip(request: Request): Promise<Incoming> {
  const body: unknown = request.body;
  if (!Buffer.isBuffer(body) || body.length === 0)
    throw new BadRequest('Choose a backup file: a zip that Tide Pebble made.');
  const { savedAt, documents, photos } = await unpackAside(body);
  return { savedAt, documents, photos: photos.map((bytes) => photoOf(Buffer.from(bytes))) };
}
