/** The arguments of the commands that read one rig file: `FILE [--loadout NAME]`, and more where a command knows more. What is wrong is told, and the command ends with 1. */
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { faultLine, parseRigFile, type RigFile } from '@tide-pebble/core';

export function rigFileArgument(
  command: string,
  more: readonly string[] = [],
): { readonly file: RigFile; readonly loadout: string | null; readonly option: (name: string) => string | null } {
  const named = ['loadout', ...more];
  const use = `Use: npm run -s ${command} -- FILE${named.map((o) => ` [--${o} NAME]`).join('')}`;
  let args;
  try {
    args = parseArgs({
      allowPositionals: true,
      options: Object.fromEntries(named.map((o) => [o, { type: 'string' as const }])),
    });
  } catch (error) {
    fail(`${error instanceof Error ? error.message : String(error)}\n${use}`);
  }
  const [file, ...others] = args.positionals;
  if (!file || others.length > 0) fail(use);
  const option = (name: string): string | null => (args.values[name] as string | undefined) ?? null;
  return { file: readRigFile(file), loadout: option('loadout'), option };
}

/** A path is from where the command was called. */
export function readRigFile(file: string): RigFile {
  let text = '';
  try {
    text = readFileSync(resolve(process.env['INIT_CWD'] ?? '.', file), 'utf8');
  } catch (error) {
    fail(`Could not read ${file}: ${error instanceof Error ? error.message : String(error)}`);
  }
  const read = parseRigFile(text);
  if (!read.ok) fail(read.faults.map((f) => `${file}: ${faultLine(f)}`).join('\n'));
  return read.value;
}

export function fail(message: string): never {
  console.error(message);
  process.exit(1);
}
