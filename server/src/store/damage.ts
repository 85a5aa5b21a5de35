/** Whether a data file can be used at all, asked before it is opened: a damaged one is never written to. */
import { existsSync, statSync } from 'node:fs';
import Database from 'better-sqlite3';

/** Null when it is sound or not there yet; else what is wrong, in words. */
export function damageOf(file: string): string | null {
  if (!existsSync(file)) return null;
  if (statSync(file).size === 0) return 'it is empty (0 bytes), which Tide Pebble never leaves it';
  let db: Database.Database | null = null;
  try {
    db = new Database(file, { readonly: true });
    const found = db.pragma('integrity_check(3)') as { integrity_check: string }[];
    const faults = found.map((f) => f.integrity_check).filter((f) => f !== 'ok');
    if (faults.length > 0) return faults[0]!;
    if (
      db.prepare("SELECT count(*) FROM sqlite_master WHERE type = 'table' AND name = 'migration'").pluck().get() === 0
    )
      return 'it is a database, but not one of Tide Pebble';
    return null;
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  } finally {
    db?.close();
  }
}
