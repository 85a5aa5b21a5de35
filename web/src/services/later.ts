/** Parts of the page that come once it stands, so that it stands sooner. Where one does not come, since the server is away just then, it is asked for again. */
import { from, retry, switchMap, take, type Observable } from 'rxjs';
import { painted$ } from './after-paint';

const AGAIN_MS = 3000;

export const later$ = <T>(load: () => Promise<T>): Observable<T> =>
  painted$.pipe(
    take(1),
    switchMap(() => from(load())),
    retry({ delay: AGAIN_MS }),
  );
