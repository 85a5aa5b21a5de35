/** A judgement on the rig: how grave, about what, the figure against its limit, why it matters, what to do and the fix. */
import type { Figure, Phrase } from './units/phrase';

/** `stop`: it will not work or may hurt. `mend`: out of what is wanted. `measure`: not known well enough. `note`: worth knowing. */
export type Severity = 'stop' | 'mend' | 'measure' | 'note';

/** One edit of the design or set-up that a finding can offer in a click. */
export type Change =
  | { readonly kind: 'adjuster'; readonly id: string; readonly value: number }
  | { readonly kind: 'dimension'; readonly id: string; readonly value: number }
  | { readonly kind: 'choice'; readonly id: string; readonly value: string }
  /** A member's end pushed home, or a thing moved, m. */
  | { readonly kind: 'short'; readonly id: string; readonly end: 0 | 1; readonly value: number }
  /** A member cut from other stock, by its id in the stock list; a camera screw of another length under its head, m. */
  | { readonly kind: 'restock'; readonly id: string; readonly stock: string }
  | { readonly kind: 'screw'; readonly id: string; readonly length: number }
  /** Another thread for a connection's screw, by its name. */
  | { readonly kind: 'thread'; readonly id: string; readonly thread: string }
  /** Soft stuff on a joint's stops, m thick. */
  | { readonly kind: 'padding'; readonly id: string; readonly thickness: number }
  | { readonly kind: 'move'; readonly id: string; readonly by: readonly [number, number, number] }
  /** A cap put on a bare end: its member's body, where the end is and which way it points, and the stock's width, m. */
  | {
      readonly kind: 'cap';
      readonly id: string;
      readonly body: string;
      readonly at: readonly [number, number, number];
      readonly axis: readonly [number, number, number];
      readonly across: number;
    }
  /** A weight's strip or rod, carrying it `by` from where it was, m; `again` takes the place of the one it has. The weight itself is moved beside it. */
  | {
      readonly kind: 'carry';
      readonly id: string;
      readonly body: string;
      readonly onto: string;
      readonly by: readonly [number, number, number];
      readonly again: boolean;
      /** Its bolt is a stated connection: the design knows the rest by itself. */
      readonly stated?: true;
      readonly weight: {
        readonly id: string;
        readonly name: string;
        readonly seat: readonly [number, number, number];
        readonly axis: readonly [number, number, number];
        readonly boltDiameter: number;
        readonly washerRadius: number;
      };
    }
  | { readonly kind: 'mount'; readonly id: string; readonly into: string }
  /** A flat bar bolted between two corners of a body, its id and its stock's in the stock list. */
  | {
      readonly kind: 'brace';
      readonly id: string;
      readonly body: string;
      readonly from: string;
      readonly to: string;
      readonly stock: string;
    }
  /** A flat bar across the corner of two members, bolted to both so far from it, m. */
  | {
      readonly kind: 'corner';
      readonly id: string;
      readonly body: string;
      readonly node: string;
      readonly first: string;
      readonly second: string;
      readonly reach: number;
      readonly side: 'front' | 'back';
      readonly stock: string;
    }
  /** Glued along a piece, from and to so far along one of its straight stretches, m: a strip of a stock on a face, or a round made to its bore. */
  | {
      readonly kind: 'double';
      readonly id: string;
      readonly body: string;
      readonly target: string;
      readonly stretch: number;
      readonly from: number;
      readonly to: number;
      readonly lies: 'over' | 'under' | 'inside';
      readonly stock: string;
      readonly core?: { readonly bore: number; readonly material: 'oak' | 'aluminium' };
    }
  /** How a fitting's pipes are kept in it. */
  | { readonly kind: 'hold'; readonly id: string; readonly hold: 'glued' | 'soldered' | 'pinned' };

export interface Fix {
  readonly label: Phrase;
  readonly changes: readonly Change[];
}

export interface Finding {
  readonly code: string;
  readonly severity: Severity;
  /** Id of the rig element, kit item, adjuster or dimension it is about: lights up in lists and drawing. */
  readonly about: string;
  /** Which of several of its kind about the same thing: a pose, a lens, an end. Code, about and place are its key. */
  readonly place?: string;
  readonly figure: Figure | null;
  readonly limit: Figure | null;
  readonly title: Phrase;
  readonly why: Phrase;
  readonly toDo: Phrase;
  /** What it is about brings nothing to the lists of what to buy, drill and do: they are not whole. */
  readonly leavesOut?: true;
  readonly fixes: readonly Fix[];
}

/** Of a rig as it is set no two findings have the same. */
export const findingKey = (f: Pick<Finding, 'code' | 'about' | 'place'>): string =>
  `${f.code} ${f.about}${f.place === undefined ? '' : ` ${f.place}`}`;

/** Where in the work it is mended. */
export type FindingStage = 'load' | 'frame' | 'balance';
/** A finding with its place in the work, as lists and shoreline show it. */
export interface Judgement extends Finding {
  readonly stage: FindingStage;
}
