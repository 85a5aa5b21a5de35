/** How a figure goes with a count of washers: where it stands, and what is wanted. Fetched with its chart library only when it is seen. */
import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { DEGREE, type Curve } from '@tide-pebble/core';
import {
  Chart,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
  type ChartConfiguration,
} from 'chart.js';
import { axis, ChartCanvas, type Token } from '../../ui/chart-canvas';

Chart.register(LinearScale, LineController, LineElement, PointElement, Tooltip);

@Component({
  selector: 'tp-curve-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="room">
    <canvas
      #canvas
      role="img"
      [attr.aria-label]="curve().of + ' over ' + curve().over.toLowerCase() + '; the lines above give the figures.'"
    ></canvas>
  </div>`,
  styles: `
    .room {
      height: 180px;
      margin: var(--space-3) 0;
    }
  `,
})
export class CurveChart extends ChartCanvas<'line'> {
  readonly curve = input.required<Curve>();

  protected config(token: Token): ChartConfiguration<'line'> {
    const { points, here, wanted, of, over } = this.curve();
    return {
      type: 'line',
      data: {
        datasets: [
          {
            label: of,
            data: points.map(({ x, y }) => ({ x, y: y / DEGREE })),
            borderColor: token('--sea'),
            backgroundColor: points.map((p) => token(p.x === here ? '--ink' : '--sea')),
            pointRadius: points.map((p) => (p.x === here ? 7 : 3)),
          },
          {
            label: 'wanted',
            data: [points[0]!, points.at(-1)!].map(({ x }) => ({ x, y: wanted / DEGREE })),
            borderColor: token('--wood-edge'),
            borderDash: [4, 4],
            pointRadius: 0,
          },
        ],
      },
      options: {
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        plugins: { legend: { display: false } },
        scales: { x: { type: 'linear', ...axis(token, over) }, y: axis(token, `${of}, °`) },
      },
    };
  }
}
