/** Traces of nose, horizon and pan over time, what is compared in dashes, with a line at the time shown. Fetched with its chart library. */
import { afterNextRender, ChangeDetectionStrategy, Component, computed, DestroyRef, effect, type ElementRef, inject, input, viewChild } from '@angular/core';
import { DEGREE, type SwingTrace } from '@tide-pebble/core';
import { Chart, Legend, LinearScale, LineController, LineElement, PointElement } from 'chart.js';

Chart.defaults.font.family = "'Source Sans 3 Variable', sans-serif";
Chart.defaults.font.size = 13;
Chart.register(LinearScale, LineController, LineElement, PointElement, Legend);

interface Traced {
  readonly name: string;
  readonly trace: SwingTrace;
}
const AXES = [['pitch', 'nose', '--sea'], ['roll', 'horizon', '--coral'], ['pan', 'pan', '--wood-edge']] as const;
/** Points a line is drawn with: more than its pixels is work for nothing. */
const POINTS = 360;

@Component({
  selector: 'tp-trace-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="room"><canvas #canvas role="img" aria-label="Nose, horizon and pan over time; the figures stand in the table."></canvas><div class="now" [style.left.px]="at()"></div></div>`,
  styles: `
    .room { position: relative; height: 190px; }
    .now { position: absolute; top: 26px; bottom: 38px; width: 1px; background: var(--ink); pointer-events: none; }
  `,
})
export class TraceChart {
  readonly runs = input.required<readonly Traced[]>();
  readonly time = input.required<number>();
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  private chart: Chart<'line', { x: number; y: number }[]> | null = null;
  /** Paper place of the time shown; the chart's own scale, read once it is drawn. */
  protected readonly at = computed(() => {
    const { trace } = this.runs()[0]!;
    const scale = this.chart?.scales['x'];
    const [left, right] = scale ? [scale.left, scale.right] : [44, 600];
    return left + ((right - left) * this.time()) / (trace.every * (trace.pitch.length - 1));
  });

  constructor() {
    afterNextRender(() => this.draw());
    effect(() => {
      this.runs();
      if (this.chart) this.draw();
    });
    inject(DestroyRef).onDestroy(() => this.chart?.destroy());
  }

  private draw(): void {
    this.chart?.destroy();
    const token = (name: string): string => getComputedStyle(document.documentElement).getPropertyValue(name).trim();
    const runs = this.runs();
    const { every, pitch } = runs[0]!.trace;
    const stride = Math.max(1, Math.floor(pitch.length / POINTS));
    this.chart = new Chart(this.canvas().nativeElement, {
      type: 'line',
      data: {
        datasets: runs.flatMap(({ name, trace }, i) => AXES.map(([axis, word, colour]) => ({
          label: i === 0 ? word : `${word}, ${name}`, borderColor: token(colour), borderDash: i === 0 ? [] : [4, 3], borderWidth: i === 0 ? 2 : 1.2, pointRadius: 0,
          data: Array.from({ length: Math.ceil(trace[axis].length / stride) }, (_, n) => ({ x: n * stride * every, y: trace[axis][n * stride]! / DEGREE })),
        }))),
      },
      options: {
        maintainAspectRatio: false,
        animation: false,
        parsing: false,
        scales: {
          x: { type: 'linear', min: 0, max: every * (pitch.length - 1), title: { display: true, text: 'time, s', color: token('--slate') }, ticks: { color: token('--slate') }, grid: { color: token('--sand-line') } },
          y: { title: { display: true, text: 'degrees', color: token('--slate') }, ticks: { color: token('--slate') }, grid: { color: token('--sand-line') } },
        },
        plugins: { legend: { align: 'end', labels: { color: token('--ink'), boxWidth: 16, boxHeight: 1 } } },
      },
    });
  }
}
