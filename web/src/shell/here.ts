/** Which stage is shown, by the address; its sheets count as the stage. */
import { inject, type Signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router } from '@angular/router';
import { filter, map, startWith } from 'rxjs';
import type { StagePath } from './stages';

/** In an injection context. */
export function injectStage(): Signal<StagePath> {
  const router = inject(Router);
  const of = (url: string): StagePath => (url.split(/[/?#]/)[1] || 'shelf') as StagePath;
  return toSignal(
    router.events.pipe(
      filter((e) => e instanceof NavigationEnd),
      map((e) => of(e.urlAfterRedirects)),
      startWith(of(router.url)),
    ),
    { requireSync: true },
  );
}
