/** What is to be said of the rig as it is set, by how likely it is, and what its spread means with the rig in the hand. */
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { leadingWay, verdictWith, type Firmness, type Judged } from '@tide-pebble/core';
import { Pointer } from '../../services/pointer';
import { Units } from '../../services/units';
import { SayPipe } from '../figures/figures.pipe';
import { Told } from '../words/told';

@Component({
  selector: 'tp-verdict',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SayPipe, Told],
  template: `
    @if (shown(); as v) {
      <div class="verdict" [class.holds]="v.kind === 'holds'" role="status">
        <p class="title">{{ v.title | say: units() }}</p>
        <p class="note"><tp-told [text]="v.why | say: units()" /></p>
      </div>
    }
    @for (line of lines(); track $index) {
      <p class="note" (mouseenter)="pointer.point(line.about)" (mouseleave)="pointer.point(null)">
        <tp-told [text]="line.words | say: units()" />
      </p>
    }
  `,
  styles: `
    :host {
      display: block;
      padding: var(--space-2) 0;
    }
    .title {
      font-weight: 600;
      color: var(--coral-word);
    }
    .holds .title {
      color: var(--sea-deep);
    }
    .note {
      margin-top: var(--space-1);
    }
  `,
})
export class VerdictWords {
  protected readonly pointer = inject(Pointer);
  protected readonly units = inject(Units).now;
  readonly judged = input.required<Judged>();
  /** Null while it is worked out. */
  readonly firm = input.required<Firmness | null>();
  /** What a finding of the balance says stands in its own card below, with what to do. */
  protected readonly shown = computed(() =>
    this.judged().verdict.against?.stage === 'balance' ? null : verdictWith(this.judged().verdict, this.firm()),
  );
  protected readonly lines = computed(() => {
    const { context, evaluation } = this.judged();
    return leadingWay(evaluation)?.plusMinus(context) ?? [];
  });
}
