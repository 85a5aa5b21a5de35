/** The commands: one plain sentence and an exit code where they cannot do what was asked. */
import { spawn, spawnSync } from 'node:child_process';
import {
  chmodSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, Server, test } from '../support/bench';

const root = fileURLToPath(new URL('../../', import.meta.url));
const folder = (): string => mkdtempSync(join(tmpdir(), 'tide-pebble-cmd-'));
const serve = (...args: string[]) =>
  spawnSync(process.execPath, [join(root, 'dist/server/main.mjs'), ...args], { encoding: 'utf8', timeout: 8000 });
const npm = (...args: string[]) =>
  spawnSync('npm', ['run', '-s', ...args], { cwd: root, encoding: 'utf8', env: { ...process.env, INIT_CWD: root } });

test('a taken port, a bad option, a folder that cannot be', async () => {
  const other = createServer().listen(0, '127.0.0.1');
  await new Promise((ready) => other.once('listening', ready));
  const { port } = other.address() as { port: number };
  const taken = serve('--port', `${port}`, '--data', folder());
  other.close();
  expect(taken.status).toBe(1);
  expect(taken.stderr).toContain(`Port ${port} is taken by `);
  expect(taken.stderr).toContain(`(process ${process.pid}). Stop it, or choose another with --port.`);
  expect(serve('--port', 'many').stderr).toBe('--port must be a whole number from 0 to 65535.\n');
  expect(serve('--colour', 'red').status).toBe(1);
  const file = join(folder(), 'a-file');
  writeFileSync(file, '');
  chmodSync(file, 0o400);
  const unwritable = serve('--data', join(file, 'data'));
  expect([unwritable.status, unwritable.stderr]).toEqual([
    1,
    `The data folder ${join(file, 'data')} cannot be written. Choose another with --data.\n`,
  ]);
});

test('two commands that begin at once install one after the other, and one that died stands in no way', async () => {
  const [lock, log] = [join(folder(), 'lock'), join(folder(), 'log')];
  // No process has this number.
  writeFileSync(lock, '99999999');
  const installs = `import { appendFileSync } from 'node:fs';
    import { oneAtATime } from '${join(root, 'scripts/setup.mjs')}';
    oneAtATime('${lock}', () => {
      appendFileSync('${log}', 'begun ');
      Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 400);
      appendFileSync('${log}', 'done ');
    });`;
  const both = [1, 2].map(() => spawn(process.execPath, ['--input-type=module', '-e', installs]));
  await Promise.all(both.map((child) => new Promise((ended) => child.once('exit', ended))));
  expect(readFileSync(log, 'utf8')).toBe('begun done begun done ');
  expect(existsSync(lock)).toBe(false);
});

test('the demo and the maker’s own data never mix; the server stops cleanly', async () => {
  const server = new Server(true);
  await server.start();
  expect(await server.stop('SIGTERM')).toBe(0);
  const mixed = serve('--data', server.data);
  expect([mixed.status, mixed.stderr]).toEqual([
    1,
    `${join(server.data, 'tide-pebble.db')} holds the demo. Start it with npm run demo, or choose another folder with --data.\n`,
  ]);
  await server.end();
});

test('a damaged data file is not written to: the newest good backup is offered, and put in place when asked', async () => {
  const server = new Server(true);
  await server.start();
  await expect
    .poll(
      () =>
        readdirSync(server.data).includes('backups') &&
        readdirSync(join(server.data, 'backups')).some((f) => f.startsWith('tide-pebble-')),
    )
    .toBe(true);
  await server.stop('SIGTERM');
  const file = join(server.data, 'tide-pebble.db');
  truncateSync(file, 0);
  const refused = serve('--demo', '--data', server.data);
  expect([refused.status, statSync(file).size]).toEqual([1, 0]);
  expect(refused.stderr).toContain('it is empty (0 bytes)');
  expect(refused.stderr).toContain('Start with --recover');
  const child = spawn(
    process.execPath,
    [join(root, 'dist/server/main.mjs'), '--demo', '--data', server.data, '--recover', '--port', '0'],
    { stdio: ['ignore', 'pipe', 'inherit'] },
  );
  let said = '';
  child.stdout.on('data', (text: Buffer) => (said += text.toString()));
  await expect.poll(() => said).toMatch(/http:\/\/127/);
  expect(said).toContain('is in its place; the damaged file is kept as');
  const { documents } = (await (await fetch(`${/http:\/\/127\.0\.0\.1:\d+/.exec(said)![0]}/api/documents`)).json()) as {
    documents: unknown[];
  };
  expect(documents.length).toBeGreaterThan(20);
  child.kill();
  await server.end();
});

test('started by a command that is killed hard, the server ends with it', async () => {
  const data = folder();
  const parent = spawn(process.execPath, ['scripts/start.mjs', '--port', '0', '--data', data], {
    cwd: root,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let said = '';
  parent.stdout.on('data', (text: Buffer) => (said += text.toString()));
  await expect.poll(() => said, { timeout: 60_000 }).toMatch(/http:\/\/127/);
  const { pid } = (await (await fetch(`${/http:\/\/127\.0\.0\.1:\d+/.exec(said)![0]}/api/health`)).json()) as {
    pid: number;
  };
  parent.kill('SIGKILL');
  await expect
    .poll(() => {
      try {
        process.kill(pid, 0);
        return 'alive';
      } catch {
        return 'gone';
      }
    })
    .toBe('gone');
});

test('analyse prints JSON, and says what is wrong with a file', () => {
  const good = npm('analyse', '--', 'demo/limpet.rig.json', '--loadout', 'Ebb: body, 24, small mic');
  expect((JSON.parse(good.stdout) as { hung: { state: string } }).hung.state).toBe('hangs');
  const bad = join(folder(), 'bad.json');
  writeFileSync(bad, '{"format":"tide-pebble-rig","version":1}');
  const refused = npm('analyse', '--', bad);
  expect(refused.status).toBe(1);
  expect(refused.stderr).toContain('rig is missing');
  expect(npm('analyse', '--', 'nowhere.json').stderr).toContain('Could not read nowhere.json');
  expect(npm('analyse', '--', 'demo/limpet.rig.json', '--loadout', 'Spring').stderr).toContain('No loadout “Spring”');
});

test('physics prints a line a case, a count, and exit 1 when one is off', () => {
  const path = join(folder(), 'cases.json');
  const drop = {
    id: 'mine-1',
    kind: 'dropTime',
    given: {
      axis: 'pitch',
      mass: 2.37,
      inertiaAboutAxis: 0.1184,
      massCentreDistance: 0.0213,
      releaseAngle: Math.PI / 2,
    },
    expect: { dropTime: 0.906731620341 },
    tolerance: { rel: 1e-8, abs: 1e-9 },
  };
  const cases = [
    drop,
    { ...drop, id: 'mine-2', expect: { dropTime: 0.9 } },
    { ...drop, id: 'mine-3', kind: 'rainfall' },
  ];
  writeFileSync(path, JSON.stringify({ cases }));
  const { status, stdout } = npm('physics', '--', path);
  expect(status).toBe(1);
  expect(stdout.trim().split('\n')).toEqual([
    'mine-1 ok',
    expect.stringMatching(/^mine-2 dropTime: got 0\.9067.*, want 0\.9, off by/),
    'mine-3 not supported yet',
    '1 passed, 1 failed, 1 skipped',
  ]);
});
