/** Starts the server on loopback with one data folder; every refusal is one plain sentence and an exit code. */
import { accessSync, constants, existsSync, mkdirSync, readFileSync, renameSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { makeApp, type AppOptions } from './app';
import { onlyThisMachine } from './guards';
import { addressesNow } from './lan/addresses';
import { greeting, openToTheHouse, type House } from './lan/house';
import { houseDoor } from './lan/houseDoor';
import { portHolder } from './portHolder';
import { Backups } from './store/backups';
import { damageOf } from './store/damage';
import { NewerData } from './store/migrate';
import { openStore, type Store } from './store/openStore';
import { WrongPurpose } from './store/refusals';
import { readBackup } from './unpack/unpackBackup';

/** Long enough to cost nothing, short enough that an hour's backup is never much over one. */
const LOOK_FOR_BACKUPS_MS = 5 * 60_000;
const here = dirname(fileURLToPath(import.meta.url));
const now = (): string => new Date().toISOString();

const options = readOptions();
const purpose = options.demo ? 'demo' : 'own';
const file = join(options.data, 'tide-pebble.db');
const backups = new Backups(file, now);
const store = open();
let house: House | null = null;
const served: AppOptions = {
  store,
  backups,
  purpose,
  page: options.page ?? join(here, '../web'),
  now,
  house: () => house,
};
const server = makeApp(served, onlyThisMachine).listen(options.port, '127.0.0.1');
server.once('listening', () =>
  console.log(
    `Tide Pebble is at http://127.0.0.1:${(server.address() as { port: number }).port}  (data in ${options.data}; Ctrl+C stops it)`,
  ),
);
server.once('error', (error: NodeJS.ErrnoException) =>
  quit(error.code === 'EADDRINUSE' ? taken(options.port) : `The server could not start: ${error.message}.`),
);
// Started by a command that is killed hard, it has no one to tell it to stop: the line to that command breaks.
if (process.connected) process.once('disconnect', stop);
if (options.lan) void openHouse();
keepBackups();
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, stop);

function stop(): void {
  const open = [server, ...(house ? [house.server] : [])];
  let left = open.length;
  for (const one of open) {
    one.close(() => {
      if (--left > 0) return;
      store.close();
      process.exit(0);
    });
    one.closeIdleConnections();
    // A page that keeps its connection open must not keep the server alive.
    setTimeout(() => one.closeAllConnections(), 500).unref();
  }
}

async function openHouse(): Promise<void> {
  const port = options.lanPort ?? (options.port === 0 ? 0 : options.port + 1);
  try {
    house = await openToTheHouse({
      folder: options.data,
      port,
      addresses: addressesNow(),
      now: Date.now,
      appFor: (door) => makeApp(served, houseDoor({ ...door, devices: store.devices, now: Date.now })),
    });
    console.log(greeting(house, 'field'));
  } catch (error) {
    quit(
      (error as NodeJS.ErrnoException).code === 'EADDRINUSE'
        ? `Port ${port} is taken, and the house's network was asked for. Choose another with --lan-port.`
        : `The server could not open to the house: ${error instanceof Error ? error.message : String(error)}.`,
    );
  }
}

/** Now and then, as long as it runs; what goes wrong is said and tried again at the next turn. */
function keepBackups(): void {
  const make = (): void =>
    void backups
      .makeIfDue(store)
      .catch((error: unknown) =>
        console.error(`No backup could be made: ${error instanceof Error ? error.message : String(error)}.`),
      );
  make();
  setInterval(make, LOOK_FOR_BACKUPS_MS).unref();
}

const taken = (port: number): string => {
  const holder = portHolder(port);
  return `Port ${port} is taken${holder ? ` by ${holder}` : ''}. Stop it, or choose another with --port.`;
};

function readOptions(): {
  demo: boolean;
  port: number;
  data: string;
  fresh: boolean;
  recover: boolean;
  page: string | undefined;
  lan: boolean;
  lanPort: number | null;
} {
  try {
    const { values } = parseArgs({
      options: {
        demo: { type: 'boolean', default: false },
        port: { type: 'string', default: '4680' },
        data: { type: 'string' },
        fresh: { type: 'boolean', default: false },
        recover: { type: 'boolean', default: false },
        page: { type: 'string' },
        lan: { type: 'boolean', default: false },
        'lan-port': { type: 'string' },
      },
    });
    const port = portOf('--port', values.port);
    const lanPort = values['lan-port'] === undefined ? null : portOf('--lan-port', values['lan-port']);
    return {
      demo: values.demo,
      port,
      data: resolve(
        process.env['INIT_CWD'] ?? '.',
        values.data ?? join(here, '../../data', values.demo ? 'demo' : 'own'),
      ),
      fresh: values.fresh,
      recover: values.recover,
      page: values.page,
      lan: values.lan || lanPort !== null,
      lanPort,
    };
  } catch (error) {
    return quit(
      `${error instanceof Error ? error.message : String(error)} Known: --port N, --data DIR, --fresh, --recover, --lan, --lan-port N.`,
    );
  }
}

function portOf(name: string, typed: string): number {
  const port = Number(typed);
  if (!/^\d+$/.test(typed) || port > 65535) quit(`${name} must be a whole number from 0 to 65535.`);
  return port;
}

function open(): Store {
  try {
    mkdirSync(options.data, { recursive: true });
    accessSync(options.data, constants.W_OK);
  } catch {
    quit(`The data folder ${options.data} cannot be written. Choose another with --data.`);
  }
  if (options.fresh && existsSync(file)) setAside();
  const damage = damageOf(file);
  if (damage !== null) mend(damage);
  try {
    const opened = openStore(file, purpose, now);
    if (options.demo && opened.isEmpty())
      opened.replaceAll(readBackup(JSON.parse(readFileSync(demoFile(), 'utf8'))).documents);
    return opened;
  } catch (error) {
    if (error instanceof NewerData || error instanceof WrongPurpose) quit(error.message);
    return quit(
      `The data in ${options.data} cannot be opened: ${error instanceof Error ? error.message : String(error)}.`,
    );
  }
}

/** A damaged data file is never written to: the newest sound backup is offered, and put in its place when asked. */
function mend(damage: string): void {
  const newest = backups.newestSound();
  const words = `The data file ${file} is damaged: ${damage}.`;
  if (!newest)
    quit(
      `${words}\nThere is no sound backup in ${join(options.data, 'backups')}. Start with --fresh to set it aside and begin anew; it is kept.`,
    );
  if (!options.recover)
    quit(
      `${words}\nThe newest sound backup is of ${new Date(newest.savedAt).toLocaleString('en-GB')}. Start with --recover to put it in place; the damaged file is kept beside it.`,
    );
  console.log(
    `${words}\nThe backup of ${new Date(newest.savedAt).toLocaleString('en-GB')} is in its place; the damaged file is kept as ${backups.recover(newest)}.`,
  );
}

/** --fresh never deletes: the old data is kept beside the new. */
function setAside(): void {
  const kept = `${file}.kept-${now().replace(/\D/g, '').slice(0, 14)}`;
  for (const end of ['', '-wal', '-shm']) if (existsSync(file + end)) renameSync(file + end, kept + end);
  console.log(`The old data is kept as ${kept}.`);
}

function demoFile(): string {
  return (
    [join(here, '../../demo/tide-pools.json'), join(here, 'tide-pools.json')].find((f) => existsSync(f)) ??
    'demo/tide-pools.json'
  );
}

function quit(message: string): never {
  console.error(message);
  process.exit(1);
}
