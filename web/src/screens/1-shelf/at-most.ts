/** How much it may weigh, cost and take at most: asked alike wherever a rig is chosen. */
import { ChangeDetectionStrategy, Component, inject, output } from '@angular/core';
import { OwnAnswers } from '../../services/own-answers';
import { QuantityField, type FieldKind } from '../../ui/figures/quantity-field';

const ASKED: readonly {
  readonly id: 'mass' | 'money' | 'hours';
  readonly label: string;
  readonly kind: FieldKind;
  readonly range: readonly [number, number];
}[] = [
  { id: 'mass', label: 'Weight you can hold, camera and all', kind: 'mass', range: [0.2, 15] },
  { id: 'money', label: 'Money for parts', kind: 'money', range: [0, 5000] },
  { id: 'hours', label: 'Hours at the bench', kind: 'number', range: [0.2, 100] },
];

@Component({
  selector: 'tp-at-most',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [QuantityField],
  template: `
    @for (a of asked; track a.id) {
      <tp-quantity-field
        [label]="a.label"
        [kind]="a.kind"
        [value]="answers().wishes[a.id]"
        [range]="a.range"
        [optional]="true"
        hint="any"
        (changed)="wish(a.id, $event.value)"
        (cleared)="wish(a.id, null)"
      />
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: var(--space-2);
    }
  `,
})
export class AtMost {
  private readonly own = inject(OwnAnswers);
  protected readonly asked = ASKED;
  protected readonly answers = this.own.now;
  readonly changed = output();

  protected wish(id: (typeof ASKED)[number]['id'], value: number | null): void {
    this.own.wish({ [id]: value });
    this.changed.emit();
  }
}
