/** A day of use in fast time: edits, deletions, undone deletions, backups by the hour: file and memory do not grow without end. Full: --runs 24 (hours). */
import { readdirSync, rmSync, mkdtempSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { evenDraws, type BinItem } from '@tide-pebble/core';
import { Backups } from '../../server/src/store/backups';
import { openStore } from '../../server/src/store/openStore';
import { runsAsked, tell } from './server';

const hours = runsAsked(4);
/** An edit every twelve seconds. */
const EDITS_AN_HOUR = 300;
const folder = mkdtempSync(join(tmpdir(), 'tide-pebble-day-'));
const file = join(folder, 'tide-pebble.db');
let clock = Date.parse('2026-06-14T06:00:00.000Z');
const now = (): string => new Date(clock).toISOString();
const store = openStore(file, 'own', now);
const backups = new Backups(file, now);
const draw = evenDraws(24);
const wrong: string[] = [];
/** Beside it stands its log of some megabytes, which SQLite writes back by itself. */
const size = (): number => statSync(file).size;

const THINGS = 60;
const body = (id: string, count: number): BinItem => ({
  id,
  name: `Thing ${id}`,
  count,
  lengths: Array.from({ length: 40 }, (_, i) => (i + 1) / 100),
});
const sizes: number[] = [];
const memory: number[] = [];
for (let hour = 0; hour < hours; hour++) {
  for (let edit = 0; edit < EDITS_AN_HOUR; edit++) {
    clock += 12_000;
    const id = `t${Math.floor(draw() * THINGS)}`;
    const held = store.one('bin', id);
    store.save([
      {
        kind: 'bin',
        id,
        revision: held?.revision ?? 0,
        body: draw() < 0.05 ? null : body(id, Math.floor(draw() * 1000)),
      },
    ]);
    if (edit % 25 === 0) await backups.makeIfDue(store);
  }
  sizes.push(size());
  globalThis.gc?.();
  memory.push(process.memoryUsage().heapUsed / 1e6);
}
// Fifty saves a thing are kept, so it is full after some sixteen hours; from then on it stands.
const settled = sizes.slice(-Math.max(2, Math.floor(hours / 3)));
if (hours >= 24 && settled.at(-1)! > settled[0]! * 1.1)
  wrong.push(`the file grows: ${sizes.map((s) => Math.round(s / 1e3)).join(', ')} kB`);
const most = THINGS * 51 * 1000;
if (sizes.at(-1)! > most) wrong.push(`the file is ${sizes.at(-1)} bytes, more than ${most}`);
if (readdirSync(join(folder, 'backups')).length > 30)
  wrong.push(`${readdirSync(join(folder, 'backups')).length} backups in a day`);
if (memory.at(-1)! > memory[0]! + 60) wrong.push(`memory grows: ${memory.map((m) => Math.round(m)).join(', ')} MB`);
store.close();
rmSync(folder, { recursive: true, force: true });
tell(`${hours} hours of use, ${Math.round(sizes.at(-1)! / 1e3)} kB at the end`, wrong);
