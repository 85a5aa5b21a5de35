/** What moves along when a frame's corners do: whatever is held there, from piece to piece, without going along a bar. */
import type { Vec3 } from '../../0-base';
import type { Body, StatedConnection } from '../../model';
import { datumOf, piecesHeld } from './kinds';

/** Parts and stations fastened at these nodes, by joints or by what joints are bolted to. */
export function fastenedAt(body: Body, nodes: ReadonlySet<string>): ReadonlySet<string> {
  const joints = body.joints.filter((j) => nodes.has(j.node));
  const bars = new Set(body.members.map((m) => m.id));
  const found = new Set(joints.flatMap((j) => [j.id, ...j.joins]));
  for (let grown = true; grown;) {
    grown = false;
    for (const c of body.connections ?? []) {
      const pieces = piecesHeld(c).filter((p) => !bars.has(p));
      if (!pieces.some((p) => found.has(p)) || pieces.every((p) => found.has(p))) continue;
      for (const p of pieces) found.add(p);
      grown = true;
    }
  }
  return found;
}

/** Those that say where their screw is. */
const placed = (c: StatedConnection): c is Extract<StatedConnection, { readonly point: Vec3 }> => 'point' in c;

/** The body's screws with those moved whose place is given on what moves: these pieces, and bars between these nodes. */
export function screwsMoved(
  body: Body,
  pieces: ReadonlySet<string>,
  nodes: ReadonlySet<string>,
  to: (screw: { readonly point: Vec3; readonly way: Vec3 }) => { readonly point: Vec3; readonly way: Vec3 },
): Pick<Body, 'connections'> | Record<string, never> {
  if (!body.connections) return {};
  const bars = body.members.filter((m) => nodes.has(m.from) && nodes.has(m.to)).map((m) => m.id);
  const goes = new Set([...pieces, ...bars]);
  return {
    connections: body.connections.map((c) => (placed(c) && goes.has(datumOf(c)) ? { ...c, ...to(c) } : c)),
  };
}
