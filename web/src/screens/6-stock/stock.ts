/** Stock: the cut drawing of each bar with its marks, how the cuts come out of what is sold, what to buy and what it costs. */
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { RouterLink } from '@angular/router';
import { mdiPrinter } from '@mdi/js';
import { figure, keptAs, showFigure, type BinItem, type Quantity } from '@tide-pebble/core';
import { barPlans, holeSheets, isDone, type BuyLine } from '@tide-pebble/core/making';
import { filter, firstValueFrom } from 'rxjs';
import { injectBench } from '../../services/bench-signal';
import { Documents } from '../../services/keeping/documents';
import { Pointer } from '../../services/pointer';
import { buyRows, cutRows, holeRows, setUpRows, stepRows, type List } from '../../export/lists';
import { BuildPlans } from '../../services/building';
import { saveCsv } from '../../services/save-csv';
import { saveWorkbook } from '../../services/save-workbook';
import { LONGEST_CURRENCY, Units } from '../../services/units';
import { Workspace } from '../../services/workspace';
import { LeftOut } from '../../ui/findings/left-out';
import { FigurePipe, SayPipe } from '../../ui/figures/figures.pipe';
import { Icon } from '../../ui/icon';
import { NoBench } from '../../ui/no-bench';
import { QuantityField } from '../../ui/figures/quantity-field';
import { StageLayout } from '../../ui/stage-layout';
import { BarSheet } from './bar-sheet';
import { lineTold } from './how-many';
import { OwnSizeList } from './own-size-list';

@Component({
  selector: 'tp-stock',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    MatButton,
    MatMenu,
    MatMenuItem,
    MatMenuTrigger,
    RouterLink,
    LeftOut,
    StageLayout,
    BarSheet,
    OwnSizeList,
    QuantityField,
    NoBench,
    FigurePipe,
    SayPipe,
    Icon,
  ],
  templateUrl: './stock.html',
  styleUrl: './stock.css',
})
export class Stock {
  private readonly documents = inject(Documents);
  private readonly workspace = inject(Workspace);
  protected readonly pointer = inject(Pointer);
  protected readonly money = inject(Units);
  protected readonly units = this.money.now;
  protected readonly icons = { print: mdiPrinter };
  protected readonly bench = injectBench();
  private readonly now = toSignal(this.workspace.stockNow$, { initialValue: { plan: null, isLate: true } });
  protected readonly plan = computed(() => this.now().plan);
  /** The list shown is of the rig before its last change. */
  protected readonly isLate = computed(() => this.now().isLate);
  private readonly bin = toSignal(this.workspace.bin$, { initialValue: [] });
  private readonly loadouts = toSignal(this.workspace.loadouts$, { initialValue: [] });
  private readonly setups = toSignal(this.workspace.setups$, { initialValue: [] });
  private readonly plans = inject(BuildPlans);
  protected readonly isWriting = signal(false);
  protected readonly longestCurrency = LONGEST_CURRENCY;
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
      ? `Making it saves ${this.priced(left)} against the shop${typed ? '' : ', if the stand-in prices are right'}.`
      : `The shop's is ${this.priced(-left)} cheaper than the parts${typed ? '' : ', if the stand-in prices are right'}.`;
  });

  protected told(line: BuyLine): string {
    return lineTold(line, this.units());
  }
  private priced(amount: number): string {
    return showFigure(figure('money', amount), this.units());
  }

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
    await saveCsv(`${this.name()} to buy.csv`, this.buy());
  }

  protected async cutsCsv(): Promise<void> {
    await saveCsv(`${this.name()} cuts.csv`, cutRows(this.bars()));
  }

  /** All lists of the rig in one file. */
  protected async workbook(): Promise<void> {
    const bench = this.bench();
    if (!bench) return;
    const { rig, work } = bench;
    const loadouts = new Map(this.loadouts().map((l) => [l.id, l.name]));
    const setUps = this.setups()
      .filter((s) => s.rig === rig.id)
      .map((s) => ({ name: loadouts.get(s.loadout) ?? 'nothing mounted', values: s.values }));
    this.isWriting.set(true);
    try {
      const building = await firstValueFrom(this.plans.plan$.pipe(filter((b) => b.kind !== 'working')));
      const lists: readonly List[] = [
        { name: 'To buy', rows: this.buy() },
        { name: 'Cuts', rows: cutRows(this.bars()) },
        { name: 'Holes', rows: holeRows(this.holes()) },
        {
          name: 'Steps',
          rows:
            building.kind === 'planned' && building.plan.ordered.kind === 'ordered'
              ? stepRows(building.plan.ordered.steps, (s) => isDone(rig.done, s))
              : [],
        },
        { name: 'Set-ups', rows: setUpRows(work.rig.adjusters, setUps) },
      ];
      await saveWorkbook(
        `${rig.name}.xlsx`,
        lists.filter((l) => l.rows.length > 0),
      );
    } finally {
      this.isWriting.set(false);
    }
  }

  private readonly name = computed(() => this.bench()?.rig.name ?? 'rig');
  private readonly buy = computed(() => buyRows(this.lines(), this.units().currency ?? ''));

  private binItem(item: string): BinItem | undefined {
    return this.bin().find((b) => keptAs(b.name) === keptAs(item));
  }
}
