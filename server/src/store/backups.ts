/** Copies of the whole data file that the server keeps by itself: by the hour, then the day, then the week, within a size. */
import { copyFileSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { copyFile } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import Database from 'better-sqlite3';
import { damageOf } from './damage';
import { migrate } from './migrate';
import { openStore, type Contents, type Store } from './openStore';
import type { Photo } from '../photo';
import { migrations, queryText } from './sqlFiles';

export interface KeptBackup {
  readonly name: string;
  readonly savedAt: string;
  readonly bytes: number;
}

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
/** One an hour for a day, one a day for two weeks, one a week for a quarter of a year. */
const LADDER = [
  { every: HOUR, for: DAY },
  { every: DAY, for: 14 * DAY },
  { every: 7 * DAY, for: 91 * DAY },
] as const;
/** All of them together, bytes: photos make a data file large. */
export const BACKUPS_AT_MOST = 512 * 1024 * 1024;
const NAME = /^tide-pebble-(\d{4})-(\d{2})-(\d{2})T(\d{2})-(\d{2})-(\d{2})-(\d{3})Z\.db$/;

/** What may go: the newest of each rung stays, the newest of all always; the oldest first where the size is passed. Times in ms. */
export function backupsToDrop(
  kept: readonly { readonly name: string; readonly at: number; readonly bytes: number }[],
  now: number,
  bytesAtMost = BACKUPS_AT_MOST,
): readonly string[] {
  const newestFirst = [...kept].sort((a, b) => b.at - a.at);
  const held = new Set<string>();
  const stays = newestFirst.filter(({ at }, i) => {
    if (i === 0) return true;
    const rung = LADDER.find((r) => now - at < r.for);
    if (!rung) return false;
    const slot = `${rung.every} ${Math.floor(at / rung.every)}`;
    return held.has(slot) ? false : (held.add(slot), true);
  });
  let sum = 0;
  const fits = new Set(stays.filter(({ bytes }, i) => (sum += bytes) <= bytesAtMost || i === 0).map((s) => s.name));
  return kept.filter((k) => !fits.has(k.name)).map((k) => k.name);
}

export class Backups {
  private readonly folder: string;
  private copied = -1;
  private running: Promise<KeptBackup> | null = null;

  constructor(
    private readonly dataFile: string,
    private readonly now: () => string,
  ) {
    this.folder = join(dirname(dataFile), 'backups');
  }

  /** The newest first. */
  list(): readonly KeptBackup[] {
    if (!existsSync(this.folder)) return [];
    return readdirSync(this.folder)
      .filter((name) => NAME.test(name))
      .sort()
      .reverse()
      .map((name) => ({ name, savedAt: timeOf(name), bytes: statSync(join(this.folder, name)).size }));
  }

  /** Copies what is there now, whatever else is kept. One at a time. */
  make(store: Store): Promise<KeptBackup> {
    this.running ??= this.copy(store).finally(() => (this.running = null));
    return this.running;
  }

  /** Copies when something has changed since the last copy and that is an hour old. */
  async makeIfDue(store: Store): Promise<void> {
    const newest = this.list()[0];
    const due = !newest || Date.parse(this.now()) - Date.parse(newest.savedAt) >= HOUR;
    if (due && store.changeCount() !== this.copied && !store.isEmpty()) await this.make(store);
  }

  /** The newest that is sound, for a data file that is not. */
  newestSound(): KeptBackup | null {
    return this.list().find((b) => damageOf(join(this.folder, b.name)) === null) ?? null;
  }

  /** What is in one. It is read from a copy: opening brings it to today's form, and a backup is never written to. */
  async open(name: string): Promise<(Contents & { readonly photos: readonly Photo[] }) | null> {
    const found = this.list().find((b) => b.name === basename(name));
    if (!found) return null;
    const copy = join(this.folder, `opened-${process.pid}-${Date.now()}.db`);
    try {
      await copyFile(join(this.folder, found.name), copy);
      const whole = openStore(copy, null, this.now);
      const read = { ...whole.contents(), photos: whole.photos() };
      whole.close();
      return read;
    } finally {
      for (const end of ['', '-wal', '-shm']) rmSync(copy + end, { force: true });
    }
  }

  /** Puts a backup in the place of a data file that cannot be used; that one is kept beside it. Gives the name it is kept under. */
  recover(backup: KeptBackup): string {
    const kept = `${this.dataFile}.damaged-${this.now().replace(/\D/g, '').slice(0, 14)}`;
    for (const end of ['', '-wal', '-shm'])
      if (existsSync(this.dataFile + end)) renameSync(this.dataFile + end, kept + end);
    const unnamed = `${this.dataFile}.new`;
    copyFileSync(join(this.folder, backup.name), unnamed);
    // Another folder from here on: what pages hold against the damaged one must not pass for its own.
    const db = new Database(unnamed);
    migrate(db, unnamed, migrations(), this.now);
    db.prepare(queryText('setIdentity')).run({ identity: '' });
    // A phone let go since the backup was made must not come back with it.
    db.prepare(queryText('dropDevices')).run();
    db.close();
    renameSync(unnamed, this.dataFile);
    return kept;
  }

  private async copy(store: Store): Promise<KeptBackup> {
    mkdirSync(this.folder, { recursive: true });
    const count = store.changeCount();
    const savedAt = this.now();
    const name = `tide-pebble-${savedAt.replace(/[:.]/g, '-')}.db`;
    const unnamed = join(this.folder, 'unfinished.db');
    rmSync(unnamed, { force: true });
    await store.copyTo(unnamed);
    renameSync(unnamed, join(this.folder, name));
    this.copied = count;
    const kept = this.list();
    for (const old of backupsToDrop(
      kept.map((k) => ({ name: k.name, at: Date.parse(k.savedAt), bytes: k.bytes })),
      Date.parse(savedAt),
    ))
      rmSync(join(this.folder, old), { force: true });
    return { name, savedAt, bytes: kept.find((k) => k.name === name)?.bytes ?? 0 };
  }
}

const timeOf = (name: string): string => name.replace(NAME, '$1-$2-$3T$4:$5:$6.$7Z');
