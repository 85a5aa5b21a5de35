/** A reading as it is being noted, the same in Learn and in the hanging: it survives a reload, and is kept in the log once. */
import { computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { leadingWay, NOTHING_SEEN, readingsOf, sawNothing, type LogEntry } from '@tide-pebble/core';
import { injectBench } from './bench-signal';
import { Firmnesses, NOT_YET } from './firmnesses';
import { Documents } from './keeping/documents';
import { newReading } from './new-reading';

type Seen = LogEntry['seen'];
const DRAFT = 'tide-pebble.reading-draft';

/** Made in an injection context. */
export class ReadingDraft {
  private readonly documents = inject(Documents);
  private readonly bench = injectBench();
  private readonly firm = toSignal(inject(Firmnesses).bench$, { initialValue: NOT_YET });
  readonly seen = signal<Seen>(stored());
  /** As the rig is reckoned to ring, Hz; null while that is not known. */
  readonly ringsAt = computed(() => this.firm().firm?.rings?.frequency ?? null);
  readonly isEmpty = computed(() => sawNothing(this.seen()));
  /** What can be read of the rig on the bench. */
  readonly kinds = computed(() => {
    const bench = this.bench();
    return bench ? readingsOf(bench.work.rig, bench.judged.evaluation) : [];
  });
  /** How it is borne; null where nothing bears it. */
  readonly way = computed(() => {
    const bench = this.bench();
    return bench ? leadingWay(bench.judged.evaluation) : null;
  });

  note(next: Seen): void {
    this.seen.set(next);
    localStorage.setItem(DRAFT, JSON.stringify(next));
  }

  keep(): void {
    const bench = this.bench();
    if (!bench || this.isEmpty()) return;
    const entry = newReading(bench, this.firm().firm, this.seen(), {});
    this.documents.commit('a reading', [{ kind: 'log', id: entry.id, body: entry }]);
    this.seen.set(NOTHING_SEEN);
    localStorage.removeItem(DRAFT);
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
