/** The finished curve of a bent bar, seen along its width: laid on the table, the bar must lie between its lines. */
import { dot, figure, length, say, subtract, type Vec3 } from '../../../0-base';
import { bentStrip, placesOf, type Point2, type Stretch } from '../../../2-frame';
import { boxOf, WORDS, type Ink, type Pattern, type PatternMaker } from '../pattern';

/** Straight pieces of an arc on paper: each under a degree. */
const STEP = Math.PI / 180;
const SAME = 1e-6;

export const curve: PatternMaker = ({ assembly, bars }) =>
  assembly.rig.bodies.flatMap((body) =>
    body.members.flatMap((member) => {
      const strip = bentStrip(member, placesOf(body.nodes));
      const bar = bars.find((b) => b.member === member.id);
      if (!strip || !bar || !strip.stretches.some((s) => s.bend)) return [];
      return runsInOnePlane(strip.stretches).map((run, i, all): Pattern => ({
        id: `curve:${member.id}${all.length > 1 ? `:${i + 1}` : ''}`,
        about: member.id,
        title: say`Finished curve of the ${bar.name}${all.length > 1 ? `, ${i + 1} of ${all.length}` : ''}`,
        says: [
          say`Lay the bent bar on it on its edge: it lies between the two lines from end to end, and both its edges touch the table. Correct a bend before the next one is made.`,
          ...(all.length > 1
            ? [say`The bar turns about its own run between its curves: each is checked by itself.`]
            : []),
        ],
        ink: inkOf(run),
        holes: [],
      }));
    }),
  );

/** A bar that is rolled about its own run lies in another plane from there on. */
function runsInOnePlane(stretches: readonly Stretch[]): readonly (readonly Stretch[])[] {
  const runs: Stretch[][] = [];
  for (const stretch of stretches) {
    const last = runs.at(-1);
    if (last && length(subtract(last[0]!.start.width, stretch.start.width)) < SAME) last.push(stretch);
    else runs.push([stretch]);
  }
  return runs.filter((run) => run.some((s) => s.bend));
}

function inkOf(run: readonly Stretch[]): readonly Ink[] {
  const { at, along, across } = run[0]!.start;
  const flat = (p: Vec3): Point2 => {
    const from = subtract(p, at);
    return [dot(from, along), dot(from, across)];
  };
  const sides = [1, -1].map((side) => run.flatMap((s) => edgeOf(s, side, flat)));
  const outline: Ink = {
    kind: 'path',
    points: [...sides[0]!, ...[...sides[1]!].reverse()],
    closed: true,
    stroke: 'line',
  };
  const bends = run.flatMap((s) => {
    if (!s.bend) return [];
    const middle = flat(s.origin);
    return [s.start, s.end].map((f): Ink => ({
      kind: 'path',
      points: [towards(middle, flat(f.at), -thick(s)), towards(middle, flat(f.at), thick(s))],
      closed: false,
      stroke: 'bend',
    }));
  });
  const words = run.flatMap((s): readonly Ink[] =>
    s.bend
      ? [
          {
            kind: 'words',
            at: towards(flat(s.origin), flat(middleOf(s)), -3 * thick(s) - 2 * WORDS.usual),
            says: say`${figure('angle', Math.abs(s.bend.angle), 1)}, inside radius ${figure('length', s.bend.insideRadius, 1)}`,
            height: WORDS.usual,
          },
        ]
      : [],
  );
  const { min } = boxOf([outline]);
  return [
    outline,
    ...bends,
    ...words,
    { kind: 'words', at: [Math.max(min[0] + 0.012, 0.012), -2.2 * WORDS.usual], says: say`start`, height: WORDS.usual },
  ];
}

const thick = ({ shape }: Stretch): number =>
  shape.kind === 'box' ? shape.size[1] : shape.kind === 'arcBar' ? shape.thickness : 0;

/** A point of this further from the middle than `from` is by `more`, on the same ray. */
function towards(middle: Point2, from: Point2, more: number): Point2 {
  const [u, v] = [from[0] - middle[0], from[1] - middle[1]];
  const long = Math.hypot(u, v) || 1;
  return [from[0] + (u / long) * more, from[1] + (v / long) * more];
}

function middleOf(s: Stretch): Vec3 {
  const [a, b] = [s.start.at, s.end.at];
  return [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2, (a[2] + b[2]) / 2];
}

/** One face of a stretch, from its start to its end. */
function edgeOf(s: Stretch, side: number, flat: (p: Vec3) => Point2): readonly Point2[] {
  const half = (side * thick(s)) / 2;
  const off = ({ at, across }: Stretch['start']): Vec3 => [
    at[0] + half * across[0],
    at[1] + half * across[1],
    at[2] + half * across[2],
  ];
  const [from, to] = [flat(off(s.start)), flat(off(s.end))];
  if (!s.bend) return [from, to];
  const middle = flat(s.origin);
  const radius = Math.hypot(from[0] - middle[0], from[1] - middle[1]);
  const begin = Math.atan2(from[1] - middle[1], from[0] - middle[0]);
  const steps = Math.max(2, Math.ceil(Math.abs(s.bend.angle) / STEP));
  return Array.from({ length: steps + 1 }, (_, i): Point2 => {
    const turn = begin + (s.bend!.angle * i) / steps;
    return [middle[0] + radius * Math.cos(turn), middle[1] + radius * Math.sin(turn)];
  });
}
