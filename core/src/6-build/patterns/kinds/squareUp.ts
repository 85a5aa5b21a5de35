/** A frame of pipes laid flat at full size: glued or soldered on this sheet, each pipe between its lines, it comes out square. */
import { dot, say, subtract, unit, type Vec3 } from '../../../0-base';
import { outline, project, type Point2, type View } from '../../../2-frame';
import type { Body } from '../../../model';
import { boxOf, WORDS, type Ink, type Pattern, type PatternMaker } from '../pattern';

/** Fewer do not make a frame. */
const LEAST = 3;
/** As flat as this lies on one table, m. */
const FLAT = 0.0005;
const SEEN: Readonly<Record<View, string>> = {
  side: 'seen from the right',
  front: 'seen from the front',
  top: 'seen from above',
};
const AXES: readonly (readonly [View, 0 | 1 | 2])[] = [
  ['side', 1],
  ['front', 0],
  ['top', 2],
];

export const squareUp: PatternMaker = ({ assembly, shapes }) =>
  assembly.rig.bodies.flatMap((body) =>
    AXES.flatMap(([view, k]) =>
      oneOfEachPair(body, layersOf(body, k)).flatMap((members, i): readonly Pattern[] => {
        const pieces = [
          ...members,
          ...body.joints.filter((j) => j.hub && members.filter((m) => j.joins.includes(m)).length > 1).map((j) => j.id),
        ];
        const flats = pieces.flatMap((id) => shapes.get(id)?.flats ?? []);
        const rings = flats.map((f): Ink => ({ kind: 'path', points: outline(f, view), closed: true, stroke: 'line' }));
        if (rings.length === 0) return [];
        const { min } = boxOf(rings);
        const shift = (p: Point2): Point2 => [p[0] - min[0], p[1] - min[1]];
        const names = body.members
          .filter((m) => members.includes(m.id))
          .map((m): Ink => {
            const flat = shapes.get(m.id)!.flats[0]!;
            return { kind: 'words', at: shift(project(flat.at, view)), says: say`${m.name}`, height: WORDS.usual };
          });
        const middles = body.members
          .filter((m) => members.includes(m.id))
          .map((m): Ink => ({
            kind: 'path',
            points: endsOf(body, m.id).map((p) => shift(project(p, view))),
            closed: false,
            stroke: 'bend',
          }));
        return [
          {
            id: `square:${body.id}:${view}:${i + 1}`,
            about: members[0]!,
            title: say`${String(members.length)} pipes laid flat to square them up, ${SEEN[view]}`,
            says: [
              say`Tape it to a flat board. Lay the pipes between their lines and the fittings on theirs while the joint sets; blocks screwed down beside the lines hold them. The lines are those of the finished frame, every pipe home in its socket.`,
              ...(twins(body, members)
                ? [say`The other side is its mirror image: it is laid on the same sheet, turned over.`]
                : []),
            ],
            ink: [
              ...rings.map((r): Ink => (r.kind === 'path' ? { ...r, points: r.points.map(shift) } : r)),
              ...middles,
              ...names,
            ],
            holes: [],
          },
        ];
      }),
    ),
  );

/** Pipes that lie in one plane square to this axis and meet in fittings for good, plane by plane. */
function layersOf(body: Body, k: 0 | 1 | 2): readonly (readonly string[])[] {
  const glued = new Set(body.joints.filter((j) => j.hub && !j.reversible).map((j) => j.node));
  const layers: { readonly at: number; readonly members: string[] }[] = [];
  for (const m of body.members) {
    if (m.path.kind !== 'straight' || m.stock.section.kind !== 'tube' || (!glued.has(m.from) && !glued.has(m.to)))
      continue;
    const [a, b] = endsOf(body, m.id);
    if (Math.abs(a[k] - b[k]) > FLAT) continue;
    const layer = layers.find((l) => Math.abs(l.at - a[k]) < FLAT);
    if (layer) layer.members.push(m.id);
    else layers.push({ at: a[k], members: [m.id] });
  }
  return layers.flatMap(({ members }) => (members.length >= LEAST && turns(body, members) ? [members] : []));
}

/** A side and its mirror image are laid on one sheet, one after the other. */
function oneOfEachPair(body: Body, layers: readonly (readonly string[])[]): readonly (readonly string[])[] {
  const twinOf = new Map(body.members.map((m) => [m.id, m.twin]));
  return layers.filter(
    (layer, i) => !layers.slice(0, i).some((before) => layer.every((m) => before.includes(twinOf.get(m) ?? ''))),
  );
}

/** Pipes that all run one way lie on a line: nothing to square up. */
function turns(body: Body, members: readonly string[]): boolean {
  const runs = members.map((id) => {
    const [a, b] = endsOf(body, id);
    return unit(subtract(b, a));
  });
  return runs.some((r) => Math.abs(dot(r, runs[0]!)) < 0.99);
}

function endsOf({ nodes, members }: Body, id: string): readonly [Vec3, Vec3] {
  const member = members.find((m) => m.id === id)!;
  const at = (n: string): Vec3 => nodes.find((x) => x.id === n)!.at;
  return [at(member.from), at(member.to)];
}

const twins = (body: Body, layer: readonly string[]): boolean =>
  body.members.filter((m) => layer.includes(m.id)).every((m) => m.twin !== undefined && !layer.includes(m.twin));
