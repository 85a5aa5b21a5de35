// npm run soak -- kills|fuzz|windows|day|starts [--runs N] or families: the long runs, each on its own; short where N is left out.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { build } from './build.mjs';
import { ensurePackages, quit, root } from './setup.mjs';

const SOAKS = { kills: 1000, fuzz: 100_000, windows: 100_000, day: 24, starts: 200 };
const EVERY_FAMILY = ['start-each-family', 'whole-rigs', 'whole-job', 'every-word', 'nothing-cut'];
const [name, ...rest] = process.argv.slice(2);
if (!(name in SOAKS) && name !== 'families')
  quit(
    `Say which: families, ${Object.entries(SOAKS)
      .map(([n, full]) => `${n} (in full: --runs ${full})`)
      .join(', ')}.`,
  );
ensurePackages();
await build();
// Every family with every load, through the whole interface: the tests do some of each.
const [command, env] =
  name === 'families'
    ? [['npx', 'playwright', 'test', '-c', 'e2e/playwright.config.ts', ...EVERY_FAMILY], { EVERY_LOAD: '1' }]
    : [[process.execPath, '--import', 'tsx', join('e2e/soak', `${name}.ts`), ...rest], {}];
const [program, ...args] = command;
process.exit(spawnSync(program, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } }).status ?? 1);
