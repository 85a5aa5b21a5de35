/** Command line: computes every case of a file with the core's own functions and says where it is off. */
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { compareCase } from './comparePhysics';
import { KINDS } from './physics/index';
import type { Given } from './physicsCase';
import { watched } from './readKeys';

const file = process.argv[2];
if (!file) fail('Say which file: npm run -s physics -- FILE');
const path = resolve(process.env['INIT_CWD'] ?? '.', file);
let cases: readonly Given[];
try {
  const data = JSON.parse(readFileSync(path, 'utf8')) as { cases?: readonly Given[] };
  if (!Array.isArray(data.cases)) fail(`${path} has no list “cases”.`);
  cases = data.cases;
} catch (error) {
  fail(`Could not read ${path}: ${error instanceof Error ? error.message : String(error)}`);
}

const counts = { passed: 0, failed: 0, skipped: 0 };
for (const one of cases) {
  const outcome = run(one);
  counts[outcome === null ? 'skipped' : outcome.length === 0 ? 'passed' : 'failed']++;
  console.log(
    `${one['id']} ${outcome === null ? 'not supported yet' : outcome.length === 0 ? 'ok' : outcome.join('; ')}`,
  );
}
console.log(`${counts.passed} passed, ${counts.failed} failed, ${counts.skipped} skipped`);
process.exitCode = counts.failed > 0 ? 1 : 0;

function run(one: Given): readonly string[] | null {
  const kind = KINDS.find((k) => k.kind === one['kind']);
  if (!kind) return null;
  try {
    const given = watched(one['given'] as Given);
    const got = kind.compute(given.data, one['expect']);
    if (got === null) return null;
    const unread = given.unread();
    return [
      ...unread.map((key) => `refused: “${key}” is not read by this kind`),
      ...compareCase(got, one['expect'], one['tolerance'] ?? {}),
    ];
  } catch (error) {
    return [`threw: ${error instanceof Error ? error.message : String(error)}`];
  }
}

function fail(message: string): never {
  console.error(message);
  process.exit(2);
}
