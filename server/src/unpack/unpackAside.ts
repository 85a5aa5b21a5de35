/** Unpacks a backup in a thread of its own, one at a time; one that takes too long or too much memory is let go of. */
import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { Worker } from 'node:worker_threads';
import type { Fault } from '@tide-pebble/core';
import { BadRequest, Busy } from '../problem';
import type { Unpacked } from './unpackBackup';

type Answer =
  | { readonly ok: true; readonly value: Unpacked }
  | { readonly ok: false; readonly message: string; readonly faults: readonly Fault[] };

/** Ten times what forty thousand documents take here. */
const AT_MOST_MS = 30_000;
const MEMORY_MB = 256;
/** Beside the bundle when built. Run from source, a thread does not inherit the loader of TypeScript: it registers its own. */
const BUILT = new URL('./unpack.worker.mjs', import.meta.url);
const FROM_SOURCE = `import('tsx/esm/api').then(({ register }) => { register(); return import(${JSON.stringify(new URL('./unpack.worker.ts', import.meta.url).href)}); })`;

/** Kept for the next one for so long: a restore follows its look. */
const IDLE_MS = 10_000;

let working = false;
let thread: Worker | null = null;
let answered: (answer: Answer) => void = () => undefined;
let broke: (error: NodeJS.ErrnoException) => void = () => undefined;
let idle: NodeJS.Timeout | undefined;

/** Throws Busy while another is unpacked. */
export function isFree(): void {
  if (working) throw new Busy('Another backup is being read. Try again when it is done.');
}

export async function unpackAside(zip: Uint8Array): Promise<Unpacked> {
  isFree();
  working = true;
  clearTimeout(idle);
  const worker = (thread ??= start());
  let late: NodeJS.Timeout | undefined;
  try {
    return await new Promise<Unpacked>((done, failed) => {
      late = setTimeout(
        () => failed(new BadRequest(`This backup takes longer than ${AT_MOST_MS / 1000} s to read: it was let go of.`)),
        AT_MOST_MS,
      );
      answered = (answer) => {
        if (answer.ok) done(answer.value);
        else failed(new Told(answer.message, answer.faults));
      };
      broke = (error) =>
        failed(
          error.code === 'ERR_WORKER_OUT_OF_MEMORY'
            ? new BadRequest('This backup takes more memory to read than one of Tide Pebble can.')
            : error,
        );
      worker.postMessage(zip);
    });
  } catch (error) {
    // It answered, so it lives on; whatever else happened, it may hang or be half gone.
    if (!(error instanceof Told)) end();
    throw error;
  } finally {
    clearTimeout(late);
    working = false;
    idle = setTimeout(end, IDLE_MS).unref();
  }
}

/** A refusal that the thread itself gave. */
class Told extends BadRequest {}

function start(): Worker {
  const limits = { resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB } };
  const worker = existsSync(fileURLToPath(BUILT))
    ? new Worker(BUILT, limits)
    : new Worker(FROM_SOURCE, { ...limits, eval: true });
  worker.on('message', (answer: Answer) => answered(answer));
  worker.on('error', (error: NodeJS.ErrnoException) => broke(error));
  // It keeps nothing alive by itself.
  worker.unref();
  return worker;
}

function end(): void {
  void thread?.terminate();
  thread = null;
}
