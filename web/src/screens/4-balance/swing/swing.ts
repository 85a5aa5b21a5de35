/** The swing player: a hand's motion, seen from outside and through the lens, two set-ups or the bare camera side by side. */
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { mdiPause, mdiPlay } from '@mdi/js';
import { DEGREE, evaluate, figure, leadingWay, quaternionAbout, showFigure, NOTHING_BEARS } from '@tide-pebble/core';
import {
  bareSwinger,
  MOTIONS,
  swingerOf,
  swingFigures,
  traceOf,
  type Motion,
  type Swinger,
  type SwingFigures,
  type SwingInput,
  type SwingTrace,
} from '@tide-pebble/core/bench';
import { catchError, of, switchMap, Subject, type Observable } from 'rxjs';
import { injectBench } from '../../../services/bench-signal';
import { Jobs } from '../../../services/jobs';
import { saveCsv } from '../../../services/save-csv';
import { saveFile } from '../../../services/save-file';
import { Units } from '../../../services/units';
import { Workspace, type Bench } from '../../../services/workspace';
import { Icon } from '../../../ui/icon';
import { NoBench } from '../../../ui/no-bench';
import { RigViews } from '../../../ui/drawing/rig-views';
import { StageLayout } from '../../../ui/stage-layout';
import { BenchTabs } from '../bench-tabs';
import { LensView } from '../lens-view';
import { TraceChart } from './trace-chart';

const EVERY = 1 / 60;
/** Error allowed in a step: far finer than a screen shows. */
const TOLERANCE = 1e-8;
const USUAL_WIDTH = 40 * DEGREE;
const STILL_EVERY = 0.5;
const SPEEDS = [1, 0.5, 0.25] as const;

/** One thing that swings: its name and what was worked out for it. */
interface Run {
  readonly name: string;
  readonly swinger: Swinger;
  readonly trace: SwingTrace;
  readonly figures: SwingFigures;
}
type State =
  | { readonly kind: 'working' }
  | { readonly kind: 'ready'; readonly motion: Motion; readonly runs: readonly Run[] }
  | { readonly kind: 'none'; readonly reason: string };

@Component({
  selector: 'tp-swing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatProgressBar, StageLayout, RigViews, NoBench, BenchTabs, LensView, TraceChart, Icon],
  templateUrl: './swing.html',
  styleUrls: ['../sheet.css', './swing.css'],
})
export class SwingSheet {
  private readonly jobs = inject(Jobs);
  private readonly units = inject(Units).now;
  private readonly workspace = inject(Workspace);
  protected readonly bench = injectBench();
  protected readonly icons = { play: mdiPlay, pause: mdiPause };
  protected readonly speeds = SPEEDS;
  private readonly setups = toSignal(this.workspace.setups$, { initialValue: [] });
  private readonly loadouts = toSignal(this.workspace.loadouts$, { initialValue: [] });

  protected readonly motionId = signal('walk');
  protected readonly against = signal('bare');
  protected readonly time = signal(0);
  protected readonly speed = signal<number>(1);
  protected readonly running = signal(false);
  protected readonly state = signal<State>({ kind: 'working' });
  private frame = 0;

  /** A drop is a test of what hangs. */
  protected readonly motions = computed(() =>
    MOTIONS.filter((m) => !m.release || this.bench()?.judged.evaluation.hung),
  );
  protected readonly motion = computed(
    () => this.motions().find((m) => m.id === this.motionId()) ?? this.motions()[0]!,
  );
  /** What it can be set beside: the bare camera, or another set-up of this rig that was kept. */
  protected readonly others = computed(() => {
    const bench = this.bench();
    if (!bench) return [];
    const kept = this.setups().filter((s) => s.rig === bench.rig.id && s.loadout !== bench.rig.loadout);
    return [
      { id: 'none', name: 'nothing' },
      { id: 'bare', name: 'the bare camera in a hand' },
      { id: 'before', name: 'how it would be with its weights off' },
      ...kept.map((s) => ({
        id: s.id,
        name: `set as for ${this.loadouts().find((l) => l.id === s.loadout)?.name ?? 'another loadout'}`,
      })),
    ];
  });
  protected readonly across = computed(() => {
    const cones = this.bench()?.work.cones ?? [];
    return cones.length > 0 ? Math.min(...cones.map((c) => c.long.across)) : USUAL_WIDTH;
  });
  protected readonly runs = computed(() => {
    const now = this.state();
    return now.kind === 'ready' ? now.runs : [];
  });
  protected readonly until = computed(() => this.motion().until);
  /** Angles at the time shown, one a run. */
  protected readonly shown = computed(() => {
    const n = Math.round(this.time() / EVERY);
    return this.runs().map(({ name, trace, swinger }) => {
      const at = (list: Float64Array): number => list[Math.min(n, list.length - 1)] ?? 0;
      return {
        name,
        pitch: at(trace.pitch) + swinger.level.lens,
        roll: at(trace.roll) + swinger.level.left,
        pan: at(trace.pan),
      };
    });
  });
  protected readonly outside = computed(() => {
    const [first] = this.shown();
    return first ? { side: -first.pitch, front: -first.roll } : null;
  });
  protected readonly rows = computed(() => {
    const runs = this.runs();
    const row = (name: string, cell: (r: Run) => string, first = false) => ({ name, first, cells: runs.map(cell) });
    const of = (axis: 'pitch' | 'roll' | 'pan', name: string) => [
      row(`${name}, at most`, (r) => this.say('angle', r.figures[axis].peak), true),
      row('of the picture', (r) =>
        this.say('percent', r.figures[axis].peakOfFrame, r.figures[axis].peakOfFrame < 0.1 ? 1 : 0),
      ),
      row('rms', (r) => this.say('angle', r.figures[axis].rms, 2)),
    ];
    return runs.length === 0
      ? []
      : [
          ...of('pitch', 'Nose'),
          ...of('roll', 'Horizon'),
          ...of('pan', 'Pan'),
          row(
            'Settles',
            (r) =>
              r.figures.settles === null
                ? 'not in the run'
                : r.figures.settles === 0
                  ? 'at once'
                  : `${this.say('time', r.figures.settles)} after`,
            true,
          ),
        ];
  });
  /** Why a frame of axes may be no calmer than a hand. */
  protected readonly rubbing = computed(() => {
    const axes = this.runs()[0]?.swinger;
    return axes?.holds === 'axes'
      ? `Each axis rubs with ${this.say('torque', axes.joint.dry ?? 0, 3)}: so much of the hand’s own rocking reaches the camera. Freer bearings, or a heavier camera, keep more of it away.`
      : '';
  });
  protected readonly clock = computed(() => this.say('time', this.time(), 2));
  protected readonly reason = computed(() => {
    const now = this.state();
    return now.kind === 'none' ? now.reason : '';
  });

  constructor() {
    const asked = new Subject<{ bench: Bench; motion: Motion; against: string }>();
    const answers = asked
      .pipe(switchMap(({ bench, motion, against }) => this.workedOut(bench, motion, against)))
      .subscribe((state) => this.state.set(state));
    inject(DestroyRef).onDestroy(() => {
      answers.unsubscribe();
      cancelAnimationFrame(this.frame);
    });
    effect(() => {
      const [bench, motion, against] = [this.bench(), this.motion(), this.against()];
      if (bench && motion)
        untracked(() => {
          this.state.set({ kind: 'working' });
          this.stop();
          this.time.set(0);
          asked.next({ bench, motion, against });
        });
    });
  }

  private workedOut(bench: Bench, motion: Motion, against: string): Observable<State> {
    const {
      work: { assembly },
      values,
      judged: { evaluation },
    } = bench;
    const own = swingerOf(assembly, values, evaluation);
    if (!own)
      return of<State>({
        kind: 'none',
        reason: leadingWay(evaluation)?.noSwing(evaluation) ?? NOTHING_BEARS,
      });
    const swingers = [{ name: 'this rig, as set', swinger: own }, ...this.compared(bench, against)];
    const inputs = swingers.map(({ swinger }): SwingInput => ({
      rig: swinger.rig,
      joint: swinger.joint,
      motion: motion.motion,
      every: EVERY,
      until: motion.until,
      tolerance: TOLERANCE,
      ...(swinger.holds !== 'joint'
        ? { from: [1, 0, 0, 0] as const }
        : motion.release
          ? { from: quaternionAbout([0, 1, 0], -motion.release) }
          : {}),
    }));
    return this.jobs.run('swing', inputs).pipe(
      switchMap((outcomes): Observable<State> => {
        const runs = outcomes.flatMap((o, i): readonly Run[] => {
          if (o.kind !== 'swings') return [];
          const { name, swinger } = swingers[i]!;
          const trace = traceOf(o.swing, motion.motion, swinger.level);
          return [{ name, swinger, trace, figures: swingFigures(trace, this.across(), motion.ends) }];
        });
        return of(
          runs.length > 0
            ? { kind: 'ready', motion, runs }
            : {
                kind: 'none',
                reason:
                  'The swing could not be followed to the error asked for. Say so with the rig file: it should not happen.',
              },
        );
      }),
      catchError((fault: Error) => of<State>({ kind: 'none', reason: fault.message })),
    );
  }

  private compared(
    { work: { assembly, rig, hands }, values, judged: { evaluation } }: Bench,
    against: string,
  ): readonly { readonly name: string; readonly swinger: Swinger }[] {
    const other = against === 'bare' ? bareSwinger(assembly, values, evaluation) : null;
    if (other) return [{ name: 'the bare camera', swinger: other }];
    const set =
      against === 'before'
        ? Object.fromEntries(rig.adjusters.filter((a) => a.kind === 'count').map((a) => [a.id, a.range[0]]))
        : this.setups().find((s) => s.id === against)?.values;
    if (!set || against === 'none') return [];
    const there = { ...values, ...set };
    const swinger = swingerOf(assembly, there, evaluate(assembly, there, hands));
    return swinger ? [{ name: against === 'before' ? 'weights off' : 'the other set-up', swinger }] : [];
  }

  protected play(): void {
    if (this.running()) return this.stop();
    if (this.time() >= this.until() - EVERY) this.time.set(0);
    this.running.set(true);
    // Who asked for less motion sees still places instead.
    const still = matchMedia('(prefers-reduced-motion: reduce)').matches;
    let last = performance.now();
    let owed = 0;
    const step = (now: number): void => {
      if (!this.running()) return;
      owed += ((now - last) / 1000) * this.speed();
      last = now;
      if (owed >= (still ? STILL_EVERY : EVERY)) {
        this.time.update((t) => Math.min(this.until(), t + owed));
        owed = 0;
      }
      if (this.time() >= this.until()) return this.stop();
      this.frame = requestAnimationFrame(step);
    };
    this.frame = requestAnimationFrame(step);
  }

  protected scrub(value: string): void {
    this.stop();
    this.time.set(Number(value));
  }

  protected stop(): void {
    cancelAnimationFrame(this.frame);
    this.running.set(false);
  }

  protected csv(): void {
    void saveCsv(
      `${this.fileName()}.csv`,
      this.samples().map((s) => Object.fromEntries(Object.entries(s))),
    );
  }

  protected json(): void {
    const { motion } = { motion: this.motion() };
    saveFile(
      `${this.fileName()}.json`,
      JSON.stringify(
        {
          format: 'tide-pebble-swing',
          units: 's, rad; nose up, left side up, to the left of where the hand points',
          motion: motion.id,
          everySeconds: EVERY,
          runs: this.runs().map((r) => ({
            name: r.name,
            pitch: [...r.trace.pitch],
            roll: [...r.trace.roll],
            pan: [...r.trace.pan],
            figures: r.figures,
          })),
        },
        null,
        1,
      ),
      'application/json',
    );
  }

  private samples(): readonly Readonly<Record<string, number>>[] {
    const runs = this.runs();
    return Array.from({ length: runs[0]?.trace.pitch.length ?? 0 }, (_, n) => ({
      time_s: round(n * EVERY),
      ...Object.fromEntries(
        runs.flatMap((r) =>
          (['pitch', 'roll', 'pan'] as const).map((axis) => [
            `${r.name} ${axis}_deg`,
            round(r.trace[axis][n]! / DEGREE),
          ]),
        ),
      ),
    }));
  }

  private fileName(): string {
    return `${this.bench()?.rig.name ?? 'rig'} ${this.motion().name.toLowerCase()}`;
  }

  private say(kind: Parameters<typeof figure>[0], value: number, decimals?: number): string {
    return showFigure(figure(kind, value, decimals), this.units());
  }
}

const round = (x: number): number => Math.round(x * 1e5) / 1e5;
