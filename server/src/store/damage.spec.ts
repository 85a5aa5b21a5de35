import { existsSync, readFileSync, truncateSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { Bench, save } from '../testing';
import { damageOf } from './damage';
import { openStore } from './openStore';
import { Unreadable } from './refusals';

describe('a damaged data file', () => {
  let bench: Bench;
  beforeEach(() => (bench = new Bench()));
  afterEach(() => bench.end());

  it('is known before it is opened: empty, cut short, overwritten, no database, another program’s', () => {
    expect(damageOf(join(bench.folder, 'not there.db'))).toBeNull();
    for (let n = 0; n < 200; n++) bench.store.save([save(`k${n}`, 0)]);
    expect(damageOf(bench.file)).toBeNull();
    bench.store.close();
    const whole = readFileSync(bench.file);
    const put = (bytes: Buffer): string => {
      const file = join(bench.folder, 'damaged.db');
      writeFileSync(file, bytes);
      return file;
    };
    expect(damageOf(put(Buffer.alloc(0)))).toContain('0 bytes');
    expect(
      damageOf(put(Buffer.from('no database at all, but long enough to be looked at as one '.repeat(20)))),
    ).toContain('not a database');
    const short = put(whole);
    truncateSync(short, Math.floor(whole.length / 2));
    expect(damageOf(short)).not.toBeNull();
    const scratched = Buffer.from(whole);
    scratched.fill(0xa5, 3 * 4096, 6 * 4096);
    expect(damageOf(put(scratched))).not.toBeNull();
    const other = new Database(join(bench.folder, 'other.db'));
    other.exec('CREATE TABLE notes (n INTEGER)');
    other.close();
    expect(damageOf(join(bench.folder, 'other.db'))).toContain('not one of Tide Pebble');
    bench.store = openStore(bench.file, 'own');
  });

  it('is never made by stopping a first start half-way: it has its name only once it is whole', () => {
    const file = join(bench.folder, 'begun.db');
    writeFileSync(`${file}.new`, 'half of a file');
    const store = openStore(file, 'own');
    expect(store.isEmpty()).toBeTrue();
    store.close();
    expect(existsSync(`${file}.new`)).toBeFalse();
    expect(damageOf(file)).toBeNull();
  });
});

describe('a damaged document', () => {
  let bench: Bench;
  const spoil = (sql: string, ...values: unknown[]): void => {
    const db = new Database(bench.file);
    db.pragma('ignore_check_constraints = ON');
    db.prepare(sql).run(...values);
    db.close();
  };
  beforeEach(() => {
    bench = new Bench();
    bench.store.save([save('a', 0, 'first'), save('b', 0)]);
    bench.store.save([save('a', 1, 'second')]);
    bench.store.save([save('a', 2, 'third')]);
  });
  afterEach(() => bench.end());

  for (const [what, body] of [
    ['no JSON', '{"id": "a", "na'],
    ['not its kind', '{"id":"a","name":"x","mass":{"value":-1}}'],
    ['another’s', JSON.stringify(save('b', 0).body)],
  ] as const) {
    it(`is set aside with its earlier saves, and takes nothing with it: ${what}`, async () => {
      spoil("UPDATE document SET body = ? WHERE id = 'a'", body);
      bench.reopen();
      const { documents, damaged } = bench.store.contents();
      expect(documents.map((d) => d.id)).toEqual(['b']);
      expect(damaged.map((d) => [d.kind, d.id, d.revision, d.past.map((p) => p.revision)])).toEqual([
        ['kit', 'a', 3, [2, 1]],
      ]);
      expect(damaged[0]!.reason.length).toBeGreaterThan(5);
      const answer = await bench.http.get('/api/documents');
      expect(answer.status).toBe(200);
      expect((await bench.http.get('/api/documents/kit/a')).status).toBe(what === 'no JSON' ? 409 : 200);
      // Its last good save, put back over it.
      const good = await bench.http.get('/api/documents/kit/a/past/2');
      expect(good.body.body.name).toBe('second');
      expect(bench.store.save([{ kind: 'kit', id: 'a', revision: 3, body: good.body.body }])[0]!.revision).toBe(4);
      expect(bench.store.contents().damaged).toEqual([]);
    });
  }
  it('offers no earlier save that is damaged too', () => {
    spoil("UPDATE document SET body = '{' WHERE id = 'a'");
    spoil("UPDATE past SET body = '[]' WHERE id = 'a' AND revision = 2");
    bench.reopen();
    expect(bench.store.contents().damaged[0]!.past.map((p) => p.revision)).toEqual([1]);
    expect(() => bench.store.one('kit', 'a')).toThrowError(Unreadable);
  });
});
