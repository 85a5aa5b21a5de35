/** What a maker wants to shoot, with what, and has to build with: asked once, editable wherever it is used, kept in the browser. */
import { Injectable, signal } from '@angular/core';
import { CARRIES, MOVES } from '@tide-pebble/core';
import type { Wishes } from '@tide-pebble/core/making';
import * as z from 'zod';

const KEY = 'tide-pebble.answers';
const amount = z.number().nonnegative().nullable();
const answers = z.strictObject({
  wishes: z.strictObject({
    carries: z.array(z.enum(CARRIES)),
    moves: z.array(z.enum(MOVES)),
    hands: z.union([z.literal(1), z.literal(2)]).nullable(),
    wet: z.boolean(),
    hours: amount,
    money: amount,
    mass: amount,
    tools: z.array(z.string()).nullable(),
  }),
  /** Null: not said. */
  tools: z.array(z.string()).nullable(),
  /** Kinds by their ids, and what they weigh where that is known, kg. */
  camera: z.string().nullable(),
  cameraMass: amount,
  lens: z.string().nullable(),
  lensMass: amount,
  /** Stock that lies about, by name, and how much of it, m. */
  bin: z.array(z.strictObject({ name: z.string(), length: z.number().positive().max(20) })),
});
export type Answers = z.infer<typeof answers>;
const NONE: Answers = {
  wishes: { carries: [], moves: [], hands: null, wet: false, hours: null, money: null, mass: null, tools: null },
  tools: null,
  camera: null,
  cameraMass: null,
  lens: null,
  lensMass: null,
  bin: [],
};

@Injectable({ providedIn: 'root' })
export class OwnAnswers {
  private readonly given = signal<Answers>(stored());
  readonly now = this.given.asReadonly();

  set(change: Partial<Answers>): void {
    this.given.update((before) => ({ ...before, ...change }));
    localStorage.setItem(KEY, JSON.stringify(this.given()));
  }

  wish(change: Partial<Wishes>): void {
    this.set({ wishes: answers.shape.wishes.parse({ ...this.now().wishes, ...change }) });
  }

  toggle<K extends 'carries' | 'moves'>(list: K, value: Wishes[K][number], on: boolean): void {
    const others = (this.now().wishes[list] as readonly string[]).filter((v) => v !== value);
    this.wish({ [list]: on ? [...others, value] : others });
  }

  /** The first tool that is taken away leaves all the others. */
  own(tool: string, on: boolean, common: readonly string[]): void {
    const others = (this.now().tools ?? common).filter((t) => t !== tool);
    this.set({ tools: on ? [...others, tool] : others });
  }
}

function stored(): Answers {
  try {
    return answers.parse(JSON.parse(localStorage.getItem(KEY) ?? 'null'));
  } catch {
    return NONE;
  }
}
