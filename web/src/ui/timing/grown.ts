/** A long list drawn from its top, a portion a task: what is in view stands at once, and no click waits for the rest. */
import { computed, effect, linkedSignal, untracked, type Signal } from '@angular/core';
import { afterPaint } from '../../services/after-paint';

/** More than a page shows; and no portion takes longer than it may. */
const AT_ONCE = 8;
const PORTION = 12;

/** Begins again when `key` changes, as for another rig; a line more or less of the same list is drawn at once. Call it where effects may be made. */
export function grown<T>(
  list: Signal<readonly T[]>,
  key: Signal<unknown>,
): { readonly drawn: Signal<readonly T[]>; readonly isWhole: Signal<boolean> } {
  const count = linkedSignal<unknown, number>({ source: key, computation: () => AT_ONCE });
  const isWhole = computed(() => count() >= list().length);
  let waiting = false;
  effect(() => {
    count();
    if (isWhole() || waiting) return;
    waiting = true;
    afterPaint(() => {
      waiting = false;
      count.set(untracked(count) + PORTION);
    });
  });
  return { drawn: computed(() => (isWhole() ? list() : list().slice(0, count()))), isWhole };
}
