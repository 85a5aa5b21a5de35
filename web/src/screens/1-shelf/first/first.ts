/** A first rig in four questions: what is shot, with which camera, what there is to build with, how much of it all; then three rigs side by side, sized, trimmed and cleared. */
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { Router } from '@angular/router';
import {
  mdiArrowCollapseDown,
  mdiArrowExpandHorizontal,
  mdiArrowUp,
  mdiCamera,
  mdiCameraIris,
  mdiCameraOutline,
  mdiCellphone,
  mdiEyeOutline,
  mdiFormatVerticalAlignCenter,
  mdiHandBackRight,
  mdiHuman,
  mdiMovieOpenOutline,
  mdiRun,
  mdiVideoOutline,
  mdiWalk,
} from '@mdi/js';
import {
  CARRIES,
  FAMILIES,
  figure,
  itemFigures,
  MOVES,
  say,
  USUAL_HANDS,
  wantsFor,
  type Phrase,
} from '@tide-pebble/core';
import {
  takesLens,
  TYPICAL_CAMERAS,
  TYPICAL_LENSES,
  typicalItem,
  type ReadyCandidate,
  type TypicalKind,
} from '@tide-pebble/core/making';
import { concat, finalize, from, map, mergeMap, type Subscription, switchMap, tap } from 'rxjs';
import { Jobs } from '../../../services/jobs';
import { NewRig, USUAL_WANTS } from '../../../services/new-rig';
import { OwnAnswers } from '../../../services/own-answers';
import { Units } from '../../../services/units';
import { Workspace } from '../../../services/workspace';
import { SayPipe } from '../../../ui/figures/figures.pipe';
import { QuantityField } from '../../../ui/figures/quantity-field';
import { Icon } from '../../../ui/icon';
import { AtMost } from '../at-most';
import { ALWAYS, COMMON_TOOLS } from '../tools';
import { firstLoad, withOwnIds } from './first-load';
import { ReadyCard } from './ready-card';

const SHOWN = 3;
/** One that starts with a fault is passed over for the next, so often at most. */
const TRIED = 6;
/** As much as usually lies about of a stock, until it is measured, m. */
const USUAL_LENGTH = 1;
const ICONS: Readonly<Record<string, string>> = {
  'eye level': mdiEyeOutline,
  waist: mdiFormatVerticalAlignCenter,
  low: mdiArrowCollapseDown,
  overhead: mdiArrowUp,
  walking: mdiWalk,
  running: mdiRun,
  'tight spaces': mdiHandBackRight,
  'long reach': mdiArrowExpandHorizontal,
  'standing still': mdiHuman,
  phone: mdiCellphone,
  action: mdiCameraOutline,
  compact: mdiCameraOutline,
  'small-body': mdiCamera,
  'full-body': mdiCamera,
  cinema: mdiMovieOpenOutline,
  camcorder: mdiVideoOutline,
};
/** What the families are made of as they come, each once. */
const STOCKS: readonly string[] = [
  ...new Set(
    FAMILIES.flatMap((f) =>
      f.build(f.size(null, USUAL_HANDS)).bodies.flatMap((b) => b.members.map((m) => m.stock.name)),
    ),
  ),
].sort();

@Component({
  selector: 'tp-first',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AtMost, MatButton, MatProgressBar, SayPipe, QuantityField, Icon, ReadyCard],
  templateUrl: './first.html',
  styleUrl: './first.css',
})
export class First {
  private readonly workspace = inject(Workspace);
  private readonly jobs = inject(Jobs);
  private readonly newRig = inject(NewRig);
  private readonly router = inject(Router);
  private readonly own = inject(OwnAnswers);
  private readonly ended = takeUntilDestroyed<ReadyCandidate>();
  protected readonly units = inject(Units).now;

  protected readonly carries = CARRIES;
  protected readonly moves = MOVES;
  protected readonly cameras = TYPICAL_CAMERAS;
  protected readonly lenses = TYPICAL_LENSES;
  protected readonly stocks = STOCKS;
  protected readonly tools = COMMON_TOOLS;
  protected readonly icons = ICONS;
  protected readonly lensIcon = mdiCameraIris;
  protected readonly answers = this.own.now;
  protected readonly takesLens = computed(() => {
    const camera = TYPICAL_CAMERAS.find((c) => c.id === this.answers().camera);
    return camera !== undefined && takesLens(camera);
  });
  private readonly loadouts = toSignal(this.workspace.loadouts$, { initialValue: [] });
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: new Map() });
  private readonly bin = toSignal(this.workspace.bin$, { initialValue: [] });
  /** What is shot with: as answered, else what is in Load already. */
  private readonly load = computed(() => firstLoad(this.answers()));
  protected readonly alreadyMounted = computed(() => this.loadouts()[0] ?? null);

  private work: Subscription | null = null;
  protected readonly isWorking = signal(false);
  protected readonly failed = signal('');
  protected readonly ready = signal<readonly ReadyCandidate[]>([]);
  /** All were looked at. */
  protected readonly isDone = signal(false);

  protected readonly asked = computed(() => {
    const { wishes, tools, bin } = this.answers();
    const load = this.load();
    return {
      wishes: { ...wishes, tools: tools && [...tools, ...ALWAYS] },
      loadout: load?.loadout ?? this.alreadyMounted(),
      kit: load ? new Map(load.items.map((i) => [i.id, i])) : this.kit(),
      wants: wantsFor(wishes, USUAL_WANTS),
      hands: USUAL_HANDS,
      bin: [...this.bin(), ...bin.map(binItemOf)],
    };
  });

  protected guess(kind: TypicalKind): Phrase {
    const { mass, massSpread } = itemFigures(typicalItem(kind, kind.id));
    // A guess is no finer than this, kg.
    const [about, by] = [mass, massSpread].map((m) => Math.max(0.01, Math.round(m / 0.01) * 0.01));
    return say`about ${figure('mass', about!)} ± ${figure('mass', by!)}`;
  }

  protected isIn(list: readonly string[] | null, value: string): boolean {
    return list?.includes(value) ?? false;
  }
  protected toggle<K extends 'carries' | 'moves'>(list: K, value: string, on: boolean): void {
    this.own.toggle(list, value as never, on);
    this.forget();
  }
  protected set(change: Parameters<OwnAnswers['set']>[0]): void {
    this.own.set(change);
    this.forget();
  }
  protected wish(change: Parameters<OwnAnswers['wish']>[0]): void {
    this.own.wish(change);
    this.forget();
  }
  protected ownTool(tool: string, on: boolean): void {
    this.own.own(tool, on, COMMON_TOOLS);
    this.forget();
  }
  protected lengthOf(name: string): number | null {
    return this.answers().bin.find((b) => b.name === name)?.length ?? null;
  }
  protected keep(name: string, length: number | null): void {
    const others = this.answers().bin.filter((b) => b.name !== name);
    this.set({ bin: length === null ? others : [...others, { name, length }] });
  }
  protected readonly usualLength = USUAL_LENGTH;

  /** Ranked first, then the best made ready beside each other until three stand without a fault that stops them. */
  protected show(): void {
    this.forget();
    const input = this.asked();
    this.isWorking.set(true);
    this.work = this.jobs
      .run('choose', input)
      .pipe(
        switchMap((list) => {
          const ready = (family: string) => this.jobs.run('ready', { family, input });
          const names = list.slice(0, TRIED).map((c) => c.family);
          // Two beside each other: as many as most machines have to spare.
          return concat(
            from(names.slice(0, SHOWN)).pipe(mergeMap(ready, 2)),
            from(names.slice(SHOWN)).pipe(mergeMap(ready, 1)),
          );
        }),
        map((c) => c!),
        tap((c) => this.ready.update((all) => best([...all, c]))),
        finalize(() => this.isWorking.set(false)),
        this.ended,
      )
      .subscribe({
        next: () => {
          if (this.ready().filter(isSound).length >= SHOWN) this.end();
        },
        error: (fault: Error) => this.failed.set(fault.message),
        complete: () => this.isDone.set(true),
      });
  }
  protected stop(): void {
    this.end();
  }
  private end(): void {
    this.work?.unsubscribe();
    this.isDone.set(true);
  }
  /** Of other answers than these. */
  protected forget(): void {
    this.work?.unsubscribe();
    this.ready.set([]);
    this.failed.set('');
    this.isDone.set(false);
  }

  protected take(candidate: ReadyCandidate): void {
    const load = this.load();
    const own = load && withOwnIds(load);
    const asked = this.asked();
    const held = new Set(this.bin().map((b) => b.name));
    const rig = this.newRig.start({
      name: '',
      loadout: own?.loadout ?? asked.loadout,
      hands: USUAL_HANDS,
      wants: asked.wants,
      ready: candidate.start,
      with: [
        ...(own?.items ?? []).map((body) => ({ kind: 'kit' as const, id: body.id, body })),
        ...(own ? [{ kind: 'loadout' as const, id: own.loadout.id, body: own.loadout }] : []),
        ...this.answers()
          .bin.filter((b) => !held.has(b.name))
          .map(binItemOf)
          .map((body) => ({ kind: 'bin' as const, id: body.id, body })),
      ],
    });
    this.workspace.choose(rig.id);
    void this.router.navigateByUrl('/frame');
  }
}

const binItemOf = ({ name, length }: { readonly name: string; readonly length: number }) => ({
  id: crypto.randomUUID(),
  name,
  count: 0,
  lengths: [length],
});

const isSound = (c: ReadyCandidate): boolean => c.left.length === 0;
const stops = (c: ReadyCandidate): number => c.left.filter((f) => f.severity === 'stop').length;
/** Fewest faults first, then the better suited. */
const best = (all: readonly ReadyCandidate[]): readonly ReadyCandidate[] =>
  [...all].sort((a, b) => stops(a) - stops(b) || a.left.length - b.left.length || b.score - a.score).slice(0, SHOWN);
