/** A sentence whose words of the trade can be asked for. What is written by itself brings no spaces of the template's along. */
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { toldIn } from './glossary';
import { TermButton } from './term-button';

@Component({
  selector: 'tp-told',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [TermButton],
  template: `@for (part of parts(); track $index) {
    @if (part.term; as term) {
      <tp-term [term]="term" [text]="part.text" />
    } @else {
      <span [textContent]="part.text"></span>
    }
  }`,
})
export class Told {
  readonly text = input.required<string>();
  protected readonly parts = computed(() => toldIn(this.text()));
}
