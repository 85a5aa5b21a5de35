/** Set it and read it: the card as a guide for one hand. Set it, hang or hold it, read it, make the next move, till it is in its pool. */
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { RouterLink } from '@angular/router';
import { cautionsOf, judged, NOTHING_BEARS, render, seenWords } from '@tide-pebble/core';
import { cardMoves, cardTold, setupCard } from '@tide-pebble/core/making';
import { injectBench } from '../../../services/bench-signal';
import { Firmnesses, NOT_YET } from '../../../services/firmnesses';
import { ReadingDraft } from '../../../services/reading-draft';
import { Taught } from '../../../services/taught';
import { Undoing } from '../../../services/undoing';
import { Units } from '../../../services/units';
import { SayPipe } from '../../../ui/figures/figures.pipe';
import { NoBench } from '../../../ui/no-bench';
import { PhoneReader } from '../../../ui/phone-reader/phone-reader';
import { ReadingSheet } from '../../../ui/reading-sheet';
import { Stopwatch } from '../../../ui/stopwatch';

const TICKS = 'tide-pebble.set-so';

@Component({
  selector: 'tp-hang',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatProgressBar, RouterLink, NoBench, ReadingSheet, PhoneReader, Stopwatch, SayPipe],
  templateUrl: './hang.html',
  styleUrls: ['../column.css', './hang.css'],
})
export class Hang {
  protected readonly units = inject(Units).now;
  protected readonly undoing = inject(Undoing);
  protected readonly bench = injectBench();
  private readonly firm = toSignal(inject(Firmnesses).bench$, { initialValue: NOT_YET });
  protected readonly reading = new ReadingDraft();
  protected readonly taught = new Taught();
  protected readonly nothingBears = NOTHING_BEARS;
  protected readonly cautions = computed(() => {
    const bench = this.bench();
    return bench ? cautionsOf(bench.work.rig) : [];
  });
  protected readonly tight = computed(() => (this.firm().firm?.tight ?? []).map((t) => t.name));
  protected readonly isTimed = computed(() => this.reading.kinds().some((k) => k.kind === 'dropTimes'));

  private readonly parts = computed(() => {
    const bench = this.bench();
    return bench ? cardTold(setupCard(bench.judged.context, '')) : [];
  });
  /** Ticked as it was set then: what is moved since is to be set again. */
  private readonly ticks = signal<readonly string[]>(ticked());
  protected readonly toSet = computed(() =>
    this.parts().map((part) => {
      const tick = `${this.bench()!.rig.id} ${part.id} ${render([...part.big, ' ', part.beside], this.units())}`;
      return { ...part, tick, isSet: this.ticks().includes(tick) };
    }),
  );
  protected readonly left = computed(() => this.toSet().filter((p) => !p.isSet).length);
  /** What has moved since it was last read with this load. */
  protected readonly since = computed(() => {
    const bench = this.bench();
    const last = this.taught.entries().at(-1);
    if (!bench || !last) return null;
    const then = judged(bench.work, last.values, bench.rig.wants).context;
    const moves = cardMoves(cardTold(setupCard(then, '')), this.parts());
    return moves.length > 0 ? { when: new Date(last.when).toLocaleDateString('en-GB'), moves } : null;
  });
  protected readonly readings = computed(() =>
    this.taught
      .entries()
      .map((e) => render(seenWords(e.seen, this.reading.kinds()), this.units()) || 'nothing read')
      .slice(-3),
  );
  protected tick(tick: string, isSet: boolean): void {
    this.hold(isSet ? [...this.ticks(), tick] : this.ticks().filter((t) => t !== tick));
  }

  /** What was to be moved is moved: it stands as the next move says. */
  protected done(): void {
    const ofOthers = this.ticks();
    this.taught.done();
    this.hold([...ofOthers, ...this.toSet().map((p) => p.tick)]);
  }

  protected time(seconds: number): void {
    const seen = this.reading.seen();
    this.reading.note({ ...seen, dropTimes: [...seen.dropTimes, seconds] });
  }

  private hold(ticks: readonly string[]): void {
    this.ticks.set([...new Set(ticks)].slice(-KEPT));
    localStorage.setItem(TICKS, JSON.stringify(this.ticks()));
  }
}

/** Of several rigs, the latest. */
const KEPT = 400;
function ticked(): readonly string[] {
  try {
    const read: unknown = JSON.parse(localStorage.getItem(TICKS) ?? '[]');
    return Array.isArray(read) ? read.filter((t) => typeof t === 'string') : [];
  } catch {
    return [];
  }
}
