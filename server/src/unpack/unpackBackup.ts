/** A backup's zip to its documents and pictures: streamed, so that a small file that unpacks to a large one is let go of in time. */
import { Unzip, UnzipInflate, UnzipPassThrough } from 'fflate';
import { backup, readWith, TooMuch, weighJson, type Backup, type Fault } from '@tide-pebble/core';
import { BadRequest } from '../problem';
import { readBody } from '../store/openStore';
import { LIMITS } from './limits';

export const ENTRY = 'project.json';
const PHOTO = /^photos\/[0-9a-f]{64}\.(jpg|png|webp)$/;
const NOT_ONE = `This is not a backup of Tide Pebble: it must be a zip with ${ENTRY} in it.`;
/** Bytes given to the unpacker at a time. */
const PORTION = 64 * 1024;

export interface Unpacked {
  readonly savedAt: string;
  readonly documents: Backup['documents'];
  readonly photos: readonly Uint8Array[];
}

/** Throws BadRequest, with the reason in words. */
export function unpackBackup(zip: Uint8Array): Unpacked {
  const files = unzip(zip);
  const project = files.get(ENTRY);
  if (!project) throw new BadRequest(NOT_ONE);
  tooMuch(() => weighJson(project));
  let data: unknown;
  try {
    data = JSON.parse(new TextDecoder().decode(project));
  } catch {
    throw new BadRequest(`The ${ENTRY} in this backup is not JSON.`);
  }
  return { ...readBackup(data), photos: [...files].filter(([name]) => name !== ENTRY).map(([, bytes]) => bytes) };
}

/** Checked whole before anything is replaced. */
export function readBackup(data: unknown): Pick<Backup, 'savedAt' | 'documents'> {
  const read = readWith(backup, data);
  if (!read.ok) throw new BadRequest('This backup is not in the form this reads.', read.faults);
  const faults: Fault[] = [];
  const documents = read.value.documents.map(({ kind, id, body }, i) => {
    const found = readBody(kind, id, body);
    if (!found.ok && faults.length < 20)
      faults.push(...found.faults.map((f) => ({ path: `documents.${i}.body.${f.path}`, message: f.message })));
    return { kind, id, body: found.ok ? found.value : null };
  });
  if (faults.length > 0) throw new BadRequest(`${faults[0]!.path} ${faults[0]!.message}.`, faults);
  return { savedAt: read.value.savedAt, documents };
}

function unzip(zip: Uint8Array): ReadonlyMap<string, Uint8Array> {
  const files = new Map<string, Uint8Array>();
  let entries = 0;
  let unpacked = 0;
  const unzipper = new Unzip((file) => {
    if (++entries > LIMITS.entries) throw new TooMuch(`It holds more than ${LIMITS.entries} files.`);
    if (file.name !== ENTRY && !PHOTO.test(file.name)) return;
    const most = file.name === ENTRY ? LIMITS.json : LIMITS.photo;
    const chunks: Uint8Array[] = [];
    let size = 0;
    file.ondata = (error, chunk, last) => {
      if (error) throw error;
      size += chunk.length;
      unpacked += chunk.length;
      if (size > most) throw new TooMuch(`${file.name} unpacks to more than ${Math.round(most / 1024 / 1024)} MB.`);
      if (unpacked > LIMITS.unpacked)
        throw new TooMuch(`It unpacks to more than ${Math.round(LIMITS.unpacked / 1024 / 1024)} MB.`);
      chunks.push(chunk);
      if (last) files.set(file.name, joined(chunks, size));
    };
    file.start();
  });
  unzipper.register(UnzipInflate);
  unzipper.register(UnzipPassThrough);
  try {
    for (let from = 0; from < zip.length; from += PORTION)
      unzipper.push(zip.subarray(from, from + PORTION), from + PORTION >= zip.length);
  } catch (error) {
    throw new BadRequest(error instanceof TooMuch ? `This is larger than a backup can be. ${error.message}` : NOT_ONE);
  }
  return files;
}

function joined(chunks: readonly Uint8Array[], size: number): Uint8Array {
  const whole = new Uint8Array(size);
  let at = 0;
  for (const chunk of chunks) {
    whole.set(chunk, at);
    at += chunk.length;
  }
  return whole;
}

function tooMuch(work: () => void): void {
  try {
    work();
  } catch (error) {
    throw error instanceof TooMuch ? new BadRequest(`This is larger than a backup can be. ${error.message}`) : error;
  }
}
