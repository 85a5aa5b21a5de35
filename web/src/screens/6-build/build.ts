/** Build: the steps from the rig's own parts, in a valid order, ticked off and kept; cautions where work can hurt. */
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatCheckbox } from '@angular/material/checkbox';
import { mdiAlert, mdiLock } from '@mdi/js';
import { cautionsOf } from '@tide-pebble/core';
import { buildSteps, type BuildStep } from '@tide-pebble/core/making';
import { injectBench } from '../../services/bench-signal';
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

@Component({
  selector: 'tp-build',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatCheckbox, LeftOut, StageLayout, RigViews, NoBench, Cautions, SayPipe, Icon],
  templateUrl: './build.html',
  styleUrl: './build.css',
})
export class Build {
  private readonly workspace = inject(Workspace);
  protected readonly pointer = inject(Pointer);
  protected readonly units = inject(Units).now;
  protected readonly icons = { caution: mdiAlert, final: mdiLock };
  protected readonly bench = injectBench();
  private readonly stock = toSignal(this.workspace.stock$, { initialValue: null });

  protected readonly cautions = computed(() => {
    const bench = this.bench();
    return bench ? cautionsOf(bench.work.rig) : [];
  });
  private readonly ordered = computed(() => {
    const bench = this.bench();
    const stock = this.stock();
    return bench && stock ? buildSteps(bench.work.rig, stock, bench.values) : null;
  });
  protected readonly loop = computed(() =>
    this.ordered()?.kind === 'loop' ? 'Two steps wait for each other; the rig file must be mended.' : '',
  );
  protected readonly steps = computed(() => {
    const ordered = this.ordered();
    const done = this.bench()?.rig.done ?? {};
    return ordered?.kind === 'ordered'
      ? ordered.steps.map((step, i) => ({ step, number: i + 1, done: done[step.id] === true }))
      : [];
  });
  protected readonly next = computed(() => this.steps().find((s) => !s.done) ?? null);
  protected readonly doneCount = computed(() => this.steps().filter((s) => s.done).length);

  protected tick(step: BuildStep, done: boolean): void {
    this.workspace.editRig(done ? 'ticking a step' : 'unticking a step', (rig) => {
      const { [step.id]: _was, ...others } = rig.done;
      return { ...rig, done: done ? { ...others, [step.id]: true as const } : others };
    });
  }
}
