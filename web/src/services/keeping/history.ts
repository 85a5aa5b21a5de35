/** Undo and redo over documents: each step knows what it found and what it left. Pure, so it is tested on its own. */
import type { DocumentKind } from '@tide-pebble/core';

export interface Edit {
  readonly kind: DocumentKind;
  readonly id: string;
  /** Null: deleted, or not there yet. */
  readonly body: unknown;
}
export interface Step {
  readonly label: string;
  readonly before: readonly Edit[];
  readonly after: readonly Edit[];
  /** Steps of the same field in quick succession are one; of the same `together`, however long they take. */
  readonly merge: string | null;
  readonly at: number;
}
export interface History {
  readonly past: readonly Step[];
  readonly future: readonly Step[];
}

export const NO_HISTORY: History = { past: [], future: [] };
const STEPS_KEPT = 300;
const MERGE_WITHIN_MS = 900;

const TOGETHER = 'together ';
/** A word of its own for steps that the maker sees as one, as a remedy and the trim that follows it. */
export const together = (): string => `${TOGETHER}${crypto.randomUUID()}`;

export function recorded(history: History, step: Step): History {
  const last = history.past.at(-1);
  if (
    last &&
    step.merge !== null &&
    last.merge === step.merge &&
    (step.merge.startsWith(TOGETHER) || step.at - last.at < MERGE_WITHIN_MS)
  ) {
    return {
      past: [
        ...history.past.slice(0, -1),
        { ...step, before: over(last.before, step.before), after: over(step.after, last.after) },
      ],
      future: [],
    };
  }
  return { past: [...history.past, step].slice(-STEPS_KEPT), future: [] };
}

/** The first of each document. */
const over = (first: readonly Edit[], rest: readonly Edit[]): readonly Edit[] => [
  ...first,
  ...rest.filter((r) => !first.some((f) => f.kind === r.kind && f.id === r.id)),
];

export function undone(history: History): { history: History; step: Step } | null {
  const step = history.past.at(-1);
  return step ? { step, history: { past: history.past.slice(0, -1), future: [step, ...history.future] } } : null;
}

export function redone(history: History): { history: History; step: Step } | null {
  const step = history.future[0];
  return step ? { step, history: { past: [...history.past, step], future: history.future.slice(1) } } : null;
}
