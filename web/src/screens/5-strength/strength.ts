/** Strength: how the rig sags, rings and holds before a bar is cut; the weakest places, and what each change would buy. */
import { ChangeDetectionStrategy, Component, computed, effect, inject, linkedSignal, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { figure, fromTo, jointsKnown, render, sameJoints, type JointsHeard } from '@tide-pebble/core';
import {
  strainedShare,
  SURE,
  type Carried,
  type ShownMode,
  type StrengthSheet,
  type StrengthSheetOutcome,
} from '@tide-pebble/core/strength';
import { RouterLink } from '@angular/router';
import { catchError, debounceTime, map, of, startWith, switchMap, type Observable } from 'rxjs';
import { injectBench } from '../../services/bench-signal';
import { Jobs } from '../../services/jobs';
import { Pointer } from '../../services/pointer';
import { Units } from '../../services/units';
import { Workspace, type Bench } from '../../services/workspace';
import { QuantityField } from '../../ui/figures/quantity-field';
import { FigurePipe, SayPipe } from '../../ui/figures/figures.pipe';
import { RigViews } from '../../ui/drawing/rig-views';
import { NoBench } from '../../ui/no-bench';
import { StageLayout } from '../../ui/stage-layout';
import { BesidePanel } from './beside-panel';
import { ModePicture } from './mode-picture';
import { StiffenPanel } from './stiffen-panel';

type Now =
  | { readonly kind: 'working' }
  | { readonly kind: 'failed'; readonly reason: string }
  | { readonly kind: 'done'; readonly outcome: StrengthSheetOutcome; readonly of: Bench };
interface Question {
  readonly bench: Bench;
  readonly pose: string | null;
  readonly bump: number;
  readonly shutter: number;
  readonly joints: JointsHeard;
  readonly modes: number;
}
const WORKING: Now = { kind: 'working' };
/** A drag makes many edits a second; the equations may wait for a pause. */
const AFTER_MS = 40;
const USUAL_BUMP = 3;
const MODES = 6;
const MODES_AT_MOST = 24;
/** One over so many seconds. */
const SHUTTERS = [25, 50, 100, 200, 500];
const USUAL_SHUTTER = 50;
/** Of the picture: less is seen by nobody. */
const LEAST_SHARE = 0.0001;
const GIVES = { along: ['pulls out'], across: ['slips'], twist: ['turns'], tilt: ['opens or slips'] } as const;
/** A hundredth of a degree. */
const SMALL = Math.PI / 18000;

@Component({
  selector: 'tp-strength',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    MatButton,
    RouterLink,
    MatProgressBar,
    StageLayout,
    NoBench,
    RigViews,
    FigurePipe,
    SayPipe,
    QuantityField,
    ModePicture,
    StiffenPanel,
    BesidePanel,
  ],
  templateUrl: './strength.html',
  styleUrl: './strength.css',
})
export class Strength {
  private readonly jobs = inject(Jobs);
  protected readonly pointer = inject(Pointer);
  protected readonly units = inject(Units).now;
  protected readonly bench = injectBench();

  protected readonly bump = signal(USUAL_BUMP);
  protected readonly shutters = SHUTTERS;
  protected readonly shutter = signal(USUAL_SHUTTER);
  /** The pose asked about, by id; the rig's first until another is chosen. */
  protected readonly pose = linkedSignal<string | undefined, string | null>({
    source: () => this.bench()?.rig.id,
    computation: () => this.bench()?.work.rig.poses[0]?.id ?? null,
  });
  private readonly log = toSignal(inject(Workspace).log$, { initialValue: [] });
  protected readonly joints = computed(() => jointsKnown(this.log(), this.bench()?.rig.id ?? ''), {
    equal: sameJoints,
  });
  private readonly question = computed((): Question | null => {
    const bench = this.bench();
    return (
      bench && {
        bench,
        pose: this.pose(),
        bump: this.bump(),
        shutter: this.shutter(),
        joints: this.joints(),
        modes: this.modes(),
      }
    );
  });
  private readonly now = toSignal(
    toObservable(this.question).pipe(
      debounceTime(AFTER_MS),
      switchMap((asked): Observable<Now> => (asked ? this.reckon(asked) : of(WORKING))),
    ),
    { initialValue: WORKING },
  );
  /** What was last worked out for this rig stays while the next is. */
  private readonly last = linkedSignal<Now, Extract<Now, { kind: 'done' }> | null>({
    source: this.now,
    computation: (now, before) => (now.kind === 'done' ? now : (before?.value ?? null)),
  });
  private readonly done = computed(() => {
    const last = this.last();
    return last?.of.rig.id === this.bench()?.rig.id ? last : null;
  });
  protected readonly lags = computed(() => this.now().kind === 'working');
  protected readonly failed = computed(() => {
    const now = this.now();
    return now.kind === 'failed' ? now.reason : '';
  });
  protected readonly cannot = computed(() => {
    const outcome = this.done()?.outcome;
    return outcome?.kind === 'cannot' ? outcome.word : null;
  });
  protected readonly sheet = computed((): StrengthSheet | null => {
    const outcome = this.done()?.outcome;
    return outcome?.kind === 'told' ? outcome.sheet : null;
  });
  protected readonly calm = computed(() => this.sheet()?.words.length === 0);

  /** The narrowest picture there is: where a turn is seen most. */
  protected readonly narrowest = computed((): number | null => {
    const angles = (this.bench()?.work.cones ?? []).map((c) => c.long.across);
    return angles.length === 0 ? null : Math.min(...angles);
  });

  /** How many ways of ringing are told: the lowest, until more are asked for. */
  protected readonly modes = linkedSignal<string | undefined, number>({
    source: () => this.bench()?.rig.id,
    computation: () => MODES,
  });
  protected readonly mayTellMore = computed(
    () => this.modes() < MODES_AT_MOST && this.sheet()?.modes.length === this.modes(),
  );

  protected tellMore(): void {
    this.modes.update((n) => Math.min(MODES_AT_MOST, n + MODES));
  }

  private readonly pickedMode = linkedSignal<string | undefined, number>({
    source: () => this.bench()?.rig.id,
    computation: () => 0,
  });
  protected readonly modeIndex = computed(() =>
    Math.min(this.pickedMode(), Math.max(0, (this.sheet()?.modes.length ?? 1) - 1)),
  );
  protected readonly mode = computed(() => this.sheet()?.modes[this.modeIndex()] ?? null);

  constructor() {
    // What moves without bending is lit in the drawing.
    effect(() => {
      const about = this.cannot()?.about;
      if (about) this.pointer.point(about);
    });
  }

  protected pickMode(index: number): void {
    this.pickedMode.set(index);
  }

  protected rangeOf({ range: [least, most] }: ShownMode): string {
    const [a, b] = [least, most].map((f) => render([figure('frequency', f)], this.units()));
    return a === b
      ? 'However stiff its joints are it stays so.'
      : `${render(fromTo('frequency', least, most), this.units())}, as its joints may be softer or stiffer.`;
  }

  protected livesIn({ livesIn }: ShownMode): string {
    return livesIn
      .filter((l) => l.share > 0.05)
      .map((l) => `${l.name} ${Math.round(l.share * 100)} %`)
      .join(', ');
  }

  /** A turn too small to be seen is told as under what is. */
  protected turn(angle: number | undefined): string {
    if (angle === undefined) return 'not known';
    const least = render([figure('angle', SMALL, 2)], this.units());
    return angle < SMALL ? `under ${least}` : render([figure('angle', angle, 2)], this.units());
  }

  protected shareOf(angle: number): string {
    const across = this.narrowest();
    if (across === null) return '–';
    const part = angle / across;
    return part < LEAST_SHARE
      ? `under ${render([figure('percent', LEAST_SHARE, 2)], this.units())}`
      : render([figure('percent', part, 2)], this.units());
  }

  protected share(carried: Carried): string {
    return `${render([figure('percent', strainedShare(carried), 0)], this.units())} of what it holds`;
  }

  /** Which way it is nearest to giving, of what it holds that way; else that it is not known. */
  protected holds({ nearest, source, kind }: Carried): string {
    if (!nearest) return `what it holds is not known (${kind === 'bonded' ? 'glue' : source}): see that it stays tight`;
    const { way, carries, holds } = nearest;
    const unit = way === 'along' || way === 'across' ? 'force' : 'torque';
    return render(
      [...GIVES[way], ' at ', figure(unit, holds), ', now ', figure(unit, carries), `: ${source}`],
      this.units(),
    );
  }

  protected bumps(reserve: number): string {
    return reserve > SURE ? `over ${SURE} ×` : render([figure('ratio', reserve)], this.units());
  }

  private reckon({ bench, pose, bump, shutter, joints, modes }: Question): Observable<Now> {
    const { assembly, rig } = bench.work;
    const held = rig.poses.find((p) => p.id === pose) ?? null;
    return this.jobs
      .run('strength', { assembly, values: bench.values, pose: held, bump, shutter: 1 / shutter, joints, modes })
      .pipe(
        map((outcome): Now => ({ kind: 'done', outcome, of: bench })),
        catchError((fault: Error) => of<Now>({ kind: 'failed', reason: fault.message })),
        startWith(WORKING),
      );
  }
}
