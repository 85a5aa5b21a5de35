/** The same value a frame later: figures are painted first, and what takes longer to draw follows them. */
import { computed, effect, signal, untracked, type Signal } from '@angular/core';
import { afterPaint } from '../../services/after-paint';

/** At once the first time and when `key` changes, as for another rig; else in the frame after. Call it where effects may be made. */
export function nextFrame<T>(source: Signal<T>, key: (value: T) => unknown): Signal<T> {
  const late = signal<{ readonly value: T } | null>(null);
  let waiting = false;
  effect(() => {
    const value = source();
    if (waiting || untracked(late)?.value === value) return;
    waiting = true;
    // It takes what is newest by then.
    afterPaint(() => {
      waiting = false;
      late.set({ value: untracked(source) });
    });
  });
  return computed(() => {
    const now = source();
    const shown = late();
    return shown && key(shown.value) === key(now) ? shown.value : now;
  });
}
