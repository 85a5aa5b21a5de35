/** All documents of the data folder: read, edited with undo, saved by themselves, and kept here while the server is away. */
import { inject, Injectable } from '@angular/core';
import type {
  BodyOf,
  ChangeRequest,
  Damaged,
  DocumentKind,
  Problem,
  RestoreWay,
  Stored,
  StoredList,
} from '@tide-pebble/core';
import { readWith, BODY_SCHEMAS, DOCUMENT_KINDS, mayKeep, refusal } from '@tide-pebble/core/documents';
import {
  BehaviorSubject,
  combineLatest,
  debounceTime,
  distinctUntilChanged,
  firstValueFrom,
  map,
  Subject,
  type Observable,
} from 'rxjs';
import { Api, Refused, ServerAway, type BackupFrom } from './api';
import { Drafts } from './drafts';
import { HeldFolder } from './folder';
import { NO_HISTORY, recorded, redone, undone, type Edit, type History } from './history';
import {
  acknowledged,
  adopted,
  conflicted,
  edited,
  isFree,
  keyOf,
  NO_PAGE,
  refiled,
  settled,
  taken,
  toSend,
  unheard,
  type Page,
  type Step,
} from './page';

export type SaveState =
  | { readonly kind: 'loading' }
  | { readonly kind: 'kept'; readonly at: number | null }
  | { readonly kind: 'keeping' }
  | { readonly kind: 'away'; readonly waiting: number }
  | { readonly kind: 'full'; readonly waiting: number }
  | { readonly kind: 'conflict'; readonly conflicts: NonNullable<Problem['conflicts']> }
  /** The address serves another folder now. */
  | { readonly kind: 'elsewhere'; readonly waiting: number }
  /** Nothing could be read: that there is nothing must not be said. */
  | { readonly kind: 'unread'; readonly reason: string }
  | { readonly kind: 'refused'; readonly reason: string };

/** How the last talk with the server went. */
type Talk =
  | { readonly kind: 'loading' | 'well' | 'away' | 'full' | 'elsewhere' }
  | { readonly kind: 'unread' | 'refused'; readonly reason: string };

const SAVE_AFTER_MS = 350;
const TRY_AGAIN_MS = 2500;
/** Edits taken up in one task. */
const WRITTEN_AT_ONCE = 1000;
/** Documents in one request: an import of ten thousand goes out in portions, each all or nothing. */
const SENT_AT_ONCE = 400;

@Injectable({ providedIn: 'root' })
export class Documents {
  private readonly api = inject(Api);
  private readonly drafts = inject(Drafts);
  private readonly folder = inject(HeldFolder);
  /** Edited, and not yet in the page. */
  private left: readonly Edit[] = [];
  /** As it is; `page` is what is shown of it. */
  private now: Page = NO_PAGE;
  private readonly page = new BehaviorSubject<Page>(NO_PAGE);
  private readonly talk = new BehaviorSubject<Talk>({ kind: 'loading' });
  private readonly keptAt = new BehaviorSubject<number | null>(null);
  private readonly history = new BehaviorSubject<History>(NO_HISTORY);
  private readonly setAside = new BehaviorSubject<readonly Damaged[]>([]);
  private readonly edits = new Subject<void>();
  private readonly refusals = new Subject<string>();
  private saving = false;

  /** Why an edit was not taken up: this window is a phone's, and may not make it. */
  readonly refused$: Observable<string> = this.refusals.asObservable();
  readonly state$: Observable<SaveState> = combineLatest([this.page, this.talk, this.keptAt]).pipe(
    map(([page, talk, at]) => stateOf(page, talk, at)),
    distinctUntilChanged(sameState),
  );
  readonly history$: Observable<History> = this.history.asObservable();
  /** Stored and not readable: each with its earlier saves. */
  readonly damaged$: Observable<readonly Damaged[]> = this.setAside.asObservable();

  constructor() {
    this.edits.pipe(debounceTime(SAVE_AFTER_MS)).subscribe(() => void this.save());
    // Before the drafts are written for the last time.
    addEventListener('pagehide', () => this.writeLeft(), { capture: true });
    void this.load();
  }

  /** Every document of a kind, in a list that only changes when one of them does. */
  list$<K extends DocumentKind>(kind: K): Observable<readonly BodyOf[K][]> {
    let before: readonly BodyOf[K][] = [];
    return this.page.pipe(
      map(() => {
        const now = this.all(kind);
        if (now.length !== before.length || now.some((body, i) => body !== before[i])) before = now;
        return before;
      }),
    );
  }

  get<K extends DocumentKind>(kind: K, id: string): BodyOf[K] | null {
    return (this.now.held.get(keyOf({ kind, id }))?.body as BodyOf[K] | undefined) ?? null;
  }

  all<K extends DocumentKind>(kind: K): readonly BodyOf[K][] {
    return bodiesByKind(this.now.held).get(kind) as readonly BodyOf[K][];
  }

  /**
   * One undoable step over any number of documents. A body that its schema refuses throws: screens check before.
   * `read` says that every body has just come from its schema, so a large import is not read twice.
   * What this window may not keep is refused before it is taken up: the server would refuse it with all that waits beside it.
   */
  commit(label: string, edits: readonly Edit[], merge: string | null = null, read = false): void {
    const right = this.folder.right();
    if (right && edits.some(({ kind }) => !mayKeep(right, kind))) return this.refusals.next(refusal(right));
    for (const { kind, id, body } of read ? [] : edits) {
      const found = body === null ? null : readWith(BODY_SCHEMAS[kind] as Parameters<typeof readWith>[0], body);
      if (found && !found.ok) throw new Error(`${kind} ${id}: ${found.faults[0]?.path} ${found.faults[0]?.message}`);
    }
    this.writeLeft();
    this.record(label, edits, merge);
    this.write(edits);
  }

  undo(): string | null {
    const result = undone(this.history.value);
    if (!result) return null;
    this.history.next(result.history);
    this.write(result.step.before);
    return result.step.label;
  }

  redo(): string | null {
    const result = redone(this.history.value);
    if (!result) return null;
    this.history.next(result.history);
    this.write(result.step.after);
    return result.step.label;
  }

  /** Answers a conflict: mine over theirs, or theirs taken (which undo turns back). */
  settle(keep: 'mine' | 'theirs'): void {
    const { conflicts } = this.now;
    if (keep === 'theirs') {
      const theirs = [...conflicts].map(([key, stored]) => ({
        kind: this.now.held.get(key)!.kind,
        id: this.now.held.get(key)!.id,
        body: stored?.body ?? null,
      }));
      this.record('taking the other version', theirs, null);
    }
    this.step(settled(this.now, keep, [...conflicts.keys()]));
    void this.save();
  }

  /** Puts a backup in place of everything, or beside it. What was here is undone back to, and kept as a backup by the server. */
  async restore(from: BackupFrom, way: RestoreWay): Promise<void> {
    this.writeLeft();
    await this.save();
    if (this.saving || this.now.dirty.size > 0)
      throw new Error('What you typed last is not kept by the server yet. Try again when it is.');
    this.saving = true;
    try {
      const before = this.now;
      const list = await firstValueFrom(this.api.restore(from, way));
      this.take(list);
      const held = new Map(this.now.held);
      // What the backup does not have stands deleted one save further on, so that undo can bring it back.
      for (const [key, was] of before.held)
        if (!held.has(key)) held.set(key, { ...was, revision: was.revision + 1, body: null });
      this.show({ ...this.now, held });
      const after = [...held.values()]
        .filter((h) => before.held.get(keyOf(h))?.body !== h.body)
        .map(({ kind, id, body }) => ({ kind, id, body }));
      const changed = after.filter(
        ({ kind, id, body }) =>
          JSON.stringify(before.held.get(keyOf({ kind, id }))?.body ?? null) !== JSON.stringify(body),
      );
      this.history.next(
        recorded(this.history.value, {
          label: 'restoring a backup',
          before: bodies(before, changed),
          after: changed,
          merge: null,
          at: Date.now(),
        }),
      );
      this.keptAt.next(Date.now());
    } finally {
      this.saving = false;
    }
    if (this.now.dirty.size > 0) this.edits.next();
  }

  /** Puts an earlier save of a document back, as an edit that can be undone. */
  async goBack(kind: DocumentKind, id: string, revision: number, label: string): Promise<void> {
    const past = await firstValueFrom(this.api.onePast(kind, id, revision));
    this.commit(label, [{ kind, id, body: past.body ?? null }]);
    this.setAside.next(this.setAside.value.filter((d) => d.kind !== kind || d.id !== id));
  }

  /** What was typed on this address for another folder, and is still only in this browser. */
  ofOtherFolders(): Promise<readonly ChangeRequest[]> {
    return this.now.folder === '' ? Promise.resolve([]) : this.drafts.ofOthers(this.now.folder);
  }

  /** Brings that in here as edits, or lets go of it. */
  async takeOfOtherFolders(how: 'bring in' | 'let go'): Promise<void> {
    if (how === 'bring in') {
      const newest = new Map(
        (await this.ofOtherFolders()).map((d) => [keyOf(d), { kind: d.kind, id: d.id, body: d.body ?? null }]),
      );
      this.commit('bringing in what was typed for another folder', [...newest.values()]);
    }
    await this.drafts.forgetOthers(this.now.folder);
  }

  private record(label: string, edits: readonly Edit[], merge: string | null): void {
    this.history.next(
      recorded(this.history.value, { label, before: bodies(this.now, edits), after: edits, merge, at: Date.now() }),
    );
  }

  /** At once; of an import of thousands only the first portion, the rest task by task, and shown when all of it is there. */
  private write(edits: readonly Edit[]): void {
    this.writeLeft();
    this.left = edits;
    this.writePortion();
  }

  private writePortion(): void {
    if (this.left.length === 0) return;
    const portion = this.left.slice(0, WRITTEN_AT_ONCE);
    this.left = this.left.slice(WRITTEN_AT_ONCE);
    const step = edited(this.now, portion);
    if (this.left.length === 0) {
      this.step(step);
      this.edits.next();
    } else {
      this.owe(step);
      setTimeout(() => this.writePortion());
    }
  }

  /** Another edit, or whoever sends them, waits for no portion. */
  private writeLeft(): void {
    if (this.left.length === 0) return;
    const step = edited(this.now, this.left);
    this.left = [];
    this.step(step);
    this.edits.next();
  }

  private step(step: Step): void {
    this.owe(step);
    this.show(step.page);
  }

  private owe({ page, put, drop }: Step): void {
    if (put.length > 0) void this.drafts.put(put);
    void this.drafts.drop(page.folder, drop);
    this.now = page;
  }

  private show(page: Page): void {
    this.now = page;
    this.page.next(page);
  }

  private async load(): Promise<void> {
    let away = false;
    try {
      this.take(await firstValueFrom(this.api.loadAll()));
    } catch (error) {
      if (!(error instanceof ServerAway))
        return this.talk.next({
          kind: 'unread',
          reason: error instanceof Error ? error.message : 'The data could not be read.',
        });
      away = true;
      this.take(await this.drafts.copy(), false);
    }
    await this.adopt();
    this.talk.next({ kind: away ? 'away' : 'well' });
    if (away || this.now.dirty.size > 0) void this.save();
  }

  private take(list: StoredList, fromServer = true): void {
    if (fromServer) {
      void this.drafts.replaceCopy(list.folder, list.documents);
      this.folder.setRight(list.right);
    }
    this.folder.mark = list.folder;
    this.setAside.next(list.damaged);
    const before = this.now;
    this.show(taken(before, list));
    if (before.folder !== '' || before.dirty.size === 0) return;
    this.step(refiled(this.now));
    void this.drafts.drop(
      '',
      [...before.dirty].map(([key, serial]) => ({ key, serial })),
    );
  }

  /** Takes up what windows that are gone have left, one a document; the next when that one is settled. */
  private async adopt(): Promise<void> {
    const drafts = await this.drafts.adopt(this.now.folder, (draft) => isFree(this.now, draft));
    if (drafts.length > 0) this.step(adopted(this.now, drafts));
  }

  private async save(): Promise<void> {
    if (this.saving || this.talk.value.kind === 'elsewhere') return;
    const sent = toSend(this.now, SENT_AT_ONCE);
    if (sent.length === 0 && this.talk.value.kind === 'well') return;
    this.saving = true;
    try {
      if (sent.length === 0) this.take(await firstValueFrom(this.api.loadAll()));
      else {
        const answers = await firstValueFrom(this.api.save(sent));
        // The page as it is now: what was edited while the request was under way is in it.
        this.step(acknowledged(this.now, sent, answers));
      }
      this.keptAt.next(Date.now());
      this.talk.next({ kind: 'well' });
      void this.drafts.keepCopy(
        sent.flatMap((s): Stored[] => {
          const now = this.now.held.get(keyOf(s));
          return now ? [{ ...now, savedAt: '' }] : [];
        }),
      );
      if (this.now.dirty.size === 0) await this.adopt();
      if (sent.length === SENT_AT_ONCE) setTimeout(() => void this.save());
      else if (toSend(this.now, 1).length > 0) this.edits.next();
    } catch (error) {
      this.failed(error, sent);
    } finally {
      this.saving = false;
    }
  }

  private failed(error: unknown, sent: readonly ChangeRequest[]): void {
    if (error instanceof Refused) {
      const { conflicts, folder, status, detail } = error.problem;
      if (folder !== undefined) return this.talk.next({ kind: 'elsewhere' });
      if (conflicts) {
        this.step(conflicted(this.now, conflicts));
        this.talk.next({ kind: 'well' });
        return this.edits.next();
      }
      if (status !== DISK_FULL) return this.talk.next({ kind: 'refused', reason: detail });
    } else if (!(error instanceof ServerAway)) {
      return this.talk.next({
        kind: 'refused',
        reason: error instanceof Error ? error.message : 'It could not be saved.',
      });
    } else this.show(unheard(this.now, sent));
    this.talk.next({ kind: error instanceof ServerAway ? 'away' : 'full' });
    setTimeout(() => void this.save(), TRY_AGAIN_MS);
  }
}

/** What there is of each kind, worked out once a state: every list asks for it. */
const grouped = new WeakMap<Page['held'], ReadonlyMap<DocumentKind, readonly unknown[]>>();
function bodiesByKind(held: Page['held']): ReadonlyMap<DocumentKind, readonly unknown[]> {
  const before = grouped.get(held);
  if (before) return before;
  const made = new Map<DocumentKind, unknown[]>(DOCUMENT_KINDS.map((kind) => [kind, []]));
  for (const { kind, body } of held.values()) if (body !== null) made.get(kind)!.push(body);
  grouped.set(held, made);
  return made;
}

/** HTTP: insufficient storage. */
const DISK_FULL = 507;

const bodies = (page: Page, edits: readonly Edit[]): readonly Edit[] =>
  edits.map(({ kind, id }) => ({ kind, id, body: page.held.get(keyOf({ kind, id }))?.body ?? null }));

function stateOf(page: Page, talk: Talk, at: number | null): SaveState {
  const waiting = page.dirty.size;
  if (talk.kind === 'unread' || talk.kind === 'loading') return talk as SaveState;
  if (talk.kind === 'elsewhere') return { kind: 'elsewhere', waiting };
  if (page.conflicts.size > 0) {
    return {
      kind: 'conflict',
      conflicts: [...page.conflicts].map(([key, theirs]) => ({ mine: page.held.get(key)!, theirs })),
    };
  }
  if (talk.kind === 'away' || talk.kind === 'full') return { kind: talk.kind, waiting };
  if (talk.kind === 'refused') return talk;
  return waiting > 0 ? { kind: 'keeping' } : { kind: 'kept', at };
}

function sameState(a: SaveState, b: SaveState): boolean {
  if (a.kind !== b.kind) return false;
  if (a.kind === 'conflict' && b.kind === 'conflict')
    return (
      a.conflicts.length === b.conflicts.length && a.conflicts.every((c, i) => c.theirs === b.conflicts[i]!.theirs)
    );
  return JSON.stringify(a) === JSON.stringify(b);
}
