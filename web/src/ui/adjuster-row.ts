/** One thing the maker can turn: its setting, what the next step does, and how much travel is left. */
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { mdiMinus, mdiPlus } from '@mdi/js';
import { figure, showFigure, turnsOf, wayOf, type Adjuster, type AdjusterStep, type Quantity } from '@tide-pebble/core';
import { Pointer } from '../services/pointer';
import { Units } from '../services/units';
import { Icon } from './icon';
import { leanWords } from './figures/lean-words';
import { nextFrame } from './timing/next-frame';
import { QuantityField } from './figures/quantity-field';

/** Lengths are shown to a tenth of a millimetre, m. */
const SHOWN = 0.00005;

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
  protected readonly effect = computed(() => {
    const step = this.step();
    const a = this.adjuster();
    const what =
      a.kind === 'count'
        ? step.direction > 0
          ? 'one more'
          : 'one less'
        : `${a.perTurn ? turnsOf(step.size / a.perTurn) : showFigure(figure('length', step.size, 2), this.units())} ${wayOf(a, step.direction)}`;
    if (step.fromHands) {
      const [x, , z] = step.fromHands;
      const upright = a.axis === undefined || Math.abs(a.axis[0]) < 0.7;
      const offset = upright && a.kind === 'count' && Math.abs(z) > Math.abs(x) ? z : x;
      const place = offset === z ? (z > 0 ? 'above' : 'below') : x > 0 ? 'ahead of' : 'behind';
      if (Math.abs(offset) < SHOWN) return `${what}: mass centre at the hand`;
      return `${what}: mass centre ${showFigure(figure('length', Math.abs(offset), 1), this.units())} ${place} the hand`;
    }
    const level =
      step.noseDown === null
        ? 'turns over'
        : [
            leanWords(step.noseDown, ['nose down', 'nose up'], this.units()),
            a.axis && Math.abs(a.axis[1]) > 0.7
              ? leanWords(step.leftSideDown ?? 0, ['left down', 'right down'], this.units())
              : '',
          ]
            .filter(Boolean)
            .pop();
    const drop = step.dropPitch === null ? '' : `, drop ${showFigure(figure('time', step.dropPitch), this.units())}`;
    return `${what}: ${level}${drop}`;
  });

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
