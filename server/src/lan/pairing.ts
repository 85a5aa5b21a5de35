/** One code at a time that pairs one phone: it works once, for ten minutes, and whoever guesses is made to wait. */
import { createHash, randomInt, timingSafeEqual } from 'node:crypto';
import type { Offer, Right } from '@tide-pebble/core';

/** Digits and letters that no eye takes for one another. */
const ALPHABET = '23456789ABCDEFGHJKMNPQRSTUVWXYZ';
const LENGTH = 8;
const OPEN_FOR_MS = 10 * 60_000;
/** Wrong ones in a row from one address before it has to wait; each further one doubles the wait. */
const TRIES = 5;
const FIRST_WAIT_MS = 60_000;
const LONGEST_WAIT_MS = 60 * 60_000;
/** Wrong ones from all addresses together, and the code is taken away: 40 against 31⁸ is 1 in 20 thousand million. */
const TRIES_OF_ALL = 40;
/** Addresses remembered; more at once is an attack, and the code goes. */
const ADDRESSES = 1000;

export type Taken =
  | { readonly ok: true; readonly right: Right }
  | { readonly ok: false; readonly why: 'wrong' | 'none' }
  | { readonly ok: false; readonly why: 'wait'; readonly waitMs: number };

/** As typed or printed: case, spaces and the dash in the middle do not count. */
export const plainCode = (typed: string): string => typed.toUpperCase().replace(/[^A-Z0-9]/g, '');

export class Pairing {
  private open: { readonly code: string; readonly right: Right; readonly until: number; wrong: number } | null = null;
  private readonly tries = new Map<string, { wrong: number; until: number }>();

  /** `now` in ms. */
  constructor(private readonly now: () => number) {}

  /** A new code in place of the one before. */
  offer(right: Right): Offer {
    const code = Array.from({ length: LENGTH }, () => ALPHABET[randomInt(ALPHABET.length)]!).join('');
    this.open = { code, right, until: this.now() + OPEN_FOR_MS, wrong: 0 };
    return this.offered()!;
  }

  offered(): Offer | null {
    if (this.open && this.now() >= this.open.until) this.open = null;
    if (!this.open) return null;
    const { code, right, until } = this.open;
    return { code: `${code.slice(0, 4)}-${code.slice(4)}`, right, until: new Date(until).toISOString() };
  }

  /** Uses the code up where it is the right one. `from`: the address that tries it. */
  take(typed: string, from: string): Taken {
    const tried = this.tries.get(from);
    if (tried && this.now() < tried.until) return { ok: false, why: 'wait', waitMs: tried.until - this.now() };
    if (!this.offered()) return { ok: false, why: 'none' };
    if (same(plainCode(typed), this.open!.code)) {
      const { right } = this.open!;
      this.open = null;
      this.tries.delete(from);
      return { ok: true, right };
    }
    return this.wrong(from);
  }

  private wrong(from: string): Taken {
    const open = this.open!;
    open.wrong += 1;
    const wrong = (this.tries.get(from)?.wrong ?? 0) + 1;
    if (open.wrong >= TRIES_OF_ALL || this.tries.size >= ADDRESSES) {
      this.open = null;
      this.forget();
    }
    const waitMs = wrong < TRIES ? 0 : Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** (wrong - TRIES));
    this.tries.set(from, { wrong, until: this.now() + waitMs });
    return waitMs > 0 ? { ok: false, why: 'wait', waitMs } : { ok: false, why: 'wrong' };
  }

  /** Those whose wait is long over. */
  private forget(): void {
    for (const [from, { until }] of this.tries) if (this.now() - until > LONGEST_WAIT_MS) this.tries.delete(from);
  }
}

/** In a time that does not tell how much of it was right. */
function same(a: string, b: string): boolean {
  const hash = (text: string): Buffer => createHash('sha256').update(text).digest();
  return timingSafeEqual(hash(a), hash(b));
}
