/** The little drawing of how a measurement is done. */
import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { Method } from '@tide-pebble/core/measuring';

@Component({
  selector: 'tp-method-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 200 104" aria-hidden="true">
      @for (stroke of method().picture; track $index) {
        <path [attr.class]="stroke.look" [attr.d]="stroke.path" />
      }
    </svg>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      width: 100%;
      max-width: 200px;
      display: block;
    }
    path {
      fill: none;
      stroke: var(--quiet);
      stroke-width: 1.2;
      stroke-linejoin: round;
    }
    .item {
      fill: var(--paper);
      stroke: var(--ink);
      stroke-width: 1.8;
    }
    .support {
      fill: var(--wood);
      stroke: var(--wood-edge);
    }
    .scale {
      fill: var(--steel);
      stroke: var(--steel-edge);
    }
    .measure {
      stroke: var(--sea);
      stroke-width: 1.4;
    }
    .cord {
      stroke: var(--sea);
      stroke-dasharray: 4 3;
    }
    .pebble {
      fill: var(--ink);
      stroke: var(--paper);
    }
  `,
})
export class MethodPicture {
  readonly method = input.required<Method>();
}
