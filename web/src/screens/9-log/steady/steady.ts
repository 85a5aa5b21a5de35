/** Was it steady? Walks of one path beside each other: the rig, the bare camera, other loadouts, what Swing foretold. */
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { mdiDeleteOutline } from '@mdi/js';
import { DEGREE, figure, say, type Phrase, type Walk } from '@tide-pebble/core';
import {
  AXIS_NAMES,
  BANDS,
  besideWalked,
  cropToHide,
  namedTone,
  REPEATS,
  WALK_AXES,
  waysWalked,
  type WayWalked,
} from '@tide-pebble/core/steady';
import { injectBench } from '../../../services/bench-signal';
import { Firmnesses, NOT_YET } from '../../../services/firmnesses';
import { Documents } from '../../../services/keeping/documents';
import { Notices } from '../../../services/notices';
import { saveCsv } from '../../../services/save-csv';
import { Units } from '../../../services/units';
import { Workspace } from '../../../services/workspace';
import { FigurePipe, SayPipe } from '../../../ui/figures/figures.pipe';
import { Icon } from '../../../ui/icon';
import { NoBench } from '../../../ui/no-bench';
import { StageLayout } from '../../../ui/stage-layout';
import { ShakeChart, type ShakeLine } from './shake-chart';
import { WalkIntake } from './walk-intake';

const WHEN = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

@Component({
  selector: 'tp-steady',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, RouterLink, StageLayout, NoBench, FigurePipe, SayPipe, Icon, ShakeChart, WalkIntake],
  templateUrl: './steady.html',
  styleUrl: './steady.css',
})
export class Steady {
  private readonly documents = inject(Documents);
  private readonly workspace = inject(Workspace);
  private readonly notices = inject(Notices);
  protected readonly units = inject(Units).now;
  protected readonly icons = { remove: mdiDeleteOutline };
  protected readonly axes = WALK_AXES;
  protected readonly names = AXIS_NAMES;
  protected readonly repeats = REPEATS;
  protected readonly bench = injectBench();
  private readonly firm = toSignal(inject(Firmnesses).bench$, { initialValue: NOT_YET });
  private readonly all = toSignal(this.workspace.walks$, { initialValue: [] });
  private readonly rigs = toSignal(this.workspace.rigs$, { initialValue: [] });
  private readonly loadouts = toSignal(this.workspace.loadouts$, { initialValue: [] });

  /** Paths, the one walked last first. */
  protected readonly paths = computed(() => [
    ...new Set([...this.all()].sort((a, b) => b.when.localeCompare(a.when)).map((w) => w.path)),
  ]);
  private readonly asked = signal<string | null>(null);
  protected readonly path = computed(() => {
    const asked = this.asked();
    if (asked !== null && this.paths().includes(asked)) return asked;
    const mine = this.bench()?.rig.id;
    const last = [...this.all()].sort((a, b) => b.when.localeCompare(a.when)).find((w) => w.rig === mine);
    return last?.path ?? this.paths()[0] ?? null;
  });
  protected readonly ways = computed(() => {
    const path = this.path();
    return path === null ? [] : waysWalked(path, this.all());
  });
  /** What the others are held against: the bare camera, or what was walked first. */
  private readonly against = computed(() => this.ways()[0] ?? null);
  private readonly longest = computed(() =>
    Math.max(1e-9, ...this.ways().flatMap((w) => WALK_AXES.map((a) => w.shake[a].middle * (w.shake[a].within ?? 1)))),
  );
  protected readonly shown = computed(() =>
    this.ways().map((way) => {
      const against = this.against()!;
      return {
        way,
        name: capital(this.nameOf(way)),
        bars: WALK_AXES.map((axis) => {
          const { middle, within } = way.shake[axis];
          const part = (value: number): number => (100 * value) / this.longest();
          return {
            axis,
            middle,
            length: part(middle),
            range: within === null ? null : { from: part(middle / within), to: part(middle * within) },
          };
        }),
        beside: way === against ? [] : besideWalked(against, way, this.shortName(against)),
        notes: this.notesOf(way),
      };
    }),
  );

  private readonly picked = signal<string | null>(null);
  /** The walk whose shake is drawn. */
  protected readonly drawn = computed((): Walk | null => {
    const walks = this.ways().flatMap((w) => w.walks);
    const mine = this.bench()?.rig.id;
    return (
      walks.find((w) => w.id === this.picked()) ?? walks.filter((w) => w.rig === mine).at(-1) ?? walks.at(-1) ?? null
    );
  });
  protected readonly lines = computed((): readonly ShakeLine[] => {
    const walk = this.drawn();
    if (!walk) return [];
    // Beside what the others are held against; that beside the way walked last.
    const other = this.ways().find((w) => !w.walks.includes(walk) && (w === this.against() || walk.rig === null));
    const last = other?.walks.at(-1);
    return [walk, ...(last ? [last] : [])].map((w) => ({
      name: `${capital(this.nameOfWalk({ ...w, loadout: null }))}, tilt`,
      points: w.tilt.bands.map((b, i) => ({ x: BANDS[i]?.middle ?? NaN, y: b / DEGREE })),
    }));
  });
  /** What shakes where it shakes most. */
  protected readonly tones = computed(() => {
    const walk = this.drawn();
    if (!walk) return [];
    const rings = walk.rig === this.bench()?.rig.id ? (this.firm().firm?.rings?.frequency ?? null) : null;
    return WALK_AXES.flatMap((axis): readonly Phrase[] => {
      const { strongest } = walk[axis];
      if (strongest === null) return [];
      const named = namedTone(strongest, rings);
      return [say`${AXIS_NAMES[axis]} shakes most at ${figure('frequency', strongest)}${named ? `: ${named}` : ''}.`];
    });
  });
  protected readonly walks = computed(() =>
    this.ways()
      .flatMap((w) => w.walks)
      .sort((a, b) => b.when.localeCompare(a.when))
      .map((walk) => ({ walk, name: this.nameOfWalk(walk), when: WHEN.format(new Date(walk.when)) })),
  );

  protected choosePath(path: string): void {
    this.asked.set(path);
  }
  protected draw(walk: Walk): void {
    this.picked.set(walk.id);
  }
  protected kept(walk: Walk): void {
    this.documents.commit('a walk', [{ kind: 'walk', id: walk.id, body: walk }]);
    this.asked.set(walk.path);
    this.picked.set(walk.id);
    this.notices.sayWithUndo('The walk is kept.');
  }
  protected remove(walk: Walk): void {
    this.documents.commit('deleting a walk', [{ kind: 'walk', id: walk.id, body: null }]);
    this.notices.sayWithUndo('The walk is deleted.');
  }

  protected async csv(): Promise<void> {
    const degrees = (angle: number): number => Math.round((angle / DEGREE) * 1e4) / 1e4;
    const rows = this.all().map((w) => ({
      when: w.when,
      path: w.path,
      carried: this.nameOfWalk(w),
      read_from: w.by,
      seconds: Math.round(w.seconds * 10) / 10,
      ...Object.fromEntries(
        WALK_AXES.flatMap((axis) => [
          [`${axis}_rms_deg`, degrees(w[axis].rms)],
          [`${axis}_peak_deg`, degrees(w[axis].peak)],
          [`${axis}_strongest_hz`, w[axis].strongest === null ? '' : Math.round(w[axis].strongest * 100) / 100],
        ]),
      ),
      horizon_rms_deg: degrees(w.horizon),
      notes: w.notes,
    }));
    await saveCsv('walks.csv', rows);
  }

  private nameOfWalk({ rig, loadout, by }: Pick<Walk, 'rig' | 'loadout' | 'by'>): string {
    const load = this.loadouts().find((l) => l.id === loadout)?.name;
    const carried =
      rig === null ? 'the bare camera' : (this.rigs().find((r) => r.id === rig)?.name ?? 'a rig that is gone');
    return `${carried}${load ? `, ${load}` : ''}${by === 'clip' ? ', by its footage' : ''}`;
  }
  private nameOf(way: WayWalked): string {
    return this.nameOfWalk({ ...way, by: way.walks[0]!.by });
  }
  /** Within a sentence. */
  private shortName(way: WayWalked): string {
    return this.nameOfWalk({ rig: way.rig, loadout: null, by: way.walks[0]!.by });
  }

  /** Against what Swing foretold, the horizon, and what would hide it. */
  private notesOf({ walks }: WayWalked): readonly Phrase[] {
    const mean = (of: (w: Walk) => number): number => walks.reduce((sum, w) => sum + of(w), 0) / walks.length;
    const foretold = walks.at(-1)!.foretold;
    const peaks = { tilt: mean((w) => w.tilt.peak), pan: mean((w) => w.pan.peak), roll: mean((w) => w.roll.peak) };
    const { view } = walks.at(-1)!;
    const crop = view && cropToHide(peaks, { focalLength: 1, sensorWidth: 2 * view.across, sensorHeight: 2 * view.up });
    return [
      ...(foretold
        ? [
            say`At most it tilts by ${figure('angle', peaks.tilt, 2)} and rolls by ${figure('angle', peaks.roll, 2)}; Swing foretold ${figure('angle', foretold.tilt, 2)} and ${figure('angle', foretold.roll, 2)}.`,
          ]
        : []),
      say`The horizon wanders by ${figure(
        'angle',
        mean((w) => w.horizon),
        2,
      )}.`,
      ...(crop
        ? [
            crop.width < 0.3 && crop.height < 0.3
              ? say`Hidden by cutting ${figure('percent', crop.width)} off each side and ${figure('percent', crop.height)} off top and bottom.`
              : say`No crop hides it.`,
          ]
        : []),
    ];
  }
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
