/** Learn from the bench: what the real rig did, what that says about the model, and the next move from it. */
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatProgressBar } from '@angular/material/progress-bar';
import { figure, readings, showFigure, type LogEntry } from '@tide-pebble/core';
import { injectBench } from '../../../services/bench-signal';
import { Documents } from '../../../services/keeping/documents';
import { Taught } from '../../../services/taught';
import { Units } from '../../../services/units';
import { Workspace } from '../../../services/workspace';
import { NoBench } from '../../../ui/no-bench';
import { Notices } from '../../../services/notices';
import { QuantityField } from '../../../ui/figures/quantity-field';
import { StageLayout } from '../../../ui/stage-layout';
import { BenchTabs } from '../bench-tabs';

type Seen = LogEntry['seen'];
const NOTHING: Seen = { dropTimes: [] };
const DRAFT = 'tide-pebble.reading-draft';
const PRESSES = 3;

@Component({
  selector: 'tp-learn',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatCheckbox, MatProgressBar, StageLayout, NoBench, BenchTabs, QuantityField],
  templateUrl: './learn.html',
  styleUrl: './learn.css',
})
export class Learn {
  private readonly workspace = inject(Workspace);
  private readonly documents = inject(Documents);
  private readonly notices = inject(Notices);
  private readonly units = inject(Units).now;
  protected readonly bench = injectBench();

  /** What is being typed survives a reload. */
  protected readonly draft = signal<Seen>(stored());

  protected readonly hung = computed(() => this.bench()?.judged.evaluation.hung ?? null);
  private readonly taught = new Taught();
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
      text: this.seenWords(entry.seen) || 'nothing read',
    })),
  );
  protected readonly nothing = computed(() => {
    const d = this.draft();
    return (
      d.noseDown === undefined &&
      d.leftSideDown === undefined &&
      d.dropTimes.length === 0 &&
      !d.turnsOver &&
      d.mass === undefined &&
      d.fingerAhead === undefined
    );
  });
  protected note(part: { readonly [K in keyof Seen]?: Seen[K] | null }): void {
    const next = Object.fromEntries(
      Object.entries({ ...this.draft(), ...part }).filter(([, v]) => v !== null && v !== undefined),
    ) as Seen;
    this.draft.set(next);
    localStorage.setItem(DRAFT, JSON.stringify(next));
  }

  /** One more field than there are times, to three: their mean counts for more than any. */
  protected readonly presses = computed(() =>
    Array.from({ length: Math.min(PRESSES, this.draft().dropTimes.length + 1) }, (_, i) => i),
  );
  protected press(i: number, time: number | null): void {
    const times = [...this.draft().dropTimes];
    times.splice(i, 1, ...(time === null ? [] : [time]));
    this.note({ dropTimes: times });
  }

  protected keep(): void {
    const bench = this.bench();
    if (!bench || this.nothing()) return;
    const { noseDown, leftSideDown, dropPitch } = readings(bench.judged.evaluation);
    const entry: LogEntry = {
      id: crypto.randomUUID(),
      rig: bench.rig.id,
      loadout: bench.loadout?.id ?? null,
      when: new Date().toISOString(),
      values: { ...bench.values },
      expected: { noseDown, leftSideDown, dropPitch, dropSpread: this.hung()?.spread.dropPitch ?? null },
      seen: this.draft(),
      notes: '',
    };
    this.documents.commit('a reading', [{ kind: 'log', id: entry.id, body: entry }]);
    this.draft.set(NOTHING);
    localStorage.removeItem(DRAFT);
  }

  protected remove(entry: LogEntry): void {
    this.documents.commit('taking a reading out', [{ kind: 'log', id: entry.id, body: null }]);
    this.notices.sayWithUndo('The reading is out of the log.');
  }

  /** The settings the maker has now made on the real rig. */
  protected done(): void {
    const outcome = this.taught.learned()?.next.outcome;
    if (outcome?.kind === 'solved') this.workspace.setAdjusters('the next move', outcome.values);
  }

  private seenWords(seen: Seen): string {
    const lean = (angle: number | undefined, words: readonly [string, string]): string[] =>
      angle === undefined
        ? []
        : [
            angle === 0
              ? `level (${words[0].split(' ')[0]})`
              : `${this.say('angle', Math.abs(angle))} ${words[angle > 0 ? 0 : 1]}`,
          ];
    const mean = seen.dropTimes.reduce((s, t) => s + t, 0) / seen.dropTimes.length;
    return [
      ...(seen.turnsOver ? ['turned over'] : []),
      ...lean(seen.noseDown, ['nose down', 'nose up']),
      ...lean(seen.leftSideDown, ['left side down', 'right side down']),
      ...(seen.dropTimes.length > 0 ? [`drop ${this.say('time', mean)}`] : []),
      ...(seen.mass === undefined ? [] : [this.say('mass', seen.mass)]),
      ...(seen.fingerAhead === undefined
        ? []
        : [
            `balances ${this.say('length', Math.abs(seen.fingerAhead), 0)} ${seen.fingerAhead >= 0 ? 'ahead' : 'behind'}`,
          ]),
    ].join(', ');
  }

  private say(kind: Parameters<typeof figure>[0], value: number, decimals?: number): string {
    return showFigure(figure(kind, value, decimals), this.units());
  }
}

function stored(): Seen {
  try {
    const read: unknown = JSON.parse(localStorage.getItem(DRAFT) ?? 'null');
    return read && typeof read === 'object' && 'dropTimes' in read && Array.isArray(read.dropTimes)
      ? (read as Seen)
      : NOTHING;
  } catch {
    return NOTHING;
  }
}
