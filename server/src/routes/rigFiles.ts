/** Rig files in and out: the open form of one rig with all it needs. */
import { randomUUID } from 'node:crypto';
import { json, Router } from 'express';
import {
  adoptRigFile,
  faultLine,
  readRigFile,
  rigFileOf,
  weighJson,
  type BodyOf,
  type DocumentKind,
} from '@tide-pebble/core';
import { BadRequest, NotFound } from '../problem';
import type { Store } from '../store/openStore';

export function rigFileRoutes(store: Store): Router {
  const router = Router();
  router.get('/rig-files/:id', (request, response) => {
    const rig = store.one('rig', request.params.id);
    if (!rig?.body) throw new NotFound(`There is no rig “${request.params.id}”.`);
    const bodies = <K extends DocumentKind>(kind: K): BodyOf[K][] =>
      store
        .all()
        .filter((d) => d.kind === kind)
        .map((d) => d.body as BodyOf[K]);
    response.attachment(`${request.params.id}.rig.json`);
    response.json(
      rigFileOf(rig.body as BodyOf['rig'], {
        kit: bodies('kit'),
        loadouts: bodies('loadout'),
        setups: bodies('setup'),
      }),
    );
  });
  router.post(
    '/rig-files',
    json({ limit: '16mb', verify: (_request, _response, bytes) => weighJson(bytes) }),
    (request, response) => {
      const read = readRigFile(request.body);
      if (!read.ok) throw new BadRequest(faultLine(read.faults[0]!), read.faults);
      const documents = adoptRigFile(read.value, (kind, id) => store.one(kind, id)?.body ?? null, randomUUID);
      const saved = store.save(documents.map((d) => ({ ...d, revision: store.one(d.kind, d.id)?.revision ?? 0 })));
      response.status(201).json({ saved });
    },
  );
  return router;
}
