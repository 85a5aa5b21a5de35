/** A step square-on as plain paths: what is there already, and what comes, pulled apart along its way, with the line it comes by. Pure. */
import {
  add,
  addScaled,
  boundingBox,
  dot,
  length,
  unit,
  type PlacedPiece,
  type Vec3,
  type View,
} from '@tide-pebble/core';
import type { BuildStep, HoleMade } from '@tide-pebble/core/making';
import { PLAIN, sheetOf, TITLES, type DrawnShape } from '../../ui/drawing/rig-drawing';
import { offsetsAt } from './coming-together';

export interface SquareOnStep {
  readonly view: View;
  /** As its stage says it: from the side, from the front, from above; and which way that is turned. */
  readonly from: string;
  readonly shapes: readonly (DrawnShape & { readonly comes: boolean })[];
  /** What is drilled now, where it faces the onlooker. */
  readonly holes: readonly { readonly at: readonly [number, number]; readonly radius: number }[];
  readonly ways: readonly { readonly from: readonly [number, number]; readonly to: readonly [number, number] }[];
}
const MARGINS = { ...PLAIN, left: 8, right: 8, top: 8, bottom: 8 };
/** Towards the onlooker. */
const AWAY: Readonly<Record<View, Vec3>> = { side: [0, -1, 0], front: [1, 0, 0], top: [0, 0, 1] };
const IN_PAPER = { side: [0, 2], front: [1, 2], top: [0, 1] } as const;
const ownerOf = (piece: string): string => piece.replace(/\/\d+$/, '');

/** Null: the step handles nothing that can be drawn. `holes`: what it drills, where its pieces stand. */
export function squareOnStep(
  step: Pick<BuildStep, 'handles' | 'joins'>,
  pieces: readonly PlacedPiece[],
  size: { readonly width: number; readonly height: number },
  holes: readonly HoleMade[] = [],
): SquareOnStep | null {
  const handled = new Set((step.handles ?? []).map(ownerOf));
  const there = new Set([...(step.joins?.lot ?? []).map(ownerOf), ...handled]);
  const shown = pieces.filter((p) => !p.isLoad && there.has(p.flat.owner));
  if (shown.length === 0) return null;
  const away = offsetsAt(step.joins?.comes ?? [], pieces, 0);
  const moved = shown.map((p) => {
    const by = away.get(p.flat.owner);
    return by ? { ...p, flat: { ...p.flat, at: add(p.flat.at, by), centre: add(p.flat.centre, by) } } : p;
  });
  const view = (['side', 'front', 'top'] as const).reduce((a, b) =>
    tells(b, moved, away, holes) > tells(a, moved, away, holes) ? b : a,
  );
  const sheet = sheetOf(moved, [view], size, null, MARGINS);
  const drawn = sheet.views[0]!;
  return {
    view,
    from: TITLES[view].join(', '),
    shapes: drawn.shapes.map((s) => ({ ...s, comes: handled.has(s.owner) })),
    holes: holes.flatMap(({ at, axis, diameter }) => {
      if (faces(axis, view) < FACES) return [];
      const [middle, edge] = [at, addScaled(at, acrossIn(view), diameter / 2)].map((p) => drawn.place(p));
      return [{ at: middle!, radius: Math.hypot(edge![0] - middle![0], edge![1] - middle![1]) }];
    }),
    ways: shown.flatMap(({ flat }) => {
      const by = away.get(flat.owner);
      if (!by || seen(by, view) < 0.3) return [];
      return [{ from: drawn.place(add(flat.centre, by)), to: drawn.place(flat.centre) }];
    }),
  };
}

/** Part of a way that lies in the paper. */
function seen(by: Vec3, view: View): number {
  return length(by) > 0 ? Math.sqrt(Math.max(0, 1 - dot(unit(by), AWAY[view]) ** 2)) : 0;
}

/** How squarely an axis looks at the onlooker, 0 to 1; less than this it is no round. */
const faces = (axis: Vec3, view: View): number => Math.abs(dot(unit(axis), AWAY[view]));
const FACES = 0.9;
const acrossIn = (view: View): Vec3 => (view === 'front' ? [0, 1, 0] : [1, 0, 0]);

/** A view tells most where what is drilled faces it, or what comes is seen to come; of what only lies there, where most of it is seen. */
function tells(
  view: View,
  pieces: readonly PlacedPiece[],
  away: ReadonlyMap<string, Vec3>,
  holes: readonly HoleMade[],
): number {
  if (holes.length > 0) return holes.reduce((sum, h) => sum + faces(h.axis, view), 0);
  const ways = [...away.values()];
  if (ways.length > 0) return ways.reduce((sum, by) => sum + seen(by, view), 0) / ways.length;
  const boxes = pieces.map((p) => boundingBox(p.flat));
  const side = (i: 0 | 1 | 2): number =>
    Math.max(...boxes.map((b) => b[1][i])) - Math.min(...boxes.map((b) => b[0][i]));
  const [a, b] = IN_PAPER[view];
  return side(a) * side(b);
}
