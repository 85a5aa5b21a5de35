/** Traces of nose, horizon and pan over time, what is compared in dashes, with a line at the time shown. Fetched with its chart library. */
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { DEGREE } from '@tide-pebble/core';
import { type SwingTrace } from '@tide-pebble/core/bench';
import {
  Chart,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  type ChartConfiguration,
} from 'chart.js';
import { axis, ChartCanvas, type Token } from '../../../ui/chart-canvas';

Chart.register(LinearScale, LineController, LineElement, PointElement, Legend);

interface Traced {
  readonly name: string;
  readonly trace: SwingTrace;
}
type Points = { x: number; y: number }[];
const AXES = [
  ['pitch', 'nose', '--sea'],
  ['roll', 'horizon', '--coral'],
  ['pan', 'pan', '--wood-edge'],
] as const;
/** Points a line is drawn with: more than its pixels is work for nothing. */
const POINTS = 360;

@Component({
  selector: 'tp-trace-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="room">
    <canvas #canvas role="img" aria-label="Nose, horizon and pan over time; the figures stand in the table."></canvas>
    <div class="now" [style.left.px]="at()"></div>
  </div>`,
  styles: `
    .room {
      position: relative;
      height: 190px;
    }
    .now {
      position: absolute;
      top: 26px;
      bottom: 38px;
      width: 1px;
      background: var(--ink);
      pointer-events: none;
    }
  `,
})
export class TraceChart extends ChartCanvas<'line', Points> {
  readonly runs = input.required<readonly Traced[]>();
  readonly time = input.required<number>();
  /** Paper place of the time shown; the chart's own scale, read once it is drawn. */
  protected readonly at = computed(() => {
    const { trace } = this.runs()[0]!;
    const part = this.time() / (trace.every * (trace.pitch.length - 1));
    const scale = this.chart?.scales['x'];
    const [left, right] = scale ? [scale.left, scale.right] : [44, 600];
    return left + (right - left) * part;
  });

  protected config(token: Token): ChartConfiguration<'line', Points> {
    const runs = this.runs();
    const { every, pitch } = runs[0]!.trace;
    const stride = Math.max(1, Math.floor(pitch.length / POINTS));
    return {
      type: 'line',
      data: {
        datasets: runs.flatMap(({ name, trace }, i) =>
          AXES.map(([of, word, colour]) => ({
            label: i === 0 ? word : `${word}, ${name}`,
            borderColor: token(colour),
            borderDash: i === 0 ? [] : [4, 3],
            borderWidth: i === 0 ? 2 : 1.2,
            pointRadius: 0,
            data: Array.from({ length: Math.ceil(trace[of].length / stride) }, (_, n) => ({
              x: n * stride * every,
              y: trace[of][n * stride]! / DEGREE,
            })),
          })),
        ),
      },
      options: {
        maintainAspectRatio: false,
        animation: false,
        parsing: false,
        scales: {
          x: { ...axis(token, 'time, s'), type: 'linear', min: 0, max: every * (pitch.length - 1) },
          y: axis(token, 'degrees'),
        },
        plugins: { legend: { align: 'end', labels: { color: token('--ink'), boxWidth: 16, boxHeight: 1 } } },
      },
    };
  }
}
