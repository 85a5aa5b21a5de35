/** A walk taken in: from a gyro’s log, a clip or the phone in the hand; looked over, named, and kept. */
import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { figure, say, type Phrase, type Walk } from '@tide-pebble/core';
import { LAID, TIME_UNITS, walking, type GyroColumns, type WalkFigures } from '@tide-pebble/core/steady';
import { map, of, switchMap, type Subscription } from 'rxjs';
import {
  FAULTS,
  ownSensor,
  simulatedSensor,
  type MotionSensor,
  type SensorFault,
  type TurningSample,
} from '../../../devices/motion-sensor';
import { Units } from '../../../services/units';
import { WalkReader, type Reading } from '../../../services/walk-reader';
import type { Bench } from '../../../services/workspace';
import type { ClipRead } from '../../../workers/read-clip';
import type { GyroChosen, GyroRead } from '../../../workers/read-gyro';
import { FigurePipe, SayPipe } from '../../../ui/figures/figures.pipe';
import { QuantityField } from '../../../ui/figures/quantity-field';

const PATH = 'tide-pebble.walk-path';
/** Without a lens that is known: a middling one, rad. */
const USUAL_ACROSS = 0.7;
const USUAL_SHAPE = 9 / 16;

type Source =
  | { readonly kind: 'none' }
  | { readonly kind: 'gyro'; readonly file: File; readonly chosen: GyroChosen | null }
  | { readonly kind: 'clip'; readonly file: File };
type Read =
  | { readonly by: 'gyro'; readonly reading: Reading<GyroRead> }
  | { readonly by: 'clip'; readonly reading: Reading<ClipRead> }
  | null;

@Component({
  selector: 'tp-walk-intake',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatProgressBar, FigurePipe, SayPipe, QuantityField],
  templateUrl: './walk-intake.html',
  styleUrl: './walk-intake.css',
})
export class WalkIntake {
  private readonly reader = inject(WalkReader);
  protected readonly units = inject(Units).now;
  readonly bench = input.required<Bench>();
  readonly paths = input.required<readonly string[]>();
  readonly kept = output<Walk>();

  protected readonly laid = LAID;
  protected readonly timeUnits = Object.keys(TIME_UNITS) as (keyof typeof TIME_UNITS)[];
  protected readonly faults = FAULTS;
  protected readonly axes = ['x', 'y', 'z'] as const;

  private readonly source = signal<Source>({ kind: 'none' });
  protected readonly isBare = signal(false);
  private readonly typedPath = signal(localStorage.getItem(PATH));
  /** As it was walked last, until another is typed. */
  protected readonly path = computed(() => this.typedPath() ?? this.paths()[0] ?? '');
  protected readonly notes = signal('');
  private readonly typedAcross = signal<number | null>(null);
  protected readonly fault = signal<SensorFault>('none');
  /** s of the walk so far; null: nothing is recorded. */
  protected readonly recording = signal<number | null>(null);
  protected readonly told = signal('');
  /** The simulated phone stays at hand once it was taken. */
  protected readonly isTrying = signal(false);
  private samples: TurningSample[] = [];
  private hearing: Subscription | null = null;

  protected readonly own = ownSensor();
  private readonly cone = computed(() => {
    const cones = this.bench().judged.context.cones;
    return cones.reduce<(typeof cones)[number] | null>(
      (best, c) => (best && best.long.across <= c.long.across ? best : c),
      null,
    );
  });
  protected readonly across = computed(() => this.typedAcross() ?? this.cone()?.long.across ?? USUAL_ACROSS);
  protected readonly isLensKnown = computed(() => this.typedAcross() !== null || this.cone() !== null);
  /** A log says the same whatever the lens sees. */
  private readonly asked = computed(
    () => ({ source: this.source(), across: this.source().kind === 'clip' ? this.across() : 0 }),
    { equal: (a, b) => a.source === b.source && a.across === b.across },
  );

  private readonly read = toSignal(
    toObservable(this.asked).pipe(
      switchMap(({ source, across }) => {
        switch (source.kind) {
          case 'none':
            return of<Read>(null);
          case 'gyro':
            return this.reader.gyro(source.file, source.chosen).pipe(map((reading): Read => ({ by: 'gyro', reading })));
          case 'clip':
            return this.reader.clip(source.file, across).pipe(map((reading): Read => ({ by: 'clip', reading })));
        }
      }),
    ),
    { initialValue: null },
  );
  protected readonly isClip = computed(() => this.source().kind === 'clip');
  protected readonly fileName = computed(() => {
    const source = this.source();
    return source.kind === 'none' ? '' : source.file.name;
  });
  protected readonly part = computed(() => {
    const read = this.read();
    return read?.reading.kind === 'reading' ? read.reading.part : null;
  });
  protected readonly gyro = computed(() => {
    const read = this.read();
    return read?.by === 'gyro' && read.reading.kind === 'read' ? read.reading.read : null;
  });
  private readonly outcome = computed(() => {
    const read = this.read();
    return read?.reading.kind === 'read' ? read.reading.read.outcome : null;
  });
  protected readonly figures = computed((): WalkFigures | null => {
    const outcome = this.outcome();
    return outcome?.ok ? outcome.figures : null;
  });
  protected readonly refused = computed((): Phrase | null => {
    const [read, outcome] = [this.read(), this.outcome()];
    if (read?.reading.kind === 'refused') return read.reading.reason;
    return outcome && !outcome.ok ? outcome.reason : null;
  });
  /** What was found of the file beside its shake. */
  protected readonly about = computed((): Phrase => {
    const read = this.read();
    if (read?.reading.kind !== 'read') return [];
    if (read.by === 'gyro') {
      const { outcome, unread } = read.reading.read;
      if (!outcome.ok) return [];
      const { rate, rowsMissing, longestGap, outOfOrder, restarts } = outcome.told;
      return [
        ...say`${figure('time', outcome.figures.seconds)} at ${figure('count', rate)} rows a second.`,
        ...(rowsMissing > 0
          ? say` ${figure('count', rowsMissing)} rows missing, the longest hole ${figure('time', longestGap, 2)}: bridged.`
          : []),
        ...(unread > 0 ? say` ${figure('count', unread)} rows hold no figure: left out.` : []),
        ...(outOfOrder > 0 ? say` ${figure('count', outOfOrder)} rows came late or twice.` : []),
        ...(restarts > 0 ? say` Its clock began anew ${figure('count', restarts)} times.` : []),
      ];
    }
    const { outcome } = read.reading.read;
    if (!outcome.ok) return [];
    return [
      ...say`${figure('time', outcome.figures.seconds)}, ${figure('count', outcome.frames)} frames of ${figure('count', outcome.width)} × ${figure('count', outcome.height)}.`,
      ...(outcome.lost > 0 ? say` ${figure('count', outcome.lost)} of them could not be followed: bridged.` : []),
    ];
  });
  protected readonly isReady = computed(() => this.figures() !== null && this.path().trim() !== '');

  protected chosenFile(event: Event): void {
    const box = event.target as HTMLInputElement;
    const file = box.files?.[0];
    box.value = '';
    if (file) this.take(file);
  }

  private take(file: File): void {
    this.told.set('');
    const isClip = file.type.startsWith('video/') || /\.(mp4|mov|m4v|webm|mkv)$/i.test(file.name);
    this.source.set(isClip ? { kind: 'clip', file } : { kind: 'gyro', file, chosen: null });
  }

  protected choose(part: Partial<GyroColumns>, laid?: GyroChosen['laid']): void {
    const [source, gyro] = [this.source(), this.gyro()];
    if (source.kind !== 'gyro' || !gyro) return;
    const columns = { ...gyro.chosen.columns, ...part };
    this.source.set({ ...source, chosen: { columns, laid: laid ?? gyro.chosen.laid } });
  }
  protected lay(id: string): void {
    this.choose({}, LAID.find((l) => l.id === id)!.id);
  }
  protected column(axis: 'time' | 'x' | 'y' | 'z', index: number): void {
    this.choose({ [axis]: index < 0 ? null : index });
  }
  protected call(path: string): void {
    this.typedPath.set(path);
  }
  protected see(across: number): void {
    this.typedAcross.set(across);
  }

  protected listen(sensor: MotionSensor): void {
    this.samples = [];
    this.told.set('');
    this.source.set({ kind: 'none' });
    this.recording.set(0);
    this.hearing = sensor.listen().subscribe({
      next: (sample) => {
        this.samples.push(sample);
        this.recording.set(sample.time - this.samples[0]!.time);
      },
      error: (fault: Error) => {
        this.recording.set(null);
        this.told.set(fault.message);
      },
    });
  }
  protected simulated(): void {
    const seen = walking(this.bench().judged.context);
    const walked = (this.isBare() ? seen?.bare : seen?.rig) ?? { tilt: 0.01, pan: 0.02, roll: 0.01, pitch: 0.01 };
    this.listen(
      simulatedSensor({ tilt: walked.pitch, pan: walked.pan, roll: walked.roll }, this.fault(), () => Math.random()),
    );
  }
  /** What was recorded is a log like any other: looked over in the same way, and stuck or empty it is told so. */
  protected stop(): void {
    this.hearing?.unsubscribe();
    this.recording.set(null);
    const stuckFor = this.samples.filter((s, i) => {
      const before = this.samples[i - 1];
      return before !== undefined && before.x === s.x && before.y === s.y && before.z === s.z;
    }).length;
    if (stuckFor > this.samples.length / 4)
      return this.told.set(
        'The gyroscope told the same figure over and over: it is stuck. Close what else uses it, and walk again.',
      );
    const rows = this.samples.map((s) => `${s.time.toFixed(4)},${s.x},${s.y},${s.z}`);
    const text = ['time_s,gyro_x_deg/s,gyro_y_deg/s,gyro_z_deg/s', ...rows].join('\n');
    this.take(new File([text], 'recorded.csv', { type: 'text/csv' }));
  }

  protected keep(): void {
    const figures = this.figures();
    const read = this.read();
    if (!figures || !read || !this.isReady()) return;
    const { rig, loadout, judged } = this.bench();
    const seen = walking(judged.context);
    const foretold = this.isBare() ? seen?.bare : seen?.rig;
    const outcome = this.outcome();
    const shape = outcome?.ok && 'height' in outcome ? outcome.height / outcome.width : USUAL_SHAPE;
    const across = Math.tan(this.across() / 2);
    const path = this.path().trim().slice(0, 120);
    localStorage.setItem(PATH, path);
    this.kept.emit({
      id: crypto.randomUUID(),
      rig: this.isBare() ? null : rig.id,
      loadout: loadout?.id ?? null,
      when: new Date().toISOString(),
      path,
      by: read.by,
      ...figures,
      foretold: foretold ? { tilt: foretold.pitch, pan: foretold.pan, roll: foretold.roll } : null,
      view: this.isLensKnown() ? { across, up: across * shape } : null,
      notes: this.notes().trim(),
    });
    this.notes.set('');
    this.source.set({ kind: 'none' });
  }
}
