/** The face of a plate, block or round that is drilled: its edges, its holes and slots, and which edge lies which way. One sheet for each way that holes go through it. */
import { addScaled, cross, dot, figure, say, scale, transform, type Vec3 } from '../../../0-base';
import type { ConnectionHole, PieceShape, Point2 } from '../../../2-frame';
import type { HoleMark, HoleSheet } from '../../../5-stock';
import type { Part } from '../../../model';
import { faceName } from '../faceName';
import { marked, type HoleToMark } from '../marks';
import { boxOf, WORDS, type Box, type Ink, type Pattern, type PatternMaker } from '../pattern';

export const face: PatternMaker = ({ assembly, sheets, shapes, holeOf, printed, fittings }) => {
  const parts = assembly.rig.bodies.flatMap((b) => b.parts);
  return sheets.flatMap((sheet) => {
    const shape = shapes.get(sheet.piece);
    // Printed holes come with the print; fittings have a pattern of their own.
    if (!shape || printed.has(sheet.piece) || fittings.has(sheet.piece)) return [];
    const holes = sheet.marks.flatMap((mark): readonly Placed[] => {
      const hole = holeOf(mark.connection, sheet.piece);
      return hole ? [{ mark, hole, slot: slotOf(parts, sheet.piece, mark.connection) }] : [];
    });
    return facesOf(shape, holes).flatMap((f, i, all) => faceOf(f, sheet, shape, i, all.length) ?? []);
  });
};

interface Placed {
  readonly mark: HoleMark;
  readonly hole: ConnectionHole;
  readonly slot: { readonly at: Vec3; readonly along: Vec3 } | null;
}
interface Face {
  /** Towards whoever looks at the sheet, to the right of it, and up it. */
  readonly out: Vec3;
  readonly right: Vec3;
  readonly up: Vec3;
  readonly holes: readonly Placed[];
}

function slotOf(parts: readonly Part[], piece: string, connection: string): Placed['slot'] {
  for (const p of parts)
    if ((p.of ?? p.id) === piece)
      for (const h of p.holes ?? []) if (h.by === connection && h.slot) return { at: h.at, along: h.slot };
  return null;
}

/** Holes by the way they go through, each with the sides that the drawing of a rig has: lens to the right, or looking at the lens. */
function facesOf({ flats }: PieceShape, holes: readonly Placed[]): readonly Face[] {
  const own = ([0, 1, 2] as const).map((k) =>
    transform(flats[0]!.rotation, [Number(k === 0), Number(k === 1), Number(k === 2)]),
  );
  const found = new Map<number, Placed[]>();
  for (const placed of holes) {
    const through = own.reduce(
      (best, a, k) => (Math.abs(dot(a, placed.hole.axis)) > Math.abs(dot(own[best]!, placed.hole.axis)) ? k : best),
      0,
    );
    found.set(through, [...(found.get(through) ?? []), placed]);
  }
  return [...found].map(([k, list]) => {
    const axis = own[k]!;
    // Pockets and sunk heads are worked from their own side.
    const begins = list.find((p) => p.mark.recess || p.mark.sunk) ?? null;
    const towards: Vec3 = begins ? scale(begins.hole.axis, -1) : usualSide(axis);
    const out = scale(axis, Math.sign(dot(axis, towards)) || 1);
    const up = own
      .filter((_, i) => i !== k)
      .flatMap((a) => [a, scale(a, -1)])
      .reduce((best, a) => (upness(a, out) > upness(best, out) ? a : best));
    return { out, up, right: cross(up, out), holes: list };
  });
}
/** From above, from the right, or at the lens. */
function usualSide(axis: Vec3): Vec3 {
  const k = ([0, 1, 2] as const).reduce<0 | 1 | 2>(
    (best, i) => (Math.abs(axis[i]) > Math.abs(axis[best]) ? i : best),
    0,
  );
  return (
    [
      [1, 0, 0],
      [0, -1, 0],
      [0, 0, 1],
    ] as const
  )[k];
}
/** Up the page is up in the rig; of what is seen from above or below, its left side. */
const upness = (way: Vec3, out: Vec3): number => way[2] + (Math.abs(out[2]) > 0.7 ? way[1] : 0);

function faceOf(
  { out, right, up, holes }: Face,
  sheet: HoleSheet,
  shape: PieceShape,
  i: number,
  of: number,
): Pattern | null {
  const place = (p: Vec3): Point2 => [dot(p, right), dot(p, up)];
  const rings = shape.flats.flatMap((flat): readonly (readonly Point2[] | Round)[] => {
    const s = flat.shape;
    const along = (k: 0 | 1 | 2): Vec3 => transform(flat.rotation, [Number(k === 0), Number(k === 1), Number(k === 2)]);
    if (s.kind === 'tube') {
      const run = along(2);
      if (Math.abs(dot(run, out)) > 0.99) return [{ at: place(flat.at), radius: s.outerRadius }];
      // Through its side: it is told as a distance from its end.
      return [];
    }
    if (s.kind !== 'box') return [];
    const half = ([0, 1, 2] as const)
      .map((k) => scale(along(k), s.size[k] / 2))
      .filter((v) => Math.abs(dot(v, out)) < 0.5 * Math.hypot(...v));
    const [a, b] = half as [Vec3, Vec3];
    const corner = (x: number, y: number): Point2 => place(addScaled(addScaled(flat.at, a, x), b, y));
    return [[corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)]];
  });
  if (rings.length === 0) return null;
  const outlines = rings.map((r): Ink =>
    'radius' in r ? { kind: 'circle', ...r, stroke: 'cut' } : { kind: 'path', points: r, closed: true, stroke: 'cut' },
  );
  const edge = boxOf(outlines);
  const shift = (p: Point2): Point2 => [p[0] - edge.min[0], p[1] - edge.min[1]];
  const within: Box = { min: [0, 0], max: shift(edge.max) };
  const marks = marked(
    holes.map((h) => holeOn(h, out, (p) => shift(place(p)), right, up)),
    within,
  );
  const name = sheet.name;
  return {
    id: `face:${sheet.piece}${of > 1 ? `:${i + 1}` : ''}`,
    about: sheet.piece,
    title: say`Holes in the ${name}${of > 1 ? `, ${faceName(out)} face` : ''}`,
    says: [
      say`Lay it on the ${faceName(out)} face of the ${name}, its edges on the edges: at the right lies its ${faceName(right)} one, at the top its ${faceName(up)} one.`,
    ],
    ink: [
      ...outlines.map((o): Ink =>
        o.kind === 'path' ? { ...o, points: o.points.map(shift) } : { ...o, at: shift(o.at) },
      ),
      ...marks.ink,
      {
        kind: 'words',
        at: [within.max[0] / 2, within.max[1] + 1.5 * WORDS.usual],
        says: say`${faceName(up)} edge`,
        height: WORDS.usual,
      },
    ],
    holes: marks.holes,
  };
}
interface Round {
  readonly at: Point2;
  readonly radius: number;
}

function holeOn(
  { mark, hole, slot }: Placed,
  out: Vec3,
  place: (p: Vec3) => Point2,
  right: Vec3,
  up: Vec3,
): HoleToMark {
  const begins = dot(hole.axis, out) < 0;
  // The axis may lean a little: what is marked is where it enters the face that is looked at.
  return {
    id: mark.id,
    at: place(slot?.at ?? hole.at),
    diameter: mark.diameter,
    says: [
      ...mark.place,
      ...say`: for the ${mark.name}, ${figure('drill', mark.diameter)}`,
      ...(mark.thread
        ? mark.bitten
          ? say`, under size: ${mark.thread} cuts its own thread`
          : say`, then tapped ${mark.thread}`
        : []),
      ...(mark.recess
        ? say`, a pocket of ${figure('drill', mark.recess.diameter)}, ${figure('length', mark.recess.depth, 1)} deep${begins ? '' : ' from the far side'}`
        : []),
      ...(mark.sunk ? say`, countersunk${begins ? '' : ' from the far side'}` : []),
      ...(slot ? say`, cut as a slot` : []),
    ],
    ...(mark.recess ? { recess: { diameter: mark.recess.diameter, behind: !begins } } : {}),
    ...(slot ? { slot: [dot(slot.along, right), dot(slot.along, up)] as const } : {}),
  };
}
