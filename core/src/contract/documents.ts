/** The kinds of document a data folder keeps, and the bodies that pass between browser and server. */
import * as z from 'zod';
import { binItem, kitItem, loadout, logEntry, rigDocument, setup, type BinItem, type KitItem, type Loadout, type LogEntry, type RigDocument, type SetUp } from '../model';

export const DOCUMENT_KINDS = ['rig', 'kit', 'loadout', 'setup', 'log', 'bin'] as const;
export type DocumentKind = (typeof DOCUMENT_KINDS)[number];

export interface BodyOf {
  readonly rig: RigDocument;
  readonly kit: KitItem;
  readonly loadout: Loadout;
  readonly setup: SetUp;
  readonly log: LogEntry;
  readonly bin: BinItem;
}

export const BODY_SCHEMAS: { readonly [K in DocumentKind]: z.ZodType<BodyOf[K]> } = { rig: rigDocument, kit: kitItem, loadout, setup, log: logEntry, bin: binItem };

const revision = z.number().int().nonnegative();
const documentId = z.string().regex(/^[A-Za-z0-9][A-Za-z0-9_./-]{0,99}$/);

/** Body null: deleted. Revision 0: never saved. The body is checked against its kind's schema afterwards. */
export const change = z.strictObject({ kind: z.enum(DOCUMENT_KINDS), id: documentId, revision, body: z.unknown() });
export const changes = z.strictObject({ changes: z.array(change).min(1).max(20_000) });
export type ChangeRequest = z.infer<typeof change>;

export const stored = z.strictObject({ kind: z.enum(DOCUMENT_KINDS), id: documentId, revision, body: z.unknown(), savedAt: z.string() });
export type Stored = z.infer<typeof stored>;
export const storedList = z.strictObject({ documents: z.array(stored) });
export const saved = z.strictObject({ saved: z.array(z.strictObject({ kind: z.enum(DOCUMENT_KINDS), id: documentId, revision })) });

/** RFC 9457 problem details; `faults` name fields, `conflicts` carry what the server holds. */
export const problem = z.strictObject({
  type: z.string(),
  title: z.string(),
  status: z.number().int(),
  detail: z.string(),
  faults: z.array(z.strictObject({ path: z.string(), message: z.string() })).optional(),
  conflicts: z.array(z.strictObject({ mine: change, theirs: stored.nullable() })).optional(),
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
