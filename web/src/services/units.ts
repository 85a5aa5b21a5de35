/** Which units the maker reads and types, kept in the browser. */
import { Injectable, signal } from '@angular/core';
import type { Fraction, LengthSystem, UnitChoice } from '@tide-pebble/core';

const KEY = 'tide-pebble.units';

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

  private set(choice: UnitChoice): void {
    this.choice.set(choice);
    localStorage.setItem(KEY, JSON.stringify(choice));
  }
}

function stored(): UnitChoice {
  const usual: UnitChoice = { system: 'mm', fraction: 32 };
  try {
    const { system, fraction } = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<UnitChoice>;
    return { system: system === 'inch' ? 'inch' : 'mm', fraction: fraction === 16 || fraction === 64 ? fraction : 32 };
  } catch {
    return usual;
  }
}
