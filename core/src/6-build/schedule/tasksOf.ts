/** A rig's steps as tasks for one pair of hands: what may go on while glue sets, and what must not before. */
import { goesOnFor, type BuildStep } from '../step';
import type { Task } from './schedule';

export interface Timing {
  readonly isDone: (step: BuildStep) => boolean;
  /** Hands on it, s; what goes on by itself after, s. */
  readonly handsOn: (step: BuildStep) => number;
  readonly goesOn: (step: BuildStep) => number;
  /** Of a step that is done: when what goes on by itself has ended, s from the start of the plan; before it: nothing is waited for. */
  readonly ends: (step: BuildStep) => number;
}
const AS_RECKONED: Timing = {
  isDone: () => false,
  handsOn: (step) => 60 * step.minutes,
  goesOn: goesOnFor,
  ends: () => -Infinity,
};

/**
 * Of all steps, those that are not done. Cemented and soldered sockets grab at once: the next may be put together while they set, but
 * nothing is bolted to, hung from or loaded on them before. What is glued otherwise stays in its clamps.
 */
export function tasksOf(steps: readonly BuildStep[], timing: Partial<Timing> = {}): readonly Task[] {
  const { isDone, handsOn, goesOn, ends } = { ...AS_RECKONED, ...timing };
  const byId = new Map(steps.map((s) => [s.id, s]));
  const left = steps.filter((s) => !isDone(s));
  const isLeft = new Set(left.map((s) => s.id));
  const wet = (step: BuildStep): boolean =>
    step.dries !== undefined && (step.joins?.connections.every((c) => c.kind === 'socketed') ?? false);
  const glues = (step: BuildStep): boolean => step.joins?.connections.every((c) => !c.reversible) ?? false;
  /** What sets before this, whatever was done in between. */
  const setting = new Map<string, ReadonlySet<string>>();
  for (const s of steps) {
    const found = new Set<string>();
    for (const need of s.needs) {
      const before = byId.get(need);
      if (!before) continue;
      if (wet(before)) found.add(need);
      for (const id of setting.get(need) ?? []) found.add(id);
    }
    setting.set(s.id, found);
  }
  /** Machines that still run. */
  const busy = (machine: string | undefined): number =>
    machine === undefined ? 0 : Math.max(0, ...steps.filter((s) => isDone(s) && s.runs?.machine === machine).map(ends));
  return left.map((s): Task => {
    const goes = glues(s);
    const needs = s.needs.filter((n) => byId.has(n));
    const ended = goes ? needs.filter((n) => !wet(byId.get(n)!)) : [...new Set([...needs, ...setting.get(s.id)!])];
    const notBefore = Math.max(
      busy(s.runs?.machine),
      ...ended.filter((n) => !isLeft.has(n)).map((n) => ends(byId.get(n)!)),
    );
    return {
      id: s.id,
      handsOn: handsOn(s),
      wait: goesOn(s),
      machine: s.runs?.machine,
      after: ended.filter((n) => isLeft.has(n)),
      onceLaid: goes ? needs.filter((n) => wet(byId.get(n)!) && isLeft.has(n)) : [],
      ...(notBefore > 0 ? { notBefore } : {}),
    };
  });
}
