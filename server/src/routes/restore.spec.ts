import { strToU8, zipSync } from 'fflate';
import { backupList, backupLook, readWith, storedList, weighJson } from '@tide-pebble/core';
import { LIMITS } from '../unpack/limits';
import request from 'supertest';
import { makeApp } from '../app';
import { onlyThisMachine } from '../guards';
import { Bench, item, save } from '../testing';

const project = (documents: unknown, more: object = {}): string =>
  JSON.stringify({ format: 'tide-pebble-backup', version: 1, savedAt: '2026-06-01T08:00:00.000Z', documents, ...more });
const packed = (text: string): Buffer => Buffer.from(zipSync({ 'project.json': strToU8(text) }));
const kit = (id: string, name?: string) => ({ kind: 'kit', id, body: item(id, name) });

describe('restoring', () => {
  let bench: Bench;
  const send = (path: string, body: Buffer) =>
    bench.http.post(`/api/restore${path}`).set('Content-Type', 'application/zip').send(body);
  beforeEach(() => {
    bench = new Bench();
    bench.store.save([save('a', 0, 'mine'), save('b', 0, 'only here'), save('c', 0, 'the same')]);
  });
  afterEach(() => {
    expect(bench.sound()).toBeTrue();
    bench.end();
  });
  const zip = packed(
    project([
      kit('a', 'theirs'),
      kit('c', 'the same'),
      kit('d', 'new'),
      {
        kind: 'loadout',
        id: 'l',
        body: { id: 'l', name: 'Walk', items: [{ id: 'm', item: 'a', on: null, offset: [0, 0, 0] }], conditions: '' },
      },
    ]),
  );

  it('is looked at first: what is inside, what would go, and nothing is changed', async () => {
    const answer = await send('/look', zip);
    expect(readWith(backupLook, answer.body).ok).withContext(JSON.stringify(answer.body)).toBeTrue();
    expect(answer.body.holds.map((h: { id: string; here: string }) => [h.id, h.here])).toEqual([
      ['a', 'changed'],
      ['c', 'same'],
      ['d', 'new'],
      ['l', 'new'],
    ]);
    expect(answer.body.goes).toEqual([{ kind: 'kit', id: 'b', name: 'only here' }]);
    expect(bench.store.all().map((d) => d.revision)).toEqual([1, 1, 1]);
  });
  it('beside keeps all that is here, and what comes points at its own copies', async () => {
    const answer = await send('?way=beside', zip);
    expect(readWith(storedList, answer.body).ok).toBeTrue();
    const all = bench.store.all();
    expect(
      all.filter((d) => ['a', 'b', 'c'].includes(d.id)).map((d) => [(d.body as { name: string }).name, d.revision]),
    ).toEqual([
      ['mine', 1],
      ['only here', 1],
      ['the same', 1],
    ]);
    const theirs = all.find((d) => d.kind === 'kit' && (d.body as { name: string }).name === 'theirs')!;
    const walk = all.find((d) => d.kind === 'loadout')!.body as { items: { item: string }[] };
    expect(walk.items[0]!.item).toBe(theirs.id);
    expect(theirs.id).not.toBe('a');
  });
  it('instead keeps a backup of what was here, which can be looked at and put back', async () => {
    await send('?way=instead', zip);
    expect(bench.store.all().map((d) => d.id)).toEqual(['a', 'c', 'd', 'l']);
    const list = await bench.http.get('/api/backups');
    expect(readWith(backupList, list.body).ok).toBeTrue();
    const { name } = list.body.backups[0];
    const look = await bench.http.get(`/api/backups/${name}/look`);
    expect(look.body.holds.map((h: { name: string }) => h.name)).toEqual(['mine', 'only here', 'the same']);
    expect((await bench.http.post(`/api/backups/${name}/restore?way=instead`)).status).toBe(200);
    expect(bench.store.all().map((d) => (d.body as { name: string }).name)).toEqual(['mine', 'only here', 'the same']);
    expect((await bench.http.get('/api/backups/nothing.db/look')).status).toBe(404);
  });
  it('must be told which way', async () => {
    expect((await send('', zip)).status).toBe(400);
    expect((await send('?way=over', zip)).status).toBe(400);
  });

  it('refuses a small file that unpacks to a large one, while the server goes on answering', async () => {
    const large: readonly [string, Buffer][] = [
      ['240 MB of JSON in a small zip', packed(project([], { notes: ' '.repeat(240 * 1024 * 1024) }))],
      ['brackets in brackets', packed('['.repeat(200_000))],
      ['millions of values', packed(`[${'0,'.repeat(3_000_000)}0]`)],
      [
        'files without end',
        Buffer.from(
          zipSync(
            Object.fromEntries(Array.from({ length: LIMITS.entries + 2 }, (_, i) => [`f${i}`, new Uint8Array(0)])),
          ),
        ),
      ],
    ];
    for (const [what, body] of large) {
      const started = bench.http.get('/api/health');
      const [refused, health] = await Promise.all([send('/look', body), started]);
      expect(refused.status).withContext(what).toBe(400);
      expect(refused.body.detail)
        .withContext(what)
        .toMatch(/larger than a backup can be|not in the form/);
      expect(health.status).toBe(200);
    }
    expect(bench.store.all().map((d) => d.id)).toEqual(['a', 'b', 'c']);
  }, 60_000);
  it('reads one at a time and says so', async () => {
    const answers = await Promise.all([send('/look', zip), send('/look', zip), send('/look', zip)]);
    const codes = answers.map((a) => a.status).sort();
    expect(codes[0]).toBe(200);
    expect(codes.every((c) => c === 200 || c === 429)).toBeTrue();
  });
});

describe('weighing JSON before it is made', () => {
  const weigh = (text: string, limits?: { depth: number; items: number }) => () =>
    weighJson(new TextEncoder().encode(text), limits);
  it('counts brackets and values, and nothing inside text', () => {
    expect(weigh('[[[1,2],3]]', { depth: 3, items: 6 })).not.toThrow();
    expect(weigh('[[[1,2],3]]', { depth: 2, items: 6 })).toThrowError(/more than 2 deep/);
    expect(weigh('[[[1,2],3]]', { depth: 3, items: 5 })).toThrowError(/more than 5 values/);
    expect(weigh('["[[[[,,,,\\"[[[["]', { depth: 1, items: 3 })).not.toThrow();
    expect(weigh('{"a": {"b": []}}', { depth: 3, items: 4 })).not.toThrow();
  });
  it('holds for saves and rig files too', async () => {
    const bench = new Bench();
    const deep = '['.repeat(300) + ']'.repeat(300);
    for (const path of ['/api/changes', '/api/rig-files']) {
      const answer = await bench.http.post(path).set('Content-Type', 'application/json').send(deep);
      expect(answer.status).withContext(path).toBe(400);
      expect(answer.body.detail).toContain('64 deep');
    }
    bench.end();
  });
});

describe('another folder on the same address', () => {
  it('is refused with its mark, and nothing is saved in it', async () => {
    const bench = new Bench();
    const answer = await bench.http
      .post('/api/changes')
      .set('X-Data-Folder', 'the-one-before')
      .send({ changes: [save('a', 0)] });
    expect(answer.status).toBe(409);
    expect(answer.body.folder).toBe(bench.store.identity);
    expect(bench.store.isEmpty()).toBeTrue();
    expect(
      (
        await bench.http
          .post('/api/changes')
          .set('X-Data-Folder', bench.store.identity)
          .send({ changes: [save('a', 0)] })
      ).status,
    ).toBe(200);
    const before = bench.store.identity;
    bench.reopen();
    expect(bench.store.identity).toBe(before);
    const other = new Bench();
    expect(other.store.identity).not.toBe(before);
    other.end();
    bench.end();
  });
});

describe('a full disk', () => {
  it('is said as such, and nothing is half written: another try when there is room goes through', async () => {
    const bench = new Bench();
    const { save: real } = bench.store;
    let full = true;
    const store = {
      ...bench.store,
      save: (changes: Parameters<typeof real>[0]) => {
        if (full) throw Object.assign(new Error('database or disk is full'), { code: 'SQLITE_FULL' });
        return real(changes);
      },
    };
    const http = () => request(makeApp({ ...bench.served, store }, onlyThisMachine));
    const answer = await http()
      .post('/api/changes')
      .send({ changes: [save('a', 0)] });
    expect([answer.status, answer.body.title]).toEqual([507, 'Disk full']);
    expect(bench.store.isEmpty()).toBeTrue();
    full = false;
    expect(
      (
        await http()
          .post('/api/changes')
          .send({ changes: [save('a', 0)] })
      ).status,
    ).toBe(200);
    bench.end();
  });
});
