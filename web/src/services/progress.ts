/** How far the work has come, stage by stage: what the shoreline's pebbles show. */
import { inject, Injectable } from '@angular/core';
import type { Judgement, Workpiece } from '@tide-pebble/core';
import type { StockPlan } from '@tide-pebble/core/making';
import { combineLatest, defer, map, shareReplay, startWith, type Observable } from 'rxjs';
import type { StagePath } from '../shell/stages';
import { Workspace } from './workspace';

export interface StageMark {
  readonly done: boolean;
  /** Things that need looking at. */
  readonly count: number;
}
export type StageMarks = Readonly<Record<StagePath, StageMark>>;

/** The last answer again while its two inputs are the same objects. */
function memo<A, B, R>(work: (a: A, b: B) => R): (a: A, b: B) => R {
  let last: { readonly a: A; readonly b: B; readonly result: R } | null = null;
  return (a, b) => {
    if (last?.a !== a || last.b !== b) last = { a, b, result: work(a, b) };
    return last.result;
  };
}

const NOTHING: StageMark = { done: false, count: 0 };

@Injectable({ providedIn: 'root' })
export class Progress {
  private readonly workspace = inject(Workspace);

  /** Fetched once the page stands: the first load does without the order of building. */
  private readonly steps$ = defer(() => import('@tide-pebble/core/making')).pipe(
    map(({ buildSteps }) => memo((piece: Workpiece, stock: StockPlan) => buildSteps(piece.rig, stock))),
    startWith(null),
  );

  readonly marks$: Observable<StageMarks> = combineLatest([this.workspace.bench$, this.workspace.stock$, this.workspace.log$, this.steps$]).pipe(
    map(([state, stock, log, stepsOf]): StageMarks => {
      if (state.kind !== 'ready') return { shelf: NOTHING, load: NOTHING, frame: NOTHING, balance: NOTHING, stock: NOTHING, build: NOTHING, field: NOTHING, log: NOTHING };
      const { rig, loadout, setup, piece, judged } = state.bench;
      const at = (stage: Judgement['stage']): readonly Judgement[] => judged.findings.filter((f) => f.stage === stage && f.severity !== 'note');
      const mark = (stage: Judgement['stage'], done: boolean): StageMark => ({ done: done && at(stage).length === 0, count: at(stage).length });
      const steps = stock && stepsOf ? stepsOf(piece, stock) : null;
      const balance = mark('balance', judged.evaluation.hung !== null && loadout !== null);
      return {
        shelf: { done: true, count: 0 },
        load: mark('load', loadout !== null),
        frame: mark('frame', true),
        balance,
        stock: { done: stock !== null && stock.lines.every((l) => l.buy === 0), count: 0 },
        build: { done: steps?.kind === 'ordered' && steps.steps.every((s) => rig.done[s.id]), count: 0 },
        field: { done: balance.done && setup !== null, count: 0 },
        log: { done: log.some((e) => e.rig === rig.id), count: 0 },
      };
    }),
    shareReplay({ bufferSize: 1, refCount: false }),
  );
}
