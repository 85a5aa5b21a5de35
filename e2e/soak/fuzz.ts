/** Junk to every door of the server: never an answer of its own fault (5xx), never over two seconds, never 400 MB. Full: --runs 100000. */
import { strToU8, zipSync } from 'fflate';
import { evenDraws } from '@tide-pebble/core';
import { runsAsked, SoakedServer, tell } from './server';

/** Of the server's own work, s: what else the machine does is not its fault. */
const SLOW = 2;
const MEMORY_MB = 400;
const runs = runsAsked(1500);
const draw = evenDraws(runs);
const of = <T>(list: readonly T[]): T => list[Math.floor(draw() * list.length)]!;
const server = new SoakedServer();
const wrong: string[] = [];
const counts = new Map<number, number>();

const WORDS = [
  '',
  'a',
  '../../etc',
  'x'.repeat(5000),
  '0',
  '-1',
  '1e309',
  'null',
  '\u0000',
  '🪨',
  'rig',
  '__proto__',
  'constructor',
];
function junk(depth = 0): unknown {
  switch (Math.floor(draw() * (depth > 4 ? 6 : 9))) {
    case 0:
      return null;
    case 1:
      return draw() < 0.5;
    case 2:
      return of([0, -0, 1, -1, 1e9, -1e300, 1e308, 0.1, 2 ** 53, draw()]);
    case 3:
    case 4:
    case 5:
      return of(WORDS);
    case 6:
      return Array.from({ length: Math.floor(draw() * 6) }, () => junk(depth + 1));
    default:
      return Object.fromEntries(
        Array.from({ length: Math.floor(draw() * 6) }, () => [
          of([
            ...WORDS,
            'kind',
            'id',
            'revision',
            'body',
            'changes',
            'name',
            'mass',
            'value',
            'size',
            'design',
            'family',
            'format',
            'version',
            'documents',
          ]),
          junk(depth + 1),
        ]),
      );
  }
}
const item = (): Record<string, unknown> => ({
  id: 'a',
  name: 'Heron',
  class: 'camera',
  form: 'box',
  size: [0.1, 0.1, 0.1],
  boxCentre: [0, 0, 0],
  mountPoints: [],
});
/** A good one with a leaf or two that are not. */
function spoilt(good: Record<string, unknown>): unknown {
  const keys = Object.keys(good);
  return { ...good, [of(keys)]: junk(), ...(draw() < 0.3 ? { [of(WORDS)]: junk() } : {}) };
}
const bytes = (n: number): Uint8Array<ArrayBuffer> => Uint8Array.from({ length: n }, () => Math.floor(draw() * 256));
const json = (data: unknown): [string, Record<string, string>] => [
  JSON.stringify(data) ?? 'undefined',
  { 'Content-Type': 'application/json' },
];
const zipped = (files: Record<string, Uint8Array>): Uint8Array<ArrayBuffer> => Uint8Array.from(zipSync(files));
function cut(whole: Uint8Array<ArrayBuffer>): Uint8Array<ArrayBuffer> {
  const copy = whole.slice(0, Math.floor(draw() * whole.length) + 1);
  for (let n = 0; n < 4; n++) copy[Math.floor(draw() * copy.length)] = Math.floor(draw() * 256);
  return copy;
}
const hex = (): string => Array.from(bytes(32), (b) => b.toString(16).padStart(2, '0')).join('');
const flatPng = Uint8Array.from(
  Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAAAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  ),
);

type Sent = {
  readonly path: string;
  readonly method: string;
  readonly body?: string | Uint8Array<ArrayBuffer>;
  readonly headers?: Record<string, string>;
};
const DOORS: readonly (() => Sent)[] = [
  () => {
    const [body, headers] = json(
      draw() < 0.5 ? junk() : { changes: [{ kind: 'kit', id: 'a', revision: of([0, 1, 5]), body: spoilt(item()) }] },
    );
    return { path: '/api/changes', method: 'POST', body, headers };
  },
  () => {
    const [body, headers] = json(
      draw() < 0.5
        ? junk()
        : spoilt({ format: 'tide-pebble-rig', version: 1, rig: junk(), kit: [item()], loadouts: [], setups: [] }),
    );
    return { path: '/api/rig-files', method: 'POST', body, headers };
  },
  () => ({
    path: of(['/api/changes', '/api/rig-files']),
    method: 'POST',
    body: of(['{', '['.repeat(5000), '"', '\ufeff{}', `[${'0,'.repeat(1000)}0]`, '{"__proto__":1}']),
    headers: { 'Content-Type': of(['application/json', 'text/plain', 'application/json; charset=utf-99']) },
  }),
  () => ({
    path: `/api/photos/${of([hex(), 'x', of(WORDS)])}`,
    method: of(['PUT', 'GET']),
    ...(draw() < 0.7 ? { body: of([flatPng, bytes(200), Uint8Array.from(Buffer.from('GIF89a'))]), method: 'PUT' } : {}),
  }),
  () => ({
    path: `/api/restore${of(['/look', '?way=beside', '?way=over', ''])}`,
    method: 'POST',
    body: of([
      () => bytes(300),
      () => cut(zipped({ 'project.json': strToU8('{"format":"tide-pebble-backup"}') })),
      () => zipped({ 'project.json': strToU8(JSON.stringify(junk()) ?? '') }),
      () =>
        zipped({
          'project.json': strToU8(
            JSON.stringify({
              format: 'tide-pebble-backup',
              version: 1,
              savedAt: 'x',
              documents: [{ kind: 'kit', id: 'a', body: spoilt(item()) }],
            }),
          ),
        }),
    ])(),
    headers: { 'Content-Type': 'application/zip' },
  }),
  () => ({
    path: `/api/documents/${encodeURIComponent(of(WORDS))}/${encodeURIComponent(of(WORDS))}${of(['', '/past', '/past/1', '/past/x'])}`,
    method: of(['GET', 'DELETE']),
  }),
  () => ({
    path: of([
      '/api/backups',
      '/api/backups/x/look',
      '/api/backups/..%2f..%2fx/look',
      '/api/health',
      '/api/',
      '/api/nothing',
      '/%',
      '/%00',
      '/shelf',
      '/..%2f..%2fetc%2fpasswd',
      '/main.js',
    ]),
    method: of(['GET', 'POST', 'HEAD', 'OPTIONS']),
  }),
  () => ({
    path: '/api/documents',
    method: 'GET',
    headers: of([{ Origin: 'http://evil.example' }, { 'X-Data-Folder': 'another' }, { Accept: 'x'.repeat(2000) }]),
  }),
];

await server.start();
let most = 0;
for (let run = 0; run < runs; run++) {
  const { path, method, body, headers } = of(DOORS)();
  const started = server.worked();
  const answer = await fetch(`${server.address}${path}`, {
    method,
    ...(body === undefined || method === 'GET' || method === 'HEAD' ? {} : { body }),
    ...(headers ? { headers } : {}),
    signal: AbortSignal.timeout(60_000),
  }).catch((error: Error) => error);
  const took = server.worked() - started;
  if (answer instanceof Error) {
    wrong.push(`${run}: ${method} ${path.slice(0, 60)}: ${answer.message}`);
    continue;
  }
  await answer.arrayBuffer();
  counts.set(answer.status, (counts.get(answer.status) ?? 0) + 1);
  if (answer.status >= 500)
    wrong.push(
      `${run}: ${method} ${path.slice(0, 60)} gave ${answer.status}: ${typeof body === 'string' ? body.slice(0, 300) : (body?.length ?? 0)}`,
    );
  if (took > SLOW) wrong.push(`${run}: ${method} ${path.slice(0, 60)} took ${took.toFixed(1)} s of work`);
  if (run % 100 === 0) {
    most = Math.max(most, server.memory());
    if (most > MEMORY_MB) wrong.push(`${run}: ${Math.round(most)} MB`);
  }
}
await server.end();
tell(
  `${runs} requests (${[...counts]
    .sort(([a], [b]) => a - b)
    .map(([code, n]) => `${code}: ${n}`)
    .join(', ')}), ${Math.round(most)} MB at most`,
  wrong,
);
