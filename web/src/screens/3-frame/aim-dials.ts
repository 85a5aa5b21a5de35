/** Where the lens can be aimed: one dial for each tilt of what carries the camera, its whole range as an arc, the setting as a needle to drag. */
import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output } from '@angular/core';
import { DEGREE, figure, showFigure, type DimensionSpec, type Quantity } from '@tide-pebble/core';
import { Units } from '../../services/units';

const RADIUS = 38;
/** From a place on the dial to an angle: zero is ahead, to the right; downwards is positive, as the nose goes. */
const at = (angle: number, radius = RADIUS): string =>
  `${Math.round(radius * Math.cos(angle) * 10) / 10} ${Math.round(radius * Math.sin(angle) * 10) / 10}`;

export interface Tilt extends DimensionSpec {
  readonly value: number;
}

@Component({
  selector: 'tp-aim-dials',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Where it can look</h2>
    <div class="dials">
      @for (d of dials(); track d.id) {
        <figure>
          <svg
            viewBox="-48 -48 96 96"
            role="slider"
            tabindex="0"
            [attr.aria-label]="d.name"
            [attr.aria-valuemin]="d.least"
            [attr.aria-valuemax]="d.most"
            [attr.aria-valuenow]="d.now"
            [attr.aria-valuetext]="d.text"
            (pointerdown)="turn($event, d.spec)"
            (pointermove)="$event.buttons === 1 && turn($event, d.spec)"
            (keydown)="key($event, d.spec)"
          >
            <circle r="38" />
            <path class="reach" [attr.d]="d.arc" />
            <path class="needle" [attr.d]="d.needle" />
          </svg>
          <figcaption>
            {{ d.name }}<br /><span class="figure">{{ d.text }}</span>
          </figcaption>
        </figure>
      }
    </div>
    <p class="note">{{ says() }}</p>
  `,
  styles: `
    :host {
      display: block;
      margin: var(--space-4) 0;
    }
    .dials {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-3);
    }
    figure {
      margin: 0;
      width: 104px;
      text-align: center;
      font-size: var(--size-note);
    }
    svg {
      width: 96px;
      height: 96px;
      touch-action: none;
      cursor: grab;
    }
    circle {
      fill: none;
      stroke: var(--sand-line);
    }
    .reach {
      fill: var(--tint);
      stroke: var(--sea);
    }
    .needle {
      stroke: var(--ink);
      stroke-width: 2.5;
      stroke-linecap: round;
    }
  `,
})
export class AimDials {
  private readonly units = inject(Units).now;
  readonly tilts = input.required<readonly Tilt[]>();
  readonly changed = output<{ id: string; quantity: Quantity }>();

  /** The settings as last turned: keys come faster than the rig is drawn. */
  private readonly now = linkedSignal<Readonly<Record<string, number>>>(() =>
    Object.fromEntries(this.tilts().map((t) => [t.id, t.value])),
  );
  protected readonly dials = computed(() =>
    this.tilts().map((spec) => {
      const {
        id,
        name,
        range: [least, most],
      } = spec;
      const value = this.now()[id] ?? spec.value;
      const whole = most - least >= 2 * Math.PI - 0.01;
      return {
        id,
        name,
        spec,
        least,
        most,
        now: value,
        text: showFigure(figure('angle', value, 0), this.units()),
        arc: whole
          ? `M${RADIUS} 0A${RADIUS} ${RADIUS} 0 1 1 ${-RADIUS} 0A${RADIUS} ${RADIUS} 0 1 1 ${RADIUS} 0Z`
          : `M0 0L${at(least)}A${RADIUS} ${RADIUS} 0 ${most - least > Math.PI ? 1 : 0} 1 ${at(most)}Z`,
        needle: `M0 0L${at(value, RADIUS - 4)}`,
      };
    }),
  );
  /** Two tilts square to each other with a turn between reach any direction. */
  protected readonly says = computed(() => {
    const reach = this.tilts().reduce((sum, t) => sum + (t.range[1] - t.range[0]), 0);
    return this.tilts().length >= 3 && reach >= 3 * Math.PI
      ? 'Between them they reach any direction; check that the frame stays out of the picture.'
      : 'The shaded part is what each tilt reaches; beyond it, turn the whole rig.';
  });

  protected turn(event: PointerEvent, spec: Tilt): void {
    const box = (event.currentTarget as Element).getBoundingClientRect();
    this.set(spec, Math.atan2(event.clientY - box.top - box.height / 2, event.clientX - box.left - box.width / 2));
  }

  protected key(event: KeyboardEvent, spec: Tilt): void {
    const step = (
      { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1, PageDown: 10, PageUp: -10 } as Record<string, number>
    )[event.key];
    if (step === undefined) return;
    event.preventDefault();
    this.set(spec, (this.now()[spec.id] ?? spec.value) + step * DEGREE);
  }

  private set(spec: Tilt, angle: number): void {
    const whole = Math.round(angle / DEGREE) * DEGREE;
    const value = Math.min(spec.range[1], Math.max(spec.range[0], whole));
    this.now.update((now) => ({ ...now, [spec.id]: value }));
    this.changed.emit({ id: spec.id, quantity: { value } });
  }
}
