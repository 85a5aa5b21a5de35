/** Command line: reads a rig file and prints its figures as JSON, the same as the screens show. */
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { faultLine, parseRigFile } from '@tide-pebble/core';
import { analyse } from '@tide-pebble/core/making';

let args;
try {
  args = parseArgs({ allowPositionals: true, options: { loadout: { type: 'string' } } });
} catch (error) {
  fail(`${error instanceof Error ? error.message : String(error)}\nUse: npm run -s analyse -- FILE [--loadout NAME]`);
}
const [file, ...more] = args.positionals;
if (!file || more.length > 0) fail('Use: npm run -s analyse -- FILE [--loadout NAME]');
let text = '';
try {
  text = readFileSync(resolve(process.env['INIT_CWD'] ?? '.', file), 'utf8');
} catch (error) {
  fail(`Could not read ${file}: ${error instanceof Error ? error.message : String(error)}`);
}
const read = parseRigFile(text);
if (!read.ok) fail(read.faults.map((f) => `${file}: ${faultLine(f)}`).join('\n'));
const outcome = analyse(read.value, args.values.loadout ?? null);
if (!outcome.ok) fail(outcome.reason);
console.log(JSON.stringify(outcome.result, null, 2));

function fail(message: string): never {
  console.error(message);
  process.exit(1);
}
