// Builds server and page into dist/, unless what is there was made from these very sources.
import { createHash } from 'node:crypto';
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { root, run } from './setup.mjs';

const SOURCES = [
  'core/src',
  'server/src',
  'server/sql',
  'web/src',
  'web/public',
  'demo',
  'angular.json',
  'package-lock.json',
  'scripts/build.mjs',
  'web/tsconfig.app.json',
  'web/tsconfig.worker.json',
  'tsconfig.base.json',
];
const mark = join(root, 'dist', '.built-from');

export async function build() {
  const print = fingerprint();
  if (existsSync(mark) && readFileSync(mark, 'utf8') === print) return;
  console.error('Building (about half a minute)…');
  rmSync(join(root, 'dist'), { recursive: true, force: true });
  await buildServer();
  run('npx', ['ng', 'build', '--configuration', 'production', '--progress', 'false'], {
    ...process.env,
    NG_CLI_ANALYTICS: 'false',
  });
  packPage(join(root, 'dist/web'));
  writeFileSync(mark, print);
}

/** Beside each file that is worth it, the same packed: the server hands out what the browser takes. */
function packPage(folder) {
  for (const name of readdirSync(folder, { recursive: true })) {
    if (!/\.(js|css|html|svg|json|wasm|webmanifest)$/.test(name)) continue;
    const path = join(folder, name);
    const bytes = readFileSync(path);
    if (bytes.length < 1000) continue;
    const { BROTLI_PARAM_QUALITY: QUALITY, BROTLI_PARAM_SIZE_HINT: HINT } = constants;
    writeFileSync(`${path}.br`, brotliCompressSync(bytes, { params: { [QUALITY]: 10, [HINT]: bytes.length } }));
    writeFileSync(`${path}.gz`, gzipSync(bytes, { level: 9 }));
  }
}

async function buildServer() {
  const { build: bundle } = await import('esbuild');
  await bundle({
    entryPoints: {
      main: join(root, 'server/src/main.ts'),
      'unpack.worker': join(root, 'server/src/unpack/unpack.worker.ts'),
    },
    outdir: join(root, 'dist/server'),
    outExtension: { '.js': '.mjs' },
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    sourcemap: true,
    logLevel: 'error',
    alias: { '@tide-pebble/core': join(root, 'core/src/index.ts') },
  });
  mkdirSync(join(root, 'dist/server'), { recursive: true });
  cpSync(join(root, 'server/sql'), join(root, 'dist/server/sql'), { recursive: true });
}

function fingerprint() {
  const hash = createHash('sha256');
  const visit = (path) => {
    if (!existsSync(path)) return;
    let entries = null;
    try {
      entries = readdirSync(path).sort();
    } catch {
      hash.update(path).update(readFileSync(path));
    }
    for (const entry of entries ?? []) if (!entry.endsWith('.spec.ts')) visit(join(path, entry));
  };
  for (const source of SOURCES) visit(join(root, source));
  return hash.digest('hex');
}

if (process.argv[1]?.endsWith('build.mjs')) await build();
