/** A server on a folder of its own for each spec, and a rig body to save. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import type { KitItem } from '@tide-pebble/core';
import request from 'supertest';
import { makeApp, type AppOptions } from './app';
import { onlyThisMachine } from './guards';
import { Backups } from './store/backups';
import { openStore, type Store } from './store/openStore';

/** A busy machine is no reason to fail: a thread that unpacks takes seconds to start from source. */
jasmine.DEFAULT_TIMEOUT_INTERVAL = 60_000;

export const NOW = '2026-06-14T10:00:00.000Z';

export class Bench {
  readonly folder = mkdtempSync(join(tmpdir(), 'tide-pebble-'));
  readonly file = join(this.folder, 'tide-pebble.db');
  store: Store = openStore(this.file, 'own', () => NOW);
  readonly backups = new Backups(this.file, () => NOW);

  get http(): ReturnType<typeof request> {
    return request(makeApp(this.served, onlyThisMachine));
  }

  get served(): AppOptions {
    return {
      store: this.store,
      backups: this.backups,
      purpose: 'own',
      page: null,
      now: () => NOW,
      house: () => null,
    };
  }

  reopen(): void {
    this.store.close();
    this.store = openStore(this.file, 'own', () => NOW);
  }

  /** After each group: the file is whole and no key dangles. */
  sound(): boolean {
    const db = new Database(this.file, { readonly: true });
    const whole =
      db.pragma('integrity_check', { simple: true }) === 'ok' &&
      (db.pragma('foreign_key_check') as unknown[]).length === 0;
    db.close();
    return whole;
  }

  end(): void {
    this.store.close();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

export const item = (id: string, name = 'Heron body'): KitItem => ({
  id,
  name,
  class: 'camera',
  mass: { value: 0.5 },
  form: 'box',
  size: [0.06, 0.12, 0.07],
  boxCentre: [0, 0, 0.035],
  mountPoints: [],
});
export const save = (id: string, revision: number, name?: string) => ({
  kind: 'kit' as const,
  id,
  revision,
  body: item(id, name),
});
