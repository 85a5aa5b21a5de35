/** Two holes of one piece that run into each other, or leave too little between them: two things want the same place. */
import { addScaled, dot, figure, length, say, scale, subtract, unit, type Finding, type Vec3 } from '../../0-base';
import type { Member, Part, PartHole } from '../../model';
import type { FrameCheck } from '../frameCheck';

export const holesMeet: FrameCheck = {
  id: 'holesMeet',
  look: ({ rig }) => {
    const names = new Map(rig.bodies.flatMap((b) => b.connections ?? []).map((c) => [c.id, c.name]));
    return rig.bodies.flatMap((body) => [
      ...body.members.flatMap((m) => worst(m, inBar(m))),
      ...body.parts.flatMap((p) => worst(p, inPlate(p, names))),
    ]);
  },
};

/** What is left of the piece between two of its holes, m; under zero they meet. */
interface Between {
  readonly left: number;
  readonly least: number;
  readonly of: readonly [string, string];
}
/** Between two holes: half of the smaller, as beside a hole in a bar. */
const LEAST = 0.5;
const between = (apart: number, a: Drilled, b: Drilled): Between => ({
  left: apart - (a.diameter + b.diameter) / 2,
  least: LEAST * Math.min(a.diameter, b.diameter),
  of: [a.name, b.name],
});
interface Drilled {
  readonly name: string;
  readonly diameter: number;
  /** Holes of one connection are meant to be where they are. */
  readonly by: string | undefined;
}

function pairs<T extends Drilled>(holes: readonly T[], apart: (a: T, b: T) => number | null): readonly Between[] {
  return holes.flatMap((a, i) =>
    holes.slice(i + 1).flatMap((b) => {
      const distance = a.by !== undefined && a.by === b.by ? null : apart(a, b);
      return distance === null ? [] : [between(distance, a, b)];
    }),
  );
}

/** Along the blank and across it; round a tube they cross in its middle, however they are turned. */
const inBar = ({ holes }: Member): readonly Between[] =>
  pairs(
    holes.map((h) => ({ ...h, by: h.by })),
    (a, b) => (a.turn === undefined ? Math.hypot(a.along - b.along, a.across - b.across) : Math.abs(a.along - b.along)),
  );

/** Of a plate's holes those that run the same way. A row it is bought with is as close as it is. */
function inPlate({ holes = [] }: Part, names: ReadonlyMap<string, string>): readonly Between[] {
  const row = holes.filter((h) => !h.by);
  const isOfRow = (h: PartHole): boolean => row.some((r) => slotsApart(r, h) < SAME);
  const own = holes.filter((h) => h.by && !isOfRow(h));
  const named = [...own, ...row].map((h) => ({ ...h, name: (h.by && names.get(h.by)) ?? ROW, by: h.by ?? ROW }));
  return pairs(named, (a, b) => {
    const turned = dot(unit(a.axis), unit(b.axis));
    if (Math.abs(turned) < ALONG) return null;
    const apart = slotsApart(a, b);
    // In one line, two that come from opposite faces end before they meet.
    return apart < SAME && turned < 0 ? null : apart;
  });
}
const ROW = 'row of holes';
const ALONG = 0.99;
const SAME = 0.0005;

/** Between the middle lines of two slots, or holes, across their axis. */
function slotsApart(a: PartHole, b: PartHole): number {
  const axis = unit(a.axis);
  const flat = (v: Vec3): Vec3 => addScaled(v, axis, -dot(v, axis));
  const ends = ({ at, slot }: PartHole): readonly [Vec3, Vec3] => {
    const half = scale(flat(slot ?? [0, 0, 0]), 0.5);
    return [subtract(flat(at), half), addScaled(flat(at), half, 1)];
  };
  return segmentsApart(ends(a), ends(b));
}

type Segment = readonly [Vec3, Vec3];
/** Least distance of two segments in one plane, m: none where they cross, else that of an end from the other. */
function segmentsApart(a: Segment, b: Segment): number {
  const ends = [pointApart(a[0], b), pointApart(a[1], b), pointApart(b[0], a), pointApart(b[1], a)];
  return crosses(a, b) ? 0 : Math.min(...ends);
}
function pointApart(p: Vec3, [from, to]: Segment): number {
  const run = subtract(to, from);
  const size = dot(run, run);
  const part = size === 0 ? 0 : Math.min(1, Math.max(0, dot(subtract(p, from), run) / size));
  return length(subtract(p, addScaled(from, run, part)));
}
/** Each has its ends on two sides of the other's line. */
function crosses(a: Segment, b: Segment): boolean {
  const sides = ([from, to]: Segment, p: Vec3, q: Vec3): boolean => {
    const run = subtract(to, from);
    const aside = (v: Vec3): Vec3 => addScaled(v, run, -dot(v, run) / Math.max(dot(run, run), Number.MIN_VALUE));
    return dot(aside(subtract(p, from)), aside(subtract(q, from))) < 0;
  };
  return sides(a, b[0], b[1]) && sides(b, a[0], a[1]);
}

/** The closest pair of a piece says which. */
function worst(
  { id, name }: { readonly id: string; readonly name: string },
  all: readonly Between[],
): readonly Finding[] {
  const near = all.filter((b) => b.left < b.least - 1e-9).sort((a, b) => a.left - a.least - (b.left - b.least));
  const [found] = near;
  if (!found) return [];
  const [one, other] = found.of;
  return [
    {
      code: 'holesMeet',
      severity: found.left <= 0 ? 'stop' : 'mend',
      about: id,
      figure: figure('length', Math.max(0, found.left), 1),
      limit: figure('length', found.least, 1),
      title:
        found.left <= 0
          ? say`The holes for the ${one} and the ${other} run into each other in the ${name}.`
          : say`Only ${figure('length', found.left, 1)} of the ${name} is left between the holes for the ${one} and the ${other}.`,
      why: say`Two screws cannot be in one place, and a thin web between them tears first: it needs ${figure('length', found.least, 1)}.`,
      toDo: say`Move one of them along.`,
      fixes: [],
    },
  ];
}
