import { strToU8, unzipSync, zipSync } from 'fflate';
import { problem, readWith, saved, storedList } from '@tide-pebble/core';
import { readFileSync } from 'node:fs';
import { Bench, item, save } from './testing';

describe('the server', () => {
  let bench: Bench;
  beforeEach(() => (bench = new Bench()));
  afterEach(() => {
    expect(bench.sound()).toBeTrue();
    bench.end();
  });
  const isProblem = (body: unknown, status: number): void => {
    const read = readWith(problem, body);
    expect(read.ok).withContext(JSON.stringify(read)).toBeTrue();
    if (read.ok) expect(read.value.status).toBe(status);
  };
  const post = (changes: unknown) => bench.http.post('/api/changes').send({ changes } as object);

  it('saves and answers in the form it promises', async () => {
    const answer = await post([save('a', 0)]);
    expect(answer.status).toBe(200);
    expect(readWith(saved, answer.body).ok).toBeTrue();
    const all = await bench.http.get('/api/documents');
    expect(readWith(storedList, all.body).ok).toBeTrue();
    expect((await bench.http.get('/api/documents/kit/a')).body.revision).toBe(1);
  });

  it('names each bad field with a 400, and writes nothing', async () => {
    const bad: readonly [unknown, string][] = [
      [
        { ...save('a', 0), body: { ...item('a'), mass: { value: -1 } } },
        'changes.0.body.mass.value must be more than 0',
      ],
      [{ ...save('a', 0), body: { ...item('a'), size: [0.1, 0.1] } }, 'changes.0.body.size'],
      [{ ...save('a', 0), body: { ...item('a'), colour: 'red' } }, 'not known: colour'],
      [{ ...save('a', 0), body: item('b') }, 'changes.0.body.id must be a'],
      [{ ...save('a', 0), kind: 'boat' }, 'changes.0.kind must be one of'],
      [{ ...save('a', -1) }, 'changes.0.revision'],
      [{ ...save('../a', 0) }, 'changes.0.id'],
      [{ kind: 'kit', id: 'a', body: item('a') }, 'changes.0.revision is missing'],
    ];
    for (const [change, words] of bad) {
      const answer = await post([save('good', 0), change].reverse());
      expect(answer.status).withContext(words).toBe(400);
      isProblem(answer.body, 400);
      const told = `${answer.body.detail} ${(answer.body.faults as { path: string; message: string }[]).map((f) => `${f.path} ${f.message}`).join('; ')}`;
      expect(told).toContain(words);
    }
    expect(bench.store.isEmpty()).toBeTrue();
  });

  it('answers 4xx in one form to what is not JSON, too large, not there, or empty', async () => {
    isProblem((await bench.http.post('/api/changes').set('Content-Type', 'application/json').send('{')).body, 400);
    isProblem(
      (
        await bench.http
          .post('/api/changes')
          .send({ changes: [{ ...save('a', 0), body: { ...item('a'), notes: 'x'.repeat(26_000_000) } }] })
      ).body,
      413,
    );
    isProblem((await bench.http.get('/api/documents/kit/nobody')).body, 404);
    isProblem((await bench.http.get('/api/documents/boat/a')).body, 404);
    isProblem((await bench.http.get('/api/nothing')).body, 404);
    isProblem((await post([])).body, 400);
    isProblem((await bench.http.get('/api/rig-files/nobody')).body, 404);
  });

  it('shows both versions of a conflict with a 409', async () => {
    await post([save('a', 0)]);
    await post([save('a', 1, 'theirs')]);
    const answer = await post([save('a', 1, 'mine')]);
    isProblem(answer.body, 409);
    expect(answer.body.conflicts[0].mine.body.name).toBe('mine');
    expect(answer.body.conflicts[0].theirs.body.name).toBe('theirs');
    expect((bench.store.one('kit', 'a')!.body as { name: string }).name).toBe('theirs');
  });

  it('answers only to this machine and its own page', async () => {
    expect((await bench.http.get('/api/health').set('Host', 'tide.example')).status).toBe(403);
    expect((await bench.http.get('/api/health').set('Origin', 'http://evil.example')).status).toBe(403);
    const good = await bench.http
      .get('/api/health')
      .set('Host', 'localhost:4680')
      .set('Origin', 'http://localhost:4680');
    expect(good.status).toBe(200);
    expect(good.headers['content-security-policy']).toContain("script-src 'self'");
    expect(good.headers['content-security-policy']).not.toContain("'unsafe-eval'");
    expect(good.headers['x-powered-by']).toBeUndefined();
  });

  it('takes a rig file in and gives it out again', async () => {
    const file = JSON.parse(readFileSync(new URL('../../demo/limpet.rig.json', import.meta.url), 'utf8')) as Record<
      string,
      unknown
    >;
    const first = await bench.http.post('/api/rig-files').send(file);
    expect(first.status).toBe(201);
    const out = await bench.http.get('/api/rig-files/rig-limpet');
    expect(out.headers['content-disposition']).toContain('attachment');
    expect(out.body.rig).toEqual(file['rig']);
    const again = await bench.http.post('/api/rig-files').send(file);
    expect((again.body.saved as { kind: string }[]).map((s) => s.kind)).toEqual(['rig', 'setup']);
    const bad = await bench.http.post('/api/rig-files').send({ ...file, version: 99 });
    isProblem(bad.body, 400);
    expect(bad.body.detail).toContain('newer');
  });

  it('backs up everything and restores it, and refuses what is no backup with nothing changed', async () => {
    await post([save('a', 0), save('b', 0)]);
    const zip = await bench.http.get('/api/backup').responseType('blob');
    await post([{ kind: 'kit', id: 'a', revision: 1, body: null }, save('c', 0)]);
    const restore = (body: Buffer) =>
      bench.http.post('/api/restore?way=instead').set('Content-Type', 'application/zip').send(body);
    expect((await restore(zip.body as Buffer)).status).toBe(200);
    expect(bench.store.all().map((d) => d.id)).toEqual(['a', 'b']);
    const packed = (text: string): Buffer => Buffer.from(zipSync({ 'project.json': strToU8(text) }));
    const whole = JSON.parse(new TextDecoder().decode(unzipSync(zip.body as Buffer)['project.json'])) as {
      documents: { body: object }[];
    };
    const broken = JSON.stringify({
      ...whole,
      documents: whole.documents.map((d) => ({ ...d, body: { ...d.body, mass: 'heavy' } })),
    });
    for (const body of [
      Buffer.from('not a zip'),
      Buffer.from(zipSync({ 'other.txt': strToU8('hi') })),
      packed('{'),
      packed('{}'),
      packed(broken),
    ]) {
      isProblem((await restore(body)).body, 400);
    }
    expect(bench.store.all().map((d) => d.id)).toEqual(['a', 'b']);
  });
});
