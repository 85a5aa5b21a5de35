/** One thing the maker can turn: its setting, what the next step does, and how much travel is left. */
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { mdiMinus, mdiPlus } from '@mdi/js';
import { figure, render, showFigure, type Adjuster, type AdjusterStep, type Quantity } from '@tide-pebble/core';
import { Pointer } from '../services/pointer';
import { Units } from '../services/units';
import { Icon } from './icon';
import { nextFrame } from './timing/next-frame';
import { QuantityField } from './figures/quantity-field';

@Component({
  selector: 'tp-adjuster-row',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [QuantityField, Icon],
  templateUrl: './adjuster-row.html',
  styleUrl: './adjuster-row.css',
  host: {
    '[class.lit]': 'lit()',
    '(mouseenter)': 'pointer.point(adjuster().id)',
    '(focusin)': 'pointer.point(adjuster().id)',
    '(focusout)': 'pointer.point(null)',
    '(mouseleave)': 'pointer.point(null)',
  },
})
export class AdjusterRow {
  protected readonly pointer = inject(Pointer);
  private readonly units = inject(Units).now;
  protected readonly plus = mdiPlus;
  protected readonly minus = mdiMinus;

  readonly adjuster = input.required<Adjuster>();
  readonly value = input.required<number>();
  readonly step = input.required<AdjusterStep>();
  /** What its field reads, a frame after the tide line: a text field is dear to lay out in the frame of a drag. */
  protected readonly read = nextFrame(this.value, () => this.adjuster().id);
  readonly moved = output<{ value: number; typed?: string }>();

  protected readonly kind = computed(() => (this.adjuster().kind === 'count' ? 'count' : 'length'));
  protected readonly lit = computed(() => {
    const at = this.pointer.at();
    return at !== null && (at === this.adjuster().id || this.adjuster().moves.some((m) => m.id === at));
  });
  /** "1/8 turn forward: nose 3.0° up, drop 2.2 s". */
  protected readonly effect = computed(() => render(this.step().says, this.units()));

  /** What a slider says: the figure with its unit, never metres. */
  protected readonly spoken = computed(() =>
    this.kind() === 'count' ? `${this.read()}` : showFigure(figure('length', this.read(), 1), this.units()),
  );

  protected nudge(direction: 1 | -1): void {
    const a = this.adjuster();
    this.set(this.value() + direction * this.step().size, a);
  }

  protected typed(quantity: Quantity): void {
    this.set(quantity.value, this.adjuster(), quantity.typed);
  }

  protected slid(value: string): void {
    this.set(Number(value), this.adjuster());
  }

  private set(value: number, { range, step, kind }: Adjuster, typed?: string): void {
    const kept = Math.min(
      range[1],
      Math.max(range[0], kind === 'count' ? Math.round(value) : Math.round(value / step) * step),
    );
    this.moved.emit({ value: Number(kept.toPrecision(12)), ...(typed === undefined ? {} : { typed }) });
  }
}
