/** The maker's printer: its paper, what it leaves blank, how it scales; kept in the browser, for it belongs to the desk and not to a rig. */
import { computed, inject, Injectable, signal } from '@angular/core';
import { PAPERS, USUAL_PRINTER, type Printer } from '@tide-pebble/core/patterns';
import * as z from 'zod';
import { Units } from './units';

const KEY = 'tide-pebble.printer';
const length = z.number().min(0).max(1);
const kept = z.strictObject({
  paper: z.enum(PAPERS.map((p) => p.id)),
  margin: length,
  measured: z.tuple([length, length]).readonly(),
});

@Injectable({ providedIn: 'root' })
export class OwnPrinter {
  private readonly units = inject(Units).now;
  private readonly choice = signal<Printer | null>(stored());
  /** Till it is said, whoever measures in inches prints on Letter. */
  readonly now = computed(
    (): Printer => this.choice() ?? { ...USUAL_PRINTER, paper: this.units().system === 'inch' ? 'letter' : 'a4' },
  );

  set(change: Partial<Printer>): void {
    this.choice.set({ ...this.now(), ...change });
    localStorage.setItem(KEY, JSON.stringify(this.now()));
  }
}

function stored(): Printer | null {
  try {
    return kept.parse(JSON.parse(localStorage.getItem(KEY) ?? 'null'));
  } catch {
    return null;
  }
}
