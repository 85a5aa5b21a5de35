/** Drop times seen against expected, entry by entry. Fetched with its chart library only when there is something to draw. */
import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import {
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
  type ChartConfiguration,
} from 'chart.js';
import { axis, ChartCanvas, type Token } from '../../ui/chart-canvas';

Chart.register(CategoryScale, LinearScale, LineController, LineElement, PointElement, Legend, Tooltip);

export interface DropPoint {
  readonly when: string;
  readonly seen: number;
  readonly expected: number | null;
}

@Component({
  selector: 'tp-drop-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="room">
    <canvas
      #canvas
      role="img"
      [attr.aria-label]="
        'Drop times of ' + points().length + ' entries, seen against expected; the list below gives the figures.'
      "
    ></canvas>
  </div>`,
  styles: `
    .room {
      height: 190px;
      margin: var(--space-3) 0;
    }
  `,
})
export class DropChart extends ChartCanvas<'line', (number | null)[]> {
  readonly points = input.required<readonly DropPoint[]>();

  protected config(token: Token): ChartConfiguration<'line', (number | null)[]> {
    const points = this.points();
    return {
      type: 'line',
      data: {
        labels: points.map((p) => p.when.replace(/ \d{4}.*/, '')),
        datasets: [
          {
            label: 'seen',
            data: points.map((p) => p.seen),
            borderColor: token('--sea'),
            backgroundColor: token('--sea'),
            pointRadius: 5,
          },
          {
            label: 'expected',
            data: points.map((p) => p.expected),
            borderColor: token('--quiet'),
            backgroundColor: token('--paper'),
            borderDash: [4, 4],
            pointRadius: 4,
          },
        ],
      },
      options: {
        maintainAspectRatio: false,
        animation: false,
        scales: {
          y: { ...axis(token, 'drop time, s'), beginAtZero: true },
          x: { ticks: { color: token('--slate') }, grid: { display: false } },
        },
        plugins: {
          legend: { align: 'end', labels: { color: token('--ink'), usePointStyle: true, boxWidth: 7, boxHeight: 7 } },
        },
      },
    };
  }
}
