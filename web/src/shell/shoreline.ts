/** The shoreline: stages as pebbles on one thin line, filled when their work is done, a count where something needs looking at. */
import { ChangeDetectionStrategy, Component, computed, inject, Injector } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { switchMap } from 'rxjs';
import { afterStage$ } from '../services/later';
import type { Progress } from '../services/progress';
import { injectStage } from './here';
import { STAGES } from './stages';

@Component({
  selector: 'tp-shoreline',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink],
  templateUrl: './shoreline.html',
  styleUrl: './shoreline.css',
})
export class Shoreline {
  private readonly injector = inject(Injector);
  /** Counted by what works rigs out, which comes after the page stands. */
  private readonly marks = toSignal(
    afterStage$(() => import('../services/progress')).pipe(
      switchMap((m) => this.injector.get<Progress>(m.Progress).marks$),
    ),
    { initialValue: null },
  );
  private readonly here = injectStage();

  protected readonly stages = computed(() =>
    STAGES.map((s) => ({
      ...s,
      mark: this.marks()?.[s.path] ?? { done: false, count: 0 },
      current: s.path === this.here(),
    })),
  );
}
