/** Field: the set-up as a card readable at arm's length in sun; one for each loadout that has been set up. */
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { mdiCellphone, mdiPrinter } from '@mdi/js';
import { cautionsOf, judged, turnsOf, verdictWith, workpiece, type Firmness } from '@tide-pebble/core';
import { setupCard } from '@tide-pebble/core/making';
import { map, merge, scan, startWith, switchMap } from 'rxjs';
import { Firmnesses } from '../../services/firmnesses';
import { injectBench } from '../../services/bench-signal';
import { Units } from '../../services/units';
import { Workspace } from '../../services/workspace';
import { FigurePipe, SayPipe } from '../../ui/figures/figures.pipe';
import { Icon } from '../../ui/icon';
import { NoBench } from '../../ui/no-bench';
import { RulerMark } from './ruler-mark';

/** More drawn bars than this do not fit a phone; the figure says it. */
const BARS_AT_MOST = 20;
const NONE: ReadonlyMap<string, Firmness> = new Map();

@Component({
  selector: 'tp-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, RouterLink, NoBench, RulerMark, FigurePipe, SayPipe, Icon],
  templateUrl: './field.html',
  styleUrl: './field.css',
})
export class Field {
  private readonly workspace = inject(Workspace);
  protected readonly units = inject(Units).now;
  protected readonly icons = { print: mdiPrinter, phone: mdiCellphone };
  protected readonly bench = injectBench();
  private readonly setups = toSignal(this.workspace.setups$, { initialValue: [] });
  private readonly loadouts = toSignal(this.workspace.loadouts$, { initialValue: [] });
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: new Map() });

  protected readonly cautions = computed(() => {
    const bench = this.bench();
    return bench ? cautionsOf(bench.work.rig) : [];
  });
  /** The loadout on the rig first, then every other one with a set-up. */
  private readonly setUps = computed(() => {
    const bench = this.bench();
    if (!bench) return [];
    const mine = this.setups().filter((s) => s.rig === bench.rig.id);
    const order = [...mine].sort(
      (a, b) => Number(b.loadout === bench.rig.loadout) - Number(a.loadout === bench.rig.loadout),
    );
    return order.flatMap((setup) => {
      const loadout = this.loadouts().find((l) => l.id === setup.loadout) ?? null;
      const made = workpiece(bench.rig, loadout, this.kit());
      if (!made.ok) return [];
      const { context, verdict } = judged(made.work, setup.values, bench.rig.wants);
      const card = setupCard(context, loadout?.conditions ?? '');
      return [
        {
          id: setup.id,
          rig: bench.rig.id,
          current: setup.loadout === bench.rig.loadout,
          loadout: loadout?.name ?? 'nothing mounted',
          card,
          context,
          verdict,
        },
      ];
    });
  });

  private readonly firmnesses = inject(Firmnesses);
  /** By card, as they are worked out. */
  private readonly firm = toSignal(
    toObservable(this.setUps).pipe(
      switchMap((setUps) =>
        merge(
          ...setUps.map(({ id, rig, context }) => this.firmnesses.of(rig, context).pipe(map((firm) => ({ id, firm })))),
        ).pipe(
          scan((all, { id, firm }) => new Map([...all, [id, firm]]), NONE),
          startWith(NONE),
        ),
      ),
    ),
    { initialValue: NONE },
  );
  protected readonly cards = computed(() =>
    this.setUps().map((card) => {
      const firm = this.firm().get(card.id) ?? null;
      const verdict = verdictWith(card.verdict, firm);
      return {
        ...card,
        doubt: verdict.kind === 'holds' ? null : [...verdict.title, ' ', ...verdict.why],
        tight: (firm?.tight ?? []).map((t) => t.name),
      };
    }),
  );

  protected bars(count: number): readonly number[] {
    return Array.from({ length: Math.min(count, BARS_AT_MOST) }, (_, i) => i);
  }

  protected size(value: number): number {
    return Math.abs(value);
  }

  protected turns(turns: number): string {
    return turnsOf(Math.abs(turns));
  }

  protected print(): void {
    window.print();
  }
}
