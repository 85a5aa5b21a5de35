/** Paired phones, as the data file keeps them: of what a phone shows at the door only the hash. */
import { randomUUID } from 'node:crypto';
import { RIGHTS, type Device, type Right } from '@tide-pebble/core';
import type Database from 'better-sqlite3';
import * as z from 'zod';
import type { QueryName } from './sqlFiles';

export interface Devices {
  /** The newest first. */
  list(): readonly Device[];
  add(device: { readonly name: string; readonly right: Right; readonly tokenHash: string }): Device;
  byToken(tokenHash: string): Device | null;
  seen(id: string): void;
  /** False where there is none such. */
  letGo(id: string): boolean;
}

const row = z
  .strictObject({ id: z.string(), name: z.string(), may: z.enum(RIGHTS), paired_at: z.string(), seen_at: z.string() })
  .transform(({ may, paired_at: pairedAt, seen_at: seenAt, ...rest }) => ({ ...rest, right: may, pairedAt, seenAt }));

export function devicesIn(query: Readonly<Record<QueryName, Database.Statement>>, now: () => string): Devices {
  const byToken = (tokenHash: string): Device | null => {
    const found = query.deviceByToken.get({ tokenHash });
    return found === undefined ? null : row.parse(found);
  };
  return {
    list: () => query.allDevices.all().map((d) => row.parse(d)),
    add: ({ name, right, tokenHash }) => {
      query.putDevice.run({ id: randomUUID(), name, may: right, tokenHash, now: now() });
      return byToken(tokenHash)!;
    },
    byToken,
    seen: (id) => void query.seenDevice.run({ id, now: now() }),
    letGo: (id) => query.dropDevice.run({ id }).changes > 0,
  };
}
