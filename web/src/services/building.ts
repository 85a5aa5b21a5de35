/** How the rig on the bench is built: worked out by a worker from its true solids, once what to cut is known. */
import { inject, Injectable } from '@angular/core';
import type { BuildPlan, StockPlan } from '@tide-pebble/core/making';
import {
  BehaviorSubject,
  catchError,
  distinctUntilChanged,
  map,
  of,
  shareReplay,
  startWith,
  switchMap,
  tap,
  withLatestFrom,
  type Observable,
} from 'rxjs';
import { Jobs } from './jobs';
import { Workspace, type Bench } from './workspace';

export type Building =
  | { readonly kind: 'working' }
  | { readonly kind: 'planned'; readonly plan: BuildPlan; readonly bench: Bench }
  | { readonly kind: 'failed'; readonly reason: string };

const WORKING: Building = { kind: 'working' };

@Injectable({ providedIn: 'root' })
export class BuildPlans {
  private readonly jobs = inject(Jobs);
  private readonly workspace = inject(Workspace);

  private readonly lastBlocked = new BehaviorSubject<{ readonly bench: Bench; readonly lots: number } | null>(null);
  /** How much no order puts together, as it was last worked out, and on which rig. */
  readonly lastBlocked$ = this.lastBlocked.asObservable();

  /** Of the rig as it stands; worked out only while somebody looks. */
  readonly plan$: Observable<Building> = this.workspace.stockNow$.pipe(
    withLatestFrom(this.workspace.bench$),
    map(([{ plan, isLate }, state]) =>
      plan && !isLate && state.kind === 'ready' ? { stock: plan, bench: state.bench } : null,
    ),
    // A step ticked off changes neither the rig nor what is cut.
    distinctUntilChanged((a, b) => a === b || (a !== null && b !== null && a.bench === b.bench && a.stock === b.stock)),
    switchMap((now): Observable<Building> => (now ? this.planned(now.bench, now.stock) : of(WORKING))),
    tap((now) => {
      if (now.kind === 'planned') this.lastBlocked.next({ bench: now.bench, lots: now.plan.blocked.length });
    }),
    shareReplay({ bufferSize: 1, refCount: true }),
  );

  private planned(bench: Bench, stock: StockPlan): Observable<Building> {
    return this.jobs.run('build', { assembly: bench.work.assembly, values: bench.values, stock }).pipe(
      map((plan): Building => ({ kind: 'planned', plan, bench })),
      catchError((fault: Error) => of<Building>({ kind: 'failed', reason: fault.message })),
      startWith(WORKING),
    );
  }
}
