/** One choice of a family: what is sold, sizes of the maker's own, and a way to type another. */
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { optionsOf, sizeLike, type ChoiceSpec, type OwnSize } from '@tide-pebble/core';
import { Workspace } from '../../services/workspace';
import { OwnSizes } from '../../ui/own-size/own-sizes';

const ANOTHER = '+';

@Component({
  selector: 'tp-choice-row',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label
      >{{ spec().name }}
      <select #box [attr.aria-label]="spec().name" (change)="choose(box)">
        @for (o of options(); track o.id) {
          <option [value]="o.id" [selected]="o.id === value()">{{ o.name }}</option>
        }
        @if (spec().takes) {
          <option [value]="another">Another size…</option>
        }
      </select>
    </label>
    @if (own(); as size) {
      <button type="button" class="change" (click)="sizes.change(size)">Change this size</button>
    }
  `,
  styleUrl: './choice-row.css',
})
export class ChoiceRow {
  private readonly workspace = inject(Workspace);
  protected readonly sizes = inject(OwnSizes);
  protected readonly another = ANOTHER;
  private readonly kept = toSignal(this.workspace.sizes$, { initialValue: [] });
  readonly spec = input.required<ChoiceSpec>();
  readonly value = input.required<string>();
  /** What the rig brought along. */
  readonly brought = input<readonly OwnSize[]>([]);

  private readonly all = computed(() => {
    const kept = this.kept();
    return [...kept, ...this.brought().filter((o) => !kept.some((k) => k.id === o.id))];
  });
  protected readonly options = computed(() => optionsOf(this.spec(), this.all()));
  protected readonly own = computed(() => this.all().find((o) => o.id === this.value()) ?? null);

  protected async choose(box: HTMLSelectElement): Promise<void> {
    if (box.value !== ANOTHER) return this.workspace.setChoice(this.spec().id, box.value);
    // Till a size is kept, the choice is as it was.
    box.value = this.value();
    const own = this.own();
    if (own) await this.sizes.addFrom(own, this.spec().id);
    else await this.sizes.add(this.startFrom(), this.spec().id);
  }

  /** What is chosen, or the first that is a size. */
  private startFrom(): string {
    const { options } = this.spec();
    return sizeLike(this.value(), 'x') ? this.value() : (options.find((o) => sizeLike(o.id, 'x'))?.id ?? '');
  }
}
