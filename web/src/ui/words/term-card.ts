/** What a word means, with a drawing where one tells it sooner. */
import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { Term } from './glossary';

@Component({
  selector: 'tp-term-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <strong>{{ term().word }}</strong>
    <p>{{ term().says }}</p>
    @if (term().picture; as strokes) {
      <svg viewBox="0 0 120 60" aria-hidden="true">
        @for (s of strokes; track $index) {
          <path [attr.d]="s.path" [attr.class]="s.look" />
        }
      </svg>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    p {
      margin: 2px 0 0;
    }
    svg {
      display: block;
      width: 160px;
      margin-top: var(--space-2);
    }
    path {
      fill: none;
      stroke-width: 1.5;
      stroke: var(--ink);
    }
    .measure {
      stroke: var(--sea);
    }
    .pebble {
      fill: var(--ink);
    }
  `,
})
export class TermCard {
  readonly term = input.required<Term>();
}
