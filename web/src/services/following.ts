/** Heavy work that follows what it is asked of by itself: what was found last stays while the next is worked out. */
import { computed, linkedSignal, type Signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { catchError, debounceTime, map, of, startWith, switchMap, type Observable } from 'rxjs';

/** A few boxes ticked in a row are one question. */
const AFTER_MS = 100;

type Outcome<T> =
  | { readonly kind: 'working' }
  | { readonly kind: 'found'; readonly found: T }
  | { readonly kind: 'failed'; readonly reason: string };
const WORKING = { kind: 'working' } as const;

/** Make it where services can be injected; it ends with its owner. `none` is shown until the first answer. */
export class Following<I, T> {
  private readonly outcome: Signal<Outcome<T>>;
  readonly isWorking = computed(() => this.outcome().kind === 'working');
  /** Why there is no answer; empty otherwise. */
  readonly failed = computed(() => {
    const outcome = this.outcome();
    return outcome.kind === 'failed' ? outcome.reason : '';
  });
  readonly found: Signal<T>;

  constructor(input: Signal<I>, run: (input: I) => Observable<T>, none: T) {
    this.outcome = toSignal(
      toObservable(input).pipe(
        debounceTime(AFTER_MS),
        switchMap((asked) =>
          run(asked).pipe(
            map((found): Outcome<T> => ({ kind: 'found', found })),
            catchError((fault: Error) => of<Outcome<T>>({ kind: 'failed', reason: fault.message })),
            startWith<Outcome<T>>(WORKING),
          ),
        ),
      ),
      { initialValue: WORKING },
    );
    this.found = linkedSignal<Outcome<T>, T>({
      source: this.outcome,
      computation: (outcome, before) => (outcome.kind === 'found' ? outcome.found : (before?.value ?? none)),
    });
  }
}
