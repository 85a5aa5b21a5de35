/** Where others stand on this item: shoe, flange, thread, slide; each at its place from the foot. */
import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { mdiDeleteOutline, mdiPlus } from '@mdi/js';
import { MOUNT_KINDS, type KitItem, type MountKind, type MountPoint, type Quantity } from '@tide-pebble/core';
import { Pointer } from '../../../../services/pointer';
import { Icon } from '../../../../ui/icon';
import { QuantityField } from '../../../../ui/figures/quantity-field';
import { freshId, replaced, words, type ItemChange } from '../changes';

@Component({
  selector: 'tp-points-editor',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, Icon, QuantityField],
  template: `
    <section aria-label="What others stand on">
      <header>
        <h2>What others stand on</h2>
        <button matButton="outlined" type="button" (click)="add()"><tp-icon [path]="icons.add" /> Add a point</button>
      </header>
      @for (p of item().mountPoints; track p.id) {
        <div
          class="list-row"
          [class.lit]="pointer.at() === p.id"
          (mouseenter)="pointer.point(p.id)"
          (mouseleave)="pointer.point(null)"
        >
          <input
            type="text"
            maxlength="120"
            aria-label="Name of the point"
            [value]="p.name"
            (change)="rename(p.id, $any($event.target).value)"
          />
          <select [attr.aria-label]="'Kind of ' + p.name" (change)="kind(p.id, $any($event.target).value)">
            @for (k of kinds; track k) {
              <option [value]="k" [selected]="k === p.kind">{{ k }}</option>
            }
          </select>
          @for (a of axes; track a.axis) {
            <tp-quantity-field
              class="bare"
              [label]="'Foot to ' + p.name + ', ' + a.word"
              [hideLabel]="true"
              [help]="a.word"
              kind="length"
              [decimals]="1"
              [value]="p.at[a.axis]"
              [range]="[-1, 1]"
              (changed)="place(p.id, a.axis, $event)"
            />
          }
          <button type="button" class="tool" [attr.aria-label]="'Delete the point ' + p.name" (click)="remove(p.id)">
            <tp-icon [path]="icons.remove" />
          </button>
        </div>
      } @empty {
        <p class="note">Nothing stands on it. Add a point if something does, a plate on a plate, say.</p>
      }
    </section>
  `,
  styleUrl: './list-editor.css',
})
export class PointsEditor {
  protected readonly pointer = inject(Pointer);
  readonly item = input.required<KitItem>();
  readonly edited = output<ItemChange>();
  protected readonly icons = { add: mdiPlus, remove: mdiDeleteOutline };
  protected readonly kinds = MOUNT_KINDS;
  protected readonly axes = [
    { axis: 0, word: 'forward' },
    { axis: 1, word: 'to the left' },
    { axis: 2, word: 'up' },
  ] as const;

  protected add(): void {
    this.edited.emit((item) => {
      const name = `point ${item.mountPoints.length + 1}`;
      const point: MountPoint = { id: freshId(name, item.mountPoints), name, kind: 'thread', at: [0, 0, item.size[2]] };
      return { ...item, mountPoints: [...item.mountPoints, point].slice(0, 20) };
    });
  }

  protected rename(id: string, name: string): void {
    if (name.trim()) this.change(id, (p) => ({ ...p, name: name.trim().slice(0, 120) }));
  }

  protected kind(id: string, kind: string): void {
    this.change(id, (p) => ({ ...p, kind: kind as MountKind }));
  }

  protected place(id: string, axis: 0 | 1 | 2, { value, typed }: Quantity): void {
    this.edited.emit((item) => ({
      ...item,
      ...words(item, `${id} ${axis}`, typed),
      mountPoints: item.mountPoints.map((p) => (p.id === id ? { ...p, at: replaced(p.at, axis, value) } : p)),
    }));
  }

  protected remove(id: string): void {
    this.edited.emit((item) => ({ ...item, mountPoints: item.mountPoints.filter((p) => p.id !== id) }));
  }

  private change(id: string, change: (p: MountPoint) => MountPoint): void {
    this.edited.emit((item) => ({ ...item, mountPoints: item.mountPoints.map((p) => (p.id === id ? change(p) : p)) }));
  }
}
