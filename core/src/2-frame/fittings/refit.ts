/** The fitting at a node found again, after a pipe there was added, moved, changed or taken away. */
import { subtract } from '../../0-base';
import type { Body, Joint, Member } from '../../model';
import { FITTING_NAMES, fittingFor, type FittingOutcome } from './fittingFor';
import { placesOf } from '../members/memberEnds';
import { PIPE_SYSTEMS, type PipeSize, type PipeSystem } from '../parts/pipes';

/** The pipe a member is cut from; null when it is of no system that has fittings. */
export function pipeOfMember(member: Member): { readonly system: PipeSystem; readonly size: PipeSize } | null {
  for (const system of PIPE_SYSTEMS) {
    const size = system.sizes.find((s) => s.stock.name === member.stock.name);
    if (size) return { system, size };
  }
  return null;
}

/** What could join the pipes that meet at a joint's node; null where they are not pipes of one size. */
export function fittingAt(
  joint: Joint,
  body: Pick<Body, 'nodes' | 'members'>,
): { readonly outcome: FittingOutcome; readonly members: readonly Member[] } | null {
  const places = placesOf(body.nodes);
  const members = body.members.filter(
    (m) => joint.joins.includes(m.id) && m.path.kind === 'straight' && (m.from === joint.node || m.to === joint.node),
  );
  const pipes = members.map(pipeOfMember);
  const [first] = pipes;
  if (!first || pipes.some((p) => p?.size !== first.size)) return null;
  const directions = members.map((m) =>
    subtract(places.get(m.from === joint.node ? m.to : m.from)!, places.get(joint.node)!),
  );
  if (directions.some((d) => !(Math.hypot(...d) > 0))) return null;
  return { outcome: fittingFor(first.system, first.size, directions), members };
}

/** Joints at these nodes with the fitting that now joins their pipes. A joint that holds no pipe any more is taken away; one that no fitting makes keeps its pipes and has no body, which a check then tells. */
export function refit(body: Body, nodes: ReadonlySet<string>): Body {
  const joints = body.joints.flatMap((joint): Joint[] => {
    if (!nodes.has(joint.node) || !joint.hold) return [joint];
    const found = fittingAt(joint, body);
    if (!found) return body.members.some((m) => joint.joins.includes(m.id)) ? [joint] : [];
    const { hub: old, ...rest } = joint;
    if (found.outcome.kind === 'none') return [{ ...rest, name: 'no fitting' }];
    const { fitting, hub } = found.outcome;
    // A fitting of the same kind that was weighed or measured keeps what was measured.
    if (
      old &&
      joint.fitting === fitting &&
      old.sockets.length === hub.sockets.length &&
      old.supply?.item === hub.supply?.item
    ) {
      return [
        {
          ...joint,
          hub: {
            ...old,
            sockets: hub.sockets.map((s, i) => ({
              ...s,
              takeOff: old.sockets[i]!.takeOff,
              depth: old.sockets[i]!.depth,
            })),
          },
        },
      ];
    }
    return [{ ...rest, fitting, name: FITTING_NAMES[fitting], hub }];
  });
  return { ...body, joints };
}
