/** How much two pieces may share because a connection says so: thread in thread, nut in pocket, wood round a screw. A fitting is bored to its pipe: they share nothing. m³. */
import type { StatedConnection } from '../../model';
import type { Connection } from '../connections/connection';
import { CLEARANCE, SUNK_HEAD } from '../hardware/sizes';
import { nutBore, threadCalled } from '../hardware/thread';

/** Tables and drawn rounds are a little off the true solid. */
const LENIENT = 1.1;

/** What a mitred end is drawn too long by, of its face to the power of 3/2: up to a lean of 20 degrees. */
const MITRE = 0.03;
/** Of a bolt's diameter cubed: what of its dome and square neck lies in the wood (DIN 603). */
const NECK = 0.9;

/** `volumes`: of each piece, m³. */
export interface SharedInput {
  readonly connection: Connection;
  readonly stated: StatedConnection | undefined;
  readonly a: string;
  readonly b: string;
  readonly volumes: (piece: string) => number;
}

export function allowedOverlap(input: SharedInput): number {
  return LENIENT * most(input);
}

function most({ connection: c, stated, a, b, volumes }: SharedInput): number {
  const own = new Set(c.hardware);
  const screw = own.has(a) ? a : own.has(b) ? b : stated?.kind === 'bolted' ? (stated.screw ?? null) : null;
  const other = screw === a ? b : a;
  switch (c.kind) {
    case 'bolted':
      return screw === null ? 0 : inThread(c, other) + underHead(c, stated, other);
    case 'seated':
      // What sits in a pocket is drawn in solid stuff.
      return c.holes.length > 0 ? 0 : volumes(c.pieces[0]!);
    case 'screwedIn':
      return screw === null ? 0 : volumes(screw);
    case 'bonded':
      return stated?.kind === 'bonded' && stated.mitred ? MITRE * (stated.area ?? 0) ** 1.5 : 0;
    default:
      return 0;
  }
}

/** Between the thread's crests and the hole it is cut in, over as much of it as is deep. */
function inThread(c: Connection, piece: string): number {
  const thread = c.thread === null ? null : threadCalled(c.thread);
  const hole = c.holes.find((h) => h.piece === piece && h.thread !== null);
  if (!thread || !hole) return 0;
  const depth = hole.deep ?? c.engagement ?? 0;
  return (Math.PI / 4) * (thread.diameter ** 2 - Math.min(hole.diameter, nutBore(thread)) ** 2) * depth;
}

/** A countersunk head lies in a cone that is drawn as a straight hole; a square neck and dome lie in the wood. */
function underHead(c: Connection, stated: StatedConnection | undefined, piece: string): number {
  const thread = c.thread === null ? null : threadCalled(c.thread);
  if (!thread || stated?.kind !== 'bolted' || c.pieces[0] !== piece) return 0;
  if (stated.head === 'square') return NECK * (thread.diameter ** 2 * thread.diameter);
  if (stated.head !== 'sunk') return 0;
  const [wide, high] = [SUNK_HEAD.diameter.of(thread) ?? 0, SUNK_HEAD.height.of(thread) ?? 0];
  const narrow = CLEARANCE.medium.of(thread) ?? thread.diameter;
  return (Math.PI / 12) * high * (wide ** 2 + wide * narrow + narrow ** 2);
}
