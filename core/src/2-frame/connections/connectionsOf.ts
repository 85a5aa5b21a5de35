/** All connections of a rig: those it states, and those that its joints and stations still say. */
import type { Rig } from '../../model';
import type { Connection } from './connection';
import { fromJoints } from './fromJoints';
import { piecesHeld, resolve } from './kinds';
import { surroundings } from './surroundings';

/** `counts` says how many washers each station has on. */
export function connectionsOf(rig: Rig, counts: (station: string) => number): readonly Connection[] {
  const stated = rig.bodies.flatMap((b) => b.connections ?? []);
  const around = surroundings(rig, counts);
  const held = new Set(stated.flatMap(piecesHeld));
  return [
    ...stated.map((c) => resolve(c, around).connection),
    // A row of washers on a bolt that is stated is told with it.
    ...fromJoints(rig, counts).filter((c) => !held.has(c.id)),
  ];
}
