/** What takes its time for each line of a list: worked out after the page is drawn, one a task, so that no click waits for all of them. */
import { effect, signal, type Signal } from '@angular/core';
import { afterPaint } from '../../services/after-paint';

const waiting = new Set<() => void>();
let running = false;

function next(): void {
  const [work] = waiting;
  running = work !== undefined;
  if (!work) return;
  waiting.delete(work);
  try {
    work();
  } catch (error) {
    reportError(error);
  }
  // A task of its own, so that what came in meanwhile goes first.
  setTimeout(next);
}

/** Null until its first turn; after that what was shown stays until the new is there. Call it where effects may be made. */
export function inTurn<A, T>(asked: Signal<A>, work: (asked: A) => T): Signal<T | null> {
  const shown = signal<T | null>(null);
  effect((stop) => {
    const now = asked();
    const turn = (): void => shown.set(work(now));
    waiting.add(turn);
    stop(() => waiting.delete(turn));
    if (running) return;
    running = true;
    afterPaint(next);
  });
  return shown.asReadonly();
}
