/** Space that must stay free or be reached: doors, ports, a screen's swing, an eyepiece, room for the hand; sockets and pin holes. */
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { mdiDeleteOutline } from '@mdi/js';
import { CLEARANCE_KINDS, type Clearance, type KitItem, type Quantity } from '@tide-pebble/core';
import { Pointer } from '../../../../services/pointer';
import { Icon } from '../../../../ui/icon';
import { Pick } from '../../../../ui/pick';
import { QuantityField } from '../../../../ui/figures/quantity-field';
import { freshId, replaced, type ItemChange } from '../changes';

/** A start to overtype, m: how much room each kind usually wants. */
const ROOM: Readonly<Record<Clearance['kind'], readonly [number, number, number]>> = {
  'battery door': [0.04, 0.05, 0.04],
  'card door': [0.04, 0.03, 0.04],
  ports: [0.03, 0.05, 0.04],
  'screen swing': [0.02, 0.08, 0.06],
  eyepiece: [0.06, 0.05, 0.05],
  'hand room': [0.07, 0.05, 0.09],
  'tripod socket': [0.007, 0.007, 0.006],
  'pin hole': [0.005, 0.005, 0.005],
};

@Component({
  selector: 'tp-clearances-editor',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon, Pick, QuantityField],
  template: `
    <section aria-label="What must stay free">
      <header>
        <h2>What must stay free</h2>
        <tp-pick label="Add a free space" hint="add one…" [options]="kinds" (picked)="add($event)" />
      </header>
      @for (c of rows(); track c.id) {
        <div
          class="list-row"
          [class.lit]="pointer.at() === c.id"
          (mouseenter)="pointer.point(c.id)"
          (mouseleave)="pointer.point(null)"
        >
          <strong>{{ c.kind }}</strong>
          <span class="note">middle, from the faces</span>
          @for (a of axes; track a.axis) {
            <tp-quantity-field
              class="bare"
              [label]="c.kind + ', ' + a.from"
              [hideLabel]="true"
              [help]="a.from"
              kind="length"
              [decimals]="1"
              [value]="c.fromFace[a.axis]"
              [range]="[-1, 2]"
              (changed)="place(c.id, a.axis, $event)"
            />
          }
          <button
            type="button"
            class="tool"
            [attr.aria-label]="'Delete the free space ' + c.kind"
            (click)="remove(c.id)"
          >
            <tp-icon [path]="icons.remove" />
          </button>
          <span></span>
          <span class="note">room</span>
          @for (a of axes; track a.axis) {
            <tp-quantity-field
              class="bare"
              [label]="c.kind + ', ' + a.size"
              [hideLabel]="true"
              [help]="a.size"
              kind="length"
              [decimals]="1"
              [value]="c.size[a.axis]"
              [range]="[0.001, 1]"
              (changed)="size(c.id, a.axis, $event)"
            />
          }
        </div>
      } @empty {
        <p class="note">
          Battery and card doors, ports, the screen's swing, the eyepiece, the hand's room; and where socket and pin
          hole are.
        </p>
      }
    </section>
  `,
  styleUrl: './list-editor.css',
})
export class ClearancesEditor {
  protected readonly pointer = inject(Pointer);
  readonly item = input.required<KitItem>();
  readonly edited = output<ItemChange>();
  protected readonly icons = { remove: mdiDeleteOutline };
  protected readonly kinds = CLEARANCE_KINDS.map((kind) => ({ id: kind, name: kind }));
  protected readonly axes = [
    { axis: 0, from: 'from the rear', size: 'long' },
    { axis: 1, from: 'from the right', size: 'wide' },
    { axis: 2, from: 'from below', size: 'high' },
  ] as const;
  protected readonly rows = computed(() => {
    const { size, boxCentre, clearances } = this.item();
    return (clearances ?? []).map((c) => ({
      ...c,
      fromFace: c.at.map((x, i) => x - boxCentre[i]! + size[i]! / 2) as [number, number, number],
    }));
  });

  protected add(kind: string): void {
    const found = CLEARANCE_KINDS.find((k) => k === kind);
    if (!found) return;
    this.edited.emit((item) => {
      const now = item.clearances ?? [];
      return {
        ...item,
        clearances: [...now, { id: freshId(found, now), kind: found, at: item.boxCentre, size: ROOM[found] }].slice(
          0,
          20,
        ),
      };
    });
  }

  protected place(id: string, axis: 0 | 1 | 2, { value }: Quantity): void {
    this.edited.emit((item) =>
      this.one(item, id, (c) => ({
        ...c,
        at: replaced(c.at, axis, value - item.size[axis] / 2 + item.boxCentre[axis]),
      })),
    );
  }

  protected size(id: string, axis: 0 | 1 | 2, { value }: Quantity): void {
    this.edited.emit((item) => this.one(item, id, (c) => ({ ...c, size: replaced(c.size, axis, value) })));
  }

  protected remove(id: string): void {
    this.edited.emit((item) => ({ ...item, clearances: (item.clearances ?? []).filter((c) => c.id !== id) }));
  }

  private one(item: KitItem, id: string, change: (c: Clearance) => Clearance): KitItem {
    return { ...item, clearances: (item.clearances ?? []).map((c) => (c.id === id ? change(c) : c)) };
  }
}
