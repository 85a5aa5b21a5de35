/** Two channels at the angle of a corner, on one base with room for its fitting: what is glued or soldered in them comes out at that angle, in one plane. */
import { add, cross, dot, figure, fromColumns, length, say, scale, subtract, unit, type Vec3 } from '../../0-base';
import { boundingBox } from '../../1-load';
import type { Body } from '../../model';
import type { PatternInput } from '../patterns/pattern';
import { ROOM, sizeOf, upright, WALL, type Block, type Bore, type Jig, type JigMaker } from './jig';

const BASE = 0.004;
/** So much of each pipe is held, m. */
const HELD = 0.06;
const ROUND_HUB = 0.003;
/** Pipes that run on in one line, or back on each other, need none: cosine. */
const LINE = Math.cos((20 * Math.PI) / 180);

export const corner: JigMaker = (input) => {
  const found = new Map<string, Jig>();
  for (const body of input.assembly.rig.bodies)
    for (const jig of cornersOf(body, input)) if (!found.has(jig.id)) found.set(jig.id, jig);
  return [...found.values()];
};

function cornersOf(body: Body, { shapes }: PatternInput): readonly Jig[] {
  const nodes = new Map<string, Vec3>(body.nodes.map((n) => [n.id, n.at]));
  return body.joints
    .filter((j) => j.hub && !j.reversible)
    .flatMap((joint): readonly Jig[] => {
      const centre = nodes.get(joint.node)!;
      const pipes = body.members.flatMap((m) => {
        if (!joint.joins.includes(m.id) || m.path.kind !== 'straight' || m.stock.section.kind !== 'tube') return [];
        if (m.from !== joint.node && m.to !== joint.node) return [];
        const far = nodes.get(m.from === joint.node ? m.to : m.from)!;
        return length(subtract(far, centre)) > 0
          ? [{ name: m.name, way: unit(subtract(far, centre)), across: m.stock.section.outerDiameter }]
          : [];
      });
      const boxes = shapes.get(joint.id)?.flats.map(boundingBox) ?? [];
      return pipes.flatMap((a, i) =>
        pipes.slice(i + 1).flatMap((b): readonly Jig[] => {
          const cos = dot(a.way, b.way);
          if (Math.abs(cos) > LINE) return [];
          const hub = { reach: reachOf(boxes, centre), thick: reachOf(boxes, centre, unit(cross(a.way, b.way))) };
          return [cornerOf(a, b, Math.acos(cos), hub, joint.id, joint.hold === 'soldered')];
        }),
      );
    });
}

/** How far a fitting reaches from its middle, m: this way, or at most. */
const reachOf = (boxes: readonly (readonly [Vec3, Vec3])[], centre: Vec3, way?: Vec3): number =>
  boxes.reduce(
    (most, box) =>
      box.reduce((far, corner) => {
        const off = subtract(corner, centre);
        return Math.max(far, ...(way ? [Math.abs(dot(off, way))] : off.map(Math.abs)));
      }, most),
    0,
  );

interface Pipe {
  readonly name: string;
  readonly across: number;
}
function cornerOf(
  a: Pipe,
  b: Pipe,
  angle: number,
  hub: { readonly reach: number; readonly thick: number },
  about: string,
  isHot: boolean,
): Jig {
  const free = hub.reach + ROUND_HUB;
  // The fitting is thicker than its pipes: it lies free over the base.
  const high = BASE + Math.max(hub.thick, a.across / 2, b.across / 2) + WALL;
  const arm = (pipe: Pipe, turn: number): { readonly block: Block; readonly channel: Bore } => {
    const way: Vec3 = [Math.cos(turn), Math.sin(turn), 0];
    const long = free + HELD;
    return {
      block: {
        shape: { kind: 'box', size: [long, pipe.across + 2 * WALL, high] },
        at: add(scale(way, long / 2), [0, 0, high / 2]),
        rotation: fromColumns(way, [-way[1], way[0], 0], [0, 0, 1]),
      },
      channel: { at: add(scale(way, long / 2), [0, 0, high]), way, diameter: pipe.across + 2 * ROOM, depth: long },
    };
  };
  const [one, other] = [arm(a, 0), arm(b, angle)];
  const disc: Block = {
    ...upright([0, 0, BASE / 2], [0, 0, 0]),
    shape: { kind: 'tube', outerRadius: free + WALL, innerRadius: 0, length: BASE },
  };
  const key = [angle, a.across, b.across].map((x) => Math.round(x * 1e4)).join('-');
  const blocks = [one.block, other.block, disc];
  return {
    id: `corner:${key}${isHot ? ':hot' : ''}`,
    about,
    title: [
      ...say`Corner of ${figure('angle', angle, 0)} to square up pipes of ${figure('length', a.across, 1)}`,
      ...(a.across === b.across ? [] : say` and ${figure('length', b.across, 1)}`),
    ],
    says: [
      isHot
        ? say`Lay the fitting over its hollow and both pipes in their channels, dry, and mark how they meet: for trying and marking only, heat melts it.`
        : say`Lay the fitting over its hollow and both pipes in their channels, weigh them down, and let the joint set: the angle comes of the jig and not of the eye. A strip of tape in the channels keeps glue off it.`,
      say`Or screw four blocks of wood down beside the lines of the frame’s own paper.`,
    ],
    blocks,
    cuts: [
      one.channel,
      other.channel,
      { at: [0, 0, BASE + high / 2], way: [0, 0, 1], diameter: 2 * free, depth: high / 2 },
    ],
    guides: [],
    size: sizeOf(blocks),
  };
}
