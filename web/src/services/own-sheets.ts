/** Sizes of the maker’s sheets, by material and thickness: typed once, kept in the browser. */
import { Injectable, signal } from '@angular/core';
import type { SheetSize } from '@tide-pebble/core/making';
import * as z from 'zod';

const KEY = 'tide-pebble.sheets';
const metres = z.number().positive().max(5);
const kept = z.record(
  z.string(),
  z.strictObject({ width: metres, height: metres, margin: z.number().min(0).max(0.1) }),
);

@Injectable({ providedIn: 'root' })
export class OwnSheets {
  private readonly sizes = signal<Readonly<Record<string, SheetSize>>>(stored());
  readonly now = this.sizes.asReadonly();

  put(id: string, size: SheetSize): void {
    this.sizes.update((all) => ({ ...all, [id]: size }));
    localStorage.setItem(KEY, JSON.stringify(this.sizes()));
  }
}

function stored(): Readonly<Record<string, SheetSize>> {
  try {
    return kept.parse(JSON.parse(localStorage.getItem(KEY) ?? '{}'));
  } catch {
    return {};
  }
}
