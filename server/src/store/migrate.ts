/** Brings a data file to today's form: each migration in its own transaction, after a copy of the file was made. */
import { copyFileSync, existsSync } from 'node:fs';
import type { Database } from 'better-sqlite3';
import type { Migration } from './sqlFiles';

/** The file was written by a newer version: a plain sentence for the maker. */
export class NewerData extends Error {}

export function migrate(db: Database, file: string, steps: readonly Migration[], now: () => string): void {
  db.exec(
    'CREATE TABLE IF NOT EXISTS migration (number INTEGER PRIMARY KEY, name TEXT NOT NULL, applied_at TEXT NOT NULL) STRICT',
  );
  const done = db.prepare('SELECT max(number) FROM migration').pluck().get() as number | null;
  const newest = steps.at(-1)?.number ?? 0;
  if (done !== null && done > newest)
    throw new NewerData(
      `The data in ${file} was written by a newer Tide Pebble. Update Tide Pebble, or choose another folder with --data.`,
    );
  const waiting = steps.filter((s) => s.number > (done ?? 0));
  if (done !== null && waiting.length > 0 && existsSync(file)) {
    db.pragma('wal_checkpoint(TRUNCATE)');
    copyFileSync(file, `${file}.before-${String(waiting[0]!.number).padStart(4, '0')}`);
  }
  const record = db.prepare('INSERT INTO migration (number, name, applied_at) VALUES (?, ?, ?)');
  for (const step of waiting) {
    db.transaction(() => {
      db.exec(step.sql);
      record.run(step.number, step.name, now());
    }).immediate();
  }
}
