import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Bench, save } from '../testing';
import { Backups, backupsToDrop } from './backups';
import { damageOf } from './damage';
import { openStore } from './openStore';

const HOUR = 3_600_000;
const START = Date.parse('2026-06-14T10:00:00.000Z');

describe('backups kept by age', () => {
  it('are one an hour for a day, one a day for two weeks, one a week for a quarter; the newest always', () => {
    let kept: { name: string; at: number; bytes: number }[] = [];
    // A year of use, a backup an hour.
    for (let h = 0; h < 24 * 365; h++) {
      const now = START + h * HOUR;
      kept.push({ name: `${h}`, at: now, bytes: 1000 });
      const drop = new Set(backupsToDrop(kept, now));
      kept = kept.filter((k) => !drop.has(k.name));
    }
    const now = kept.at(-1)!.at;
    const ages = kept.map((k) => (now - k.at) / HOUR);
    expect(ages.filter((a) => a < 24)).toHaveSize(24);
    expect(ages.filter((a) => a >= 24 && a < 24 * 14).length).toBeGreaterThanOrEqual(13);
    expect(ages.filter((a) => a >= 24 * 14).length).toBeGreaterThanOrEqual(10);
    expect(kept.length).toBeLessThan(55);
    expect(backupsToDrop([{ name: 'only', at: START, bytes: 1 }], START + 24 * 365 * HOUR)).toEqual([]);
  });
  it('stay within their size, the oldest going first, and never the newest', () => {
    const kept = [0, 1, 2, 3].map((h) => ({ name: `${h}`, at: START + h * HOUR, bytes: 400 }));
    expect(backupsToDrop(kept, START + 3 * HOUR, 1000)).toEqual(['0', '1']);
    expect(backupsToDrop(kept, START + 3 * HOUR, 10)).toEqual(['0', '1', '2']);
  });
});

describe('the server’s own backups', () => {
  let bench: Bench;
  let now = START;
  let backups: Backups;
  beforeEach(() => {
    bench = new Bench();
    now = START;
    backups = new Backups(bench.file, () => new Date(now).toISOString());
  });
  afterEach(() => bench.end());

  it('are made when something changed, an hour apart, and read like the folder they were made of', async () => {
    await backups.makeIfDue(bench.store);
    expect(backups.list()).toEqual([]);
    bench.store.save([save('a', 0, 'as it was')]);
    await backups.makeIfDue(bench.store);
    bench.store.save([save('a', 1, 'as it is')]);
    await backups.makeIfDue(bench.store);
    expect(backups.list()).toHaveSize(1);
    now += HOUR;
    await backups.makeIfDue(bench.store);
    now += HOUR;
    await backups.makeIfDue(bench.store);
    expect(backups.list().map((b) => b.savedAt)).toEqual([START + HOUR, START].map((t) => new Date(t).toISOString()));
    const first = await backups.open(backups.list()[1]!.name);
    expect(first!.documents.map((d) => (d.body as { name: string }).name)).toEqual(['as it was']);
    expect(await backups.open('../tide-pebble.db')).toBeNull();
  });
  it('stand in for a data file that is damaged, which is kept; the folder is then another', async () => {
    bench.store.save([save('a', 0, 'kept')]);
    await backups.make(bench.store);
    const before = bench.store.identity;
    bench.store.close();
    writeFileSync(bench.file, '');
    const newest = backups.newestSound()!;
    const kept = backups.recover(newest);
    expect(existsSync(kept)).toBeTrue();
    expect(readFileSync(kept).length).toBe(0);
    expect(damageOf(bench.file)).toBeNull();
    bench.store = openStore(bench.file, 'own');
    expect(bench.store.all().map((d) => d.id)).toEqual(['a']);
    expect(bench.store.identity).not.toBe(before);
    // Still there for another time.
    expect(backups.list()).toHaveSize(1);
  });
  it('pass over one that is damaged itself', async () => {
    bench.store.save([save('a', 0)]);
    await backups.make(bench.store);
    now += HOUR;
    const second = await backups.make(bench.store);
    writeFileSync(join(bench.folder, 'backups', second.name), 'spoilt');
    expect(backups.newestSound()!.savedAt).toBe(new Date(START).toISOString());
  });
});
