/** The documents a rig file brings into a data folder, under ids that are free there. */
import { adoptDocuments, type AnyDocument, type NewDocument } from './adoptDocuments';
import type { BodyOf, DocumentKind } from './documents';
import type { RigFile } from './rigFile';

/**
 * `held` gives the body a document has here, null when there is none. An item or loadout that is here already, word for
 * word, is used as it stands; one that differs comes in under a new id. The rig always comes in as a rig of its own.
 */
export function adoptRigFile(
  file: RigFile,
  held: (kind: DocumentKind, id: string) => unknown,
  newId: () => string,
): readonly NewDocument[] {
  const of = <K extends DocumentKind>(kind: K, bodies: readonly BodyOf[K][]): readonly AnyDocument[] =>
    bodies.map((body) => ({ kind, id: body.id, body }));
  const setups = file.setups.filter((s) => s.rig === file.rig.id && file.loadouts.some((l) => l.id === s.loadout));
  // On its own it is the first of a line of its own.
  const { version: _, ...alone } = file.rig;
  const rig = { ...alone, loadout: file.loadouts.some((l) => l.id === file.rig.loadout) ? file.rig.loadout : null };
  return adoptDocuments(
    [...of('kit', file.kit), ...of('loadout', file.loadouts), ...of('rig', [rig]), ...of('setup', setups)],
    held,
    newId,
    { alwaysOwn: ['rig', 'setup'], called: 'imported' },
  );
}

/** The rig file of one rig: with it every loadout it has a set-up for or is designed for, and the kit those need. */
export function rigFileOf(
  rig: BodyOf['rig'],
  all: { kit: readonly BodyOf['kit'][]; loadouts: readonly BodyOf['loadout'][]; setups: readonly BodyOf['setup'][] },
): RigFile {
  const setups = all.setups.filter((s) => s.rig === rig.id);
  const wanted = new Set([rig.loadout, ...setups.map((s) => s.loadout)]);
  const loadouts = all.loadouts.filter((l) => wanted.has(l.id));
  const used = new Set(loadouts.flatMap((l) => l.items.map((m) => m.item)));
  return {
    format: 'tide-pebble-rig',
    version: 1,
    rig,
    kit: all.kit.filter((k) => used.has(k.id)),
    loadouts,
    setups: setups.filter((s) => loadouts.some((l) => l.id === s.loadout)),
  };
}
