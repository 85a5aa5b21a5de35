/**
 * What carries a weight away from where it was: a strip of flat bar bolted on at the old place, or, along the bolt itself,
 * a threaded rod screwed to it; the weight sits at its far end.
 */
import { addScaled, cross, dot, length, scale, subtract, unit, type Vec3 } from '../../0-base';
import type { FlatBody } from '../../1-load';
import type { Joint, Member, Node, Part, Rig, Station, Stock } from '../../model';
import { assemble } from '../assemble';
import { RODS } from './bars';
import { bolt } from './bolt';
import { FLAT_BARS } from './flatBars';
import { LONG_NUT, longNut } from './hardware';

export interface Outrigger {
  readonly nodes: readonly [Node, Node];
  readonly member: Member;
  readonly joint: Joint;
  /** The bolt through the old place, or the long nut on it. */
  readonly fastener: Part;
  /** The weight's face now. */
  readonly seat: Vec3;
}
export interface OutriggerInput {
  /** As it was before it was carried away. */
  readonly weight: {
    readonly id: string;
    readonly name: string;
    readonly seat: Vec3;
    readonly axis: Vec3;
    readonly boltDiameter: number;
    readonly washerRadius: number;
  };
  readonly by: Vec3;
  /** What it is bolted to. */
  readonly onto: string;
}

const STRIP = FLAT_BARS['aluminium-25x5']!;
const STRIP_THICKNESS = 0.005;
/** A hole's middle from an end, in its diameters: one and a half, or it tears out. */
const FROM_END = 1.5;
/** Of the clearance hole beyond its bolt, at most, m. */
export const HOLE_ROOM = 0.0015;
/** Room in the hole for the bolt, m. */
const CLEAR = 0.0005;
/** Through what it is bolted to, with the head; and the nut beyond the strip, in diameters. */
const BOLT = { inside: 0.012, nut: 1 };
/** This far along its own bolt a weight stands on a longer one, not on a strip: cosine. */
const ALONG_THE_BOLT = 0.99;

export const outriggerId = (station: string): string => `outrigger-${station}`;
export const fastenerId = (station: string): string => `outrigger-${station}-bolt`;

/** Null where there is none: so near that the washers meet the bolt it is held by, or the rod is lost in its nut; or no rod of that thread. */
export function outrigger({ weight, by, onto }: OutriggerInput): Outrigger | null {
  const far = length(by);
  if (far < 1e-6) return null;
  const [along, axis] = [scale(by, 1 / far), unit(weight.axis)];
  const id = outriggerId(weight.id);
  const beyond = dot(along, axis);
  if (Math.abs(beyond) > ALONG_THE_BOLT) {
    const rod = rodOf(weight.boltDiameter);
    return rod && far >= LONG_NUT * weight.boltDiameter
      ? made({
          id,
          name: `rod for the ${lower(weight.name)}`,
          stock: rod,
          from: weight.seat,
          to: addScaled(weight.seat, by, 1),
          widthDirection: unit(cross(along, Math.abs(along[1]) < 0.9 ? [0, 1, 0] : [1, 0, 0])),
          holes: [],
          fastener: longNut({ id: fastenerId(weight.id), from: weight.seat, axis: along, thread: weight.boltDiameter }),
          seat: addScaled(weight.seat, by, 1),
          fitting: 'rodInSleeve',
          onto,
        })
      : null;
  }
  const strip = stripFor(weight, by, CLEAR);
  if (!strip) return null;
  const hole = weight.boltDiameter + CLEAR;
  const end = FROM_END * hole;
  const [from, to] = strip.nodes;
  return made({
    id,
    name: strip.member.name,
    stock: STRIP,
    from: from.at,
    to: to.at,
    widthDirection: strip.member.path.kind === 'straight' ? strip.member.path.widthDirection : [0, 1, 0],
    holes: [end, far + end].map((at, i) => ({
      id: `${id}-hole-${i + 1}`,
      name: i === 0 ? 'bolt that holds it' : 'weight bolt',
      along: at,
      across: 0,
      diameter: hole,
      afterBending: false,
    })),
    fastener: bolt({
      id: fastenerId(weight.id),
      name: `bolt ${Math.round(weight.boltDiameter * 1000)} mm × ${Math.round((STRIP_THICKNESS + BOLT.nut * weight.boltDiameter + BOLT.inside) * 1000)} mm, strip`,
      seat: weight.seat,
      axis,
      diameter: weight.boltDiameter,
      length: STRIP_THICKNESS + BOLT.nut * weight.boltDiameter,
      inside: BOLT.inside,
      price: 0.9,
    }),
    seat: strip.seat,
    fitting: 'boltThrough',
    onto,
  });
}

/** A strip flat on the weight's face, from its bolt to where it is carried; the weight's new face lies on it. Null where the washers would meet the bolt that holds it. */
export function stripFor(
  weight: OutriggerInput['weight'],
  by: Vec3,
  room: number,
): {
  readonly nodes: readonly [Node, Node];
  readonly member: Member;
  readonly seat: Vec3;
  readonly thickness: number;
} | null {
  const far = length(by);
  if (far < weight.washerRadius + 1.5 * weight.boltDiameter) return null;
  const along = scale(by, 1 / far);
  const up = unit(addScaled(unit(weight.axis), along, -dot(along, unit(weight.axis))));
  const end = FROM_END * (weight.boltDiameter + room);
  const middle = addScaled(weight.seat, up, STRIP_THICKNESS / 2);
  const id = outriggerId(weight.id);
  return {
    nodes: [
      { id: `${id}-from`, at: addScaled(middle, along, -end) },
      { id: `${id}-to`, at: addScaled(middle, along, far + end) },
    ],
    member: {
      id,
      name: `strip for the ${lower(weight.name)}`,
      from: `${id}-from`,
      to: `${id}-to`,
      stock: STRIP,
      path: { kind: 'straight', widthDirection: unit(cross(up, along)) },
      leftLong: 0,
      holes: [],
    },
    seat: addScaled(addScaled(weight.seat, by, 1), up, STRIP_THICKNESS),
    thickness: STRIP_THICKNESS,
  };
}
/** How thick a strip is, and how far its bolts' middles lie from its ends, m. */
export const stripHome = (
  { stock }: Member,
  boltDiameter: number,
  room = HOLE_ROOM,
): { readonly thickness: number; readonly end: number } => ({
  thickness: stock.section.kind === 'flat' ? stock.section.thickness : 0,
  end: FROM_END * (boltDiameter + room),
});

/** Where the weight was before, how far it was carried and what its outrigger is bolted to; null when it has none. */
export function homeOf(
  { id, axis, boltDiameter }: Pick<Station, 'id' | 'axis' | 'boltDiameter'>,
  { bodies }: Pick<Rig, 'bodies'>,
): { readonly seat: Vec3; readonly by: Vec3; readonly onto: string } | null {
  for (const { nodes, members, parts, joints } of bodies) {
    const member = members.find((m) => m.id === outriggerId(id));
    const fastener = parts.find((p) => p.id === fastenerId(id));
    const [from, to] = [member?.from, member?.to].map((n) => nodes.find((m) => m.id === n)?.at);
    if (!member || !from || !to || fastener?.shape.kind !== 'tube') continue;
    const onto =
      joints.find((j) => j.id === jointId(member.id))?.joins.find((j) => j !== member.id && j !== fastener.id) ?? '';
    const run = subtract(to, from);
    if (member.stock.section.kind === 'rod') return { seat: from, by: run, onto };
    const ends = 2 * FROM_END * (boltDiameter + CLEAR);
    return {
      seat: addScaled(fastener.at, unit(axis), BOLT.inside - fastener.shape.length / 2),
      by: scale(run, 1 - ends / length(run)),
      onto,
    };
  }
  return null;
}

/** Its bodies, as a rig has them once it is on. */
export function outriggerBodies({ nodes, member, joint, fastener }: Outrigger): readonly FlatBody[] {
  const alone: Rig = {
    bodies: [
      {
        id: 'alone',
        name: member.name,
        nodes: [...nodes],
        members: [member],
        joints: [joint],
        parts: [fastener],
        stations: [],
      },
    ],
    pivots: [],
    contacts: [],
    poses: [],
    adjusters: [],
  };
  return assemble(alone, null).pieces.map((p) => p.flat);
}

interface Made extends Pick<Outrigger, 'fastener' | 'seat'>, Pick<Member, 'id' | 'name' | 'stock' | 'holes'> {
  readonly from: Vec3;
  readonly to: Vec3;
  readonly widthDirection: Vec3;
  readonly fitting: Joint['fitting'];
  readonly onto: string;
}
function made({ id, name, stock, holes, from, to, widthDirection, fastener, seat, fitting, onto }: Made): Outrigger {
  return {
    nodes: [
      { id: `${id}-from`, at: from },
      { id: `${id}-to`, at: to },
    ],
    member: {
      id,
      name,
      from: `${id}-from`,
      to: `${id}-to`,
      stock,
      path: { kind: 'straight', widthDirection },
      leftLong: 0,
      holes,
    },
    joint: {
      id: jointId(id),
      name: `${name}, bolted on`,
      node: `${id}-from`,
      fitting,
      joins: [...(onto ? [onto] : []), id, fastener.id],
      reversible: true,
    },
    fastener,
    seat,
  };
}
const jointId = (id: string): string => `${id}-on`;
const lower = (name: string): string => `${name[0]!.toLowerCase()}${name.slice(1)}`;

/** Rod of the bolt's thread, to a tenth of a millimetre. */
function rodOf(diameter: number): Stock | null {
  return (
    Object.values(RODS).find(
      ({ section }) =>
        section.kind === 'rod' && section.threadPitch !== undefined && Math.abs(section.diameter - diameter) < 1e-4,
    ) ?? null
  );
}
