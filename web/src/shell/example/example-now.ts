/** Where the worked example stands, and whether it is played. */
import { Injectable, signal } from '@angular/core';
import { EXAMPLE } from './steps';

@Injectable({ providedIn: 'root' })
export class ExampleNow {
  private readonly on = signal(false);
  readonly isOn = this.on.asReadonly();
  private readonly step = signal(0);
  readonly at = this.step.asReadonly();

  start(): void {
    this.step.set(0);
    this.on.set(true);
  }

  /** Past its end it is over. */
  go(by: 1 | -1): void {
    const to = this.step() + by;
    if (to >= EXAMPLE.length) this.leave();
    else this.step.set(Math.max(0, to));
  }

  leave(): void {
    this.on.set(false);
  }
}
