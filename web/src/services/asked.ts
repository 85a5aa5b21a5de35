/** Heavy work asked for by a press: how far it is, what came of it, and that all of it is over once what it was asked of has changed. */
import { computed, DestroyRef, effect, inject, linkedSignal, untracked, type Signal } from '@angular/core';
import { EMPTY, type Observable, type Subscription } from 'rxjs';

type Now<T> =
  | { readonly kind: 'notAsked' }
  | { readonly kind: 'working'; readonly part: number }
  | { readonly kind: 'found'; readonly found: T }
  | { readonly kind: 'failed'; readonly reason: string };
type Told = (part: { readonly done: number; readonly of: number }) => void;

/**
 * `about` holds all that the answer depends on, by identity. When it changes, the work is stopped and its answer forgotten:
 * what was worked out for one rig must never be set on another. Make it where effects may be made; it ends with its owner.
 */
export class Asked<T> {
  private work: Subscription = EMPTY.subscribe();
  private readonly now;

  readonly kind = computed(() => this.now().kind);
  /** How far it has come, 0 to 1; null while nothing is at work. */
  readonly part = computed(() => {
    const now = this.now();
    return now.kind === 'working' ? now.part : null;
  });
  readonly found = computed(() => {
    const now = this.now();
    return now.kind === 'found' ? now.found : null;
  });
  /** Why there is no answer; empty otherwise. */
  readonly reason = computed(() => {
    const now = this.now();
    return now.kind === 'failed' ? now.reason : '';
  });

  constructor(private readonly about: Signal<unknown>) {
    this.now = linkedSignal<unknown, Now<T>>({ source: about, computation: () => ({ kind: 'notAsked' }) });
    effect(() => {
      about();
      untracked(() => this.kind() === 'notAsked' && this.work.unsubscribe());
    });
    inject(DestroyRef).onDestroy(() => this.work.unsubscribe());
  }

  /** `then` is called with an answer that still holds. */
  ask(run: (told: Told) => Observable<T>, then: (found: T) => void = () => undefined): void {
    const about = untracked(this.about);
    const put = (next: Now<T>): boolean => {
      const holds = untracked(this.about) === about && untracked(this.kind) === 'working';
      if (holds) this.now.set(next);
      return holds;
    };
    this.work.unsubscribe();
    this.now.set({ kind: 'working', part: 0 });
    this.work = run(({ done, of }) => put({ kind: 'working', part: done / of })).subscribe({
      next: (found) => put({ kind: 'found', found }) && then(found),
      error: (fault: Error) => put({ kind: 'failed', reason: fault.message }),
      // Ended without a word: it can be asked again.
      complete: () => put({ kind: 'notAsked' }),
    });
  }

  stop(): void {
    this.work.unsubscribe();
    this.now.set({ kind: 'notAsked' });
  }
}

/** Compares what a signal of several things holds one by one, for `equal`. */
export const sameParts = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((x, i) => x === b[i]);
