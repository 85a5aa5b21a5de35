import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import request from 'supertest';
import { makeApp } from './app';
import { onlyThisMachine } from './guards';
import { Bench } from './testing';

const NAMED = 'chunk-ABCD1234.js';
const WORDS = `// ${'tide '.repeat(400)}`;

describe('the page', () => {
  let bench: Bench;
  let folder: string;
  const get = (path: string, takes: string) =>
    request(makeApp({ ...bench.served, page: folder }, onlyThisMachine))
      .get(path)
      .set('Host', '127.0.0.1')
      .set('Accept-Encoding', takes);

  beforeEach(() => {
    bench = new Bench();
    folder = mkdtempSync(join(tmpdir(), 'page-'));
    writeFileSync(join(folder, 'index.html'), '<title>Tide</title>');
    writeFileSync(join(folder, NAMED), WORDS);
    writeFileSync(join(folder, `${NAMED}.br`), brotliCompressSync(WORDS));
    writeFileSync(join(folder, `${NAMED}.gz`), gzipSync(WORDS));
    writeFileSync(join(folder, 'favicon.svg'), '<svg/>');
  });
  afterEach(() => {
    bench.end();
    rmSync(folder, { recursive: true, force: true });
  });

  it('goes out packed the way the browser takes it, named files for a year', async () => {
    for (const [takes, packed] of [
      ['gzip, deflate, br', 'br'],
      ['gzip', 'gzip'],
      ['identity', undefined],
    ] as const) {
      const answer = await get(`/${NAMED}`, takes);
      expect(answer.status).toBe(200);
      expect(answer.headers['content-encoding']).toBe(packed as string);
      expect(answer.headers['content-type']).toMatch(/javascript/);
      expect(answer.headers['cache-control']).toBe('public, max-age=31536000, immutable');
      expect(answer.headers['vary'] ?? '').toMatch(packed ? /Accept-Encoding/i : /^/);
      if (packed !== 'br') expect(answer.text).toBe(WORDS);
    }
  });

  it('is itself always fresh, at every address that is no file; a file that is not there is not the page', async () => {
    for (const path of ['/', '/balance', '/load/cam']) {
      const answer = await get(path, 'br');
      expect([answer.status, answer.text]).toEqual([200, '<title>Tide</title>']);
      expect(answer.headers['cache-control']).toBe('no-cache');
    }
    expect((await get('/favicon.svg', 'br')).headers['cache-control']).toBe('no-cache');
    expect((await get('/chunk-00000000.js', 'br')).status).toBe(404);
  });
});
