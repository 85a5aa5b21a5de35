// Writes the index of each folder where one new file means one new thing. `--check` fails when one is stale.
import { readdirSync, readFileSync, writeFileSync, existsSync } from 'node:fs';
import { join, dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import { format, resolveConfig } from 'prettier';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
const FOLDERS = [
  {
    path: 'core/src/1-load/checks',
    list: 'LOAD_CHECKS',
    type: 'LoadCheck',
    from: '../loadCheck',
    what: 'checks of a loadout',
  },
  {
    path: 'core/src/1-load/methods',
    list: 'METHODS',
    type: 'Method',
    from: '../method',
    what: 'ways to measure an item',
  },
  {
    path: 'core/src/2-frame/families',
    list: 'STATED_FAMILIES',
    type: 'Family',
    from: '../family',
    what: 'rig families',
  },
  {
    path: 'core/src/2-frame/checks',
    list: 'FRAME_CHECKS',
    type: 'FrameCheck',
    from: '../frameCheck',
    what: 'checks of the frame',
  },
  {
    path: 'core/src/3-balance/checks',
    // Those of one way of being borne stand in its room.
    rooms: '../borne',
    list: 'BALANCE_CHECKS',
    type: 'BalanceCheck',
    from: '../balanceCheck',
    what: 'checks of the balance',
  },
  {
    path: 'core/src/4-strength/cases',
    list: 'STRENGTH_CASES',
    type: 'StrengthCase',
    from: '../strengthCase',
    what: 'things done to a rig that it has to bear',
  },
  {
    path: 'core/src/9-design/strength/changes',
    list: 'STIFFENERS',
    type: 'Stiffener',
    from: '../stiffener',
    what: 'kinds of change that may stiffen a rig',
  },
  {
    path: 'core/src/6-build/steps',
    list: 'STEP_MAKERS',
    type: 'StepMaker',
    from: '../step',
    what: 'makers of build steps',
  },
  { path: 'scripts/physics', list: 'KINDS', type: 'CaseKind', from: '../physicsCase', what: 'kinds of physics case' },
];

const stale = [];
for (const { path, rooms, list, type, from, what } of FOLDERS) {
  const folder = join(root, path);
  const file = join(folder, 'index.ts');
  const places = [
    '.',
    ...(rooms ? readdirSync(join(folder, rooms)).map((room) => `${rooms}/${room}/checks`) : []),
  ].filter((place) => existsSync(join(folder, place)));
  const found = places
    .flatMap((place) =>
      readdirSync(join(folder, place))
        .filter((f) => f.endsWith('.ts') && !f.endsWith('.spec.ts') && f !== 'index.ts')
        .map((f) => ({ name: f.slice(0, -3), place })),
    )
    .sort((a, b) => (a.name < b.name ? -1 : 1));
  const text = [
    `/** All ${what}; written by scripts/lists.mjs from the files in ${rooms ? 'this folder and those of the rooms' : 'this folder'}. */`,
    `import type { ${type} } from '${from}';`,
    ...found.map(({ name, place }) => `import { ${name} } from '${place}/${name}';`),
    '',
    `export const ${list}: readonly ${type}[] = [${found.map(({ name }) => name).join(', ')}];`,
  ].join('\n');
  const written = await format(text, { ...(await resolveConfig(file)), parser: 'typescript' });
  if (existsSync(file) && readFileSync(file, 'utf8') === written) continue;
  if (!process.argv.includes('--check')) writeFileSync(file, written);
  stale.push(path);
}
if (process.argv.includes('--check') && stale.length > 0) {
  console.error(`Stale list: ${stale.join(', ')}. Run: node scripts/lists.mjs`);
  process.exit(1);
}
