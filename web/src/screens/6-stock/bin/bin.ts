/** Your bin: what lies at hand and where, which rigs want it, what is built into the rig on the bench and what of it would come back. */
import { CdkFixedSizeVirtualScroll, CdkVirtualForOf, CdkVirtualScrollViewport } from '@angular/cdk/scrolling';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { RouterLink } from '@angular/router';
import { mdiDeleteOutline } from '@mdi/js';
import { figure, keptAs, LENGTHS_AT_MOST, showFigure, type BinItem } from '@tide-pebble/core';
import type { StaysOut, TripFor, TripLine } from '@tide-pebble/core/making';
import { injectBench } from '../../../services/bench-signal';
import { Following } from '../../../services/following';
import { Jobs } from '../../../services/jobs';
import { Documents } from '../../../services/keeping/documents';
import { Ledger } from '../../../services/ledger';
import { Notices } from '../../../services/notices';
import { saveCsv } from '../../../services/save-csv';
import { Units } from '../../../services/units';
import { Workspace } from '../../../services/workspace';
import { Dialogs } from '../../../ui/dialogs';
import { QuantityField } from '../../../ui/figures/quantity-field';
import { Icon } from '../../../ui/icon';
import { StageLayout } from '../../../ui/stage-layout';
import { PickedRigs } from '../picked-rigs';

const NONE: TripFor = { trip: { shops: [], tooLong: [], inBin: [], cost: 0 }, leftOut: [] };
const BY_NAME = new Intl.Collator(undefined, { numeric: true });
const WHY: Readonly<Record<StaysOut, string>> = {
  held: 'held by glue, solder or a weld',
  shaped: 'bent or sawn to shape',
  usedUp: 'used up',
};

@Component({
  selector: 'tp-bin',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    CdkVirtualScrollViewport,
    CdkFixedSizeVirtualScroll,
    CdkVirtualForOf,
    MatButton,
    MatCheckbox,
    RouterLink,
    QuantityField,
    Icon,
    StageLayout,
  ],
  templateUrl: './bin.html',
  styleUrl: './bin.css',
})
export class Bin {
  private readonly documents = inject(Documents);
  private readonly jobs = inject(Jobs);
  private readonly ledger = inject(Ledger);
  private readonly notices = inject(Notices);
  private readonly dialogs = inject(Dialogs);
  private readonly units = inject(Units).now;
  protected readonly icons = { remove: mdiDeleteOutline };
  protected readonly rowHeight = 92;
  protected readonly bench = injectBench();
  protected readonly picked = new PickedRigs();
  protected readonly bin = toSignal(inject(Workspace).bin$, { initialValue: [] });
  protected readonly search = signal('');
  /** Typed and not added yet. */
  protected readonly named = signal('');
  protected readonly long = signal<number | null>(null);
  protected readonly refused = signal('');

  private readonly work = new Following(
    computed(() => ({ ...this.picked.input(), bin: this.bin() })),
    (input) => this.jobs.run('shopping', input),
    NONE,
  );
  private readonly wanted = computed((): ReadonlyMap<string, TripLine> => {
    const { shops, tooLong, inBin } = this.work.found().trip;
    return new Map([...shops.flatMap((s) => s.lines), ...tooLong, ...inBin].map((l) => [keptAs(l.item), l]));
  });
  protected readonly rows = computed(() => {
    const words = this.search().trim().toLowerCase().split(/\s+/).filter(Boolean);
    return this.bin()
      .filter((b) => words.every((w) => `${b.name} ${b.place ?? ''}`.toLowerCase().includes(w)))
      .sort((a, b) => BY_NAME.compare(a.name, b.name));
  });

  protected readonly builtIn = computed(() => {
    const bench = this.bench();
    if (!bench?.rig.taken) return null;
    const { back, kept } = this.ledger.apart(bench);
    return {
      back: back.map(({ item, count, lengths }) => ({ item, much: this.much(count, lengths) })),
      kept: kept.map(({ item, count, why }) => ({ item, much: `${count}`, why: WHY[why] })),
    };
  });

  protected readonly byId = (_: number, item: BinItem): string => item.id;

  protected much(count: number, lengths: readonly number[]): string {
    const told = [...lengths].sort((a, b) => b - a).map((l) => showFigure(figure('length', l, 0), this.units()));
    return [...(count > 0 || told.length === 0 ? [`${count}`] : []), ...told].join(', ');
  }
  /** Who wants it of the rigs that are picked, and whether there is enough for all. */
  protected wants({ name, count }: BinItem): { readonly told: string; readonly isShort: boolean } {
    const line = this.wanted().get(keptAs(name));
    if (!line || line.for.length === 0) return { told: '', isShort: false };
    const amount = (n: number): string => (line.unit ? showFigure(figure('mass', n), this.units()) : `${n}`);
    const short = line.kind === 'packs' && !line.unit ? Math.max(0, line.needed - count) : 0;
    const of = line.for.map((f) => `${amount(f.needed)} for ${f.rig}`).join(', ');
    return { told: `${of}${short > 0 ? `; ${short} short` : ''}`, isShort: short > 0 };
  }

  protected put(item: BinItem, change: Partial<BinItem>): void {
    this.keep(`bin: ${item.name}`, { ...item, ...change });
  }
  /** Nothing typed: nothing is kept of it. */
  protected place(item: BinItem, text: string): void {
    const { place: _, ...rest } = item;
    const place = text.trim();
    this.keep(`where ${item.name} lies`, place ? { ...rest, place } : rest);
  }
  protected dropLength(item: BinItem, at: number): void {
    this.put(item, { lengths: item.lengths.filter((_, i) => i !== at) });
  }
  protected shown(length: number): string {
    return showFigure(figure('length', length), this.units());
  }
  protected remove(item: BinItem): void {
    this.documents.commit(`bin: ${item.name}`, [{ kind: 'bin', id: item.id, body: null }]);
    this.notices.sayWithUndo(`${item.name} is out of the bin.`);
  }
  protected add(): void {
    const name = this.named().trim();
    if (!name) return this.refused.set('Type what it is, as the list of what to buy calls it.');
    const there = this.bin().find((b) => keptAs(b.name) === keptAs(name));
    const length = this.long();
    if (there && length === null) {
      this.search.set(there.name);
      return this.refused.set('It lies there already: count it above, or type a length of it.');
    }
    if (there && there.lengths.length >= LENGTHS_AT_MOST)
      return this.refused.set(`It has ${LENGTHS_AT_MOST} lengths: take one out first.`);
    this.refused.set('');
    this.named.set('');
    this.long.set(null);
    const item = there ?? { id: crypto.randomUUID(), name, count: length === null ? 1 : 0, lengths: [] };
    this.keep(`bin: ${name}`, { ...item, lengths: length === null ? item.lengths : [...item.lengths, length] });
  }

  protected takeApart(): void {
    const bench = this.bench();
    if (bench) this.ledger.takeApart(bench);
  }

  protected async csv(): Promise<void> {
    const { binRow } = await import('@tide-pebble/core/tables');
    await saveCsv('bin.csv', this.rows().map(binRow));
  }
  protected bringIn(): void {
    void this.dialogs.open(() => import('../../../ui/bring-in/bring-in').then((m) => m.BringIn), {
      data: 'bin',
      width: '900px',
    });
  }

  private keep(label: string, body: BinItem): void {
    this.documents.commit(label, [{ kind: 'bin', id: body.id, body }]);
  }
}
