/** Build: the steps from the rig's own parts in the order found for them, each shown coming together, ticked off and kept; cautions where work can hurt. */
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { RouterLink } from '@angular/router';
import { mdiAlert, mdiLock } from '@mdi/js';
import { fromEvent, map } from 'rxjs';
import { cautionsOf } from '@tide-pebble/core';
import { blockedWords, goesOnFor, isDone, ticked, type BuildStep } from '@tide-pebble/core/making';
import { injectBench } from '../../services/bench-signal';
import { BuildPlans } from '../../services/building';
import { Pointer } from '../../services/pointer';
import { Units } from '../../services/units';
import { Workspace } from '../../services/workspace';
import { Cautions } from '../../ui/findings/cautions';
import { LeftOut } from '../../ui/findings/left-out';
import { SayPipe } from '../../ui/figures/figures.pipe';
import { Icon } from '../../ui/icon';
import { NoBench } from '../../ui/no-bench';
import { RigViews } from '../../ui/drawing/rig-views';
import { StageLayout } from '../../ui/stage-layout';
import { AsMadeFields } from './as-made';
import { AtBench } from './at-bench';
import { BuildPicture } from './build-picture';
import { Evenings } from './evenings';
import { MadePanel } from './made-panel';
import { SettingClock } from './setting-clock';

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
    SettingClock,
  ],
  templateUrl: './build.html',
  styleUrl: './build.css',
})
export class Build {
  private readonly workspace = inject(Workspace);
  protected readonly pointer = inject(Pointer);
  protected readonly units = inject(Units).now;
  protected readonly icons = { caution: mdiAlert, final: mdiLock };
  protected readonly bench = injectBench();
  private readonly building = toSignal(inject(BuildPlans).plan$, { initialValue: null });

  protected readonly cautions = computed(() => {
    const bench = this.bench();
    return bench ? cautionsOf(bench.work.rig) : [];
  });
  /** Of the rig as it stands: of one before it nothing is said. */
  private readonly plan = computed(() => {
    const building = this.building();
    const bench = this.bench();
    return building?.kind === 'planned' && bench?.work === building.bench.work && bench.values === building.bench.values
      ? building.plan
      : null;
  });
  /** Why there are no steps; empty where there are, or soon will be. */
  protected readonly fault = computed(() => {
    const building = this.building();
    if (building?.kind === 'failed')
      return `The order could not be worked out: ${building.reason}. The next change tries again.`;
    return this.plan()?.ordered.kind === 'loop' ? 'Two steps wait for each other; the rig file must be mended.' : '';
  });
  protected readonly isWorking = computed(() => !this.plan() && !this.fault());
  protected readonly blocked = computed(() => {
    const bench = this.bench();
    return bench ? (this.plan()?.blocked.map((b) => blockedWords(b, bench.work.rig)) ?? []) : [];
  });
  protected readonly steps = computed(() => {
    const ordered = this.plan()?.ordered;
    const done = this.bench()?.rig.done ?? {};
    return ordered?.kind === 'ordered'
      ? ordered.steps.map((step, i) => ({ step, number: i + 1, done: isDone(done, step) }))
      : [];
  });
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
    this.workspace.editRig(done ? 'ticking a step' : 'unticking a step', (rig) => ({
      ...rig,
      done: ticked(rig.done, step, done),
      ...(goesOnFor(step) > 0 || rig.setting?.[step.id] ? { setting: settingWith(rig.setting ?? {}, step, done) } : {}),
    }));
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
