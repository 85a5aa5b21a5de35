/** All documents of the data folder: read, edited with undo, saved by themselves, and kept here while the server is away. */
import { inject, Injectable } from '@angular/core';
import { readWith, BODY_SCHEMAS, type BodyOf, type ChangeRequest, type DocumentKind, type Problem, type Stored } from '@tide-pebble/core';
import { BehaviorSubject, firstValueFrom, map, Subject, debounceTime, type Observable } from 'rxjs';
import { Api, Refused, ServerAway } from './api';
import { Drafts } from './drafts';
import { NO_HISTORY, recorded, redone, undone, type Edit, type History } from './history';

export type SaveState =
  | { readonly kind: 'loading' }
  | { readonly kind: 'kept'; readonly at: number | null }
  | { readonly kind: 'keeping' }
  | { readonly kind: 'away'; readonly waiting: number }
  | { readonly kind: 'conflict'; readonly conflicts: NonNullable<Problem['conflicts']> }
  | { readonly kind: 'refused'; readonly reason: string };

interface Entry {
  readonly kind: DocumentKind;
  readonly id: string;
  readonly revision: number;
  readonly body: unknown;
}
type Entries = ReadonlyMap<string, Entry>;

const SAVE_AFTER_MS = 350;
const TRY_AGAIN_MS = 2500;
const keyOf = (kind: DocumentKind, id: string): string => `${kind}/${id}`;

@Injectable({ providedIn: 'root' })
export class Documents {
  private readonly api = inject(Api);
  private readonly drafts = inject(Drafts);
  private readonly entries = new BehaviorSubject<Entries>(new Map());
  private readonly history = new BehaviorSubject<History>(NO_HISTORY);
  private readonly state = new BehaviorSubject<SaveState>({ kind: 'loading' });
  private readonly dirty = new Set<string>();
  /** Sent, and no answer came: what the server holds may be one of these, and is then no one else's. */
  private readonly unanswered = new Map<string, unknown[]>();
  private readonly edited = new Subject<void>();
  private saving = false;

  readonly state$: Observable<SaveState> = this.state.asObservable();
  readonly history$: Observable<History> = this.history.asObservable();

  constructor() {
    this.edited.pipe(debounceTime(SAVE_AFTER_MS)).subscribe(() => void this.save());
    void this.load();
  }

  /** Every document of a kind, in a list that only changes when one of them does. */
  list$<K extends DocumentKind>(kind: K): Observable<readonly BodyOf[K][]> {
    let before: readonly BodyOf[K][] = [];
    return this.entries.pipe(map((entries) => {
      const now = [...entries.values()].filter((e) => e.kind === kind && e.body !== null).map((e) => e.body as BodyOf[K]);
      if (now.length !== before.length || now.some((body, i) => body !== before[i])) before = now;
      return before;
    }));
  }

  get<K extends DocumentKind>(kind: K, id: string): BodyOf[K] | null {
    return (this.entries.value.get(keyOf(kind, id))?.body as BodyOf[K] | undefined) ?? null;
  }

  all<K extends DocumentKind>(kind: K): readonly BodyOf[K][] {
    return [...this.entries.value.values()].filter((e) => e.kind === kind && e.body !== null).map((e) => e.body as BodyOf[K]);
  }

  /**
   * One undoable step over any number of documents. A body that its schema refuses throws: screens check before.
   * `read` says that every body has just come from its schema, so a large import is not read twice.
   */
  commit(label: string, edits: readonly Edit[], merge: string | null = null, read = false): void {
    for (const { kind, id, body } of read ? [] : edits) {
      const found = body === null ? null : readWith(BODY_SCHEMAS[kind] as Parameters<typeof readWith>[0], body);
      if (found && !found.ok) throw new Error(`${kind} ${id}: ${found.faults[0]?.path} ${found.faults[0]?.message}`);
    }
    const before = edits.map(({ kind, id }) => ({ kind, id, body: this.entries.value.get(keyOf(kind, id))?.body ?? null }));
    this.history.next(recorded(this.history.value, { label, before, after: edits, merge, at: Date.now() }));
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
    const { value } = this.state;
    if (value.kind !== 'conflict') return;
    const next = new Map(this.entries.value);
    for (const { mine, theirs } of value.conflicts) {
      const key = keyOf(mine.kind, mine.id);
      next.set(key, { kind: mine.kind, id: mine.id, revision: theirs?.revision ?? 0, body: next.get(key)?.body ?? null });
      if (keep === 'theirs') this.dirty.delete(key);
    }
    this.entries.next(next);
    this.state.next({ kind: 'keeping' });
    if (keep === 'theirs') {
      const theirs = value.conflicts.map(({ mine, theirs: t }) => ({ kind: mine.kind, id: mine.id, body: t?.body ?? null }));
      this.commit('taking the other version', theirs);
    }
    void this.save();
  }

  /** Puts a backup in place of everything. Not undoable: the server keeps what was there before. */
  async restore(file: Blob): Promise<void> {
    this.take(await firstValueFrom(this.api.restore(file)));
    this.history.next(NO_HISTORY);
    this.state.next({ kind: 'kept', at: Date.now() });
  }

  private write(edits: readonly Edit[]): void {
    const next = new Map(this.entries.value);
    const written = edits.map(({ kind, id, body }) => ({ kind, id, body, revision: next.get(keyOf(kind, id))?.revision ?? 0 }));
    for (const entry of written) {
      next.set(keyOf(entry.kind, entry.id), entry);
      this.dirty.add(keyOf(entry.kind, entry.id));
    }
    void this.drafts.put(written);
    this.entries.next(next);
    if (this.state.value.kind !== 'conflict' && this.state.value.kind !== 'away') this.state.next({ kind: 'keeping' });
    this.edited.next();
  }

  private async load(): Promise<void> {
    let away = false;
    try {
      this.take(await firstValueFrom(this.api.loadAll()));
    } catch (error) {
      if (!(error instanceof ServerAway)) return this.state.next({ kind: 'refused', reason: error instanceof Error ? error.message : 'The data could not be read.' });
      away = true;
      this.take(await this.drafts.copy(), false);
    }
    const drafts = await this.drafts.all();
    const next = new Map(this.entries.value);
    for (const draft of drafts) {
      const key = keyOf(draft.kind, draft.id);
      next.set(key, { kind: draft.kind, id: draft.id, revision: draft.revision, body: draft.body ?? null });
      this.dirty.add(key);
    }
    this.entries.next(next);
    this.state.next(away ? { kind: 'away', waiting: drafts.length } : { kind: 'kept', at: null });
    if (away || drafts.length > 0) void this.save();
  }

  private take(documents: readonly Stored[], fromServer = true): void {
    if (fromServer) void this.drafts.replaceCopy(documents);
    this.entries.next(new Map(documents.map((d) => [keyOf(d.kind, d.id), { kind: d.kind, id: d.id, revision: d.revision, body: d.body }])));
  }

  private async save(): Promise<void> {
    if (this.saving || this.state.value.kind === 'conflict') return;
    const sent = [...this.dirty].map((key) => this.entries.value.get(key)).filter((e): e is Entry => e !== undefined);
    if (sent.length === 0 && this.state.value.kind !== 'away') {
      if (this.state.value.kind === 'keeping') this.state.next({ kind: 'kept', at: Date.now() });
      return;
    }
    this.saving = true;
    try {
      if (sent.length === 0) this.take(await firstValueFrom(this.api.loadAll()));
      else await this.acknowledge(sent, await firstValueFrom(this.api.save(sent.map(requestOf))));
      this.state.next(this.dirty.size > 0 ? { kind: 'keeping' } : { kind: 'kept', at: Date.now() });
      void this.drafts.keepCopy(sent.map(({ kind, id }) => this.entries.value.get(keyOf(kind, id))).filter((e) => e !== undefined).map((e) => ({ ...e, savedAt: '' })));
      if (this.dirty.size > 0) this.edited.next();
    } catch (error) {
      this.failed(error, sent);
    } finally {
      this.saving = false;
    }
  }

  /** Only what has not been edited again meanwhile is clean. */
  private async acknowledge(sent: readonly Entry[], answers: readonly { kind: DocumentKind; id: string; revision: number }[]): Promise<void> {
    const next = new Map(this.entries.value);
    const clean: string[] = [];
    for (const { kind, id, revision } of answers) {
      const key = keyOf(kind, id);
      const now = next.get(key);
      const was = sent.find((e) => e.kind === kind && e.id === id);
      if (!now || !was) continue;
      next.set(key, { ...now, revision });
      this.unanswered.delete(key);
      if (now.body === was.body) {
        this.dirty.delete(key);
        clean.push(key);
      } else void this.drafts.put([{ ...now, revision }]);
    }
    this.entries.next(next);
    await this.drafts.drop(clean);
  }

  /** The conflicts with somebody else; where the server holds what was sent from here, only its revision had not been heard of. */
  private notMine(conflicts: NonNullable<Problem['conflicts']>): NonNullable<Problem['conflicts']> {
    const next = new Map(this.entries.value);
    const others = conflicts.filter(({ mine: { kind, id }, theirs }) => {
      const key = keyOf(kind, id);
      const now = next.get(key);
      if (!now || !theirs || !this.unanswered.get(key)?.some((body) => same(kind, body, theirs.body))) return true;
      this.unanswered.delete(key);
      next.set(key, { ...now, revision: theirs.revision });
      void this.drafts.put([{ ...now, revision: theirs.revision }]);
      return false;
    });
    this.entries.next(next);
    return others;
  }

  private failed(error: unknown, sent: readonly Entry[]): void {
    if (error instanceof Refused && error.problem.conflicts) {
      const conflicts = this.notMine(error.problem.conflicts);
      this.state.next(conflicts.length > 0 ? { kind: 'conflict', conflicts } : { kind: 'keeping' });
      return this.edited.next();
    }
    if (error instanceof ServerAway) {
      for (const { kind, id, body } of sent) {
        const before = this.unanswered.get(keyOf(kind, id)) ?? [];
        // Tried every few seconds while the server is away: the same is noted once.
        if (!before.includes(body)) this.unanswered.set(keyOf(kind, id), [...before, body]);
      }
      this.state.next({ kind: 'away', waiting: this.dirty.size });
      setTimeout(() => void this.save(), TRY_AGAIN_MS);
      return;
    }
    this.state.next({ kind: 'refused', reason: error instanceof Error ? error.message : 'It could not be saved.' });
  }
}

/** As their schema writes them: it orders the keys. */
function same(kind: DocumentKind, a: unknown, b: unknown): boolean {
  if (a === null || b === null) return a === b;
  const [one, other] = [a, b].map((body) => readWith<unknown>(BODY_SCHEMAS[kind] as Parameters<typeof readWith<unknown>>[0], body));
  return one!.ok && other!.ok && JSON.stringify(one!.value) === JSON.stringify(other!.value);
}

const requestOf = ({ kind, id, revision, body }: Entry): ChangeRequest => ({ kind, id, revision, body });
