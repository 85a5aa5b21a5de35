/** What else is known of an item: sensor and lens, what goes out with it, a photo and notes. */
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { fieldOfView, focalFor, type KitItem, type Photo, type Quantity } from '@tide-pebble/core';
import { LoadBench } from '../../../../services/load-bench';
import { Photos } from '../../../../services/photos';
import { Units } from '../../../../services/units';
import { FigurePipe } from '../../../../ui/figures/figures.pipe';
import { PhotoField } from '../../../../ui/photo-field';
import { Pick } from '../../../../ui/pick';
import { QuantityField } from '../../../../ui/figures/quantity-field';
import { words, type ItemChange } from '../changes';

@Component({
  selector: 'tp-extras-editor',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, PhotoField, Pick, QuantityField, FigurePipe],
  templateUrl: './extras-editor.html',
  styleUrl: './facts-editor.css',
})
export class ExtrasEditor {
  private readonly load = inject(LoadBench);
  protected readonly photos = inject(Photos);
  protected readonly units = inject(Units).now;
  readonly item = input.required<KitItem>();
  readonly edited = output<ItemChange>();
  protected readonly sees = computed(() => ['camera', 'action camera', 'phone'].includes(this.item().class));
  protected readonly focuses = computed(() => ['lens', 'action camera', 'phone'].includes(this.item().class));
  protected readonly squeezes = computed(() => ['lens', 'filter'].includes(this.item().class));
  /** The item's own sensor, or that of any camera in the kit; the first counts for what is typed. */
  private readonly seeing = computed(() => {
    const { sensor, id, squeeze = 1 } = this.item();
    const cameras = sensor ? [this.item()] : this.load.kitList().filter((k) => k.sensor && k.class === 'camera');
    return cameras.map((k) => ({
      id: k.id,
      on: k.id === id ? '' : ` on ${k.name}`,
      width: (k.sensor!.width / (k.sensor!.crop ?? 1)) * squeeze,
    }));
  });
  protected readonly seenBy = computed(() => this.seeing()[0] ?? null);
  /** Across the picture. */
  protected readonly angles = computed(() => {
    const { focalLength } = this.item();
    return focalLength
      ? this.seeing().map(({ id, on, width }) => ({
          id,
          on,
          wide: fieldOfView(width, focalLength.shortest),
          long: fieldOfView(width, focalLength.longest),
          zoom: focalLength.longest > focalLength.shortest,
        }))
      : [];
  });
  protected readonly focalOf = (angle: number, { width }: { readonly width: number }): number => focalFor(angle, width);
  protected readonly partners = computed(() =>
    this.load.kitList().filter((k) => k.id !== this.item().id && !this.item().goesWith?.includes(k.id)),
  );
  protected readonly tied = computed(() =>
    (this.item().goesWith ?? []).map((id) => ({ id, name: this.load.kit().get(id)?.name ?? 'something that is gone' })),
  );

  /** Width alone is kept with a height in the common 3 to 2; typing the height corrects it. */
  protected sensor(side: 'width' | 'height', { value }: Quantity): void {
    this.edited.emit((item) => ({
      ...item,
      sensor: {
        width: item.sensor?.width ?? value * 1.5,
        height: item.sensor?.height ?? (value * 2) / 3,
        ...item.sensor,
        [side]: value,
      },
    }));
  }

  protected crop(value: number): void {
    this.edited.emit((item) => (item.sensor ? { ...item, sensor: { ...item.sensor, crop: value } } : item));
  }

  protected unseeing(): void {
    this.edited.emit(({ sensor: _sensor, ...item }) => item);
  }

  protected focal(end: 'shortest' | 'longest', { value, typed }: Quantity): void {
    this.edited.emit((item) => {
      const now = item.focalLength ?? { shortest: value, longest: value };
      const fixed = now.shortest === now.longest;
      const next =
        end === 'shortest'
          ? { shortest: value, longest: fixed ? value : Math.max(value, now.longest) }
          : { shortest: Math.min(value, now.shortest), longest: value };
      return { ...item, ...words(item, `focal ${end}`, typed), focalLength: next };
    });
  }

  protected squeeze(value: number): void {
    this.edited.emit((item) => ({ ...item, squeeze: value }));
  }

  protected tie(id: string): void {
    this.edited.emit((item) => ({ ...item, goesWith: [...(item.goesWith ?? []), id].slice(0, 10) }));
  }

  protected untie(id: string): void {
    this.edited.emit((item) => ({ ...item, goesWith: (item.goesWith ?? []).filter((t) => t !== id) }));
  }

  protected notes(notes: string): void {
    this.edited.emit((item) => ({ ...item, notes: notes.slice(0, 2000) }));
  }

  protected photo(photo: Photo): void {
    this.edited.emit((item) => ({ ...item, photo }));
  }

  protected noPhoto(): void {
    this.edited.emit(({ photo: _photo, ...item }) => item);
  }
}
