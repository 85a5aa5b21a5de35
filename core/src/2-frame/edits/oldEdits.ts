/**
 * Changes that were made before connections said what holds what, read as they would be made now: screws that were parts of their
 * own are their connection's, and a weight that was carried off by three changes is carried by one. What is stored stays as it is.
 */
import type { Edit, Rig, StatedConnection } from '../../model';
import { fastenerId, outriggerId, stripHome } from '../parts/outrigger';
import { addScaled, length, subtract, unit, type Vec3 } from '../../0-base';
import { weightBolt } from './carryWeight';

/** Parts that became connections of another name. */
const RENAMED: Readonly<Record<string, string>> = {
  'camera-screw': 'camera',
  'weight-bolt': 'weights',
  bolt: 'clamp-bolt',
};

export function asMadeNow(edits: readonly Edit[], rig: Rig): readonly Edit[] {
  const connections = rig.bodies.flatMap((b) => b.connections ?? []);
  if (connections.length === 0 || edits.length === 0) return edits;
  return carriedNow(edits, rig).map((e) => renamed(e, rig, connections));
}

/** Weighed before, a bolt was weighed with all that was on it. */
function renamed(edit: Edit, rig: Rig, connections: readonly StatedConnection[]): Edit {
  if (edit.kind !== 'weigh' || isThere(rig, edit.target)) return edit;
  const id = connections.some((c) => c.id === edit.target) ? edit.target : RENAMED[edit.target];
  return id !== undefined && connections.some((c) => c.id === id && c.kind === 'bolted')
    ? { ...edit, target: id }
    : edit;
}

const isThere = (rig: Rig, id: string): boolean =>
  rig.bodies.some((b) => [...b.parts, ...b.members, ...b.stations, ...b.joints].some((e) => e.id === id));

/** A strip and its bolt added, the weight and its own bolt moved to its end: now one change. */
function carriedNow(edits: readonly Edit[], rig: Rig): readonly Edit[] {
  let left = edits;
  for (const body of rig.bodies)
    for (const { id, boltDiameter } of body.stations) {
      const strip = left.find((e) => e.kind === 'addMember' && e.member.id === outriggerId(id));
      if (strip?.kind !== 'addMember' || !weightBolt(body, id)) continue;
      const [from, to] = strip.nodes;
      if (!from || !to) continue;
      const run = subtract(to.at, from.at);
      const { end } = stripHome(strip.member, boltDiameter, OLD_ROOM);
      const by: Vec3 = addScaled([0, 0, 0], unit(run), length(run) - 2 * end);
      const gone = new Set([id, `${id}-bolt`, fastenerId(id), outriggerId(id)]);
      const isPart = (e: Edit): boolean =>
        (e.kind === 'move' && gone.has(e.target)) || (e.kind === 'add' && gone.has(e.part.id)) || e === strip;
      left = left.flatMap((e) => (e === strip ? [{ kind: 'carry', id: e.id, target: id, by }] : isPart(e) ? [] : [e]));
    }
  return left;
}
/** In the holes of strips as they were drilled then, m. */
const OLD_ROOM = 0.0005;
