/** Documents: all at once, one, and a group of changes saved together or not at all. */
import { json, Router } from 'express';
import {
  changes,
  DOCUMENT_KINDS,
  mayKeep,
  readWith,
  refusal,
  weighJson,
  type ChangeRequest,
  type DocumentKind,
  type Fault,
} from '@tide-pebble/core';
import { pairedAs } from '../lan/houseDoor';
import { BadRequest, NotAllowed, NotFound } from '../problem';
import { readBody, type Store } from '../store/openStore';

export function documentRoutes(store: Store): Router {
  const router = Router();
  router.get('/documents', (_request, response) => {
    const right = pairedAs(response)?.right;
    response.json({ folder: store.identity, ...store.contents(), ...(right ? { right } : {}) });
  });
  router.get('/documents/:kind/:id', (request, response) => {
    const { kind, id } = request.params;
    const found = isKind(kind) ? store.one(kind, id) : null;
    if (!found) throw new NotFound(`There is no ${kind} “${id}”.`);
    response.json(found);
  });
  /** The earlier saves of one, the newest first, and each of them whole. */
  router.get('/documents/:kind/:id/past', (request, response) => {
    const { kind, id } = request.params;
    response.json({ past: isKind(kind) ? store.past(kind, id) : [] });
  });
  router.get('/documents/:kind/:id/past/:revision', (request, response) => {
    const { kind, id, revision } = request.params;
    const found = isKind(kind) && /^\d{1,9}$/.test(revision) ? store.onePast(kind, id, Number(revision)) : null;
    if (!found) throw new NotFound(`There is no save ${revision} of this.`);
    response.json(found);
  });
  router.post(
    '/changes',
    json({ limit: '24mb', verify: (_request, _response, bytes) => weighJson(bytes) }),
    async (request, response) => {
      const read = readWith(changes, request.body);
      if (!read.ok) throw new BadRequest('The changes are not in the form this reads.', read.faults);
      const right = pairedAs(response)?.right;
      if (right && read.value.changes.some(({ kind }) => !mayKeep(right, kind))) throw new NotAllowed(refusal(right));
      response.json({ saved: store.save(await checked(read.value.changes)) });
    },
  );
  return router;
}

/** So many are checked before others get a turn: twenty thousand at once would keep every page waiting. */
const PORTION = 200;

const isKind = (kind: string): kind is DocumentKind => (DOCUMENT_KINDS as readonly string[]).includes(kind);

/** Every body against its schema before any is written. */
async function checked(list: readonly ChangeRequest[]): Promise<readonly ChangeRequest[]> {
  const faults: Fault[] = [];
  const good: ChangeRequest[] = [];
  for (const [i, change] of list.entries()) {
    if (i > 0 && i % PORTION === 0) await new Promise((turn) => setImmediate(turn));
    const read = readBody(change.kind, change.id, change.body ?? null);
    if (!read.ok && faults.length < 20)
      faults.push(
        ...read.faults.map((f) => ({ path: `changes.${i}.body${f.path ? `.${f.path}` : ''}`, message: f.message })),
      );
    good.push({ ...change, body: read.ok ? read.value : null });
  }
  if (faults.length > 0) throw new BadRequest(`${faults[0]!.path} ${faults[0]!.message}.`, faults);
  return good;
}
