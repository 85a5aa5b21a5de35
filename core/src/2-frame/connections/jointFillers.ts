/** Cement and solder of the fittings of a frame: each pipe's end takes a coat round as much of it as goes in. */
import { add, addScaled, scale, unit, type Vec3 } from '../../0-base';
import type { Body, Glue, Joint, Part } from '../../model';
import { memberEnds, placesOf } from '../members/memberEnds';
import { fillerPart } from './fillerPart';

export const jointFillerId = (joint: string): string => `${joint}/filler`;

/** What holds pipes in a fitting for good; null where something else does. */
function glueOf({ hold, hub }: Joint): Glue | null {
  if (!hub) return null;
  if (hold === 'soldered') return 'solder';
  return hold === 'glued'
    ? hub.material === 'cpvc'
      ? 'cpvcCement'
      : hub.material === 'pvc'
        ? 'pvcCement'
        : 'epoxy'
    : null;
}

export function jointFillers(body: Body): readonly Part[] {
  const nodes = placesOf(body.nodes);
  return body.joints.flatMap((joint): Part[] => {
    const glue = glueOf(joint);
    const node = nodes.get(joint.node);
    if (!glue || !node) return [];
    const ends = body.members.flatMap((m) => {
      const { from, to } = memberEnds(m, nodes, body.joints);
      const { section } = m.stock;
      const round = section.kind === 'tube' ? section.outerDiameter : section.kind === 'rod' ? section.diameter : 0;
      return [from, to].flatMap((end, i) => {
        if (end.joint !== joint || end.depth === null) return [];
        const far = nodes.get(i === 0 ? m.to : m.from)!;
        const area = Math.PI * round * Math.max(0, end.depth - end.shortBy);
        return [{ area, at: inSocket(node, far, end.takeOff + end.shortBy, end.depth) }];
      });
    });
    const area = ends.reduce((s, e) => s + e.area, 0);
    if (area === 0) return [];
    const at = scale(
      ends.reduce<Vec3>((s, e) => addScaled(s, e.at, e.area), [0, 0, 0]),
      1 / area,
    );
    return [fillerPart({ id: jointFillerId(joint.id), by: joint.id, goesWith: joint.id, glue, area, at })];
  });
}

/** Half way along what of the pipe is in. */
const inSocket = (node: Vec3, far: Vec3, takeOff: number, depth: number): Vec3 =>
  add(node, scale(unit([far[0] - node[0], far[1] - node[1], far[2] - node[2]]), takeOff + depth / 2));
