/** A sheet to fold round a square tube, edges meeting at a corner: its four faces side by side, holes through two of them, mitred ends. */
import { dot, figure, say, subtract, transform, type Vec3 } from '../../../0-base';
import type { PieceShape, Point2 } from '../../../2-frame';
import type { Member } from '../../../model';
import { mitreWords, slanted } from '../mitres';
import { marked, type HoleToMark } from '../marks';
import { boxOf, type Ink, type Pattern, type PatternInput, type PatternMaker } from '../pattern';

export const squareWrap: PatternMaker = (input) =>
  input.assembly.rig.bodies.flatMap((b) => b.members.flatMap((m) => wrapOf(m, input) ?? []));

/** One face: where it begins on the sheet, counted down from the top, how wide it is, and the side of the tube it lies on. */
interface Face {
  readonly down: number;
  readonly wide: number;
  /** Of a place across the tube, along its width and its height from the middle: how far down this face it lies. */
  readonly from: (y: number, z: number) => number;
  readonly looks: readonly [number, number];
}

function wrapOf(member: Member, { bars, shapes, holeOf, paper }: PatternInput): Pattern | null {
  const { section } = member.stock;
  const bar = bars.find((b) => b.member === member.id);
  const shape = shapes.get(member.id);
  const flat = shape?.flats[0];
  if (section.kind !== 'square' || !bar || !shape || flat?.shape.kind !== 'box') return null;
  const run = transform(flat.rotation, [1, 0, 0]);
  const mitres = slanted(shape.mitres, run);
  if (member.holes.length === 0 && mitres.length === 0) return null;
  const [long, width, height] = flat.shape.size;
  const faces = facesOf(width, height, paper);
  const around = faces.reduce((sum, f) => sum + f.wide, 0) + 4 * foldOf(paper);
  const up = (f: Face, from: number): number => around - (f.down + from);
  const across = (p: Vec3): readonly [number, number, number] => {
    const off = subtract(p, flat.at);
    return [
      dot(off, run) + long / 2,
      dot(off, transform(flat.rotation, [0, 1, 0])),
      dot(off, transform(flat.rotation, [0, 0, 1])),
    ];
  };
  const holes = member.holes.flatMap((h): readonly HoleToMark[] => {
    const stated = h.by ? holeOf(h.by, member.id) : undefined;
    const axis = transform(flat.rotation, [0, 0, 1]);
    const way = stated?.axis ?? axis;
    const isThroughHeight = Math.abs(dot(way, axis)) > 0.7;
    const [, y, z] = stated ? across(stated.at) : [0, h.across, 0];
    return faces
      .filter((f) => (f.looks[1] !== 0) === isThroughHeight)
      .map((f) => ({
        id: h.id,
        at: [h.along, up(f, f.from(y, z))],
        diameter: h.diameter,
        last: h.afterBending,
        says: say`${figure('length', h.along, 1)}: ${h.name}, ${figure('drill', h.diameter)}, ${bar.marks.find((m) => m.id === h.id)!.when}; through both walls`,
      }));
  });
  const curves = mitres.map((plane) => cornersOf(plane, flat, long, faces, up, around));
  const isAtStart = (c: readonly Point2[]): boolean => c.reduce((sum, p) => sum + p[0], 0) / c.length < long / 2;
  const left = curves.find(isAtStart) ?? [[0, around] as const, [0, 0] as const];
  const right = curves.find((c) => !isAtStart(c)) ?? [[long, around] as const, [long, 0] as const];
  const outline: Ink = { kind: 'path', points: [...left, ...[...right].reverse()], closed: true, stroke: 'line' };
  const folds = faces.slice(1).map((f): Ink => {
    const y = around - f.down + foldOf(paper) / 2;
    return {
      kind: 'path',
      points: [
        [0, y],
        [long, y],
      ],
      closed: false,
      stroke: 'bend',
    };
  });
  const marks = marked(holes, boxOf([outline]));
  return {
    id: `wrap:${member.id}`,
    about: member.id,
    title: say`Sheet to fold round the ${bar.name}`,
    says: [
      say`Cut it out and fold it round along the dash-dotted lines, the print outside, its left edge flush with the start: its long edges meet at a corner.`,
      ...mitreWords(mitres, run),
    ],
    ink: [
      outline,
      ...folds,
      ...curves.map((points): Ink => ({ kind: 'path', points, closed: false, stroke: 'cut' })),
      ...marks.ink,
    ],
    holes: marks.holes,
  };
}

/** A fold takes a quarter round of half the paper's thickness. */
const foldOf = (paper: number): number => (Math.PI / 4) * paper;

/** In the order in which they come as one goes round clockwise, seen along the run: the side of its width, that of its height, and the two across. */
function facesOf(width: number, height: number, paper: number): readonly Face[] {
  const fold = foldOf(paper);
  const [w, h] = [width, height];
  return [
    { down: fold / 2, wide: h, looks: [1, 0], from: (_y, z) => z + h / 2 },
    { down: 1.5 * fold + h, wide: w, looks: [0, 1], from: (y) => w / 2 - y },
    { down: 2.5 * fold + h + w, wide: h, looks: [-1, 0], from: (_y, z) => h / 2 - z },
    { down: 3.5 * fold + 2 * h + w, wide: w, looks: [0, -1], from: (y) => y + w / 2 },
  ];
}

/** Where a mitre's plane meets the four corners, and the first again. */
function cornersOf(
  plane: PieceShape['mitres'][number],
  flat: PieceShape['flats'][number],
  long: number,
  faces: readonly Face[],
  up: (f: Face, from: number) => number,
  around: number,
): readonly Point2[] {
  if (flat.shape.kind !== 'box') return [];
  const [, w, h] = flat.shape.size;
  const [nx, ny, nz] = ([0, 1, 2] as const).map((k) =>
    dot(plane.normal, transform(flat.rotation, [Number(k === 0), Number(k === 1), Number(k === 2)])),
  ) as [number, number, number];
  const reach = dot(plane.normal, subtract(plane.at, flat.at));
  const at = (y: number, z: number): number => (reach - ny * y - nz * z) / nx + long / 2;
  const corners: readonly (readonly [number, number])[] = [
    [w / 2, -h / 2],
    [w / 2, h / 2],
    [-w / 2, h / 2],
    [-w / 2, -h / 2],
    [w / 2, -h / 2],
  ];
  return corners.map(([y, z], i) => [at(y, z), i === 0 ? around : i === 4 ? 0 : up(faces[i]!, 0)] as const);
}
