/** Axes that turn freely: what swings round each, and whether it clears the frame that holds the bearing, all the way round. */
import { cross, dot, figure, say, subtract, unit, type Finding, type Vec3 } from '../../0-base';
import { bodiesBeyond, pivotAt, valuesInOrder, type PlacedPiece } from '../assemble';
import type { FrameCheck } from '../frameCheck';
import { pointsOf } from '../clearances/near';

/** Play, bending and a bump close this much, m. */
const LEAST = 0.004;
/** What lies within this of a place along the axis may meet there, m. */
const ALONG = 0.0015;
/** What reaches the axis itself is its bearing, or what holds that. */
const BEARING = 0.025;
/** A corner is this much to the side of its middle, rad. */
const SIDE = 0.1;

export const sweptClear: FrameCheck = {
  id: 'sweptClear',
  look: ({ rig, pieces, values }) => {
    const inOrder = valuesInOrder(rig, values);
    return rig.pivots
      .filter((p) => p.kind === 'hinge' && !p.clamped && p.axis && !rig.pivots.some((q) => q.kind === 'swivel'))
      .flatMap((pivot): readonly Finding[] => {
        const beyond = bodiesBeyond(rig, pivot);
        const at = pivotAt(rig, pivot, inOrder);
        const axis = unit(pivot.axis!);
        const across = unit(Math.abs(axis[0]) < 0.9 ? cross(axis, [1, 0, 0]) : cross(axis, [0, 1, 0]));
        const third = cross(axis, across);
        const round = (piece: PlacedPiece): readonly Polar[] =>
          pointsOf(piece.flat).map((p) => place(p, piece.flat.name, at, axis, across, third));
        const swings = pieces.filter((p) => beyond.has(p.body)).flatMap(round);
        const meets = pieces
          .filter((p) => p.body === pivot.heldBy)
          .flatMap((piece) => {
            const points = round(piece);
            const [least, most] = [
              Math.min(...points.map((p) => p.along)) - ALONG,
              Math.max(...points.map((p) => p.along)) + ALONG,
            ];
            const nearest = points.reduce((a, b) => (b.out < a.out ? b : a));
            const inside = nearest.out;
            if (inside < BEARING) return [];
            let far: Polar = { name: '', out: 0, along: 0, angle: 0 };
            for (const s of swings)
              if (s.out > far.out && s.along > least && s.along < most && gets(s.angle, nearest.angle, pivot.stops))
                far = s;
            return far.out > inside - LEAST ? [{ piece, inside, far }] : [];
          });
        const worst = meets.sort((a, b) => b.far.out - b.inside - (a.far.out - a.inside))[0];
        if (!worst) return [];
        const { piece, inside, far } = worst;
        return [
          {
            code: 'sweptClear',
            severity: far.out > inside ? ('mend' as const) : ('note' as const),
            about: piece.flat.owner,
            place: pivot.id,
            figure: figure('length', Math.max(0, inside - far.out)),
            limit: figure('length', LEAST),
            title:
              far.out > inside
                ? say`Turned about the ${pivot.name}, ${far.name} meets the ${piece.flat.name}.`
                : say`Turned about the ${pivot.name}, ${far.name} clears the ${piece.flat.name} by ${figure('length', inside - far.out)}.`,
            why: say`It reaches ${figure('length', far.out)} from the axis; the ${piece.flat.name} stands ${figure('length', inside)} from it. Judged by its corners, all the way round.`,
            toDo: say`Set that arm ${figure('length', far.out - inside + LEAST)} further out, or stop the axis before it gets there.`,
            fixes: [],
          },
        ];
      });
  },
};

interface Polar {
  readonly name: string;
  readonly along: number;
  readonly out: number;
  /** Round the axis, right-handed, rad; from where does not matter. */
  readonly angle: number;
}

function place(p: Vec3, name: string, at: Vec3, axis: Vec3, across: Vec3, third: Vec3): Polar {
  const d = subtract(p, at);
  const [a, b] = [dot(d, across), dot(d, third)];
  return { name, along: dot(d, axis), out: Math.hypot(a, b), angle: Math.atan2(b, a) };
}

/** Whether what stands at one angle is turned to another between the stops; always where there are none. */
function gets(from: number, to: number, stops: readonly [number, number] | undefined): boolean {
  if (!stops || stops[1] - stops[0] >= 2 * Math.PI) return true;
  const turn = to - from;
  return [-2, -1, 0, 1, 2].some(
    (n) => turn + 2 * Math.PI * n >= stops[0] - SIDE && turn + 2 * Math.PI * n <= stops[1] + SIDE,
  );
}
