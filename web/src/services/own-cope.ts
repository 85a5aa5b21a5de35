/** A tube that a maker wants to end on another, beside what the rig has; kept in the browser. */
import { Injectable, signal } from '@angular/core';
import { SHARPEST, type Cope } from '@tide-pebble/core/patterns';
import * as z from 'zod';

const KEY = 'tide-pebble.cope';
const size = z.number().positive().max(1);
const kept = z
  .strictObject({
    tube: size,
    onto: size,
    angle: z
      .number()
      .min(SHARPEST)
      .max(Math.PI / 2),
  })
  .nullable();

@Injectable({ providedIn: 'root' })
export class OwnCope {
  private readonly choice = signal<Cope | null>(stored());
  readonly now = this.choice.asReadonly();

  set(cope: Cope | null): void {
    this.choice.set(cope);
    localStorage.setItem(KEY, JSON.stringify(cope));
  }
}

function stored(): Cope | null {
  try {
    return kept.parse(JSON.parse(localStorage.getItem(KEY) ?? 'null'));
  } catch {
    return null;
  }
}
