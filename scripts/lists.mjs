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
  { path: 'core/src/2-frame/families', list: 'FAMILIES', type: 'Family', from: '../family', what: 'rig families' },
  {
    path: 'core/src/2-frame/checks',
    list: 'FRAME_CHECKS',
    type: 'FrameCheck',
    from: '../frameCheck',
    what: 'checks of the frame',
  },
  {
    path: 'core/src/3-balance/checks',
    list: 'BALANCE_CHECKS',
    type: 'BalanceCheck',
    from: '../balanceCheck',
    what: 'checks of the balance',
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
for (const { path, list, type, from, what } of FOLDERS) {
  const folder = join(root, path);
  const file = join(folder, 'index.ts');
  const names = readdirSync(folder)
    .filter((f) => f.endsWith('.ts') && !f.endsWith('.spec.ts') && f !== 'index.ts')
    .map((f) => f.slice(0, -3))
    .sort();
  const text = [
    `/** All ${what}; written by scripts/lists.mjs from the files in this folder. */`,
    `import type { ${type} } from '${from}';`,
    ...names.map((n) => `import { ${n} } from './${n}';`),
    '',
    `export const ${list}: readonly ${type}[] = [${names.join(', ')}];`,
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
