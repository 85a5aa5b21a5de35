/** Parts that a maker adds are held by what they touch: caps and sleeves slip over it, soft stuff lies on it, the rest is clamped. */
import { length } from '../../0-base';
import type { Body, Part, Rig, StatedConnection } from '../../model';
import { piecesHeld } from '../connections/kinds';
import { surroundings } from '../connections/surroundings';
import { nearestTo } from '../connections/touching';

/** Faces this near touch, m. */
const TOUCH = 0.001;
const SOFT = new Set(['rubberFoam', 'hookAndLoop', 'cork']);

export const attachedId = (part: string): string => `${part}-on`;

/** Only where a body says how it is held together; what touches nothing is left as it is, and told. */
export function attached(rig: Rig, added: ReadonlySet<string>): Rig {
  if (added.size === 0) return rig;
  const around = surroundings(rig, () => 0);
  const on = new Map<string, string>();
  const bodies = rig.bodies.map((body) => {
    if (!body.connections) return body;
    const held = new Set([...body.connections.flatMap(piecesHeld), ...body.joints.flatMap((j) => j.joins)]);
    const loose = body.parts.filter((p) => added.has(p.id) && !p.of && !held.has(p.id));
    const without = new Set(loose.map((p) => p.id));
    const made = loose.flatMap((part): StatedConnection[] => {
      const near = nearestTo(part.id, body, without, around);
      if (!near || length(near.way) > TOUCH) return [];
      on.set(part.id, near.piece);
      return [heldBy(part, near.piece, body)];
    });
    return made.length === 0 ? body : { ...body, connections: [...body.connections, ...made] };
  });
  // What slides takes along what was put on it.
  const adjusters = rig.adjusters.map((a) => {
    const along = [...on].filter(
      ([id, piece]) => a.moves.some((m) => m.id === piece) && !a.moves.some((m) => m.id === id),
    );
    return along.length === 0
      ? a
      : { ...a, moves: [...a.moves, ...along.map(([id]) => ({ kind: 'part' as const, id }))] };
  });
  return { ...rig, bodies, adjusters };
}

function heldBy({ id, name, shape, material }: Part, on: string, body: Body): StatedConnection {
  const what = [...body.members, ...body.parts].find((e) => e.id === on)?.name ?? 'fitting';
  const common = { id: attachedId(id), name: `${name} on the ${what}` };
  if (!SOFT.has(material ?? '')) return { ...common, kind: 'clamped', piece: id, on };
  return shape.kind === 'tube'
    ? { ...common, kind: 'slidOn', piece: id, over: on }
    : { ...common, kind: 'laid', piece: id, on };
}
