/** Patterns laid on sheets of paper at full size: what fits is laid beside what else fits, what is longer is parted where it does least harm. */
import type { Phrase } from '../../0-base';
import type { Point2 } from '../../2-frame';
import { roomOn, type Printer } from './paper';
import { boxOf, wide, type Box, type Ink, type Pattern } from './pattern';
import { seamsOf, type Kept } from './seams';

/** Printed twice, half on each side of a seam, m. */
export const OVERLAP = 0.01;
/** Round every pattern, m. */
const PAD = 0.003;
/** For the number over each piece of paper, and between neighbours, m. */
const LABEL = 0.006;
/** Height of the words over each piece of paper, m. */
export const TITLE = 0.0027;
const GAP = 0.005;
/** A seam stays so far from a hole or a line to saw along, m. */
const CLEAR = 0.002;

/** A piece of a pattern, on one sheet. */
export interface Fragment {
  /** The pattern’s number, and a letter where it takes more than one sheet: “3b”. */
  readonly label: string;
  readonly pattern: number;
  /** What of the pattern is printed, in its own places, overlaps included. */
  readonly box: Box;
  /** Between its seams: sheets are joined along these edges. */
  readonly own: Box;
  /** Turned a quarter to the left on its sheet. */
  readonly turned: boolean;
  /** Where the lower left corner of what is printed lies on its sheet, m from the sheet’s. */
  readonly at: Point2;
  readonly sheet: number;
}
/** Without fragments: it is not printed. */
export interface Laid {
  readonly pattern: Pattern;
  readonly number: number;
  readonly box: Box;
  readonly seams: readonly [readonly number[], readonly number[]];
  readonly fragments: readonly Fragment[];
}
export type Pages =
  | { readonly kind: 'laid'; readonly patterns: readonly Laid[]; readonly sheets: number }
  | { readonly kind: 'noRoom'; readonly why: Phrase };

/** `without`: ids of patterns that are not printed; the others keep their numbers. */
export function layPages(patterns: readonly Pattern[], printer: Printer, without: readonly string[] = []): Pages {
  const room = roomOn(printer);
  if (room.kind === 'noRoom') return room;
  const free: Point2 = [room.width, room.height - LABEL];
  const parted = patterns.map((pattern, i) => parts(pattern, i + 1, free));
  const sheets = shelved(
    parted
      .filter((p) => !without.includes(p.pattern.id))
      .flatMap((p) => p.pieces.map((piece) => ({ ...piece, pattern: p.number, turned: p.turned }))),
    [room.width, room.height],
  );
  return {
    kind: 'laid',
    sheets: sheets.reduce((most, s) => Math.max(most, s.sheet + 1), 0),
    patterns: parted.map(({ pattern, number, box, seams }) => ({
      pattern,
      number,
      box,
      seams,
      fragments: sheets
        .filter((s) => s.pattern === number)
        .map((s) => ({ ...s, at: [s.at[0] + room.at[0], s.at[1] + room.at[1]] as const })),
    })),
  };
}

interface Piece {
  readonly label: string;
  /** What stands over it, m wide. */
  readonly titled: number;
  readonly box: Box;
  readonly own: Box;
}

/** Upright or turned a quarter, whichever takes fewer sheets’ worth. */
function parts(
  pattern: Pattern,
  number: number,
  room: Point2,
): {
  readonly pattern: Pattern;
  readonly number: number;
  readonly box: Box;
  readonly seams: Laid['seams'];
  readonly turned: boolean;
  readonly pieces: readonly Piece[];
} {
  const bare = boxOf(pattern.ink);
  const box: Box = { min: [bare.min[0] - PAD, bare.min[1] - PAD], max: [bare.max[0] + PAD, bare.max[1] + PAD] };
  const size: Point2 = [box.max[0] - box.min[0], box.max[1] - box.min[1]];
  const count = ([w, h]: Point2): number => sheetsAlong(size[0], w) * sheetsAlong(size[1], h);
  const across: Point2 = [room[1], room[0]];
  const turned = count(across) < count(room);
  const [w, h] = turned ? across : room;
  const seams = [seamsAlong(0, box, w, pattern), seamsAlong(1, box, h, pattern)] as const;
  const [xs, ys] = seams.map((s, k) => [box.min[k as 0]!, ...s, box.max[k as 0]!]) as [number[], number[]];
  const isParted = seams[0].length + seams[1].length > 0;
  const pieces = ys.slice(1).flatMap((top, j) =>
    xs.slice(1).map((right, i): Piece => {
      const own: Box = { min: [xs[i]!, ys[j]!], max: [right, top] };
      const beyond = (edge: number, seam: readonly number[], by: number): number =>
        seam.includes(edge) ? edge + by : edge;
      return {
        titled: isParted ? TITLE * 12 : wide({ says: [`${number}  `, ...pattern.title], height: TITLE })[0],
        label: `${number}${isParted ? letter(j * (xs.length - 1) + i) : ''}`,
        own,
        box: {
          min: [beyond(own.min[0], seams[0], -OVERLAP / 2), beyond(own.min[1], seams[1], -OVERLAP / 2)],
          max: [beyond(own.max[0], seams[0], OVERLAP / 2), beyond(own.max[1], seams[1], OVERLAP / 2)],
        },
      };
    }),
  );
  return { pattern, number, box, seams, turned, pieces };
}

/** a to z, then aa, ab. */
const letter = (i: number): string => (i < 26 ? LETTERS[i]! : letter(Math.floor(i / 26) - 1) + LETTERS[i % 26]!);
const LETTERS = 'abcdefghijklmnopqrstuvwxyz';

const sheetsAlong = (long: number, room: number): number => (long <= room ? 1 : Math.ceil(long / (room - OVERLAP)));

function seamsAlong(k: 0 | 1, box: Box, room: number, pattern: Pattern): readonly number[] {
  const long = box.max[k] - box.min[k];
  if (long <= room) return [];
  return seamsOf(
    long,
    room - OVERLAP,
    keptAlong(k, pattern).map(([a, b]) => [a - box.min[k], b - box.min[k]] as const),
  ).map((at) => at + box.min[k]);
}

/** Holes, words, and lines to saw along that run with the seam. */
function keptAlong(k: 0 | 1, { ink }: Pattern): readonly Kept[] {
  const around = (from: number, to: number): Kept => [from - CLEAR, to + CLEAR];
  return ink.flatMap((i): readonly Kept[] => {
    if (i.kind !== 'path') {
      const { min, max } = boxOf([i]);
      return [around(min[k], max[k])];
    }
    if (i.stroke === 'centre') return [];
    const closed = i.closed ? [...i.points, i.points[0]!] : i.points;
    return closed.slice(1).flatMap((to, n): readonly Kept[] => {
      const from = closed[n]!;
      const [with_, off] = [Math.abs(to[k] - from[k]), Math.abs(to[1 - k]! - from[1 - k]!)];
      return with_ < off / 4 ? [around(Math.min(from[k], to[k]), Math.max(from[k], to[k]))] : [];
    });
  });
}

interface OnSheet extends Piece {
  readonly pattern: number;
  readonly turned: boolean;
  readonly at: Point2;
  readonly sheet: number;
}

/** The highest first, each in the first row that has room for it, rows from the top of a sheet down. */
function shelved(
  pieces: readonly (Piece & { readonly pattern: number; readonly turned: boolean })[],
  [width, height]: Point2,
): readonly OnSheet[] {
  const sizeOf = ({ box, turned, titled }: (typeof pieces)[number]): Point2 => {
    const [w, h] = [box.max[0] - box.min[0], box.max[1] - box.min[1]];
    const [across, up] = turned ? [h, w] : [w, h];
    return [Math.min(width, Math.max(across, titled)), up];
  };
  const rows: { readonly sheet: number; readonly top: number; readonly high: number; used: number }[] = [];
  const down: number[] = [];
  const placed = new Map<(typeof pieces)[number], OnSheet>();
  for (const piece of [...pieces].sort((a, b) => sizeOf(b)[1] - sizeOf(a)[1])) {
    const [w, h] = sizeOf(piece);
    const high = h + LABEL;
    let row = rows.find((r) => r.high >= high - 1e-9 && r.used + w <= width + 1e-9);
    if (!row) {
      let sheet = down.findIndex((used) => used + high <= height + 1e-9);
      if (sheet < 0) sheet = down.push(0) - 1;
      row = { sheet, top: down[sheet]!, high, used: 0 };
      down[sheet]! += high + GAP;
      rows.push(row);
    }
    placed.set(piece, { ...piece, sheet: row.sheet, at: [row.used, height - row.top - high] });
    row.used += w + GAP;
  }
  return pieces.map((p) => placed.get(p)!);
}

/** A place of the pattern on its sheet, m from the sheet’s lower left corner. */
export function onSheet({ box, turned, at }: Fragment, [x, y]: Point2): Point2 {
  return turned
    ? [at[0] + (box.max[1] - y), at[1] + (x - box.min[0])]
    : [at[0] + (x - box.min[0]), at[1] + (y - box.min[1])];
}

/** What of a pattern’s ink shows on a fragment, nothing cut. */
export function inkOn(fragment: Fragment, ink: readonly Ink[]): readonly Ink[] {
  const { box } = fragment;
  return ink.filter((i) => {
    const { min, max } = boxOf([i]);
    return min[0] <= box.max[0] && max[0] >= box.min[0] && min[1] <= box.max[1] && max[1] >= box.min[1];
  });
}
