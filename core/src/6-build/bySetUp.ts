/**
 * The same steps with tools changed seldom: all that is done with one set-up of a tool one after the other, as far as what each needs
 * allows. Found greedily, so there may be an order with fewer changes; never one with more than the order it was given.
 */
import type { BuildStep } from './step';

/** Changes of set-up, the first one counted. */
export const changesIn = (steps: readonly BuildStep[]): number =>
  steps.filter((s, i) => i === 0 || setUpOf(steps[i - 1]!) !== setUpOf(s)).length;

/** Steps that say none are set up by their tools. */
export const setUpOf = ({ setUp, tool }: BuildStep): string => setUp ?? tool;

export function bySetUp(steps: readonly BuildStep[]): readonly BuildStep[] {
  const known = new Set(steps.map((s) => s.id));
  const done = new Set<string>();
  const left = new Set(steps);
  const ordered: BuildStep[] = [];
  let now: string | null = null;
  while (left.size > 0) {
    const ready = readyIn(left, done, known);
    // A ring: as they were told.
    if (ready.length === 0) return steps;
    const stays = ready.find((s) => setUpOf(s) === now);
    if (!stays) now = best(ready, left, done, known);
    const next: BuildStep = stays ?? ready.find((s) => setUpOf(s) === now)!;
    left.delete(next);
    done.add(next.id);
    ordered.push(next);
  }
  return changesIn(ordered) < changesIn(steps) ? ordered : steps;
}

const readyIn = (
  left: Iterable<BuildStep>,
  done: ReadonlySet<string>,
  known: ReadonlySet<string>,
): readonly BuildStep[] => [...left].filter((s) => s.needs.every((n) => done.has(n) || !known.has(n)));

/** The set-up that all its steps can be done with at once; else the one of which most of them can; told first where that is the same. */
function best(
  ready: readonly BuildStep[],
  left: ReadonlySet<BuildStep>,
  done: ReadonlySet<string>,
  known: ReadonlySet<string>,
): string {
  let [found, part] = [setUpOf(ready[0]!), -1];
  for (const setUp of new Set(ready.map(setUpOf))) {
    const all = [...left].filter((s) => setUpOf(s) === setUp);
    const can = inOneGo(all, done, known) / all.length;
    if (can > part + 1e-9) [found, part] = [setUp, can];
  }
  return found;
}

/** How many of these can be done one after the other with nothing else between. */
function inOneGo(all: readonly BuildStep[], done: ReadonlySet<string>, known: ReadonlySet<string>): number {
  const then = new Set(done);
  let left = [...all];
  for (;;) {
    const ready = readyIn(left, then, known);
    if (ready.length === 0) return all.length - left.length;
    for (const s of ready) then.add(s.id);
    left = left.filter((s) => !then.has(s.id));
  }
}
