/** Writes what is published from the code: the JSON Schemas of rig and kit files and of a whole rig. `--check` fails when one is stale, or the demo does not read. */
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { backup, BODY_SCHEMAS, parseRigFile, readWith } from '@tide-pebble/core';
import { kitFileJsonSchema, rigFileJsonSchema, wholeJsonSchema } from '../core/src/contract/jsonSchema';

const published = [
  ['rig-file', rigFileJsonSchema()],
  ['kit-file', kitFileJsonSchema()],
  ['whole', wholeJsonSchema()],
].map(([name, schema]) => ({
  name,
  file: new URL(`../docs/${name as string}.schema.json`, import.meta.url),
  text: `${JSON.stringify(schema, null, 1)}\n`,
}));
if (!process.argv.includes('--check')) for (const { file, text } of published) writeFileSync(file, text);
else {
  const faults: string[] = [];
  for (const { name, file, text } of published)
    if (!existsSync(file) || readFileSync(file, 'utf8') !== text)
      faults.push(`docs/${name as string}.schema.json is stale. Run: node --import tsx scripts/published.ts`);
  const demo = readWith(backup, JSON.parse(readFileSync(new URL('../demo/tide-pools.json', import.meta.url), 'utf8')));
  if (!demo.ok) faults.push(`demo/tide-pools.json: ${demo.faults[0]!.path} ${demo.faults[0]!.message}`);
  else
    for (const d of demo.value.documents)
      if (!readWith<unknown>(BODY_SCHEMAS[d.kind], d.body).ok) faults.push(`demo/tide-pools.json: ${d.kind} ${d.id}`);
  if (!parseRigFile(readFileSync(new URL('../demo/limpet.rig.json', import.meta.url), 'utf8')).ok)
    faults.push('demo/limpet.rig.json does not read');
  for (const fault of faults) console.error(fault);
  process.exitCode = faults.length > 0 ? 1 : 0;
}
