/** A set-up card in the words it goes out with: into a field pack, a picture and a PDF alike. */
import type { LogEntry } from '@tide-pebble/core';

export interface PackCard {
  readonly loadout: string;
  readonly parts: readonly {
    readonly name: string;
    readonly big: string;
    readonly beside: string;
    readonly small: readonly string[];
  }[];
  readonly conditions: string;
  readonly expect: readonly { readonly figure: string; readonly rest: string }[];
  readonly tight: readonly string[];
  readonly doubt: string;
  readonly mass: string;
  /** What a reading with this card is of, and what was foretold when the pack was made. */
  readonly entry: Pick<LogEntry, 'rig' | 'loadout' | 'values' | 'expected'>;
}
