/** Log: time the drop, say how it hangs, keep it; found against expected, and what that says about the model. */
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { mdiDeleteOutline } from '@mdi/js';
import {
  broughtIn,
  faultLine,
  judged,
  leadingWay,
  parseFieldLog,
  NOTHING_SEEN,
  readings,
  readingsOf,
  render,
  ringRead,
  sawNothing,
  seenWords,
  workpiece,
  type LogEntry,
  type Photo,
  NOTHING_BEARS,
  PHOTOS_AT_MOST,
} from '@tide-pebble/core';
import { compare, dropOf } from '@tide-pebble/core/making';
import { firstValueFrom } from 'rxjs';
import type { LoggedEntry } from '../../export/log-pdf';
import { sameParts } from '../../services/asked';
import { painted$ } from '../../services/after-paint';
import { injectBench } from '../../services/bench-signal';
import { Firmnesses, NOT_YET } from '../../services/firmnesses';
import { Documents } from '../../services/keeping/documents';
import { PatternPaper } from '../../services/pattern-paper';
import { saveCsv } from '../../services/save-csv';
import { saveFile } from '../../services/save-file';
import { Taught } from '../../services/taught';
import { Units } from '../../services/units';
import { Workspace } from '../../services/workspace';
import { FigurePipe, SayPipe } from '../../ui/figures/figures.pipe';
import { Icon } from '../../ui/icon';
import { NoBench } from '../../ui/no-bench';
import { LikelyCauses } from '../../services/likely-causes';
import { newReading, type Told } from '../../services/new-reading';
import { Notices } from '../../services/notices';
import { Photos } from '../../services/photos';
import { FlickSheet } from '../../ui/flick-sheet';
import { PhotoField } from '../../ui/photo-field';
import { ClipReader } from '../../ui/clip-reader/clip-reader';
import { PhoneReader } from '../../ui/phone-reader/phone-reader';
import { ReadingSheet } from '../../ui/reading-sheet';
import { StageLayout } from '../../ui/stage-layout';
import { Stopwatch } from '../../ui/stopwatch';
import { grown } from '../../ui/timing/grown';
import { DropChart } from './drop-chart';
import { lineTold, timedTold, type Line } from './line-told';

/** Entries drawn at first, and with each press for more. */
const SHOWN = 40;
const MORE = 200;
/** Bytes; ten thousand readings are less. */
const FILE_AT_MOST = 8_000_000;
/** The newest that go on paper at once. */
const ON_PAPER = 400;
/** The newest that the chart shows. */
const PLOTTED = 200;

const DRAFT = 'tide-pebble.log-draft';
interface Draft extends Told {
  readonly seen: LogEntry['seen'];
  readonly notes: string;
}
const EMPTY: Draft = { seen: NOTHING_SEEN, notes: '' };

@Component({
  selector: 'tp-log',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    MatButton,
    RouterLink,
    StageLayout,
    ReadingSheet,
    FlickSheet,
    NoBench,
    FigurePipe,
    SayPipe,
    Icon,
    DropChart,
    Stopwatch,
    ClipReader,
    PhoneReader,
    PhotoField,
  ],
  templateUrl: './log.html',
  styleUrl: './log.css',
})
export class Log {
  private readonly documents = inject(Documents);
  private readonly workspace = inject(Workspace);
  private readonly notices = inject(Notices);
  private readonly paper = inject(PatternPaper);
  protected readonly photos = inject(Photos);
  protected readonly units = inject(Units).now;
  protected readonly icons = { remove: mdiDeleteOutline };
  protected readonly bench = injectBench();
  protected readonly firm = toSignal(inject(Firmnesses).bench$, { initialValue: NOT_YET });
  private readonly all = toSignal(this.workspace.log$, { initialValue: [] });
  private readonly rigs = toSignal(this.workspace.rigs$, { initialValue: [] });
  private readonly loadouts = toSignal(this.workspace.loadouts$, { initialValue: [] });
  private readonly kit = toSignal(this.workspace.kit$, { initialValue: new Map() });

  /** What all readings of this rig with this load prove, and the next move by them: the same as in Learn. */
  protected readonly taught = new Taught();
  /** What is being noted survives a reload. */
  protected readonly draft = signal<Draft>(storedDraft());

  /** As many are seen at a glance. */
  protected readonly few = 4;
  protected readonly timedTold = timedTold;
  protected readonly photosAtMost = PHOTOS_AT_MOST;
  protected readonly nothingBears = NOTHING_BEARS;
  protected readonly way = computed(() => {
    const bench = this.bench();
    return bench ? leadingWay(bench.judged.evaluation) : null;
  });
  protected readonly kinds = computed(() => {
    const bench = this.bench();
    return bench ? readingsOf(bench.work.rig, bench.judged.evaluation) : [];
  });
  /** A stopwatch is of use where something drops. */
  protected readonly timed = computed(() => this.kinds().some((k) => k.kind === 'dropTimes'));
  protected readonly nothing = computed(() => {
    const { seen, notes, wrong, toTry, photos } = this.draft();
    return sawNothing(seen) && !notes && !wrong && !toTry && !photos?.length;
  });
  protected readonly expected = computed(() => {
    const bench = this.bench();
    if (!bench) return null;
    const { hung } = bench.judged.evaluation;
    return { ...readings(bench.judged.evaluation), spread: hung?.spread.dropPitch ?? null };
  });
  /** Of this rig, or of all of them; the newest first. */
  protected readonly ofAll = signal(false);
  protected readonly sought = signal('');
  protected readonly kept = computed(() => {
    const rig = this.bench()?.rig.id;
    return this.all()
      .filter((e) => this.ofAll() || e.rig === rig)
      .sort((a, b) => (a.when < b.when ? 1 : a.when > b.when ? -1 : 0));
  });
  protected readonly found = computed(() => {
    const words = this.sought().toLowerCase().split(/\s+/).filter(Boolean);
    if (words.length === 0) return this.kept();
    return this.kept().filter((e) => {
      const text = this.textOf(e);
      return words.every((w) => text.includes(w));
    });
  });
  private readonly rigNames = computed(() => new Map(this.rigs().map((r) => [r.id, r.name])));
  private readonly loadoutNames = computed(() => new Map(this.loadouts().map((l) => [l.id, l.name])));
  /** A log of years is not drawn at once: so many, and more when asked. */
  protected readonly most = linkedSignal<unknown, number>({
    source: () => [this.bench()?.rig.id, this.ofAll(), this.sought()].join('\n'),
    computation: () => SHOWN,
  });
  protected readonly list = grown(
    computed(() => this.found().slice(0, this.most())),
    computed(() => this.bench()?.rig.id),
  );
  protected readonly lines = computed(() => this.list.drawn().map((entry) => this.lineOf(entry)));
  protected readonly plotted = computed(() =>
    this.found()
      .flatMap((entry) => {
        const drop = dropOf(entry.seen);
        return drop ? [{ when: timeOf(entry), seen: drop.mean, expected: entry.expected.dropPitch }] : [];
      })
      .slice(0, PLOTTED)
      .reverse(),
  );
  /** What an entry says is worked out once for the rig and the load it is held against. */
  private readonly said = new WeakMap<LogEntry, { readonly of: readonly unknown[]; readonly line: Line }>();

  /** Of those that are drawn. */
  protected readonly causes = new LikelyCauses(this.list.drawn);

  protected timedDrop(time: number): void {
    this.drops([...this.draft().seen.dropTimes, time]);
  }

  protected note(part: Partial<Draft>): void {
    this.redraft({ ...this.draft(), ...part });
  }

  private redraft(draft: Draft): void {
    this.draft.set(draft);
    localStorage.setItem(DRAFT, JSON.stringify(draft));
  }

  protected pictured(photo: Photo): void {
    const before = (this.draft().photos ?? []).filter((p) => p.id !== photo.id);
    this.note({ photos: [...before, photo].slice(0, PHOTOS_AT_MOST) });
  }

  protected unpictured(photo: Photo): void {
    this.note({ photos: (this.draft().photos ?? []).filter((p) => p.id !== photo.id) });
  }

  private drops(dropTimes: readonly number[]): void {
    this.note({ seen: { ...this.draft().seen, dropTimes: [...dropTimes] } });
  }

  protected dropTaken(index: number): void {
    this.drops(this.draft().seen.dropTimes.filter((_, i) => i !== index));
  }

  protected more(): void {
    this.most.update((n) => n + MORE);
  }

  private textOf(entry: LogEntry): string {
    const { rig, loadout } = this.namesOf(entry);
    return `${entry.notes} ${entry.weather ?? ''} ${entry.wrong ?? ''} ${entry.toTry ?? ''} ${render(timedTold(entry), this.units())} ${rig} ${loadout} ${timeOf(entry)}`.toLowerCase();
  }

  private namesOf(entry: LogEntry): { readonly rig: string; readonly loadout: string } {
    return {
      rig: this.rigNames().get(entry.rig) ?? 'a rig that is gone',
      loadout:
        entry.loadout === null
          ? 'nothing mounted'
          : (this.loadoutNames().get(entry.loadout) ?? 'a loadout that is gone'),
    };
  }

  private lineOf(entry: LogEntry): Line {
    const at = this.bench()?.rig;
    const rig = (at?.id === entry.rig ? at : this.rigs().find((r) => r.id === entry.rig)) ?? null;
    const loadout = this.loadouts().find((l) => l.id === entry.loadout) ?? null;
    const of = [
      rig?.design,
      rig?.made,
      rig?.hands,
      rig?.wants,
      loadout,
      this.kit(),
      this.rigNames(),
      this.loadoutNames(),
    ];
    const before = this.said.get(entry);
    if (before && sameParts(before.of, of)) return before.line;
    const made = rig ? workpiece(rig, loadout, this.kit()) : null;
    const context = made?.ok && rig ? judged(made.work, entry.values, rig.wants).context : null;
    const line: Line = {
      entry,
      when: timeOf(entry),
      ...this.namesOf(entry),
      // Notes and photos alone ask for nothing.
      says: context && !sawNothing(entry.seen) ? compare(entry, context).says : [],
      // The drops stand by themselves, beside what was expected.
      seen: context
        ? seenWords({ ...entry.seen, dropTimes: [] }, readingsOf(context.assembly.rig, context.evaluation))
        : [],
      drop: dropOf(entry.seen),
    };
    this.said.set(entry, { of, line });
    return line;
  }

  protected keep(): void {
    const bench = this.bench();
    if (!bench) return;
    const { seen, ...told } = this.draft();
    const entry = newReading(bench, this.firm().firm, seen, told);
    this.documents.commit('log entry', [{ kind: 'log', id: entry.id, body: entry }]);
    this.redraft(EMPTY);
  }

  protected readonly fault = signal('');

  /** What a phone kept away from the server: each reading once, whichever phone and however often it is brought. */
  protected async bringIn(event: Event): Promise<void> {
    const input = event.target as HTMLInputElement;
    const [file] = input.files ?? [];
    input.value = '';
    this.fault.set('');
    if (!file) return;
    if (file.size > FILE_AT_MOST) return this.fault.set(`“${file.name}” is too large for a log: 8 MB at most.`);
    const read = parseFieldLog(await file.text());
    if (!read.ok) return this.fault.set(`“${file.name}” ${faultLine(read.faults[0]!)}. Nothing was brought in.`);
    const { fresh, known, ofGoneRigs } = broughtIn(
      read.value,
      (id) => this.documents.get('log', id) !== null,
      (id) => this.rigs().some((r) => r.id === id),
    );
    if (fresh.length > 0)
      this.documents.commit(
        'bringing in a phone’s log',
        fresh.map((e) => ({ kind: 'log' as const, id: e.id, body: e })),
        null,
        true,
      );
    if (ofGoneRigs > 0) this.ofAll.set(true);
    const words = [
      fresh.length === 1 ? '1 reading is in the log' : `${fresh.length} readings are in the log`,
      ...(known > 0 ? [`${known} ${known === 1 ? 'was' : 'were'} here already`] : []),
      ...(ofGoneRigs > 0 ? [`${ofGoneRigs} of a rig that is gone`] : []),
    ].join('; ');
    if (fresh.length > 0) this.notices.sayWithUndo(`${words}.`);
    else this.notices.say(`${words}.`);
  }

  protected remove(entry: LogEntry): void {
    this.documents.commit('deleting a log entry', [{ kind: 'log', id: entry.id, body: null }]);
    this.notices.sayWithUndo('The entry is deleted.');
  }

  protected readonly isMaking = signal(false);

  /** The newest of what is listed, in the words of the screen, with its photos. */
  protected async pdf(): Promise<void> {
    const bench = this.bench();
    if (!bench || this.isMaking()) return;
    this.isMaking.set(true);
    try {
      const entries: LoggedEntry[] = [];
      const newest = this.found().slice(0, ON_PAPER);
      await this.causes.all(newest);
      for (const entry of newest) {
        entries.push(await this.onPaper(entry));
        await firstValueFrom(painted$);
      }
      const name = this.ofAll() ? 'All rigs' : bench.rig.name;
      const [shown, all] = [entries.length, this.kept().length];
      const told = await firstValueFrom(
        this.paper.ask({
          log: {
            title: `${name}: log`,
            under: `${shown === all ? `${all}` : `${shown} of ${all}`} ${all === 1 ? 'entry' : 'entries'}, the newest first. Written ${WHEN.format(new Date())}.`,
            entries,
          },
        }),
      );
      if ('file' in told) saveFile(`${name} log.pdf`, new Uint8Array(told.file), 'application/pdf');
    } catch (error) {
      this.notices.say(`The file could not be made: ${error instanceof Error ? error.message : String(error)}.`);
    } finally {
      this.isMaking.set(false);
    }
  }

  private async onPaper(entry: LogEntry): Promise<LoggedEntry> {
    const line = this.lineOf(entry);
    const pictures = await Promise.all(
      (entry.photos ?? []).map(async (p) => ({ bytes: await this.photos.bytes(p), width: p.width, height: p.height })),
    );
    return {
      title: `${line.when}, ${line.rig}, ${line.loadout}`,
      lines: lineTold(line, this.causes.of(entry), this.units()),
      pictures,
    };
  }

  protected async csv(): Promise<void> {
    const rows = this.found().map((entry) => ({
      when: entry.when,
      ...this.namesOf(entry),
      drop_seen_s: hundredths(dropOf(entry.seen)?.mean),
      drop_expected_s: hundredths(entry.expected.dropPitch),
      rings_seen_hz: entry.seen.rings ? hundredths(ringRead(entry.seen.rings).frequency) : '',
      rings_expected_hz: hundredths(entry.expected.rings),
      nose_down_seen_deg: degrees(entry.seen.noseDown),
      nose_down_expected_deg: degrees(entry.expected.noseDown ?? undefined),
      left_side_down_seen_deg: degrees(entry.seen.leftSideDown),
      weather: entry.weather ?? '',
      went_wrong: entry.wrong ?? '',
      to_try: entry.toTry ?? '',
      notes: entry.notes,
    }));
    await saveCsv(`${this.ofAll() ? 'all rigs' : (this.bench()?.rig.name ?? 'rig')} log.csv`, rows);
  }
}

const WHEN = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
});
const timeOf = (entry: LogEntry): string => WHEN.format(new Date(entry.when));

const hundredths = (value: number | null | undefined): number | '' =>
  value === null || value === undefined ? '' : Math.round(value * 100) / 100;
const degrees = (angle: number | undefined): number | '' =>
  hundredths(angle === undefined ? undefined : (angle * 180) / Math.PI);

/** How a draft was kept before rigs were read in more ways than how they hang. */
interface OldDraft {
  readonly drops?: readonly number[];
  readonly nose?: number | null;
  readonly sides?: number | null;
}

function storedDraft(): Draft {
  try {
    const found = JSON.parse(localStorage.getItem(DRAFT) ?? 'null') as (Partial<Draft> & OldDraft) | null;
    if (Array.isArray(found?.seen?.dropTimes)) return { ...EMPTY, ...found };
    const { drops, nose, sides, notes } = found ?? {};
    return {
      notes: notes ?? '',
      seen: {
        dropTimes: Array.isArray(drops) ? drops.filter((d) => typeof d === 'number') : [],
        ...(typeof nose === 'number' ? { noseDown: nose } : {}),
        ...(typeof sides === 'number' ? { leftSideDown: sides } : {}),
      },
    };
  } catch {
    return EMPTY;
  }
}
