/** The rig on paper: three views at a stated scale with a bar to check the printer by; the same sheet as SVG or DXF. */
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
import { paperSize, svgOf } from '../../../export/svg';
import { injectBench } from '../../../services/bench-signal';
import { saveFile } from '../../../services/save-file';
import { Units } from '../../../services/units';
import { NoBench } from '../../../ui/no-bench';

const SCALES = [1, 2, 2.5, 4, 5, 8, 10, 15, 20, 25, 50];
/** Room inside the margins of an A4 sheet lying down, m. */
const A4: readonly [number, number] = [0.267, 0.155];

@Component({
  selector: 'tp-print-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, RouterLink, NoBench],
  templateUrl: './print.html',
  styleUrl: './print.css',
})
export class PrintSheet {
  private readonly units = inject(Units).now;
  private readonly paper = viewChild<ElementRef<HTMLElement>>('paper');
  protected readonly bench = injectBench();
  protected readonly scales = SCALES;
  protected readonly asked = signal<number | null>(null);

  private readonly sheet = computed(() => {
    const bench = this.bench();
    return bench ? squareOn(bench.judged.evaluation.pieces) : null;
  });
  protected readonly scale = computed(() => {
    const sheet = this.sheet();
    return this.asked() ?? (sheet ? scaleFor(sheet, A4) : null) ?? SCALES.at(-1)!;
  });
  protected readonly size = computed(() => {
    const sheet = this.sheet();
    if (!sheet) return '';
    const [width, height] = paperSize({ sheet, scale: this.scale() });
    return `${Math.ceil(width)} × ${Math.ceil(height)} mm of paper${width <= 297 && height <= 210 ? ', one A4 sheet lying down' : ': larger than A4, print it as a poster or at a shop'}`;
  });
  private readonly svg = computed(() => {
    const sheet = this.sheet();
    const bench = this.bench();
    return sheet && bench
      ? svgOf({
          sheet,
          scale: this.scale(),
          title: `${bench.rig.name}${bench.loadout ? ` with ${bench.loadout.name}` : ''}`,
          units: this.units(),
        })
      : '';
  });

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
    saveFile(`${this.bench()?.rig.name ?? 'rig'} 1-${this.scale()}.svg`, this.svg(), 'image/svg+xml');
  }

  protected async dxf(): Promise<void> {
    const sheet = this.sheet();
    if (!sheet) return;
    const { dxfOf } = await import('../../../export/dxf');
    saveFile(`${this.bench()?.rig.name ?? 'rig'}.dxf`, dxfOf(sheet), 'image/vnd.dxf');
  }
}
