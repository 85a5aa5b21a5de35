/** Parts of the page that come once it stands, so that it stands sooner. Where one does not come, since the server is away just then, it is asked for again. */
import { inject } from '@angular/core';
import { NavigationError, Router } from '@angular/router';
import { combineLatest, filter, from, retry, startWith, switchMap, take, type Observable } from 'rxjs';
import { painted$ } from './after-paint';
import { Documents } from './keeping/documents';

const AGAIN_MS = 3000;

/** Of a stage: once what it has so far is painted. */
export const later$ = <T>(load: () => Promise<T>): Observable<T> =>
  painted$.pipe(
    take(1),
    switchMap(() => from(load())),
    retry({ delay: AGAIN_MS }),
  );

/** Of the bench around the stages: once the first stage itself is painted, with what is kept. In an injection context. */
export function afterStage$<T>(load: () => Promise<T>): Observable<T> {
  const router = inject(Router);
  // A stage that could not be fetched says so, and is all that comes.
  const isThere$ = router.events.pipe(
    startWith(null),
    filter((e) => router.navigated || e instanceof NavigationError),
  );
  const isOpen$ = inject(Documents).state$.pipe(filter((state) => state.kind !== 'loading'));
  return combineLatest([isThere$, isOpen$]).pipe(
    take(1),
    switchMap(() => later$(load)),
  );
}
