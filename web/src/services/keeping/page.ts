/**
 * What one window holds of a data folder, and what it owes the server: pure, so that every order in which edits, answers,
 * losses, reloads and other windows can come is played through in a model of it (`played.spec`).
 */
import type { ChangeRequest, DocumentKind, Problem, Stored, StoredList } from '@tide-pebble/core';
import { readWith, BODY_SCHEMAS } from '@tide-pebble/core/documents';

/** A document as this window shows it. `revision` is the server's save it stands on; 0: none yet. Body null: deleted. */
export interface Held {
  readonly kind: DocumentKind;
  readonly id: string;
  readonly revision: number;
  readonly body: unknown;
}
export interface Edited {
  readonly kind: DocumentKind;
  readonly id: string;
  readonly body: unknown;
}
/** An edit the server has not acknowledged, as the browser keeps it: whose window's, against which folder, and which of that window's edits. */
export interface Draft extends ChangeRequest {
  readonly folder: string;
  readonly serial: number;
}

export interface Page {
  /** The mark of the folder this window was opened on; empty before it was. */
  readonly folder: string;
  readonly held: ReadonlyMap<string, Held>;
  /** Edited and not acknowledged: the number of the newest edit. */
  readonly dirty: ReadonlyMap<string, number>;
  readonly serial: number;
  /** Saved by someone else meanwhile: what the server holds. Not sent again until the maker has chosen. */
  readonly conflicts: ReadonlyMap<string, Stored | null>;
  /** Sent, and no answer came: what the server holds may be one of these, and is then no one else's. */
  readonly unanswered: ReadonlyMap<string, readonly unknown[]>;
}

export interface DropDraft {
  readonly key: string;
  /** Up to and with this edit; a later one stays. */
  readonly serial: number;
}
/** The window after a step, and what is to be written into or let go of the browser's store of drafts. */
export interface Step {
  readonly page: Page;
  readonly put: readonly Draft[];
  readonly drop: readonly DropDraft[];
}

export const NO_PAGE: Page = {
  folder: '',
  held: new Map(),
  dirty: new Map(),
  serial: 0,
  conflicts: new Map(),
  unanswered: new Map(),
};
export const keyOf = ({ kind, id }: { readonly kind: DocumentKind; readonly id: string }): string => `${kind}/${id}`;

/** What the server holds, read: it shows wherever nothing is owed; what is owed stays, on the save it was made on. */
export function taken(page: Page, list: StoredList): Page {
  const held = new Map<string, Held>();
  for (const d of list.documents) held.set(keyOf(d), { kind: d.kind, id: d.id, revision: d.revision, body: d.body });
  // Nothing to show, but its place is known: an earlier save can be put back over it.
  for (const d of list.damaged) held.set(keyOf(d), { kind: d.kind, id: d.id, revision: d.revision, body: null });
  for (const key of page.dirty.keys()) held.set(key, page.held.get(key)!);
  return { ...page, folder: list.folder, held };
}

export function edited(page: Page, edits: readonly Edited[]): Step {
  const held = new Map(page.held);
  const dirty = new Map(page.dirty);
  const put: Draft[] = [];
  let { serial } = page;
  for (const { kind, id, body } of edits) {
    const key = keyOf({ kind, id });
    const revision = held.get(key)?.revision ?? 0;
    serial++;
    held.set(key, { kind, id, revision, body });
    dirty.set(key, serial);
    put.push({ folder: page.folder, serial, kind, id, revision, body });
  }
  return { page: { ...page, held, dirty, serial }, put, drop: [] };
}

/** What is owed and may be sent, the first of it: more in one go would hold up the page while it is written out. */
export function toSend(page: Page, most = Infinity): readonly ChangeRequest[] {
  const sent: ChangeRequest[] = [];
  for (const key of page.dirty.keys()) {
    if (sent.length >= most) break;
    if (!page.conflicts.has(key)) sent.push(requestOf(page.held.get(key)!));
  }
  return sent;
}

/** Only what has not been edited again since it was sent is clean. */
export function acknowledged(
  page: Page,
  sent: readonly ChangeRequest[],
  answers: readonly { readonly kind: DocumentKind; readonly id: string; readonly revision: number }[],
): Step {
  const held = new Map(page.held);
  const dirty = new Map(page.dirty);
  const unanswered = new Map(page.unanswered);
  const put: Draft[] = [];
  const drop: DropDraft[] = [];
  const asSent = new Map(sent.map((s) => [keyOf(s), s]));
  for (const { kind, id, revision } of answers) {
    const key = keyOf({ kind, id });
    const now = held.get(key);
    const was = asSent.get(key);
    if (!now || !was) continue;
    held.set(key, { ...now, revision });
    unanswered.delete(key);
    const serial = dirty.get(key);
    if (serial === undefined) continue;
    if (now.body === was.body) {
      dirty.delete(key);
      drop.push({ key, serial });
    } else put.push({ folder: page.folder, serial, ...requestOf({ ...now, revision }) });
  }
  return { page: { ...page, held, dirty, unanswered }, put, drop };
}

/** No answer came. */
export function unheard(page: Page, sent: readonly ChangeRequest[]): Page {
  const unanswered = new Map(page.unanswered);
  for (const { kind, id, body } of sent) {
    const key = keyOf({ kind, id });
    const before = unanswered.get(key) ?? [];
    // Tried every few seconds while the server is away: the same is noted once.
    if (!before.includes(body)) unanswered.set(key, [...before, body]);
  }
  return { ...page, unanswered };
}

/** Refused: someone else's save stands there. Where it is what was sent from here, only its revision had not been heard of. */
export function conflicted(page: Page, found: NonNullable<Problem['conflicts']>): Step {
  const held = new Map(page.held);
  const unanswered = new Map(page.unanswered);
  const conflicts = new Map(page.conflicts);
  const put: Draft[] = [];
  for (const {
    mine: { kind, id },
    theirs,
  } of found) {
    const key = keyOf({ kind, id });
    const now = held.get(key);
    const serial = page.dirty.get(key);
    if (
      now &&
      serial !== undefined &&
      theirs &&
      page.unanswered.get(key)?.some((body) => same(kind, body, theirs.body))
    ) {
      unanswered.delete(key);
      held.set(key, { ...now, revision: theirs.revision });
      put.push({ folder: page.folder, serial, ...requestOf({ ...now, revision: theirs.revision }) });
    } else conflicts.set(key, theirs);
  }
  return { page: { ...page, held, unanswered, conflicts }, put, drop: [] };
}

/** The maker has chosen for these: mine over theirs, or theirs, with mine let go of. */
export function settled(page: Page, keep: 'mine' | 'theirs', keys: readonly string[]): Step {
  const held = new Map(page.held);
  const dirty = new Map(page.dirty);
  const conflicts = new Map(page.conflicts);
  const put: Draft[] = [];
  const drop: DropDraft[] = [];
  for (const key of keys) {
    const theirs = conflicts.get(key);
    const now = held.get(key);
    const serial = dirty.get(key);
    if (theirs === undefined || !now || serial === undefined) continue;
    conflicts.delete(key);
    const revision = theirs?.revision ?? 0;
    if (keep === 'theirs') {
      held.set(key, { ...now, revision, body: theirs?.body ?? null });
      dirty.delete(key);
      drop.push({ key, serial });
    } else {
      held.set(key, { ...now, revision });
      put.push({ folder: page.folder, serial, ...requestOf({ ...now, revision }) });
    }
  }
  return { page: { ...page, held, dirty, conflicts }, put, drop };
}

/** Whether a draft that a window left behind can be taken up now: one a document at a time, so that each is saved or asked about. */
export const isFree = (page: Page, draft: ChangeRequest): boolean => !page.dirty.has(keyOf(draft));

/** Drafts that windows left behind, taken up as this window's own edits, on the saves they were made on. */
export function adopted(page: Page, drafts: readonly ChangeRequest[]): Step {
  const held = new Map(page.held);
  const dirty = new Map(page.dirty);
  const put: Draft[] = [];
  let { serial } = page;
  for (const { kind, id, revision, body } of drafts) {
    serial++;
    const mine = { kind, id, revision, body: body ?? null };
    held.set(keyOf(mine), mine);
    dirty.set(keyOf(mine), serial);
    put.push({ folder: page.folder, serial, ...mine });
  }
  return { page: { ...page, held, dirty, serial }, put, drop: [] };
}

/** What was typed before any folder was known, put under the one that was found. */
export const refiled = (page: Page): Step => ({
  page,
  put: [...page.dirty].map(([key, serial]) => ({ folder: page.folder, serial, ...requestOf(page.held.get(key)!) })),
  drop: [],
});

/** As their schema writes them: it orders the keys. */
function same(kind: DocumentKind, a: unknown, b: unknown): boolean {
  if (a === null || b === null) return a === b;
  const [one, other] = [a, b].map((body) =>
    readWith<unknown>(BODY_SCHEMAS[kind] as Parameters<typeof readWith<unknown>>[0], body),
  );
  return one!.ok && other!.ok && JSON.stringify(one!.value) === JSON.stringify(other!.value);
}

const requestOf = ({ kind, id, revision, body }: Held): ChangeRequest => ({ kind, id, revision, body });
