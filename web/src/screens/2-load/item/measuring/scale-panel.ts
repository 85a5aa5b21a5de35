/** The scale on the bench: connect it, see what it reads, tare it. The one that ships is simulated, and needs telling what lies on it. */
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { OUNCE } from '@tide-pebble/core';
import { ScaleLink } from '../../../../services/scale-link';
import { Units } from '../../../../services/units';
import { FigurePipe } from '../../../../ui/figures/figures.pipe';
import { QuantityField } from '../../../../ui/figures/quantity-field';

@Component({
  selector: 'tp-scale-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, QuantityField, FigurePipe],
  template: `
    <section [attr.aria-label]="link.name()">
      <h2>Scale</h2>
      @if (link.state().kind === 'on') {
        <p class="display" aria-live="off">
          @if (overload()) {
            <span class="wrong">Too heavy</span>
          } @else {
            <span class="figure">{{ shown() | figure: units() : 'mass' : 0 }}</span>
            <span class="note">{{ stable() ? 'stands still' : 'settling…' }}</span>
          }
        </p>
        <p class="tools">
          <button matButton="outlined" type="button" (click)="link.tare()">Tare</button>
          <button matButton type="button" (click)="link.disconnect()">Switch off</button>
        </p>
        <div class="pretend">
          <p class="note">
            This scale is simulated: it settles, drifts and counts in
            {{ ounces() ? 'tenths of an ounce' : 'grams' }} like a kitchen scale. Say what you put on it.
          </p>
          <tp-quantity-field
            label="On the pan"
            kind="mass"
            [value]="link.onPan()"
            [range]="[0, 20]"
            [decimals]="1"
            (changed)="link.put($event.value)"
          />
          <button matButton type="button" (click)="link.put(0)">Lift it off</button>
          <button matButton type="button" (click)="link.dropOut()">Break the link</button>
        </div>
      } @else {
        @if (link.state().kind === 'lost') {
          <p class="wrong" role="alert">
            {{ $any(link.state()).reason }} What was read is kept. Connect it again to go on.
          </p>
        } @else {
          <p class="note">Type what your scale reads; or connect one, and readings are taken once they stand still.</p>
        }
        <p class="tools">
          <button matButton="outlined" type="button" (click)="link.connect(units().system === 'inch')">
            Connect the simulated scale
          </button>
        </p>
      }
    </section>
  `,
  styles: `
    :host {
      display: block;
      margin-top: var(--space-5);
    }
    .display {
      display: flex;
      align-items: baseline;
      gap: var(--space-3);
      background: var(--sand);
      border-radius: var(--corner);
      padding: var(--space-2) var(--space-3);
      margin-top: var(--space-2);
      min-height: 52px;
    }
    .display .figure {
      font-size: var(--size-card);
    }
    .tools {
      display: flex;
      gap: var(--space-2);
      margin-top: var(--space-2);
    }
    .pretend {
      margin-top: var(--space-3);
      border-top: var(--line) dashed var(--sand-edge);
      padding-top: var(--space-2);
    }
  `,
})
export class ScalePanel {
  protected readonly link = inject(ScaleLink);
  protected readonly units = inject(Units).now;
  private readonly reading = computed(() => {
    const state = this.link.state();
    return state.kind === 'on' ? state.reading : null;
  });
  protected readonly shown = computed(() => this.reading()?.mass ?? 0);
  protected readonly stable = computed(() => this.reading()?.stable ?? false);
  protected readonly overload = computed(() => this.reading()?.overload ?? false);
  protected readonly ounces = computed(() => Math.abs(this.link.step() - OUNCE / 10) < 1e-9);
}
