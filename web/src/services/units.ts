/** Which units the maker reads and types, and what prices are in; kept in the browser. */
import { Injectable, signal } from '@angular/core';
import type { Fraction, LengthSystem, UnitChoice } from '@tide-pebble/core';

const KEY = 'tide-pebble.units';
const USUAL_CURRENCY = '€';
export const LONGEST_CURRENCY = 4;

@Injectable({ providedIn: 'root' })
export class Units {
  private readonly choice = signal<UnitChoice>(stored());
  readonly now = this.choice.asReadonly();

  setSystem(system: LengthSystem): void {
    this.set({ ...this.choice(), system });
  }

  setFraction(fraction: Fraction): void {
    this.set({ ...this.choice(), fraction });
  }

  /** As it is written behind a price; emptied, prices are figures alone. */
  setCurrency(currency: string): void {
    this.set({ ...this.choice(), currency: currency.trim().slice(0, LONGEST_CURRENCY) });
  }

  private set(choice: UnitChoice): void {
    this.choice.set(choice);
    localStorage.setItem(KEY, JSON.stringify(choice));
  }
}

function stored(): UnitChoice {
  const usual: UnitChoice = { system: 'mm', fraction: 32, currency: USUAL_CURRENCY };
  try {
    const { system, fraction, currency } = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<UnitChoice>;
    return {
      system: system === 'inch' ? 'inch' : 'mm',
      fraction: fraction === 16 || fraction === 64 ? fraction : 32,
      currency: typeof currency === 'string' ? currency.slice(0, LONGEST_CURRENCY) : USUAL_CURRENCY,
    };
  } catch {
    return usual;
  }
}
