/** A screw through an ordered stack: how long it is, what it brings and where that stands, which holes it needs. */
import { addScaled, dot, figure, length, say, scale, subtract, unit, type Phrase, type Vec3 } from '../../../0-base';
import type { Bolted, NutKind, Part } from '../../../model';
import {
  boltUp,
  LOCK_ROLE,
  NUT_SIZES,
  NUT_WORDS,
  nutPiece,
  onOwnRod,
  spacerPiece,
  washerPiece,
  type BoltEnd,
  type BoltPiece,
} from '../../hardware/boltUp';
import {
  ACROSS_FLATS,
  CLEARANCE,
  FLAT_WASHER,
  LOW_HEAD,
  SOCKET_WIDE,
  SUNK_HEAD,
  TAPPING_HOLE,
  WIDE_WASHER,
} from '../../hardware/sizes';
import { threadCalled, type Thread } from '../../hardware/thread';
import type { StackLayer } from '../../hardware/stackUp';
import type { ConnectionHole, Layer, Recess } from '../connection';
import { crossings } from '../crossing';
import type { Span } from '../../solids/spansThrough';
import { fastenerParts } from '../fastenerParts';
import { GONE, type ConnectionFault, type KindOfConnection, type Resolved, type Surroundings } from '../kind';
import { washerId } from '../washerId';

/** Faces that do not meet within this are apart, m. */
const TOUCH = 0.00005;
/** A head bears near its rim: part of half its width. */
const RIM = 0.95;
/** Radius of the ring round a screw that its head and nut bear on, m. */
export const bearsOnRing = (thread: Thread): number => RIM * (ACROSS_FLATS.of(thread)! / 2);
const SOFT = new Set(['wood', 'plastic', 'rubber']);

export const bolted: KindOfConnection<'bolted'> = {
  kind: 'bolted',
  datum: (of) => of.on,
  holds: (of) => [...(of.screw ? [of.screw] : []), ...of.stack.flatMap(held), ...endsIn(of)],
  // It holds on to what is left, while that is two things; what is screwed on later is one.
  without: (of, gone) => {
    const stack = of.stack.filter((l) => !held(l).some((p) => gone.has(p)));
    const left = stack.flatMap(held).length + endsIn(of).length + (of.end.kind === 'camera' ? 1 : 0);
    if (gone.has(of.on) || [of.screw, ...endsIn(of)].some((p) => p !== undefined && gone.has(p)) || left < 2)
      return null;
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

/** Pieces and stations of a stack; nuts, washers and spacers on its thread are its own. */
const held = (layer: Bolted['stack'][number]): readonly string[] =>
  layer.kind === 'row' ? [layer.station] : layer.kind === 'piece' ? [layer.piece] : [];
const endsIn = ({ end, root, inside = [] }: Bolted): readonly string[] => [
  ...(end.kind === 'tapped' ? [end.piece] : []),
  ...(root ? [root.piece] : []),
  ...inside,
];

function resolved(of: Bolted, around: Surroundings): Resolved {
  const thread = threadCalled(of.thread);
  if (!thread) return broken(of, say`“${of.thread}” is no thread this program knows.`);
  if (of.end.kind in NUT_SIZES) {
    const kind = of.end.kind as NutKind;
    if (NUT_SIZES[kind].of(thread) === null)
      return broken(of, say`No ${NUT_WORDS[kind]} is made in ${thread.name}: take another nut.`);
  }
  const stacked = stackOf(of, thread, around);
  if ('reason' in stacked) return broken(of, stacked.reason);
  const { start, standing, layers, passed, between, spans, rides, faults } = stacked;
  const end: BoltEnd = of.end;
  const way = unit(of.way);
  const place = (along: number): Vec3 => addScaled(of.point, way, start + along);
  for (const piece of of.inside ?? []) if (around.solids(piece).length === 0) faults.push(GONE);
  if (of.root && around.solids(of.root.piece).length === 0) faults.push(GONE);
  if (of.end.kind === 'tapped') faults.push(...meetsTapped(of.end.piece, of, thread, standing, start, around));
  const bolt = {
    thread,
    layers,
    stands: standing,
    washers: washersFor(of, around),
    end,
    ...(of.lockWasher ? { lockWasher: of.lockWasher } : {}),
    ...(of.head ? { head: of.head } : {}),
    ...(of.rod ? { rod: of.rod } : {}),
    ...(of.root ? { root: of.root.depth } : {}),
    ...roomIn(of, around),
  };
  const screw = of.screw ? onOwnRod(bolt, ownRod(of, start, around)) : boltUp(bolt);
  if (screw.length === null)
    faults.push(
      end.kind === 'camera'
        ? say`No screw is sold that goes far enough into the camera and not too far: make what it passes thicker or thinner.`
        : of.screw
          ? say`Its rod does not reach through all it passes with a nut at each end: make it longer.`
          : say`No screw is sold that suits what it passes.`,
    );
  // The corners of what lies in a pipe.
  const isLow = of.head === 'low';
  const corners = isLow ? (LOW_HEAD.diameter.of(thread) ?? 0) : (ACROSS_FLATS.of(thread) ?? 0) / Math.cos(Math.PI / 6);
  const isInPipe = of.head === undefined || of.head === 'wing' || isLow ? bolt.headRoom : undefined;
  if (isInPipe !== undefined && corners > isInPipe)
    faults.push(
      say`Its head is ${figure('length', corners, 1)} ${isLow ? 'across' : 'over its corners'}, and the pipe it goes into ${figure('length', isInPipe, 1)} wide inside.`,
    );
  faults.push(...headDeeper(of, thread, layers[0]?.thickness ?? 0, around));
  const turnsAtEnd = end.kind !== 'tapped' && end.kind !== 'camera';
  const washers = (isUnder: boolean): readonly Layer[] =>
    screw.pieces.filter((p) => p.role.startsWith('washer') && isAtEnd(p, turnsAtEnd) === isUnder).map(layerOf(of.id));
  const pieces = passed.filter((l) => !l.isOwn).map((l) => l.piece);
  return {
    parts: together(of, [
      ...screw.pieces.flatMap((piece) =>
        fastenerParts(of, piece, place, way, { rides: isAtEnd(piece, turnsAtEnd) ? rides[0] : undefined }),
      ),
      ...between.flatMap(({ piece, against }) => fastenerParts(of, piece, place, way, { goesWith: against })),
    ]),
    faults: faults.map((reason) => ({ ...at(of), reason })),
    connection: {
      id: of.id,
      name: of.name,
      kind: 'bolted',
      pieces: [...(of.screw ? [of.screw] : []), ...pieces, ...endsIn(of)],
      hardware: [...screw.pieces, ...between.map((b) => b.piece)].map((p) => `${of.id}/${p.role}`),
      holes: holesOf(of, pieces, spans, thread, around, place(standing)),
      stack: [...washers(false), ...passed.map(({ piece, thickness }) => ({ piece, thickness })), ...washers(true)],
      thread: of.thread,
      screwLength: screw.length,
      engagement: screw.engagement,
      touches: pieces.slice(1).map((p, i) => [pieces[i]!, p] as const),
      reversible: true,
      comesApart: of.packs ?? false,
      ...(of.last ? { last: of.on } : {}),
    },
  };
}

/** Weighed as a whole, each piece has its share of that. */
function together({ together: whole }: Bolted, parts: readonly Part[]): readonly Part[] {
  const sum = parts.reduce((s, p) => s + (p.mass?.value ?? 0), 0);
  if (!whole || !(sum > 0)) return parts;
  return parts.map(({ reckoned: _reckoned, ...p }) => {
    const share = p.mass!.value / sum;
    const mass = { ...whole, value: whole.value * share };
    return { ...p, mass: whole.spread === undefined ? mass : { ...mass, spread: whole.spread * share } };
  });
}

interface PassedLayer extends Layer {
  /** Brought by the connection itself. */
  readonly isOwn?: true;
}
interface Stacked {
  /** Where the first layer's outer face lies along the axis, m from its point. */
  readonly start: number;
  /** How thick it is with the counted rows bare, m. */
  readonly standing: number;
  readonly layers: readonly StackLayer[];
  readonly passed: readonly PassedLayer[];
  /** Nuts and spacers on the thread between other layers, and the piece that takes each along. */
  readonly between: readonly { readonly piece: BoltPiece; readonly against: string | undefined }[];
  /** Where each layer is met; null for all but pieces. */
  readonly spans: readonly (Span | null)[];
  /** Stations whose washers are counted. */
  readonly rides: readonly string[];
  readonly faults: Phrase[];
}

/** What the screw passes, cut along its axis before any hole is drilled; or the reason why it cannot be said. */
function stackOf(of: Bolted, thread: Thread, around: Surroundings): Stacked | { readonly reason: Phrase } {
  const line = { point: of.point, way: unit(of.way) };
  const ring = bearsOnRing(thread);
  const faults: Phrase[] = [];
  const spans: (Span | null)[] = [];
  const layers: StackLayer[] = [];
  const passed: PassedLayer[] = [];
  const between: { piece: BoltPiece; against: string | undefined }[] = [];
  const rides: string[] = [];
  let start: number | null = null;
  let standing = 0;
  const put = (piece: BoltPiece, thickness: number, against?: string): void => {
    layers.push({ name: piece.item, thickness });
    passed.push({ piece: `${of.id}/${piece.role}`, thickness, isOwn: true });
    between.push({ piece, against });
    standing += thickness;
  };
  for (const [i, layer] of of.stack.entries()) {
    switch (layer.kind) {
      case 'row': {
        const row = rowOf(layer.station, around);
        if (!row) return { reason: say`The washers it holds are not on this rig any more.` };
        const [apart, aside] = seatOff(row.seat, line, (start ?? 0) + standing);
        if (aside > TOUCH)
          faults.push(say`Its ${row.layer.name!} lie ${figure('length', aside, 1)} beside it: nothing holds them.`);
        else if (apart < -TOUCH)
          faults.push(say`Its ${row.layer.name!} lie ${figure('length', -apart, 1)} inside what they stand on.`);
        else if (apart > TOUCH && rides.length === 0)
          put(spacerPiece(thread, `spacer-${layer.station}`, standing, apart), apart);
        layers.push(row.layer);
        passed.push(...row.washers);
        spans.push(null);
        if (row.counted) rides.push(layer.station);
        else standing += row.layer.thickness;
        break;
      }
      case 'nut': {
        const piece = nutPiece(thread, `nut-${between.length + 1}`, layer.nut, standing);
        put(piece, piece.fastener.type === 'hexNut' ? piece.fastener.height : 0, layer.against);
        spans.push(null);
        break;
      }
      case 'washer': {
        const piece = washerPiece(thread, `washer-${between.length + 1}`, layer.washer, standing);
        put(piece, piece.fastener.type === 'washer' ? piece.fastener.thickness : 0);
        spans.push(null);
        break;
      }
      case 'spacer': {
        const n = between.length + 1;
        put(spacerPiece(thread, `spacer-${n}`, standing, layer.length), layer.length);
        spans.push(null);
        break;
      }
      case 'bare':
        layers.push({ name: 'bare thread', thickness: layer.length, plusMinus: layer.plusMinus });
        standing += layer.length;
        spans.push(null);
        break;
      case 'piece': {
        const solids = around.solids(layer.piece);
        if (solids.length === 0) return { reason: GONE };
        const { name } = solids[0]!;
        const along = (start ?? 0) + standing;
        const walls = { walls: layer.wall === 'near' ? ('each' as const) : ('both' as const) };
        const met = nearest(crossings(line, solids, ring, walls), along);
        if (!met) return { reason: say`It does not pass through the ${name}.` };
        // Washers that lie on it stand on what of it their rim meets: in a bend, off its bottom.
        const rim = rimOf(of.stack[i + 1], around);
        const span =
          rim === null ? met : ([met[0], (nearest(crossings(line, solids, rim, walls), along) ?? met)[1]] as const);
        const from: number = span[0] + (start === null && of.recess ? Math.min(of.recess, span[1] - span[0]) : 0);
        start ??= from - standing;
        faults.push(...apartFrom(name, from - start - standing));
        spans.push(span);
        const isLast = !of.stack.slice(i + 1).some((l) => l.kind === 'piece' || l.kind === 'row');
        const to: number = span[1] - (isLast && of.endRecess ? Math.min(of.endRecess, span[1] - from) : 0);
        layers.push({ name, thickness: to - from });
        passed.push({ piece: layer.piece, thickness: to - from });
        standing = to - start;
        break;
      }
    }
  }
  return { start: start ?? 0, standing, layers, passed, between, spans, rides, faults };
}

function apartFrom(name: string, apart: number): readonly Phrase[] {
  if (apart > TOUCH)
    return [say`${figure('length', apart, 1)} of air before the ${name}: nothing there takes its pull.`];
  return apart < -TOUCH ? [say`The ${name} stands ${figure('length', -apart, 1)} inside what lies before it.`] : [];
}

/** The piece whose thread it ends in begins where its stack ends. */
function meetsTapped(
  piece: string,
  of: Bolted,
  thread: Thread,
  standing: number,
  start: number,
  { solids }: Surroundings,
): readonly Phrase[] {
  const into = solids(piece);
  if (into.length === 0) return [GONE];
  const { name } = into[0]!;
  const line = { point: of.point, way: unit(of.way) };
  const span = nearest(crossings(line, into, thread.diameter / 2), start + standing);
  return span ? apartFrom(name, span[0] - start - standing) : [say`It does not pass through the ${name}.`];
}

/** How far a seat lies beyond a place along the screw, and beside it, m. */
function seatOff(seat: Vec3, line: { point: Vec3; way: Vec3 }, along: number): readonly [number, number] {
  const off = subtract(seat, line.point);
  const far = dot(off, line.way);
  return [far - along, length(addScaled(off, line.way, -far))];
}

/** Where a rod that stands for the screw begins and ends, m from the stack's outer face. */
function ownRod(of: Bolted, start: number, { solids }: Surroundings): Span {
  const line = { point: of.point, way: unit(of.way) };
  const found = solids(of.screw!).flatMap((solid): Span[] =>
    solid.shape.kind === 'tube'
      ? [solid.shape.length / 2].map((half) => {
          const middle = dot(subtract(solid.at, line.point), line.way) - start;
          return [middle - half, middle + half] as const;
        })
      : [],
  );
  return found[0] ?? [0, 0];
}

/** Radius of the washers of a row; null for any other layer. */
function rimOf(layer: Bolted['stack'][number] | undefined, { rig }: Surroundings): number | null {
  if (layer?.kind !== 'row') return null;
  const station = rig.bodies.flatMap((b) => b.stations).find((s) => s.id === layer.station);
  return station ? station.washer.outerRadius : null;
}

/** A station's washers: as many as are on, and between which counts the screw must serve. */
function rowOf(
  id: string,
  { rig, counts }: Surroundings,
): {
  readonly layer: StackLayer;
  readonly washers: readonly Layer[];
  readonly counted: boolean;
  readonly seat: Vec3;
} | null {
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
    seat: station.seat,
  };
}

const at = (of: Bolted): Pick<ConnectionFault, 'about' | 'connection' | 'name'> => ({
  about: of.on,
  connection: of.id,
  name: of.name,
});

/** A station it lies beyond: the nut and its washer ride on what is put on. */
const isAtEnd = ({ role }: BoltPiece, turnsAtEnd: boolean): boolean =>
  role === 'nut' || role === 'washer-end' || (role === LOCK_ROLE && turnsAtEnd);

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
function washersFor({ stack, end, head, washer }: Bolted, { solids }: Surroundings): { head?: 'flat'; end?: 'flat' } {
  const [first, last] = [stack[0]!, stack.at(-1)!];
  const soft = (layer: Bolted['stack'][number]): boolean =>
    layer.kind === 'piece' && SOFT.has(solids(layer.piece)[0]?.look ?? 'steel');
  return {
    ...((washer || soft(first)) && (!head || head === 'wing' || head === 'low') ? { head: 'flat' as const } : {}),
    ...(end.kind !== 'camera' && end.kind !== 'tapped' && last.kind === 'piece' ? { end: 'flat' as const } : {}),
  };
}

/** What lies in a cap lies in the pipe that it closes. */
function roomIn(of: Bolted, { rig }: Surroundings): { headRoom?: number; endRoom?: number } {
  const boreOf = (layer: Bolted['stack'][number] | undefined): number | null => {
    if (layer?.kind !== 'piece') return null;
    for (const { joints, members } of rig.bodies) {
      const cap = joints.find((j) => j.id === layer.piece && j.hub?.sockets.length === 1);
      const section = cap && members.find((m) => m.from === cap.node || m.to === cap.node)?.stock.section;
      if (section?.kind === 'tube') return section.outerDiameter - 2 * section.wall;
    }
    return null;
  };
  const [headRoom, endRoom] = [boreOf(of.stack[0]), boreOf(of.stack.at(-1))];
  return { ...(headRoom === null ? {} : { headRoom }), ...(endRoom === null ? {} : { endRoom }) };
}

/** A head that is sunk goes no deeper than what it is sunk in. */
function headDeeper(of: Bolted, thread: Thread, thick: number, { solids }: Surroundings): readonly Phrase[] {
  const [first] = of.stack;
  const high = of.head === 'sunk' ? (SUNK_HEAD.height.of(thread) ?? 0) : 0;
  if (first?.kind !== 'piece' || high <= thick + TOUCH) return [];
  return [
    say`Its head goes in ${figure('length', high, 1)} and the ${solids(first.piece)[0]!.name} is ${figure('length', thick, 1)} thick there: take a low head.`,
  ];
}

/** For the socket that turns a head, or the washer under it; where the recess itself holds it, for its corners: and a little room. */
function recessOf(
  of: Bolted,
  depth: number,
  thread: Thread,
  around: Surroundings,
  end: 'head' | 'end' = 'head',
): Recess {
  const flats = ACROSS_FLATS.of(thread) ?? 2 * thread.diameter;
  const lies = end === 'head' ? of.stack[0] : of.stack.at(-1);
  const kind = lies?.kind === 'washer' ? lies.washer : washersFor(of, around)[end];
  const washer = kind ? ((kind === 'wide' ? WIDE_WASHER : FLAT_WASHER).outside.of(thread) ?? 0) : 0;
  if (end === 'head' && of.head === 'low')
    return { diameter: Math.ceil(((LOW_HEAD.diameter.of(thread) ?? 0) + ROUND_IT) / DRILL) * DRILL, depth };
  const least = Math.max(of.held ? flats / Math.cos(Math.PI / 6) : SOCKET_WIDE * flats, washer) + ROUND_IT;
  return { diameter: Math.ceil(least / DRILL - 1e-9) * DRILL, depth, ...(of.held ? { six: true } : {}) };
}
const ROUND_IT = 0.0003;
/** Bits for pockets go by half millimetres, m. */
const DRILL = 0.0005;

/** In each piece it passes, a clearance hole in one line; washers have theirs. */
function holesOf(
  of: Bolted,
  pieces: readonly string[],
  spans: readonly (Span | null)[],
  thread: Thread,
  around: Surroundings,
  end: Vec3,
): readonly ConnectionHole[] {
  const diameter = of.hole ?? CLEARANCE.medium.of(thread)!;
  const way = unit(of.way);
  const { rig, counts } = around;
  const stations = new Map(rig.bodies.flatMap((b) => b.stations).map((s) => [s.id, s]));
  const holes: ConnectionHole[] = [];
  const places = of.stack.flatMap((l, i) => (l.kind === 'piece' ? [i] : []));
  const [first, last] = [places[0], places.at(-1)];
  of.stack.forEach((layer, i) => {
    if (layer.kind === 'piece')
      holes.push({
        piece: layer.piece,
        // From the face that its recess is cut in.
        at: addScaled(of.point, way, spans[i]![of.endRecess && i === last ? 1 : 0]),
        axis: of.endRecess && i === last ? scale(way, -1) : way,
        diameter,
        thread: null,
        ...(of.bites && isPlastic(layer.piece, around)
          ? {
              diameter: TAPPING_HOLE.of(thread)!,
              thread: of.thread,
              bitten: true as const,
              deep: spans[i]![1] - spans[i]![0],
            }
          : {}),
        ...(of.head === 'sunk' && i === 0 ? { sunk: true } : {}),
        ...(of.recess && i === first ? { recess: recessOf(of, of.recess, thread, around) } : {}),
        ...(of.endRecess && i === last ? { recess: recessOf(of, of.endRecess, thread, around, 'end') } : {}),
      });
    else if (layer.kind === 'row')
      for (let n = 1; n <= counts(layer.station); n++)
        holes.push({
          piece: washerId(layer.station, n),
          at: of.point,
          axis: way,
          diameter: 2 * stations.get(layer.station)!.washer.innerRadius,
          thread: null,
        });
  });
  for (const piece of of.inside ?? []) {
    const [span] = crossings({ point: of.point, way }, around.solids(piece), thread.diameter / 2);
    if (span) holes.push({ piece, at: addScaled(of.point, way, span[0]), axis: way, diameter, thread: null });
  }
  if (of.root)
    holes.push({
      piece: of.root.piece,
      at: of.point,
      axis: scale(way, -1),
      diameter: TAPPING_HOLE.of(thread)!,
      thread: of.thread,
      deep: of.root.depth,
    });
  const own = new Set([...pieces, ...endsIn(of)]);
  const through = holes.filter((h) => own.has(h.piece));
  if (of.end.kind !== 'tapped') return through;
  const { piece, depth: deep, sold } = of.end;
  const tapped = { piece, at: end, axis: way, diameter: TAPPING_HOLE.of(thread)!, thread: of.thread, deep };
  return [...through, sold ? { ...tapped, sold } : tapped];
}

/** Soft enough for a steel thread to cut its way. */
const isPlastic = (piece: string, { solids }: Surroundings): boolean => solids(piece)[0]?.look === 'plastic';

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
