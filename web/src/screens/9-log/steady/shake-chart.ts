/** How strongly a walk shook at each pace, beside another: thirds of octaves, with what shakes there named. */
import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import {
  Chart,
  Legend,
  LinearScale,
  LineElement,
  LogarithmicScale,
  PointElement,
  ScatterController,
  Tooltip,
  type ChartConfiguration,
} from 'chart.js';
import { axis, ChartCanvas, type Token } from '../../../ui/chart-canvas';

Chart.register(LinearScale, LogarithmicScale, ScatterController, LineElement, PointElement, Legend, Tooltip);

export interface ShakeLine {
  readonly name: string;
  /** Hz and degrees. */
  readonly points: readonly { readonly x: number; readonly y: number }[];
}
/** Least that is drawn, deg: smaller is a gyro’s own noise. */
const LEAST = 1e-3;
const COLOURS = ['--sea', '--coral'];
const TICKS = [0.5, 1, 2, 4, 8, 16];

@Component({
  selector: 'tp-shake-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="room">
    <canvas #canvas role="img" [attr.aria-label]="label()"></canvas>
  </div>`,
  styles: `
    .room {
      height: 220px;
      margin: var(--space-3) 0;
    }
  `,
})
export class ShakeChart extends ChartCanvas<'scatter'> {
  readonly lines = input.required<readonly ShakeLine[]>();
  readonly label = input.required<string>();

  protected config(token: Token): ChartConfiguration<'scatter'> {
    return {
      type: 'scatter',
      data: {
        datasets: this.lines().map((line, i) => ({
          label: line.name,
          data: line.points.map(({ x, y }) => ({ x, y: Math.max(LEAST, y) })),
          showLine: true,
          borderColor: token(COLOURS[i % COLOURS.length]!),
          backgroundColor: token(COLOURS[i % COLOURS.length]!),
          borderDash: i === 0 ? [] : [5, 4],
          pointRadius: 3,
          pointStyle: i === 0 ? ('circle' as const) : ('rectRot' as const),
        })),
      },
      options: {
        maintainAspectRatio: false,
        animation: false,
        scales: {
          x: {
            type: 'logarithmic',
            min: 0.45,
            max: 28,
            title: { display: true, text: 'turns to and fro in a second, Hz', color: token('--slate') },
            ticks: { color: token('--slate'), callback: (v) => (TICKS.includes(Number(v)) ? `${v}` : '') },
            grid: { color: token('--sand-line') },
            afterBuildTicks: (scale) => {
              scale.ticks = TICKS.map((value) => ({ value }));
            },
          },
          y: { ...axis(token, 'shake, ° rms'), beginAtZero: true },
        },
        plugins: {
          legend: { align: 'end', labels: { color: token('--ink'), usePointStyle: true, boxWidth: 7, boxHeight: 7 } },
          tooltip: {
            callbacks: {
              label: (of) => `${of.dataset.label}: ${of.parsed.y?.toFixed(3)}° at ${of.parsed.x?.toFixed(1)} Hz`,
            },
          },
        },
      },
    };
  }
}
