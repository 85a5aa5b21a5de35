/** Which pieces of a rig stand inside another, by their true solids: those whose boxes touch are cut with each other. */
import type { AdjusterValues, Assembly } from '../assemble';
import { countOf, valuesInOrder } from '../assemble';
import { connectionsOf } from '../connections/connectionsOf';
import { allowedOverlap } from './allowedOverlap';
import { MM } from './meshOf';
import { pairKey, pieceSolids, type PieceSolid } from './pieceSolids';
import type { SolidKit } from './solidKit';

export interface Overlap {
  readonly a: string;
  readonly b: string;
  /** Shared, m³. */
  readonly volume: number;
  /** The connection that says so; null where none does, or not so much. */
  readonly allowedBy: string | null;
}
export interface Looked {
  /** What is shared, the greatest first. */
  readonly overlaps: readonly Overlap[];
  /** Pairs whose boxes meet and that share nothing. */
  readonly clear: readonly (readonly [string, string])[];
  readonly pieces: number;
}

/** Less is not seen, m³: a cubic millimetre. */
export const SEEN = 1e-9;
/** Boxes that meet by less do not share that much, mm. */
const MEET = 0.01;
const PER_M3 = MM ** 3;

/** Volumes shared by pairs seen before, wherever the pair stood; the caller keeps it from one look to the next. */
export type OverlapMemory = Map<string, number>;
const KEPT_AT_MOST = 20_000;

/** `tell` hears how many of the pairs are done, and may say to stop: then what was found so far is given. */
export function overlapsOf(
  kit: SolidKit,
  assembly: Assembly,
  values: AdjusterValues,
  {
    memory = new Map(),
    tell = () => true,
  }: { memory?: OverlapMemory; tell?: (done: number, all: number) => boolean } = {},
): Looked {
  const { rig } = assembly;
  const inOrder = valuesInOrder(rig, values);
  const counts = new Map(assembly.stacks.map((s) => [s.station.id, countOf(s, inOrder)]));
  const connections = connectionsOf(rig, (station) => counts.get(station) ?? 0);
  const stated = new Map(rig.bodies.flatMap((b) => b.connections ?? []).map((c) => [c.id, c]));
  const solids = pieceSolids(kit, assembly, values, connections);
  const byId = new Map(solids.map((s) => [s.id, s]));
  const joining = (a: string, b: string) =>
    connections.filter((c) => {
      const all = [...c.pieces, ...c.hardware].map((p) => p.replace(/\/\d+$/, ''));
      return (
        (all.includes(a) || c.pieces.includes(a) || c.hardware.includes(a)) &&
        (all.includes(b) || c.pieces.includes(b) || c.hardware.includes(b))
      );
    });
  const pairs = meeting(solids);
  const overlaps: Overlap[] = [];
  const clear: (readonly [string, string])[] = [];
  if (memory.size > KEPT_AT_MOST) memory.clear();
  for (const [i, [a, b]] of pairs.entries()) {
    if (!tell(i, pairs.length)) break;
    const key = pairKey(a, b);
    const volume = memory.get(key) ?? a.mesh().intersect(b.mesh()).volume() / PER_M3;
    memory.set(key, volume);
    if (volume < SEEN) {
      clear.push([a.id, b.id]);
      continue;
    }
    const by = joining(a.id, b.id);
    const most = by.reduce(
      (sum, connection) =>
        sum +
        allowedOverlap({
          connection,
          stated: stated.get(connection.id),
          a: a.id,
          b: b.id,
          volumes: (piece) => (byId.get(piece)?.mesh().volume() ?? 0) / PER_M3,
        }),
      0,
    );
    overlaps.push({ a: a.id, b: b.id, volume, allowedBy: volume <= most + SEEN ? (by[0]?.id ?? null) : null });
  }
  kit.tidy();
  return { overlaps: overlaps.sort((x, y) => y.volume - x.volume), clear, pieces: solids.length };
}

/** Swept along x: only those that meet there are compared. */
function meeting(solids: readonly PieceSolid[]): readonly (readonly [PieceSolid, PieceSolid])[] {
  const sorted = [...solids].sort((a, b) => a.low[0] - b.low[0]);
  const found: (readonly [PieceSolid, PieceSolid])[] = [];
  sorted.forEach((a, i) => {
    for (const b of sorted.slice(i + 1)) {
      if (b.low[0] > a.high[0] - MEET) break;
      if (([1, 2] as const).every((k) => a.low[k] < b.high[k] - MEET && b.low[k] < a.high[k] - MEET))
        found.push([a, b]);
    }
  });
  return found;
}
