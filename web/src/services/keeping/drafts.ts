/** What has been typed but not yet acknowledged, a draft a window and document, and the last copy of everything: kept in the browser. */
import { Injectable } from '@angular/core';
import type { ChangeRequest, Stored, StoredList } from '@tide-pebble/core';
import { openDB, unwrap, type DBSchema, type IDBPDatabase, type IDBPTransaction } from 'idb';
import { afterPaint } from '../after-paint';
import { keyOf, type Draft, type DropDraft } from './page';

/** `tab` is the window that typed it. Empty folder and tab: kept by an earlier form of this program, which had one folder and shared its drafts. */
interface Kept extends Draft {
  readonly tab: string;
}
interface Boxes extends DBSchema {
  drafts: { key: string; value: Kept };
  copy: { key: string; value: Stored };
  about: { key: string; value: string };
}

/** Documents put in one go: more would hold up the page while they are copied. */
const PORTION = 100;
/** Between two portions whatever else waits has its turn. */
const pause = (): Promise<void> => new Promise((on) => setTimeout(on));
const COPY_OF = 'the folder the copy is of';
const LOCK = 'tide-pebble window ';
const boxKey = (d: {
  readonly folder: string;
  readonly tab: string;
  readonly kind: Stored['kind'];
  readonly id: string;
}): string => `${d.folder} ${d.tab} ${keyOf(d)}`;

@Injectable({ providedIn: 'root' })
export class Drafts {
  /** A window's own mark, new with each load. While it lives it holds a lock of that name, so that others leave its drafts alone. */
  private readonly tab = crypto.randomUUID();
  private readonly db: Promise<IDBPDatabase<Boxes> | null> = inTime(
    openDB<Boxes>('tide-pebble', 3, {
      upgrade: async (db, from, _to, step) => {
        if (from < 1) db.createObjectStore('drafts');
        else await keptBefore(step);
        // The copy was one value of everything; now each document is its own.
        if (from === 1) db.deleteObjectStore('copy');
        if (from < 2) db.createObjectStore('copy');
        db.createObjectStore('about');
      },
      // An older window holds the store: it lets go when it is asked.
      blocking: (_now, _wanted, event) => (event.target as IDBDatabase).close(),
      // A private window may have no storage: then drafts live as long as the page.
    }),
  ).catch(() => null);

  /** Put but not written yet, the newest of each. */
  private readonly waiting = new Map<string, Draft>();
  /** The newest edit of each of this window's drafts, by its place in the store. */
  private readonly newest = new Map<string, number>();
  private writing: Promise<void> | null = null;
  private writeNow: () => void = () => undefined;

  constructor() {
    // Held until the page is gone.
    void navigator.locks?.request(`${LOCK}${this.tab}`, () => new Promise(() => undefined));
    // A page that is left does not paint again, and has no next portion.
    addEventListener('pagehide', () => {
      this.writeNow();
      void this.writeSome(Infinity);
    });
  }

  /** Written once the edit has been painted: copying would keep the figures waiting. */
  put(drafts: readonly Draft[]): Promise<void> {
    for (const draft of drafts) {
      this.waiting.set(keyOf(draft), draft);
      this.newest.set(boxKey({ ...draft, tab: this.tab }), draft.serial);
    }
    this.writing ??= this.writeWaiting();
    return this.writing;
  }

  private async writeWaiting(): Promise<void> {
    await new Promise<void>((painted) => afterPaint((this.writeNow = painted)));
    while (this.waiting.size > PORTION) {
      await this.writeSome(PORTION);
      await pause();
    }
    // What is put from here on waits for the next paint.
    this.writing = null;
    await this.writeSome(Infinity);
  }

  private async writeSome(most: number): Promise<void> {
    const list: Kept[] = [];
    for (const [key, draft] of this.waiting) {
      if (list.length >= most) break;
      list.push({ ...draft, tab: this.tab });
      this.waiting.delete(key);
    }
    if (list.length > 0) await this.inOneGo('drafts', (box) => list.forEach((d) => box.put(d, boxKey(d))));
  }

  /** Lets go of this window's drafts that are acknowledged; one edited again since then stays. */
  async drop(folder: string, list: readonly DropDraft[]): Promise<void> {
    await this.writing;
    await this.inPortions('drafts', list, (box, { key, serial }) => {
      const at = `${folder} ${this.tab} ${key}`;
      if ((this.newest.get(at) ?? 0) > serial) return;
      this.newest.delete(at);
      box.delete(at);
    });
  }

  /**
   * Takes over what windows that are gone left for this folder: at most one draft a document, and only where `free` says so;
   * in one step, so that two windows never take the same.
   */
  async adopt(folder: string, free: (draft: ChangeRequest) => boolean): Promise<readonly ChangeRequest[]> {
    await this.writing;
    const db = await this.db;
    if (!db) return [];
    const alive = new Set(((await navigator.locks?.query())?.held ?? []).map((l) => l.name?.replace(LOCK, '')));
    const step = db.transaction('drafts', 'readwrite');
    const taken = new Map<string, Kept>();
    for (let at = await step.store.openCursor(); at; at = await at.continue()) {
      const draft = at.value;
      const mine = draft.folder === folder || draft.folder === '';
      if (!mine || draft.tab === this.tab || alive.has(draft.tab) || taken.has(keyOf(draft)) || !free(draft)) continue;
      taken.set(keyOf(draft), { ...draft, folder, tab: this.tab, serial: 0 });
      await at.delete();
    }
    for (const draft of taken.values()) await step.store.put(draft, boxKey(draft));
    await step.done;
    return [...taken.values()].map(({ kind, id, revision, body }) => ({ kind, id, revision, body }));
  }

  /** What was typed for other folders and never reached them. */
  async ofOthers(folder: string): Promise<readonly Draft[]> {
    return ((await (await this.db)?.getAll('drafts')) ?? []).filter((d) => d.folder !== folder && d.folder !== '');
  }

  /** Lets go of what was typed for other folders. */
  async forgetOthers(folder: string): Promise<void> {
    const step = (await this.db)?.transaction('drafts', 'readwrite');
    if (!step) return;
    for (let at = await step.store.openCursor(); at; at = await at.continue())
      if (at.value.folder !== folder && at.value.folder !== '') await at.delete();
    await step.done;
  }

  /** What has just been saved; deleted documents (no body) leave the copy. */
  async keepCopy(documents: readonly Stored[]): Promise<void> {
    await this.inPortions('copy', documents, (box, d) =>
      d.body === null ? box.delete(keyOf(d)) : box.put(d, keyOf(d)),
    );
  }

  /** All there is, in place of what the copy held. */
  async replaceCopy(folder: string, documents: readonly Stored[]): Promise<void> {
    const db = await this.db;
    await db?.clear('copy');
    await db?.put('about', folder, COPY_OF);
    await this.inPortions('copy', documents, (box, d) => box.put(d, keyOf(d)));
  }

  async copy(): Promise<StoredList> {
    const db = await this.db;
    return {
      folder: (await db?.get('about', COPY_OF)) ?? '',
      documents: (await db?.getAll('copy')) ?? [],
      damaged: [],
    };
  }

  private async inPortions<T>(
    store: 'drafts' | 'copy',
    list: readonly T[],
    act: (box: IDBObjectStore, one: T) => void,
  ): Promise<void> {
    for (let from = 0; from < list.length; from += PORTION) {
      await pause();
      await this.inOneGo(store, (box) => list.slice(from, from + PORTION).forEach((one) => act(box, one)));
    }
  }

  /** One step of the store, told of as a whole: hearing of each document by itself would take longer than writing it. */
  private async inOneGo(store: 'drafts' | 'copy', act: (box: IDBObjectStore) => void): Promise<void> {
    const step = (await this.db)?.transaction(store, 'readwrite');
    if (!step) return;
    act(unwrap(step.store));
    // Left to itself it commits after the page has heard of each: a page that is left hears nothing, and all would be undone.
    step.commit();
    await step.done;
  }
}

/** A window of an earlier form that is still open keeps the store shut: this one does without rather than wait for it. */
const SHUT_AFTER_MS = 3000;
const inTime = <T>(opened: Promise<T>): Promise<T | null> =>
  Promise.race([opened, new Promise<null>((late) => setTimeout(() => late(null), SHUT_AFTER_MS))]);

/** Drafts of the form before: by document alone, of whichever folder. */
async function keptBefore(
  step: IDBPTransaction<Boxes, ('drafts' | 'copy' | 'about')[], 'versionchange'>,
): Promise<void> {
  const store = step.objectStore('drafts');
  const old = (await store.getAll()) as unknown as ChangeRequest[];
  await store.clear();
  for (const change of old)
    await store.put({ ...change, folder: '', tab: '', serial: 0 }, boxKey({ ...change, folder: '', tab: '' }));
}
