/** A word that says what it means when it is touched, pointed at or reached by key. */
import { CdkConnectedOverlay, CdkOverlayOrigin } from '@angular/cdk/overlay';
import { ChangeDetectionStrategy, Component, input, signal } from '@angular/core';
import type { Term } from './glossary';
import { TermCard } from './term-card';

let last = 0;

@Component({
  selector: 'tp-term',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [CdkConnectedOverlay, CdkOverlayOrigin, TermCard],
  template: `
    <button
      type="button"
      cdkOverlayOrigin
      #origin="cdkOverlayOrigin"
      [attr.aria-describedby]="open() ? id : null"
      (mouseenter)="open.set(true)"
      (mouseleave)="open.set(false)"
      (focus)="open.set(true)"
      (blur)="open.set(false)"
      (click)="open.set(true)"
      (keydown.escape)="close($event)"
      [textContent]="text() || term().word"
    ></button>
    <ng-template cdkConnectedOverlay [cdkConnectedOverlayOrigin]="origin" [cdkConnectedOverlayOpen]="open()">
      <tp-term-card role="tooltip" class="card" [id]="id" [term]="term()" />
    </ng-template>
  `,
  styles: `
    button {
      border: 0;
      padding: 0;
      background: none;
      font: inherit;
      color: inherit;
      text-decoration: underline dotted 1px;
      text-underline-offset: 3px;
      cursor: help;
    }
    .card {
      max-width: 320px;
      margin: 4px 0;
      padding: var(--space-3);
      border: var(--line) solid var(--sand-edge);
      border-radius: var(--corner);
      background: var(--paper);
      color: var(--ink);
      font-size: var(--size-note);
      box-shadow: 0 4px 18px rgb(29 42 49 / 18%);
    }
  `,
})
export class TermButton {
  readonly term = input.required<Term>();
  /** As it stands in the sentence; else the word itself. */
  readonly text = input('');
  protected readonly open = signal(false);
  protected readonly id = `term-${++last}`;

  /** What stands below it stays open. */
  protected close(event: Event): void {
    if (this.open()) event.stopPropagation();
    this.open.set(false);
  }
}
