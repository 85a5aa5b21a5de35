/** The kinds of document a data folder keeps, and the bodies that pass between browser and server. */
import * as z from 'zod';
import { RIGHTS } from './lan';
import { binItem, kitItem, loadout, logEntry, ownSize, rigDocument, setup, walk } from '../model';

/** Each kind with what its body must be: the one list of them. */
export const BODY_SCHEMAS = {
  rig: rigDocument,
  kit: kitItem,
  loadout,
  setup,
  log: logEntry,
  bin: binItem,
  size: ownSize,
  walk,
};
export type DocumentKind = keyof typeof BODY_SCHEMAS;
export type BodyOf = { readonly [K in DocumentKind]: z.infer<(typeof BODY_SCHEMAS)[K]> };
export const DOCUMENT_KINDS = Object.keys(BODY_SCHEMAS) as [DocumentKind, ...DocumentKind[]];

const revision = z.number().int().nonnegative();
const documentId = z.string().regex(/^[A-Za-z0-9][A-Za-z0-9_./-]{0,99}$/);

/** Body null: deleted. Revision 0: never saved. The body is checked against its kind's schema afterwards. */
export const change = z.strictObject({ kind: z.enum(DOCUMENT_KINDS), id: documentId, revision, body: z.unknown() });
export const changes = z.strictObject({ changes: z.array(change).min(1).max(20_000) });
export type ChangeRequest = z.infer<typeof change>;

export const stored = z.strictObject({
  kind: z.enum(DOCUMENT_KINDS),
  id: documentId,
  revision,
  body: z.unknown(),
  savedAt: z.string(),
});
export type Stored = z.infer<typeof stored>;
/** An earlier save of a document, without its body. */
const pastSave = z.strictObject({ revision, savedAt: z.string() });
export const pastSaves = z.strictObject({ past: z.array(pastSave) });
export type PastSave = z.infer<typeof pastSave>;

/** A document that is stored and cannot be read: why, and its earlier saves that can, the newest first. */
export const damaged = z.strictObject({
  kind: z.enum(DOCUMENT_KINDS),
  id: z.string(),
  revision,
  reason: z.string(),
  past: z.array(pastSave),
});
export type Damaged = z.infer<typeof damaged>;

/** With each request of a page: the folder it holds. A server that serves another refuses. */
export const FOLDER_HEADER = 'X-Data-Folder';

/** All that is in a data folder. `folder` is its mark: what is kept against one folder is never sent to another. */
export const storedList = z.strictObject({
  folder: z.string(),
  documents: z.array(stored),
  damaged: z.array(damaged),
  /** Of a paired phone: what it may do. Absent on the machine itself. */
  right: z.enum(RIGHTS).optional(),
});
export type StoredList = z.infer<typeof storedList>;
export const saved = z.strictObject({
  saved: z.array(z.strictObject({ kind: z.enum(DOCUMENT_KINDS), id: documentId, revision })),
});

/** RFC 9457 problem details; `faults` name fields, `conflicts` carry what the server holds. */
export const problem = z.strictObject({
  type: z.string(),
  title: z.string(),
  status: z.number().int(),
  detail: z.string(),
  faults: z.array(z.strictObject({ path: z.string(), message: z.string() })).optional(),
  conflicts: z.array(z.strictObject({ mine: change, theirs: stored.nullable() })).optional(),
  /** The folder that is served, where the page holds another. */
  folder: z.string().optional(),
});
export type Problem = z.infer<typeof problem>;

/** A whole project in one file: every document as it stands. */
export const backup = z.strictObject({
  format: z.literal('tide-pebble-backup'),
  version: z.literal(1),
  savedAt: z.string(),
  documents: z.array(z.strictObject({ kind: z.enum(DOCUMENT_KINDS), id: documentId, body: z.unknown() })).max(100_000),
});
export type Backup = z.infer<typeof backup>;

/** What a backup would do here: each of its documents against what is here, and what is here only. */
const named = z.strictObject({ kind: z.enum(DOCUMENT_KINDS), id: z.string(), name: z.string() });
export const backupLook = z.strictObject({
  savedAt: z.string().nullable(),
  photos: z.number().int(),
  holds: z.array(named.extend({ here: z.enum(['new', 'same', 'changed']) })),
  /** In this folder and not in the backup: put in its place, the backup would delete them. */
  goes: z.array(named),
});
export type BackupLook = z.infer<typeof backupLook>;
export type Named = z.infer<typeof named>;

/** `instead` of everything here, or `beside` it, as copies where something here has the same id. */
export const RESTORE_WAYS = ['instead', 'beside'] as const;
export type RestoreWay = (typeof RESTORE_WAYS)[number];

/** Copies of the whole data file that the server keeps by itself. */
const keptBackup = z.strictObject({ name: z.string(), savedAt: z.string(), bytes: z.number() });
export const backupList = z.strictObject({ backups: z.array(keptBackup) });
export type KeptBackup = z.infer<typeof keptBackup>;
