/** The usual cautions of a kind of rig that can hurt: plain words, on screen and on paper. */
import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { mdiAlertOctagon } from '@mdi/js';
import { Icon } from '../icon';

@Component({
  selector: 'tp-cautions',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon],
  template: `
    @if (cautions().length > 0) {
      <section aria-label="Take care">
        <h2><tp-icon [path]="sign" />Take care</h2>
        <ul>
          @for (c of cautions(); track c) {
            <li>{{ c }}</li>
          }
        </ul>
        <p class="note">Usual cautions, not all of them. Product labels, local rules and trained people come first.</p>
      </section>
    }
  `,
  styles: `
    section {
      margin: var(--space-3) 0;
      padding: var(--space-3);
      border-left: 4px solid var(--coral);
      background: var(--tint-pale);
    }
    h2 {
      display: flex;
      align-items: center;
      gap: var(--space-2);
      margin: 0 0 var(--space-1);
    }
    tp-icon {
      color: var(--coral);
    }
    ul {
      margin: 0 0 var(--space-2);
      padding-left: var(--space-4);
    }
    li {
      margin: var(--space-1) 0;
    }
    .note {
      margin: 0;
    }
  `,
})
export class Cautions {
  protected readonly sign = mdiAlertOctagon;
  readonly cautions = input.required<readonly string[]>();
}
