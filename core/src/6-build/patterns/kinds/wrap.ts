/** A sheet to wind round a tube or a square one, edges meeting at the seam: holes through both walls, mitred ends, the paper's own thickness allowed for. */
import {
  addScaled,
  cross,
  dot,
  figure,
  say,
  scale,
  subtract,
  transform,
  type Phrase,
  type Vec3,
} from '../../../0-base';
import type { PieceShape, Point2 } from '../../../2-frame';
import type { HoleSheet } from '../../../5-stock';
import type { Member } from '../../../model';
import { faceName } from '../faceName';
import { mitreWords, slanted } from '../mitres';
import { marked, type HoleToMark } from '../marks';
import { boxOf, type Ink, type Pattern, type PatternInput, type PatternMaker } from '../pattern';

/** Steps of a curve all round. */
const ROUND = 96;
/** A plain end without holes needs no sheet longer than this past its last mark, m. */
const PAST = 0.02;

export const wrap: PatternMaker = (input) =>
  [
    ...input.assembly.rig.bodies.flatMap((b) => b.members.flatMap((m) => memberRound(m, input) ?? [])),
    ...input.sheets.flatMap((sheet) => partRound(sheet, input) ?? []),
  ].map((r) => roundWrap(r, input.paper));

interface RoundHole {
  readonly id: string;
  readonly along: number;
  /** From the side that the line is scribed on, clockwise seen along the run, rad. */
  readonly turn: number;
  readonly diameter: number;
  readonly last: boolean;
  readonly says: Phrase;
}
interface Round {
  readonly id: string;
  readonly name: string;
  readonly radius: number;
  readonly long: number;
  readonly frame: Frame;
  readonly holes: readonly RoundHole[];
  readonly mitres: PieceShape['mitres'];
  /** What its start is called. */
  readonly start: string;
}

/** A tube or rod of the frame; null where nothing is marked round it. */
function memberRound(member: Member, { bars, shapes }: PatternInput): Round | null {
  const { section } = member.stock;
  const radius =
    section.kind === 'tube' ? section.outerDiameter / 2 : section.kind === 'rod' ? section.diameter / 2 : 0;
  const bar = bars.find((b) => b.member === member.id);
  const shape = shapes.get(member.id);
  if (radius === 0 || !bar || !shape || member.path.kind !== 'straight') return null;
  // Hammered flat, it is marked on its flat.
  const round = bar.blank - (member.flattened ?? 0);
  const holes = member.holes.filter((h) => h.along <= round);
  const frame = frameOf(member, shape);
  const mitres = slanted(shape.mitres, frame.run);
  if (holes.length === 0 && mitres.length === 0) return null;
  return {
    id: member.id,
    name: bar.name,
    radius,
    long: bar.blank,
    frame,
    mitres,
    start: 'start',
    holes: holes.map((h) => ({
      id: h.id,
      along: h.along,
      turn: h.turn ?? 0,
      diameter: h.diameter,
      last: h.afterBending,
      says: [
        ...say`${figure('length', h.along, 1)}: ${h.name}, ${figure('drill', h.diameter)}, ${bar.marks.find((m) => m.id === h.id)!.when}; both its rounds lie right opposite`,
        ...(h.recess ? say`; a pocket of ${figure('drill', h.recess.diameter)} in its ${h.recess.face} face` : []),
      ],
    })),
  };
}

/** A round part drilled through its side. */
function partRound(
  { piece, name, marks }: HoleSheet,
  { shapes, holeOf, printed, fittings }: PatternInput,
): Round | null {
  const shape = shapes.get(piece);
  const tube = shape?.flats.find((f) => f.shape.kind === 'tube');
  if (!shape || tube?.shape.kind !== 'tube' || printed.has(piece) || fittings.has(piece)) return null;
  const { outerRadius: radius, length: long } = tube.shape;
  const own = transform(tube.rotation, [0, 0, 1]);
  // Told from its rear, right or lower end, as its list of holes is.
  const run = scale(own, isTowardsFar(own) ? 1 : -1);
  const line = transform(tube.rotation, [1, 0, 0]);
  const frame = { start: addScaled(tube.at, run, -long / 2), run, line, quarter: cross(run, line) };
  const holes = marks.flatMap((mark): readonly RoundHole[] => {
    const hole = holeOf(mark.connection, piece);
    if (!hole || Math.abs(dot(hole.axis, run)) > 0.7) return [];
    return [
      {
        id: mark.id,
        along: dot(subtract(hole.at, frame.start), run),
        turn: Math.atan2(dot(hole.axis, frame.quarter), dot(hole.axis, line)),
        diameter: mark.diameter,
        last: false,
        says: [...mark.place, ...say`: ${mark.name}, ${figure('drill', mark.diameter)}`],
      },
    ];
  });
  return holes.length === 0
    ? null
    : { id: piece, name, radius, long, frame, holes, mitres: [], start: `${faceName(scale(run, -1))} end` };
}
const isTowardsFar = (way: Vec3): boolean => ['front', 'left', 'upper'].includes(faceName(way));

function roundWrap({ id, name, radius, long, frame, holes, mitres, start: from }: Round, paper: number): Pattern {
  /** To the middle of the paper: it is neither stretched nor squeezed there. */
  const wound = radius + paper / 2;
  const around = 2 * Math.PI * wound;
  const seam = seamOf(holes.map((h) => ({ at: h.turn, half: Math.asin(Math.min(1, h.diameter / 2 / radius)) })));
  /** Down the page as the turn grows: the run points to the right and the printed side looks out. */
  const up = (turn: number): number => around - wound * after(turn, seam);
  const [start, end] = spanOf(
    holes.map((h) => h.along),
    long,
    mitres.length,
  );
  const curves = mitres.map((plane) => endCurve(plane, frame, radius, seam, up));
  const isAtStart = (curve: readonly Point2[]): boolean => mean(curve) < long / 2;
  const left = curves.find(isAtStart);
  const right = curves.find((c) => !isAtStart(c));
  const edge: readonly Point2[] = [
    ...(left ?? [[start, around] as const, [start, 0] as const]),
    ...[...(right ?? [[end, around] as const, [end, 0] as const])].reverse(),
  ];
  const outline: Ink = { kind: 'path', points: edge, closed: true, stroke: 'line' };
  const turned = holes.flatMap((h) =>
    [0, Math.PI].map((side): HoleToMark => {
      const at: Point2 = [h.along, up(h.turn + side)];
      return { ...h, at, edge: unrolled(at, h.diameter / 2, radius, wound) };
    }),
  );
  const marks = marked(turned, boxOf([outline]));
  return {
    id: `wrap:${id}`,
    about: id,
    title: say`Sheet to wind round the ${name}`,
    says: [
      say`Cut it out and wind it round, the print outside and its long edges meeting: they meet without overlap where the tube is ${figure('length', 2 * radius, 1)} thick and the paper ${figure('length', paper, 2)}.`,
      start > 0
        ? say`Its right edge goes flush with the far end, ${figure('length', end - start, 1)} from its left edge.`
        : say`Its left edge goes flush with its ${from}.`,
      ...mitreWords(mitres, frame.run),
    ],
    ink: [
      outline,
      ...curves.map((points): Ink => ({ kind: 'path', points, closed: false, stroke: 'cut' })),
      ...marks.ink,
    ],
    holes: marks.holes,
  };
}

interface Frame {
  readonly start: Vec3;
  readonly run: Vec3;
  /** The side that the line is scribed on, and a quarter turn on from it, clockwise seen along the run. */
  readonly line: Vec3;
  readonly quarter: Vec3;
}
function frameOf({ path }: Member, { flats }: PieceShape): Frame {
  const tube = flats.find((f) => f.shape.kind === 'tube')!;
  const run = transform(tube.rotation, [0, 0, 1]);
  const long = tube.shape.kind === 'tube' ? tube.shape.length : 0;
  const wanted: Vec3 = path.kind === 'straight' ? path.widthDirection : [0, 1, 0];
  const off = addScaled(wanted, run, -dot(wanted, run));
  const line = scale(off, 1 / Math.hypot(...off));
  return { start: addScaled(tube.at, run, -long / 2), run, line, quarter: cross(run, line) };
}

/** Where a mitre's plane meets the tube's outside, from one long edge of the sheet to the other. */
function endCurve(
  plane: PieceShape['mitres'][number],
  { start, run, line, quarter }: Frame,
  radius: number,
  seam: number,
  up: (turn: number) => number,
): readonly Point2[] {
  const lean = dot(plane.normal, run);
  const reach = dot(plane.normal, subtract(plane.at, start));
  const at = (turn: number): number =>
    (reach - radius * (dot(plane.normal, line) * Math.cos(turn) + dot(plane.normal, quarter) * Math.sin(turn))) / lean;
  return Array.from({ length: ROUND + 1 }, (_, i): Point2 => {
    const turn = seam + (2 * Math.PI * i) / ROUND;
    // The last lies on the other edge, where the first began.
    return [at(turn), i === ROUND ? 0 : up(turn)];
  });
}

/** A drill of this radius through the wall of a tube: at the angle f round the drill the wall is met asin(a sin f / R) round the tube. */
function unrolled([x, y]: Point2, drill: number, radius: number, wound: number): readonly Point2[] {
  return Array.from({ length: ROUND / 2 }, (_, i): Point2 => {
    const angle = (4 * Math.PI * i) / ROUND;
    const round = Math.asin(Math.max(-1, Math.min(1, (drill * Math.sin(angle)) / radius)));
    return [x + drill * Math.cos(angle), y + wound * round];
  });
}

/** How far round from the seam, from nought up to a whole turn. */
const after = (turn: number, seam: number): number => (((turn - seam) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);

/** The turn that lies furthest from every hole's edge, both walls counted. */
function seamOf(holes: readonly { readonly at: number; readonly half: number }[]): number {
  const edges = holes.flatMap(({ at, half }) =>
    [0, Math.PI].map((side) => ({ from: after(at + side - half, 0), long: 2 * half })),
  );
  if (edges.length === 0) return Math.PI / 2;
  const free = (turn: number): number =>
    Math.min(
      ...edges.map(({ from, long }) => {
        const past = after(turn, from);
        return past < long ? -1 : Math.min(past - long, 2 * Math.PI - past);
      }),
    );
  return Array.from({ length: 720 }, (_, i) => (i * Math.PI) / 360).reduce((best, t) =>
    free(t) > free(best) + 1e-9 ? t : best,
  );
}

/** From where to where along the tube the sheet goes: from the end that takes the shorter one, so that it can be laid against it. */
function spanOf(holes: readonly number[], long: number, mitres: number): readonly [number, number] {
  if (mitres > 0 || holes.length === 0) return [0, long];
  const [from, to] = [Math.max(0, Math.min(...holes) - PAST), Math.min(long, Math.max(...holes) + PAST)];
  return to <= long - from ? [0, to] : [from, long];
}

const mean = (curve: readonly Point2[]): number => curve.reduce((sum, p) => sum + p[0], 0) / curve.length;
