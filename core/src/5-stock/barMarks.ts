/** The flat blank of a bent bar with every mark to scribe on it before it is bent, measured from one end. */
import { figure, materialOf, say, type Phrase, type Vec3 } from '../0-base';
import { bentStrip, finishedLength, mitresOf, springBack } from '../2-frame';
import type { Body, Hole, Member, Rig } from '../model';

export interface BarMark {
  readonly id: string;
  readonly name: string;
  /** From the bar's start, m; null when it can only be found on the bent bar. */
  readonly along: number;
  readonly kind: 'bendStart' | 'bendMiddle' | 'bendEnd' | 'hole' | 'finishedEnd';
  /** Drilled or cut only when the rig stands or hangs as it will be used. */
  readonly last: boolean;
  /** When it is drilled or cut: “on the flat bar”. */
  readonly when: string;
  readonly diameter: number | null;
  /** Cut in the hole, and by what; null where there is none. */
  readonly thread: Hole['thread'] | null;
  /** A pocket round it, and from which face; null where there is none. */
  readonly recess: Hole['recess'] | null;
  /** Of a hole, across the bar or round it; null for all else. */
  readonly place: Phrase | null;
  /** From the middle of the width towards the upper edge of the drawing, m. */
  readonly across: number;
  /** Of a hole in a flat bar, the edge it lies nearer to, and if to neither, the upper one of the drawing; null for all else. */
  readonly nearer: string | null;
}
export interface BarBend {
  readonly angle: number;
  readonly insideRadius: number;
  /** Radius of the round former (its own outside) and the angle to bend to before it opens again; null when the metal's figures give none. */
  readonly former: { readonly radius: number; readonly overbendAngle: number } | null;
}
export interface BarPlan {
  readonly member: string;
  readonly name: string;
  readonly stock: string;
  readonly width: number;
  /** The edge drawn at the top, where a hole lies nearer one than the other. */
  readonly topEdge: string | null;
  /** Length to cut, the extra left on the tail included, m. */
  readonly blank: number;
  readonly finished: number;
  readonly marks: readonly BarMark[];
  readonly bends: readonly BarBend[];
  /** Ends that are sawn off square by so much, rad; the length is that of its long side. */
  readonly mitres: readonly { readonly end: 'start' | 'far end'; readonly off: number }[];
}
/** An end this near square is square, rad. */
const SQUARE = Math.PI / 360;

/** One plan a member; a straight one has no bend marks. */
export function barPlans(rig: Rig): readonly BarPlan[] {
  return rig.bodies.flatMap((body) => {
    const nodes = new Map<string, Vec3>(body.nodes.map((n) => [n.id, n.at]));
    return body.members.map((member) => barPlan(member, nodes, body, rig));
  });
}

function barPlan(member: Member, nodes: ReadonlyMap<string, Vec3>, body: Body, rig: Rig): BarPlan {
  const strip = bentStrip(member, nodes);
  const finished = finishedLength(member, body);
  const { section } = member.stock;
  const material = materialOf(member.stock.material, rig.materials);
  const marks: Omit<BarMark, 'when'>[] = [];
  const bends: BarBend[] = [];
  (strip?.stretches ?? []).forEach((stretch, i) => {
    if (!stretch.bend || section.kind !== 'flat') return;
    const mark = (kind: BarMark['kind'], name: string, along: number): void => {
      marks.push({
        id: `${member.id}/${kind}-${i}`,
        name,
        along,
        kind,
        last: false,
        diameter: null,
        thread: null,
        recess: null,
        place: null,
        across: 0,
        nearer: null,
      });
    };
    mark('bendStart', 'bend begins', stretch.from);
    mark('bendMiddle', 'middle of the bend', (stretch.from + stretch.to) / 2);
    mark('bendEnd', 'bend ends', stretch.to);
    const former =
      material &&
      springBack({
        radius: stretch.bend.midRadius,
        angle: Math.abs(stretch.bend.angle),
        thickness: section.thickness,
        stiffness: material.stiffness,
        yield: material.yield,
      });
    bends.push({
      angle: Math.abs(stretch.bend.angle),
      insideRadius: stretch.bend.insideRadius,
      former:
        former?.kind === 'solved'
          ? { radius: former.formerRadius - section.thickness / 2, overbendAngle: former.overbendAngle }
          : null,
    });
  });
  for (const hole of member.holes)
    marks.push({
      id: hole.id,
      name: hole.name,
      along: hole.along,
      kind: 'hole',
      last: hole.afterBending,
      diameter: hole.diameter,
      thread: hole.thread ?? null,
      recess: hole.recess ?? null,
      place: placeAcross(hole, member),
      across: isRound(member) ? 0 : hole.across,
      nearer: isRound(member) ? null : edgeOf(member, Math.sign(hole.across) || 1),
    });
  if (member.leftLong > 0)
    marks.push({
      id: `${member.id}/end`,
      name: 'finished end',
      along: finished,
      kind: 'finishedEnd',
      last: true,
      diameter: null,
      thread: null,
      recess: null,
      place: null,
      across: 0,
      nearer: null,
    });
  return {
    member: member.id,
    name: member.name,
    stock: member.stock.name,
    width: section.kind === 'tube' ? section.outerDiameter : section.kind === 'rod' ? section.diameter : section.width,
    topEdge: marks.some((m) => Math.abs(m.across) >= IN_MIDDLE) ? edgeOf(member, 1) : null,
    blank: finished + member.leftLong,
    finished,
    marks: marks.sort((a, b) => a.along - b.along).map((m) => ({ ...m, when: whenOf(m, bends.length > 0, rig) })),
    bends,
    mitres: (mitresOf(body).get(member.id) ?? [])
      .filter((m) => m.lean > SQUARE)
      .map((m) => ({ end: m.end === 'from' ? 'start' : 'far end', off: m.lean })),
  };
}

/** Which edge of a bar lies that way, by the rig axis nearest to it. */
const EDGES = [
  ['front', 'rear'],
  ['left', 'right'],
  ['upper', 'lower'],
] as const;
/** Nearer the middle than this is in it, m. */
const IN_MIDDLE = 0.00005;
/** Holes this much alike go round as one, rad. */
const ALIKE = Math.PI / 360;

/** Where a hole lies across a flat bar, or how far round a tube from the line scribed along it. */
function placeAcross({ across, turn }: Hole, member: Member): Phrase {
  if (isRound(member)) {
    const { holes } = member;
    if (turn === undefined) return say`straight through the middle`;
    const first = holes.find((h) => h.turn !== undefined)?.turn ?? 0;
    const round = (turn - first + 2 * Math.PI) % Math.PI;
    return Math.min(round, Math.PI - round) < ALIKE
      ? say`on the scribed line, straight through`
      : say`${figure('angle', round, 0)} clockwise round from the scribed line, seen from that end, straight through`;
  }
  if (Math.abs(across) < IN_MIDDLE) return say`in the middle of the width`;
  return say`${figure('length', Math.abs(across), 1)} from the middle, towards its ${edgeOf(member, across)} edge`;
}

const isRound = ({ stock }: Member): boolean => stock.section.kind === 'tube' || stock.section.kind === 'rod';

/** The edge on the side of a distance across the bar, positive along its width. */
function edgeOf({ path }: Member, across: number): string {
  const width = path.kind === 'straight' ? path.widthDirection : ([0, 1, 0] as const);
  const axis = ([0, 1, 2] as const).reduce((best, k) => (Math.abs(width[k]) > Math.abs(width[best]) ? k : best), 0);
  return EDGES[axis]![across * width[axis]! > 0 ? 0 : 1];
}

/** What hangs finds its last marks by its own plumb line; anything else has them when it is together. */
const whenOf = ({ last }: Pick<BarMark, 'last'>, isBent: boolean, { pivots }: Rig): string =>
  last
    ? pivots.some((p) => p.kind === 'universal')
      ? 'last, on the hanging rig'
      : 'last, when all else is together'
    : isBent
      ? 'on the flat bar'
      : 'before it is fitted';
