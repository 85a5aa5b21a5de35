/** A watch with splits that goes on while the phone sleeps or the page is reloaded: only when each step ended is kept. */
import { signal } from '@angular/core';
import * as z from 'zod';

const KEY = 'tide-pebble.splits';
const kept = z.strictObject({
  /** Which rig, load and way it is of: another's is not gone on with. */
  of: z.string(),
  /** ms since 1970, the start first. */
  marks: z.array(z.number()).min(1).max(300),
});
type Kept = z.infer<typeof kept>;
/** Begun longer ago it was forgotten, ms. */
const FORGOTTEN = 6 * 3600 * 1000;

export class Splits {
  private readonly state = signal<Kept | null>(stored());

  /** Steps done so far of what is timed; null where nothing of it is. */
  done(of: string): number | null {
    const now = this.state();
    return now?.of === of ? now.marks.length - 1 : null;
  }

  /** When the step at hand was begun, ms since 1970. */
  since(of: string): number | null {
    const now = this.state();
    return now?.of === of ? now.marks.at(-1)! : null;
  }

  start(of: string): void {
    this.put({ of, marks: [Date.now()] });
  }

  mark(): void {
    const now = this.state();
    if (now) this.put({ ...now, marks: [...now.marks, Date.now()] });
  }

  /** The last mark is taken back: that step goes on. */
  back(): void {
    const now = this.state();
    if (now && now.marks.length > 1) this.put({ ...now, marks: now.marks.slice(0, -1) });
  }

  /** Each step's time, s; over with it. */
  end(): readonly number[] {
    const marks = this.state()?.marks ?? [];
    this.leave();
    return marks.slice(1).map((m, i) => Math.max(0, Math.round((m - marks[i]!) / 100) / 10));
  }

  leave(): void {
    this.state.set(null);
    localStorage.removeItem(KEY);
  }

  private put(next: Kept): void {
    this.state.set(next);
    localStorage.setItem(KEY, JSON.stringify(next));
  }
}

function stored(): Kept | null {
  try {
    const read = kept.parse(JSON.parse(localStorage.getItem(KEY) ?? 'null'));
    return Date.now() - read.marks.at(-1)! > FORGOTTEN ? null : read;
  } catch {
    return null;
  }
}
