/** Whether a spanner, a socket, a key or fingers reach the two ends of a screw past what is there. */
import { dot, transform, type Vec3 } from '../../0-base';
import { ACROSS_FLATS, SOCKET_WIDE, threadCalled, WING_HEIGHT, WING_SPAN, type PieceShape } from '../../2-frame';
import type { Bolted } from '../../model';
import type { Bond, ToPart } from './partsToPart';
import type { Room } from './room';

/** A socket is so long, m. */
const SOCKET_LONG = 0.05;
/** A deep one takes so much of a rod beyond its nut, m. */
const DEEP = 0.02;
/** A spanner is so many times as long as the flats are apart, and swings so far before it is put on anew. */
const SPANNER = { long: 10, swing: Math.PI / 6 };
/** A key cut short goes straight in so far before it bends aside, m. */
const KEY = 0.018;
/** Fingers hold the wings from outside, from half way round, m. */
const FINGERS = 0.02;
const HALF_ROUND = Math.PI;
/** What only grazes a tool is no hindrance, m; nor is seen what reaches less than half a line's distance into its way. */
const GRAZE = 3e-4;
/** A full turn is looked at in so many parts. */
const BINS = 72;

/** What is in the way of a tool at one end of a screw. */
interface Site {
  /** In the way straight above it. */
  readonly above: ReadonlySet<number>;
  /** In the way of a spanner or of fingers from each side, and how much of the round must be free; null where nothing comes from there. */
  readonly beside: { readonly bins: readonly ReadonlySet<number>[]; readonly free: number } | null;
  /** Either way will do: a socket from above, or a spanner from the side. */
  readonly either: boolean;
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

function isReached({ above, beside, either }: Site, there: readonly number[]): boolean {
  const isOpen = !there.some((p) => above.has(p));
  if (!beside || (either && isOpen)) return isOpen;
  if (!either && !isOpen) return false;
  const free = beside.bins.map((bin) => !there.some((p) => bin.has(p)));
  const needed = Math.round((beside.free / (2 * Math.PI)) * BINS);
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

/** Of what is turned, m. */
interface Sizes {
  readonly flats: number;
  readonly diameter: number;
  readonly wings: number;
  readonly wingHeight: number;
}

function sitesOf({ stated, hardware, axis }: Bond, shapes: readonly PieceShape[], room: Room): readonly Site[] {
  const thread = stated?.kind === 'bolted' ? threadCalled(stated.thread) : null;
  if (stated?.kind !== 'bolted' || !axis || !thread) return [];
  const own = new Set(hardware);
  const rod = stated.screw === undefined ? -1 : shapes.findIndex((s) => s.id === stated.screw);
  const sizes: Sizes = {
    flats: ACROSS_FLATS.of(thread) ?? 1.6 * thread.diameter,
    diameter: thread.diameter,
    wings: WING_SPAN.of(thread) ?? 4 * thread.diameter,
    wingHeight: WING_HEIGHT.of(thread) ?? 2 * thread.diameter,
  };
  return endsOf(stated, shapes, hardware, axis, sizes).map((end) => siteOf(end, sizes, { own, rod }, room));
}

function endsOf(
  { id, head, held, root, screw, rod, end }: Bolted,
  shapes: readonly PieceShape[],
  hardware: readonly number[],
  axis: Vec3,
  { diameter, wings }: Sizes,
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
  if (top && !root && !held && head !== 'square')
    ends.push({
      ...top,
      kind: head === 'sunk' || head === 'low' ? 'key' : head === 'wing' ? 'fingers' : 'hex',
      radius: head === 'sunk' || head === 'low' ? diameter / 2 : head === 'wing' ? wings / 2 : top.radius,
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
  { flats, diameter, wingHeight }: Sizes,
  { own, rod }: { readonly own: ReadonlySet<number>; readonly rod: number },
  room: Room,
): Site {
  const { lattice, cell, from: starting, to: ending, starts, uOf, vOf } = room.seenAlong(outwards).columns;
  const sense = dot(lattice.axis, outwards) > 0 ? 1 : -1;
  const [u0, v0, t] = transform(lattice.frame, at);
  const face = sense * t + thick / 2;
  const straight = kind === 'hex' ? (SOCKET_WIDE * flats) / 2 : kind === 'key' ? diameter / 2 : radius;
  // Wings turn where they stand; a socket and a key come from above.
  const floor = kind === 'fingers' ? face - thick : face;
  const top = kind === 'hex' ? face + SOCKET_LONG : kind === 'key' ? face + KEY : floor + wingHeight;
  const reach = kind === 'hex' ? SPANNER.long * flats : kind === 'fingers' ? radius + FINGERS : straight;
  const [low, high] = kind === 'hex' ? [face - thick, face] : [floor, top];
  const [lowest, highest] = [Math.min(low, floor) + GRAZE, Math.max(high, top) - GRAZE];
  const above = new Set<number>();
  const bins = Array.from({ length: BINS }, () => new Set<number>());
  for (let p = 0; p + 1 < starts.length; p++) {
    if (own.has(p)) continue;
    for (let i = starts[p]!; i < starts[p + 1]!; i++) {
      const from = sense > 0 ? starting[i]! : -ending[i]!;
      const to = sense > 0 ? ending[i]! : -starting[i]!;
      // Most lies above or below all that the tool takes.
      if (to <= lowest || from >= highest) continue;
      const du = uOf(cell[i]!) - u0;
      const dv = vOf(cell[i]!) - v0;
      if (Math.abs(du) > reach || Math.abs(dv) > reach) continue;
      const off = Math.sqrt(du * du + dv * dv);
      // The end of its own rod goes up into a deep socket.
      if (p === rod && off < diameter && to < face + DEEP) continue;
      if (off < straight && to > floor + GRAZE && from < top - GRAZE) above.add(p);
      if (kind !== 'key' && off > flats / 2 && off < reach && to > low + GRAZE && from < high - GRAZE)
        bins[Math.floor(((Math.atan2(dv, du) + 2 * Math.PI) / (2 * Math.PI)) * BINS) % BINS]!.add(p);
    }
  }
  return {
    above,
    beside: kind === 'key' ? null : { bins, free: kind === 'hex' ? SPANNER.swing : HALF_ROUND },
    either: kind === 'hex',
  };
}
