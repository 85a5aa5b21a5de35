/** The rig on paper: three views at a stated scale with a bar to check the printer by; the same sheet as PDF, SVG, PNG or DXF. */
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  type ElementRef,
  effect,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { scaleFor, squareOn } from '@tide-pebble/core/making';
import { figure, showFigure } from '@tide-pebble/core';
import { PAPERS } from '@tide-pebble/core/patterns';
import { firstValueFrom } from 'rxjs';
import { FOOT, MARGIN, MM, paperSize, svgOf, type PaperSheet } from '../../../export/svg';
import { OwnPrinter } from '../../../services/own-printer';
import { PatternPaper } from '../../../services/pattern-paper';
import { injectBench } from '../../../services/bench-signal';
import { saveFile } from '../../../services/save-file';
import { Units } from '../../../services/units';
import { NoBench } from '../../../ui/no-bench';
import { today } from '../../../ui/today';

const SCALES = [1, 2, 2.5, 4, 5, 8, 10, 15, 20, 25, 50];

@Component({
  selector: 'tp-print-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, RouterLink, NoBench],
  templateUrl: './print.html',
  styleUrl: './print.css',
})
export class PrintSheet {
  private readonly units = inject(Units).now;
  private readonly writer = inject(PatternPaper);
  protected readonly printer = inject(OwnPrinter);
  protected readonly papers = PAPERS;
  private readonly paper = viewChild<ElementRef<HTMLElement>>('paper');
  protected readonly bench = injectBench();
  protected readonly scales = SCALES;
  protected readonly asked = signal<number | null>(null);

  protected readonly paperNow = computed(() => PAPERS.find((p) => p.id === this.printer.now().paper)!);
  /** Inside the margins of a sheet lying down, m. */
  private readonly room = computed((): readonly [number, number] => {
    const { width, height } = this.paperNow();
    return [height - (2 * MARGIN) / MM, width - (2 * MARGIN + FOOT) / MM];
  });
  private readonly sheet = computed(() => {
    const bench = this.bench();
    return bench ? squareOn(bench.judged.evaluation.pieces) : null;
  });
  protected readonly scale = computed(() => {
    const sheet = this.sheet();
    return this.asked() ?? (sheet ? scaleFor(sheet, this.room()) : null) ?? SCALES.at(-1)!;
  });
  protected readonly size = computed(() => {
    const drawing = this.drawing();
    if (!drawing) return '';
    const [width, height] = paperSize(drawing).map((mm) => mm / MM) as [number, number];
    const shown = [width, height].map((m) => showFigure(figure('length', m, 0), this.units())).join(' × ');
    const { name, width: high, height: wide } = this.paperNow();
    return `${shown} of paper${width <= wide && height <= high ? `, one sheet of ${name} lying down` : `: larger than ${name}, print it as a poster or at a shop`}`;
  });
  private readonly drawing = computed((): PaperSheet | null => {
    const sheet = this.sheet();
    const bench = this.bench();
    return sheet && bench
      ? {
          sheet,
          scale: this.scale(),
          title: `${bench.rig.name}${bench.loadout ? ` with ${bench.loadout.name}` : ''}, ${today()}`,
          units: this.units(),
        }
      : null;
  });
  private readonly svg = computed(() => {
    const drawing = this.drawing();
    return drawing ? svgOf(drawing) : '';
  });
  protected readonly isBusy = signal(false);
  protected readonly failed = signal('');

  constructor() {
    // Our own markup, every name in it escaped: it goes in as it goes to a file.
    effect(() => {
      const host = this.paper()?.nativeElement;
      if (host) host.innerHTML = this.svg();
    });
  }

  protected print(): void {
    window.print();
  }

  protected save(): void {
    saveFile(`${this.file()}.svg`, this.svg(), 'image/svg+xml');
  }

  protected async png(): Promise<void> {
    const drawing = this.drawing();
    if (!drawing) return;
    await this.working(async () => {
      const { pngOf } = await import('../../../export/png');
      const blob = await pngOf(this.svg(), paperSize(drawing));
      saveFile(`${this.file()}.png`, new Uint8Array(await blob.arrayBuffer()), blob.type);
    });
  }

  protected async pdf(): Promise<void> {
    const drawing = this.drawing();
    if (!drawing) return;
    await this.working(async () => {
      const told = await firstValueFrom(this.writer.ask({ drawing, printer: this.printer.now() }));
      if ('file' in told) saveFile(`${this.file()}.pdf`, new Uint8Array(told.file), 'application/pdf');
    });
  }

  protected async dxf(): Promise<void> {
    const sheet = this.sheet();
    if (!sheet) return;
    const { dxfOf } = await import('../../../export/dxf');
    saveFile(`${this.bench()?.rig.name ?? 'rig'}.dxf`, dxfOf(sheet), 'image/vnd.dxf');
  }

  private readonly file = computed(() => `${this.bench()?.rig.name ?? 'rig'} 1-${this.scale()}`);

  private async working(work: () => Promise<void>): Promise<void> {
    this.isBusy.set(true);
    this.failed.set('');
    try {
      await work();
    } catch (fault) {
      this.failed.set(`It could not be written: ${fault instanceof Error ? fault.message : 'unknown'}.`);
    } finally {
      this.isBusy.set(false);
    }
  }
}
