/** Kit and loadouts as one open JSON file, and how its contents stand to what is here. */
import * as z from 'zod';
import { kitItem, loadout, type KitItem, type Loadout } from '../../model';
import { readWith, type Read } from '../faults';
import { sameItem, type Held } from './kitTable';
import { sameLoadout } from './loadoutTable';
import type { ImportRow } from './table';

export const kitFile = z.strictObject({
  format: z.literal('tide-pebble-kit'),
  version: z.literal(1),
  kit: z.array(kitItem).max(50_000),
  loadouts: z.array(loadout).max(5_000),
});
export type KitFile = z.infer<typeof kitFile>;

export const kitFileOf = (kit: readonly KitItem[], loadouts: readonly Loadout[]): KitFile => ({
  format: 'tide-pebble-kit',
  version: 1,
  kit: [...kit],
  loadouts: [...loadouts],
});

export function parseKitFile(text: string): Read<KitFile> {
  let data: unknown;
  try {
    data = JSON.parse(text.replace(/^\ufeff/, ''));
  } catch (error) {
    return {
      ok: false,
      faults: [{ path: '', message: `is not JSON: ${error instanceof Error ? error.message : 'unreadable'}` }],
    };
  }
  return readWith(kitFile, data);
}

/** Things are known by their id; a loadout whose items are neither here nor in the file is refused. */
export function standingOf(
  file: KitFile,
  kit: Held<KitItem>,
  loadouts: Held<Loadout>,
): { readonly kit: readonly ImportRow<KitItem>[]; readonly loadouts: readonly ImportRow<Loadout>[] } {
  const all = new Map([...kit.byId, ...file.kit.map((k) => [k.id, k] as const)]);
  return {
    kit: file.kit.map((body, i) => {
      const before = kit.byId.get(body.id);
      return {
        line: i + 1,
        name: body.name,
        standing: !before ? 'new' : sameItem(before, body) ? 'same' : 'changes',
        body,
        faults: [],
        notes: [],
      };
    }),
    loadouts: file.loadouts.map((body, i) => {
      const before = loadouts.byId.get(body.id);
      const gone = body.items.filter((m) => !all.has(m.item));
      if (gone.length > 0)
        return {
          line: i + 1,
          name: body.name,
          standing: 'refused',
          body: null,
          faults: [{ column: 'item', message: `“${gone[0]!.item}” is neither in this file nor in the kit.` }],
          notes: [],
        };
      return {
        line: i + 1,
        name: body.name,
        standing: !before ? 'new' : sameLoadout(before, body, all) ? 'same' : 'changes',
        body,
        faults: [],
        notes: [],
      };
    }),
  };
}
