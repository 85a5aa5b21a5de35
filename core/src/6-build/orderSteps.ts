/** A valid order of steps: none before what it needs, otherwise as the makers gave them. */
import type { BuildStep } from './step';

export type Ordered =
  | { readonly kind: 'ordered'; readonly steps: readonly BuildStep[] }
  | { readonly kind: 'loop'; readonly ids: readonly string[] };

export function orderSteps(steps: readonly BuildStep[]): Ordered {
  const known = new Set(steps.map((s) => s.id));
  const done = new Set<string>();
  const ordered: BuildStep[] = [];
  const waiting = [...steps];
  while (waiting.length > 0) {
    const next = waiting.findIndex((s) => s.needs.every((n) => done.has(n) || !known.has(n)));
    if (next < 0) return { kind: 'loop', ids: waiting.map((s) => s.id) };
    const [step] = waiting.splice(next, 1);
    ordered.push(step!);
    done.add(step!.id);
  }
  return { kind: 'ordered', steps: ordered };
}
