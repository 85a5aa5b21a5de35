/** What keeps pieces of a rig together, worked out: which pieces, the hardware it brings, the holes it needs, how far its thread holds. */
import type { Vec3 } from '../../0-base';

export type ConnectionKind =
  'bolted' | 'socketed' | 'clamped' | 'bonded' | 'seated' | 'slidOn' | 'laid' | 'screwedIn' | 'hinged' | 'welded';

/** A round hole a connection needs in a piece: `at` where its axis enters, rig axes, m. */
export interface ConnectionHole {
  readonly piece: string;
  readonly at: Vec3;
  readonly axis: Vec3;
  readonly diameter: number;
  /** Cut in it; null for a plain hole. */
  readonly thread: string | null;
  /** Drilled under size: the bolt cuts the thread itself. */
  readonly bitten?: true;
  /** How deep its thread goes, m. */
  readonly deep?: number;
  /** The piece is bought with it. */
  readonly sold?: true;
  /** Wider where it begins, so deep that head and washer lie in it. */
  readonly recess?: Recess;
  /** Widened where it begins, for a head that lies flush. */
  readonly sunk?: boolean;
}
/** A flat-bottomed pocket round a hole, m. */
export interface Recess {
  readonly diameter: number;
  readonly depth: number;
  /** Filed to six sides, so that what lies in it cannot turn. */
  readonly six?: true;
}
/** A layer of a stack, from the head on, head and last nut left out. */
export interface Layer {
  readonly piece: string;
  readonly thickness: number;
}
export interface Connection {
  /** By what it does, never by size: it stays while sizes change. */
  readonly id: string;
  readonly name: string;
  readonly kind: ConnectionKind;
  /** In order along the screw, or into the socket. */
  readonly pieces: readonly string[];
  /** Pieces it brings itself. */
  readonly hardware: readonly string[];
  readonly holes: readonly ConnectionHole[];
  /** Null where no screw passes, or where it is not said what it passes. */
  readonly stack: readonly Layer[] | null;
  readonly thread: string | null;
  readonly screwLength: number | null;
  readonly engagement: number | null;
  /** Faces that must meet. */
  readonly touches: readonly (readonly [string, string])[];
  readonly reversible: boolean;
  /** Each time the rig is packed. */
  readonly comesApart: boolean;
  /** The piece whose hole is drilled last, on the rig as it will be used. */
  readonly last?: string;
}

/** One without holes, stack or thread: what most kinds but bolts are. */
export const plainly = (
  of: Pick<Connection, 'id' | 'name' | 'kind' | 'pieces' | 'reversible' | 'comesApart'>,
): Connection => ({
  ...of,
  hardware: [],
  holes: [],
  stack: null,
  thread: null,
  screwLength: null,
  engagement: null,
  touches: [],
});
