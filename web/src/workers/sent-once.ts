/** What a worker has been sent is named the next time, not sent again: copying a rig for each edit of a drag would hold the page up. What is sent is never changed afterwards. */

/** Things a worker keeps, the newest. */
const KEPT = 12;

/** A field as it crosses: itself, or by the number it is kept under, with itself the first time. */
type Crossing = { readonly plain: unknown } | { readonly kept: number; readonly value?: object };
export interface Packed {
  readonly whole?: unknown;
  readonly fields?: Readonly<Record<string, Crossing>>;
}

/** The page's side, one a worker. */
export class Sender {
  private readonly numbers = new WeakMap<object, number>();
  /** As the worker holds them, the one asked for last at the end. */
  private held: number[] = [];
  private next = 0;

  pack(input: unknown): Packed {
    if (typeof input !== 'object' || input === null || Array.isArray(input)) return { whole: input };
    return { fields: Object.fromEntries(Object.entries(input).map(([name, value]) => [name, this.field(value)])) };
  }

  private field(value: unknown): Crossing {
    if (typeof value !== 'object' || value === null) return { plain: value };
    const known = this.numbers.get(value);
    if (known !== undefined && this.held.includes(known)) {
      this.held = touched(this.held, known);
      return { kept: known };
    }
    const kept = this.next++;
    this.numbers.set(value, kept);
    this.held = touched(this.held, kept);
    return { kept, value };
  }
}

/** The worker's side. */
export class Receiver {
  private readonly values = new Map<number, object>();
  private held: number[] = [];

  unpack({ whole, fields }: Packed): unknown {
    if (!fields) return whole;
    // All are taken in before any is let go: a message may hold more than are kept.
    const input = Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, this.field(field)]));
    for (const number of this.values.keys()) if (!this.held.includes(number)) this.values.delete(number);
    return input;
  }

  private field(field: Crossing): unknown {
    if ('plain' in field) return field.plain;
    if (field.value) this.values.set(field.kept, field.value);
    this.held = touched(this.held, field.kept);
    return this.values.get(field.kept);
  }
}

/** Both sides let go of the same: the one not asked for longest. */
const touched = (held: readonly number[], number: number): number[] =>
  [...held.filter((h) => h !== number), number].slice(-KEPT);
