/** A rig's versions: which belong together, and the next one begun from what the log wishes. */
import type { LogEntry, RigDocument } from '../model';

const lineOf = (rig: RigDocument): string => rig.version?.line ?? rig.id;
export const versionNumber = (rig: RigDocument): number => rig.version?.number ?? 1;

/** All of the rig's line that there are, the first of them first. */
export function versionsOf(rig: RigDocument, rigs: readonly RigDocument[]): readonly RigDocument[] {
  const line = lineOf(rig);
  return rigs
    .filter((r) => lineOf(r) === line)
    .sort(
      (a, b) => versionNumber(a) - versionNumber(b) || (a.version?.begun ?? '').localeCompare(b.version?.begun ?? ''),
    );
}

/** Wishes of the log for any of the line that no version has taken up, the newest first. */
export function openWishes(line: readonly RigDocument[], log: readonly LogEntry[]): readonly LogEntry[] {
  const ids = new Set(line.map((r) => r.id));
  const taken = new Set(line.flatMap((r) => r.version?.entries ?? []));
  return log
    .filter((e) => ids.has(e.rig) && (e.toTry ?? '').trim() !== '' && !taken.has(e.id))
    .sort((a, b) => (a.when < b.when ? 1 : -1));
}

/** The next of the line, drawn as `from` is and not built yet: what was ticked, timed or made otherwise is of the one before. */
export function nextVersion(
  from: RigDocument,
  rigs: readonly RigDocument[],
  begun: { readonly id: string; readonly at: string; readonly wish: string; readonly entries: readonly string[] },
): RigDocument {
  const line = versionsOf(from, rigs);
  const number = Math.max(1, ...line.map(versionNumber)) + 1;
  const { setting: _s, evenings: _e, took: _t, taken: _k, made: _m, ...rest } = from;
  const base = (line[0] ?? from).name.replace(/, version \d+$/, '').slice(0, 100);
  return {
    ...rest,
    id: begun.id,
    name: `${base}, version ${number}`,
    done: {},
    version: {
      line: lineOf(from),
      number,
      from: from.id,
      begun: begun.at,
      wish: begun.wish.slice(0, 2000),
      entries: begun.entries.slice(0, 100),
    },
  };
}
