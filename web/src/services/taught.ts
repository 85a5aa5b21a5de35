/** What the readings of a rig teach: the one engine behind Learn and the log, so that both name the same suspect and the same next move. */
import { computed, effect, inject, linkedSignal, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { designedOf, leadingWay, render, sawNothing, USUAL_HANDS, type KitItem, type Phrase } from '@tide-pebble/core';
import { trimWords } from '@tide-pebble/core/bench';
import {
  cannotBeWords,
  lastDenies,
  lessonWords,
  moveWords,
  suspectWords,
  unexplainedWords,
  type LearnOutcome,
  type OwnFigure,
} from '@tide-pebble/core/making';
import { Asked, sameParts } from './asked';
import { injectBench } from './bench-signal';
import { Jobs } from './jobs';
import { Units } from './units';
import { Workspace } from './workspace';

const NO_KIT: ReadonlyMap<string, KitItem> = new Map();
const LESSONS_SHOWN = 4;

/** Made where effects may be made: it learns by itself whenever a reading or the rig changes. */
export class Taught {
  private readonly workspace = inject(Workspace);
  private readonly jobs = inject(Jobs);
  private readonly units = inject(Units).now;
  private readonly bench = injectBench();
  private readonly log = toSignal(this.workspace.log$, { initialValue: [] });
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: NO_KIT });
  private readonly bin = toSignal(this.workspace.bin$, { initialValue: [] });

  /** Of this rig with this load, the oldest first; what holds notes or photos alone is no reading. */
  readonly entries = computed(() => {
    const bench = this.bench();
    return bench
      ? this.log()
          .filter(
            (e) => e.rig === bench.rig.id && (e.loadout ?? null) === (bench.loadout?.id ?? null) && !sawNothing(e.seen),
          )
          .sort((a, b) => a.when.localeCompare(b.when))
      : [];
  });
  private readonly given = computed(
    () => {
      const bench = this.bench();
      return [bench, this.entries(), this.kit(), bench?.rig.wants.onlyBin ? this.bin() : null] as const;
    },
    { equal: sameParts },
  );
  readonly learning = new Asked<LearnOutcome>(this.given);
  private readonly subject = computed(() => [this.bench()?.rig.id, this.bench()?.loadout?.id], { equal: sameParts });
  /** Of this rig with this load, and by how many readings: one just kept may still be worked out. */
  private readonly known = linkedSignal<unknown, { readonly outcome: LearnOutcome; readonly readings: number } | null>({
    source: this.subject,
    computation: () => null,
  });
  readonly outcome = computed(() => this.known()?.outcome ?? null);
  private readonly count = computed(() => this.known()?.readings ?? 0);
  readonly learned = computed(() => {
    const now = this.outcome();
    return now?.kind === 'learned' ? now : null;
  });
  readonly reason = computed(() => {
    const now = this.outcome();
    if (this.learning.reason()) return this.learning.reason();
    if (!now) return '';
    if (now.kind === 'cannotBe') return this.say(cannotBeWords(now));
    return now.kind === 'broken' ? now.reason : '';
  });
  readonly lessons = computed(() =>
    (this.learned()?.lessons ?? [])
      .slice(0, LESSONS_SHOWN)
      .map((l) => ({ key: `${l.source} ${l.owner} ${l.spreads}`, text: this.say(lessonWords(l)) })),
  );
  readonly suspect = computed(() => {
    const suspect = this.learned()?.suspect;
    return suspect ? this.say(suspectWords(suspect)) : '';
  });
  readonly unexplained = computed(() => this.say(unexplainedWords(this.learned()?.unexplained ?? [0, 0, 0])));
  readonly stands = computed(() => {
    const now = this.learned();
    if (!now) return '';
    const bench = this.bench();
    const way = bench ? leadingWay(bench.judged.evaluation) : null;
    return way && now.placed ? this.say(way.learned(now.fromSupport, now.spread)) : '';
  });
  /** Figures that a reading gives by itself, each with what takes it over. */
  readonly own = computed(() =>
    (this.learned()?.own ?? []).map((o) => ({ id: o.id, text: this.say(o.words), take: o.take })),
  );
  readonly moves = computed(() =>
    (this.learned()?.next?.moves ?? []).map((m) => ({
      id: m.adjuster.id,
      name: m.adjuster.name,
      text: this.say(moveWords(m)),
    })),
  );
  readonly next = computed(() => {
    const now = this.learned();
    const bench = this.bench();
    if (!now?.next || !bench) return '';
    const { outcome, moves } = now.next;
    if (outcome.kind === 'axesSet' && moves.length > 0) return '';
    if (outcome.kind !== 'solved') return this.say(trimWords(outcome, bench.work.rig.adjusters, 'fewestMoves'));
    if (moves.length > 0) return '';
    const denied = this.denied();
    return denied ? this.say(denied) : 'Nothing to move: by these readings it is in its pool.';
  });
  /** What the last reading says against the pool. */
  private readonly denied = computed(() => {
    const bench = this.bench();
    return bench ? lastDenies(this.entries().at(-1), bench.values, bench.rig.wants) : null;
  });
  /** All readings put it in its pool as it is set, and the last one does not deny it. */
  readonly isInPool = computed(() => {
    const next = this.learned()?.next;
    return next?.outcome.kind === 'solved' && next.moves.length === 0 && this.denied() === null;
  });
  readonly heading = computed(() => `Next move, by ${this.count() === 1 ? 'one reading' : `${this.count()} readings`}`);
  readonly heightMoves = computed(() =>
    (this.learned()?.next?.moves ?? []).some((m) => Math.abs(m.adjuster.axis?.[2] ?? 0) > 0.7),
  );

  /** What was read takes the place of what was taken: of the rig, or of the maker's own measures. */
  take({ text, take }: { readonly text: string; readonly take: OwnFigure['take'] }): void {
    const id = crypto.randomUUID();
    switch (take.kind) {
      case 'friction':
        this.workspace.edit(text, { kind: 'friction', id, target: take.target, torque: take.torque });
        return;
      case 'breaksAway':
        this.workspace.edit(text, { kind: 'breaksAway', id, target: take.target, force: take.force });
        return;
      case 'wristStrength':
        this.workspace.editRig('your own strength, as read', (rig) => ({
          ...rig,
          hands: { ...(rig.hands ?? USUAL_HANDS), wristStrength: take.value },
        }));
    }
  }

  /** The settings the maker has now made on the real rig. */
  done(): void {
    const outcome = this.learned()?.next?.outcome;
    if (outcome?.kind === 'solved' || outcome?.kind === 'axesSet')
      this.workspace.setAdjusters('the next move', outcome.values);
  }

  constructor() {
    effect(() => {
      const [bench, entries, kit, bin] = this.given();
      if (!bench || entries.length === 0) return untracked(() => this.known.set(null));
      const { rig, loadout, values } = bench;
      untracked(() =>
        this.learning.ask(
          () =>
            this.jobs.run('learn', {
              rig: { ...designedOf(rig), wants: rig.wants },
              loadout,
              kit,
              bin: bin ?? [],
              values,
              entries: entries.map(({ values: set, seen }) => ({ values: set, seen })),
            }),
          (outcome) => this.known.set({ outcome, readings: entries.length }),
        ),
      );
    });
  }

  private say(words: Phrase): string {
    return render(words, this.units());
  }
}
