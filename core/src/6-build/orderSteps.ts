/** A valid order of steps: none before what it needs, otherwise as the makers gave them. */
import type { BuildStep } from './step';

export type Ordered = { readonly kind: 'ordered'; readonly steps: readonly BuildStep[] } | { readonly kind: 'loop'; readonly ids: readonly string[] };

export function orderSteps(steps: readonly BuildStep[]): Ordered {
  const known = new Set(steps.map((s) => s.id));
  const done = new Set<string>();
  const ordered: BuildStep[] = [];
  let waiting = [...steps];
  while (waiting.length > 0) {
    const next = waiting.find((s) => s.needs.every((n) => done.has(n) || !known.has(n)));
    if (!next) return { kind: 'loop', ids: waiting.map((s) => s.id) };
    ordered.push(next);
    done.add(next.id);
    waiting = waiting.filter((s) => s !== next);
  }
  return { kind: 'ordered', steps: ordered };
}
