// npm run soak -- kills|fuzz|windows|day [--runs N]: the long runs, each on its own; short where N is left out.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { build } from './build.mjs';
import { ensurePackages, quit, root } from './setup.mjs';

const SOAKS = { kills: 1000, fuzz: 100_000, windows: 100_000, day: 24 };
const [name, ...rest] = process.argv.slice(2);
if (!(name in SOAKS))
  quit(
    `Say which: ${Object.entries(SOAKS)
      .map(([n, full]) => `${n} (in full: --runs ${full})`)
      .join(', ')}.`,
  );
ensurePackages();
await build();
process.exit(
  spawnSync(process.execPath, ['--import', 'tsx', join('e2e/soak', `${name}.ts`), ...rest], {
    cwd: root,
    stdio: 'inherit',
  }).status ?? 1,
);
