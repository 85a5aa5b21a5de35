/** The four questions on a page of their own, where rigs stand on the shelf already. */
import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink } from '@angular/router';
import { First } from './first';

@Component({
  selector: 'tp-first-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink, First],
  template: `
    <a routerLink="/shelf">Back to the shelf</a>
    <h1>Four questions, three rigs</h1>
    <tp-first />
  `,
  styles: `
    :host {
      display: block;
      max-width: 980px;
      padding: var(--space-5);
    }
  `,
})
export class FirstPage {}
