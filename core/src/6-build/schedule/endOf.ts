/** When the last of a plan ends, hands and waits, s; or what of it cannot be. An independent reading of the same rules as `schedule`. */
import type { Task, Window } from './schedule';

/** Times are told to a second at best. */
const SAME = 1e-3;

export function endOf(
  tasks: readonly Task[],
  windows: readonly Window[],
  starts: ReadonlyMap<string, number>,
): { readonly end: number } | { readonly wrong: string } {
  const at = tasks.map((task) => ({ task, start: starts.get(task.id) ?? NaN }));
  const end = new Map(at.map(({ task, start }) => [task.id, start + task.handsOn + task.wait]));
  for (const { task, start } of at) {
    const hands = start + task.handsOn;
    if (!windows.some(([from, to]) => start >= from - SAME && hands <= to + SAME))
      return { wrong: `${task.id} lies in no window` };
    if (start < (task.notBefore ?? 0) - SAME) return { wrong: `${task.id} is before what it waits for` };
    for (const before of task.after)
      if ((end.get(before) ?? 0) > start + SAME) return { wrong: `${task.id} is before ${before}` };
    for (const before of task.onceLaid ?? []) {
      const other = at.find((o) => o.task.id === before);
      if (other && other.start + other.task.handsOn > start + SAME) return { wrong: `${task.id} is before ${before}` };
    }
    for (const other of at) {
      if (other.task === task) continue;
      const theirs = other.start + other.task.handsOn;
      if (start < theirs - SAME && other.start < hands - SAME)
        return { wrong: `${task.id} and ${other.task.id} at once` };
      const isShared = task.machine !== undefined && task.machine === other.task.machine;
      // Taken from when hands let go until it has run.
      if (isShared && hands < end.get(other.task.id)! - SAME && theirs < end.get(task.id)! - SAME)
        return { wrong: `${task.id} and ${other.task.id} on one ${task.machine}` };
    }
  }
  return { end: Math.max(0, ...end.values()) };
}
