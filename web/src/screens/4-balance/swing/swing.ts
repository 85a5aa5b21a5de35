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
import { MatCheckbox } from '@angular/material/checkbox';
import { MatProgressBar } from '@angular/material/progress-bar';
import { mdiPause, mdiPlay } from '@mdi/js';
import {
  DEGREE,
  evaluate,
  figure,
  jointsKnown,
  leadingWay,
  quaternionAbout,
  showFigure,
  workpiece,
  NOTHING_BEARS,
  type KitItem,
} from '@tide-pebble/core';
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
import type { Bending, RungSwingInput } from '@tide-pebble/core/strength';
import { catchError, map, of, switchMap, Subject, type Observable } from 'rxjs';
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
/** Before the id of another rig to set beside. */
const RIG = 'rig ';
const NO_KIT: ReadonlyMap<string, KitItem> = new Map();
const withBending = (stiff: SwingTrace, bending: Bending): SwingTrace => {
  const sum = (axis: 'pitch' | 'roll' | 'pan'): Float64Array => stiff[axis].map((x, n) => x + (bending[axis][n] ?? 0));
  return { every: stiff.every, pitch: sum('pitch'), roll: sum('roll'), pan: sum('pan') };
};

/** One thing that swings, and the rig that bends with it; none: a bare camera. */
interface Swings {
  readonly name: string;
  readonly swinger: Swinger;
  readonly rig: Pick<RungSwingInput, 'assembly' | 'values' | 'joints'> | null;
}
/** What was worked out for it: swung stiff, and what bending adds. */
interface Worked extends Swings {
  readonly stiff: SwingTrace;
  readonly bending: Bending | null;
}
interface Run {
  readonly name: string;
  readonly swinger: Swinger;
  readonly trace: SwingTrace;
  readonly figures: SwingFigures;
  readonly bends: boolean;
}
type State =
  | { readonly kind: 'working' }
  | { readonly kind: 'ready'; readonly motion: Motion; readonly runs: readonly Worked[] }
  | { readonly kind: 'none'; readonly reason: string };

@Component({
  selector: 'tp-swing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    MatButton,
    MatCheckbox,
    MatProgressBar,
    StageLayout,
    RigViews,
    NoBench,
    BenchTabs,
    LensView,
    TraceChart,
    Icon,
  ],
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
  private readonly rigs = toSignal(this.workspace.rigs$, { initialValue: [] });
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: NO_KIT });
  private readonly log = toSignal(this.workspace.log$, { initialValue: [] });
  private readonly loadouts = toSignal(this.workspace.loadouts$, { initialValue: [] });

  protected readonly motionId = signal('walk');
  protected readonly against = signal('bare');
  protected readonly time = signal(0);
  protected readonly speed = signal<number>(1);
  protected readonly running = signal(false);
  /** What bends rings on top of the swing. */
  protected readonly bendsToo = signal(true);
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
      ...this.rigs()
        .filter((r) => r.id !== bench.rig.id)
        .map((r) => ({ id: `${RIG}${r.id}`, name: r.name })),
    ];
  });
  protected readonly across = computed(() => {
    const cones = this.bench()?.work.cones ?? [];
    return cones.length > 0 ? Math.min(...cones.map((c) => c.long.across)) : USUAL_WIDTH;
  });
  protected readonly runs = computed((): readonly Run[] => {
    const now = this.state();
    if (now.kind !== 'ready') return [];
    return now.runs.map(({ name, swinger, stiff, bending }) => {
      const trace = bending && this.bendsToo() ? withBending(stiff, bending) : stiff;
      return {
        name,
        swinger,
        trace,
        figures: swingFigures(trace, this.across(), now.motion.ends),
        bends: bending !== null,
      };
    });
  });
  protected readonly someBend = computed(() => this.runs().some((r) => r.bends));
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
    const joints = jointsKnown(this.log(), bench.rig.id);
    const swingers: readonly Swings[] = [
      { name: 'this rig, as set', swinger: own, rig: { assembly, values, joints } },
      ...this.compared(bench, against),
    ];
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
    // What is let go hangs on its joint then: its hand does not shake it.
    const bent = swingers.flatMap(({ rig }) => (rig && !motion.release ? [rig] : []));
    const shaken = { ...motion.motion, pushes: [...motion.motion.pushes, ...(motion.steps ?? [])] };
    const rung$ =
      bent.length === 0
        ? of([])
        : this.jobs.run(
            'rung',
            bent.map((rig) => ({ ...rig, motion: shaken, every: EVERY, until: motion.until })),
          );
    return this.jobs.run('swing', inputs).pipe(
      switchMap((outcomes) => rung$.pipe(map((bendings) => ({ outcomes, bendings })))),
      switchMap(({ outcomes, bendings }): Observable<State> => {
        const runs = outcomes.flatMap((o, i): readonly Worked[] => {
          if (o.kind !== 'swings') return [];
          const one = swingers[i]!;
          const stiff = traceOf(o.swing, motion.motion, one.swinger.level);
          return [{ ...one, stiff, bending: one.rig ? (bendings[bent.indexOf(one.rig)] ?? null) : null }];
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
    { work: { assembly, rig, hands }, rig: { id }, values, judged: { evaluation } }: Bench,
    against: string,
  ): readonly Swings[] {
    const other = against === 'bare' ? bareSwinger(assembly, values, evaluation) : null;
    if (other) return [{ name: 'the bare camera', swinger: other, rig: null }];
    if (against.startsWith(RIG)) return this.another(against.slice(RIG.length));
    const set =
      against === 'before'
        ? Object.fromEntries(rig.adjusters.filter((a) => a.kind === 'count').map((a) => [a.id, a.range[0]]))
        : this.setups().find((s) => s.id === against)?.values;
    if (!set || against === 'none') return [];
    const there = { ...values, ...set };
    const swinger = swingerOf(assembly, there, evaluate(assembly, there, hands));
    const name = against === 'before' ? 'weights off' : 'the other set-up';
    return swinger ? [{ name, swinger, rig: { assembly, values: there, joints: jointsKnown(this.log(), id) } }] : [];
  }

  private another(id: string): readonly Swings[] {
    const rig = this.rigs().find((r) => r.id === id);
    const loadout = this.loadouts().find((l) => l.id === rig?.loadout) ?? null;
    const made = rig ? workpiece(rig, loadout, this.kit()) : null;
    if (!rig || !made?.ok) return [];
    const { assembly, hands } = made.work;
    const values = this.setups().find((s) => s.rig === id && s.loadout === (rig.loadout ?? 'bare'))?.values ?? {};
    const swinger = swingerOf(assembly, values, evaluate(assembly, values, hands));
    return swinger ? [{ name: rig.name, swinger, rig: { assembly, values, joints: jointsKnown(this.log(), id) } }] : [];
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
