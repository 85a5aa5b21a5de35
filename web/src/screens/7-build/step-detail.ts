/** A step in full: what lies ready, each move of the hand, figures, how tight, how it shows that it is right, what to do if not. */
import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { mdiAlert, mdiLock } from '@mdi/js';
import type { BuildStep } from '@tide-pebble/core/making';
import { Units } from '../../services/units';
import { SayPipe } from '../../ui/figures/figures.pipe';
import { Icon } from '../../ui/icon';

@Component({
  selector: 'tp-step-detail',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SayPipe, Icon],
  template: `
    @let s = step();
    @if (s.ready; as ready) {
      <p><span class="lead">Ready first.</span> {{ ready | say: units() }}</p>
    }
    @if (s.trial; as trial) {
      <p><span class="lead">On scrap first.</span> {{ trial | say: units() }}</p>
    }
    @for (f of s.figures; track $index) {
      <p class="fig">{{ f | say: units() }}</p>
    }
    @if (sameAs(); as number) {
      <p>Move by move as in step {{ number }}.</p>
    } @else if (full() && s.moves?.length) {
      <ol class="moves">
        @for (m of s.moves; track $index) {
          <li>{{ m | say: units() }}</li>
        }
      </ol>
    }
    @if (s.tight; as tight) {
      <p><span class="lead">How tight.</span> {{ tight | say: units() }}</p>
    }
    <p class="note">With {{ s.tool }}. Check: {{ s.check | say: units() }}</p>
    @if (s.shutsIn; as shut) {
      <p class="final"><tp-icon [path]="icons.final" /> {{ shut | say: units() }}</p>
    }
    @if (s.final) {
      <p class="final"><tp-icon [path]="icons.final" /> Cannot be undone: check first.</p>
    }
    @if (s.caution) {
      <p class="caution"><tp-icon [path]="icons.caution" /> {{ s.caution }}</p>
    }
    @if (sameAs() === null && s.wrong; as wrong) {
      @if (isPaper()) {
        <p><span class="lead">If it has gone wrong.</span> {{ wrong | say: units() }}</p>
      } @else {
        <details>
          <summary>If it has gone wrong</summary>
          <p>{{ wrong | say: units() }}</p>
        </details>
      }
    }
  `,
  styles: `
    .lead {
      color: var(--slate);
    }
    .fig {
      font-weight: 600;
    }
    .moves {
      margin: var(--space-1) 0;
      padding-left: 1.4em;
    }
    .moves li {
      padding: 1px 0;
    }
    .caution,
    .final {
      display: flex;
      gap: var(--space-2);
      align-items: center;
      font-size: var(--size-note);
    }
    .caution {
      color: var(--coral-word);
    }
    tp-icon {
      width: 17px;
      height: 17px;
      flex: none;
    }
    summary {
      cursor: pointer;
      min-height: 36px;
      align-content: center;
      font-size: var(--size-note);
    }
  `,
})
export class StepDetail {
  protected readonly units = inject(Units).now;
  protected readonly icons = { caution: mdiAlert, final: mdiLock };
  readonly step = input.required<BuildStep>();
  /** With each move of the hand. */
  readonly full = input(false);
  /** The step whose moves are the same, where they stand by it already. */
  readonly sameAs = input<number | null>(null);
  /** Nothing can be unfolded on paper. */
  readonly isPaper = input(false);
}
