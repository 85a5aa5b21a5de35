/** What each kind of connection answers: one file a kind in `kinds`, walked by everything that asks. */
import type { Phrase, Vec3 } from '../../0-base';
import type { FlatBody } from '../../1-load';
import type { Part, Rig, StatedConnection } from '../../model';
import type { Connection } from './connection';

/** What a connection is worked out from: the rig, the solids of each piece, and how many washers are on each station. */
export interface Surroundings {
  readonly rig: Rig;
  readonly solids: (piece: string) => readonly FlatBody[];
  readonly counts: (station: string) => number;
}
export interface ConnectionFault {
  /** The piece to look at. */
  readonly about: string;
  readonly connection: string;
  readonly name: string;
  readonly reason: Phrase;
  /** What would mend it, where a part stands off what holds it: how far it goes, m, and up to what. */
  readonly move?: { readonly id: string; readonly by: Vec3; readonly words: Phrase };
}
export interface Resolved {
  readonly connection: Connection;
  /** The hardware it brings, as parts of the piece's body; with no washers on its rows. */
  readonly parts: readonly Part[];
  readonly faults: readonly ConnectionFault[];
}

export type Stated<K extends StatedConnection['kind']> = Extract<StatedConnection, { readonly kind: K }>;

export interface KindOfConnection<K extends StatedConnection['kind']> {
  readonly kind: K;
  /** The piece it goes along with: its place is given on it. */
  readonly datum: (of: Stated<K>) => string;
  /** Pieces and stations it holds, in order. */
  readonly holds: (of: Stated<K>) => readonly string[];
  /** What is left of it when these are gone; null when it holds nothing together any more. */
  readonly without: (of: Stated<K>, gone: ReadonlySet<string>) => Stated<K> | null;
  readonly resolve: (of: Stated<K>, around: Surroundings) => Resolved;
}

export const GONE: Phrase = ['A piece it holds is not on this rig any more.'];
