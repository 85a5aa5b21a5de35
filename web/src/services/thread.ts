/** The one next thing to do, seen from each stage: worked out anew as the work goes on, after the figures are painted. */
import { inject, Injectable } from '@angular/core';
import { nextThing, type NextThing, type Stage, type WorkSoFar } from '@tide-pebble/core/measuring';
import { audit, combineLatest, map, type Observable } from 'rxjs';
import { painted$ } from './after-paint';
import { Firmnesses } from './firmnesses';
import { StepsLeft } from './steps-left';
import { Workspace } from './workspace';

@Injectable({ providedIn: 'root' })
export class Thread {
  private readonly workspace = inject(Workspace);
  private readonly steps = inject(StepsLeft);
  private readonly firm$ = inject(Firmnesses).bench$;

  nextAt(stage: Stage): Observable<NextThing | null> {
    return combineLatest([
      this.workspace.bench$.pipe(audit(() => painted$)),
      this.workspace.kit$,
      this.workspace.stock$,
      this.workspace.log$,
      this.steps.of(AFTER_STOCK.has(stage)),
      this.firm$,
    ]).pipe(
      map(([state, kit, stock, log, left, { firm }]) => {
        const missing = stock?.lines.filter((l) => l.buy > 0) ?? [];
        const bench = state.kind === 'ready' ? state.bench : null;
        const work: WorkSoFar = {
          kit,
          bench: bench && {
            rig: bench.rig,
            loadout: bench.loadout,
            values: bench.values,
            findings: bench.judged.findings,
            verdict: bench.judged.verdict,
            isUnset: bench.setup === null && bench.work.rig.adjusters.length > 0,
          },
          firm,
          toBuy: stock && { lines: missing.length, cost: missing.reduce((sum, l) => sum + l.cost, 0) },
          step: left?.[0] ? { title: left[0].title, left: left.length } : null,
          isBuilt: left?.length === 0,
          log,
        };
        return nextThing(work, stage);
      }),
    );
  }
}

/** Where the steps are looked at. */
const AFTER_STOCK: ReadonlySet<Stage> = new Set<Stage>(['build', 'field', 'log']);
