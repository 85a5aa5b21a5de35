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
  holdWords,
  holdPlaces,
  render,
  showFigure,
  wayOf,
  type AdjusterValues,
  type Aim,
  type ExplainedTrim,
  type View,
  AIMS,
  trimWords,
} from '@tide-pebble/core';
import { Asked, sameParts } from '../../services/asked';
import { injectBench } from '../../services/bench-signal';
import { Jobs } from '../../services/jobs';
import { Units } from '../../services/units';
import { BenchTabs } from './bench-tabs';
import { HolderPanel, peopleOf } from './holder-panel';
import { Workspace } from '../../services/workspace';
import { AdjusterRow } from '../../ui/adjuster-row';
import { Findings } from '../../ui/findings/findings';
import { VerdictWords } from '../../ui/findings/verdict';
import { Icon } from '../../ui/icon';
import { nextFrame } from '../../ui/timing/next-frame';
import { NoBench } from '../../ui/no-bench';
import { RigViews } from '../../ui/drawing/rig-views';
import { StageLayout } from '../../ui/stage-layout';
import { TradePanel } from './trade-panel';
import { TrimResult } from './trim-result';
import { WantsPanel } from './wants-panel';

const FRAME = 1 / 60;
const STILL = 0.5;
/** Swings shown after the first upright: enough to see it overshoot and come back. */
const PLAYED_FOR = 3;

/** The way a contact mostly pushes, in a word. */
function push([x, y, z]: readonly [number, number, number]): string {
  const [ahead, aside, up] = [Math.abs(x), Math.abs(y), Math.abs(z)];
  if (up >= ahead && up >= aside) return z > 0 ? 'bears up' : 'draws down';
  if (ahead >= aside) return x > 0 ? 'pushes forward' : 'holds back';
  return y > 0 ? 'pushes to the left' : 'pushes to the right';
}

@Component({
  selector: 'tp-balance',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    MatButton,
    MatProgressBar,
    BenchTabs,
    StageLayout,
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
    return bench ? peopleOf(bench, this.drawnPose()) : [];
  });
  protected readonly aims = AIMS;
  protected readonly aim = signal<Aim>('lightest');
  private readonly given = computed(
    () => {
      const bench = this.bench();
      return [bench?.rig.id, bench?.piece.assembly, bench?.rig.wants, bench?.values];
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
  /** What each pose asks of the hands, for a rig that hangs on nothing. */
  protected readonly poses = computed(() => {
    const say = (kind: Parameters<typeof figure>[0], value: number, decimals?: number): string =>
      showFigure(figure(kind, value, decimals), this.units());
    const tips = (torque: number, words: readonly [string, string]): string =>
      Math.abs(torque) < 0.005 ? '' : `${say('torque', Math.abs(torque))} ${words[torque > 0 ? 0 : 1]}`;
    return (this.shown()?.judged.evaluation.held ?? []).map(
      ({ pose, hands, shoulder, holds, tires, bears, falls }) => ({
        id: pose.id,
        name: pose.name,
        lines: [
          ...(falls
            ? [
                `Cannot be held by pushing: it falls ${Math.abs(falls.noseDown) >= Math.abs(falls.leftSideDown) ? (falls.noseDown > 0 ? 'nose down' : 'nose up') : falls.leftSideDown > 0 ? 'left side down' : 'right side down'}.`,
              ]
            : []),
          ...bears.map(
            (b) =>
              `${b.contact.name}: ${b.size < 0.05 ? 'bears nothing' : `${push(b.force)} ${say('force', b.size, 1)}, ${say('percent', b.share, 0)} of what is comfortable`}.`,
          ),
          ...(bears.length > 0 ? [] : hands).map(
            (h) =>
              `${h.contact.name}: ${Math.abs(h.up) < 0.05 ? 'carries nothing' : `${h.up >= 0 ? 'holds up' : 'holds down'} ${say('force', Math.abs(h.up), 1)}`}${[
                tips(h.noseDown, ['nose down', 'nose up']),
                tips(h.leftSideDown, ['left side down', 'right side down']),
              ]
                .filter(Boolean)
                .map((t) => `, ${t}`)
                .join('')}`,
          ),
          ...(shoulder === null ? [] : [`Shoulder ${say('torque', shoulder, 1)}, the arm's own weight with it.`]),
          render(holdWords({ holds, tires }), this.units()),
        ],
      }),
    );
  });
  /** A pole at rest and spun; axes inside axes, each with what friction hides. */
  protected readonly turning = computed(() => {
    const evaluation = this.shown()?.judged.evaluation;
    const say = (kind: Parameters<typeof figure>[0], value: number, decimals?: number): string =>
      showFigure(figure(kind, value, decimals), this.units());
    if (!evaluation) return [];
    const { pole, axes } = evaluation;
    const droop = (q: number | null): string =>
      q === null
        ? 'no rest of its own'
        : Math.abs(q) < 0.0009
          ? 'level'
          : `${say('angle', Math.abs(q))} ${q > 0 ? 'camera end down' : 'weight end down'}`;
    return [
      ...(pole
        ? [
            {
              id: 'pole-rest',
              name: 'At rest',
              lines: [
                `${droop(pole.rest.droop)}${pole.rest.onStop ? ', on its stop' : ''}.`,
                `On the neck ${say('torque', pole.rest.neckMoment)}, an estimate.`,
              ],
            },
          ]
        : []),
      ...(pole?.spun ?? []).map((s) => ({
        id: `pole-${s.rate}`,
        name: `At ${(s.rate / (2 * Math.PI)).toFixed(1)} turns a second`,
        lines: [
          `${droop(s.droop)}${s.onStop ? ', on its stop' : ''}.`,
          `Pulls the mount aside with ${say('force', s.swivelSideLoad, 1)}; on the neck ${say('torque', s.neckMoment)}.`,
        ],
      })),
      ...axes.map((a) => ({
        id: a.pivot.id,
        name: a.pivot.name[0]!.toUpperCase() + a.pivot.name.slice(1),
        lines: [
          `${say('torque', a.residual, 3)} at worst${a.residual <= a.friction ? ', hidden by friction' : ''}.`,
          `Carries ${say('mass', a.carriedMass)}, its mass centre ${say('length', a.distance)} off the axis. Friction hides ${say('torque', a.friction, 3)}.`,
        ],
      })),
    ];
  });
  private readonly loadouts = toSignal(this.workspace.loadouts$, { initialValue: [] });
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: new Map() });
  private readonly benchRig = computed(() => this.shown()?.piece.rig ?? null);
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
    const place = (value: number): string => {
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
    const steps = adjusterSteps(bench.piece.assembly, bench.values, bench.piece.quick);
    return bench.piece.rig.adjusters.map((adjuster, i) => ({ adjuster, step: steps[i]! }));
  });
  /** Where each stands this moment: two quick presses make two steps. */
  protected readonly settings = computed((): AdjusterValues => {
    const bench = this.bench();
    return bench ? Object.fromEntries(bench.piece.rig.adjusters.map((a) => [a.id, bench.values[a.id] ?? a.value])) : {};
  });
  protected readonly wanted = computed(() => {
    const wants = this.shown()?.rig.wants;
    if (!wants) return '';
    const say = (kind: 'angle' | 'time', value: number): string => showFigure(figure(kind, value), this.units());
    return this.hung()
      ? `level within ${say('angle', wants.levelWithin)}, drop ${say('time', wants.dropTime[0])} to ${say('time', wants.dropTime[1])}`
      : '';
  });
  protected readonly words = computed(() => {
    const outcome = this.outcome();
    const bench = this.shown();
    return outcome && bench
      ? render(trimWords(outcome, bench.piece.rig.adjusters, this.aim()), this.units())
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
          { assembly: bench.piece.assembly, values: bench.values, wants: bench.rig.wants, aim: this.aim() },
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
