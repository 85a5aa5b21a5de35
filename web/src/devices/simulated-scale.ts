/** A kitchen scale that is not there: it settles, drifts, counts in steps, tares, overloads, goes to sleep and drops out like one. */
import { Observable } from 'rxjs';
import { ScaleLost, type Scale, type ScaleReading } from './scale';

/** How a kitchen scale behaves, from handling a few: kg, seconds. */
const SETTLES_IN = 0.35;
const SWINGS_PER_SECOND = 2.2;
const SHAKE = 0.0004;
const DRIFT_PER_SECOND = 0.000004;
const STABLE_WITHIN = 0.0006;
const OFF_AFTER = 90;
const SAMPLE_MS = 100;

/** The works of the scale, advanced by hand so that tests need no clock. `chance` gives 0 to 1. */
export class ScaleWorks {
  private pan = 0;
  private shown = 0;
  private speed = 0;
  private zero = 0;
  private drift = 0;
  private idle = 0;
  private tareWaits = false;

  constructor(
    private readonly step: number,
    private readonly capacity: number,
    private readonly chance: () => number,
  ) {}

  put(mass: number): void {
    if (mass !== this.pan) this.idle = 0;
    this.pan = mass;
  }

  /** A tare waits until the pan is still, as the real button does. */
  tare(): void {
    this.tareWaits = true;
    this.idle = 0;
  }

  get asleep(): boolean {
    return this.idle > OFF_AFTER;
  }

  /** The pan is a damped spring: it swings a few times and comes to rest. */
  advance(seconds: number): ScaleReading {
    this.idle += seconds;
    this.drift += DRIFT_PER_SECOND * seconds * (2 * this.chance() - 0.7);
    const stiffness = (2 * Math.PI * SWINGS_PER_SECOND) ** 2;
    const damping = 2 / SETTLES_IN;
    for (let n = 0; n < 20; n++) {
      const dt = seconds / 20;
      this.speed += (stiffness * (this.pan - this.shown) - 2 * damping * this.speed) * dt;
      this.shown += this.speed * dt;
    }
    const still = Math.abs(this.speed) * 0.05 + Math.abs(this.pan - this.shown) < STABLE_WITHIN;
    if (this.tareWaits && still) {
      this.zero = this.shown + this.drift;
      this.tareWaits = false;
    }
    const raw = this.shown + this.drift - this.zero + (still ? 0 : SHAKE * (2 * this.chance() - 1));
    const overload = this.shown > this.capacity;
    return {
      mass: overload ? 0 : Math.round(raw / this.step) * this.step,
      stable: still && !overload && !this.tareWaits,
      overload,
    };
  }
}

export class SimulatedScale implements Scale {
  readonly name = 'Simulated scale';
  readonly capacity = 5;
  private readonly works: ScaleWorks;
  private dropped = false;

  constructor(
    readonly step: number,
    seed = 20,
  ) {
    this.works = new ScaleWorks(step, this.capacity, seededChance(seed));
  }

  connect(): Observable<ScaleReading> {
    return new Observable((subscriber) => {
      this.dropped = false;
      this.works.put(0);
      const timer = setInterval(() => {
        if (this.dropped) return subscriber.error(new ScaleLost('The scale has gone out of reach.'));
        if (this.works.asleep) return subscriber.error(new ScaleLost('The scale has switched itself off.'));
        subscriber.next(this.works.advance(SAMPLE_MS / 1000));
      }, SAMPLE_MS);
      return () => clearInterval(timer);
    });
  }

  tare(): void {
    this.works.tare();
  }

  /** What the maker puts on the pan, kg: only a simulated scale needs telling. */
  put(mass: number): void {
    this.works.put(mass);
  }

  drop(): void {
    this.dropped = true;
  }
}

/** The same shakes every time: a linear congruential sequence (Numerical Recipes' constants). */
function seededChance(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}
