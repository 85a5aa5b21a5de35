/** The phone as an instrument: it reads how the rig leans, laid on it, how long it drops, strapped to it, and how its camera rings, laid on that; what it read goes into the reading. */
import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { DROPS_AT_MOST, figure, say, withSeen, type LogEntry, type Phrase, type ReadingKind } from '@tide-pebble/core';
import {
  hasFallen,
  hasRung,
  readDrop,
  readLevel,
  readRing,
  readTurnedRound,
  type DropRead,
  type LevelRead,
  type PhoneSample,
  type RingRead,
} from '@tide-pebble/core/making';
import type { Subscription } from 'rxjs';
import { FAULTS, ownSensor, sampled, type MotionSensor, type SensorFault } from '../../devices/motion-sensor';
import { realRig, simulatedPhone, type Laid } from '../../devices/simulated-phone';
import { injectBench } from '../../services/bench-signal';
import { Units } from '../../services/units';
import { SayPipe } from '../figures/figures.pipe';

type Seen = LogEntry['seen'];
/** So long it is listened to as a level, s. */
const LEVEL_FOR = 1.5;
/** A drop that has not come by then is not waited for, s. */
const DROP_WITHIN = 30;
/** What phones weigh, kg, and how near the pivot's line one is laid, m. */
const PHONE = { mass: 0.19, off: 0.01 };
/** Told as twice the standard uncertainty, as everywhere. */
const SIGMAS = 2;

@Component({
  selector: 'tp-phone-reader',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, SayPipe],
  templateUrl: './phone-reader.html',
  styleUrl: './phone-reader.css',
})
export class PhoneReader {
  protected readonly units = inject(Units).now;
  private readonly bench = injectBench();
  readonly readings = input.required<readonly ReadingKind[]>();
  readonly seen = input.required<Seen>();
  /** A flick is read too. */
  readonly flicks = input(false);
  /** How the rig is reckoned to ring, Hz; null while that is not known. */
  readonly ringsAt = input<number | null>(null);
  readonly noted = output<Seen>();

  protected readonly faults = FAULTS;
  protected readonly own = ownSensor();
  protected readonly isSimulated = signal(false);
  protected readonly fault = signal<SensorFault>('none');

  protected readonly leans = computed(() => this.readings().some((r) => r.kind === 'noseDown'));
  protected readonly drops = computed(() => this.readings().some((r) => r.kind === 'dropTimes'));
  private readonly real = computed(() => {
    const bench = this.bench();
    return bench ? realRig(bench.judged.context, this.flicks() ? this.ringsAt() : null) : null;
  });
  protected readonly canSimulate = computed(() => this.real() !== null);
  /** A phone that is not part of the load bears on what it reads. */
  protected readonly tips = computed((): Phrase | null => {
    const { mass, hung } = this.bench()?.judged.evaluation ?? {};
    if (!mass || !hung || hung.hang.fromPivot[2] >= 0) return null;
    const holds = -mass * hung.hang.fromPivot[2];
    const lean = Math.atan2(PHONE.mass * PHONE.off, holds);
    return say`A phone weighs too: ${figure('mass', PHONE.mass)} laid level with the pivot, ${figure('length', PHONE.off, 0)} off its line, tips this rig by about ${figure('angle', lean, lean < 0.02 ? 1 : 0)}; laid ${figure('length', holds / PHONE.mass, 0)} above the pivot, it turns over. Lay or strap it on only where it is part of the load; else hold it beside the bar, and time the drop by hand.`;
  });

  protected readonly listening = signal<Laid | null>(null);
  protected readonly level = signal<LevelRead | null>(null);
  private readonly once = signal<LevelRead | null>(null);
  protected readonly drop = signal<DropRead | null>(null);
  protected readonly told = signal<Phrase>([]);
  protected readonly ring = signal<RingRead | null>(null);
  protected readonly ringSays = computed((): Phrase => {
    const read = this.ring();
    if (!read) return [];
    const fine = SIGMAS * read.spread < 0.1 ? 2 : 1;
    return [
      ...say`${figure('frequency', read.frequency, fine)} ± ${figure('frequency', SIGMAS * read.spread, fine)}, felt for ${figure('time', read.heard)}`,
      ...(read.way ? [`; it ${read.way}`] : []),
    ];
  });
  /** What lies on the camera swings with it: of a camera alone at the end of a springy rig, its pace goes with one over the root of its mass. */
  protected readonly slows = computed((): Phrase | null => {
    const load = this.bench()?.judged.evaluation.loadMass;
    if (!load) return null;
    const share = 1 - Math.sqrt(load / (load + PHONE.mass));
    return say`A phone of ${figure('mass', PHONE.mass)} on it slows its ringing by up to ${figure('percent', share, 0)}: lay it where it rides along anyhow, or count that in.`;
  });
  private samples: PhoneSample[] = [];
  private hearing: Subscription | null = null;

  protected readonly levelSays = computed((): Phrase => {
    const read = this.level();
    if (!read) return [];
    const lean = (angle: number, [plus, minus]: readonly [string, string]): Phrase =>
      say`${figure('angle', Math.abs(angle))} ${angle >= 0 ? plus : minus}`;
    return [
      ...lean(read.noseDown, ['nose down', 'nose up']),
      ', ',
      ...lean(read.leftSideDown, ['left side down', 'right side down']),
      ...say`, ± ${figure('angle', SIGMAS * read.spread)}`,
      ...(read.own
        ? say`; the phone’s own fault is ${figure('angle', Math.hypot(read.own.noseDown, read.own.leftSideDown))}`
        : []),
    ];
  });
  protected readonly dropSays = computed((): Phrase => {
    const read = this.drop();
    return read ? say`${figure('time', read.time, 2)} to upright, ± ${figure('time', SIGMAS * read.spread, 2)}` : [];
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.leave());
  }

  protected read(laid: Laid): void {
    const real = this.real();
    const sensor =
      this.isSimulated() && real ? simulatedPhone(real, laid, this.fault(), () => Math.random()) : this.own;
    if (sensor) this.listen(sensor, laid);
  }

  private listen(sensor: MotionSensor, laid: Laid): void {
    this.leave();
    this.told.set([]);
    this.samples = [];
    if (laid === 'strapped') this.drop.set(null);
    else if (laid === 'flicked') this.ring.set(null);
    else if (laid === 'forward') {
      this.level.set(null);
      this.once.set(null);
    }
    this.listening.set(laid);
    this.hearing = sensor.listen().subscribe({
      next: (sample) => {
        this.samples.push(sampled(sample));
        if (this.isEnough(laid)) this.done(laid);
      },
      error: (fault: Error) => {
        this.leave();
        this.told.set([fault.message]);
      },
      complete: () => this.done(laid),
    });
  }

  private isEnough(laid: Laid): boolean {
    const time = this.samples.at(-1)!.time - this.samples[0]!.time;
    if (laid === 'forward' || laid === 'backward') return time >= LEVEL_FOR;
    if (time >= DROP_WITHIN) return true;
    // Not after every sample: each look goes over all of them.
    return this.samples.length % 10 === 0 && (laid === 'strapped' ? hasFallen : hasRung)(this.samples);
  }

  private done(laid: Laid): void {
    this.leave();
    if (laid === 'strapped') {
      const drop = readDrop(this.samples);
      if (drop.ok) this.drop.set(drop.found);
      else this.told.set(drop.reason);
      return;
    }
    if (laid === 'flicked') {
      const ring = readRing(this.samples);
      if (ring.ok) this.ring.set(ring.found);
      else this.told.set(ring.reason);
      return;
    }
    const read = readLevel(this.samples);
    const before = this.once();
    const level = !read.ok || laid === 'forward' || !before ? read : readTurnedRound(before, read.found);
    if (!level.ok) return this.told.set(level.reason);
    if (laid === 'forward') this.once.set(level.found);
    this.level.set(level.found);
  }

  /** Nothing is heard any more. */
  protected leave(): void {
    this.hearing?.unsubscribe();
    this.hearing = null;
    this.listening.set(null);
  }

  protected takeLevel({ noseDown, leftSideDown }: LevelRead): void {
    // To a tenth of a degree, as it is told.
    const rounded = (angle: number): number => (Math.round((angle * 1800) / Math.PI) * Math.PI) / 1800;
    const nose = withSeen(this.seen(), { kind: 'noseDown', about: null }, rounded(noseDown));
    this.noted.emit(withSeen(nose, { kind: 'leftSideDown', about: null }, rounded(leftSideDown)));
    this.level.set(null);
    this.once.set(null);
  }

  protected takeDrop({ time }: DropRead): void {
    const dropTimes = [...this.seen().dropTimes, Math.round(time * 100) / 100];
    this.noted.emit({ ...this.seen(), dropTimes: dropTimes.slice(-DROPS_AT_MOST) });
    this.drop.set(null);
  }

  protected takeRing({ frequency, spread, way, dies }: RingRead): void {
    const rings = {
      read: { by: 'phone' as const, frequency, spread },
      ...(way ? { way } : {}),
      ...(dies ? { dies } : {}),
    };
    this.noted.emit({ ...this.seen(), rings });
    this.ring.set(null);
  }
}
