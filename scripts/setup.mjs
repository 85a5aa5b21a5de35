// What a fresh machine lacks: npm packages, and the Debian packages for the native build and the browser tests.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
const isRoot = process.getuid?.() === 0;

/** Installs the packages of the lock file when they are not there or not those. Quiet; errors are shown whole. */
export function ensurePackages() {
  const mark = join(root, 'node_modules', '.installed-lock');
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const areThere = () => existsSync(mark) && readFileSync(mark, 'utf8') === lock && nativeModuleLoads();
  if (areThere()) return;
  oneAtATime(join(root, '.installing'), () => {
    if (areThere()) return;
    ensureDebian('a native build', [
      ['make', 'make'],
      ['g++', 'g++'],
      ['python3', 'python3'],
    ]);
    console.error('Installing npm packages (a few minutes the first time)…');
    run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
    if (!nativeModuleLoads()) run('npm', ['rebuild', 'better-sqlite3', '--loglevel=error']);
    if (!nativeModuleLoads())
      quit('better-sqlite3 did not build. Its log is above; build-essential and python3 must be installed.');
    mkdirSync(dirname(mark), { recursive: true });
    writeFileSync(mark, lock);
  });
}

/** Two commands begun at once would install into one folder together: the second waits. A lock whose process is gone counts for nothing. */
export function oneAtATime(file, work) {
  for (let hasWaited = false; ; hasWaited = true) {
    try {
      writeFileSync(file, `${process.pid}`, { flag: 'wx' });
      // Whoever found the lock of a dead process as well may just have taken this one for it.
      pause(50);
      if (existsSync(file) && readFileSync(file, 'utf8') === `${process.pid}`) break;
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
    }
    if (!isRunning(file)) rmSync(file, { force: true });
    else {
      if (!hasWaited) console.error('Another command is installing the packages; waiting for it…');
      pause(500);
    }
  }
  // `quit` ends the process from within.
  const unlock = () => rmSync(file, { force: true });
  process.once('exit', unlock);
  try {
    work();
  } finally {
    unlock();
    process.off('exit', unlock);
  }
}

function pause(ms) {
  Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, ms);
}

function isRunning(file) {
  let pid;
  try {
    pid = Number(readFileSync(file, 'utf8'));
    // Made a moment ago, its number not yet written.
    if (!pid) return Date.now() - statSync(file).mtimeMs < 2000;
  } catch {
    return false;
  }
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error.code === 'EPERM';
  }
}

export function ensureChromium() {
  ensureDebian('the browser tests', [['chromium', 'chromium']]);
}

/** Each entry: the command that must exist, and the Debian package that has it. */
function ensureDebian(what, wanted) {
  const missing = wanted.filter(([command]) => spawnSync('which', [command]).status !== 0).map(([, name]) => name);
  if (missing.length === 0) return;
  const install = `apt-get install -y --no-install-recommends ${missing.join(' ')}`;
  if (!isRoot)
    quit(`For ${what}, ${missing.join(', ')} must be installed. Run: sudo apt-get update && sudo ${install}`);
  console.error(`Installing ${missing.join(', ')} for ${what}…`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  run('apt-get', ['update', '-qq'], env);
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...missing], env);
}

function nativeModuleLoads() {
  const probe = "const D = require('better-sqlite3'); new D(':memory:').close()";
  return spawnSync(process.execPath, ['-e', probe], { cwd: root }).status === 0;
}

/** Runs a command whose output matters only when it fails. */
export function run(command, args, env = process.env) {
  const result = spawnSync(command, args, { cwd: root, env, encoding: 'utf8', maxBuffer: 1 << 28 });
  if (result.status === 0) return result.stdout;
  console.error(result.stdout ?? '');
  console.error(result.stderr ?? result.error?.message ?? '');
  quit(`${command} ${args.join(' ')} failed.`);
}

export function quit(message) {
  console.error(message);
  process.exit(1);
}
