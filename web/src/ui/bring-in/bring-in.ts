/** Bring kit and loadouts, or the bin, in: from a file or a paste, columns matched, every row shown with what it would do; nothing is taken before Accept. */
import { CdkFixedSizeVirtualScroll, CdkVirtualForOf, CdkVirtualScrollViewport } from '@angular/cdk/scrolling';
import { ChangeDetectionStrategy, Component, computed, inject, signal, type OnDestroy } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import {
  BIN_COLUMNS,
  KIT_COLUMNS,
  LOADOUT_COLUMNS,
  USUAL_OPTIONS,
  type Matched,
  type Standing,
  type TableOptions,
} from '@tide-pebble/core/tables';
import type { Subscription } from 'rxjs';
import { Documents } from '../../services/keeping/documents';
import { Jobs } from '../../services/jobs';
import { LoadBench } from '../../services/load-bench';
import { Units } from '../../services/units';
import { FigurePipe } from '../figures/figures.pipe';
import { Notices } from '../../services/notices';
import type { TableInput, TableOutcome, TableRow } from '../../workers/read-table';

const WORDS: Readonly<Record<Standing, string>> = {
  new: 'new',
  changes: 'changes',
  same: 'here already',
  refused: 'not taken',
};
const SEPARATORS: Readonly<Record<string, string>> = { ',': 'commas', ';': 'semicolons', '\t': 'tabs', '|': 'bars' };

/** How a table of each kind is told, its columns, and the one without which nothing can be read. */
const OF = {
  kit: { name: 'kit', columns: KIT_COLUMNS, needs: 'name', missing: 'Say which column holds the names.' },
  loadout: {
    name: 'loadouts',
    columns: LOADOUT_COLUMNS,
    needs: 'loadout',
    missing: 'Say which column names the loadout.',
  },
  bin: { name: 'the bin', columns: BIN_COLUMNS, needs: 'item', missing: 'Say which column says what it is.' },
} as const;
export type Into = TableInput['into'];

@Component({
  selector: 'tp-bring-in',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    CdkVirtualScrollViewport,
    CdkFixedSizeVirtualScroll,
    CdkVirtualForOf,
    MatButton,
    MatDialogTitle,
    MatDialogContent,
    MatDialogActions,
    FigurePipe,
  ],
  templateUrl: './bring-in.html',
  styleUrl: './bring-in.css',
})
export class BringIn implements OnDestroy {
  private readonly dialog = inject<MatDialogRef<BringIn>>(MatDialogRef);
  private readonly jobs = inject(Jobs);
  private readonly load = inject(LoadBench);
  private readonly documents = inject(Documents);
  private readonly notices = inject(Notices);
  protected readonly units = inject(Units).now;
  protected readonly into: Into = inject<Into | null>(MAT_DIALOG_DATA, { optional: true }) ?? 'load';

  private source: TableInput['source'] | null = null;
  private job: Subscription | null = null;
  protected readonly name = signal('');
  protected readonly outcome = signal<TableOutcome | null>(null);
  protected readonly rows = signal<readonly TableRow[]>([]);
  /** From 0 to 1 while it is read; null when nothing is being read. */
  protected readonly progress = signal<number | null>(null);
  protected readonly options = signal<TableOptions>(USUAL_OPTIONS);
  protected readonly onlyWrong = signal(false);
  private readonly matched = signal<readonly Matched[] | null>(null);

  protected readonly words = WORDS;
  protected readonly refused = computed(() => {
    const outcome = this.outcome();
    return outcome?.kind === 'refused' ? outcome.message : '';
  });
  protected readonly table = computed(() => {
    const outcome = this.outcome();
    if (outcome?.kind !== 'table') return null;
    const { name, columns, needs, missing } = OF[outcome.of];
    return {
      name,
      separator: SEPARATORS[outcome.separator] ?? outcome.separator,
      columns: columns.map((c) => ({ id: c.id, label: c.heading.replace(/_/g, ' ') })),
      headings: outcome.headings.map((heading, i) => ({
        index: i,
        heading: heading || `column ${i + 1}`,
        example: outcome.first[i] ?? '',
        column: outcome.matched[i]?.column ?? '',
      })),
      missing: outcome.matched.some((m) => m.column === needs) ? '' : missing,
    };
  });
  protected readonly counts = computed(() => {
    const counts: Record<Standing, number> = { new: 0, changes: 0, same: 0, refused: 0 };
    for (const { row } of this.rows()) counts[row.standing]++;
    return counts;
  });
  protected readonly shown = computed(() =>
    this.onlyWrong() ? this.rows().filter((r) => r.row.standing === 'refused') : this.rows(),
  );
  protected readonly taken = computed(() => this.counts().new + this.counts().changes);

  ngOnDestroy(): void {
    this.job?.unsubscribe();
  }

  protected async choose(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement;
    const file = field.files?.[0];
    field.value = '';
    if (file) this.start({ kind: 'bytes', bytes: await file.arrayBuffer() }, file.name);
  }

  protected async drop(event: DragEvent): Promise<void> {
    event.preventDefault();
    const file = event.dataTransfer?.files[0];
    if (file) this.start({ kind: 'bytes', bytes: await file.arrayBuffer() }, file.name);
  }

  protected pasted(text: string): void {
    if (text.trim()) this.start({ kind: 'text', text }, 'what you pasted');
  }

  protected match(index: number, column: string): void {
    const outcome = this.outcome();
    if (outcome?.kind !== 'table') return;
    // A column is filled once: the heading that had it lets it go.
    this.matched.set(
      outcome.matched.map((m, i) =>
        i === index ? { ...m, column: column || null } : m.column === column && column ? { ...m, column: null } : m,
      ),
    );
    this.read();
  }

  protected option(change: Partial<Record<keyof TableOptions, string>>): void {
    this.options.update((o) => ({ ...o, ...change }) as TableOptions);
    this.read();
  }

  protected cancel(): void {
    this.job?.unsubscribe();
    this.job = null;
    this.progress.set(null);
    this.rows.set([]);
    this.outcome.set(null);
    this.source = null;
  }

  protected close(): void {
    this.dialog.close();
  }

  /** All of it as one step, that one undo takes back. */
  protected accept(): void {
    const edits = this.rows().flatMap(({ kind, row }) =>
      row.body && (row.standing === 'new' || row.standing === 'changes')
        ? [{ kind, id: row.body.id, body: row.body }]
        : [],
    );
    if (edits.length === 0) return;
    this.documents.commit(`bringing in ${this.name()}`, edits, null, true);
    // In a task of its own: taking up thousands is enough for one.
    setTimeout(() => {
      this.notices.sayWithUndo(`${edits.length} brought in.`);
      this.dialog.close();
    });
  }

  private start(source: TableInput['source'], name: string): void {
    this.source = source;
    this.name.set(name);
    this.matched.set(null);
    this.outcome.set(null);
    this.read();
  }

  private read(): void {
    if (!this.source) return;
    this.job?.unsubscribe();
    this.progress.set(0);
    const rows: TableRow[] = [];
    this.rows.set([]);
    this.onlyWrong.set(false);
    this.job = this.jobs
      .run(
        'table',
        {
          source: this.source,
          matched: this.matched(),
          options: this.options(),
          into: this.into,
          bin: this.into === 'bin' ? this.documents.all('bin') : [],
          kit: this.load.kitList(),
          loadouts: this.load.loadouts(),
        },
        (part) => {
          rows.push(...part.rows);
          this.progress.set(part.of > 0 ? (part.rows.length > 0 ? rows.length : part.done / 2) / part.of : 0);
          // The first portion shows at once; the rest when all is there, so the list does not jump.
          if (part.rows.length > 0 && this.rows().length === 0) this.rows.set([...rows]);
        },
      )
      .subscribe({
        next: (outcome) => {
          this.outcome.set(outcome);
          this.rows.set([...rows]);
          this.progress.set(null);
        },
        error: (error: unknown) => {
          this.outcome.set({
            kind: 'refused',
            message: `It could not be read: ${error instanceof Error ? error.message : 'the reader stopped'}.`,
          });
          this.progress.set(null);
        },
      });
  }
}
