/** How firm rigs are, worked out by a worker beside the page: of the rig on the bench as it is changed, and of others one at a time. */
import { inject, Injectable } from '@angular/core';
import {
  jointsKnown,
  say,
  sameJoints,
  type AdjusterValues,
  type Assembly,
  type Firmness,
  type JointsHeard,
} from '@tide-pebble/core';
import {
  audit,
  catchError,
  combineLatest,
  concatMap,
  defer,
  distinctUntilChanged,
  EMPTY,
  filter,
  finalize,
  map,
  mergeMap,
  Observable,
  of,
  shareReplay,
  startWith,
  Subject,
  switchMap,
  throttle,
  timer,
} from 'rxjs';
import { painted$ } from './after-paint';
import { Jobs } from './jobs';
import { Workspace, type Bench } from './workspace';

export interface FirmNow {
  /** Of the rig on the bench as it is, or as it was before its last edits; null: not yet known. */
  readonly firm: Firmness | null;
  /** It is of an earlier edit, and has been for a while. */
  readonly lags: boolean;
}
interface Asked {
  readonly assembly: Assembly;
  readonly values: AdjusterValues;
  readonly joints: JointsHeard;
}
/** The rig on the bench, with what flicks have said of its joints. */
type Flicked = Bench & { readonly joints: JointsHeard };
export const NOT_YET: FirmNow = { firm: null, lags: false };
/** An answer that comes sooner is not announced: else the readout would flicker. */
const LAGS_AFTER_MS = 250;

@Injectable({ providedIn: 'root' })
export class Firmnesses {
  private readonly jobs = inject(Jobs);
  private readonly workspace = inject(Workspace);
  private readonly known = new WeakMap<Assembly, Omit<Asked, 'assembly'> & { readonly firm: Firmness }>();
  private readonly waiting = new Subject<{ readonly asked: Asked; readonly answer: Subject<Firmness> }>();

  /** Of the rig on the bench: while edits go on the newest is worked out whenever the worker is free. */
  readonly bench$: Observable<FirmNow> = this.workspace.bench$.pipe(
    switchMap((state) =>
      state.kind === 'ready'
        ? this.jointsOf(state.bench.rig.id).pipe(map((joints): Flicked => ({ ...state.bench, joints })))
        : of(null),
    ),
    distinctUntilChanged((a, b) => a?.rig.id === b?.rig.id && sameQuestion(a, b)),
    switchByRig((benches$) => this.following(benches$)),
    shareReplay({ bufferSize: 1, refCount: true }),
  );

  constructor() {
    this.waiting
      .pipe(
        // What nobody waits for any more is passed over.
        concatMap(({ asked, answer }) =>
          answer.observed ? this.reckon(asked).pipe(map((firm) => ({ firm, answer }))) : EMPTY,
        ),
      )
      .subscribe(({ firm, answer }) => answer.next(firm));
  }

  /** Of any rig, after those that were asked for before. */
  of(rig: string, { assembly, values }: Omit<Asked, 'joints'>): Observable<Firmness> {
    return this.jointsOf(rig).pipe(switchMap((joints) => this.inTurn({ assembly, values, joints })));
  }

  /** What flicks have said of a rig's joints. */
  jointsOf(rig: string): Observable<JointsHeard> {
    return this.workspace.log$.pipe(
      map((log) => jointsKnown(log, rig)),
      distinctUntilChanged(sameJoints),
    );
  }

  private inTurn(asked: Asked): Observable<Firmness> {
    return defer(() => {
      const known = this.known.get(asked.assembly);
      if (known?.values === asked.values && sameJoints(known.joints, asked.joints)) return of(known.firm);
      return new Observable<Firmness>((listener) => {
        const answer = new Subject<Firmness>();
        const heard = answer.subscribe(listener);
        this.waiting.next({ asked, answer });
        return heard;
      });
    });
  }

  private following(benches$: Observable<Flicked>): Observable<FirmNow> {
    const free = new Subject<void>();
    // What is asked of the worker is sent once the figures are painted.
    const answered$ = benches$.pipe(
      audit(() => painted$),
      throttle(() => free, { leading: true, trailing: true }),
      mergeMap((bench) =>
        this.reckon({ assembly: bench.work.assembly, values: bench.values, joints: bench.joints }).pipe(
          map((firm) => ({ firm, bench })),
          // An answer at once would come before it is waited for.
          finalize(() => queueMicrotask(() => free.next())),
        ),
      ),
      startWith(null),
    );
    // Told again once it is late, so that a quick answer is not announced.
    const asked$ = benches$.pipe(
      switchMap((bench) =>
        timer(LAGS_AFTER_MS).pipe(
          map(() => ({ bench, isLate: true })),
          startWith({ bench, isLate: false }),
        ),
      ),
    );
    return combineLatest([asked$, answered$]).pipe(
      map(([{ bench, isLate }, answer]): FirmNow =>
        answer ? { firm: answer.firm, lags: isLate && !sameQuestion(answer.bench, bench) } : NOT_YET,
      ),
      distinctUntilChanged((a, b) => a.firm === b.firm && a.lags === b.lags),
    );
  }

  private reckon(asked: Asked): Observable<Firmness> {
    return this.jobs.run('firmness', asked).pipe(
      map((firm) => {
        this.known.set(asked.assembly, { values: asked.values, joints: asked.joints, firm });
        return firm;
      }),
      catchError((fault: Error) => of(notReckoned(fault.message))),
    );
  }
}

/** What could not be reckoned is not called firm. */
const notReckoned = (reason: string): Firmness => ({
  rings: null,
  walk: null,
  tight: [],
  against: [
    {
      severity: 'measure',
      about: null,
      title: say`Whether it is firm could not be reckoned.`,
      why: say`It stopped at: ${reason}.`,
      toDo: say`Look at Strength, and change what was changed last.`,
    },
  ],
});

const sameQuestion = (a: Flicked | null, b: Flicked | null): boolean =>
  a?.work.assembly === b?.work.assembly && a?.values === b?.values && sameHeard(a, b);
const sameHeard = (a: Flicked | null, b: Flicked | null): boolean =>
  a !== null && b !== null ? sameJoints(a.joints, b.joints) : a === b;

/** A new stream for each rig: what was found of another is not shown for it. */
function switchByRig(follow: (benches$: Observable<Flicked>) => Observable<FirmNow>) {
  return (all$: Observable<Flicked | null>): Observable<FirmNow> => {
    const shared$ = all$.pipe(shareReplay({ bufferSize: 1, refCount: true }));
    return shared$.pipe(
      map((bench) => bench?.rig.id ?? null),
      distinctUntilChanged(),
      switchMap((id) =>
        id === null
          ? of(NOT_YET)
          : follow(shared$.pipe(filter((bench): bench is Flicked => bench?.rig.id === id))).pipe(startWith(NOT_YET)),
      ),
    );
  };
}
