/** Washers' mass over drop time, as points to pick. Fetched with its chart library only when asked for. */
import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import type { TradePoint } from '@tide-pebble/core/bench';
import {
  Chart,
  Legend,
  LinearScale,
  PointElement,
  ScatterController,
  Tooltip,
  type ChartConfiguration,
} from 'chart.js';
import { axis, ChartCanvas, type Token } from '../../ui/chart-canvas';

Chart.register(LinearScale, PointElement, ScatterController, Legend, Tooltip);

@Component({
  selector: 'tp-trade-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="room">
    <canvas
      #canvas
      role="img"
      [attr.aria-label]="'Washers over drop time, ' + points().length + ' set-ups; the list below gives the figures.'"
    ></canvas>
  </div>`,
  styles: `
    .room {
      height: 200px;
      margin: var(--space-3) 0;
    }
  `,
})
export class TradeChart extends ChartCanvas<'scatter'> {
  readonly points = input.required<readonly TradePoint[]>();
  readonly picked = output<TradePoint>();

  protected config(token: Token): ChartConfiguration<'scatter'> {
    const sets = (['lightest', 'calmest'] as const).map((aim) => this.points().filter((p) => p.aim === aim));
    const at = (list: readonly TradePoint[]): { x: number; y: number }[] =>
      list.map((p) => ({ x: p.dropPitch, y: p.added * 1000 }));
    return {
      type: 'scatter',
      data: {
        datasets: [
          {
            label: 'lightest',
            data: at(sets[0]!),
            backgroundColor: token('--sea'),
            pointRadius: 6,
            pointHoverRadius: 8,
          },
          {
            label: 'calmest in the mass wanted',
            data: at(sets[1]!),
            backgroundColor: token('--wood-edge'),
            pointStyle: 'rectRot',
            pointRadius: 7,
            pointHoverRadius: 9,
          },
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
        scales: { x: axis(token, 'drop time, s'), y: { ...axis(token, 'washers, g'), beginAtZero: true } },
        plugins: {
          legend: { align: 'end', labels: { color: token('--ink'), usePointStyle: true, boxWidth: 7, boxHeight: 7 } },
        },
      },
    };
  }
}
