/** What goes along when something on a piece moves: all that is held there, from piece to piece and from body to body, without going through that piece. */
import type { Body, Rig, StatedConnection } from '../../model';
import { piecesHeld } from '../connections/kinds';

/** A way from some things to some others: a stated connection, a joint, members that meet at a node. */
export interface Link {
  readonly id: string;
  readonly things: readonly string[];
  /** The node it is at, for joints and members that meet. */
  readonly node: string | null;
  readonly stated: StatedConnection | null;
}

/** Everything that keeps pieces of a rig together, stations by their own ids. */
export function linksOf({ bodies }: Rig): readonly Link[] {
  return bodies.flatMap((body) => [
    ...(body.connections ?? []).map((stated): Link => ({
      id: stated.id,
      things: [...new Set([...piecesHeld(stated), ...placedOn(stated), ...rows(stated)])],
      node: null,
      stated,
    })),
    ...body.joints.map((j): Link => ({
      id: j.id,
      things: [j.id, ...j.joins, ...at(body, j.node)],
      node: j.node,
      stated: null,
    })),
    ...body.nodes.flatMap((n): readonly Link[] => {
      const meet = at(body, n.id);
      return meet.length > 1 ? [{ id: `node:${n.id}`, things: meet, node: n.id, stated: null }] : [];
    }),
  ]);
}
const at = ({ members }: Body, node: string): readonly string[] =>
  members.filter((m) => m.from === node || m.to === node).map((m) => m.id);
const placedOn = (c: StatedConnection): readonly string[] => (c.kind === 'bolted' ? [c.on] : []);
const rows = (c: StatedConnection): readonly string[] =>
  c.kind === 'bolted' ? c.stack.flatMap((l) => (l.kind === 'row' ? [l.station] : [])) : [];

export interface Hangs {
  readonly things: ReadonlySet<string>;
  /** Links passed on the way, the first ones included. */
  readonly links: ReadonlySet<string>;
  /** Links that lead back to what was not to be passed: it cannot move alone. */
  readonly back: readonly Link[];
}

/** From these links on, without the things in `without`. */
export function hangsOn(links: readonly Link[], first: readonly Link[], without: ReadonlySet<string>): Hangs {
  const things = new Set(first.flatMap((l) => l.things).filter((t) => !without.has(t)));
  const passed = new Set(first.map((l) => l.id));
  const back: Link[] = [];
  for (let grown = true; grown;) {
    grown = false;
    for (const link of links) {
      if (passed.has(link.id) || !link.things.some((t) => things.has(t))) continue;
      passed.add(link.id);
      grown = true;
      if (link.things.some((t) => without.has(t))) back.push(link);
      for (const t of link.things) if (!without.has(t)) things.add(t);
    }
  }
  return { things, links: passed, back };
}
