/** A weight carried to the side of its place: its bolt holds a strip instead, and at the strip's far end a bolt of its own holds it. */
import { addScaled, dot, length, scale, subtract, unit, type Vec3 } from '../../0-base';
import type { Body, Bolted, Rig, Station } from '../../model';
import { fastenerId, HOLE_ROOM, outriggerId, stripFor, stripHome } from '../parts/outrigger';

/** The screw that holds a station's washers where they belong. */
export function weightBolt(body: Body, station: string): Bolted | null {
  const holds = (c: Bolted): boolean => c.stack.some((l) => l.kind === 'row' && l.station === station);
  return body.connections?.find((c): c is Bolted => c.kind === 'bolted' && holds(c)) ?? null;
}

/** Null where it cannot be: no screw holds it, or its washers would meet the screw. */
export function carryWeight(rig: Rig, station: string, by: Vec3): Rig | null {
  const body = rig.bodies.find((b) => b.stations.some((s) => s.id === station));
  const home = body && atHome(body, station);
  const next =
    home &&
    carried(
      home,
      home.stations.find((s) => s.id === station)!,
      by,
    );
  return next ? { ...rig, bodies: rig.bodies.map((b) => (b === body ? next : b)) } : null;
}

function carried(body: Body, station: Station, by: Vec3): Body | null {
  const bolt = weightBolt(body, station.id);
  if (!bolt || Math.abs(dot(unit(by), unit(station.axis))) > SQUARE) return null;
  const made = stripFor(
    {
      id: station.id,
      name: station.name,
      seat: station.seat,
      axis: station.axis,
      boltDiameter: station.boltDiameter,
      washerRadius: station.washer.outerRadius,
    },
    by,
    HOLE_ROOM,
  );
  if (!made) return null;
  const strip = { kind: 'piece' as const, piece: made.member.id };
  const first = bolt.stack.findIndex((l) => l.kind === 'row');
  const { weighed: _weighed, screw: _rod, washer: _washer, recess: _recess, head: _head, last: _last, ...rest } = bolt;
  const own: Bolted = {
    ...rest,
    id: fastenerId(station.id),
    name: `${bolt.name} on its strip`,
    on: made.member.id,
    point: addScaled(made.seat, unit(station.axis), -made.thickness),
    way: station.axis,
    stack: [strip, ...bolt.stack.slice(first)],
  };
  return {
    ...body,
    nodes: [...body.nodes, ...made.nodes],
    members: [...body.members, made.member],
    stations: body.stations.map((s) => (s.id === station.id ? { ...s, seat: made.seat } : s)),
    connections: [
      ...body.connections!.map((c) => (c === bolt ? { ...bolt, stack: [...bolt.stack.slice(0, first), strip] } : c)),
      own,
    ],
  };
}
/** A strip lies flat on what its weight stood on: cosine. */
const SQUARE = 0.01;

/** The body without the strip, if it has one: the weight on its own bolt again. */
function atHome(body: Body, station: string): Body {
  const strip = body.members.find((m) => m.id === outriggerId(station));
  const own = body.connections?.find((c): c is Bolted => c.kind === 'bolted' && c.id === fastenerId(station));
  const home = carriedFrom(body, station);
  if (!strip || !own || !home) return body;
  return {
    ...body,
    nodes: body.nodes.filter((n) => n.id !== strip.from && n.id !== strip.to),
    members: body.members.filter((m) => m !== strip),
    stations: body.stations.map((s) => (s.id === station ? { ...s, seat: home.seat } : s)),
    connections: body.connections!.flatMap((c) => {
      if (c === own) return [];
      if (c.kind !== 'bolted' || !c.stack.some((l) => l.kind === 'piece' && l.piece === strip.id)) return [c];
      return [
        { ...c, stack: [...c.stack.filter((l) => l.kind !== 'piece' || l.piece !== strip.id), ...own.stack.slice(1)] },
      ];
    }),
  };
}

/** Where a weight on a strip stood before, and how far it was carried; null where it is on no strip. */
export function carriedFrom(body: Body, station: string): { readonly seat: Vec3; readonly by: Vec3 } | null {
  const strip = body.members.find((m) => m.id === outriggerId(station));
  const { seat, axis, boltDiameter } = body.stations.find((s) => s.id === station) ?? {};
  const [from, to] = [strip?.from, strip?.to].map((n) => body.nodes.find((m) => m.id === n)?.at);
  if (!strip || !from || !to || !seat || !axis || boltDiameter === undefined) return null;
  const { thickness, end } = stripHome(strip, boltDiameter);
  const run = subtract(to, from);
  const by = scale(unit(run), length(run) - 2 * end);
  return { seat: addScaled(subtract(seat, by), unit(axis), -thickness), by };
}
