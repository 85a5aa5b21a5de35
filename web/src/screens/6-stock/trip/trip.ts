/** Out to the shops: what is missing for one rig or several, by the kind of shop, ticked at the shelf, printed on a page, and put into the bin. */
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatProgressBar } from '@angular/material/progress-bar';
import { RouterLink } from '@angular/router';
import { mdiPrinter } from '@mdi/js';
import { figure, showFigure } from '@tide-pebble/core';
import { bought, type TripFor, type TripLine } from '@tide-pebble/core/making';
import { buyRows } from '../../../export/lists';
import { Documents } from '../../../services/keeping/documents';
import { Following } from '../../../services/following';
import { Jobs } from '../../../services/jobs';
import { Notices } from '../../../services/notices';
import { OwnBag } from '../../../services/own-bag';
import { saveCsv } from '../../../services/save-csv';
import { Units } from '../../../services/units';
import { Workspace } from '../../../services/workspace';
import { FigurePipe } from '../../../ui/figures/figures.pipe';
import { Icon } from '../../../ui/icon';
import { StageLayout } from '../../../ui/stage-layout';
import { howMany } from '../how-many';
import { PickedRigs } from '../picked-rigs';

const NONE: TripFor = { trip: { shops: [], tooLong: [], inBin: [], cost: 0 }, leftOut: [] };

@Component({
  selector: 'tp-shopping-trip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatCheckbox, MatProgressBar, RouterLink, FigurePipe, Icon, StageLayout],
  templateUrl: './trip.html',
  styleUrl: './trip.css',
})
export class ShoppingTrip {
  private readonly workspace = inject(Workspace);
  private readonly documents = inject(Documents);
  private readonly jobs = inject(Jobs);
  private readonly notices = inject(Notices);
  private readonly bag = inject(OwnBag);
  protected readonly units = inject(Units).now;
  protected readonly icons = { print: mdiPrinter };

  protected readonly picked = new PickedRigs();
  private readonly bin = toSignal(this.workspace.bin$, { initialValue: [] });
  private readonly input = computed(() => ({
    ...this.picked.input(),
    bin: this.bin(),
  }));
  private readonly work = new Following(this.input, (input) => this.jobs.run('shopping', input), NONE);
  protected readonly isWorking = this.work.isWorking;
  protected readonly failed = this.work.failed;
  protected readonly found = this.work.found;
  protected readonly shops = computed(() =>
    this.found().trip.shops.map((s) => ({ ...s, left: s.lines.filter((l) => !this.isIn(l)).length })),
  );
  private readonly ticked = computed(() => this.shops().flatMap((s) => s.lines.filter((l) => this.isIn(l))));
  protected readonly inBag = computed(() => ({
    count: this.ticked().length,
    cost: this.ticked().reduce((sum, l) => sum + l.cost, 0),
  }));
  protected readonly isDone = computed(() => this.shops().length > 0 && this.shops().every((s) => s.left === 0));

  protected isIn({ item }: TripLine): boolean {
    return this.bag.now().includes(item);
  }
  protected tick({ item }: TripLine, isIn: boolean): void {
    this.bag.tick(item, isIn);
  }
  protected howMany(line: TripLine): string {
    return howMany(line, this.units());
  }
  /** Which rig wants how many. */
  protected whatFor({ for: wanted, unit, kind }: TripLine): string {
    const many = (n: number): string =>
      unit
        ? `about ${showFigure(figure('mass', n), this.units())}`
        : kind === 'bars'
          ? n === 1
            ? '1 piece'
            : `${n} pieces`
          : `${n}`;
    return wanted.length === 1
      ? `${many(wanted[0]!.needed)} for ${wanted[0]!.rig}`
      : wanted.map((w) => `${many(w.needed)} for ${w.rig}`).join(', ');
  }

  protected intoBin(): void {
    const lines = this.ticked();
    const held = bought(lines, this.bin(), () => crypto.randomUUID());
    this.documents.commit(
      'what was bought',
      held.map((body) => ({ kind: 'bin' as const, id: body.id, body })),
    );
    this.bag.empty();
    this.notices.sayWithUndo(`${lines.length === 1 ? 'One thing lies' : `${lines.length} things lie`} in the bin now.`);
  }

  protected print(): void {
    window.print();
  }

  protected async csv(): Promise<void> {
    const rows = this.found().trip.shops.flatMap((s) =>
      buyRows(s.lines, this.units().currency ?? '').map((row, i) => ({
        shop: s.name,
        ...row,
        for: s.lines[i]!.for.map((f) => f.rig).join(', '),
      })),
    );
    await saveCsv('shopping trip.csv', rows);
  }
}
