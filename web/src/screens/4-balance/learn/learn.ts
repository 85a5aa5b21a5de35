/** Learn from the bench: what the real rig did, what that says about the model, and the next move from it. */
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { NOTHING_BEARS, render, seenWords, type LogEntry } from '@tide-pebble/core';
import { injectBench } from '../../../services/bench-signal';
import { Documents } from '../../../services/keeping/documents';
import { ReadingDraft } from '../../../services/reading-draft';
import { Taught } from '../../../services/taught';
import { Units } from '../../../services/units';
import { NoBench } from '../../../ui/no-bench';
import { Notices } from '../../../services/notices';
import { FlickSheet } from '../../../ui/flick-sheet';
import { ClipReader } from '../../../ui/clip-reader/clip-reader';
import { PhoneReader } from '../../../ui/phone-reader/phone-reader';
import { ReadingSheet } from '../../../ui/reading-sheet';
import { StageLayout } from '../../../ui/stage-layout';
import { BenchTabs } from '../bench-tabs';

@Component({
  selector: 'tp-learn',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    MatButton,
    MatProgressBar,
    StageLayout,
    NoBench,
    BenchTabs,
    ReadingSheet,
    ClipReader,
    PhoneReader,
    FlickSheet,
  ],
  templateUrl: './learn.html',
  styleUrl: './learn.css',
})
export class Learn {
  private readonly documents = inject(Documents);
  private readonly notices = inject(Notices);
  private readonly units = inject(Units).now;
  protected readonly bench = injectBench();

  protected readonly reading = new ReadingDraft();
  protected readonly nothingBears = NOTHING_BEARS;
  protected readonly way = this.reading.way;
  protected readonly kinds = this.reading.kinds;
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
  protected remove(entry: LogEntry): void {
    this.documents.commit('taking a reading out', [{ kind: 'log', id: entry.id, body: null }]);
    this.notices.sayWithUndo('The reading is out of the log.');
  }
}
