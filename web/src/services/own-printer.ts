/** The maker's printer: its paper, what it leaves blank, how it scales; kept in the browser, for it belongs to the desk and not to a rig. */
import { Injectable, signal } from '@angular/core';
import { PAPERS, USUAL_PRINTER, type Printer } from '@tide-pebble/core/patterns';
import * as z from 'zod';

const KEY = 'tide-pebble.printer';
const length = z.number().min(0).max(1);
const kept = z.strictObject({
  paper: z.enum(PAPERS.map((p) => p.id)),
  margin: length,
  measured: z.tuple([length, length]).readonly(),
});

@Injectable({ providedIn: 'root' })
export class OwnPrinter {
  private readonly choice = signal<Printer>(stored());
  readonly now = this.choice.asReadonly();

  set(change: Partial<Printer>): void {
    this.choice.update((before) => ({ ...before, ...change }));
    localStorage.setItem(KEY, JSON.stringify(this.choice()));
  }
}

function stored(): Printer {
  try {
    return kept.parse(JSON.parse(localStorage.getItem(KEY) ?? 'null'));
  } catch {
    return USUAL_PRINTER;
  }
}
