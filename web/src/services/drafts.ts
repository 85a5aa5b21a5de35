/** What has been typed but not yet acknowledged by the server, and the last copy of everything: kept in the browser. */
import { Injectable } from '@angular/core';
import type { ChangeRequest, Stored } from '@tide-pebble/core';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { afterPaint } from './after-paint';

interface Boxes extends DBSchema {
  drafts: { key: string; value: ChangeRequest };
  copy: { key: string; value: Stored };
}
type Keyed = Pick<Stored, 'kind' | 'id'>;

/** Documents put in one go: more would hold up the page while they are copied. */
const PORTION = 300;
const keyOf = ({ kind, id }: Keyed): string => `${kind}/${id}`;

@Injectable({ providedIn: 'root' })
export class Drafts {
  private readonly db: Promise<IDBPDatabase<Boxes> | null> = openDB<Boxes>('tide-pebble', 2, {
    upgrade: (db, from) => {
      if (from < 1) db.createObjectStore('drafts');
      // The copy was one value of everything; now each document is its own.
      if (from === 1) db.deleteObjectStore('copy');
      db.createObjectStore('copy');
    },
    // A private window may have no storage: then drafts live as long as the page.
  }).catch(() => null);

  /** Put but not written yet, the newest of each. */
  private readonly waiting = new Map<string, ChangeRequest>();
  private writing: Promise<void> | null = null;
  private writeNow: () => void = () => undefined;

  constructor() {
    // A page that is left does not paint again.
    addEventListener('pagehide', () => this.writeNow());
  }

  /** Written once the edit has been painted: copying would keep the figures waiting. */
  put(changes: readonly ChangeRequest[]): Promise<void> {
    for (const change of changes) this.waiting.set(keyOf(change), change);
    this.writing ??= new Promise<void>((painted) => afterPaint((this.writeNow = painted))).then(() => {
      const list = [...this.waiting.values()];
      this.waiting.clear();
      this.writing = null;
      return this.inPortions('drafts', list);
    });
    return this.writing;
  }

  async drop(keys: readonly string[]): Promise<void> {
    await this.writing;
    const db = await this.db;
    if (!db || keys.length === 0) return;
    const step = db.transaction('drafts', 'readwrite');
    await Promise.all([...keys.map((key) => step.store.delete(key)), step.done]);
  }

  async all(): Promise<readonly ChangeRequest[]> {
    await this.writing;
    return (await (await this.db)?.getAll('drafts')) ?? [];
  }

  /** What has just been saved; deleted documents (no body) leave the copy. */
  async keepCopy(documents: readonly Stored[]): Promise<void> {
    await this.inPortions('copy', documents.filter((d) => d.body !== null));
    const db = await this.db;
    const gone = documents.filter((d) => d.body === null);
    if (!db || gone.length === 0) return;
    const step = db.transaction('copy', 'readwrite');
    await Promise.all([...gone.map((d) => step.store.delete(keyOf(d))), step.done]);
  }

  /** All there is, in place of what the copy held. */
  async replaceCopy(documents: readonly Stored[]): Promise<void> {
    const db = await this.db;
    await db?.clear('copy');
    await this.inPortions('copy', documents);
  }

  async copy(): Promise<readonly Stored[]> {
    return (await (await this.db)?.getAll('copy')) ?? [];
  }

  private async inPortions<S extends 'drafts' | 'copy'>(store: S, list: readonly Boxes[S]['value'][]): Promise<void> {
    const db = await this.db;
    for (let from = 0; db && from < list.length; from += PORTION) {
      const step = db.transaction(store, 'readwrite');
      const put = list.slice(from, from + PORTION).map((d) => step.store.put(d, keyOf(d)));
      // Left to itself it commits after the page has heard of each: a page that is left hears nothing, and all would be undone.
      step.commit();
      await Promise.all([...put, step.done]);
    }
  }
}
