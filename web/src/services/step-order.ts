/** In which order a maker likes the steps: as they hang together, or by the set-up of a tool. Kept in the browser: it belongs to the hand and not to a rig. */
import { Injectable, signal } from '@angular/core';

const KEY = 'tide-pebble.step-order';
export type OrderOfSteps = 'told' | 'tools';

@Injectable({ providedIn: 'root' })
export class StepOrder {
  private readonly choice = signal<OrderOfSteps>(localStorage.getItem(KEY) === 'tools' ? 'tools' : 'told');
  readonly now = this.choice.asReadonly();

  set(order: OrderOfSteps): void {
    this.choice.set(order);
    localStorage.setItem(KEY, order);
  }
}
