/** Directions of a member and of a fitting's sockets, turned with the piece. */
import type { Vec3 } from '../../0-base';
import type { Joint, Member } from '../../model';

type Round = (v: Vec3) => Vec3;

export const memberTurned = (m: Member, round: Round): Member => ({
  ...m,
  path:
    m.path.kind === 'straight'
      ? { ...m.path, widthDirection: round(m.path.widthDirection) }
      : { ...m.path, along: round(m.path.along), across: round(m.path.across) },
});

export const jointTurned = (j: Joint, round: Round): Joint =>
  j.hub ? { ...j, hub: { ...j.hub, sockets: j.hub.sockets.map((s) => ({ ...s, direction: round(s.direction) })) } } : j;
