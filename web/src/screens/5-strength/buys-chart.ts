/** What changes buy: how the rig rings over what it then weighs, as points to pick; those that nothing lighter beats are joined. Fetched with its chart library only when asked for. */
import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { render, type UnitChoice } from '@tide-pebble/core';
import type { Stiffened, Stiffening } from '@tide-pebble/core/strength';
import {
  Chart,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  ScatterController,
  Tooltip,
  type ChartConfiguration,
} from 'chart.js';
import { axis, ChartCanvas, type Token } from '../../ui/chart-canvas';

Chart.register(LinearScale, LineController, LineElement, PointElement, ScatterController, Legend, Tooltip);

@Component({
  selector: 'tp-buys-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="room">
    <canvas
      #canvas
      role="img"
      [attr.aria-label]="'How it rings over more mass, ' + points().length + ' changes; the list gives the figures.'"
    ></canvas>
  </div>`,
  styles: `
    .room {
      height: 200px;
      margin: var(--space-3) 0;
    }
  `,
})
export class BuysChart extends ChartCanvas<'scatter'> {
  readonly points = input.required<readonly Stiffening[]>();
  readonly now = input.required<Stiffened>();
  readonly units = input.required<UnitChoice>();
  readonly picked = output<Stiffening>();

  protected config(token: Token): ChartConfiguration<'scatter'> {
    const now = this.now();
    const best = unbeaten(this.points());
    const rest = this.points().filter((p) => !best.includes(p));
    const sets = [best, rest];
    const at = (s: Stiffened): { x: number; y: number } => ({ x: (s.mass - now.mass) * 1000, y: s.frequency });
    return {
      type: 'scatter',
      data: {
        datasets: [
          {
            label: 'nothing lighter rings higher',
            data: best.map(at),
            showLine: true,
            borderColor: token('--sea'),
            borderWidth: 1.5,
            backgroundColor: token('--sea'),
            pointRadius: 6,
            pointHoverRadius: 8,
          },
          {
            label: 'others',
            data: rest.map(at),
            backgroundColor: token('--wood-edge'),
            pointStyle: 'rectRot',
            pointRadius: 5,
            pointHoverRadius: 7,
          },
          {
            label: 'as it is',
            data: [at(now)],
            backgroundColor: token('--ink'),
            pointStyle: 'crossRot',
            borderColor: token('--ink'),
            pointRadius: 6,
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
        scales: { x: axis(token, 'more mass, g'), y: axis(token, 'rings at, Hz') },
        plugins: {
          legend: { align: 'end', labels: { color: token('--ink'), usePointStyle: true, boxWidth: 7, boxHeight: 7 } },
          tooltip: {
            callbacks: {
              label: ({ datasetIndex, dataIndex }) => {
                const point = sets[datasetIndex]?.[dataIndex];
                return point ? `${point.name}: ${render(point.to, this.units())}` : 'as it is';
              },
            },
          },
        },
      },
    };
  }
}

/** Lightest first, each ringing higher than all that are lighter. */
function unbeaten(points: readonly Stiffening[]): readonly Stiffening[] {
  let highest = -Infinity;
  return [...points]
    .sort((a, b) => a.mass - b.mass || b.frequency - a.frequency)
    .filter((p) => {
      if (p.frequency <= highest) return false;
      highest = p.frequency;
      return true;
    });
}
