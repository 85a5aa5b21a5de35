/**
 * Pieces seen along one direction, on a lattice of lines: where each line runs within each piece. Whether one can be drawn past
 * another is read from it, bores and holes included. The lattice lies askew to the rig, so that a thin plate seen on its edge is
 * met by its share of lines; what is met by none is narrower than `PITCH` both ways.
 */
import { alignZ, dot, multiply, subtract, transform, transpose, unit, type Mat3, type Vec3 } from '../../0-base';
import { boundingBox, type FlatBody } from '../../1-load';
import type { Bored, PieceShape } from './pieceShapes';
import { spansThrough, throughCylinder, without, type Span } from './spansThrough';

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

export function columnsOf(pieces: readonly PieceShape[], lattice: Lattice): Columns {
  const rects = pieces.flatMap((p) => p.flats.map((f) => rectOf(f, lattice.frame)));
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
    uOf: (cell) => (Math.floor(cell / deep) + low + 0.5) * PITCH,
    vOf: (cell) => ((cell % deep) + high + 0.5) * PITCH,
  };
  const found: { cell: number; piece: number; from: number; to: number }[] = [];
  const starts = new Int32Array(pieces.length + 1);
  pieces.forEach((p, piece) => {
    for (const [cell, spans] of linesIn(p, lattice, grid))
      for (const [from, to] of spans) found.push({ cell, piece, from, to });
    starts[piece + 1] = found.length;
  });
  const first = new Int32Array(wide * deep).fill(-1);
  const next = new Int32Array(found.length);
  found.forEach(({ cell }, i) => {
    next[i] = first[cell]!;
    first[cell] = i;
  });
  return {
    lattice,
    ...grid,
    cell: Int32Array.from(found, (f) => f.cell),
    piece: Int32Array.from(found, (f) => f.piece),
    from: Float64Array.from(found, (f) => f.from),
    to: Float64Array.from(found, (f) => f.to),
    starts,
    first,
    next,
  };
}
type Grid = Pick<Columns, 'cellAt' | 'uOf' | 'vOf'>;

/** By cell: where its line runs within one piece, in order. */
function linesIn(
  { flats, holes, mitres }: PieceShape,
  { axis, frame }: Lattice,
  grid: Grid,
): ReadonlyMap<number, readonly Span[]> {
  const solid = new Map<number, readonly Span[]>();
  for (const flat of flats) fill(solid, grid, rectOf(flat, frame), lineThrough(flat, frame));
  for (const [cell, spans] of solid) if (spans.length > 1) solid.set(cell, merged(spans));
  const empty = new Map<number, readonly Span[]>();
  for (const bore of flats.flatMap((f) => boreOf(f) ?? []))
    fill(empty, grid, rectOf(bore, frame), lineThrough(bore, frame), solid);
  for (const hole of holes) fill(empty, grid, rectRound(hole, frame), throughHole(hole, frame), solid);
  for (const [cell, out] of empty)
    keep(
      solid,
      cell,
      out.reduce((left, hole) => left.flatMap((s) => without(s, hole)), solid.get(cell)!),
    );
  for (const { normal, at } of mitres)
    for (const [cell, spans] of solid) {
      const speed = dot(normal, axis);
      const start = dot(normal, subtract(at, fromFrame(frame, grid.uOf(cell), grid.vOf(cell))));
      // Beyond the plane it is sawn off.
      if (Math.abs(speed) < 1e-9) keep(solid, cell, start < 0 ? [] : spans);
      else {
        const off: Span = speed > 0 ? [start / speed, Infinity] : [-Infinity, start / speed];
        keep(
          solid,
          cell,
          spans.flatMap((s) => without(s, off)),
        );
      }
    }
  return solid;
}

function keep(columns: Map<number, readonly Span[]>, cell: number, left: readonly Span[]): void {
  if (left.length > 0) columns.set(cell, left);
  else columns.delete(cell);
}

type Through = (u: number, v: number) => readonly Span[];
type Rect = readonly [fromU: number, toU: number, fromV: number, toV: number];

/** `only`: cells that are looked at, where not all. */
function fill(
  into: Map<number, readonly Span[]>,
  { cellAt }: Grid,
  [fromU, toU, fromV, toV]: Rect,
  through: Through,
  only?: ReadonlyMap<number, unknown>,
): void {
  for (let u = (Math.floor(fromU / PITCH) + 0.5) * PITCH; u < toU + PITCH; u += PITCH)
    for (let v = (Math.floor(fromV / PITCH) + 0.5) * PITCH; v < toV + PITCH; v += PITCH) {
      const cell = cellAt(u, v);
      if (cell < 0 || (only && !only.has(cell))) continue;
      const spans = through(u, v);
      if (spans.length === 0) continue;
      const there = into.get(cell);
      into.set(cell, there ? [...there, ...spans] : spans);
    }
}

const fromFrame = (frame: Mat3, u: number, v: number): Vec3 => transform(transpose(frame), [u, v, 0]);

/** Its outside alone: what is bored out of any body of a piece is taken from all of them, so that an elbow's arm does not close the other. */
function lineThrough(flat: Pick<FlatBody, 'shape' | 'outline' | 'at' | 'rotation'>, frame: Mat3): Through {
  const inwards = transpose(flat.rotation);
  const [alongU, alongV, way] = frame.map((row) => transform(inwards, row)) as unknown as [Vec3, Vec3, Vec3];
  const start = transform(inwards, flat.at);
  const outside = { shape: withoutBore(flat.shape), ...(flat.outline ? { outline: flat.outline } : {}) };
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
  const rotation = alignZ(way);
  const inwards = transpose(rotation);
  const [alongU, alongV, along] = frame.map((row) => transform(inwards, row)) as unknown as [Vec3, Vec3, Vec3];
  const start = transform(inwards, at);
  const middle = (depth - BEYOND) / 2;
  return (u, v) => {
    const span = throughCylinder(
      [
        alongU[0] * u + alongV[0] * v - start[0],
        alongU[1] * u + alongV[1] * v - start[1],
        alongU[2] * u + alongV[2] * v - start[2] - middle,
      ],
      along,
      diameter / 2,
      depth + BEYOND,
    );
    return span ? [span] : [];
  };
}

function rectOf(flat: Pick<FlatBody, 'shape' | 'at' | 'rotation'>, frame: Mat3): Rect {
  const { at, rotation, shape } = flat;
  const [low, high] = boundingBox({ shape, at: transform(frame, at), rotation: multiply(frame, rotation) });
  return [low[0], high[0], low[1], high[1]];
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
