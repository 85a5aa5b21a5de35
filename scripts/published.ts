/** Writes what is published from the code: the rig file's JSON Schema. `--check` fails when it is stale, or the demo does not read. */
import { readFileSync, writeFileSync } from 'node:fs';
import { backup, BODY_SCHEMAS, parseRigFile, readWith } from '@tide-pebble/core';
import { rigFileJsonSchema } from '../core/src/contract/jsonSchema';

const schemaFile = new URL('../docs/rig-file.schema.json', import.meta.url);
const text = `${JSON.stringify(rigFileJsonSchema(), null, 1)}\n`;
if (!process.argv.includes('--check')) writeFileSync(schemaFile, text);
else {
  const faults: string[] = [];
  if (readFileSync(schemaFile, 'utf8') !== text) faults.push('docs/rig-file.schema.json is stale. Run: node --import tsx scripts/published.ts');
  const demo = readWith(backup, JSON.parse(readFileSync(new URL('../demo/tide-pools.json', import.meta.url), 'utf8')));
  if (!demo.ok) faults.push(`demo/tide-pools.json: ${demo.faults[0]!.path} ${demo.faults[0]!.message}`);
  else for (const d of demo.value.documents) if (!readWith<unknown>(BODY_SCHEMAS[d.kind], d.body).ok) faults.push(`demo/tide-pools.json: ${d.kind} ${d.id}`);
  if (!parseRigFile(readFileSync(new URL('../demo/limpet.rig.json', import.meta.url), 'utf8')).ok) faults.push('demo/limpet.rig.json does not read');
  for (const fault of faults) console.error(fault);
  process.exitCode = faults.length > 0 ? 1 : 0;
}
