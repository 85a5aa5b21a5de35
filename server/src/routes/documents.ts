/** Documents: all at once, one, and a group of changes saved together or not at all. */
import { json, Router } from 'express';
import { changes, DOCUMENT_KINDS, readWith, type ChangeRequest, type DocumentKind, type Fault } from '@tide-pebble/core';
import { BadRequest, NotFound } from '../problem';
import { readBody, type Store } from '../store/openStore';

export function documentRoutes(store: Store): Router {
  const router = Router();
  router.get('/documents', (_request, response) => {
    response.json({ documents: store.all() });
  });
  router.get('/documents/:kind/:id', (request, response) => {
    const { kind, id } = request.params;
    const found = isKind(kind) ? store.one(kind, id) : null;
    if (!found) throw new NotFound(`There is no ${kind} “${id}”.`);
    response.json(found);
  });
  router.post('/changes', json({ limit: '24mb' }), (request, response) => {
    const read = readWith(changes, request.body);
    if (!read.ok) throw new BadRequest('The changes are not in the form this reads.', read.faults);
    response.json({ saved: store.save(checked(read.value.changes)) });
  });
  return router;
}

const isKind = (kind: string): kind is DocumentKind => (DOCUMENT_KINDS as readonly string[]).includes(kind);

/** Every body against its schema before any is written. */
function checked(list: readonly ChangeRequest[]): readonly ChangeRequest[] {
  const faults: Fault[] = [];
  const good = list.map((change, i) => {
    const read = readBody(change.kind, change.id, change.body ?? null);
    if (!read.ok) faults.push(...read.faults.map((f) => ({ path: `changes.${i}.body${f.path ? `.${f.path}` : ''}`, message: f.message })));
    return { ...change, body: read.ok ? read.value : null };
  });
  if (faults.length > 0) throw new BadRequest(`${faults[0]!.path} ${faults[0]!.message}.`, faults);
  return good;
}
