/** From placed pieces to paths on paper: the square-on views at one stated scale. Pure, so it is tested on its own. */
import {
  boreOutline,
  nearness,
  outline,
  project,
  type FlatBody,
  type PlacedPiece,
  type Point2,
  type Vec3,
  type View,
} from '@tide-pebble/core';

/** CSS pixels in a metre at full size. */
const FULL_SIZE = 96 / 0.0254;
const SCALES = [1, 1.5, 2, 2.5, 3, 3.5, 4, 5, 6, 8, 10, 12, 15, 20, 30, 50];

export interface DrawnShape {
  readonly key: string;
  readonly owner: string;
  readonly name: string;
  readonly look: FlatBody['look'];
  readonly path: string;
  readonly swings: boolean;
}
export interface DrawnView {
  readonly view: View;
  readonly title: string;
  readonly note: string;
  readonly titleAt: Point2;
  readonly shapes: readonly DrawnShape[];
  /** Paper place of a point in rig axes, px. */
  readonly place: (p: Vec3) => Point2;
  /** The same for a point of the view's own plane, m. */
  readonly onPaper: (p: Point2) => Point2;
  readonly bottom: number;
  readonly right: number;
}
export interface Sheet {
  readonly scale: number;
  readonly pixelsPerMetre: number;
  readonly views: readonly DrawnView[];
}

/** What a view is called, and which way it is turned. */
export const TITLES: Readonly<Record<View, readonly [string, string]>> = {
  side: ['From the side', 'lens to the right'],
  front: ['From the front', 'looking at the lens'],
  top: ['From above', 'lens to the right'],
};
/** A view's title and note take about this much, px. */
const TITLE_ROOM = 176;
/** Room round the views, px; `between` also holds the magnifier, `top` a dimension line. */
export interface Margins {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
  readonly between: number;
}
export const PLAIN: Margins = { left: 30, top: 66, right: 30, bottom: 40, between: 60 };
export const WITH_DIMENSIONS: Margins = { left: 70, top: 98, right: 40, bottom: 92, between: 90 };
export const WITH_GLASS: Margins = { left: 44, top: 66, right: 60, bottom: 48, between: 200 };

interface Box {
  readonly left: number;
  readonly right: number;
  readonly low: number;
  readonly high: number;
}

/** What hangs, where from, and how far it may lean in each view (rad, clockwise on paper): room is kept for that. */
export interface Swinging {
  readonly bodies: ReadonlySet<string>;
  readonly pivot: Vec3;
  readonly lean: Readonly<Record<View, number>>;
}

export function sheetOf(
  pieces: readonly PlacedPiece[],
  views: readonly View[],
  size: { width: number; height: number },
  swinging: Swinging | null,
  margins: Margins = PLAIN,
  beside: readonly Vec3[] = [],
): Sheet {
  const outlines = views.map((view) => pieces.map((piece) => ({ piece, points: outline(piece.flat, view) })));
  // Whoever holds it is drawn too, and needs room.
  const boxes = outlines.map((list, i) =>
    boxOf([
      ...list.flatMap((o) => [...o.points, ...leaning(o.piece, o.points, views[i]!, swinging)]),
      ...beside.map((p) => project(p, views[i]!)),
    ]),
  );
  const wide = boxes.reduce((sum, b) => sum + (b.right - b.left), 0);
  // Views that show the height stand at one level; the one from above has a height of its own.
  const upright = boxes.filter((_, i) => views[i] !== 'top');
  const level = { high: Math.max(...upright.map((b) => b.high)), low: Math.min(...upright.map((b) => b.low)) };
  const ends = boxes.map((b, i) => (views[i] === 'top' ? b : level));
  const tall = Math.max(...ends.map((b) => b.high - b.low), 0.01);
  const room = {
    width: size.width - margins.left - margins.right - margins.between * (views.length - 1),
    height: size.height - margins.top - margins.bottom,
  };
  const scale =
    SCALES.find((s) => (wide * FULL_SIZE) / s <= room.width && (tall * FULL_SIZE) / s <= room.height) ?? SCALES.at(-1)!;
  const pixelsPerMetre = FULL_SIZE / scale;
  const spare = Math.max(0, room.width - wide * pixelsPerMetre) / (views.length + 1);
  const down = margins.top + Math.max(0, room.height - tall * pixelsPerMetre) / 3;
  let left = margins.left + spare;
  return {
    scale,
    pixelsPerMetre,
    views: views.map((view, i) => {
      const box = boxes[i]!;
      const top = ends[i]!.high;
      const origin = left - box.left * pixelsPerMetre;
      left += (box.right - box.left) * pixelsPerMetre + spare / 2 + margins.between;
      const onPaper = ([u, v]: Point2): Point2 => [origin + u * pixelsPerMetre, down + (top - v) * pixelsPerMetre];
      const shapes = [...outlines[i]!]
        .sort((a, b) => nearness(a.piece.flat.centre, view) - nearness(b.piece.flat.centre, view))
        .map(({ piece, points }): DrawnShape => {
          const { flat } = piece;
          return {
            key: flat.id,
            owner: flat.owner,
            name: flat.name,
            look: flat.look,
            swings: swinging?.bodies.has(piece.body) ?? false,
            path: pathOf(flat, view, points, onPaper),
          };
        });
      return {
        view,
        title: TITLES[view][0],
        note: `${TITLES[view][1]}, 1 : ${scale}`,
        titleAt: [Math.max(12, Math.min(origin + box.left * pixelsPerMetre, size.width - TITLE_ROOM)), 28] as const,
        shapes,
        place: (p: Vec3) => onPaper(project(p, view)),
        onPaper,
        bottom: down + (top - box.low) * pixelsPerMetre,
        right: origin + box.right * pixelsPerMetre,
      };
    }),
  };
}

/** A hundredth of a pixel; a number's own text is many times faster than a fixed one's. */
const rounded = (px: number): number => Math.round(px * 100) / 100;

interface KnownPath {
  /** Where the view's own origin and a metre along both its ways lay on paper. */
  readonly frame: readonly [Point2, Point2];
  readonly path: string;
}
/** A body that did not move on a paper that did not move keeps its path. */
const knownPaths = new WeakMap<FlatBody, Partial<Record<View, KnownPath>>>();

function pathOf(flat: FlatBody, view: View, points: readonly Point2[], onPaper: DrawnView['onPaper']): string {
  const frame = [onPaper([0, 0]), onPaper([1, 1])] as const;
  const before = knownPaths.get(flat);
  const had = before?.[view];
  if (had?.frame.every((p, i) => p[0] === frame[i]![0] && p[1] === frame[i]![1])) return had.path;
  const ring = (list: readonly Point2[]): string =>
    list.length === 0
      ? ''
      : `M${list
          .map(onPaper)
          .map(([x, y]) => `${rounded(x)} ${rounded(y)}`)
          .join('L')}Z`;
  const path = ring(points) + ring(boreOutline(flat, view) ?? []);
  knownPaths.set(flat, { ...before, [view]: { frame, path } });
  return path;
}

/** The rig-axes move that a shift on the paper stands for, m: nothing moves towards or away from the onlooker. */
export function moveOnPaper(view: View, right: number, down: number, pixelsPerMetre: number): Vec3 {
  const [u, v] = [right / pixelsPerMetre, -down / pixelsPerMetre];
  return view === 'side' ? [u, 0, v] : view === 'front' ? [0, u, v] : [u, v, 0];
}

/** The same outline with the rig leaning; nothing for what does not hang. */
function leaning(
  piece: PlacedPiece,
  points: readonly Point2[],
  view: View,
  swinging: Swinging | null,
): readonly Point2[] {
  if (!swinging?.bodies.has(piece.body) || swinging.lean[view] === 0) return [];
  const [u0, v0] = project(swinging.pivot, view);
  const [c, s] = [Math.cos(swinging.lean[view]), Math.sin(swinging.lean[view])];
  return points.map(([u, v]) => [u0 + c * (u - u0) + s * (v - v0), v0 - s * (u - u0) + c * (v - v0)]);
}

function boxOf(points: readonly Point2[]): Box {
  if (points.length === 0) return { left: -0.1, right: 0.1, low: -0.1, high: 0.1 };
  return points.reduce<Box>(
    (b, [u, v]) => ({
      left: Math.min(b.left, u),
      right: Math.max(b.right, u),
      low: Math.min(b.low, v),
      high: Math.max(b.high, v),
    }),
    { left: Infinity, right: -Infinity, low: Infinity, high: -Infinity },
  );
}
