/** What stands at a hole on paper: its round, a cross to punch at, and its number with its drill where there is room for them. */
import { figure, say, type Phrase } from '../../0-base';
import type { Point2 } from '../../2-frame';
import { wide, WORDS, type Box, type Ink, type NumberedHole, type Stroke } from './pattern';

/** How far the cross reaches past the round, m. */
const CROSS = 0.002;

export interface HoleToMark {
  readonly id: string;
  readonly at: Point2;
  readonly diameter: number;
  readonly says: Phrase;
  /** Drilled on the finished rig. */
  readonly last?: boolean;
  /** What is cut, where it is not the round itself: seen on a wrap it is not one. */
  readonly edge?: readonly Point2[];
  /** A pocket round it, m across; `behind`: from the far side. */
  readonly recess?: { readonly diameter: number; readonly behind: boolean };
  /** Cut as a slot this long, along this way. */
  readonly slot?: Point2;
}

export interface Marked {
  readonly ink: readonly Ink[];
  readonly holes: readonly NumberedHole[];
}

/** Numbered from the left. Holes of one id share a number: they are one hole seen twice. */
export function marked(holes: readonly HoleToMark[], within: Box): Marked {
  const numbers = new Map<string, number>();
  const inOrder = [...holes].sort((a, b) => a.at[0] - b.at[0] || a.at[1] - b.at[1]);
  for (const { id } of inOrder) if (!numbers.has(id)) numbers.set(id, numbers.size + 1);
  const made = inOrder.map((h) => ({ ...h, number: numbers.get(h.id)! }));
  const taken: Box[] = made.map((h) => around(h.at, reachOf(h)));
  const words = made.map((h) => {
    const says = say`${String(h.number)}: ${figure('drill', h.diameter)}`;
    const size = wide({ says, height: WORDS.small });
    const at = roomFor(h, size, within, taken);
    taken.push(boxAt(at, size));
    return { kind: 'words' as const, at, says, height: WORDS.small };
  });
  return {
    ink: [...made.flatMap(inkOf), ...words],
    holes: made.map(({ number, id, at, diameter, says }) => ({ number, id, at, diameter, says })),
  };
}

function inkOf({ at, diameter, last, edge, recess, slot }: HoleToMark): readonly Ink[] {
  const stroke: Stroke = last ? 'last' : 'cut';
  const [x, y] = at;
  const reach = diameter / 2 + CROSS;
  return [
    ...(slot
      ? [{ kind: 'path' as const, points: slotRound(at, slot, diameter / 2), closed: true, stroke }]
      : edge
        ? [{ kind: 'path' as const, points: edge, closed: true, stroke }]
        : [{ kind: 'circle' as const, at, radius: diameter / 2, stroke }]),
    ...(recess
      ? [
          {
            kind: 'circle' as const,
            at,
            radius: recess.diameter / 2,
            stroke: recess.behind ? ('behind' as const) : ('cut' as const),
          },
        ]
      : []),
    ...(slot ? [-0.5, 0.5].map((part): Point2 => [x + part * slot[0], y + part * slot[1]]) : [at]).flatMap((p) => [
      cross([p[0] - reach, p[1]], [p[0] + reach, p[1]]),
      cross([p[0], p[1] - reach], [p[0], p[1] + reach]),
    ]),
  ];
}
const cross = (a: Point2, b: Point2): Ink => ({ kind: 'path', points: [a, b], closed: false, stroke: 'centre' });

const ROUND = 16;
/** Two half rounds and what joins them. */
function slotRound([x, y]: Point2, [u, v]: Point2, radius: number): readonly Point2[] {
  const along = Math.atan2(v, u);
  return [1, -1].flatMap((end) =>
    Array.from({ length: ROUND + 1 }, (_, i): Point2 => {
      const angle = along + (end === 1 ? -Math.PI / 2 : Math.PI / 2) + (Math.PI * i) / ROUND;
      return [x + (end * u) / 2 + radius * Math.cos(angle), y + (end * v) / 2 + radius * Math.sin(angle)];
    }),
  );
}

const reachOf = (h: HoleToMark): number =>
  Math.max(h.diameter, h.recess?.diameter ?? 0) / 2 + CROSS + Math.hypot(...(h.slot ?? [0, 0])) / 2;

const around = ([x, y]: Point2, r: number): Box => ({ min: [x - r, y - r], max: [x + r, y + r] });
const boxAt = ([x, y]: Point2, [w, h]: Point2): Box => ({ min: [x - w / 2, y - h / 2], max: [x + w / 2, y + h / 2] });
const meet = (a: Box, b: Box): boolean =>
  a.min[0] < b.max[0] && b.min[0] < a.max[0] && a.min[1] < b.max[1] && b.min[1] < a.max[1];
const inside = (a: Box, b: Box): boolean =>
  a.min[0] >= b.min[0] && a.max[0] <= b.max[0] && a.min[1] >= b.min[1] && a.max[1] <= b.max[1];

/** Between a hole's cross and its words, m. */
const BESIDE = 0.0006;

/** The first place beside a hole where its words meet nothing: on the piece if it can be, else off it; to the right if nowhere. */
function roomFor(h: HoleToMark, size: Point2, within: Box, taken: readonly Box[]): Point2 {
  const [x, y] = h.at;
  const r = reachOf(h);
  const [dx, dy] = [r + BESIDE + size[0] / 2, r + BESIDE + size[1] / 2];
  const near: readonly Point2[] = [
    [x + dx, y],
    [x - dx, y],
    [x, y + dy],
    [x, y - dy],
    [x + dx, y + dy],
    [x - dx, y + dy],
    [x + dx, y - dy],
    [x - dx, y - dy],
  ];
  const off: readonly Point2[] = [1, 2, 3, 4].flatMap((row): Point2[] => [
    [x, within.max[1] + row * size[1]],
    [x, within.min[1] - row * size[1]],
  ]);
  const free = (p: Point2): boolean => !taken.some((t) => meet(t, boxAt(p, size)));
  return near.find((p) => inside(boxAt(p, size), within) && free(p)) ?? off.find(free) ?? near[0]!;
}
