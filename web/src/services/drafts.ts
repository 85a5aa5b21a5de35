/** What has been typed but not yet acknowledged by the server, and the last copy of everything: kept in the browser. */
import { Injectable } from '@angular/core';
import type { ChangeRequest, Stored } from '@tide-pebble/core';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

interface Boxes extends DBSchema {
  drafts: { key: string; value: ChangeRequest };
  copy: { key: string; value: readonly Stored[] };
}

@Injectable({ providedIn: 'root' })
export class Drafts {
  private readonly db: Promise<IDBPDatabase<Boxes> | null> = openDB<Boxes>('tide-pebble', 1, {
    upgrade: (db) => {
      db.createObjectStore('drafts');
      db.createObjectStore('copy');
    },
    // A private window may have no storage: then drafts live as long as the page.
  }).catch(() => null);

  async put(change: ChangeRequest): Promise<void> {
    await (await this.db)?.put('drafts', change, `${change.kind}/${change.id}`);
  }

  async drop(keys: readonly string[]): Promise<void> {
    const db = await this.db;
    await Promise.all(keys.map((key) => db?.delete('drafts', key)));
  }

  async all(): Promise<readonly ChangeRequest[]> {
    return (await (await this.db)?.getAll('drafts')) ?? [];
  }

  async keepCopy(documents: readonly Stored[]): Promise<void> {
    await (await this.db)?.put('copy', documents, 'all');
  }

  async copy(): Promise<readonly Stored[] | null> {
    return (await (await this.db)?.get('copy', 'all')) ?? null;
  }
}
