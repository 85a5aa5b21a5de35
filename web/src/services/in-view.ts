/** When an element first comes into view, or near it: what stands far down a long page is not worked out before it is scrolled to. */
import { Observable } from 'rxjs';

/** So far below the page's edge it is begun, so that it is there when it comes up. */
const NEAR = '300px';

export const inView$ = (element: Element): Observable<void> =>
  new Observable((listener) => {
    const watcher = new IntersectionObserver(
      (seen) => {
        if (!seen.some((s) => s.isIntersecting)) return;
        listener.next();
        listener.complete();
      },
      { rootMargin: NEAR },
    );
    watcher.observe(element);
    return () => watcher.disconnect();
  });
