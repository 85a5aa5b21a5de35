/** Starts the server on loopback with one data folder; every refusal is one plain sentence and an exit code. */
import { accessSync, constants, existsSync, mkdirSync, readFileSync, renameSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { makeApp } from './app';
import { readBackup } from './routes/backups';
import { NewerData } from './store/migrate';
import { openStore, WrongPurpose, type Store } from './store/openStore';

const here = dirname(fileURLToPath(import.meta.url));
const now = (): string => new Date().toISOString();

const options = readOptions();
const purpose = options.demo ? 'demo' : 'own';
const store = open();
const server = makeApp({ store, purpose, page: options.page ?? join(here, '../web'), now }).listen(options.port, '127.0.0.1');
server.once('listening', () => console.log(`Tide Pebble is at http://127.0.0.1:${(server.address() as { port: number }).port}  (data in ${options.data}; Ctrl+C stops it)`));
server.once('error', (error: NodeJS.ErrnoException) => quit(error.code === 'EADDRINUSE' ? `Port ${options.port} is taken. Stop what uses it, or choose another with --port.` : `The server could not start: ${error.message}.`));
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, stop);

function stop(): void {
  server.close(() => {
    store.close();
    process.exit(0);
  });
  server.closeIdleConnections();
  // A page that keeps its connection open must not keep the server alive.
  setTimeout(() => server.closeAllConnections(), 500).unref();
}

function readOptions(): { demo: boolean; port: number; data: string; fresh: boolean; page: string | undefined } {
  try {
    const { values } = parseArgs({ options: { demo: { type: 'boolean', default: false }, port: { type: 'string', default: '4680' }, data: { type: 'string' }, fresh: { type: 'boolean', default: false }, page: { type: 'string' } } });
    const port = Number(values.port);
    if (!Number.isInteger(port) || port < 0 || port > 65535) return quit('--port must be a whole number from 0 to 65535.');
    return { demo: values.demo, port, data: resolve(process.env['INIT_CWD'] ?? '.', values.data ?? join(here, '../../data', values.demo ? 'demo' : 'own')), fresh: values.fresh, page: values.page };
  } catch (error) {
    return quit(`${error instanceof Error ? error.message : String(error)} Known: --port N, --data DIR, --fresh.`);
  }
}

function open(): Store {
  const file = join(options.data, 'tide-pebble.db');
  try {
    mkdirSync(options.data, { recursive: true });
    accessSync(options.data, constants.W_OK);
  } catch {
    quit(`The data folder ${options.data} cannot be written. Choose another with --data.`);
  }
  if (options.fresh && existsSync(file)) setAside(file);
  try {
    const opened = openStore(file, purpose, now);
    if (options.demo && opened.isEmpty()) opened.replaceAll(readBackup(JSON.parse(readFileSync(demoFile(), 'utf8'))));
    return opened;
  } catch (error) {
    if (error instanceof NewerData || error instanceof WrongPurpose) quit(error.message);
    return quit(`The data in ${options.data} cannot be opened: ${error instanceof Error ? error.message : String(error)}.`);
  }
}

/** --fresh never deletes: the old data is kept beside the new. */
function setAside(file: string): void {
  const kept = `${file}.kept-${now().replace(/\D/g, '').slice(0, 14)}`;
  for (const end of ['', '-wal', '-shm']) if (existsSync(file + end)) renameSync(file + end, kept + end);
  console.log(`The old data is kept as ${kept}.`);
}

function demoFile(): string {
  return [join(here, '../../demo/tide-pools.json'), join(here, 'tide-pools.json')].find((f) => existsSync(f)) ?? 'demo/tide-pools.json';
}

function quit(message: string): never {
  console.error(message);
  process.exit(1);
}
