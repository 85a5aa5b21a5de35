/** Learn from the bench: what the real rig did, what that says about the model, and the next move from it. */
import { ChangeDetectionStrategy, Component, computed, effect, inject, linkedSignal, signal, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatProgressBar } from '@angular/material/progress-bar';
import { figure, readings, showFigure, turnsOf, wayOf, type KitItem, type LogEntry } from '@tide-pebble/core';
import type { LearnOutcome, Lesson, Move } from '@tide-pebble/core/making';
import { Asked, sameParts } from '../../../services/asked';
import { injectBench } from '../../../services/bench-signal';
import { Documents } from '../../../services/keeping/documents';
import { Jobs } from '../../../services/jobs';
import { Units } from '../../../services/units';
import { Workspace } from '../../../services/workspace';
import { NoBench } from '../../../ui/no-bench';
import { Notices } from '../../../ui/notices';
import { QuantityField } from '../../../ui/quantity-field';
import { StageLayout } from '../../../ui/stage-layout';
import { BenchTabs } from '../bench-tabs';
import { trimWords } from '../trim-words';

const NO_KIT: ReadonlyMap<string, KitItem> = new Map();
type Seen = LogEntry['seen'];
const NOTHING: Seen = { dropTimes: [] };
const DRAFT = 'tide-pebble.reading-draft';
const LESSONS_SHOWN = 4;
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
  private readonly jobs = inject(Jobs);
  private readonly notices = inject(Notices);
  private readonly units = inject(Units).now;
  protected readonly bench = injectBench();
  private readonly log = toSignal(this.workspace.log$, { initialValue: [] });
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: NO_KIT });
  private readonly bin = toSignal(this.workspace.bin$, { initialValue: [] });

  /** What is being typed survives a reload. */
  protected readonly draft = signal<Seen>(stored());

  protected readonly hung = computed(() => this.bench()?.judged.evaluation.hung ?? null);
  private readonly entries = computed(() => {
    const bench = this.bench();
    return bench ? this.log().filter((e) => e.rig === bench.rig.id && (e.loadout ?? null) === (bench.loadout?.id ?? null)).sort((a, b) => a.when.localeCompare(b.when)) : [];
  });
  private readonly given = computed(() => {
    const bench = this.bench();
    return [bench, this.entries(), this.kit(), bench?.rig.wants.onlyBin ? this.bin() : null] as const;
  }, { equal: sameParts });
  protected readonly learning = new Asked<LearnOutcome>(this.given);
  private readonly subject = computed(() => [this.bench()?.rig.id, this.bench()?.loadout?.id], { equal: sameParts });
  /** Of this rig with this load, and by how many readings: one just kept may still be worked out. */
  private readonly known = linkedSignal<unknown, { readonly outcome: LearnOutcome; readonly readings: number } | null>({ source: this.subject, computation: () => null });
  protected readonly outcome = computed(() => this.known()?.outcome ?? null);
  private readonly readings = computed(() => this.known()?.readings ?? 0);
  protected readonly rows = computed(() => this.entries().map((entry, i) => ({ entry, name: `Reading ${i + 1}`, text: this.seenWords(entry.seen) || 'nothing read' })));
  protected readonly nothing = computed(() => {
    const d = this.draft();
    return d.noseDown === undefined && d.leftSideDown === undefined && d.dropTimes.length === 0 && !d.turnsOver && d.mass === undefined && d.fingerAhead === undefined;
  });
  private readonly learned = computed(() => {
    const now = this.outcome();
    return now?.kind === 'learned' ? now : null;
  });
  protected readonly reason = computed(() => {
    const now = this.outcome();
    if (this.learning.reason()) return this.learning.reason();
    if (!now) return '';
    if (now.kind === 'cannotBe') return `Reading ${now.reading + 1} cannot be: ${now.why === 'mass' ? 'the mass is not that of this rig with this loadout. Is it the right loadout, and was the scale at nought?' : 'nothing of this size falls so fast. Was it held level and let go without a push?'} Take it out of the log, or read again.`;
    return now.kind === 'broken' ? now.reason : '';
  });
  protected readonly lessons = computed(() => (this.learned()?.lessons ?? []).slice(0, LESSONS_SHOWN).map((l) => ({ key: `${l.source} ${l.owner} ${l.spreads}`, text: this.lessonWords(l) })));
  protected readonly suspect = computed(() => {
    const l = this.learned()?.suspect;
    if (!l) return '';
    return l.mass ? `Suspect: the ${l.words}. By these readings it is some ${this.say('mass', l.mass.to, l.mass.to < 0.1 ? 1 : 0)}, and not ${this.say('mass', l.mass.from, l.mass.from < 0.1 ? 1 : 0)}. Weigh it again, with all that is on it.` : `Suspect: the ${l.words}. It would have to be off by ${Math.abs(l.spreads).toFixed(1)} times its plus-minus. Measure it again before trusting the rest.`;
  });
  protected readonly unexplained = computed(() => {
    const off = this.learned()?.unexplained;
    if (!off) return '';
    const words = ([['ahead', 'behind'], ['to the left', 'to the right'], ['higher', 'lower']] as const).flatMap(([more, less], i) => (Math.abs(off[i]!) < 0.0002 ? [] : [`${this.say('length', Math.abs(off[i]!), 1)} ${off[i]! > 0 ? more : less}`]));
    return words.length > 0 ? `No figure of the model explains all of it: its mass centre lies ${words.join(', ')}, against what they say. A cable, a strap, paint?` : '';
  });
  protected readonly stands = computed(() => {
    const now = this.learned();
    if (!now) return '';
    const [x, , z] = now.fromPivot;
    return z < 0 ? `As set now it should hang ${this.say('angle', Math.abs(Math.atan2(x, -z)))} ${x > 0 ? 'nose down' : 'nose up'}, its mass centre ${this.say('length', -z, 2)} (± ${this.say('length', 2 * now.spread[2], 2)}) under the pivot.` : `As set now its mass centre lies ${this.say('length', z, 2)} above the pivot: it turns over.`;
  });
  protected readonly moves = computed(() => (this.learned()?.next.moves ?? []).map((m) => ({ id: m.adjuster.id, name: m.adjuster.name, text: this.moveWords(m) })));
  protected readonly next = computed(() => {
    const now = this.learned();
    const bench = this.bench();
    if (!now || !bench) return '';
    const { outcome, moves } = now.next;
    if (outcome.kind !== 'solved') return trimWords(outcome, bench.piece.rig.adjusters, this.units(), 'fewestMoves');
    return moves.length === 0 ? 'Nothing to move: by these readings it is in its pool.' : '';
  });
  protected readonly heading = computed(() => `Next move, by ${this.readings() === 1 ? 'one reading' : `${this.readings()} readings`}`);
  protected readonly heightMoves = computed(() => (this.learned()?.next.moves ?? []).some((m) => Math.abs(m.adjuster.axis?.[2] ?? 0) > 0.7));

  constructor() {
    effect(() => {
      const [bench, entries, kit, bin] = this.given();
      if (!bench || entries.length === 0) return untracked(() => this.known.set(null));
      const { rig: { design, wants, hands }, loadout, values } = bench;
      untracked(() =>
        this.learning.ask(
          () => this.jobs.run('learn', { rig: { design, wants, ...(hands ? { hands } : {}) }, loadout, kit, bin: bin ?? [], values, entries: entries.map(({ values: set, seen }) => ({ values: set, seen })) }),
          (outcome) => this.known.set({ outcome, readings: entries.length }),
        ),
      );
    });
  }

  protected note(part: { readonly [K in keyof Seen]?: Seen[K] | null }): void {
    const next = Object.fromEntries(Object.entries({ ...this.draft(), ...part }).filter(([, v]) => v !== null && v !== undefined)) as Seen;
    this.draft.set(next);
    localStorage.setItem(DRAFT, JSON.stringify(next));
  }

  /** One more field than there are times, to three: their mean counts for more than any. */
  protected readonly presses = computed(() => Array.from({ length: Math.min(PRESSES, this.draft().dropTimes.length + 1) }, (_, i) => i));
  protected press(i: number, time: number | null): void {
    const times = [...this.draft().dropTimes];
    times.splice(i, 1, ...(time === null ? [] : [time]));
    this.note({ dropTimes: times });
  }

  protected keep(): void {
    const bench = this.bench();
    if (!bench || this.nothing()) return;
    const { noseDown, leftSideDown, dropPitch } = readings(bench.judged.evaluation);
    const entry: LogEntry = { id: crypto.randomUUID(), rig: bench.rig.id, loadout: bench.loadout?.id ?? null, when: new Date().toISOString(), values: { ...bench.values }, expected: { noseDown, leftSideDown, dropPitch, dropSpread: this.hung()?.spread.dropPitch ?? null }, seen: this.draft(), notes: '' };
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
    const outcome = this.learned()?.next.outcome;
    if (outcome?.kind === 'solved') this.workspace.setAdjusters('the next move', outcome.values);
  }

  private seenWords(seen: Seen): string {
    const lean = (angle: number | undefined, words: readonly [string, string]): string[] => (angle === undefined ? [] : [angle === 0 ? `level (${words[0].split(' ')[0]})` : `${this.say('angle', Math.abs(angle))} ${words[angle > 0 ? 0 : 1]}`]);
    const mean = seen.dropTimes.reduce((s, t) => s + t, 0) / seen.dropTimes.length;
    return [...(seen.turnsOver ? ['turned over'] : []), ...lean(seen.noseDown, ['nose down', 'nose up']), ...lean(seen.leftSideDown, ['left side down', 'right side down']), ...(seen.dropTimes.length > 0 ? [`drop ${this.say('time', mean)}`] : []), ...(seen.mass === undefined ? [] : [this.say('mass', seen.mass)]), ...(seen.fingerAhead === undefined ? [] : [`balances ${this.say('length', Math.abs(seen.fingerAhead), 0)} ${seen.fingerAhead >= 0 ? 'ahead' : 'behind'}`])].join(', ');
  }

  private lessonWords({ words, spreads, mass }: Lesson): string {
    if (mass) return `${words[0]!.toUpperCase()}${words.slice(1)}: ${this.say('mass', mass.to, mass.to < 0.1 ? 1 : 0)} instead of ${this.say('mass', mass.from, mass.from < 0.1 ? 1 : 0)}, ± ${this.say('mass', 2 * mass.spread, 1)}.`;
    return `${words[0]!.toUpperCase()}${words.slice(1)}: off by ${Math.abs(spreads).toFixed(1)} of its plus-minus.`;
  }

  private moveWords({ adjuster, from, to }: Move): string {
    const by = to - from;
    if (adjuster.kind === 'count') return `${Math.abs(Math.round(by))} washers ${by > 0 ? 'on' : 'off'}, to ${Math.round(to)}`;
    const length = `${this.say('length', Math.abs(by), 2)} ${wayOf(adjuster, by)}`;
    return adjuster.perTurn ? `${turnsOf(Math.abs(by) / adjuster.perTurn)} ${wayOf(adjuster, by)} (${this.say('length', Math.abs(by), 2)})` : length;
  }

  private say(kind: Parameters<typeof figure>[0], value: number, decimals?: number): string {
    return showFigure(figure(kind, value, decimals), this.units());
  }
}

function stored(): Seen {
  try {
    const read: unknown = JSON.parse(localStorage.getItem(DRAFT) ?? 'null');
    return read && typeof read === 'object' && 'dropTimes' in read && Array.isArray(read.dropTimes) ? (read as Seen) : NOTHING;
  } catch {
    return NOTHING;
  }
}
