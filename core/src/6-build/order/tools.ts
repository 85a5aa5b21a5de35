/** Whether a spanner, a socket, a key or fingers reach the two ends of a screw past what is there. */
import { dot, transform, type Vec3 } from '../../0-base';
import { ACROSS_FLATS, threadCalled, WING_SPAN, type PieceShape } from '../../2-frame';
import type { Bolted } from '../../model';
import type { Bond, ToPart } from './partsToPart';
import type { Room } from './room';

/** A socket is so many times as wide as the flats are apart, and so long, m. */
const SOCKET = { wide: 1.5, long: 0.05 };
/** A spanner is so many times as long as the flats are apart, and swings so far before it is put on anew. */
const SPANNER = { long: 10, swing: Math.PI / 6 };
/** A key goes straight in so far before it may bend aside, m. */
const KEY = 0.025;
/** Fingers round a wing nut, beyond it and round it, m. */
const FINGERS = 0.02;
/** What only grazes a tool is no hindrance, m. */
const GRAZE = 3e-4;
/** A full turn is looked at in so many parts. */
const BINS = 72;

/** What is in the way of a tool at one end of a screw. */
interface Site {
  /** In the way straight above it. */
  readonly above: ReadonlySet<number>;
  /** In the way of a spanner from each side; null where none is used. */
  readonly beside: readonly ReadonlySet<number>[] | null;
}
export interface Tools {
  /** Both ends of the connection's screw can be turned or held while these pieces are there. */
  readonly reach: (bond: Bond, there: readonly number[]) => boolean;
}

export function toolsFor({ shapes }: ToPart, room: Room): Tools {
  const known = new Map<Bond, readonly Site[]>();
  return {
    reach: (bond, there) => {
      let sites = known.get(bond);
      if (!sites) {
        sites = sitesOf(bond, shapes, room);
        known.set(bond, sites);
      }
      return sites.every((s) => isReached(s, there));
    },
  };
}

function isReached({ above, beside }: Site, there: readonly number[]): boolean {
  if (!there.some((p) => above.has(p))) return true;
  if (!beside) return false;
  const free = beside.map((bin) => !there.some((p) => bin.has(p)));
  const needed = Math.round((SPANNER.swing / (2 * Math.PI)) * BINS);
  return free.some((_, i) => Array.from({ length: needed }, (_b, k) => free[(i + k) % BINS]).every(Boolean));
}

interface End {
  readonly kind: 'hex' | 'key' | 'fingers';
  /** Of the head or nut, from the middle of its round. */
  readonly at: Vec3;
  readonly thick: number;
  readonly radius: number;
  readonly outwards: Vec3;
}

function sitesOf({ stated, hardware, axis }: Bond, shapes: readonly PieceShape[], room: Room): readonly Site[] {
  const thread = stated?.kind === 'bolted' ? threadCalled(stated.thread) : null;
  if (stated?.kind !== 'bolted' || !axis || !thread) return [];
  const own = new Set(hardware);
  const flats = ACROSS_FLATS.of(thread) ?? 1.6 * thread.diameter;
  return endsOf(stated, shapes, hardware, axis, thread.diameter, WING_SPAN.of(thread) ?? 4 * thread.diameter).map(
    (end) => siteOf(end, flats, thread.diameter, own, room),
  );
}

function endsOf(
  { id, head, root, screw, rod, end }: Bolted,
  shapes: readonly PieceShape[],
  hardware: readonly number[],
  axis: Vec3,
  diameter: number,
  wings: number,
): readonly End[] {
  const back = axis.map((x) => -x) as unknown as Vec3;
  const round = (role: string): { at: Vec3; thick: number; radius: number } | null => {
    const shape = hardware.map((i) => shapes[i]!).find((s) => s.id === `${id}/${role}`);
    const widest = shape?.flats
      .flatMap((f) =>
        f.shape.kind === 'tube' ? [{ at: f.at, thick: f.shape.length, radius: f.shape.outerRadius }] : [],
      )
      .sort((a, b) => b.radius - a.radius)[0];
    return widest && widest.radius > (diameter / 2) * 1.05 ? widest : null;
  };
  const ends: End[] = [];
  const top = screw !== undefined || rod ? round('nut-head') : round('screw');
  if (top && !root && head !== 'square')
    ends.push({
      ...top,
      kind: head === 'sunk' ? 'key' : head === 'wing' ? 'fingers' : 'hex',
      radius: head === 'sunk' ? diameter / 2 : head === 'wing' ? wings / 2 : top.radius,
      outwards: back,
    });
  const nut = end.kind === 'tapped' || end.kind === 'camera' ? null : round('nut');
  if (nut)
    ends.push({
      ...nut,
      kind: end.kind === 'wing' ? 'fingers' : 'hex',
      radius: end.kind === 'wing' ? wings / 2 : nut.radius,
      outwards: axis,
    });
  return ends;
}

function siteOf(
  { kind, at, thick, radius, outwards }: End,
  flats: number,
  diameter: number,
  own: ReadonlySet<number>,
  room: Room,
): Site {
  const { lattice, cell, from: low, to: high, starts, uOf, vOf } = room.seenAlong(outwards).columns;
  const sense = dot(lattice.axis, outwards) > 0 ? 1 : -1;
  const [u0, v0, t] = transform(lattice.frame, at);
  const face = sense * t + thick / 2;
  const straight = kind === 'hex' ? (SOCKET.wide * flats) / 2 : kind === 'key' ? diameter / 2 : radius;
  const long = kind === 'hex' ? SOCKET.long : kind === 'key' ? KEY : FINGERS;
  const reach = kind === 'hex' ? SPANNER.long * flats : straight;
  const above = new Set<number>();
  const beside = Array.from({ length: BINS }, () => new Set<number>());
  for (let p = 0; p + 1 < starts.length; p++) {
    if (own.has(p)) continue;
    for (let i = starts[p]!; i < starts[p + 1]!; i++) {
      const [du, dv] = [uOf(cell[i]!) - u0, vOf(cell[i]!) - v0];
      if (Math.abs(du) > reach || Math.abs(dv) > reach) continue;
      const off = Math.hypot(du, dv);
      const [from, to] = sense > 0 ? [low[i]!, high[i]!] : [-high[i]!, -low[i]!];
      // Wings are turned from all round them, a socket or a key comes from above.
      const floor = kind === 'fingers' ? face - thick : face;
      if (off < straight && to > floor + GRAZE && from < face + long - GRAZE) above.add(p);
      if (kind === 'hex' && off > flats / 2 && off < reach && to > face - thick + GRAZE && from < face - GRAZE)
        beside[Math.floor(((Math.atan2(dv, du) + 2 * Math.PI) / (2 * Math.PI)) * BINS) % BINS]!.add(p);
    }
  }
  return { above, beside: kind === 'hex' ? beside : null };
}
