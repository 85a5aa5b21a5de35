/** A screw through an ordered stack: how long it is, what it brings and where that stands, which holes it needs. */
import { addScaled, figure, length, say, unit, type Phrase, type Vec3 } from '../../../0-base';
import type { Bolted } from '../../../model';
import { boltUp, type BoltEnd, type BoltPiece } from '../../hardware/boltUp';
import { ACROSS_FLATS, CLEARANCE } from '../../hardware/sizes';
import { THREADS, type Thread } from '../../hardware/thread';
import type { StackLayer } from '../../hardware/stackUp';
import type { ConnectionHole, Layer } from '../connection';
import { crossings, type Span } from '../crossing';
import { fastenerParts } from '../fastenerParts';
import { GONE, type ConnectionFault, type KindOfConnection, type Resolved, type Surroundings } from '../kind';
import { washerId } from '../washerId';

/** Faces that do not meet within this are apart, m. */
const TOUCH = 0.00005;
/** A head bears near its rim: part of half its width. */
const RIM = 0.95;
const SOFT = new Set(['wood', 'plastic', 'rubber']);

export const bolted: KindOfConnection<'bolted'> = {
  kind: 'bolted',
  datum: (of) => of.on,
  holds: (of) => of.stack.map(held),
  // It holds on to what is left, while that is two things.
  without: (of, gone) => {
    const stack = of.stack.filter((l) => !gone.has(held(l)));
    if (gone.has(of.on) || stack.length < 2) return null;
    return stack.length === of.stack.length ? of : { ...of, stack };
  },
  resolve: (of, around) => {
    if (!(length(of.way) > 0)) return broken(of, say`It is not said which way its screw points.`);
    try {
      return resolved(of, around);
    } catch (error) {
      // A standard that knows no such part for this thread.
      if (error instanceof RangeError) return broken(of, [`There is ${error.message}.`]);
      throw error;
    }
  },
};

const held = (layer: Bolted['stack'][number]): string => (layer.kind === 'row' ? layer.station : layer.piece);

function resolved(of: Bolted, around: Surroundings): Resolved {
  const thread = THREADS.find((t) => t.name === of.thread);
  if (!thread) return broken(of, say`“${of.thread}” is no thread this program knows.`);
  const stacked = stackOf(of, thread, around);
  if ('reason' in stacked) return broken(of, stacked.reason);
  const { start, standing, layers, passed, spans, rides, faults } = stacked;
  const end: BoltEnd = of.end;
  const screw = boltUp({
    thread,
    layers,
    stands: standing,
    washers: washersFor(of, around),
    end,
    ...(of.head ? { head: of.head } : {}),
  });
  if (screw.length === null)
    faults.push(
      end.kind === 'camera'
        ? say`No screw is sold that goes far enough into the camera and not too far: make what it passes thicker or thinner.`
        : say`No screw is sold that suits what it passes.`,
    );
  const way = unit(of.way);
  const place = (along: number): Vec3 => addScaled(of.point, way, start + along);
  const washers = (isUnder: boolean): readonly Layer[] =>
    screw.pieces
      .filter((p) => p.role.startsWith('washer') && (p.role === 'washer-end') === isUnder)
      .map(layerOf(of.id));
  const pieces = passed.map((l) => l.piece);
  return {
    parts: screw.pieces.flatMap((piece) => fastenerParts(of, piece, place, way, ridesOn(piece, rides))),
    faults: faults.map((reason) => ({ ...at(of), reason })),
    connection: {
      id: of.id,
      name: of.name,
      kind: 'bolted',
      pieces,
      hardware: screw.pieces.map((p) => `${of.id}/${p.role}`),
      holes: holesOf(of, pieces, spans, thread, around),
      stack: [...washers(false), ...passed, ...washers(true)],
      thread: of.thread,
      screwLength: screw.length,
      engagement: screw.engagement,
      touches: pieces.slice(1).map((p, i) => [pieces[i]!, p] as const),
      reversible: true,
      comesApart: of.packs ?? false,
    },
  };
}

interface Stacked {
  /** Where the first layer's outer face lies along the axis, m from its point. */
  readonly start: number;
  /** How thick it is with the counted rows bare, m. */
  readonly standing: number;
  readonly layers: readonly StackLayer[];
  readonly passed: readonly Layer[];
  /** Where each layer is met; null for rows. */
  readonly spans: readonly (Span | null)[];
  /** Stations whose washers are counted. */
  readonly rides: readonly string[];
  readonly faults: Phrase[];
}

/** What the screw passes, cut along its axis before any hole is drilled; or the reason why it cannot be said. */
function stackOf(of: Bolted, thread: Thread, around: Surroundings): Stacked | { readonly reason: Phrase } {
  const line = { point: of.point, way: unit(of.way) };
  const ring = RIM * (ACROSS_FLATS.of(thread)! / 2);
  const faults: Phrase[] = [];
  const spans: (Span | null)[] = [];
  const layers: StackLayer[] = [];
  const passed: Layer[] = [];
  const rides: string[] = [];
  let start: number | null = null;
  let standing = 0;
  for (const layer of of.stack) {
    if (layer.kind === 'row') {
      const row = rowOf(layer.station, around);
      if (!row) return { reason: say`The washers it holds are not on this rig any more.` };
      layers.push(row.layer);
      passed.push(...row.washers);
      spans.push(null);
      if (row.counted) rides.push(layer.station);
      else standing += row.layer.thickness;
      continue;
    }
    const solids = around.solids(layer.piece);
    if (solids.length === 0) return { reason: GONE };
    const { name } = solids[0]!;
    const span = nearest(crossings(line, solids, ring), (start ?? 0) + standing);
    if (!span) return { reason: say`It does not pass through the ${name}.` };
    start ??= span[0];
    const apart = span[0] - start - standing;
    if (apart > TOUCH)
      faults.push(say`${figure('length', apart, 1)} of air before the ${name}: nothing there takes its pull.`);
    if (apart < -TOUCH) faults.push(say`The ${name} stands ${figure('length', -apart, 1)} inside what lies before it.`);
    spans.push(span);
    layers.push({ name, thickness: span[1] - span[0] });
    passed.push({ piece: layer.piece, thickness: span[1] - span[0] });
    standing = span[1] - start;
  }
  return { start: start ?? 0, standing, layers, passed, spans, rides, faults };
}

/** A station's washers: as many as are on, and between which counts the screw must serve. */
function rowOf(
  id: string,
  { rig, counts }: Surroundings,
): { readonly layer: StackLayer; readonly washers: readonly Layer[]; readonly counted: boolean } | null {
  const station = rig.bodies.flatMap((b) => b.stations).find((s) => s.id === id);
  if (!station) return null;
  const { thickness, name } = station.washer;
  const adjuster = rig.adjusters.find(
    (a) => a.kind === 'count' && a.moves.some((m) => m.kind === 'station' && m.id === id),
  );
  const [least, most] = adjuster?.range ?? [station.count, station.count];
  return {
    layer: { name, thickness: ((least + most) / 2) * thickness, plusMinus: ((most - least) / 2) * thickness },
    washers: Array.from({ length: counts(id) }, (_, i) => ({ piece: washerId(id, i + 1), thickness })),
    counted: adjuster !== undefined,
  };
}

const at = (of: Bolted): Pick<ConnectionFault, 'about' | 'connection' | 'name'> => ({
  about: of.on,
  connection: of.id,
  name: of.name,
});

/** A station it lies beyond: the nut and its washer ride on what is put on. */
const ridesOn = ({ role }: BoltPiece, rides: readonly string[]): string | undefined =>
  role === 'nut' || role === 'washer-end' ? rides[0] : undefined;

const layerOf =
  (id: string) =>
  ({ role, fastener }: BoltPiece): Layer => ({
    piece: `${id}/${role}`,
    thickness: fastener.type === 'washer' ? fastener.thickness : 0,
  });

/** Of the places where a piece is met, that which begins nearest. */
const nearest = (spans: readonly Span[], from: number): Span | null =>
  spans.reduce<Span | null>((best, s) => (best && Math.abs(best[0] - from) <= Math.abs(s[0] - from) ? best : s), null);

/** Flat ones under what turns, and under a head on wood or plastic. A row of washers is one itself. */
function washersFor({ stack, end, head }: Bolted, { solids }: Surroundings): { head?: 'flat'; end?: 'flat' } {
  const [first, last] = [stack[0]!, stack.at(-1)!];
  const soft = (layer: Bolted['stack'][number]): boolean =>
    layer.kind === 'piece' && SOFT.has(solids(layer.piece)[0]?.look ?? 'steel');
  return {
    ...(soft(first) && !head ? { head: 'flat' as const } : {}),
    ...(end.kind !== 'camera' && last.kind === 'piece' ? { end: 'flat' as const } : {}),
  };
}

/** In each piece it passes, a clearance hole in one line; washers have theirs. */
function holesOf(
  of: Bolted,
  pieces: readonly string[],
  spans: readonly (Span | null)[],
  thread: Thread,
  { rig, counts }: Surroundings,
): readonly ConnectionHole[] {
  const diameter = CLEARANCE.medium.of(thread)!;
  const way = unit(of.way);
  const stations = new Map(rig.bodies.flatMap((b) => b.stations).map((s) => [s.id, s]));
  const holes: ConnectionHole[] = [];
  of.stack.forEach((layer, i) => {
    if (layer.kind === 'piece')
      holes.push({
        piece: layer.piece,
        at: addScaled(of.point, way, spans[i]![0]),
        axis: way,
        diameter,
        thread: null,
      });
    else
      for (let n = 1; n <= counts(layer.station); n++)
        holes.push({
          piece: washerId(layer.station, n),
          at: of.point,
          axis: way,
          diameter: 2 * stations.get(layer.station)!.washer.innerRadius,
          thread: null,
        });
  });
  return holes.filter((h) => pieces.includes(h.piece));
}

function broken(of: Bolted, reason: Phrase): Resolved {
  return {
    parts: [],
    faults: [{ ...at(of), reason }],
    connection: {
      id: of.id,
      name: of.name,
      kind: 'bolted',
      pieces: of.stack.flatMap((l) => (l.kind === 'piece' ? [l.piece] : [])),
      hardware: [],
      holes: [],
      stack: null,
      thread: of.thread,
      screwLength: null,
      engagement: null,
      touches: [],
      reversible: true,
      comesApart: of.packs ?? false,
    },
  };
}
