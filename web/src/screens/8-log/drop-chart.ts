/** Drop times seen against expected, entry by entry. Fetched with its chart library only when there is something to draw. */
import { afterNextRender, ChangeDetectionStrategy, Component, DestroyRef, effect, type ElementRef, inject, input, viewChild } from '@angular/core';
import { CategoryScale, Chart, Legend, LinearScale, LineController, LineElement, PointElement, Tooltip } from 'chart.js';

Chart.defaults.font.family = "'Source Sans 3 Variable', sans-serif";
Chart.defaults.font.size = 13;
Chart.register(CategoryScale, LinearScale, LineController, LineElement, PointElement, Legend, Tooltip);

export interface DropPoint {
  readonly when: string;
  readonly seen: number;
  readonly expected: number | null;
}

@Component({
  selector: 'tp-drop-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="room"><canvas #canvas role="img" [attr.aria-label]="'Drop times of ' + points().length + ' entries, seen against expected; the list below gives the figures.'"></canvas></div>`,
  styles: `.room { height: 190px; margin: var(--space-3) 0; }`,
})
export class DropChart {
  readonly points = input.required<readonly DropPoint[]>();
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  private chart: Chart<'line'> | null = null;

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
    const points = this.points();
    const still = matchMedia('(prefers-reduced-motion: reduce)').matches;
    this.chart = new Chart(this.canvas().nativeElement, {
      type: 'line',
      data: {
        labels: points.map((p) => p.when.replace(/ \d{4}.*/, '')),
        datasets: [
          { label: 'seen', data: points.map((p) => p.seen), borderColor: token('--sea'), backgroundColor: token('--sea'), pointRadius: 5 },
          { label: 'expected', data: points.map((p) => p.expected), borderColor: token('--quiet'), backgroundColor: token('--paper'), borderDash: [4, 4], pointRadius: 4 },
        ],
      },
      options: {
        maintainAspectRatio: false,
        ...(still ? { animation: false as const } : { animation: { duration: 150 } }),
        scales: {
          y: { beginAtZero: true, title: { display: true, text: 'drop time, s', color: token('--slate') }, ticks: { color: token('--slate') }, grid: { color: token('--sand-line') } },
          x: { ticks: { color: token('--slate') }, grid: { display: false } },
        },
        plugins: { legend: { align: 'end', labels: { color: token('--ink'), usePointStyle: true, boxWidth: 7, boxHeight: 7 } } },
      },
    });
  }
}
