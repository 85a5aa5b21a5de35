/** Patterns at full size: what is to be laid on the work, looked at, picked, and saved as a PDF true to size, or one by one as SVG and DXF. */
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { RouterLink } from '@angular/router';
import { mdiFileDownloadOutline } from '@mdi/js';
import type { Quantity } from '@tide-pebble/core';
import { BAR, PAPERS, type Laid, type Pages, type Pattern, type PaperSize } from '@tide-pebble/core/patterns';
import { catchError, map, of, startWith, switchMap, type Observable } from 'rxjs';
import { patternSvg } from '../../../export/patterns/pattern-svg';
import { injectBench } from '../../../services/bench-signal';
import { OwnCope } from '../../../services/own-cope';
import { OwnPrinter } from '../../../services/own-printer';
import { PatternPaper } from '../../../services/pattern-paper';
import { Pointer } from '../../../services/pointer';
import { saveFile } from '../../../services/save-file';
import { Units } from '../../../services/units';
import { SayPipe } from '../../../ui/figures/figures.pipe';
import { QuantityField } from '../../../ui/figures/quantity-field';
import { Icon } from '../../../ui/icon';
import { NoBench } from '../../../ui/no-bench';
import { StageLayout } from '../../../ui/stage-layout';
import { CopeForm } from './cope-form';
import { Jigs } from './jigs';
import { PatternPicture } from './pattern-picture';

type Asked = { readonly kind: 'drawing' } | { readonly kind: 'failed'; readonly reason: string } | Pages;
const DRAWING: Asked = { kind: 'drawing' };

@Component({
  selector: 'tp-pattern-sheets',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    MatButton,
    MatCheckbox,
    RouterLink,
    SayPipe,
    QuantityField,
    Icon,
    NoBench,
    StageLayout,
    CopeForm,
    Jigs,
    PatternPicture,
  ],
  templateUrl: './patterns.html',
  styleUrl: './patterns.css',
})
export class PatternSheets {
  private readonly paper = inject(PatternPaper);
  private readonly ownPrinter = inject(OwnPrinter);
  private readonly ownCope = inject(OwnCope);
  protected readonly pointer = inject(Pointer);
  protected readonly units = inject(Units).now;
  protected readonly bench = injectBench();
  protected readonly icons = { save: mdiFileDownloadOutline };
  protected readonly papers = PAPERS;
  protected readonly printer = this.ownPrinter.now;
  protected readonly bar = BAR;

  /** Ids of those left out. */
  private readonly without = signal<readonly string[]>([]);
  private readonly asked = computed(() => {
    const bench = this.bench();
    return bench
      ? { assembly: bench.work.assembly, printer: this.printer(), without: this.without(), cope: this.ownCope.now() }
      : null;
  });
  private readonly answer = toSignal(
    toObservable(this.asked).pipe(
      switchMap((asked): Observable<Asked> => {
        if (!asked) return of(DRAWING);
        return this.paper.ask(asked).pipe(
          map((told): Asked => ('pages' in told ? told.pages : DRAWING)),
          catchError((fault: Error) => of<Asked>({ kind: 'failed', reason: fault.message })),
          startWith(DRAWING),
        );
      }),
    ),
    { initialValue: DRAWING },
  );
  /** Why nothing can be printed. */
  protected readonly fault = computed(() => {
    const answer = this.answer();
    return answer.kind === 'noRoom'
      ? answer.why
      : answer.kind === 'failed'
        ? [`The patterns could not be drawn: ${answer.reason}.`]
        : null;
  });
  /** What was laid last stays while it is laid anew, so that the list does not jump. */
  private lastLaid: readonly Laid[] = [];
  protected readonly laid = computed(() => {
    const answer = this.answer();
    if (answer.kind === 'laid') this.lastLaid = answer.patterns;
    return this.lastLaid;
  });
  protected readonly sheets = computed(() => {
    const answer = this.answer();
    return answer.kind === 'laid' ? answer.sheets : null;
  });
  protected readonly isDrawing = computed(() => this.answer().kind === 'drawing');
  protected readonly isScaled = computed(() => this.printer().measured.some((m) => m !== BAR));

  protected readonly saving = signal(false);
  protected readonly saveFault = signal('');

  protected isWanted(pattern: Pattern): boolean {
    return !this.without().includes(pattern.id);
  }
  protected want(pattern: Pattern, wanted: boolean): void {
    this.without.update((ids) => [...ids.filter((id) => id !== pattern.id), ...(wanted ? [] : [pattern.id])]);
  }

  protected whereTo({ fragments }: Laid): string {
    if (fragments.length === 0) return 'not printed';
    const sheets = [...new Set(fragments.map((f) => f.sheet + 1))].sort((a, b) => a - b);
    const on = `${sheets.length === 1 ? 'sheet' : 'sheets'} ${AND.format(sheets.map(String))}`;
    return fragments.length === 1 ? on : `in ${fragments.length} parts, on ${on}`;
  }

  protected choosePaper(paper: string): void {
    this.ownPrinter.set({ paper: paper as PaperSize['id'] });
  }
  protected margin({ value }: Quantity): void {
    this.ownPrinter.set({ margin: value });
  }
  protected measured(way: 0 | 1, { value }: Quantity): void {
    const [x, y] = this.printer().measured;
    this.ownPrinter.set({ measured: way === 0 ? [value, y] : [x, value] });
  }

  protected pdf(): void {
    const asked = this.asked();
    if (!asked || this.saving()) return;
    const name = this.bench()!.rig.name;
    this.saving.set(true);
    this.saveFault.set('');
    this.paper.ask({ ...asked, file: { name, units: this.units() } }).subscribe({
      next: (told) => {
        this.saving.set(false);
        if ('file' in told) saveFile(`${name} patterns.pdf`, new Uint8Array(told.file), 'application/pdf');
      },
      error: (fault: Error) => {
        this.saving.set(false);
        this.saveFault.set(`The file could not be made: ${fault.message}.`);
      },
    });
  }
  protected svg({ pattern, number }: Laid): void {
    saveFile(`${this.fileName(number)}.svg`, patternSvg(pattern, this.units()), 'image/svg+xml');
  }
  protected async dxf({ pattern, number }: Laid): Promise<void> {
    const { patternDxf } = await import('../../../export/patterns/pattern-dxf');
    saveFile(`${this.fileName(number)}.dxf`, patternDxf(pattern, this.units()), 'image/vnd.dxf');
  }
  private fileName(number: number): string {
    return `${this.bench()?.rig.name ?? 'rig'} pattern ${number}`;
  }
}
const AND = new Intl.ListFormat('en-GB', { type: 'conjunction' });
