/** The only place that sees the database driver: opens the file, and reads and writes documents by revision. */
import Database from 'better-sqlite3';
import { BODY_SCHEMAS, readWith, type ChangeRequest, type DocumentKind, type Stored } from '@tide-pebble/core';
import * as z from 'zod';
import { migrate } from './migrate';
import type { Photo } from '../photo';
import { migrations, QUERY_NAMES, queryText, type QueryName } from './sqlFiles';

export class WrongPurpose extends Error {}
export class Conflict extends Error {
  constructor(readonly conflicts: readonly { mine: ChangeRequest; theirs: Stored | null }[]) {
    super('the documents were changed elsewhere');
  }
}

export interface Saved {
  readonly kind: DocumentKind;
  readonly id: string;
  readonly revision: number;
}

export interface Store {
  all(): readonly Stored[];
  one(kind: DocumentKind, id: string): Stored | null;
  /** All or nothing. A change against an old revision throws Conflict; one that is there already, word for word, is not an error. */
  save(changes: readonly ChangeRequest[]): readonly Saved[];
  /** Puts these documents in place of everything here, in one transaction. */
  replaceAll(documents: readonly { kind: DocumentKind; id: string; body: unknown }[], photos?: readonly Photo[]): void;
  photo(id: string): Photo | null;
  putPhoto(photo: Photo): void;
  /** The photos that kit is shown with. */
  photos(): readonly Photo[];
  isEmpty(): boolean;
  close(): void;
}

const photoRow = z.strictObject({ id: z.string(), type: z.string(), width: z.number(), height: z.number(), bytes: z.instanceof(Buffer) });
/** A photo put but not yet named by a saved item may still be: a day later it is not. */
const LOOSE_FOR_MS = 24 * 60 * 60 * 1000;
const row = z.strictObject({ kind: z.enum(['rig', 'kit', 'loadout', 'setup', 'log', 'bin']), id: z.string(), revision: z.number(), body: z.string().nullable(), saved_at: z.string() });

export function openStore(file: string, purpose: 'demo' | 'own', now: () => string = () => new Date().toISOString()): Store {
  const db = new Database(file);
  db.pragma('journal_mode = WAL');
  // FULL: an acknowledged write is on the disk, whatever stops the process or the machine.
  db.pragma('synchronous = FULL');
  db.pragma('foreign_keys = ON');
  if (db.pragma('foreign_keys', { simple: true }) !== 1) throw new Error('this SQLite cannot keep foreign keys');
  migrate(db, file, migrations(), now);
  const query = Object.fromEntries(QUERY_NAMES.map((name) => [name, db.prepare(queryText(name))])) as Record<QueryName, Database.Statement>;
  const held = query.purpose.pluck().get() as string | undefined;
  if (held === undefined) query.setPurpose.run({ purpose });
  else if (held !== purpose) {
    db.close();
    throw new WrongPurpose(held === 'demo' ? `${file} holds the demo. Start it with npm run demo, or choose another folder with --data.` : `${file} holds your own rigs, so the demo will not open it. Choose another folder with --data.`);
  }

  query.dropLoosePhotos.run({ before: new Date(Date.parse(now()) - LOOSE_FOR_MS).toISOString() });

  const read = (data: unknown): Stored => {
    const { body, saved_at: savedAt, ...rest } = row.parse(data);
    return { ...rest, savedAt, body: body === null ? null : (JSON.parse(body) as unknown) };
  };
  const one = (kind: DocumentKind, id: string): Stored | null => {
    const found = query.oneDocument.get({ kind, id });
    return found === undefined ? null : read(found);
  };
  const put = (kind: DocumentKind, id: string, revision: number, body: unknown): Saved => {
    query.keepPast.run({ kind, id });
    query.putDocument.run({ kind, id, revision, body: body === null ? null : JSON.stringify(body), savedAt: now() });
    query.thinPast.run({ kind, id, revision });
    return { kind, id, revision };
  };
  const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

  const save = db.transaction((changes: readonly ChangeRequest[]): readonly Saved[] => {
    const conflicts: { mine: ChangeRequest; theirs: Stored | null }[] = [];
    const saved = changes.map((mine) => {
      const theirs = one(mine.kind, mine.id);
      if (theirs && same(theirs.body, mine.body)) return { kind: mine.kind, id: mine.id, revision: theirs.revision };
      if ((theirs?.revision ?? 0) !== mine.revision) conflicts.push({ mine, theirs });
      return put(mine.kind, mine.id, (theirs?.revision ?? 0) + 1, mine.body);
    });
    if (conflicts.length > 0) throw new Conflict(conflicts);
    return saved;
  });
  const putPhoto = (photo: Photo): void => void query.putPhoto.run({ ...photo, savedAt: now() });
  const replaceAll = db.transaction((documents: readonly { kind: DocumentKind; id: string; body: unknown }[], photos: readonly Photo[]) => {
    for (const photo of photos) putPhoto(photo);
    const kept = new Set(documents.map((d) => `${d.kind} ${d.id}`));
    for (const old of query.allDocuments.all().map(read)) if (!kept.has(`${old.kind} ${old.id}`)) put(old.kind, old.id, old.revision + 1, null);
    for (const { kind, id, body } of documents) put(kind, id, (one(kind, id)?.revision ?? 0) + 1, body);
  });

  return {
    all: () => query.allDocuments.all().map(read),
    one,
    save: (changes) => save.immediate(changes),
    replaceAll: (documents, photos = []) => replaceAll.immediate(documents, photos),
    photo: (id) => {
      const found = query.onePhoto.get({ id });
      return found === undefined ? null : photoRow.parse(found);
    },
    putPhoto,
    photos: () => query.shownPhotos.all().map((p) => photoRow.parse(p)),
    isEmpty: () => query.allDocuments.all().length === 0,
    close: () => {
      db.pragma('wal_checkpoint(TRUNCATE)');
      db.close();
    },
  };
}

/** The body of a document checked against its kind's schema; deleted ones have none. */
export function readBody(kind: DocumentKind, id: string, body: unknown): ReturnType<typeof readWith<unknown>> {
  if (body === null) return { ok: true, value: null };
  const found = readWith<unknown>(BODY_SCHEMAS[kind] as z.ZodType<unknown>, body);
  if (found.ok && (found.value as { id: string }).id !== id) return { ok: false, faults: [{ path: 'id', message: `must be ${id}, the id it is saved under` }] };
  return found;
}
