/** What is in the bag on a shopping trip, by its item: ticked at the shelf, kept in the browser till it is put into the bin. */
import { Injectable, signal } from '@angular/core';
import * as z from 'zod';

const KEY = 'tide-pebble.bag';
const kept = z.array(z.string().max(400)).max(1000);

@Injectable({ providedIn: 'root' })
export class OwnBag {
  private readonly items = signal<readonly string[]>(stored());
  readonly now = this.items.asReadonly();

  tick(item: string, isIn: boolean): void {
    const others = this.items().filter((i) => i !== item);
    this.put(isIn ? [...others, item] : others);
  }

  empty(): void {
    this.put([]);
  }

  private put(items: readonly string[]): void {
    this.items.set(items);
    localStorage.setItem(KEY, JSON.stringify(items));
  }
}

function stored(): readonly string[] {
  try {
    return kept.parse(JSON.parse(localStorage.getItem(KEY) ?? '[]'));
  } catch {
    return [];
  }
}
