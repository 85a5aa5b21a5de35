/** The steps of the rig on the bench that are not done yet. They are worked out only where some are ticked, or where somebody looks: without, it is not being built. */
import { inject, Injectable } from '@angular/core';
import type { BuildStep } from '@tide-pebble/core/making';
import {
  combineLatest,
  defer,
  distinctUntilChanged,
  map,
  of,
  shareReplay,
  startWith,
  switchMap,
  type Observable,
} from 'rxjs';
import { BuildPlans } from './building';
import { Workspace } from './workspace';

@Injectable({ providedIn: 'root' })
export class StepsLeft {
  private readonly workspace = inject(Workspace);
  private readonly plans = inject(BuildPlans);
  private readonly planned$ = combineLatest([
    this.plans.plan$,
    this.workspace.rig$,
    defer(() => import('@tide-pebble/core/making')),
  ]).pipe(
    map(([now, rig, { isDone }]): readonly BuildStep[] | null =>
      now.kind === 'planned' && now.plan.ordered.kind === 'ordered'
        ? now.plan.ordered.steps.filter((s) => !isDone(rig?.done ?? {}, s))
        : null,
    ),
    startWith(null),
    shareReplay({ bufferSize: 1, refCount: true }),
  );
  private readonly begun$ = this.workspace.bench$.pipe(
    map((state) => state.kind === 'ready' && Object.keys(state.bench.rig.done).length > 0),
    distinctUntilChanged(),
  );

  /** Null: not known. */
  of(isLookedAt = false): Observable<readonly BuildStep[] | null> {
    return this.begun$.pipe(switchMap((isBegun) => (isBegun || isLookedAt ? this.planned$ : of(null))));
  }
}
