/** What an item is: its name and kind, its box, its foot and socket. */
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  KIT_CLASSES,
  MOUNT_KINDS,
  withClass,
  type KitClass,
  type KitItem,
  type MountKind,
  type Quantity,
} from '@tide-pebble/core';
import { whatIsOpen, type Result } from '@tide-pebble/core/measuring';
import { LoadBench } from '../../../../services/load-bench';
import { QuantityField } from '../../../../ui/figures/quantity-field';
import { replaced, words, type ItemChange } from '../changes';

@Component({
  selector: 'tp-facts-editor',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [QuantityField],
  templateUrl: './facts-editor.html',
  styleUrl: './facts-editor.css',
})
export class FactsEditor {
  protected readonly load = inject(LoadBench);
  readonly item = input.required<KitItem>();
  readonly results = input.required<readonly Result[]>();
  /** What is worth measuring next. */
  protected readonly next = computed(() => whatIsOpen(this.item(), this.results()));
  /** A change, to be made to the item as it is by then: two quick edits never undo each other. */
  readonly edited = output<ItemChange>();
  protected readonly classes = KIT_CLASSES;
  protected readonly mounts = MOUNT_KINDS;

  /** The foot as a maker measures it: from the rear face, the right side and the underside. */
  protected readonly foot = computed(() => {
    const { size, boxCentre } = this.item();
    return size.map((s, i) => s / 2 - boxCentre[i]!) as unknown as readonly [number, number, number];
  });
  protected readonly sizes = [
    { axis: 0, label: 'Length, along the lens' },
    { axis: 1, label: 'Width' },
    { axis: 2, label: 'Height' },
  ] as const;
  protected readonly feet = [
    { axis: 0, label: 'Foot from the rear face' },
    { axis: 1, label: 'Foot from the right side' },
    { axis: 2, label: 'Foot from the underside' },
  ] as const;
  protected rename(name: string): void {
    const text = name.trim();
    if (text) this.edited.emit((item) => ({ ...item, name: text.slice(0, 120) }));
  }

  protected kind(kind: string): void {
    this.edited.emit((item) => withClass(item, kind as KitClass));
  }

  protected form(form: string): void {
    this.edited.emit((item) => ({ ...item, form: form === 'cylinder' ? 'cylinder' : 'box' }));
  }

  protected heldBy(foot: string): void {
    this.edited.emit((item) => ({ ...item, foot: foot as MountKind }));
  }

  /** The foot stays where it was measured from; the box grows the other way. */
  protected size(axis: 0 | 1 | 2, { value, typed }: Quantity): void {
    this.edited.emit((item) => {
      const foot = item.size[axis] / 2 - item.boxCentre[axis];
      const inMiddle = Math.abs(item.boxCentre[axis]) < 1e-9;
      return {
        ...item,
        ...words(item, `size ${axis}`, typed),
        size: replaced(item.size, axis, value),
        boxCentre: inMiddle ? item.boxCentre : replaced(item.boxCentre, axis, value / 2 - foot),
      };
    });
  }

  protected footAt(axis: 0 | 1 | 2, { value, typed }: Quantity): void {
    this.edited.emit((item) => ({
      ...item,
      ...words(item, `foot ${axis}`, typed),
      boxCentre: replaced(item.boxCentre, axis, item.size[axis] / 2 - value),
    }));
  }

  protected socket({ value, typed }: Quantity): void {
    this.edited.emit((item) => ({ ...item, socketDepth: { value, ...(typed === undefined ? {} : { typed }) } }));
  }
}
