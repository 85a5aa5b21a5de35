/** What all flicks of a rig have said of its joints: of each joint the last. */
import type { LogEntry } from '../../model';
import type { JointHeard, JointsHeard } from '../../4-strength/rig/knownJoints';

export function jointsKnown(log: readonly LogEntry[], rig: string): JointsHeard {
  const known = new Map<string, JointHeard>();
  for (const { seen } of log.filter((e) => e.rig === rig).sort((a, b) => a.when.localeCompare(b.when)))
    for (const { join, factor, within } of seen.rings?.joints ?? []) known.set(join, { factor, within });
  return known;
}

export const sameJoints = (a: JointsHeard, b: JointsHeard): boolean =>
  a.size === b.size &&
  [...a].every(([join, { factor, within }]) => b.get(join)?.factor === factor && b.get(join)?.within === within);
