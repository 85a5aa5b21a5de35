/** A hole too near the end of its bar, or the edge of its plate. */
import { dot, figure, rotationOf, say, subtract, transform, transpose, IDENTITY, type Finding } from '../../0-base';
import type { Part, Rig } from '../../model';
import { piecesHeld } from '../connections/kinds';
import { finishedLength } from '../members/finishedLength';
import type { FrameCheck } from '../frameCheck';

/** From a hole's middle to the end, in hole diameters: less and the end tears out. */
const LEAST = 1.5;

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
      ...body.parts.flatMap((part) => plateHoles(part, onSeam(part, rig))),
    ]),
};

/** Connections whose hole lies on the seam with its other half: what is missing there is in the other. */
function onSeam({ twin }: Part, { bodies }: Rig): ReadonlySet<string> {
  const all = bodies.flatMap((b) => b.connections ?? []);
  const seams = all.filter((c) => c.kind === 'bolted' && twin !== undefined && piecesHeld(c).includes(twin));
  return new Set(seams.map((c) => c.id));
}

function plateHoles(part: Part, seams: ReadonlySet<string>): readonly Finding[] {
  const { shape } = part;
  const holes = (part.holes ?? []).filter((h) => !h.by || !seams.has(h.by));
  if (shape.kind !== 'box' || holes.length === 0) return [];
  const back = transpose(part.turn ? rotationOf(part.turn) : IDENTITY);
  const nearest = holes
    .map((hole) => {
      const [at, axis, slot] = [
        transform(back, subtract(hole.at, part.at)),
        transform(back, hole.axis),
        hole.slot ? transform(back, hole.slot) : null,
      ];
      const edges = [0, 1, 2]
        .filter((i) => Math.abs(axis[i]!) < 0.5)
        .map(
          (i) =>
            shape.size[i]! / 2 -
            Math.abs(at[i]!) -
            (slot ? Math.abs(dot(slot, [0, 1, 2].map((k) => (k === i ? 1 : 0)) as unknown as typeof at)) / 2 : 0),
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
