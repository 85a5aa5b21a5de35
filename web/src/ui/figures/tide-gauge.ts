/** A readout over its own tide gauge: a pool for the wanted range, a pebble for where the figure lies. */
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

export interface Gauge {
  readonly name: string;
  /** The figure, and a quieter rest beside it. */
  readonly figure: string;
  readonly rest: string;
  /** The old figure, for a moment after a change; empty otherwise. */
  readonly was: string;
  /** Places along the gauge from zero to one; null when there is nothing to show. */
  readonly pebble: number | null;
  readonly pool: readonly [number, number] | null;
  readonly out: boolean;
}

@Component({
  selector: 'tp-tide-gauge',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span class="name"
      >{{ gauge().name }}&ngsp;<span class="was">{{ gauge().was }}</span></span
    >
    <span class="reading" [class.out]="gauge().out"
      ><span class="figure">{{ gauge().figure }}</span
      >&ngsp;<span class="rest">{{ gauge().rest }}</span></span
    >
    <span class="track" aria-hidden="true">
      @if (gauge().pool; as pool) {
        <span class="pool" [style.left.%]="pool[0] * 100" [style.width.%]="(pool[1] - pool[0]) * 100"></span>
      }
      @if (place() !== null) {
        <span class="pebble" [class.out]="gauge().out" [style.left]="place()"></span>
      }
    </span>
  `,
  styleUrl: './tide-gauge.css',
})
export class TideGauge {
  readonly gauge = input.required<Gauge>();
  protected readonly place = computed(() => {
    const { pebble } = this.gauge();
    return pebble === null ? null : `${(Math.min(1, Math.max(0, pebble)) * 100).toFixed(2)}%`;
  });
}
