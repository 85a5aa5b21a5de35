/**
 * Pieces seen along one direction, on a lattice of lines: where each line runs within each piece. Whether one can be drawn past
 * another is read from it, bores and holes included. The lattice lies askew to the rig, so that a thin plate seen on its edge is
 * met by its share of lines; what is met by none is narrower than `PITCH` both ways.
 */
import {
  addScaled,
  alignZ,
  dot,
  multiply,
  subtract,
  transform,
  transpose,
  unit,
  type Mat3,
  type Vec3,
} from '../../0-base';
import { boundingBox, type FlatBody } from '../../1-load';
import { LineIn } from './lineIn';
import type { Bored, PieceShape } from './pieceShapes';
import { spansThrough, without, type Span } from './spansThrough';

/** From line to line, m. */
export const PITCH = 0.0018;
/** The lattice's turn about its lines, rad: no face of a rig stands at it. */
const ASKEW = 0.5432;

export interface Lattice {
  readonly axis: Vec3;
  /** Rows: two directions across the lines, and along them. */
  readonly frame: Mat3;
}

export function latticeAlong(way: Vec3): Lattice {
  const [c, s] = [Math.cos(ASKEW), Math.sin(ASKEW)];
  const turned: Mat3 = [
    [c, -s, 0],
    [s, c, 0],
    [0, 0, 1],
  ];
  const axis = unit(way);
  return { axis, frame: transpose(multiply(alignZ(axis), turned)) };
}

/**
 * Where the lines run within the pieces: entry by entry a cell, and from where to where along the axis, m from the plane through
 * nought. The entries of one piece stand together; those of one cell are chained.
 */
export interface Columns {
  readonly lattice: Lattice;
  readonly cell: Int32Array;
  readonly from: Float64Array;
  readonly to: Float64Array;
  readonly piece: Int32Array;
  /** Of piece i the entries from `starts[i]` up to `starts[i + 1]`. */
  readonly starts: Int32Array;
  /** The first entry of a cell, and after each the next; -1: none. */
  readonly first: Int32Array;
  readonly next: Int32Array;
  /** The cell of a line; -1 outside of what the pieces take. */
  readonly cellAt: (u: number, v: number) => number;
  /** Where a cell's line runs, m. */
  readonly uOf: (cell: number) => number;
  readonly vOf: (cell: number) => number;
}

const NO_ROW = { cell: -1, from: 0, to: 0 };

export function columnsOf(pieces: readonly PieceShape[], lattice: Lattice): Columns {
  const rects = pieces.flatMap((p) => p.flats.map((f) => areaOf(f, lattice.frame).rect));
  const [low, high] = [0, 2].map((k) => Math.floor(Math.min(0, ...rects.map((r) => r[k]!)) / PITCH)) as [
    number,
    number,
  ];
  const [wide, deep] = [
    Math.ceil(Math.max(0, ...rects.map((r) => r[1])) / PITCH) - low + 1,
    Math.ceil(Math.max(0, ...rects.map((r) => r[3])) / PITCH) - high + 1,
  ];
  const grid: Grid = {
    cellAt: (u, v) => {
      const [i, j] = [Math.floor(u / PITCH) - low, Math.floor(v / PITCH) - high];
      return i < 0 || j < 0 || i >= wide || j >= deep ? -1 : i * deep + j;
    },
    lent: [new Int32Array(wide * deep), new Int32Array(wide * deep)],
    rowAt: (u) => {
      const i = Math.floor(u / PITCH) - low;
      return i < 0 || i >= wide ? NO_ROW : { cell: i * deep - high, from: high, to: high + deep };
    },
    uOf: (cell) => (Math.floor(cell / deep) + low + 0.5) * PITCH,
    vOf: (cell) => ((cell % deep) + high + 0.5) * PITCH,
  };
  const [cell, piece, from, to]: [number[], number[], number[], number[]] = [[], [], [], []];
  const starts = new Int32Array(pieces.length + 1);
  pieces.forEach((p, i) => {
    eachLineIn(p, lattice, grid, (at, start, end) => {
      cell.push(at);
      piece.push(i);
      from.push(start);
      to.push(end);
    });
    starts[i + 1] = cell.length;
  });
  const first = new Int32Array(wide * deep).fill(-1);
  const next = new Int32Array(cell.length);
  cell.forEach((at, i) => {
    next[i] = first[at]!;
    first[at] = i;
  });
  return {
    lattice,
    cellAt: grid.cellAt,
    uOf: grid.uOf,
    vOf: grid.vOf,
    cell: Int32Array.from(cell),
    piece: Int32Array.from(piece),
    from: Float64Array.from(from),
    to: Float64Array.from(to),
    starts,
    first,
    next,
  };
}
type Tell = (cell: number, from: number, to: number) => void;

/** Each cell whose line meets the piece, and where. What is neither drilled nor mitred is told body by body. */
function eachLineIn(shape: PieceShape, lattice: Lattice, grid: Grid, tell: Tell): void {
  const { flats, holes, mitres } = shape;
  const isPlain = holes.length === 0 && mitres.length === 0 && (flats.length === 1 || flats.every((f) => !boreOf(f)));
  if (!isPlain) {
    tellLinesIn(shape, lattice, grid, tell);
    return;
  }
  for (const flat of flats) {
    const area = areaOf(flat, lattice.frame);
    const line = LineIn.of(flat, lattice.frame);
    if (line) {
      walk(grid, area, (cell, u, v) => {
        if (line.at(u, v)) for (let k = 0; k < line.count; k++) tell(cell, line.from[k]!, line.to[k]!);
      });
      continue;
    }
    const through = lineThrough(flat, lattice.frame, flat.shape);
    walk(grid, area, (cell, u, v) => {
      for (const [from, to] of through(u, v)) tell(cell, from, to);
    });
  }
}
interface Grid extends Pick<Columns, 'cellAt' | 'uOf' | 'vOf'> {
  /** Two fields over all cells, all nought, to work in and to give back so. */
  readonly lent: readonly [Int32Array, Int32Array];
  /** Of a row of lines: to the number of a line along v, counted from nought, this makes its cell; and from which to before which line there are cells. */
  readonly rowAt: (u: number) => { readonly cell: number; readonly from: number; readonly to: number };
}

/** By cell: where its line runs within one piece, in order. */
class Lines {
  /** Cells that were met, each once. */
  readonly cells: number[] = [];
  private readonly spans: (readonly Span[])[] = [];
  /** Cell by cell one more than its place in `cells`; 0: not met. Lent, and given back clean. */
  constructor(private readonly places: Int32Array) {}

  has(cell: number): boolean {
    return this.places[cell]! > 0;
  }
  at(cell: number): readonly Span[] {
    const place = this.places[cell]!;
    return place > 0 ? this.spans[place - 1]! : NONE;
  }
  set(cell: number, spans: readonly Span[]): void {
    const place = this.places[cell]!;
    if (place > 0) this.spans[place - 1] = spans;
    else this.places[cell] = this.cells.push(cell);
    if (place === 0) this.spans.push(spans);
  }
  giveBack(): void {
    for (const cell of this.cells) this.places[cell] = 0;
  }
}
const NONE: readonly Span[] = [];

function tellLinesIn({ flats, holes, mitres }: PieceShape, { axis, frame }: Lattice, grid: Grid, tell: Tell): void {
  const solid = new Lines(grid.lent[0]);
  for (const flat of flats) fill(solid, grid, areaOf(flat, frame), lineThrough(flat, frame));
  for (const cell of solid.cells) if (solid.at(cell).length > 1) solid.set(cell, merged(solid.at(cell)));
  const empty = new Lines(grid.lent[1]);
  for (const bore of flats.flatMap((f) => boreOf(f) ?? []))
    fill(empty, grid, areaOf(bore, frame), lineThrough(bore, frame), solid);
  for (const hole of holes)
    fill(empty, grid, { rect: rectRound(hole, frame), corners: [] }, throughHole(hole, frame), solid);
  const planes = mitres.map(({ normal, at }) => ({ normal, at, speed: dot(normal, axis) }));
  for (const cell of solid.cells) {
    let left = solid.at(cell);
    const holesHere = empty.at(cell);
    for (let k = 0; k < holesHere.length; k++) left = cutFrom(left, holesHere[k]!);
    for (const { normal, at, speed } of planes) {
      const start = dot(normal, subtract(at, fromFrame(frame, grid.uOf(cell), grid.vOf(cell))));
      // Beyond the plane it is sawn off.
      if (Math.abs(speed) < 1e-9) left = start < 0 ? NONE : left;
      else left = cutFrom(left, speed > 0 ? [start / speed, Infinity] : [-Infinity, start / speed]);
    }
    for (let k = 0; k < left.length; k++) tell(cell, left[k]![0], left[k]![1]);
  }
  solid.giveBack();
  empty.giveBack();
}

function cutFrom(spans: readonly Span[], hole: Span): readonly Span[] {
  // Nearly always there is one, and the hole lies in it or beside it.
  if (spans.length === 1) return without(spans[0]!, hole);
  return spans.flatMap((s) => without(s, hole));
}

type Through = (u: number, v: number) => readonly Span[];
type Rect = readonly [fromU: number, toU: number, fromV: number, toV: number];
/** Where lines may meet a body: within its bounds, and within the outline of these corners where they are given. */
interface Area {
  readonly rect: Rect;
  readonly corners: readonly (readonly [number, number])[];
}

function walk({ rowAt }: Grid, { rect, corners }: Area, visit: (cell: number, u: number, v: number) => void): void {
  const [fromU, toU, fromV, toV] = rect;
  const edges = edgesOf(corners);
  let [least, most] = [fromV, toV];
  for (let u = (Math.floor(fromU / PITCH) + 0.5) * PITCH; u < toU + PITCH; u += PITCH) {
    if (edges.length > 0) [least, most] = acrossAt(edges, u);
    const start = Math.floor(least / PITCH);
    const { cell, from, to } = rowAt(u);
    for (let j = start, v = (start + 0.5) * PITCH; v < most + PITCH; j++, v = (j + 0.5) * PITCH)
      if (j >= from && j < to) visit(cell + j, u, v);
  }
}

/** From each corner to each further along u: au, av, bu, bv, one after the other. */
function edgesOf(corners: Area['corners']): Float64Array {
  const edges: number[] = [];
  for (const [au, av] of corners) for (const [bu, bv] of corners) if (bu >= au) edges.push(au, av, bu, bv);
  return Float64Array.from(edges);
}

/** From where to where the outline of these edges runs near a row: a long thing that lies askew fills little of its bounds. */
function acrossAt(edges: Float64Array, u: number): [number, number] {
  let [least, most] = [Infinity, -Infinity];
  for (let k = 0; k < edges.length; k += 4) {
    const [au, bu] = [edges[k]!, edges[k + 2]!];
    if (au > u + PITCH || bu < u - PITCH) continue;
    const [av, bv] = [edges[k + 1]!, edges[k + 3]!];
    // The stretch of this edge within a line's distance of the row.
    const slope = bu - au < 1e-12 ? 0 : (bv - av) / (bu - au);
    const first = av + slope * (Math.max(au, u - PITCH) - au);
    const last = av + slope * (Math.min(bu, u + PITCH) - au);
    least = Math.min(least, first, last);
    most = Math.max(most, first, last);
  }
  return [least, most];
}

/** `only`: cells that are looked at, where not all. */
function fill(into: Lines, grid: Grid, area: Area, through: Through, only?: Lines): void {
  walk(grid, area, (cell, u, v) => {
    if (only && !only.has(cell)) return;
    const spans = through(u, v);
    if (spans.length === 0) return;
    const there = into.at(cell);
    into.set(cell, there.length > 0 ? [...there, ...spans] : spans);
  });
}

const fromFrame = (frame: Mat3, u: number, v: number): Vec3 => transform(transpose(frame), [u, v, 0]);

/** Its outside alone, if no other shape is given: what is bored out of any body of a piece is taken from all of them, so that an elbow's arm does not close the other. */
function lineThrough(
  flat: Pick<FlatBody, 'shape' | 'outline' | 'at' | 'rotation'>,
  frame: Mat3,
  shape = withoutBore(flat.shape),
): Through {
  const line = LineIn.of({ ...flat, shape }, frame);
  if (line)
    return (u, v) => {
      if (!line.at(u, v)) return NONE;
      const { from, to } = line;
      return line.count === 1
        ? [[from[0], to[0]]]
        : [
            [from[0], to[0]],
            [from[1], to[1]],
          ];
    };
  const inwards = transpose(flat.rotation);
  const [alongU, alongV, way] = frame.map((row) => transform(inwards, row)) as unknown as [Vec3, Vec3, Vec3];
  const start = transform(inwards, flat.at);
  const outside = { shape, ...(flat.outline ? { outline: flat.outline } : {}) };
  return (u, v) =>
    spansThrough(
      [
        alongU[0] * u + alongV[0] * v - start[0],
        alongU[1] * u + alongV[1] * v - start[1],
        alongU[2] * u + alongV[2] * v - start[2],
      ],
      way,
      outside,
    );
}

function withoutBore(shape: FlatBody['shape']): FlatBody['shape'] {
  if (shape.kind === 'tube') return { ...shape, innerRadius: 0 };
  if (shape.kind !== 'box') return shape;
  const { bore: _, ...whole } = shape;
  return whole;
}

/** A little past the ends of what it is bored in, m. */
const BEYOND = 1e-4;
function boreOf({ shape, at, rotation }: FlatBody): Pick<FlatBody, 'shape' | 'at' | 'rotation'> | null {
  if (shape.kind === 'tube' && shape.innerRadius > 0)
    return {
      shape: { kind: 'tube', outerRadius: shape.innerRadius, innerRadius: 0, length: shape.length + BEYOND },
      at,
      rotation,
    };
  if (shape.kind === 'box' && shape.bore)
    return { shape: { kind: 'box', size: [shape.size[0] + BEYOND, ...shape.bore] }, at, rotation };
  return null;
}

function throughHole({ at, way, diameter, depth }: Bored, frame: Mat3): Through {
  const shape: FlatBody['shape'] = { kind: 'tube', outerRadius: diameter / 2, innerRadius: 0, length: depth + BEYOND };
  return lineThrough({ shape, at: addScaled(at, unit(way), (depth - BEYOND) / 2), rotation: alignZ(way) }, frame);
}

function areaOf(flat: Pick<FlatBody, 'shape' | 'at' | 'rotation'>, frame: Mat3): Area {
  const { at, rotation, shape } = flat;
  const [middle, turned] = [transform(frame, at), multiply(frame, rotation)];
  const [low, high] = boundingBox({ shape, at: middle, rotation: turned });
  return { rect: [low[0], high[0], low[1], high[1]], corners: cornersOf(shape, middle, turned) };
}

/** Of the box it fits in by its own axes; none where its bounds will do. */
function cornersOf(shape: FlatBody['shape'], middle: Vec3, turned: Mat3): Area['corners'] {
  const half =
    shape.kind === 'box'
      ? shape.size.map((s) => s / 2)
      : shape.kind === 'tube'
        ? [shape.outerRadius, shape.outerRadius, shape.length / 2]
        : null;
  if (!half) return [];
  return [-1, 1].flatMap((x) =>
    [-1, 1].flatMap((y) =>
      [-1, 1].map((z): readonly [number, number] => {
        const [u, v] = transform(turned, [x * half[0]!, y * half[1]!, z * half[2]!]);
        return [middle[0] + u, middle[1] + v];
      }),
    ),
  );
}

function rectRound({ at, way, diameter, depth }: Bored, frame: Mat3): Rect {
  const from = transform(frame, at);
  const along = transform(frame, way);
  const ends = ([0, 1] as const).map((i) => [from[i], from[i] + along[i] * depth] as const);
  const r = diameter / 2;
  return [Math.min(...ends[0]!) - r, Math.max(...ends[0]!) + r, Math.min(...ends[1]!) - r, Math.max(...ends[1]!) + r];
}

/** In order, those that meet made one. */
export function merged(spans: readonly Span[]): readonly Span[] {
  if (spans.length < 2) return spans;
  const all: Span[] = [];
  for (const span of [...spans].sort((a, b) => a[0] - b[0])) {
    const last = all.at(-1);
    if (last && span[0] <= last[1] + 1e-9) all[all.length - 1] = [last[0], Math.max(last[1], span[1])];
    else all.push(span);
  }
  return all;
}
