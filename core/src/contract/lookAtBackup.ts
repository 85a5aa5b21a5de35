/** What a backup holds against what is here, before anything is done with it. */
import { nameOf, type AnyDocument } from './adoptDocuments';
import type { BackupLook, DocumentKind, Named } from './documents';

/** `savedAt` null where the backup does not say; `photos` counts its pictures. */
export function lookAtBackup(
  backup: { readonly savedAt: string | null; readonly photos: number; readonly documents: readonly AnyDocument[] },
  here: readonly AnyDocument[],
): BackupLook {
  const before = new Map(here.map((d) => [`${d.kind}/${d.id}`, d]));
  const inside = new Set(backup.documents.map((d) => `${d.kind}/${d.id}`));
  const names = new Map([...here, ...backup.documents].map((d) => [`${d.kind}/${d.id}`, nameOf(d.body)]));
  const named = ({ kind, id, body }: AnyDocument): Named => ({
    kind,
    id,
    name: nameOf(body) ?? ofRig(kind, body, names),
  });
  return {
    savedAt: backup.savedAt,
    photos: backup.photos,
    holds: backup.documents.map((d) => {
      const held = before.get(`${d.kind}/${d.id}`);
      return {
        ...named(d),
        here: held === undefined ? 'new' : JSON.stringify(held.body) === JSON.stringify(d.body) ? 'same' : 'changed',
      };
    }),
    goes: here.filter((d) => !inside.has(`${d.kind}/${d.id}`)).map(named),
  };
}

const NAMELESS: Partial<Record<DocumentKind, string>> = { setup: 'set-up', log: 'entry', walk: 'walk' };
/** Set-ups, log entries and walks have no name of their own. */
function ofRig(kind: DocumentKind, body: unknown, names: ReadonlyMap<string, string | null>): string {
  const rig = (body as { readonly rig?: string | null } | null)?.rig;
  const of = rig === undefined || rig === null ? null : names.get(`rig/${rig}`);
  return `${NAMELESS[kind] ?? kind}${of ? ` of ${of}` : ''}`;
}
