/** What must be accurate: each size and mass with how far it may be off, the chance that a build can be trimmed, and what more travel buys. */
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import {
  DEGREE,
  designedOf,
  figure,
  leadingWay,
  render,
  showFigure,
  type KitItem,
  NOTHING_BEARS,
} from '@tide-pebble/core';
import { type Leeway, WANT_WORDS } from '@tide-pebble/core/bench';
import {
  asksForCare,
  chanceWords,
  failsWords,
  leewayFigure,
  leewayVerdict,
  withinWords,
  type AccuracyOutcome,
} from '@tide-pebble/core/making';
import { Asked, sameParts } from '../../../services/asked';
import { injectBench } from '../../../services/bench-signal';
import { Jobs } from '../../../services/jobs';
import { Pointer } from '../../../services/pointer';
import { Units } from '../../../services/units';
import { Workspace } from '../../../services/workspace';
import { NoBench } from '../../../ui/no-bench';
import { QuantityField } from '../../../ui/figures/quantity-field';
import { StageLayout } from '../../../ui/stage-layout';
import { BenchTabs } from '../bench-tabs';

const NO_KIT: ReadonlyMap<string, KitItem> = new Map();
const BUILDS = 10_000;
/** The same draws each time: a figure that jumps about teaches nothing. */
const SEED = 20;
/** A hand saw and a centre punch; a bend checked with a square. One standard uncertainty. */
const USUAL = { lengths: 0.0005, angles: 0.5 * DEGREE };
const LISTED = 16;

@Component({
  selector: 'tp-accuracy',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatProgressBar, StageLayout, NoBench, BenchTabs, QuantityField],
  templateUrl: './accuracy.html',
  styleUrls: ['../sheet.css', './accuracy.css'],
})
export class AccuracySheet {
  private readonly workspace = inject(Workspace);
  private readonly jobs = inject(Jobs);
  private readonly units = inject(Units).now;
  protected readonly pointer = inject(Pointer);
  protected readonly bench = injectBench();
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: NO_KIT });
  protected readonly howMany = BUILDS.toLocaleString('en-GB');
  protected readonly lengths = signal(USUAL.lengths);
  protected readonly angles = signal(USUAL.angles);
  private readonly asked = computed(
    () => {
      const bench = this.bench();
      return [bench?.rig.id, bench?.work, bench?.values, bench?.rig.wants, this.lengths(), this.angles()];
    },
    { equal: sameParts },
  );
  /** Any change of the rig, its set-up or the workmanship makes it stale. */
  protected readonly builds = new Asked<AccuracyOutcome>(this.asked);
  private readonly found = computed(() => {
    const outcome = this.builds.found();
    return outcome?.kind === 'found' ? outcome.accuracy : null;
  });
  protected readonly reason = computed(() => {
    const outcome = this.builds.found();
    if (!outcome || outcome.kind === 'found') return this.builds.reason();
    if (outcome.kind === 'fails') return failsWords(outcome);
    return outcome.reason === 'broken' ? 'This rig cannot be drawn as it is.' : NOTHING_BEARS;
  });
  protected readonly rows = computed(() =>
    (this.found()?.leeway ?? []).map((l) => ({
      id: `${l.id} ${l.name}`,
      about: this.aboutOf(l),
      name:
        l.kind === 'mass'
          ? l.name.replace(/^mass of /, '').replace(/^density of (.+)$/, 'all of $1') + ', its mass'
          : l.name,
      within: render(withinWords(l), this.units()),
      kept: l.spread > 0 ? `± ${showFigure(leewayFigure(l.kind, 2 * l.spread), this.units())}` : '',
      felt: showFigure(figure(l.felt.kind, l.felt.value, l.felt.kind === 'torque' ? 3 : 2), this.units()),
      verdict: leewayVerdict(l),
      care: asksForCare(l),
      fails: l.fails ? WANT_WORDS[l.fails] : '',
    })),
  );
  protected readonly feltHeading = computed(() =>
    this.found()?.leeway[0]?.felt.kind === 'torque' ? 'Which tips by' : 'Which shifts the mass centre by',
  );
  protected readonly all = signal(false);
  /** The tightest first; a long list is drawn whole only when asked. */
  protected readonly listed = computed(() => (this.all() ? this.rows() : this.rows().slice(0, LISTED)));
  protected readonly chance = computed(() => {
    const found = this.found();
    if (!found) return '';
    return render(chanceWords(found.chance), this.units());
  });
  protected readonly ofWhat = computed(() => {
    const bench = this.bench();
    return bench ? (leadingWay(bench.judged.evaluation)?.buildsCan ?? '') : '';
  });
  protected readonly more = computed(() => {
    const found = this.found();
    const bench = this.bench();
    if (!found || !bench) return [];
    return found.withMore
      .filter((m) => m.part - found.chance.part > 0.005)
      .map((m) => ({
        key: `${m.mover} ${m.by}`,
        text: `${showFigure(figure('length', m.by, 0), this.units())} more each way on the ${(bench.work.rig.adjusters.find((a) => a.id === m.mover)?.name ?? m.mover).toLowerCase()}`,
        part: showFigure(figure('percent', m.part, 0), this.units()),
      }));
  });

  protected look(): void {
    const bench = this.bench();
    if (!bench) return;
    const { rig, loadout, values } = bench;
    this.builds.ask((told) =>
      this.jobs.run(
        'accuracy',
        {
          rig: { ...designedOf(rig), wants: rig.wants },
          loadout,
          kit: this.kit(),
          values,
          lengths: this.lengths(),
          angles: this.angles(),
          builds: BUILDS,
          seed: SEED,
        },
        told,
      ),
    );
  }

  /** The part it is about, to light up: a dimension says it itself. */
  private aboutOf(leeway: Leeway): string {
    return this.bench()?.work.family?.dimensions.find((d) => d.id === leeway.id)?.about ?? leeway.id;
  }
}
