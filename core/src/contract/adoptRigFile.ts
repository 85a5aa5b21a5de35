/** The documents a rig file brings into a data folder, under ids that are free there. */
import type { BodyOf, DocumentKind } from './documents';
import type { RigFile } from './rigFile';

export type NewDocument = { readonly [K in DocumentKind]: { readonly kind: K; readonly id: string; readonly body: BodyOf[K] } }[DocumentKind];

/**
 * `held` gives the body a document has here, null when there is none. An item or loadout that is here already, word for
 * word, is used as it stands; one that differs comes in under a new id. The rig always comes in as a rig of its own.
 */
export function adoptRigFile(file: RigFile, held: (kind: DocumentKind, id: string) => unknown, newId: () => string): readonly NewDocument[] {
  const documents: NewDocument[] = [];
  const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
  const kitIds = new Map<string, string>();
  for (const item of file.kit) {
    const here = held('kit', item.id);
    const id = here && !same(here, item) ? newId() : item.id;
    kitIds.set(item.id, id);
    if (!here || id !== item.id) documents.push({ kind: 'kit', id, body: { ...item, id } });
  }
  const loadoutIds = new Map<string, string>();
  for (const loadout of file.loadouts) {
    const body = { ...loadout, items: loadout.items.map((m) => ({ ...m, item: kitIds.get(m.item) ?? m.item })) };
    const here = held('loadout', loadout.id);
    const id = here && !same(here, body) ? newId() : loadout.id;
    loadoutIds.set(loadout.id, id);
    if (!here || id !== loadout.id) documents.push({ kind: 'loadout', id, body: { ...body, id } });
  }
  const rigHere = held('rig', file.rig.id);
  const rigId = rigHere ? newId() : file.rig.id;
  const loadout = file.rig.loadout === null ? null : (loadoutIds.get(file.rig.loadout) ?? null);
  documents.push({ kind: 'rig', id: rigId, body: { ...file.rig, id: rigId, loadout, name: rigHere ? `${file.rig.name} (imported)`.slice(0, 120) : file.rig.name } });
  for (const setup of file.setups) {
    const onLoadout = loadoutIds.get(setup.loadout);
    if (setup.rig !== file.rig.id || !onLoadout) continue;
    const id = held('setup', setup.id) ? newId() : setup.id;
    documents.push({ kind: 'setup', id, body: { ...setup, id, rig: rigId, loadout: onLoadout } });
  }
  return documents;
}

/** The rig file of one rig: with it every loadout it has a set-up for or is designed for, and the kit those need. */
export function rigFileOf(rig: BodyOf['rig'], all: { kit: readonly BodyOf['kit'][]; loadouts: readonly BodyOf['loadout'][]; setups: readonly BodyOf['setup'][] }): RigFile {
  const setups = all.setups.filter((s) => s.rig === rig.id);
  const wanted = new Set([rig.loadout, ...setups.map((s) => s.loadout)]);
  const loadouts = all.loadouts.filter((l) => wanted.has(l.id));
  const used = new Set(loadouts.flatMap((l) => l.items.map((m) => m.item)));
  return { format: 'tide-pebble-rig', version: 1, rig, kit: all.kit.filter((k) => used.has(k.id)), loadouts, setups: setups.filter((s) => loadouts.some((l) => l.id === s.loadout)) };
}
