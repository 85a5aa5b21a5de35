/** Versions: a rig's line side by side, what was changed from one to the next and what it did, and the next one begun. */
import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, effect, inject, linkedSignal, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { Router, RouterLink } from '@angular/router';
import {
  figure,
  jointsKnown,
  render,
  type Fix,
  type Gauge,
  type KitItem,
  type Phrase,
  type RigDocument,
} from '@tide-pebble/core';
import { nextVersion, openWishes, versionNumber, versionsOf } from '@tide-pebble/core/making';
import { AXIS_NAMES, laterVersion } from '@tide-pebble/core/steady';
import type { Differs, VersionTold } from '@tide-pebble/core/strength';
import { Asked, sameParts } from '../../../services/asked';
import { injectBench } from '../../../services/bench-signal';
import { Jobs } from '../../../services/jobs';
import { Documents } from '../../../services/keeping/documents';
import { together } from '../../../services/keeping/history';
import { Notices } from '../../../services/notices';
import { saveCsv } from '../../../services/save-csv';
import { Units } from '../../../services/units';
import { Workspace } from '../../../services/workspace';
import { SayPipe } from '../../../ui/figures/figures.pipe';
import { FindingCard } from '../../../ui/findings/finding-card';
import { NoBench } from '../../../ui/no-bench';
import { StageLayout } from '../../../ui/stage-layout';

const NO_KIT: ReadonlyMap<string, KitItem> = new Map();
/** Findings whose cures are offered: the gravest come first. */
const CURES = 6;
/** kg, money, Hz: less is no change. */
const LEAST = { mass: 0.0005, cost: 0.005, frequency: 0.05 };

interface Cell {
  readonly text: string;
  /** Out of what is wanted. */
  readonly out?: boolean;
}
interface Row {
  readonly name: string;
  readonly cells: readonly Cell[];
}

@Component({
  selector: 'tp-versions',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [DatePipe, MatButton, MatProgressBar, RouterLink, SayPipe, FindingCard, NoBench, StageLayout],
  templateUrl: './versions.html',
  styleUrl: './versions.css',
})
export class Versions {
  private readonly workspace = inject(Workspace);
  private readonly documents = inject(Documents);
  private readonly jobs = inject(Jobs);
  private readonly notices = inject(Notices);
  private readonly router = inject(Router);
  protected readonly units = inject(Units).now;
  protected readonly bench = injectBench();
  private readonly rigs = toSignal(this.workspace.rigs$, { initialValue: [] });
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: NO_KIT });
  private readonly loadouts = toSignal(this.workspace.loadouts$, { initialValue: [] });
  private readonly setups = toSignal(this.workspace.setups$, { initialValue: [] });
  private readonly log = toSignal(this.workspace.log$, { initialValue: [] });
  private readonly walks = toSignal(this.workspace.walks$, { initialValue: [] });

  protected readonly line = computed(
    () => {
      const rig = this.bench()?.rig;
      return rig ? versionsOf(rig, this.rigs()) : [];
    },
    { equal: sameParts },
  );
  protected readonly wishes = computed(() => openWishes(this.line(), this.log()));

  /** All that its figures depend on. */
  protected readonly asked = new Asked<readonly VersionTold[]>(
    computed(() => [...this.line(), this.kit(), this.loadouts(), this.setups()], { equal: sameParts }),
  );
  private readonly told = computed(() => this.asked.found() ?? []);
  protected readonly rows = computed((): readonly Row[] => {
    const told = this.told();
    if (told.length === 0) return [];
    const sides = told.map((t) => (t.kind === 'told' ? t.side : null));
    const row = (
      name: string,
      of: (s: NonNullable<NonNullable<(typeof sides)[number]>['strength']>) => string,
    ): Row => ({
      name,
      cells: sides.map((s) => ({ text: s?.strength ? of(s.strength) : 'not known' })),
    });
    const gauges = [...new Set(sides.flatMap((s) => s?.balance.map((g) => g.name) ?? []))];
    return [
      row('Mass', (s) => this.say([figure('mass', s.mass)])),
      ...gauges.map((name) => ({
        name,
        cells: sides.map((s) => {
          const found = s?.balance.find((g) => g.name === name);
          return found ? { text: this.gauge(found), out: found.out } : { text: '–' };
        }),
      })),
      row('Rings at', (s) => this.say([figure('frequency', s.frequency)])),
      row('Sags', (s) => this.say([figure('length', s.sag)])),
      row('Cost from an empty bin', (s) => this.say([figure('money', s.cost)])),
      { name: 'Timed by hand', cells: this.line().map((r) => ({ text: this.hours(r) })) },
      {
        name: 'To stop at or mend',
        cells: sides.map((s) =>
          s ? { text: String(s.faults.length || 'nothing'), out: s.faults.length > 0 } : { text: 'not known' },
        ),
      },
    ];
  });
  /** The newest first, each beside the one before it. */
  protected readonly shown = computed(() =>
    this.line()
      .map((rig, i, line) => {
        const before = line[i - 1] ?? null;
        const told = this.told()[i] ?? null;
        const steady = before && laterVersion(this.walks(), before.id, rig.id, this.called(before));
        return {
          rig,
          name: capital(this.called(rig)),
          isHere: rig.id === this.bench()?.rig.id,
          wish: rig.version?.wish ?? '',
          begun: rig.version?.begun ?? null,
          cannot: told?.kind === 'cannot' ? told.reason : '',
          changed: told?.kind === 'told' ? told.changed.map((d) => ({ ...d, did: this.did(d, i) })) : [],
          isOneKind: told?.kind !== 'told' || told.isOneKind,
          before: before ? this.called(before) : '',
          path: steady?.path ?? '',
          steady: (steady?.axes ?? []).map((a) => ({ name: AXIS_NAMES[a.axis], words: a.words })),
        };
      })
      .reverse(),
  );

  /** What stands against it and is not mended by setting it otherwise: that needs no new version. */
  protected readonly findings = computed(
    () =>
      this.bench()
        ?.judged.findings.filter((f) => f.severity === 'stop' || f.severity === 'mend')
        .map((f) => ({ ...f, fixes: f.fixes.filter((x) => x.changes.some((c) => c.kind !== 'adjuster')) }))
        .slice(0, CURES) ?? [],
  );
  protected readonly nextNumber = computed(() => Math.max(1, ...this.line().map(versionNumber)) + 1);
  /** Wishes taken up: all of them until one is put aside. */
  protected readonly taken = linkedSignal<readonly string[]>(() => this.wishes().map((w) => w.id));
  protected readonly why = linkedSignal<string | undefined, string>({
    source: () => this.bench()?.rig.id,
    computation: () => '',
  });

  constructor() {
    effect(() => {
      const sides = this.line().map((rig) => this.sideOf(rig));
      this.kit();
      if (sides.length > 0)
        untracked(() => this.asked.ask((tell) => this.jobs.run('versions', { sides, kit: this.kit() }, tell)));
    });
  }

  protected take(id: string, isTaken: boolean): void {
    this.taken.update((all) => (isTaken ? [...all, id] : all.filter((t) => t !== id)));
  }

  /** As the rig is, or with a cure of it made. One undo takes all of it back. */
  protected begin(fix: Fix | null = null): void {
    const from = this.bench()?.rig;
    if (!from) return;
    const id = crypto.randomUUID();
    const wishes = this.wishes().filter((w) => this.taken().includes(w.id));
    const cure = fix ? this.say(fix.label) : '';
    const rig = nextVersion(from, this.rigs(), {
      id,
      at: new Date().toISOString(),
      wish: [this.why().trim(), ...wishes.map((w) => w.toTry!), cure].filter(Boolean).join('\n'),
      entries: wishes.map((w) => w.id),
    });
    const step = together();
    const label = `beginning ${rig.name}`;
    this.documents.commit(
      label,
      [
        { kind: 'rig', id, body: rig },
        ...this.setups()
          .filter((s) => s.rig === from.id)
          .map((s) => ({ ...s, id: crypto.randomUUID(), rig: id }))
          .map((s) => ({ kind: 'setup' as const, id: s.id, body: s })),
      ],
      step,
    );
    if (!this.documents.get('rig', id)) return;
    this.workspace.choose(id);
    if (fix) this.workspace.apply(label, fix.changes, null, step);
    this.notices.sayWithUndo(`${rig.name} is begun${fix ? ', with the change made' : ''}.`);
    void this.router.navigateByUrl('/frame');
  }

  protected open(rig: RigDocument): void {
    this.workspace.choose(rig.id);
  }

  protected async csv(): Promise<void> {
    const names = this.line().map((r) => this.called(r));
    await saveCsv(
      `${this.line()[0]?.name ?? 'rig'} versions.csv`,
      this.rows().map((r) => ({
        figure: r.name,
        ...Object.fromEntries(names.map((n, i) => [n, r.cells[i]?.text ?? ''])),
      })),
    );
  }

  protected called(rig: RigDocument): string {
    return `version ${versionNumber(rig)}`;
  }

  private sideOf(rig: RigDocument) {
    const loadout = this.loadouts().find((l) => l.id === rig.loadout) ?? null;
    const setup = this.setups().find((s) => s.rig === rig.id && s.loadout === (rig.loadout ?? 'bare'));
    return { rig, loadout, values: setup?.values ?? {}, joints: jointsKnown(this.log(), rig.id) };
  }

  /** What the change alone did to the version before. */
  private did({ alone }: Differs, i: number): string {
    const before = this.told()[i - 1];
    const was = before?.kind === 'told' ? before.side.strength : null;
    if (!alone || !was) return '';
    const part = (
      name: 'frequency' | 'mass' | 'cost',
      kind: 'frequency' | 'mass' | 'money',
      words: readonly [string, string],
    ): string => {
      const by = alone[name] - was[name];
      return Math.abs(by) < LEAST[name] ? '' : `${this.say([figure(kind, Math.abs(by))])} ${words[by > 0 ? 0 : 1]}`;
    };
    const all = [
      part('mass', 'mass', ['heavier', 'lighter']),
      part('frequency', 'frequency', ['higher', 'lower']),
      part('cost', 'money', ['dearer', 'cheaper']),
    ].filter(Boolean);
    return all.length === 0 ? 'alone it changed neither mass, ringing nor cost' : `alone: ${all.join(', ')}`;
  }

  private hours({ took }: RigDocument): string {
    const steps = Object.values(took ?? {});
    if (steps.length === 0) return 'not timed';
    const minutes = steps.reduce((sum, s) => sum + s.minutes, 0);
    return `${this.say([figure('time', 60 * minutes)])}, ${steps.length} ${steps.length === 1 ? 'step' : 'steps'}`;
  }

  private gauge(g: Gauge): string {
    return `${this.say(g.figure)} ${this.say(g.rest)}`.trim();
  }

  private say(phrase: Phrase): string {
    return render(phrase, this.units());
  }
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
