/** What connections are worked out from. */
import { materialOf } from '../../0-base';
import type { FlatBody } from '../../1-load';
import type { Rig } from '../../model';
import { partBody, washerBody } from '../assemble';
import { hubBodies, memberBodies } from '../members/memberBodies';
import { placesOf } from '../members/memberEnds';
import type { Surroundings } from './kind';

/** The rig's solids by the piece they are of, with all adjusters at zero; each made when it is first asked for. */
export function surroundings(rig: Rig, counts: (station: string) => number): Surroundings {
  const made = new Map<string, readonly FlatBody[]>();
  return {
    rig,
    counts,
    solids: (piece) => {
      const before = made.get(piece);
      if (before) return before;
      const solids = solidsOf(rig, piece);
      made.set(piece, solids);
      return solids;
    },
  };
}

function solidsOf(rig: Rig, piece: string): readonly FlatBody[] {
  for (const body of rig.bodies) {
    const lengths = body.parts.filter((p) => p.id === piece || p.of === piece).flatMap((p) => partBody(p, rig) ?? []);
    if (lengths.length > 0) return lengths;
    const joint = body.joints.find((j) => j.id === piece);
    const ofJoint = joint?.hub && materialOf(joint.hub.material, rig.materials);
    if (joint && ofJoint) return hubBodies(joint, body, ofJoint);
    const member = body.members.find((m) => m.id === piece);
    const ofMember = member && materialOf(member.stock.material, rig.materials);
    if (member && ofMember) return memberBodies(member, placesOf(body.nodes), body.joints, ofMember);
    const station = body.stations.find((s) => piece.startsWith(`${s.id}/`));
    const washer = station && washerBody(station);
    if (washer) return [washer];
  }
  return [];
}
