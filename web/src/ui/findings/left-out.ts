/** Said over a list that lacks what a finding's piece would bring to it: never an incomplete list shown as whole. */
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { findingKey, type Judgement } from '@tide-pebble/core';
import { Pointer } from '../../services/pointer';
import { Units } from '../../services/units';
import { SayPipe } from '../figures/figures.pipe';

@Component({
  selector: 'tp-left-out',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, SayPipe],
  template: `
    @if (left().length > 0) {
      <section class="left-out" aria-label="Not whole">
        <p class="wrong">Not whole: what these take is not on this list.</p>
        <ul class="plain-list">
          @for (f of left(); track key(f)) {
            <li (mouseenter)="pointer.point(f.about)" (mouseleave)="pointer.point(null)">
              {{ f.title | say: units() }}
            </li>
          }
        </ul>
        <a routerLink="/frame">Mend it in Frame</a>
      </section>
    }
  `,
  styles: `
    .left-out {
      border-left: var(--space-1) solid var(--coral);
      padding-left: var(--space-3);
      margin-bottom: var(--space-3);
    }
  `,
})
export class LeftOut {
  protected readonly pointer = inject(Pointer);
  protected readonly units = inject(Units).now;
  protected readonly key = findingKey;
  readonly findings = input.required<readonly Judgement[]>();
  protected readonly left = computed(() => this.findings().filter((f) => f.leavesOut));
}
