/** Washers' mass and roll inertia over drop time, as points to pick. Fetched with its chart library only when asked for. */
import { afterNextRender, ChangeDetectionStrategy, Component, DestroyRef, effect, type ElementRef, inject, input, output, viewChild } from '@angular/core';
import type { TradePoint } from '@tide-pebble/core';
import { Chart, Legend, LinearScale, PointElement, ScatterController, Tooltip } from 'chart.js';

Chart.defaults.font.family = "'Source Sans 3 Variable', sans-serif";
Chart.defaults.font.size = 13;
Chart.register(LinearScale, PointElement, ScatterController, Legend, Tooltip);

@Component({
  selector: 'tp-trade-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="room"><canvas #canvas role="img" [attr.aria-label]="'Washers over drop time, ' + points().length + ' set-ups; the list below gives the figures.'"></canvas></div>`,
  styles: `.room { height: 200px; margin: var(--space-3) 0; }`,
})
export class TradeChart {
  readonly points = input.required<readonly TradePoint[]>();
  readonly picked = output<TradePoint>();
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  private chart: Chart<'scatter'> | null = null;

  constructor() {
    afterNextRender(() => this.draw());
    effect(() => {
      this.points();
      if (this.chart) this.draw();
    });
    inject(DestroyRef).onDestroy(() => this.chart?.destroy());
  }

  private draw(): void {
    this.chart?.destroy();
    const token = (name: string): string => getComputedStyle(document.documentElement).getPropertyValue(name).trim();
    const sets = (['lightest', 'calmest'] as const).map((aim) => this.points().filter((p) => p.aim === aim));
    const at = (list: readonly TradePoint[]): { x: number; y: number }[] => list.map((p) => ({ x: p.dropPitch, y: p.added * 1000 }));
    this.chart = new Chart(this.canvas().nativeElement, {
      type: 'scatter',
      data: {
        datasets: [
          { label: 'lightest', data: at(sets[0]!), backgroundColor: token('--sea'), pointRadius: 6, pointHoverRadius: 8 },
          { label: 'calmest in the mass wanted', data: at(sets[1]!), backgroundColor: token('--wood-edge'), pointStyle: 'rectRot', pointRadius: 7, pointHoverRadius: 9 },
        ],
      },
      options: {
        maintainAspectRatio: false,
        animation: false,
        onClick: (_event, hits) => {
          const [hit] = hits;
          const point = hit && sets[hit.datasetIndex]?.[hit.index];
          if (point) this.picked.emit(point);
        },
        scales: {
          x: { title: { display: true, text: 'drop time, s', color: token('--slate') }, ticks: { color: token('--slate') }, grid: { color: token('--sand-line') } },
          y: { beginAtZero: true, title: { display: true, text: 'washers, g', color: token('--slate') }, ticks: { color: token('--slate') }, grid: { color: token('--sand-line') } },
        },
        plugins: { legend: { align: 'end', labels: { color: token('--ink'), usePointStyle: true, boxWidth: 7, boxHeight: 7 } } },
      },
    });
  }
}
