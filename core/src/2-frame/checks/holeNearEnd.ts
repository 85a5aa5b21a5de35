/** A hole too near the end of its bar, or the edge of its plate. */
import {
  add,
  figure,
  IDENTITY,
  rotationOf,
  say,
  scale,
  subtract,
  transform,
  transpose,
  type Finding,
  type Vec3,
} from '../../0-base';
import type { Body, Part, Rig } from '../../model';
import { partBody } from '../assemble';
import { crossings } from '../connections/crossing';
import { piecesHeld } from '../connections/kinds';
import { finishedLength } from '../members/finishedLength';
import type { FrameCheck } from '../frameCheck';

/** From a hole's middle to the end, in hole diameters: less and the end tears out. */
const LEAST = 1.5;
/** Faces of one piece nearer than this are one, m. */
const MEETS = 0.00001;
const UNITS: readonly [Vec3, Vec3, Vec3] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

export const holeNearEnd: FrameCheck = {
  id: 'holeNearEnd',
  look: ({ rig }) =>
    rig.bodies.flatMap((body) => [
      ...body.members.flatMap((member) => {
        // What is left long is sawn off last: then this is the end.
        const length = finishedLength(member, body);
        return member.holes.flatMap((hole) =>
          found(member.id, member.name, hole.name, Math.min(hole.along, length - hole.along), hole.diameter, hole.id),
        );
      }),
      ...body.parts.flatMap((part) => plateHoles(part, onSeam(part, rig), restOf(part, body, rig))),
    ]),
};

/** Connections whose hole lies on the seam with its other half: what is missing there is in the other. */
function onSeam({ twin }: Part, { bodies }: Rig): ReadonlySet<string> {
  const all = bodies.flatMap((b) => b.connections ?? []);
  const seams = all.filter((c) => c.kind === 'bolted' && twin !== undefined && piecesHeld(c).includes(twin));
  return new Set(seams.map((c) => c.id));
}

/** How far what else is of one piece goes on from a place in a direction; 0 where it does not. */
type GoesOn = (from: Vec3, way: Vec3) => number;

/** A lug or a web beyond a box's edge is more of the same piece. */
function restOf(part: Part, body: Body, rig: Rig): GoesOn {
  const piece = part.of ?? part.id;
  const rest = body.parts.filter((p) => p !== part && (p.of ?? p.id) === piece).flatMap((p) => partBody(p, rig) ?? []);
  return (from, way) => {
    if (rest.length === 0) return 0;
    const on = crossings({ point: from, way }, rest, 0).find(([start, end]) => start <= MEETS && end > MEETS);
    return on ? on[1] : 0;
  };
}

function plateHoles(part: Part, seams: ReadonlySet<string>, goesOn: GoesOn): readonly Finding[] {
  const { shape } = part;
  const holes = (part.holes ?? []).filter((h) => !h.by || !seams.has(h.by));
  if (shape.kind !== 'box' || holes.length === 0) return [];
  const turn = part.turn ? rotationOf(part.turn) : IDENTITY;
  const back = transpose(turn);
  const nearest = holes
    .map((hole) => {
      const own = transform(back, subtract(hole.at, part.at));
      const axis = transform(back, hole.axis);
      const slot = hole.slot ? transform(back, hole.slot) : null;
      const edges = ([0, 1, 2] as const)
        .filter((i) => Math.abs(axis[i]) < 0.5)
        .flatMap((i) =>
          [-1, 1].map((sense) => {
            const half = shape.size[i] / 2;
            const edge = half - sense * own[i] - (slot ? Math.abs(slot[i]) / 2 : 0);
            // Half way through the box, just at its edge.
            const at = own.map((x, k) =>
              k === i ? sense * half : Math.abs(axis[k]!) < 0.5 ? x : 0,
            ) as unknown as Vec3;
            const way = transform(turn, UNITS[i]);
            return edge + goesOn(add(part.at, transform(turn, at)), scale(way, sense));
          }),
        );
      return { hole, edge: Math.min(...edges) };
    })
    .reduce((a, b) => (b.edge - LEAST * b.hole.diameter < a.edge - LEAST * a.hole.diameter ? b : a));
  // Plates tear less readily than bar ends: one diameter from the edge will do.
  return found(part.id, part.name, 'edge', nearest.edge + 0.5 * nearest.hole.diameter, nearest.hole.diameter);
}

function found(
  about: string,
  name: string,
  hole: string,
  edge: number,
  diameter: number,
  place?: string,
): readonly Finding[] {
  const least = LEAST * diameter;
  if (edge >= least - 1e-9) return [];
  return [
    {
      code: 'holeNearEnd',
      severity: edge <= diameter / 2 ? 'stop' : 'mend',
      about,
      ...(place === undefined ? {} : { place }),
      figure: figure('length', Math.max(0, edge)),
      limit: figure('length', least),
      title: say`The ${hole} hole is ${figure('length', Math.max(0, edge))} from the edge of the ${name}.`,
      why: say`It needs ${figure('length', least)}, one and a half times its ${figure('length', diameter)}, or it tears out.`,
      toDo: say`Move it in, or leave the part longer.`,
      fixes: [],
    },
  ];
}
