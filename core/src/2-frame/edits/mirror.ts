/** Mirrored in the rig's middle plane, y = 0: what the twin of a thing is to it. */
import type { Quaternion, Vec3 } from '../../0-base';
import type { Member, Node, Part } from '../../model';

export const mirroredPoint = ([x, y, z]: Vec3): Vec3 => [x, -y || 0, z];
/** S R S with S = diag(1, -1, 1): a turn seen in the mirror. */
export const mirroredTurn = ([w, x, y, z]: Quaternion): Quaternion => [w, -x || 0, y, -z || 0];

/** Shapes are their own mirror images in their middle planes, but for meshes and arcs, which turn over with their part. */
export function mirroredPart(part: Part, id: string): Part {
  const { shape } = part;
  return {
    ...part,
    id,
    twin: part.id,
    at: mirroredPoint(part.at),
    ...(part.turn ? { turn: mirroredTurn(part.turn) } : {}),
    ...(part.massCentre ? { massCentre: mirroredPoint(part.massCentre) } : {}),
    ...(part.takes
      ? {
          takes: part.takes.map((t) => ({
            ...t,
            id: t.id.replace(part.id, id),
            at: mirroredPoint(t.at),
            up: mirroredPoint(t.up),
          })),
        }
      : {}),
    ...(part.holes
      ? {
          holes: part.holes.map((h) => ({
            ...h,
            at: mirroredPoint(h.at),
            axis: mirroredPoint(h.axis),
            ...(h.slot ? { slot: mirroredPoint(h.slot) } : {}),
          })),
        }
      : {}),
    ...(shape.kind === 'mesh'
      ? {
          shape: {
            ...shape,
            vertices: shape.vertices.map(mirroredPoint),
            triangles: shape.triangles.map(([a, b, c]) => [a, c, b] as const),
          },
        }
      : {}),
  };
}

export const mirroredNode = (node: Node, id: string): Node => ({ id, at: mirroredPoint(node.at), twin: node.id });

export function mirroredMember(member: Member, id: string, node: (id: string) => string): Member {
  const { path } = member;
  return {
    ...member,
    id,
    twin: member.id,
    from: node(member.from),
    to: node(member.to),
    path:
      path.kind === 'straight'
        ? { ...path, widthDirection: mirroredPoint(path.widthDirection) }
        : {
            ...path,
            along: mirroredPoint(path.along),
            across: mirroredPoint(path.across),
            segments: path.segments.map((s) => ('roll' in s ? { roll: -s.roll } : s)),
          },
  };
}
