/** The kit: found by name or kind, weighed where it stands; only the rows in sight are drawn, so five hundred are as quick as ten. */
import { CdkFixedSizeVirtualScroll, CdkVirtualForOf, CdkVirtualScrollViewport } from '@angular/cdk/scrolling';
import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { mdiContentCopy, mdiDeleteOutline, mdiExport, mdiImport, mdiPlus } from '@mdi/js';
import { axesKnown, itemFigures, type KitClass, type KitItem } from '@tide-pebble/core';
import {
  TYPICAL_CAMERAS,
  TYPICAL_LENSES,
  TYPICAL_OTHERS,
  typicalItem,
  type TypicalKind,
} from '@tide-pebble/core/measuring';
import { KitFiles } from '../../services/kit-files';
import { LoadBench } from '../../services/load-bench';
import { Pointer } from '../../services/pointer';
import { Units } from '../../services/units';
import { Dialogs } from '../../ui/dialogs';
import { FigurePipe } from '../../ui/figures/figures.pipe';
import { Icon } from '../../ui/icon';
import { nextFrame } from '../../ui/timing/next-frame';
import { Notices } from '../../services/notices';
import { QuantityField } from '../../ui/figures/quantity-field';

@Component({
  selector: 'tp-kit-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    CdkVirtualScrollViewport,
    CdkFixedSizeVirtualScroll,
    CdkVirtualForOf,
    MatButton,
    MatMenu,
    MatMenuItem,
    MatMenuTrigger,
    QuantityField,
    Icon,
    FigurePipe,
  ],
  templateUrl: './kit-list.html',
  styleUrl: './kit-list.css',
})
export class KitList {
  protected readonly load = inject(LoadBench);
  protected readonly pointer = inject(Pointer);
  protected readonly units = inject(Units).now;
  private readonly files = inject(KitFiles);
  private readonly dialogs = inject(Dialogs);
  private readonly notices = inject(Notices);
  /** The item whose sheet is wanted. */
  readonly opened = output<string>();
  protected readonly icons = {
    add: mdiPlus,
    copy: mdiContentCopy,
    remove: mdiDeleteOutline,
    in: mdiImport,
    out: mdiExport,
  };
  protected readonly usualKinds = [...TYPICAL_CAMERAS, ...TYPICAL_LENSES, ...TYPICAL_OTHERS];
  protected readonly rowHeight = 45;
  protected readonly search = signal('');

  private readonly used = computed(() => {
    const used = new Map<string, number>();
    for (const l of this.load.loadouts())
      for (const id of new Set(l.items.map((m) => m.item))) used.set(id, (used.get(id) ?? 0) + 1);
    return used;
  });
  protected readonly items = computed(() => {
    const words = this.search().trim().toLowerCase().split(/\s+/).filter(Boolean);
    return words.length === 0
      ? this.load.kitList()
      : this.load.kitList().filter((item) => words.every((w) => wordsOf(item).includes(w)));
  });

  /** A kit that comes all at once is drawn in two frames: what it stands in, and its rows. */
  private readonly hadSome = nextFrame(
    computed(() => this.load.kit().size > 0),
    () => 'the kit',
  );
  protected readonly drawn = computed(() => (this.hadSome() ? this.items() : []));

  protected readonly byId = (_: number, item: KitItem): string => item.id;
  protected timesUsed = (item: KitItem): number => this.used().get(item.id) ?? 0;
  protected readonly figuresOf = kept(itemFigures);
  protected readonly measuredOf = kept((item) => {
    const axes = axesKnown(item).filter(Boolean).length;
    return axes === 0 ? 'centre guessed' : axes === 3 ? 'balanced' : `balanced along ${axes}`;
  });

  protected add(): void {
    const kind: KitClass = this.load.kitList().some((k) => k.class === 'camera') ? 'other' : 'camera';
    this.opened.emit(this.load.addItem(kind).id);
  }

  /** Guessed by its kind, until it is weighed. */
  protected copyUsual(kind: TypicalKind): void {
    this.opened.emit(this.load.keepItem(typicalItem(kind, crypto.randomUUID())).id);
  }

  protected remove(item: KitItem): void {
    this.load.removeItem(item);
    this.notices.sayWithUndo(`${item.name} is deleted.`);
  }

  protected bringIn(): void {
    void this.dialogs.open(() => import('../../ui/bring-in/bring-in').then((m) => m.BringIn), { width: '900px' });
  }

  protected async takeOut(form: 'kit' | 'loadouts' | 'json'): Promise<void> {
    await this.files.takeOut(form);
  }
}

/** Worked out for an item when it is first asked for: of ten thousand at once it would hold up the page. */
function kept<T extends object | string>(of: (item: KitItem) => T): (item: KitItem) => T {
  const known = new WeakMap<KitItem, T>();
  return (item) => {
    const before = known.get(item);
    if (before !== undefined) return before;
    const now = of(item);
    known.set(item, now);
    return now;
  };
}

const wordsOf = kept((item) => `${item.name.toLowerCase()} ${item.class}`);
