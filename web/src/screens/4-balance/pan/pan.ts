/** The pan test: turn it at a rate, see how it leans in the picture, where it ends to be steady, and what to move so that it does not. */
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import {
  DEGREE,
  figure,
  jointsKnown,
  showFigure,
  render,
  leadingWay,
  NOTHING_BEARS,
  type KitItem,
} from '@tide-pebble/core';
import type { FirmAfter } from '@tide-pebble/core/strength';
import {
  panReading,
  type ExplainedTrim,
  type PanPlan,
  type PanReading,
  trimWords,
  overshootWords,
  panLimitWords,
  panMoveWords,
  panPlanWords,
  panReadingWords,
} from '@tide-pebble/core/bench';
import { Asked, sameParts } from '../../../services/asked';
import { injectBench } from '../../../services/bench-signal';
import { Jobs } from '../../../services/jobs';
import { Pointer } from '../../../services/pointer';
import { Units } from '../../../services/units';
import { Workspace } from '../../../services/workspace';
import { NoBench } from '../../../ui/no-bench';
import { SayPipe } from '../../../ui/figures/figures.pipe';
import { RigViews } from '../../../ui/drawing/rig-views';
import { StageLayout } from '../../../ui/stage-layout';
import { BenchTabs } from '../bench-tabs';
import { LensView } from '../lens-view';

/** A slow, a usual and a whip pan, degrees a second. */
const RATES = [10, 45, 120] as const;
const MOST_RATE = 180;
const NO_KIT: ReadonlyMap<string, KitItem> = new Map();
/** Where no lens is known, rad. */
const USUAL_WIDTH = 40 * DEGREE;

@Component({
  selector: 'tp-pan',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatProgressBar, StageLayout, RigViews, NoBench, BenchTabs, LensView, SayPipe],
  templateUrl: './pan.html',
  styleUrl: './pan.css',
})
export class Pan {
  private readonly workspace = inject(Workspace);
  private readonly jobs = inject(Jobs);
  private readonly units = inject(Units).now;
  protected readonly shownUnits = this.units;
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: NO_KIT });
  private readonly log = toSignal(this.workspace.log$, { initialValue: [] });
  protected readonly pointer = inject(Pointer);
  protected readonly bench = injectBench();
  protected readonly most = MOST_RATE;
  protected readonly degrees = signal(45);
  private readonly rigId = computed(() => this.bench()?.rig.id);
  private readonly found = linkedSignal<unknown, string>({ source: this.rigId, computation: () => '' });
  /** The trim that looks for the set-up that leans least. */
  protected readonly least = new Asked<ExplainedTrim>(
    computed(
      () => {
        const bench = this.bench();
        return [bench?.rig.id, bench?.work.assembly, bench?.values, bench?.rig.wants];
      },
      { equal: sameParts },
    ),
  );
  protected readonly said = computed(() => this.least.reason() || this.planning.reason() || this.found());

  protected readonly hung = computed(() => this.bench()?.judged.evaluation.hung ?? null);
  protected readonly noPan = computed(() => {
    const bench = this.bench();
    const way = bench ? leadingWay(bench.judged.evaluation) : null;
    return way?.noPan ?? NOTHING_BEARS;
  });
  protected readonly across = computed(() => {
    const cones = this.bench()?.work.cones ?? [];
    return cones.length > 0 ? Math.min(...cones.map((c) => c.long.across)) : USUAL_WIDTH;
  });
  protected readonly lensNote = computed(() =>
    this.bench()?.work.cones.length
      ? `lens at its longest, ${this.say('angle', this.across(), 0)} wide`
      : `no lens known: a picture ${this.say('angle', this.across(), 0)} wide`,
  );
  protected readonly now = computed((): PanReading | null => {
    const hung = this.hung();
    return hung ? panReading(hung, this.degrees() * DEGREE, this.across()) : null;
  });
  protected readonly table = computed(() => {
    const hung = this.hung();
    return hung
      ? RATES.map((rate) => ({ rate, text: this.words(panReading(hung, rate * DEGREE, this.across())) }))
      : [];
  });
  /** Rest and pan together, for the drawing and the lens: nose down and left side down, rad. */
  protected readonly leaning = computed(() => {
    const [hung, now] = [this.hung(), this.now()];
    const rest = hung?.hang.rest;
    if (!rest || !now?.lean) return null;
    return { noseDown: rest.noseDown - now.lean.noseUp, leftSideDown: rest.leftSideDown - now.lean.leftUp };
  });
  protected readonly limit = computed(() => {
    const now = this.now();
    if (!now) return '';
    return render(panLimitWords(now), this.units());
  });
  private readonly asked = computed(
    () => {
      const bench = this.bench();
      return bench && this.hung() ? { assembly: bench.work.assembly, values: bench.values } : null;
    },
    { equal: (a, b) => a?.assembly === b?.assembly && a?.values === b?.values },
  );
  private readonly planning = new Asked<readonly PanPlan[]>(this.asked);
  /** Whether what would carry the weights bends: asked of each plan once they are found. */
  private readonly firm = new Asked<readonly (FirmAfter | null)[]>(computed(() => this.planning.found()));
  /** Null while they are looked for. */
  protected readonly plans = computed(
    () =>
      this.planning.found()?.map((plan, i) => ({
        plan,
        moves: plan.moves.map((m) => ({ id: m.id, name: m.name, text: render(panMoveWords(m), this.units()) })),
        why: render(panPlanWords(plan), this.units()),
        firm: this.firm.found()?.[i] ?? null,
      })) ?? null,
  );
  protected readonly carries = computed(
    () => this.planning.found()?.some((p) => p.moves.some((m) => m.carrier)) ?? false,
  );

  constructor() {
    effect(() => {
      const asked = this.asked();
      if (asked) untracked(() => this.planning.ask(() => this.jobs.run('pan', asked)));
    });
    effect(() => {
      const plans = this.planning.found();
      if (plans && plans.length > 0) untracked(() => this.askWhetherFirm(plans));
    });
  }

  private askWhetherFirm(plans: readonly PanPlan[]): void {
    const bench = this.bench();
    if (!bench) return;
    const { rig, loadout, values } = bench;
    const [kit, joints] = [this.kit(), jointsKnown(this.log(), rig.id)];
    const each = plans.map((p) => p.changes);
    this.firm.ask(() => this.jobs.run('firmAfter', { rig, loadout, kit, values, joints, each }));
  }

  protected rate(value: string): void {
    this.degrees.set(Math.min(MOST_RATE, Math.max(0, Number(value))));
  }

  protected take({ changes }: PanPlan): void {
    this.workspace.apply('what makes a pan level', changes);
  }

  /** The set-up that leans least, of all that are level and fall as wanted. */
  protected solve(): void {
    const bench = this.bench();
    if (!bench || this.least.part() !== null) return;
    this.found.set('');
    this.least.ask(
      (told) =>
        this.jobs.run(
          'trim',
          { assembly: bench.work.assembly, values: bench.values, wants: bench.rig.wants, aim: 'steadiestPan' },
          told,
        ),
      (outcome) => {
        this.found.set(render(trimWords(outcome, bench.work.rig.adjusters, 'steadiestPan'), this.units()));
        if (outcome.kind === 'solved') this.workspace.setAdjusters('the set-up most level in a pan', outcome.values);
      },
    );
  }

  protected words(reading: PanReading | null): string {
    return render(panReadingWords(reading), this.units());
  }

  protected overshoot(reading: PanReading): string {
    return render(overshootWords(reading), this.units());
  }

  private say(kind: Parameters<typeof figure>[0], value: number, decimals?: number): string {
    return showFigure(figure(kind, value, decimals), this.units());
  }
}
