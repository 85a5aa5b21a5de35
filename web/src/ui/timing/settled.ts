/** The same value once it has stood still for a moment: for what is long to work out and read seldom. */
import { effect, signal, untracked, type Signal } from '@angular/core';

const STILL_MS = 150;

/** Null until then the first time. Call it where effects may be made. */
export function settled<T>(source: Signal<T>): Signal<T | null> {
  const still = signal<T | null>(null);
  effect((stop) => {
    const value = source();
    if (untracked(still) === value) return;
    const timer = setTimeout(() => still.set(value), STILL_MS);
    stop(() => clearTimeout(timer));
  });
  return still.asReadonly();
}
