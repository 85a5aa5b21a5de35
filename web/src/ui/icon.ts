/** An icon of the one set, drawn from its path. Always beside a word, or with a label on its button. */
import { ChangeDetectionStrategy, Component, input } from '@angular/core';

@Component({
  selector: 'tp-icon',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg viewBox="0 0 24 24" aria-hidden="true"><path [attr.d]="path()" /></svg>`,
  styles: `
    :host {
      display: inline-flex;
      width: 20px;
      height: 20px;
      flex: none;
    }
    svg {
      width: 100%;
      height: 100%;
      fill: currentColor;
    }
  `,
})
export class Icon {
  readonly path = input.required<string>();
}
