/** Stock: the cut drawing of each bar with its marks, how the cuts come out of what is sold, what to buy and what it costs. */
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { mdiPrinter } from '@mdi/js';
import { keptAs, type BinItem, type Quantity } from '@tide-pebble/core';
import { barPlans, holeSheets, type BuyLine } from '@tide-pebble/core/making';
import { injectBench } from '../../services/bench-signal';
import { Documents } from '../../services/keeping/documents';
import { Pointer } from '../../services/pointer';
import { saveCsv } from '../../services/save-csv';
import { Units } from '../../services/units';
import { Workspace } from '../../services/workspace';
import { LeftOut } from '../../ui/findings/left-out';
import { FigurePipe, SayPipe } from '../../ui/figures/figures.pipe';
import { Icon } from '../../ui/icon';
import { NoBench } from '../../ui/no-bench';
import { QuantityField } from '../../ui/figures/quantity-field';
import { StageLayout } from '../../ui/stage-layout';
import { BarSheet } from './bar-sheet';
import { OwnSizeList } from './own-size-list';

@Component({
  selector: 'tp-stock',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, LeftOut, StageLayout, BarSheet, OwnSizeList, QuantityField, NoBench, FigurePipe, SayPipe, Icon],
  templateUrl: './stock.html',
  styleUrl: './stock.css',
})
export class Stock {
  private readonly documents = inject(Documents);
  private readonly workspace = inject(Workspace);
  protected readonly pointer = inject(Pointer);
  protected readonly units = inject(Units).now;
  protected readonly icons = { print: mdiPrinter };
  protected readonly bench = injectBench();
  private readonly now = toSignal(this.workspace.stockNow$, { initialValue: { plan: null, isLate: true } });
  protected readonly plan = computed(() => this.now().plan);
  /** The list shown is of the rig before its last change. */
  protected readonly isLate = computed(() => this.now().isLate);
  private readonly bin = toSignal(this.workspace.bin$, { initialValue: [] });
  protected readonly bars = computed(() => {
    const rig = this.bench()?.work.rig;
    return rig ? barPlans(rig) : [];
  });
  /** Holes in plates and fittings, one sheet a piece. */
  protected readonly holes = computed(() => {
    const rig = this.bench()?.work.rig;
    return rig ? holeSheets(rig) : [];
  });
  protected readonly lines = computed(() =>
    (this.plan()?.lines ?? []).map((line) => ({ ...line, held: this.binItem(line.item), key: line.item })),
  );
  protected readonly missing = computed(() => this.lines().some((l) => l.tooLong));
  protected readonly verdict = computed(() => {
    const bench = this.bench();
    const cost = this.plan()?.cost;
    if (!bench || cost === undefined) return '';
    if (this.missing()) return 'What all of it costs is not known till each piece comes out of a length that is sold.';
    const shop = bench.rig.wants.shopPrice;
    if (shop === 0) return 'Type what a ready-made one costs to compare.';
    const left = shop - cost;
    const { design } = bench.rig;
    const typed =
      design.kind === 'family' &&
      this.lines().every((l) => l.buy === 0 || design.edits.some((e) => e.kind === 'price' && e.item === l.item));
    return left >= 0
      ? `Making it saves ${left.toFixed(2)} against the shop${typed ? '' : ', if the stand-in prices are right'}.`
      : `The shop's is ${(-left).toFixed(2)} cheaper than the parts${typed ? '' : ', if the stand-in prices are right'}.`;
  });

  protected have(line: BuyLine, { value }: Quantity): void {
    const held = this.binItem(line.item);
    const body: BinItem = {
      id: held?.id ?? crypto.randomUUID(),
      name: line.item,
      count: Math.round(value),
      lengths: held?.lengths ?? [],
    };
    this.documents.commit(`bin: ${line.item}`, [{ kind: 'bin', id: body.id, body }]);
  }

  protected price(line: BuyLine, { value }: Quantity): void {
    this.workspace.edit(`price of ${line.item}`, {
      kind: 'price',
      id: crypto.randomUUID(),
      item: line.item,
      ...(line.barLength === null ? {} : { length: line.barLength }),
      price: value,
    });
  }

  protected addOffcut(line: BuyLine, { value }: Quantity): void {
    const held = this.binItem(line.item);
    const body: BinItem = {
      id: held?.id ?? crypto.randomUUID(),
      name: line.item,
      count: held?.count ?? 0,
      lengths: [...(held?.lengths ?? []), value],
    };
    this.documents.commit(`offcut of ${line.item}`, [{ kind: 'bin', id: body.id, body }]);
  }

  protected dropOffcut(line: BuyLine, index: number): void {
    const held = this.binItem(line.item);
    if (held)
      this.documents.commit(`offcut of ${line.item}`, [
        { kind: 'bin', id: held.id, body: { ...held, lengths: held.lengths.filter((_, i) => i !== index) } },
      ]);
  }

  protected kerf({ value }: Quantity): void {
    this.workspace.editRig('kerf', (rig) => ({ ...rig, kerf: value }));
  }

  protected shop({ value }: Quantity): void {
    this.workspace.editRig('shop price', (rig) => ({ ...rig, wants: { ...rig.wants, shopPrice: value } }));
  }

  protected print(): void {
    window.print();
  }

  protected async csv(): Promise<void> {
    const rows = this.lines().map((l) => ({
      item: l.item,
      needed: l.unit ? grams(l.needed) : l.needed,
      in_bin: l.unit ? grams(l.inBin) : l.inBin,
      to_buy: l.tooLong ? 'none is long enough' : l.buy,
      sold_by: l.kind === 'bars' ? 'bar' : l.unit ? 'pack, in g' : 'pack',
      bar_length_mm: l.barLength === null ? '' : millimetres(l.barLength),
      pack_of: l.kind === 'packs' ? (l.unit ? grams(l.packOf) : l.packOf) : '',
      price: l.unitPrice,
      cost: Math.round(l.cost * 100) / 100,
    }));
    await saveCsv(`${this.bench()?.rig.name ?? 'rig'} to buy.csv`, rows);
  }

  /** Each piece with its marks from one end, a row a mark. */
  protected async cutsCsv(): Promise<void> {
    const rows = this.bars().flatMap((bar): Readonly<Record<string, string | number>>[] => {
      const piece = {
        piece: bar.name,
        stock: bar.stock,
        cut_length_mm: millimetres(bar.blank),
        finished_length_mm: millimetres(bar.finished),
      };
      const marks = bar.marks.map((m) => ({
        ...piece,
        mark: m.name,
        kind: m.kind,
        from_rear_end_mm: millimetres(m.along),
        hole_diameter_mm: m.diameter ? millimetres(m.diameter) : '',
      }));
      return marks.length > 0 ? marks : [{ ...piece, mark: '', kind: '', from_rear_end_mm: '', hole_diameter_mm: '' }];
    });
    await saveCsv(`${this.bench()?.rig.name ?? 'rig'} cuts.csv`, rows);
  }

  private binItem(item: string): BinItem | undefined {
    return this.bin().find((b) => keptAs(b.name) === keptAs(item));
  }
}

/** To the thousandth: what a file is read back from. */
const millimetres = (metres: number): number => Math.round(metres * 1e6) / 1e3;
const grams = (kilograms: number): number => Math.round(kilograms * 1e4) / 10;
