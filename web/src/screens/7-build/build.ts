/** Build: the steps from the rig's own parts in the order found for them, each shown coming together, ticked off and kept; cautions where work can hurt. */
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { RouterLink } from '@angular/router';
import { mdiAlert, mdiLock } from '@mdi/js';
import { fromEvent, map } from 'rxjs';
import { cautionsOf, type RigDocument } from '@tide-pebble/core';
import { blockedWords, goesOnFor, ticked, type BuildStep } from '@tide-pebble/core/making';
import { Ledger } from '../../services/ledger';
import { Pointer } from '../../services/pointer';
import { StepOrder } from '../../services/step-order';
import { Units } from '../../services/units';
import { Workspace } from '../../services/workspace';
import { Cautions } from '../../ui/findings/cautions';
import { LeftOut } from '../../ui/findings/left-out';
import { SayPipe } from '../../ui/figures/figures.pipe';
import { Icon } from '../../ui/icon';
import { grown } from '../../ui/timing/grown';
import { NoBench } from '../../ui/no-bench';
import { RigViews } from '../../ui/drawing/rig-views';
import { StageLayout } from '../../ui/stage-layout';
import { AsMadeFields } from './as-made';
import { AtBench } from './at-bench';
import { BuildPicture } from './build-picture';
import { Evenings } from './evenings';
import { MadePanel } from './made-panel';
import { OwnMinutes } from './own-minutes';
import { SettingClock } from './setting-clock';
import { StepDetail } from './step-detail';
import { injectSteps } from './steps-now';

@Component({
  selector: 'tp-build',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    MatButton,
    MatCheckbox,
    RouterLink,
    LeftOut,
    StageLayout,
    RigViews,
    NoBench,
    Cautions,
    SayPipe,
    Icon,
    AsMadeFields,
    AtBench,
    BuildPicture,
    Evenings,
    MadePanel,
    OwnMinutes,
    SettingClock,
    StepDetail,
  ],
  templateUrl: './build.html',
  styleUrl: './build.css',
})
export class Build {
  private readonly workspace = inject(Workspace);
  private readonly ledger = inject(Ledger);
  protected readonly pointer = inject(Pointer);
  protected readonly units = inject(Units).now;
  protected readonly icons = { caution: mdiAlert, final: mdiLock };
  protected readonly now = injectSteps();
  protected readonly bench = this.now.bench;
  protected readonly steps = this.now.steps;
  protected readonly fault = this.now.fault;
  protected readonly order = inject(StepOrder);

  protected readonly cautions = computed(() => {
    const bench = this.bench();
    return bench ? cautionsOf(bench.work.rig) : [];
  });
  protected readonly isWorking = computed(() => !this.now.plan() && !this.fault());
  protected readonly blocked = computed(() => {
    const bench = this.bench();
    return bench ? (this.now.plan()?.blocked.map((b) => blockedWords(b, bench.work.rig)) ?? []) : [];
  });
  /** As they are drawn: of a large rig there are sixty. */
  protected readonly list = grown(
    this.steps,
    computed(() => this.bench()?.rig.id),
  );
  protected readonly inOrder = computed(() => this.steps().map((s) => s.step));
  protected readonly next = computed(() => this.steps().find((s) => !s.done) ?? null);
  protected readonly doneCount = computed(() => this.steps().filter((s) => s.done).length);

  private readonly narrow = matchMedia('(max-width: 900px)');
  /** Without a column beside the steps: the picture stands in its own step. */
  protected readonly isNarrow = toSignal(fromEvent(this.narrow, 'change').pipe(map(() => this.narrow.matches)), {
    initialValue: this.narrow.matches,
  });

  /** The step that is looked at: what is next, until another is asked for; and then what is next after the next tick. */
  private readonly asked = signal<{ readonly id: string; readonly next: string | undefined } | null>(null);
  protected readonly shown = computed(() => {
    const [asked, next] = [this.asked(), this.next()];
    const other = asked && asked.next === next?.step.id ? this.steps().find((s) => s.step.id === asked.id) : null;
    return other ?? next ?? this.steps().at(-1) ?? null;
  });
  protected show(step: BuildStep): void {
    this.asked.set({ id: step.id, next: this.next()?.step.id });
  }

  protected tick(step: BuildStep, done: boolean): void {
    const bench = this.bench();
    if (!bench) return;
    const change = (rig: RigDocument): RigDocument => ({
      ...rig,
      done: ticked(rig.done, step, done),
      ...(goesOnFor(step) > 0 || rig.setting?.[step.id] ? { setting: settingWith(rig.setting ?? {}, step, done) } : {}),
    });
    if (done) this.ledger.ticked(bench, step, change);
    else this.ledger.unticked('unticking a step', bench.rig.id, [step.id], change);
  }

  protected makeUnion(joint: string): void {
    this.workspace.edit('a union in place of a coupling', {
      kind: 'fitting',
      id: crypto.randomUUID(),
      target: joint,
      fitting: 'union',
    });
  }
}

/** When it began to set or print; unticked, it has not. */
function settingWith(
  setting: Readonly<Record<string, string>>,
  { id }: BuildStep,
  done: boolean,
): Readonly<Record<string, string>> {
  const { [id]: _, ...others } = setting;
  return done ? { ...others, [id]: new Date().toISOString() } : others;
}
