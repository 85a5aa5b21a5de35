/** Whether some pieces can leave others: straight out as far as they like, or a little way and then aside. */
import { cross, dot, length, scale, subtract, transform, type Vec3 } from '../../0-base';
import { columnsOf, latticeAlong, merged, PITCH, runsOf, type Columns, type Runs, type Span } from '../../2-frame';
import { isAlong, type Bond, type ToPart } from './partsToPart';

/** One leg after the other; the last one without end. */
export type WayOut = readonly { readonly way: Vec3; readonly by: number }[];

/** All pieces along one direction, worked out when it is first asked for. */
interface Along {
  readonly columns: Columns;
  readonly runs: Runs;
}
export type Lines = (axis: Vec3) => Along;
interface Seen {
  readonly columns: Columns;
  /** How far piece `a` is free along the axis until it meets `b`, at `a * n + b`, m; against the axis `b` along it. */
  readonly free: Float64Array;
  /** All that a piece meets along the axis, and against it: worked out when it is first asked for. */
  readonly ahead: () => readonly (readonly number[])[];
  readonly behind: () => readonly (readonly number[])[];
}
export interface Room {
  /** The first of these ways along which `goes` leave `stay` for good. */
  readonly straightOut: (goes: readonly number[], stay: readonly number[], ways: readonly Vec3[]) => WayOut | null;
  /** Where the middle of a piece lies along a way, m. */
  readonly placeAlong: (piece: number, way: Vec3) => number;
  /** How `goes` leave `stay`, first tried along `first`; null where nothing lets them. */
  readonly wayOut: (goes: readonly number[], stay: readonly number[], first: readonly Vec3[]) => WayOut | null;
  /** All that a piece meets on its way. */
  readonly metBy: (piece: number, way: Vec3) => readonly number[];
  /** They can be turned all the way round against each other about a threaded pipe's axis: what is screwed into its fitting must. */
  readonly canTurn: (turns: readonly number[], stay: readonly number[], bond: Bond) => boolean;
  readonly seenAlong: (axis: Vec3) => Seen;
}

/** Tried before a turn aside, of what is free straight ahead. */
const LEGS = [1, 0.9, 0.75, 0.5, 0.2];
/** What is this much free has left for good, m. */
export const FAR = 10;
/** Beside each other, m. */
const GRAZE = 1e-4;

export function linesOf({ shapes, axes }: ToPart): Lines {
  const known = new Map<Vec3, Along>();
  return (axis) => {
    const own = axes.find((a) => isAlong(a, axis)) ?? axis;
    const before = known.get(own);
    if (before) return before;
    const columns = columnsOf(shapes, latticeAlong(own));
    const made = { columns, runs: runsOf(columns) };
    known.set(own, made);
    return made;
  };
}

export function roomFor(of: ToPart, linesAlong: Lines): Room {
  const { shapes, axes } = of;
  const n = shapes.length;
  const bondsOf = between(of);
  const seen = new Map<Along, Seen>();
  const seenAlong = (axis: Vec3): Seen => {
    const along = linesAlong(axis);
    const before = seen.get(along);
    if (before) return before;
    const { columns, runs } = along;
    const free = freeAlong(n, runs, columns.lattice.axis, bondsOf);
    const metWhere = (at: (a: number, b: number) => number) =>
      once(() => shapes.map((_, a) => shapes.flatMap((_s, b) => (a !== b && free[at(a, b)]! < Infinity ? [b] : []))));
    const made = { columns, free, ahead: metWhere((a, b) => a * n + b), behind: metWhere((a, b) => b * n + a) };
    seen.set(along, made);
    return made;
  };
  const ways = axes.flatMap((axis) => [axis, scale(axis, -1)]);
  const isForwards = ({ lattice }: Columns, way: Vec3): boolean => dot(lattice.axis, way) > 0;

  const freeOf = (goes: readonly number[], stay: readonly number[], way: Vec3): number => {
    const { columns, free } = seenAlong(way);
    const [from, to] = isForwards(columns, way) ? [goes, stay] : [stay, goes];
    let least = Infinity;
    for (const a of from)
      for (const b of to) {
        const one = free[a * n + b]!;
        if (one < least) least = one;
        if (least <= 0) return 0;
      }
    return least;
  };
  const lines = (pieces: readonly number[], { starts }: Columns): number =>
    pieces.reduce((sum, p) => sum + starts[p + 1]! - starts[p]!, 0);
  const isThere = new Uint8Array(n);
  /** Once moved by so much they are free along the way without end. */
  const isClear = (goes: readonly number[], stay: readonly number[], by: Vec3, way: Vec3): boolean => {
    const { columns } = seenAlong(way);
    // Which of both moves is the same; the one of fewer lines is walked.
    if (lines(goes, columns) > lines(stay, columns)) return isClear(stay, goes, scale(by, -1), scale(way, -1));
    const { cell, from, to, piece, starts, first, next, lattice, cellAt, uOf, vOf } = columns;
    const forwards = isForwards(columns, way);
    const [du, dv, dt] = transform(lattice.frame, by);
    isThere.fill(0);
    for (const b of stay) isThere[b] = 1;
    for (const a of goes)
      for (let i = starts[a]!; i < starts[a + 1]!; i++) {
        const moved = cellAt(uOf(cell[i]!) + du, vOf(cell[i]!) + dv);
        if (moved < 0) continue;
        for (let k = first[moved]!; k >= 0; k = next[k]!) {
          if (!isThere[piece[k]!] || bondsOf.opens[a * n + piece[k]!]) continue;
          if (forwards ? to[k]! > from[i]! + dt + GRAZE : from[k]! < to[i]! + dt - GRAZE) return false;
        }
      }
    return true;
  };
  /** By how far off the axis: where it is solid at any turn, along the axis. */
  const rings = (pieces: readonly number[], at: Vec3, axis: Vec3): ReadonlyMap<number, readonly Span[]> => {
    const { lattice, starts, cell, from, to, uOf, vOf } = seenAlong(axis).columns;
    const [u0, v0] = transform(lattice.frame, at);
    const found = new Map<number, Span[]>();
    for (const p of pieces)
      for (let i = starts[p]!; i < starts[p + 1]!; i++) {
        const ring = Math.floor(Math.hypot(uOf(cell[i]!) - u0, vOf(cell[i]!) - v0) / PITCH);
        const there = found.get(ring);
        if (there) there.push([from[i]!, to[i]!]);
        else found.set(ring, [[from[i]!, to[i]!]]);
      }
    return new Map([...found].map(([ring, spans]) => [ring, merged(spans)]));
  };
  const straightOut: Room['straightOut'] = (goes, stay, tried) => {
    const way = tried.find((w) => freeOf(goes, stay, w) === Infinity);
    return way ? [{ way, by: FAR }] : null;
  };
  return {
    seenAlong,
    straightOut,
    placeAlong: (piece, way) => {
      const { flats } = shapes[piece]!;
      return flats.reduce((sum, f) => sum + dot(f.at, way), 0) / flats.length;
    },
    canTurn: (turns, stay, { turnsAbout: at, axis, binds }) => {
      if (!at || !axis) return true;
      // The pipe itself runs in its fitting's thread.
      const engaged = new Set(binds);
      const isRound = (p: number): boolean =>
        shapes[p]!.flats.every(
          (f) =>
            f.shape.kind === 'tube' &&
            isAlong([f.rotation[0][2], f.rotation[1][2], f.rotation[2][2]], axis) &&
            length(cross(subtract(f.at, at), axis)) < GRAZE,
        );
      // What is round about the axis, or gives way, turns where it is.
      const turning = (pieces: readonly number[]): readonly number[] =>
        pieces.filter((p) => !of.soft.has(p) && (engaged.has(p) || !isRound(p)));
      const bare = (pieces: readonly number[]): readonly number[] => pieces.filter((p) => !engaged.has(p));
      const meet = (a: readonly number[], b: readonly number[]): boolean => {
        const [own, others] = [rings(a, at, axis), rings(b, at, axis)];
        for (const [ring, spans] of own)
          for (const [from, to] of spans)
            if (others.get(ring)?.some(([start, end]) => Math.min(to, end) - Math.max(from, start) > PITCH))
              return true;
        return false;
      };
      const [own, others] = [turning(turns), turning(stay)];
      return !meet(bare(own), others) && !meet(own, bare(others));
    },
    metBy: (piece, way) => {
      const along = seenAlong(way);
      return (isForwards(along.columns, way) ? along.ahead : along.behind)()[piece]!;
    },
    wayOut: (goes, stay, first) => {
      const tried = [...first, ...ways.filter((w) => !first.some((f) => dot(f, w) > 1 - 1e-6))];
      const runs: { readonly way: Vec3; readonly run: number }[] = [];
      for (const way of tried) {
        const run = freeOf(goes, stay, way);
        if (run === Infinity) return [{ way, by: FAR }];
        if (run > GRAZE) runs.push({ way, run });
      }
      for (const { way, run } of runs)
        for (const leg of LEGS) {
          const by = scale(way, run * leg - GRAZE);
          const aside = ways.find((w) => !isAlong(w, way) && isClear(goes, stay, by, w));
          if (aside)
            return [
              { way, by: run * leg },
              { way: aside, by: FAR },
            ];
        }
      return null;
    },
  };
}

function once<T>(work: () => T): () => T {
  let made: { readonly value: T } | null = null;
  return () => (made ??= { value: work() }).value;
}

interface Between {
  /** A clamp opens, tape peels, a bearing or union comes apart: what they hold is not in the way. At `a * n + b`. */
  readonly opens: Uint8Array;
  /** Thread runs in thread along its own axis alone, a press fit along its bore. */
  readonly runsWithin: (a: number, b: number, axis: Vec3) => boolean;
}

function between({ shapes, bonds, soft }: ToPart): Between {
  const n = shapes.length;
  const opens = new Uint8Array(n * n);
  for (const a of soft) for (let b = 0; b < n; b++) opens[a * n + b] = opens[b * n + a] = 1;
  const known = new Map<number, Bond[]>();
  for (const bond of bonds)
    for (const a of bond.binds)
      for (const b of bond.binds) {
        if (a === b) continue;
        if (bond.opens) opens[a * n + b] = 1;
        const there = known.get(a * n + b);
        if (there) there.push(bond);
        else known.set(a * n + b, [bond]);
      }
  return {
    opens,
    runsWithin: (a, b, axis) =>
      (known.get(a * n + b) ?? []).some((bond) => bond.axis === null || isAlong(bond.axis, axis)),
  };
}

function freeAlong(n: number, { run, within }: Runs, axis: Vec3, { opens, runsWithin }: Between): Float64Array {
  const free = new Float64Array(n * n).fill(Infinity);
  for (let a = 0; a < n; a++)
    for (let b = 0; b < n; b++)
      if (a !== b && !opens[a * n + b]) free[a * n + b] = within(a, b) && !runsWithin(a, b, axis) ? 0 : run(a, b);
  return free;
}
