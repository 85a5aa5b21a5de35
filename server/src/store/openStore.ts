/** The only place that sees the database driver: opens the file, and reads and writes documents by revision. */
import { randomUUID } from 'node:crypto';
import { existsSync, renameSync, rmSync } from 'node:fs';
import Database from 'better-sqlite3';
import {
  BODY_SCHEMAS,
  DOCUMENT_KINDS,
  faultLine,
  readWith,
  type ChangeRequest,
  type Damaged,
  type DocumentKind,
  type Stored,
} from '@tide-pebble/core';
import * as z from 'zod';
import { devicesIn, type Devices } from './devices';
import { migrate } from './migrate';
import { Conflict, Unreadable, WrongPurpose } from './refusals';
import type { Photo } from '../photo';
import { migrations, QUERY_NAMES, queryText, type QueryName } from './sqlFiles';

export interface Saved {
  readonly kind: DocumentKind;
  readonly id: string;
  readonly revision: number;
}
export interface Contents {
  readonly documents: readonly Stored[];
  /** Set aside: they could not be read. Nothing else suffers from it. */
  readonly damaged: readonly Damaged[];
}
type Body = { readonly kind: DocumentKind; readonly id: string; readonly body: unknown };

export interface Store {
  /** Which folder this is: a copy restored or recovered from a backup is another. */
  readonly identity: string;
  /** Every document that reads as its kind, and what could not be read. */
  contents(): Contents;
  all(): readonly Stored[];
  one(kind: DocumentKind, id: string): Stored | null;
  /** Earlier saves, the newest first; those that can be read. */
  past(kind: DocumentKind, id: string): readonly Damaged['past'][number][];
  onePast(kind: DocumentKind, id: string, revision: number): Stored | null;
  /** All or nothing. A change against an old revision throws Conflict; one that is there already, word for word, is not an error. */
  save(changes: readonly ChangeRequest[]): readonly Saved[];
  /** Puts these documents in place of everything here, in one transaction. */
  replaceAll(documents: readonly Body[], photos?: readonly Photo[]): void;
  /** Puts these beside what is here, under their ids, in one transaction. */
  putBeside(documents: readonly Body[], photos?: readonly Photo[]): void;
  photo(id: string): Photo | null;
  putPhoto(photo: Photo): void;
  /** The photos that kit and the log are shown with. */
  photos(): readonly Photo[];
  /** The phones paired with this folder. */
  readonly devices: Devices;
  isEmpty(): boolean;
  /** A whole copy of the data as it stands, written while it is used. */
  copyTo(file: string): Promise<void>;
  /** Goes up with each change, so that what follows changes knows whether there were any. */
  changeCount(): number;
  close(): void;
}

const photoRow = z.strictObject({
  id: z.string(),
  type: z.string(),
  width: z.number(),
  height: z.number(),
  bytes: z.instanceof(Buffer),
});
/** A photo put but not yet named may still be, by an entry of the log that is not kept yet: after a month it is not. */
const LOOSE_FOR_MS = 30 * 24 * 60 * 60 * 1000;
const kind = z.enum(DOCUMENT_KINDS);
const keyRow = z.strictObject({ kind, id: z.string() });
const pastRow = z.strictObject({ revision: z.number(), saved_at: z.string() });
const row = z.strictObject({
  kind,
  id: z.string(),
  revision: z.number(),
  body: z.string().nullable(),
  saved_at: z.string(),
});

/** `purpose` null reads whatever is in the file, as a backup's. */
export function openStore(
  file: string,
  purpose: 'demo' | 'own' | null,
  now: () => string = () => new Date().toISOString(),
): Store {
  if (!existsSync(file)) begin(file, now);
  const db = new Database(file);
  db.pragma('journal_mode = WAL');
  // FULL: an acknowledged write is on the disk, whatever stops the process or the machine.
  db.pragma('synchronous = FULL');
  db.pragma('foreign_keys = ON');
  if (db.pragma('foreign_keys', { simple: true }) !== 1) throw new Error('this SQLite cannot keep foreign keys');
  migrate(db, file, migrations(), now);
  const query = Object.fromEntries(QUERY_NAMES.map((name) => [name, db.prepare(queryText(name))])) as Record<
    QueryName,
    Database.Statement
  >;
  const held = query.purpose.pluck().get() as string | undefined;
  if (purpose !== null && held === undefined) query.setPurpose.run({ purpose });
  else if (purpose !== null && held !== purpose) {
    db.close();
    throw new WrongPurpose(
      held === 'demo'
        ? `${file} holds the demo. Start it with npm run demo, or choose another folder with --data.`
        : `${file} holds your own rigs, so the demo will not open it. Choose another folder with --data.`,
    );
  }

  if (query.identity.pluck().get() === '') query.setIdentity.run({ identity: randomUUID() });
  const identity = (query.identity.pluck().get() as string | undefined) ?? '';

  query.dropLoosePhotos.run({ before: new Date(Date.parse(now()) - LOOSE_FOR_MS).toISOString() });

  const read = (data: unknown): Stored => {
    const found = row.safeParse(data);
    if (!found.success) throw new Unreadable('the row it is stored in is damaged');
    const { body, saved_at: savedAt, ...rest } = found.data;
    try {
      return { ...rest, savedAt, body: body === null ? null : (JSON.parse(body) as unknown) };
    } catch {
      throw new Unreadable('what is stored is not JSON');
    }
  };
  const one = (kind: DocumentKind, id: string): Stored | null => {
    const found = query.oneDocument.get({ kind, id });
    return found === undefined ? null : read(found);
  };
  /** The revision of each that was read against its schema before: reading ten thousand again would take a second. */
  const sound = new Map<string, number>();
  const soundOne = (kind: DocumentKind, id: string): { readonly found: Stored } | { readonly reason: string } => {
    try {
      const found = one(kind, id);
      if (!found) return { reason: 'it cannot be found again' };
      const key = `${kind}/${id}`;
      if (sound.get(key) === found.revision) return { found };
      const body = readBody(kind, id, found.body);
      if (!body.ok) return { reason: faultLine(body.faults[0]!) };
      sound.set(key, found.revision);
      return { found };
    } catch (error) {
      return { reason: error instanceof Error ? error.message : String(error) };
    }
  };
  const past = (kind: DocumentKind, id: string): readonly Damaged['past'][number][] =>
    query.pastSaves
      .all({ kind, id })
      .map((p) => pastRow.parse(p))
      .map((p) => ({ revision: p.revision, savedAt: p.saved_at }));
  const onePast = (kind: DocumentKind, id: string, revision: number): Stored | null => {
    const found = query.onePast.get({ kind, id, revision });
    return found === undefined ? null : read(found);
  };
  const readsWell = (kind: DocumentKind, id: string, revision: number): boolean => {
    try {
      const found = onePast(kind, id, revision);
      return found !== null && found.body !== null && readBody(kind, id, found.body).ok;
    } catch {
      return false;
    }
  };
  const contents = (): Contents => {
    const documents: Stored[] = [];
    const damaged: Damaged[] = [];
    for (const { kind, id } of query.allDocuments.all().map((k) => keyRow.parse(k))) {
      const got = soundOne(kind, id);
      if ('found' in got) documents.push(got.found);
      else
        damaged.push({
          kind,
          id,
          revision: revisionOf(kind, id),
          reason: got.reason,
          past: past(kind, id).filter((p) => readsWell(kind, id, p.revision)),
        });
    }
    return { documents, damaged };
  };
  const revisionOf = (kind: DocumentKind, id: string): number => {
    const found = query.oneDocument.get({ kind, id }) as { revision?: unknown } | undefined;
    return typeof found?.revision === 'number' ? found.revision : 0;
  };
  let changeCount = 0;
  const put = (kind: DocumentKind, id: string, revision: number, body: unknown): Saved => {
    changeCount++;
    query.keepPast.run({ kind, id });
    query.putDocument.run({ kind, id, revision, body: body === null ? null : JSON.stringify(body), savedAt: now() });
    query.thinPast.run({ kind, id, revision });
    return { kind, id, revision };
  };
  const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

  /** What is stored for a save to be held against; a damaged one by its revision alone, so that it can be written over. */
  const readable = (kind: DocumentKind, id: string): Stored | null => {
    try {
      return one(kind, id);
    } catch {
      return { kind, id, revision: revisionOf(kind, id), body: null, savedAt: '' };
    }
  };
  const save = db.transaction((changes: readonly ChangeRequest[]): readonly Saved[] => {
    const conflicts: { mine: ChangeRequest; theirs: Stored | null }[] = [];
    const saved = changes.map((mine) => {
      const theirs = readable(mine.kind, mine.id);
      if (theirs && same(theirs.body, mine.body)) return { kind: mine.kind, id: mine.id, revision: theirs.revision };
      if ((theirs?.revision ?? 0) !== mine.revision) conflicts.push({ mine, theirs });
      return put(mine.kind, mine.id, (theirs?.revision ?? 0) + 1, mine.body);
    });
    if (conflicts.length > 0) throw new Conflict(conflicts);
    return saved;
  });
  const putPhoto = (photo: Photo): void => void query.putPhoto.run({ ...photo, savedAt: now() });
  const putBeside = db.transaction((documents: readonly Body[], photos: readonly Photo[]) => {
    for (const photo of photos) putPhoto(photo);
    for (const { kind, id, body } of documents) put(kind, id, revisionOf(kind, id) + 1, body);
  });
  const replaceAll = db.transaction((documents: readonly Body[], photos: readonly Photo[]) => {
    const kept = new Set(documents.map((d) => `${d.kind} ${d.id}`));
    for (const { kind, id } of query.allDocuments.all().map((k) => keyRow.parse(k)))
      if (!kept.has(`${kind} ${id}`)) put(kind, id, revisionOf(kind, id) + 1, null);
    putBeside(
      documents.filter((d) => !same(readable(d.kind, d.id)?.body, d.body)),
      photos,
    );
  });

  return {
    identity,
    contents,
    all: () => contents().documents,
    one,
    past,
    onePast,
    save: (changes) => save.immediate(changes),
    replaceAll: (documents, photos = []) => replaceAll.immediate(documents, photos),
    putBeside: (documents, photos = []) => putBeside.immediate(documents, photos),
    photo: (id) => {
      const found = query.onePhoto.get({ id });
      return found === undefined ? null : photoRow.parse(found);
    },
    putPhoto,
    photos: () => query.shownPhotos.all().map((p) => photoRow.parse(p)),
    devices: devicesIn(query, now),
    isEmpty: () => query.isEmpty.pluck().get() === 1,
    copyTo: async (to) => void (await db.backup(to)),
    changeCount: () => changeCount,
    close: () => {
      db.pragma('wal_checkpoint(TRUNCATE)');
      db.close();
    },
  };
}

/** A new file gets its name only once it is whole: one of no bytes is never mistaken for an empty folder. */
function begin(file: string, now: () => string): void {
  const unnamed = `${file}.new`;
  for (const end of ['', '-wal', '-shm', '-journal']) rmSync(unnamed + end, { force: true });
  const db = new Database(unnamed);
  migrate(db, unnamed, migrations(), now);
  db.close();
  renameSync(unnamed, file);
}

/** The body of a document checked against its kind's schema; deleted ones have none. */
export function readBody(kind: DocumentKind, id: string, body: unknown): ReturnType<typeof readWith<unknown>> {
  if (body === null) return { ok: true, value: null };
  const found = readWith<unknown>(BODY_SCHEMAS[kind] as z.ZodType<unknown>, body);
  if (found.ok && (found.value as { id: string }).id !== id)
    return { ok: false, faults: [{ path: 'id', message: `must be ${id}, the id it is saved under` }] };
  return found;
}
