/** Unpacks backups beside the server, which goes on answering; its memory is bounded, and it can be let go of at any time. */
import { parentPort } from 'node:worker_threads';
import { BadRequest } from '../problem';
import { unpackBackup } from './unpackBackup';

parentPort!.on('message', (zip: Uint8Array) => {
  try {
    parentPort!.postMessage({ ok: true, value: unpackBackup(zip) });
  } catch (error) {
    if (!(error instanceof BadRequest)) throw error;
    parentPort!.postMessage({ ok: false, message: error.message, faults: error.faults });
  }
});
