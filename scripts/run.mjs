// Runs a TypeScript command line on Node, after installing what is missing. Usage: run.mjs SCRIPT ARGS…
import { spawnSync } from 'node:child_process';
import { ensurePackages } from './setup.mjs';

ensurePackages();
const result = spawnSync(process.execPath, ['--import', 'tsx', ...process.argv.slice(2)], { stdio: 'inherit' });
process.exit(result.status ?? 1);
