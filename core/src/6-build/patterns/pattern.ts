/** A full-size pattern as plain data: lines, circles and words in metres, to lie on the work. */
import { METRIC, render, type Phrase } from '../../0-base';
import type { Assembly, ConnectionHole, PieceShape, Point2 } from '../../2-frame';
import type { BarPlan, HoleSheet } from '../../5-stock';
import type { Cope } from './kinds/cope';

/**
 * cut: sawn along, or drilled out. last: the same, but only on the finished rig. bend: where a bend begins, has its middle and ends.
 * centre: a cross to punch. line: to lay something against. behind: on the far side.
 */
export type Stroke = 'cut' | 'last' | 'bend' | 'centre' | 'line' | 'behind';
export type Ink =
  | { readonly kind: 'path'; readonly points: readonly Point2[]; readonly closed: boolean; readonly stroke: Stroke }
  | { readonly kind: 'circle'; readonly at: Point2; readonly radius: number; readonly stroke: Stroke }
  /** `at`: the middle of the words. */
  | { readonly kind: 'words'; readonly at: Point2; readonly says: Phrase; readonly height: number };

/** A hole on it, by the number that stands beside it. */
export interface NumberedHole {
  readonly number: number;
  readonly id: string;
  readonly at: Point2;
  readonly diameter: number;
  readonly says: Phrase;
}

export interface Pattern {
  readonly id: string;
  /** The piece it lies on; empty for what lies on the table. */
  readonly about: string;
  readonly title: Phrase;
  /** How it is laid on, and what else a hand must know. */
  readonly says: readonly Phrase[];
  readonly ink: readonly Ink[];
  readonly holes: readonly NumberedHole[];
}

export interface PatternInput {
  readonly assembly: Assembly;
  readonly bars: readonly BarPlan[];
  readonly sheets: readonly HoleSheet[];
  /** Every piece by its id, where it is drawn. */
  readonly shapes: ReadonlyMap<string, PieceShape>;
  /** Where a connection enters a piece; undefined where it does not. */
  readonly holeOf: (connection: string, piece: string) => ConnectionHole | undefined;
  /** Ids of pieces that come out of the printer with their holes. */
  readonly printed: ReadonlySet<string>;
  /** Ids of pipe fittings: they have a pattern of their own kind. */
  readonly fittings: ReadonlySet<string>;
  /** Of the paper that is wound round a tube, m. */
  readonly paper: number;
  /** A tube that the maker wants to end on another; null: none. */
  readonly cope: Cope | null;
}
export type PatternMaker = (input: PatternInput) => readonly Pattern[];

/** Heights of words on paper, m. */
export const WORDS = { usual: 0.0028, small: 0.0022 } as const;

export interface Box {
  readonly min: Point2;
  readonly max: Point2;
}
/** All that is drawn, words with their letters. */
export function boxOf(ink: readonly Ink[]): Box {
  const points = ink.flatMap((i): readonly Point2[] =>
    i.kind === 'path'
      ? i.points
      : i.kind === 'circle'
        ? cornersOf(i.at, [2 * i.radius, 2 * i.radius])
        : cornersOf(i.at, wide(i)),
  );
  const range = (k: 0 | 1, pick: (...x: number[]) => number): number =>
    points.reduce((best, p) => pick(best, p[k]), points[0]?.[k] ?? 0);
  return {
    min: [range(0, Math.min), range(1, Math.min)],
    max: [range(0, Math.max), range(1, Math.max)],
  };
}
const cornersOf = ([x, y]: Point2, [w, h]: Point2): readonly Point2[] => [
  [x - w / 2, y - h / 2],
  [x + w / 2, y + h / 2],
];

/** A letter of the typeface is about so wide as a part of its height. */
const LETTER = 0.55;
/** Width and height of words on paper, m; about, for they are not measured letter by letter. */
export const wide = ({ says, height }: { readonly says: Phrase; readonly height: number }): Point2 => [
  render(says, METRIC).length * height * LETTER,
  height * 1.15,
];
