/** A rig's steps as tasks for one pair of hands: what may go on while glue sets, and what must not before. */
import { goesOnFor, type BuildStep } from '../step';
import type { Task } from './schedule';

/**
 * Cemented and soldered sockets grab at once: the next may be put together while they set, but nothing is bolted to, hung from or
 * loaded on them before. What is glued otherwise stays in its clamps.
 */
export function tasksOf(
  steps: readonly BuildStep[],
  isDone: (step: BuildStep) => boolean = () => false,
): readonly Task[] {
  const left = steps.filter((s) => !isDone(s));
  const byId = new Map(left.map((s) => [s.id, s]));
  const wet = (step: BuildStep): boolean =>
    step.dries !== undefined && (step.joins?.connections.every((c) => c.kind === 'socketed') ?? false);
  const glues = (step: BuildStep): boolean => step.joins?.connections.every((c) => !c.reversible) ?? false;
  /** What sets before this, whatever was done in between. */
  const setting = new Map<string, ReadonlySet<string>>();
  for (const s of left) {
    const found = new Set<string>();
    for (const need of s.needs) {
      const before = byId.get(need);
      if (!before) continue;
      if (wet(before)) found.add(need);
      for (const id of setting.get(need) ?? []) found.add(id);
    }
    setting.set(s.id, found);
  }
  return left.map((s): Task => {
    const goesOn = glues(s);
    const needs = s.needs.filter((n) => byId.has(n));
    return {
      id: s.id,
      handsOn: 60 * s.minutes,
      wait: goesOnFor(s),
      machine: s.runs?.machine,
      after: goesOn ? needs.filter((n) => !wet(byId.get(n)!)) : [...new Set([...needs, ...setting.get(s.id)!])],
      onceLaid: goesOn ? needs.filter((n) => wet(byId.get(n)!)) : [],
    };
  });
}
