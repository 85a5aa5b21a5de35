/** The rig square-on as a drawing sheet: outlines in metres, the views laid side by side, for paper, SVG and DXF alike. */
import { boreOutline, nearness, outline, type PlacedPiece, type Point2, type View } from '../../2-frame';
import type { FlatBody } from '../../1-load';

export interface SheetOutline {
  readonly owner: string;
  readonly name: string;
  readonly look: FlatBody['look'];
  /** Closed, m, u to the right and v up on the sheet. */
  readonly points: readonly Point2[];
  readonly bore: readonly Point2[] | null;
}
export interface SheetView {
  readonly view: View;
  readonly title: string;
  readonly outlines: readonly SheetOutline[];
  readonly titleAt: Point2;
}
export interface SquareOnSheet {
  readonly views: readonly SheetView[];
  readonly width: number;
  readonly height: number;
}

const TITLES: Readonly<Record<View, string>> = {
  side: 'From the side, lens to the right',
  front: 'From the front, looking at the lens',
  top: 'From above, lens to the right',
};
/** Room between views and under each for its title, as a part of the largest. */
const GAP = 0.12;

/** Far things first, so that painting in order hides what is hidden. The sheet's lower left corner is the origin. */
export function squareOn(
  pieces: readonly PlacedPiece[],
  views: readonly View[] = ['side', 'front', 'top'],
): SquareOnSheet {
  const drawn = views.map((view) => {
    const outlines = [...pieces]
      .sort((a, b) => nearness(a.flat.centre, view) - nearness(b.flat.centre, view))
      .map(({ flat }): SheetOutline => ({
        owner: flat.owner,
        name: flat.name,
        look: flat.look,
        points: outline(flat, view),
        bore: boreOutline(flat, view),
      }))
      .filter((o) => o.points.length > 2);
    const all = outlines.flatMap((o) => o.points);
    const range = (i: 0 | 1): readonly [number, number] =>
      all.length === 0 ? [0, 0.1] : [Math.min(...all.map((p) => p[i])), Math.max(...all.map((p) => p[i]))];
    return { view, outlines, u: range(0), v: range(1) };
  });
  const gap = GAP * Math.max(0.05, ...drawn.map((d) => Math.max(d.u[1] - d.u[0], d.v[1] - d.v[0])));
  const height = Math.max(...drawn.map((d) => d.v[1] - d.v[0])) + gap;
  let left = 0;
  const placed = drawn.map(({ view, outlines, u, v }): SheetView => {
    const shift = ([x, y]: Point2): Point2 => [left + x - u[0], gap + y - v[0]];
    const made: SheetView = {
      view,
      title: TITLES[view],
      titleAt: [left, gap / 3],
      outlines: outlines.map((o) => ({ ...o, points: o.points.map(shift), bore: o.bore?.map(shift) ?? null })),
    };
    left += u[1] - u[0] + gap;
    return made;
  });
  return { views: placed, width: Math.max(0.01, left - gap), height };
}

/** Scales a drawing office uses; the largest that keeps the sheet within the paper (m), or null when even the smallest does not. */
const SCALES = [1, 2, 2.5, 4, 5, 8, 10, 15, 20, 25, 50] as const;
export const scaleFor = (sheet: SquareOnSheet, paper: readonly [number, number]): number | null =>
  SCALES.find((s) => sheet.width / s <= paper[0] && sheet.height / s <= paper[1]) ?? null;
