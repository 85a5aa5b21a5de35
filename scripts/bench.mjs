// npm run bench: installs and builds what is missing, then measures.
import { spawnSync } from 'node:child_process';
import { build } from './build.mjs';
import { ensureChromium, ensurePackages, root } from './setup.mjs';

ensurePackages();
ensureChromium();
await build();
process.exit(
  spawnSync(process.execPath, ['--import', 'tsx', 'bench/bench.ts'], { cwd: root, stdio: 'inherit' }).status ?? 1,
);
