/** Plates and boards out of as few sheets as can be: drawn where they lie, proven least or with what is not known. */
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatProgressBar } from '@angular/material/progress-bar';
import { RouterLink } from '@angular/router';
import { figure, say, showFigure, type Phrase } from '@tide-pebble/core';
import type { SheetPlan, SheetsFor, SheetSize } from '@tide-pebble/core/making';
import { Following } from '../../../services/following';
import { Jobs } from '../../../services/jobs';
import { OwnSheets } from '../../../services/own-sheets';
import { saveCsv } from '../../../services/save-csv';
import { Units } from '../../../services/units';
import { FigurePipe, SayPipe } from '../../../ui/figures/figures.pipe';
import { QuantityField } from '../../../ui/figures/quantity-field';
import { StageLayout } from '../../../ui/stage-layout';
import { PickedRigs } from '../picked-rigs';

const NONE: SheetsFor = { plans: [], leftOut: [] };
/** A picture is so wide, in its own units: millimetres of a usual sheet. */
const WIDE = 300;

@Component({
  selector: 'tp-out-of-sheets',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatCheckbox, MatProgressBar, RouterLink, FigurePipe, SayPipe, QuantityField, StageLayout],
  templateUrl: './sheets.html',
  styleUrl: './sheets.css',
})
export class OutOfSheets {
  private readonly jobs = inject(Jobs);
  private readonly own = inject(OwnSheets);
  protected readonly units = inject(Units).now;

  protected readonly picked = new PickedRigs();
  private readonly input = computed(() => ({
    ...this.picked.input(),
    sizes: this.own.now(),
  }));
  private readonly work = new Following(this.input, (input) => this.jobs.run('sheets', input), NONE);
  protected readonly isWorking = this.work.isWorking;
  protected readonly failed = this.work.failed;
  protected readonly found = this.work.found;
  protected readonly shown = computed(() =>
    this.found().plans.map((plan) => ({
      plan,
      verdict: verdictOf(plan),
      tooLarge: plan.nest.kind === 'noSolution' ? plan.nest.tooLarge.map((i) => plan.need.pieces[i]!) : [],
      sheets: this.drawn(plan),
    })),
  );

  protected size({ need, size }: SheetPlan, part: Partial<SheetSize>): void {
    this.own.put(need.id, { ...size, ...part });
  }
  protected print(): void {
    globalThis.print();
  }
  protected async csv(): Promise<void> {
    const mm = (metres: number): number => Math.round(metres * 1e5) / 100;
    const rows = this.found().plans.flatMap(({ need, nest }) =>
      nest.kind === 'nested'
        ? nest.layout.map((spot) => {
            const piece = need.pieces[spot.piece]!;
            return {
              sheet: `${need.name} ${mm(need.thickness)} mm, ${spot.sheet + 1}`,
              piece: piece.name,
              rig: piece.rig,
              along_mm: mm(spot.turned ? piece.height : piece.width),
              across_mm: mm(spot.turned ? piece.width : piece.height),
              from_left_mm: mm(spot.x),
              from_bottom_mm: mm(spot.y),
            };
          })
        : [],
    );
    await saveCsv('out of sheets.csv', rows);
  }

  /** Each sheet as seen from above, its lower left corner at the left below. */
  private drawn({ need, nest, size }: SheetPlan) {
    if (nest.kind !== 'nested') return [];
    const scale = WIDE / size.width;
    const high = size.height * scale;
    return Array.from({ length: nest.sheets }, (_, sheet) => ({
      sheet,
      viewBox: `-2 -2 ${WIDE + 4} ${high + 4}`,
      high,
      pieces: nest.layout
        .filter((s) => s.sheet === sheet)
        .map((s) => {
          const piece = need.pieces[s.piece]!;
          const [w, h] = s.turned ? [piece.height, piece.width] : [piece.width, piece.height];
          const size = `${showFigure(figure('length', piece.width), this.units())} × ${showFigure(figure('length', piece.height), this.units())}`;
          return {
            key: s.piece,
            name: piece.name,
            size,
            rig: piece.rig,
            at: say`${figure('length', s.x)} from the left, ${figure('length', s.y)} from below`,
            x: s.x * scale,
            y: high - (s.y + h) * scale,
            width: w * scale,
            height: h * scale,
          };
        }),
    }));
  }
}

function verdictOf({ nest, need, size }: SheetPlan): Phrase {
  if (nest.kind === 'noSolution')
    return say`Not out of a sheet of ${figure('length', size.width)} × ${figure('length', size.height)}.`;
  const sheets = nest.sheets === 1 ? say`One sheet` : say`${figure('count', nest.sheets)} sheets`;
  const used = say`, ${figure('percent', nest.usedShare, 0)} of ${nest.sheets === 1 ? 'it' : 'them'} becomes pieces`;
  const proof =
    nest.atLeast === nest.sheets
      ? nest.sheets === 1
        ? say`.`
        : say`: fewer cannot hold them.`
      : say`: whether ${figure('count', nest.atLeast)} would do is not known.`;
  return [...sheets, ...used, ...proof, ...(need.hasGrain ? say` The grain runs along the sheet.` : [])];
}
