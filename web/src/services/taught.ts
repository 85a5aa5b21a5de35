/** What the readings of a rig teach: the one engine behind Learn and the log, so that both name the same suspect and the same next move. */
import { computed, effect, inject, linkedSignal, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import {
  figure,
  leadingWay,
  showFigure,
  turnsOf,
  wayOf,
  USUAL_HANDS,
  type KitItem,
  trimWords,
  render,
} from '@tide-pebble/core';
import type { LearnOutcome, Lesson, Move, OwnFigure } from '@tide-pebble/core/making';
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

  /** Of this rig with this load, the oldest first. */
  readonly entries = computed(() => {
    const bench = this.bench();
    return bench
      ? this.log()
          .filter((e) => e.rig === bench.rig.id && (e.loadout ?? null) === (bench.loadout?.id ?? null))
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
    if (now.kind === 'cannotBe')
      return `Reading ${now.reading + 1} cannot be: ${now.why === 'mass' ? 'the mass is not that of this rig with this loadout. Is it the right loadout, and was the scale at zero?' : 'nothing of this size falls so fast. Was it held level and let go without a push?'} Take it out of the log, or read again.`;
    return now.kind === 'broken' ? now.reason : '';
  });
  readonly lessons = computed(() =>
    (this.learned()?.lessons ?? [])
      .slice(0, LESSONS_SHOWN)
      .map((l) => ({ key: `${l.source} ${l.owner} ${l.spreads}`, text: this.lessonWords(l) })),
  );
  readonly suspect = computed(() => {
    const l = this.learned()?.suspect;
    if (!l) return '';
    return l.mass
      ? `Suspect: the ${l.words}. By these readings it is some ${this.say('mass', l.mass.to, l.mass.to < 0.1 ? 1 : 0)}, and not ${this.say('mass', l.mass.from, l.mass.from < 0.1 ? 1 : 0)}. Weigh it again, with all that is on it.`
      : `Suspect: the ${l.words}. It would have to be off by ${Math.abs(l.spreads).toFixed(1)} times its plus-minus. Measure it again before trusting the rest.`;
  });
  readonly unexplained = computed(() => {
    const off = this.learned()?.unexplained;
    if (!off) return '';
    const words = (
      [
        ['ahead', 'behind'],
        ['to the left', 'to the right'],
        ['higher', 'lower'],
      ] as const
    ).flatMap(([more, less], i) =>
      Math.abs(off[i]!) < 0.0002 ? [] : [`${this.say('length', Math.abs(off[i]!), 1)} ${off[i]! > 0 ? more : less}`],
    );
    return words.length > 0
      ? `No figure of the model explains all of it: its mass centre lies ${words.join(', ')}, against what they say. A cable, a strap, paint?`
      : '';
  });
  readonly stands = computed(() => {
    const now = this.learned();
    if (!now) return '';
    const bench = this.bench();
    const way = bench ? leadingWay(bench.judged.evaluation) : null;
    return way && now.placed ? render(way.learned(now.fromSupport, now.spread), this.units()) : '';
  });
  /** Figures that a reading gives by itself, each with what takes it over. */
  readonly own = computed(() =>
    (this.learned()?.own ?? []).map((o) => ({ id: o.id, text: render(o.words, this.units()), take: o.take })),
  );
  readonly moves = computed(() =>
    (this.learned()?.next?.moves ?? []).map((m) => ({
      id: m.adjuster.id,
      name: m.adjuster.name,
      text: this.moveWords(m),
    })),
  );
  readonly next = computed(() => {
    const now = this.learned();
    const bench = this.bench();
    if (!now?.next || !bench) return '';
    const { outcome, moves } = now.next;
    if (outcome.kind === 'axesSet' && moves.length > 0) return '';
    if (outcome.kind !== 'solved')
      return render(trimWords(outcome, bench.work.rig.adjusters, 'fewestMoves'), this.units());
    return moves.length === 0 ? 'Nothing to move: by these readings it is in its pool.' : '';
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

  constructor() {
    effect(() => {
      const [bench, entries, kit, bin] = this.given();
      if (!bench || entries.length === 0) return untracked(() => this.known.set(null));
      const {
        rig: { design, wants, hands },
        loadout,
        values,
      } = bench;
      untracked(() =>
        this.learning.ask(
          () =>
            this.jobs.run('learn', {
              rig: { design, wants, ...(hands ? { hands } : {}) },
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

  private lessonWords({ words, spreads, mass, friction }: Lesson): string {
    if (friction)
      return `${words[0]!.toUpperCase()}${words.slice(1)}: ${this.say('torque', friction.to, 3)} instead of ${this.say('torque', friction.from, 3)}, ± ${this.say('torque', 2 * friction.spread, 3)}.`;
    if (mass)
      return `${words[0]!.toUpperCase()}${words.slice(1)}: ${this.say('mass', mass.to, mass.to < 0.1 ? 1 : 0)} instead of ${this.say('mass', mass.from, mass.from < 0.1 ? 1 : 0)}, ± ${this.say('mass', 2 * mass.spread, 1)}.`;
    return `${words[0]!.toUpperCase()}${words.slice(1)}: off by ${Math.abs(spreads).toFixed(1)} of its plus-minus.`;
  }

  private moveWords({ adjuster, from, to }: Move): string {
    const by = to - from;
    if (adjuster.kind === 'count')
      return `${Math.abs(Math.round(by))} washers ${by > 0 ? 'on' : 'off'}, to ${Math.round(to)}`;
    const length = `${this.say('length', Math.abs(by), 2)} ${wayOf(adjuster, by)}`;
    return adjuster.perTurn
      ? `${turnsOf(Math.abs(by) / adjuster.perTurn)} ${wayOf(adjuster, by)} (${this.say('length', Math.abs(by), 2)})`
      : length;
  }

  private say(kind: Parameters<typeof figure>[0], value: number, decimals?: number): string {
    return showFigure(figure(kind, value, decimals), this.units());
  }
}
