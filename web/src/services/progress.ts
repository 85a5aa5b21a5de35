/** How far the work has come, stage by stage: what the shoreline's pebbles show. */
import { inject, Injectable } from '@angular/core';
import type { Judgement } from '@tide-pebble/core';
import { audit, combineLatest, map, shareReplay, type Observable } from 'rxjs';
import type { StagePath } from '../shell/stages';
import { painted$ } from './after-paint';
import { BuildPlans } from './building';
import { Firmnesses } from './firmnesses';
import { Solids } from './solids';
import { StepsLeft } from './steps-left';
import { Workspace } from './workspace';

export interface StageMark {
  readonly done: boolean;
  /** Things that need looking at. */
  readonly count: number;
}
export type StageMarks = Readonly<Record<StagePath, StageMark>>;

const NOTHING: StageMark = { done: false, count: 0 };

@Injectable({ providedIn: 'root' })
export class Progress {
  private readonly workspace = inject(Workspace);

  private readonly plans = inject(BuildPlans);

  /** Counting what needs looking at takes every check: after the figures. */
  readonly marks$: Observable<StageMarks> = combineLatest([
    this.workspace.bench$.pipe(audit(() => painted$)),
    this.workspace.stock$,
    this.workspace.log$,
    inject(StepsLeft).of(),
    inject(Solids).lastFound$,
    this.plans.lastBlocked$,
    inject(Firmnesses).bench$,
  ]).pipe(
    map(([state, stock, log, left, inside, blocked, { firm }]): StageMarks => {
      if (state.kind !== 'ready')
        return {
          shelf: NOTHING,
          load: NOTHING,
          frame: NOTHING,
          balance: NOTHING,
          strength: NOTHING,
          stock: NOTHING,
          build: NOTHING,
          field: NOTHING,
          log: NOTHING,
        };
      const { rig, loadout, setup, judged } = state.bench;
      const at = (stage: Judgement['stage']): readonly Judgement[] =>
        judged.findings.filter((f) => f.stage === stage && f.severity !== 'note');
      const mark = (stage: Judgement['stage'], done: boolean, more = 0): StageMark => ({
        done: done && at(stage).length + more === 0,
        count: at(stage).length + more,
      });
      // What was looked at by solids counts for the rig it was looked at on.
      const { assembly } = state.bench.work;
      const noRoom = inside?.assembly === assembly ? inside.pairs : 0;
      const noOrder = blocked?.bench.work.assembly === assembly ? blocked.lots : 0;
      const bends = firm ? { done: firm.against.length === 0, count: firm.against.length } : NOTHING;
      const balance = mark('balance', judged.evaluation.hung !== null && loadout !== null);
      return {
        shelf: { done: true, count: 0 },
        load: mark('load', loadout !== null),
        frame: mark('frame', true, noRoom),
        balance,
        strength: bends,
        stock: { done: stock !== null && stock.lines.every((l) => l.buy === 0), count: 0 },
        build: {
          done: noOrder === 0 && left?.length === 0,
          count: noOrder,
        },
        field: { done: balance.done && setup !== null, count: 0 },
        log: { done: log.some((e) => e.rig === rig.id), count: 0 },
      };
    }),
    shareReplay({ bufferSize: 1, refCount: false }),
  );
}
