/** A part moved or turned, with all that stands in its axes: mount, mass centre, holes. */
import { add, multiply, quaternionOf, rotationOf, subtract, transform, type Quaternion, type Vec3 } from '../../0-base';
import type { Part } from '../../model';

export const partMoved = (p: Part, by: Vec3): Part => ({
  ...p,
  at: add(p.at, by),
  ...(p.mount ? { mount: add(p.mount, by) } : {}),
  ...(p.massCentre ? { massCentre: add(p.massCentre, by) } : {}),
  ...(p.holes ? { holes: p.holes.map((h) => ({ ...h, at: add(h.at, by) })) } : {}),
  ...(p.takes ? { takes: p.takes.map((t) => ({ ...t, at: add(t.at, by) })) } : {}),
});

/** About the part's own origin; the load it carries turns with it. */
export function partTurned(part: Part, turn: Quaternion): Part {
  const by = rotationOf(turn);
  const round = (q: Quaternion | undefined): Quaternion => quaternionOf(q ? multiply(by, rotationOf(q)) : by);
  const about = (p: Vec3): Vec3 => add(part.at, transform(by, subtract(p, part.at)));
  return {
    ...part,
    turn: round(part.turn),
    ...(part.mount ? { mount: about(part.mount), mountTurn: round(part.mountTurn) } : {}),
    ...(part.massCentre ? { massCentre: about(part.massCentre) } : {}),
    ...(part.takes ? { takes: part.takes.map((t) => ({ ...t, at: about(t.at), up: transform(by, t.up) })) } : {}),
    ...(part.holes
      ? {
          holes: part.holes.map((h) => ({
            ...h,
            at: about(h.at),
            axis: transform(by, h.axis),
            ...(h.slot ? { slot: transform(by, h.slot) } : {}),
          })),
        }
      : {}),
  };
}

/** The same part once more, moved by so much, under its own name: it holds no load and is nobody's twin. */
export function partCopied(part: Part, id: string, by: Vec3): Part {
  const { mount: _mount, mountTurn: _turn, screw: _screw, twin: _twin, ...rest } = partMoved(part, by);
  return {
    ...rest,
    id,
    ...(rest.takes ? { takes: rest.takes.map((t) => ({ ...t, id: t.id.replace(part.id, id) })) } : {}),
  };
}
