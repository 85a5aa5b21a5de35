/** How the rig on the bench is built: worked out by a worker from its true solids. */
import { inject, Injectable } from '@angular/core';
import type { BuildPlan } from '@tide-pebble/core/making';
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
  timer,
  type Observable,
} from 'rxjs';
import { Jobs } from './jobs';
import { Workspace, type Bench } from './workspace';

export type Building =
  | { readonly kind: 'working' }
  | { readonly kind: 'planned'; readonly plan: BuildPlan; readonly bench: Bench }
  | { readonly kind: 'failed'; readonly reason: string };

/** A drag makes many edits a second: it waits for the last of them, else it would only be begun and given up. */
const SETTLED_MS = 300;
const WORKING: Building = { kind: 'working' };

@Injectable({ providedIn: 'root' })
export class BuildPlans {
  private readonly jobs = inject(Jobs);
  private readonly workspace = inject(Workspace);

  private readonly lastBlocked = new BehaviorSubject<{ readonly bench: Bench; readonly lots: number } | null>(null);
  /** How much no order puts together, as it was last worked out, and on which rig. */
  readonly lastBlocked$ = this.lastBlocked.asObservable();

  /** Of the rig as it stands; worked out only while somebody looks. */
  readonly plan$: Observable<Building> = this.workspace.bench$.pipe(
    map((state) => (state.kind === 'ready' ? state.bench : null)),
    // A step ticked off changes nothing of how it is built, nor does what lies in the bin.
    distinctUntilChanged((a, b) => a?.work === b?.work && a?.values === b?.values),
    switchMap((bench, nth): Observable<Building> => (bench ? this.planned(bench, nth > 0) : of(WORKING))),
    tap((now) => {
      if (now.kind === 'planned') this.lastBlocked.next({ bench: now.bench, lots: now.plan.blocked.length });
    }),
    shareReplay({ bufferSize: 1, refCount: true }),
  );

  private planned(bench: Bench, isChange: boolean): Observable<Building> {
    return (isChange ? timer(SETTLED_MS) : of(0)).pipe(
      switchMap(() => this.jobs.run('build', { assembly: bench.work.assembly, values: bench.values })),
      map((plan): Building => ({ kind: 'planned', plan, bench })),
      catchError((fault: Error) => of<Building>({ kind: 'failed', reason: fault.message })),
      startWith(WORKING),
    );
  }
}
