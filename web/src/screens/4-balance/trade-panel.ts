/** The trade curve: least washers, and most calm, for each drop time; pick a point and the rig is set so. Worked out when asked. */
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { figure, showFigure } from '@tide-pebble/core';
import { type TradePoint } from '@tide-pebble/core/bench';
import { Asked, sameParts } from '../../services/asked';
import { Jobs } from '../../services/jobs';
import { Units } from '../../services/units';
import { Workspace, type Bench } from '../../services/workspace';
import { TradeChart } from './trade-chart';

@Component({
  selector: 'tp-trade-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatProgressBar, TradeChart],
  template: `
    <h2>Washers against calm</h2>
    @switch (curve.kind()) {
      @case ('notAsked') {
        <button matButton="outlined" type="button" (click)="look()">Show what each drop time costs</button>
      }
      @case ('working') {
        <mat-progress-bar mode="determinate" [value]="100 * curve.part()!" aria-label="Solving for each drop time" />
        <button matButton type="button" (click)="curve.stop()">Stop</button>
      }
      @case ('failed') {
        <p class="wrong">{{ curve.reason() }}</p>
      }
      @case ('found') {
        @if (points().length > 0) {
          @defer (on immediate) {
            <tp-trade-chart [points]="points()" (picked)="take($event)" />
          } @placeholder {
            <p class="note">Fetching the chart…</p>
          }
          <ul class="plain-list">
            @for (row of rows(); track $index) {
              <li>
                <button type="button" (click)="take(row.point)">
                  <span>{{ row.name }}</span><span class="figure">{{ row.text }}</span>
                </button>
              </li>
            }
          </ul>
        } @else {
          <p class="note" role="status">
            No drop time between 0.8 and 4.4 s can be had level: trim it, and see what stands in the way.
          </p>
        }
      }
    }
  `,
  styles: `
    :host {
      display: block;
      margin-top: var(--space-4);
    }
    li button {
      display: flex;
      justify-content: space-between;
      width: 100%;
      min-height: var(--touch);
      align-items: center;
      gap: var(--space-3);
      background: none;
      border: 0;
      border-bottom: var(--line) solid var(--sand-line);
      color: inherit;
      font: inherit;
      text-align: left;
      cursor: pointer;
    }
  `,
})
export class TradePanel {
  private readonly jobs = inject(Jobs);
  private readonly workspace = inject(Workspace);
  private readonly units = inject(Units).now;
  readonly bench = input.required<Bench>();
  /** Another rig, load or want makes the curve stale; setting an adjuster does not. */
  protected readonly curve = new Asked<readonly TradePoint[]>(
    computed(() => [this.bench().rig.id, this.bench().work.assembly, this.bench().rig.wants], { equal: sameParts }),
  );
  protected readonly points = computed(() => this.curve.found() ?? []);
  protected readonly rows = computed(() =>
    this.points().map((point) => ({
      point,
      name: `drop ${showFigure(figure('time', point.dropPitch), this.units())}, ${point.aim}`,
      text: `${showFigure(figure('mass', point.added), this.units())} of washers`,
    })),
  );

  protected look(): void {
    const {
      work: { assembly },
      values,
      rig: { wants },
    } = this.bench();
    this.curve.ask((told) => this.jobs.run('trade', { assembly, values, wants }, told));
  }

  protected take(point: TradePoint): void {
    this.workspace.setAdjusters('a point of the trade curve', point.values);
  }
}
