/** The tide line: seven figures, each over its own gauge. Touch one: its target to change, why it is so, and what to do. */
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { mdiClose } from '@mdi/js';
import { render, type Gauge, type Quantity, type Want } from '@tide-pebble/core';
import { Firmnesses, NOT_YET } from '../services/firmnesses';
import { Units } from '../services/units';
import { Workspace, type BenchState } from '../services/workspace';
import { Findings } from '../ui/findings/findings';
import { SayPipe } from '../ui/figures/figures.pipe';
import { Icon } from '../ui/icon';
import { termFor } from '../ui/words/glossary';
import { QuantityField } from '../ui/figures/quantity-field';
import { figuresBefore } from '../ui/figures/was';
import { TideGauge, type Gauge as Printed } from '../ui/figures/tide-gauge';
import { gaugesOf, type GaugeId } from './gauges';

const WAS_SHOWN_MS = 4000;
/** The word behind a gauge's name. */
const TERMS = [
  [/^Nose/, 'nose'],
  [/^Drop/, 'drop'],
  [/^Hold/, 'hold'],
  [/^In a walk/, 'calm'],
  [/^Wobble/, 'wobble'],
  [/^Wrist|^On the neck/, 'N·m'],
] as const;
const liesIn = ({ pebble, pool, out }: Gauge): boolean =>
  !out && (pebble === null || pool === null || (pebble >= pool[0] && pebble <= pool[1]));

@Component({
  selector: 'tp-tide-line',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [TideGauge, Findings, QuantityField, Icon, SayPipe],
  templateUrl: './tide-line.html',
  styleUrl: './tide-line.css',
  host: {
    class: 'no-print',
    role: 'region',
    'aria-label': 'Tide line: readouts against their targets',
    '[hidden]': 'gauges().length === 0',
    '(keydown.escape)': 'open.set(null)',
  },
})
export class TideLine {
  private readonly workspace = inject(Workspace);
  private readonly units = inject(Units).now;
  private readonly state = toSignal(this.workspace.bench$, { initialValue: { kind: 'none' } as BenchState });
  private readonly stock = toSignal(this.workspace.stock$, { initialValue: null });
  private readonly firm = toSignal(inject(Firmnesses).bench$, { initialValue: NOT_YET });
  protected readonly close = mdiClose;
  protected readonly shownUnits = this.units;
  protected readonly open = signal<GaugeId | null>(null);

  private readonly bench = computed(() => {
    const state = this.state();
    return state.kind === 'ready' ? state.bench : null;
  });
  private readonly plain = computed(() => {
    const bench = this.bench();
    return bench ? gaugesOf(bench, this.stock(), this.firm()) : [];
  });
  private readonly was = figuresBefore(
    computed(() => ({
      of: this.bench()?.rig.id ?? '',
      units: this.units(),
      figures: Object.fromEntries(this.plain().map((g) => [g.id, render(g.gauge.figure, this.units())])),
    })),
    WAS_SHOWN_MS,
  );
  protected readonly gauges = computed(() =>
    this.plain().map((g) => ({
      id: g.id,
      gauge: { ...this.printed(g.gauge), was: this.was()[g.id] ? `was ${this.was()[g.id]}` : '' },
    })),
  );
  protected readonly panel = computed(() => {
    const id = this.open();
    const bench = this.bench();
    if (!id || !bench) return null;
    const shown = this.plain().find((g) => g.id === id);
    if (!shown) return null;
    return {
      title: shown.title,
      term: TERMS.flatMap(([of, word]) => (of.test(shown.gauge.name) ? [termFor(word)] : []))[0] ?? null,
      findings: bench.judged.findings.filter((f) => shown.codes.includes(f.code)),
      notes: shown.notes ?? [],
      calm: liesIn(shown.gauge) ? 'It lies in its pool.' : '',
      fields: shown.wants.map((want) => ({ want, value: want.of(bench.rig.wants) })),
    };
  });

  private printed({ figure, rest, ...gauge }: Gauge): Omit<Printed, 'was'> {
    return { ...gauge, figure: render(figure, this.units()), rest: render(rest, this.units()).trim() };
  }

  protected toggle(id: GaugeId): void {
    this.open.update((now) => (now === id ? null : id));
  }

  protected set(want: Want, { value }: Quantity): void {
    this.workspace.editRig(`what you want: ${want.name.toLowerCase()}`, (rig) => ({
      ...rig,
      wants: want.with(rig.wants, value),
    }));
  }
}
