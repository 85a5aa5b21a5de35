/** One size of the maker's own: typed once from what is on the bench, and given back whole. */
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import {
  figure,
  MATERIALS,
  ownName,
  ownSize,
  PIPE_SYSTEMS,
  showFigure,
  RARER_THREADS,
  THREADS,
  type OwnSize,
} from '@tide-pebble/core';
import { Units } from '../../services/units';
import { QuantityField } from '../figures/quantity-field';
import { fieldsOf, sizeNamed, type SizeField } from './size-fields';

export interface OwnSizeAsked {
  readonly size: OwnSize;
  /** Not kept yet: it starts as a copy of one that is sold, under a name of its own. */
  readonly isNew: boolean;
}

@Component({
  selector: 'tp-own-size-dialog',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatDialogTitle, MatDialogContent, MatDialogActions, MatDialogClose, QuantityField],
  templateUrl: './own-size-dialog.html',
  styleUrl: './own-size-dialog.css',
})
export class OwnSizeDialog {
  private readonly asked = inject<OwnSizeAsked>(MAT_DIALOG_DATA);
  private readonly dialog = inject<MatDialogRef<OwnSizeDialog, OwnSize>>(MatDialogRef);
  private readonly units = inject(Units).now;
  protected readonly isNew = this.asked.isNew;
  protected readonly size = signal<OwnSize>(this.asked.size);
  private readonly typedName = signal(this.asked.isNew ? '' : ownName(this.asked.size));
  protected readonly fields = computed(() => fieldsOf(this.size()));
  protected readonly materials = Object.entries(MATERIALS).map(([id, m]) => ({ id, name: m.name }));
  protected readonly systems = PIPE_SYSTEMS.map(({ id, name }) => ({ id, name }));
  /** A washer fits a diameter, whatever its pitch: the coarse thread of each stands for it. */
  protected readonly threads = [...THREADS, ...RARER_THREADS].filter(
    (t, i, all) => all.findIndex((o) => o.diameter === t.diameter) === i,
  );
  protected readonly material = computed(() => {
    const size = this.size();
    return 'stock' in size ? size.stock.material : size.washer.material;
  });
  protected readonly like = computed(() => {
    const size = this.size();
    return size.kind === 'pipe' ? size.like : null;
  });
  protected readonly bolt = computed(() => {
    const size = this.size();
    if (size.kind !== 'washer') return null;
    return this.threads.find((t) => Math.abs(t.diameter - size.boltDiameter) < 1e-5)?.name ?? '';
  });
  /** What it is called till its maker says: by what it is made of and measures. */
  protected readonly usualName = computed(() => {
    const size = this.size();
    const length = (value: number): string => showFigure(figure('length', value, 1), this.units());
    const made = MATERIALS[this.material()]?.name ?? this.material();
    const sized = this.fields()
      .filter((f) => f.path.startsWith('stock.section') || f.path.endsWith('Radius') || f.path.endsWith('thickness'))
      .map((f) => length(f.value ?? 0))
      .join(' × ');
    return `${made} ${KIND_NAMES[nameKey(size)]} ${sized}, own`;
  });
  protected readonly name = computed(() => this.typedName().trim() || this.usualName());
  private readonly read = computed(() => ownSize.safeParse(sizeNamed(this.size(), this.name())));
  /** What is wrong with a figure, by where it is. */
  protected readonly faults = computed(() => {
    const read = this.read();
    return new Map(read.success ? [] : read.error.issues.map((i) => [i.path.join('.'), i.message] as const));
  });

  protected rename(name: string): void {
    this.typedName.set(name);
  }
  protected change(field: SizeField, value: number | null): void {
    this.size.set(field.with(value));
  }
  protected setMaterial(material: string): void {
    this.size.update((s) =>
      'stock' in s ? { ...s, stock: { ...s.stock, material } } : { ...s, washer: { ...s.washer, material } },
    );
  }
  protected setLike(like: string): void {
    this.size.update((s) => (s.kind === 'pipe' ? { ...s, like } : s));
  }
  protected setBolt(name: string): void {
    const thread = this.threads.find((t) => t.name === name);
    if (thread) this.size.update((s) => (s.kind === 'washer' ? { ...s, boltDiameter: thread.diameter } : s));
  }
  protected keep(): void {
    const read = this.read();
    if (read.success) this.dialog.close(read.data);
  }
}

const nameKey = (size: OwnSize): keyof typeof KIND_NAMES =>
  size.kind === 'stock' ? size.stock.section.kind : size.kind;
const KIND_NAMES = {
  flat: 'flat',
  tube: 'tube',
  square: 'square tube',
  rod: 'rod',
  pipe: 'pipe',
  washer: 'washer',
  disc: 'disc',
} as const;
