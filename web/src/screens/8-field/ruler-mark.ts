/** A slide's own ruler with the place to set it to; black on white for the sun. */
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { INCH } from '@tide-pebble/core';
import { Units } from '../../services/units';

const WIDTH = 340;

@Component({
  selector: 'tp-ruler-mark',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="-12 0 364 44" aria-hidden="true">
      <path d="M0 14H340" />
      @for (t of ticks(); track t.at) {
        <path [attr.d]="'M' + t.at + ' 14v' + (t.label ? 9 : 5)" />
        @if (t.label) {
          <text [attr.x]="t.at" y="37">{{ t.label }}</text>
        }
      }
      <path class="needle" [attr.d]="'M' + place() + ' 24V2m-6 0h12l-6 9z'" />
    </svg>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      width: 100%;
      display: block;
    }
    path {
      stroke: #1d2a31;
      stroke-width: 1.6;
      fill: none;
    }
    .needle {
      stroke: #0b4f4e;
      stroke-width: 2.6;
      fill: #0b4f4e;
    }
    text {
      font: 600 12px var(--words);
      fill: #1d2a31;
      text-anchor: middle;
    }
  `,
})
export class RulerMark {
  private readonly units = inject(Units).now;
  readonly value = input.required<number>();
  readonly range = input.required<readonly [number, number]>();

  protected readonly place = computed(() => this.along(this.value()));
  /** Every 2 or 5 mm, or eighths of an inch, so that at most some twenty ticks stand. */
  protected readonly ticks = computed(() => {
    const [from, to] = this.range();
    const inch = this.units().system === 'inch';
    const steps = inch ? [INCH / 16, INCH / 8, INCH / 4, INCH] : [0.001, 0.002, 0.005, 0.01, 0.05];
    const step = steps.find((s) => (to - from) / s <= 26) ?? steps.at(-1)!;
    const first = Math.ceil(from / step - 1e-9);
    const count = Math.floor(to / step + 1e-9) - first + 1;
    return Array.from({ length: count }, (_, i) => {
      const n = first + i;
      const long = n % 5 === 0 && !inch ? true : inch && n % 4 === 0;
      return {
        at: this.along(n * step),
        label: long ? (inch ? `${Math.round(((n * step) / INCH) * 100) / 100}` : `${Math.round(n * step * 1000)}`) : '',
      };
    });
  });

  private along(value: number): number {
    const [from, to] = this.range();
    return Math.round(((value - from) / (to - from)) * WIDTH * 100) / 100;
  }
}
