/** Learn from the bench: what the real rig did, what that says about the model, and the next move from it. */
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import {
  leadingWay,
  NOTHING_SEEN,
  readingsOf,
  render,
  sawNothing,
  seenWords,
  type LogEntry,
  NOTHING_BEARS,
} from '@tide-pebble/core';
import { injectBench } from '../../../services/bench-signal';
import { Firmnesses, NOT_YET } from '../../../services/firmnesses';
import { Documents } from '../../../services/keeping/documents';
import { Taught } from '../../../services/taught';
import { Units } from '../../../services/units';
import { Workspace } from '../../../services/workspace';
import { NoBench } from '../../../ui/no-bench';
import { newReading } from '../../../services/new-reading';
import { Notices } from '../../../services/notices';
import { FlickSheet } from '../../../ui/flick-sheet';
import { ReadingSheet } from '../../../ui/reading-sheet';
import { StageLayout } from '../../../ui/stage-layout';
import { BenchTabs } from '../bench-tabs';

type Seen = LogEntry['seen'];
const DRAFT = 'tide-pebble.reading-draft';

@Component({
  selector: 'tp-learn',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatProgressBar, StageLayout, NoBench, BenchTabs, ReadingSheet, FlickSheet],
  templateUrl: './learn.html',
  styleUrl: './learn.css',
})
export class Learn {
  private readonly workspace = inject(Workspace);
  private readonly documents = inject(Documents);
  private readonly notices = inject(Notices);
  private readonly units = inject(Units).now;
  protected readonly bench = injectBench();
  private readonly firm = toSignal(inject(Firmnesses).bench$, { initialValue: NOT_YET });

  /** What is being typed survives a reload. */
  protected readonly draft = signal<Seen>(stored());

  protected readonly nothingBears = NOTHING_BEARS;
  protected readonly way = computed(() => {
    const bench = this.bench();
    return bench ? leadingWay(bench.judged.evaluation) : null;
  });
  protected readonly kinds = computed(() => {
    const bench = this.bench();
    return bench ? readingsOf(bench.work.rig, bench.judged.evaluation) : [];
  });
  protected readonly taught = new Taught();
  private readonly entries = this.taught.entries;
  protected readonly learning = this.taught.learning;
  protected readonly reason = this.taught.reason;
  protected readonly lessons = this.taught.lessons;
  protected readonly suspect = this.taught.suspect;
  protected readonly unexplained = this.taught.unexplained;
  protected readonly stands = this.taught.stands;
  protected readonly moves = this.taught.moves;
  protected readonly next = this.taught.next;
  protected readonly heading = this.taught.heading;
  protected readonly heightMoves = this.taught.heightMoves;
  protected readonly rows = computed(() =>
    this.entries().map((entry, i) => ({
      entry,
      name: `Reading ${i + 1}`,
      text: render(seenWords(entry.seen, this.kinds()), this.units()) || 'nothing read',
    })),
  );
  protected readonly own = this.taught.own;
  protected readonly nothing = computed(() => sawNothing(this.draft()));
  protected note(next: Seen): void {
    this.draft.set(next);
    localStorage.setItem(DRAFT, JSON.stringify(next));
  }

  protected keep(): void {
    const bench = this.bench();
    if (!bench || this.nothing()) return;
    const entry = newReading(bench, this.firm().firm, this.draft(), {});
    this.documents.commit('a reading', [{ kind: 'log', id: entry.id, body: entry }]);
    this.draft.set(NOTHING_SEEN);
    localStorage.removeItem(DRAFT);
  }

  protected remove(entry: LogEntry): void {
    this.documents.commit('taking a reading out', [{ kind: 'log', id: entry.id, body: null }]);
    this.notices.sayWithUndo('The reading is out of the log.');
  }

  /** The settings the maker has now made on the real rig. */
  protected done(): void {
    const outcome = this.taught.learned()?.next?.outcome;
    if (outcome?.kind === 'solved' || outcome?.kind === 'axesSet')
      this.workspace.setAdjusters('the next move', outcome.values);
  }
}

function stored(): Seen {
  try {
    const read: unknown = JSON.parse(localStorage.getItem(DRAFT) ?? 'null');
    return read && typeof read === 'object' && 'dropTimes' in read && Array.isArray(read.dropTimes)
      ? (read as Seen)
      : NOTHING_SEEN;
  } catch {
    return NOTHING_SEEN;
  }
}
