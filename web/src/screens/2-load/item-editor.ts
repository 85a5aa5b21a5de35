/** One kit item: its kind, its box, where its foot is, its lens or sensor, and the way to its mass centre. */
import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { KIT_CLASSES, type KitItem, type Quantity } from '@tide-pebble/core';
import { QuantityField } from '../../ui/quantity-field';
import { EdgeBalance } from './edge-balance';
import { withClass } from './new-item';

@Component({
  selector: 'tp-item-editor',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [QuantityField, EdgeBalance],
  templateUrl: './item-editor.html',
  styleUrl: './item-editor.css',
})
export class ItemEditor {
  readonly item = input.required<KitItem>();
  /** A change, to be made to the item as it is by then: two quick edits never undo each other. */
  readonly edited = output<(item: KitItem) => KitItem>();
  protected readonly classes = KIT_CLASSES;

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
    this.edited.emit((item) => withClass(item, kind as KitItem['class']));
  }

  /** The foot stays where it was measured from; the box grows the other way. */
  protected size(axis: 0 | 1 | 2, { value, typed }: Quantity): void {
    this.edited.emit((item) => {
      const foot = item.size[axis] / 2 - item.boxCentre[axis];
      const inMiddle = Math.abs(item.boxCentre[axis]) < 1e-9;
      return { ...item, ...words(item, `size ${axis}`, typed), size: replaced(item.size, axis, value), boxCentre: inMiddle ? item.boxCentre : replaced(item.boxCentre, axis, value / 2 - foot) };
    });
  }

  protected footAt(axis: 0 | 1 | 2, { value, typed }: Quantity): void {
    this.edited.emit((item) => ({ ...item, ...words(item, `foot ${axis}`, typed), boxCentre: replaced(item.boxCentre, axis, item.size[axis] / 2 - value) }));
  }

  protected focal({ value, typed }: Quantity): void {
    this.edited.emit((item) => ({ ...item, ...words(item, 'focal length', typed), focalLength: { shortest: value, longest: value } }));
  }

  protected point(id: string, axis: 0 | 1 | 2, { value, typed }: Quantity): void {
    this.edited.emit((item) => ({ ...item, ...words(item, `${id} ${axis}`, typed), mountPoints: item.mountPoints.map((p) => (p.id === id ? { ...p, at: replaced(p.at, axis, value) } : p)) }));
  }
}

/** What was typed, kept beside the figure in SI. */
const words = (item: KitItem, name: string, typed: string | undefined): Pick<KitItem, 'typed'> => (typed === undefined ? {} : { typed: { ...item.typed, [name]: typed } });

function replaced(v: readonly [number, number, number], axis: 0 | 1 | 2, value: number): [number, number, number] {
  return v.map((x, i) => (i === axis ? value : x)) as [number, number, number];
}
