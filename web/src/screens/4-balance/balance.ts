/** Balance: the rig hung at its pivot, where its mass centre lies and should lie, what can be turned, and the trim. */
import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, linkedSignal, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { mdiPlay, mdiStop } from '@mdi/js';
import {
  adjusterSteps,
  dropMotion,
  figure,
  FROM_LEVEL,
  leadingWay,
  markFromEnd,
  readoutsOf,
  render,
  showFigure,
  wayOf,
  type AdjusterValues,
  type View,
} from '@tide-pebble/core';
import { holdPlaces } from '@tide-pebble/core/bench';
import { type Aim, type ExplainedTrim, AIMS, trimWords } from '@tide-pebble/core/bench';
import { Asked, sameParts } from '../../services/asked';
import { Firmnesses, NOT_YET } from '../../services/firmnesses';
import { injectBench } from '../../services/bench-signal';
import { Jobs } from '../../services/jobs';
import { Units } from '../../services/units';
import { BenchTabs } from './bench-tabs';
import { ReadoutList } from './readout-list';
import { HolderPanel } from './holder-panel';
import { Workspace } from '../../services/workspace';
import { AdjusterRow } from '../../ui/adjuster-row';
import { Findings } from '../../ui/findings/findings';
import { VerdictWords } from '../../ui/findings/verdict';
import { Icon } from '../../ui/icon';
import { nextFrame } from '../../ui/timing/next-frame';
import { NoBench } from '../../ui/no-bench';
import { peopleIn } from '../../ui/drawing/person';
import { RigViews } from '../../ui/drawing/rig-views';
import { StageLayout } from '../../ui/stage-layout';
import { FastenersNotice } from './fasteners-notice';
import { TradePanel } from './trade-panel';
import { TrimResult } from './trim-result';
import { WantsPanel } from './wants-panel';

const FRAME = 1 / 60;
const STILL = 0.5;
/** Swings shown after the first upright: enough to see it overshoot and come back. */
const PLAYED_FOR = 3;

@Component({
  selector: 'tp-balance',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    MatButton,
    MatProgressBar,
    BenchTabs,
    ReadoutList,
    StageLayout,
    FastenersNotice,
    TradePanel,
    TrimResult,
    WantsPanel,
    RigViews,
    Findings,
    VerdictWords,
    AdjusterRow,
    NoBench,
    Icon,
    HolderPanel,
  ],
  templateUrl: './balance.html',
  styleUrl: './balance.css',
  host: { '(document:keydown)': 'key($event)' },
})
export class Balance {
  private readonly workspace = inject(Workspace);
  private readonly jobs = inject(Jobs);
  private readonly units = inject(Units).now;
  private readonly bench = injectBench();
  private readonly firmNow = toSignal(inject(Firmnesses).bench$, { initialValue: NOT_YET });
  /** Null while it is worked out. */
  protected readonly firm = computed(() => (this.firmNow().lags ? null : this.firmNow().firm));
  /** What is drawn and told in the column, a frame after the tide line. */
  protected readonly shown = nextFrame(this.bench, (b) => b?.rig.id);
  protected readonly icons = { play: mdiPlay, stop: mdiStop };
  protected readonly above = signal(false);
  protected readonly views = computed<readonly View[]>(() => (this.above() ? ['top'] : ['side', 'front']));
  protected readonly swing = signal<number | null>(null);
  protected readonly clock = signal('');
  protected readonly drawnPose = signal<string | null>(null);
  protected readonly people = computed(() => {
    const bench = this.shown();
    return bench ? peopleIn(bench.work.rig, this.drawnPose(), bench.values, bench.work.hands) : [];
  });
  protected readonly aims = AIMS;
  protected readonly aim = signal<Aim>('lightest');
  private readonly given = computed(
    () => {
      const bench = this.bench();
      return [bench?.rig.id, bench?.work.assembly, bench?.rig.wants, bench?.values];
    },
    { equal: sameParts },
  );
  protected readonly solver = new Asked<ExplainedTrim>(this.given);
  private readonly wantedOf = computed(() => this.given().slice(0, 3), { equal: sameParts });
  /** Of this rig and these wants; where it was set, for as long as it is. */
  private readonly answer = linkedSignal<unknown, ExplainedTrim | null>({
    source: this.wantedOf,
    computation: () => null,
  });
  protected readonly outcome = computed(() => {
    const answer = this.answer();
    const settings = this.settings();
    const stands = (values: AdjusterValues): boolean =>
      Object.entries(values).every(([id, value]) => settings[id] === undefined || settings[id] === value);
    if (answer?.kind === 'solved')
      return [answer.values, ...answer.ties.map((t) => t.values)].some(stands) ? answer : null;
    return answer?.kind === 'axesSet' && !stands(answer.values) ? null : answer;
  });
  private playing = 0;

  protected readonly findings = computed(
    () => this.shown()?.judged.findings.filter((f) => f.stage === 'balance' || f.code === 'nothingMounted') ?? [],
  );
  protected readonly hung = computed(() => this.shown()?.judged.evaluation.hung ?? null);
  /** In full, by each way it is borne: every pose, axis, rate of spin, clamp, and set down. */
  protected readonly readouts = computed(() => {
    const bench = this.shown();
    return bench ? readoutsOf(bench.judged.context) : [];
  });
  protected readonly way = computed(() => {
    const bench = this.shown();
    return bench ? leadingWay(bench.judged.evaluation) : null;
  });
  private readonly loadouts = toSignal(this.workspace.loadouts$, { initialValue: [] });
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: new Map() });
  private readonly benchRig = computed(() => this.shown()?.work.rig ?? null);
  private readonly places = computed(() => {
    const rig = this.benchRig();
    return rig ? holdPlaces(rig, this.loadouts(), this.kit()) : null;
  });
  /** A boom's mark, or the camera's hole or slide, by loadout. */
  protected readonly marks = computed(() => {
    const values = this.shown()?.values;
    const found = this.places();
    if (!found || !values) return [];
    const say = (value: number): string => showFigure(figure('length', Math.abs(value), 0), this.units());
    const { adjuster } = found;
    const rig = this.benchRig();
    const place = (value: number): string => {
      const end = rig ? markFromEnd(rig, adjuster, { ...values, [adjuster.id]: value }) : null;
      if (end) return `${say(end.along)} from the rear end of the ${end.tube}`;
      if (adjuster.kind !== 'holes')
        return Math.abs(value) < 0.0005 ? 'on the middle mark' : `${say(value)} ${wayOf(adjuster, value)}`;
      const holes = Math.round(value / adjuster.step);
      return `${holes === 0 ? 'middle hole' : `${Math.abs(holes)} ${Math.abs(holes) === 1 ? 'hole' : 'holes'} ${wayOf(adjuster, holes)}`}, ${say(value - holes * adjuster.step)} off`;
    };
    return found.at(values).map((p) => ({
      id: p.loadout,
      name: p.name,
      reaches: p.reaches,
      text: `${place(p.value)}${p.reaches ? '' : ', further than it goes'}`,
    }));
  });
  protected readonly rows = computed(() => {
    const bench = this.shown();
    if (!bench) return [];
    const steps = adjusterSteps(bench.judged.context);
    return bench.work.rig.adjusters.map((adjuster, i) => ({ adjuster, step: steps[i]! }));
  });
  /** Where each stands this moment: two quick presses make two steps. */
  protected readonly settings = computed((): AdjusterValues => {
    const bench = this.bench();
    return bench ? Object.fromEntries(bench.work.rig.adjusters.map((a) => [a.id, bench.values[a.id] ?? a.value])) : {};
  });
  protected readonly wanted = computed(() => {
    const wants = this.shown()?.rig.wants;
    return wants ? render(this.way()?.aim(wants) ?? [], this.units()) : '';
  });
  protected readonly words = computed(() => {
    const outcome = this.outcome();
    const bench = this.shown();
    return outcome && bench
      ? render(trimWords(outcome, bench.work.rig.adjusters, this.aim()), this.units())
      : this.solver.reason();
  });
  protected readonly canPlay = computed(() => this.shown()?.judged.evaluation.hung?.pitch.drop.kind === 'falls');

  constructor() {
    inject(DestroyRef).onDestroy(() => this.stop());
  }

  protected move(id: string, name: string, { value, typed }: { value: number; typed?: string }): void {
    this.answer.set(null);
    this.workspace.setAdjusters(
      name.toLowerCase(),
      { [id]: value },
      `adjuster ${id}`,
      typed === undefined ? {} : { [id]: typed },
    );
  }

  /** `step`: it is one undoable step with what went before. */
  protected trim(step: string | null = null): void {
    const bench = this.bench();
    if (!bench || this.solver.part() !== null) return;
    this.answer.set(null);
    this.solver.ask(
      (told) =>
        this.jobs.run(
          'trim',
          { assembly: bench.work.assembly, values: bench.values, wants: bench.rig.wants, aim: this.aim() },
          told,
        ),
      (outcome) => {
        if (outcome.kind === 'solved' || outcome.kind === 'axesSet')
          this.workspace.setAdjusters('trim', outcome.values, step);
        this.answer.set(outcome);
      },
    );
  }

  protected pickAim(aim: Aim): void {
    this.aim.set(aim);
    this.answer.set(null);
    this.solver.stop();
  }

  protected play(): void {
    const hung = this.bench()?.judged.evaluation.hung;
    if (!hung || hung.pitch.drop.kind !== 'falls') return;
    if (this.swing() !== null) return this.stop();
    const { inertia, distance, drop } = hung.pitch;
    const until = drop.time * PLAYED_FOR;
    const angles = dropMotion({ mass: hung.sums.mass, inertia, distance, releaseAngle: FROM_LEVEL }, FRAME, until);
    const rest = hung.hang.rest?.noseDown ?? 0;
    // Who asked for less motion sees a few still places instead.
    const hold = matchMedia('(prefers-reduced-motion: reduce)').matches ? STILL : FRAME;
    const started = performance.now();
    const show = (now: number): void => {
      // The first frame may have begun before the press was taken.
      const time = Math.max(0, now - started) / 1000;
      const angle = angles[Math.floor((Math.floor(time / hold) * hold) / FRAME)];
      if (angle === undefined) return this.stop();
      // The mass centre starts level behind the pivot, so the nose points down.
      this.swing.set(rest + angle);
      this.clock.set(showFigure(figure('time', Math.min(time, drop.time), 2), this.units()));
      this.playing = requestAnimationFrame(show);
    };
    this.playing = requestAnimationFrame(show);
  }

  protected key(event: KeyboardEvent): void {
    if (
      event.ctrlKey ||
      event.metaKey ||
      event.altKey ||
      (event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName))
    )
      return;
    if (event.key === 't') this.trim();
    if (event.key === 'p') this.play();
  }

  private stop(): void {
    cancelAnimationFrame(this.playing);
    this.swing.set(null);
    this.clock.set('');
  }
}
