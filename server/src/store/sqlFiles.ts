/** The .sql files: one statement a file, named by what it answers; migrations numbered without gaps. */
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const here = dirname(fileURLToPath(import.meta.url));
/** Beside the bundle when built, in the server folder when run from source. */
const folder = [join(here, 'sql'), join(here, '../../sql')].find((path) => existsSync(path)) ?? here;

export const QUERY_NAMES = [
  'allDocuments',
  'oneDocument',
  'putDocument',
  'keepPast',
  'thinPast',
  'isEmpty',
  'pastSaves',
  'onePast',
  'purpose',
  'setPurpose',
  'identity',
  'setIdentity',
  'putPhoto',
  'onePhoto',
  'shownPhotos',
  'dropLoosePhotos',
  'allDevices',
  'putDevice',
  'deviceByToken',
  'seenDevice',
  'dropDevice',
  'dropDevices',
] as const;
export type QueryName = (typeof QUERY_NAMES)[number];

export const queryText = (name: QueryName): string => readFileSync(join(folder, 'queries', `${name}.sql`), 'utf8');
export const queryFiles = (): readonly string[] =>
  readdirSync(join(folder, 'queries')).map((f) => f.replace('.sql', ''));

export interface Migration {
  readonly number: number;
  readonly name: string;
  readonly sql: string;
}

export function migrations(): readonly Migration[] {
  return readdirSync(join(folder, 'migrations'))
    .sort()
    .map((file) => ({
      number: Number(file.slice(0, 4)),
      name: file.slice(5, -4),
      sql: readFileSync(join(folder, 'migrations', file), 'utf8'),
    }));
}
