/** One rig, every loadout: what can be had, how each is set, and what is moved in the field from one to the next. */
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
  designedOf,
  figure,
  showFigure,
  render,
  type Adjuster,
  type AdjusterValues,
  type KitItem,
  type Phrase,
} from '@tide-pebble/core';
import { WANT_WORDS } from '@tide-pebble/core/bench';
import {
  movesBetween,
  moveWords,
  type SetUpRow,
  type SetUpsInput,
  type SizeForAll,
  type Serves,
  type SizesForAll,
} from '@tide-pebble/core/making';
import { Asked, sameParts } from '../../../services/asked';
import { injectBench } from '../../../services/bench-signal';
import { Documents } from '../../../services/keeping/documents';
import { Jobs } from '../../../services/jobs';
import { setUpRows } from '../../../export/lists';
import { saveCsv } from '../../../services/save-csv';
import { Units } from '../../../services/units';
import { Workspace } from '../../../services/workspace';
import { NoBench } from '../../../ui/no-bench';
import { Notices } from '../../../services/notices';
import { StageLayout } from '../../../ui/stage-layout';
import { BenchTabs } from '../bench-tabs';

const NO_KIT: ReadonlyMap<string, KitItem> = new Map();

@Component({
  selector: 'tp-set-ups',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatProgressBar, StageLayout, NoBench, BenchTabs],
  templateUrl: './set-ups.html',
  styleUrls: ['../sheet.css', './set-ups.css'],
})
export class SetUps {
  private readonly workspace = inject(Workspace);
  private readonly documents = inject(Documents);
  private readonly jobs = inject(Jobs);
  private readonly notices = inject(Notices);
  private readonly units = inject(Units).now;
  protected readonly bench = injectBench();
  private readonly loadouts = toSignal(this.workspace.loadouts$, { initialValue: [] });
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: NO_KIT });
  private readonly setups = toSignal(this.workspace.setups$, { initialValue: [] });
  private readonly bin = toSignal(this.workspace.bin$, { initialValue: [] });
  private readonly from = signal<string | null>(null);
  private readonly to = signal<string | null>(null);
  /** Only what the answer depends on: setting an adjuster does not start it anew. */
  private readonly asked = computed(
    (): SetUpsInput['rig'] | null => {
      const bench = this.bench();
      if (!bench) return null;
      const { id, wants, loadout } = bench.rig;
      return { id, wants, loadout, ...designedOf(bench.rig) };
    },
    {
      equal: (a, b) =>
        a?.design === b?.design &&
        a?.made === b?.made &&
        a?.wants === b?.wants &&
        a?.hands === b?.hands &&
        a?.loadout === b?.loadout &&
        a?.id === b?.id,
    },
  );

  private readonly given = computed(
    () => [this.asked(), this.loadouts(), this.kit(), this.asked()?.wants.onlyBin ? this.bin() : null] as const,
    { equal: sameParts },
  );
  protected readonly solving = new Asked<readonly SetUpRow[]>(this.given);
  private readonly rigId = computed(() => this.asked()?.id);
  /** Of this rig, till the next are there. */
  private readonly found = linkedSignal<unknown, readonly SetUpRow[]>({ source: this.rigId, computation: () => [] });

  /** One size or two that serve all, looked for when asked. */
  protected readonly sizing = new Asked<SizesForAll>(this.given);
  protected readonly fault = computed(() => this.solving.reason() || this.sizing.reason());
  protected readonly offers = computed(() => {
    const now = this.sizing.found();
    if (!now) return null;
    const shown = (words: Phrase): string => render(words, this.units());
    const rest = ({ served, faults, added }: Serves): string =>
      `${served} of ${now.loadouts}, ${faults === 0 ? 'no fault' : faults === 1 ? '1 fault' : `${faults} faults`}${added > 0 ? `, ${showFigure(figure('mass', added), this.units())} of washers in all` : ', no washers'}`;
    return now.better.map((plan) => ({
      plan,
      key: plan.sizes.map((s) => s.change.id).join(' '),
      text: plan.sizes.map((s) => `${s.name}: ${shown(s.to)} instead of ${shown(s.from)}`).join('; '),
      serves: `Serves ${rest(plan)}; now ${rest(now)}.`,
    }));
  });

  protected readonly adjusters = computed(() => this.bench()?.work.rig.adjusters ?? []);
  protected readonly rows = computed(() =>
    this.found().map((row) => ({
      row,
      key: `${row.loadout} ${row.state}`,
      says:
        row.outcome === 'solved' || row.outcome === 'axesSet'
          ? row.unmet.length > 0
            ? `without: ${row.unmet.map((id) => WANT_WORDS[id]).join(', ')}`
            : ''
          : row.outcome === 'impossible'
            ? `cannot be had${row.failing ? `: ${WANT_WORDS[row.failing]}` : ''}`
            : row.outcome === 'broken'
              ? 'cannot be drawn'
              : 'nothing to set',
      cells: this.adjusters().map((a) => (row.values ? this.shown(a, row.values[a.id] ?? a.value) : '–')),
      added: row.values ? showFigure(figure('mass', row.added), this.units()) : '–',
    })),
  );
  protected readonly had = computed(() => this.found().filter((r) => r.values !== null && r.state === null));
  protected readonly fromId = computed(
    () => this.had().find((r) => r.loadout === this.from())?.loadout ?? this.had()[0]?.loadout ?? null,
  );
  protected readonly toId = computed(
    () =>
      this.had().find((r) => r.loadout === this.to())?.loadout ??
      this.had().find((r) => r.loadout !== this.fromId())?.loadout ??
      null,
  );
  protected readonly moves = computed(() => {
    const [a, b] = [this.fromId(), this.toId()].map((id) => this.had().find((r) => r.loadout === id)?.values ?? null);
    if (!a || !b) return null;
    return movesBetween(this.adjusters(), a, b).map((m) => ({
      id: m.adjuster.id,
      name: m.adjuster.name,
      text: `${render(moveWords(m), this.units())}${m.adjuster.kind === 'count' ? '' : `, to ${this.shown(m.adjuster, m.to)}`}`,
    }));
  });

  constructor() {
    effect(() => {
      const [rig, loadouts, kit, bin] = this.given();
      if (rig && loadouts.length > 0)
        untracked(() =>
          this.solving.ask(
            (told) => this.jobs.run('setUps', { rig, loadouts, kit, setups: this.setups(), bin: bin ?? [] }, told),
            (rows) => this.found.set(rows),
          ),
        );
    });
  }

  protected lookForSize(): void {
    const rig = this.asked();
    if (rig)
      this.sizing.ask((told) =>
        this.jobs.run(
          'sizes',
          { rig, loadouts: this.loadouts(), kit: this.kit(), setups: this.setups(), bin: this.bin() },
          told,
        ),
      );
  }

  protected resize({ sizes }: SizeForAll): void {
    this.workspace.apply(
      `${sizes.map((s) => s.name).join(' and ')} for every loadout`,
      sizes.map((s) => s.change),
    );
  }

  protected pick(which: 'from' | 'to', id: string): void {
    this[which].set(id);
  }

  /** All that were found, kept as each loadout's set-up; one undo brings the old ones back. */
  protected keep(): void {
    const rig = this.bench()?.rig;
    if (!rig) return;
    const changes = this.had().map((row) => {
      const held = this.documents.all('setup').find((s) => s.rig === rig.id && s.loadout === row.loadout);
      const id = held?.id ?? crypto.randomUUID();
      return {
        kind: 'setup' as const,
        id,
        body: { id, rig: rig.id, loadout: row.loadout, values: { ...held?.values, ...row.values } },
      };
    });
    this.documents.commit('set-ups of all loadouts', changes);
    this.notices.sayWithUndo(`${changes.length} set-ups are kept: Field shows each as its card.`);
  }

  protected csv(): void {
    const setUps = this.rows().map(({ row, added, says }) => ({
      name: row.state ? `${row.name}; ${row.state}` : row.name,
      values: row.values,
      also: { washers: added, note: says },
    }));
    void saveCsv(`${this.bench()?.rig.name ?? 'rig'} set-ups.csv`, setUpRows(this.adjusters(), setUps));
  }

  private shown(adjuster: Adjuster, value: AdjusterValues[string]): string {
    return adjuster.kind === 'count'
      ? `${Math.round(value)}`
      : showFigure(figure('length', value + 0, Math.abs(value) < 0.1 ? 1 : 0), this.units());
  }
}
