/** The link to whatever scale is connected: its live reading, and a settled figure on request. It outlives the screens. */
import { Injectable, signal } from '@angular/core';
import { type Subscription, Subject, firstValueFrom, race, take, map, throwError, mergeMap, timer } from 'rxjs';
import { OUNCE } from '@tide-pebble/core';
import { ScaleLost, settled, type ScaleReading } from '../devices/scale';
import { SimulatedScale } from '../devices/simulated-scale';

export type LinkState =
  | { readonly kind: 'off' }
  | { readonly kind: 'on'; readonly reading: ScaleReading | null }
  | { readonly kind: 'lost'; readonly reason: string };

/** Nobody holds a scale still for longer; then it is said why there is no figure. */
const WAIT_AT_MOST_MS = 12_000;

@Injectable({ providedIn: 'root' })
export class ScaleLink {
  private readonly current = signal<LinkState>({ kind: 'off' });
  private readonly readings = new Subject<ScaleReading>();
  private readonly gone = new Subject<string>();
  private link: Subscription | null = null;
  private scale = new SimulatedScale(0.001);

  readonly state = this.current.asReadonly();
  readonly name = signal(this.scale.name).asReadonly();
  /** Width of one division, kg. */
  readonly step = signal(this.scale.step);
  readonly onPan = signal(0);

  connect(inOunces: boolean): void {
    this.link?.unsubscribe();
    this.scale = new SimulatedScale(inOunces ? OUNCE / 10 : 0.001);
    this.step.set(this.scale.step);
    this.onPan.set(0);
    this.current.set({ kind: 'on', reading: null });
    this.link = this.scale.connect().subscribe({
      next: (reading) => {
        this.current.set({ kind: 'on', reading });
        this.readings.next(reading);
      },
      error: (error: unknown) => this.lost(error instanceof ScaleLost ? error.message : 'The scale stopped answering.'),
    });
  }

  disconnect(): void {
    this.link?.unsubscribe();
    this.link = null;
    this.current.set({ kind: 'off' });
    this.gone.next('The scale was switched off.');
  }

  tare(): void {
    this.scale.tare();
  }

  /** Waits until the pan stands still. Rejects with the reason when it is lost, overloaded or never still: nothing is taken then. */
  settledReading(): Promise<number> {
    const refused = (reason: string) => throwError(() => new ScaleLost(reason));
    if (this.current().kind !== 'on') return Promise.reject(new ScaleLost('No scale is connected.'));
    return firstValueFrom(
      race(
        this.readings.pipe(settled(this.scale.step), take(1)),
        this.gone.pipe(mergeMap((reason) => refused(`${reason} Nothing was taken; what you have is kept.`))),
        timer(WAIT_AT_MOST_MS).pipe(
          map(() => {
            const now = this.current();
            return now.kind === 'on' && now.reading?.overload
              ? 'That is more than the scale can carry. Measure one end at a time.'
              : 'The figure never stood still. Keep it from touching anything, and away from a draught.';
          }),
          mergeMap(refused),
        ),
      ),
    );
  }

  put(mass: number): void {
    this.onPan.set(mass);
    this.scale.put(mass);
  }

  dropOut(): void {
    this.scale.drop();
  }

  private lost(reason: string): void {
    this.link = null;
    this.current.set({ kind: 'lost', reason });
    this.gone.next(reason);
  }
}
