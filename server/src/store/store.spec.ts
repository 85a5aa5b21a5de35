import { copyFileSync, existsSync, readFileSync } from 'node:fs';
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { Bench, item, NOW, save } from '../testing';
import { migrate, NewerData } from './migrate';
import { openStore } from './openStore';
import { Conflict, WrongPurpose } from './refusals';
import { migrations, QUERY_NAMES, queryFiles } from './sqlFiles';

describe('the store', () => {
  let bench: Bench;
  beforeEach(() => (bench = new Bench()));
  afterEach(() => {
    expect(bench.sound()).toBeTrue();
    bench.end();
  });

  it('keeps documents by revision over a restart', () => {
    expect(bench.store.save([save('a', 0)])).toEqual([{ kind: 'kit', id: 'a', revision: 1 }]);
    bench.store.save([save('a', 1, 'Heron, renamed')]);
    bench.reopen();
    expect(bench.store.one('kit', 'a')).toEqual({
      kind: 'kit',
      id: 'a',
      revision: 2,
      savedAt: NOW,
      body: JSON.parse(JSON.stringify(item('a', 'Heron, renamed'))),
    });
  });

  it('refuses a save against an old revision and shows both, writing nothing of that group', () => {
    bench.store.save([save('a', 0)]);
    bench.store.save([save('a', 1, 'theirs')]);
    let conflict: Conflict | null = null;
    try {
      bench.store.save([save('b', 0), save('a', 1, 'mine')]);
    } catch (error) {
      conflict = error as Conflict;
    }
    expect(conflict).toBeInstanceOf(Conflict);
    expect(
      conflict!.conflicts.map((c) => [
        (c.mine.body as { name: string }).name,
        (c.theirs!.body as { name: string }).name,
      ]),
    ).toEqual([['mine', 'theirs']]);
    expect(bench.store.one('kit', 'b')).toBeNull();
  });

  it('takes the same save twice: an answer that was lost does not make a conflict', () => {
    bench.store.save([save('a', 0)]);
    expect(bench.store.save([save('a', 0)])).toEqual([{ kind: 'kit', id: 'a', revision: 1 }]);
  });

  it('deletes, and brings back on the revision after', () => {
    bench.store.save([save('a', 0)]);
    bench.store.save([{ kind: 'kit', id: 'a', revision: 1, body: null }]);
    expect(bench.store.all()).toEqual([]);
    expect(bench.store.save([save('a', 2)])[0]!.revision).toBe(3);
  });

  it('keeps the last saves, fifty of them', () => {
    for (let n = 0; n < 60; n++) bench.store.save([save('a', n, `name ${n}`)]);
    const db = new Database(bench.file, { readonly: true });
    expect(db.prepare('SELECT count(*) FROM past').pluck().get()).toBe(49);
    db.close();
  });

  it('half-way through a failing group leaves all as it was', () => {
    bench.store.save([save('a', 0)]);
    expect(() => bench.store.save([save('c', 0), { kind: 'kit', id: '', revision: 0, body: item('x') }])).toThrowError(
      /CHECK/,
    );
    expect(bench.store.all().map((d) => d.id)).toEqual(['a']);
  });

  it('puts a backup in place of everything, on later revisions', () => {
    bench.store.save([save('a', 0), save('b', 0)]);
    bench.store.replaceAll([{ kind: 'kit', id: 'b', body: item('b', 'from backup') }]);
    expect(bench.store.all().map((d) => [d.id, d.revision])).toEqual([['b', 2]]);
    expect(bench.store.one('kit', 'a')!.body).toBeNull();
  });

  it('does not open the demo as the maker’s own, or the other way round', () => {
    expect(() => openStore(bench.file, 'demo')).toThrowError(WrongPurpose);
  });
});

describe('SQL files', () => {
  it('are all prepared, and all there', () => expect([...queryFiles()].sort()).toEqual([...QUERY_NAMES].sort()));
  it('number their migrations without gaps', () =>
    expect(migrations().map((m) => m.number)).toEqual(migrations().map((_, i) => i + 1)));
});

describe('migrating', () => {
  let bench: Bench;
  beforeEach(() => (bench = new Bench()));
  afterEach(() => bench.end());

  it('makes a copy of the file first, and runs each step once', () => {
    bench.store.close();
    const db = new Database(bench.file);
    const next = migrations().length + 1;
    const copy = `${bench.file}.before-${String(next).padStart(4, '0')}`;
    const steps = [...migrations(), { number: next, name: 'try', sql: 'CREATE TABLE tried (n INTEGER) STRICT' }];
    migrate(db, bench.file, steps, () => NOW);
    migrate(db, bench.file, steps, () => NOW);
    expect(existsSync(copy)).toBeTrue();
    expect(db.prepare('SELECT count(*) FROM migration').pluck().get()).toBe(next);
    expect(() => migrate(db, bench.file, migrations(), () => NOW)).toThrowError(NewerData);
    db.close();
    copyFileSync(copy, bench.file);
    bench.store = openStore(bench.file, 'own');
  });

  it('brings a folder of every earlier form to the schema of a new one, its documents as they were', () => {
    const schema = (db: Database.Database): unknown =>
      db.prepare("SELECT type, name, sql FROM sqlite_master WHERE name NOT LIKE 'sqlite_%' ORDER BY name").all();
    const fresh = new Database(bench.file, { readonly: true });
    for (let upTo = 1; upTo < migrations().length; upTo++) {
      const file = join(bench.folder, `from-${upTo}.db`);
      const old = new Database(file);
      migrate(old, file, migrations().slice(0, upTo), () => NOW);
      old
        .prepare("INSERT INTO document (kind, id, revision, body, saved_at) VALUES ('kit', 'a', 1, ?, ?)")
        .run(JSON.stringify(item('a')), NOW);
      old.close();
      const store = openStore(file, 'own', () => NOW);
      expect(store.one('kit', 'a')!.body).toEqual(JSON.parse(JSON.stringify(item('a'))));
      store.close();
      const now = new Database(file, { readonly: true });
      expect(schema(now)).toEqual(schema(fresh));
      now.close();
    }
    fresh.close();
  });

  it('that fails leaves neither its table nor its number', () => {
    const db = new Database(join(bench.folder, 'other.db'));
    expect(() =>
      migrate(db, 'other.db', [{ number: 1, name: 'bad', sql: 'CREATE TABLE half (n INTEGER); NONSENSE' }], () => NOW),
    ).toThrowError(/NONSENSE/);
    expect(db.prepare("SELECT count(*) FROM sqlite_master WHERE name = 'half'").pluck().get()).toBe(0);
    expect(db.prepare('SELECT count(*) FROM migration').pluck().get()).toBe(0);
    db.close();
  });
});

describe('killed in the middle of saves', () => {
  it('loses nothing that was acknowledged', async () => {
    const bench = new Bench();
    bench.store.close();
    const script = `
      const { openStore } = await import(${JSON.stringify(new URL('./openStore.ts', import.meta.url).href)});
      const store = openStore(${JSON.stringify(bench.file)}, 'own');
      for (let n = 0; ; n++) {
        store.save([{ kind: 'bin', id: 'k' + n, revision: 0, body: { id: 'k' + n, name: 'k' + n, count: n, lengths: [] } }]);
        process.stdout.write('k' + n + '\\n');
      }`;
    const child = spawn(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', script], {
      cwd: process.cwd(),
    });
    let told = '';
    const errors: string[] = [];
    child.stdout.on('data', (text: Buffer) => {
      told += text.toString();
      if (told.split('\n').length > 40) child.kill('SIGKILL');
    });
    child.stderr.on('data', (text: Buffer) => errors.push(text.toString()));
    await new Promise((done) => child.on('exit', done));
    const acknowledged = told.split('\n').slice(0, -1);
    bench.store = openStore(bench.file, 'own');
    const kept = new Set(bench.store.all().map((d) => d.id));
    expect(acknowledged.length).withContext(errors.join('')).toBeGreaterThan(30);
    expect(acknowledged.filter((id) => !kept.has(id))).toEqual([]);
    expect(readFileSync(bench.file).length).toBeGreaterThan(0);
    bench.end();
  }, 30_000);
});
