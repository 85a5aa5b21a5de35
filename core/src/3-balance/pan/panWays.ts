/** Ways to move something of a hung rig for a level pan: weights on their bolts, carried away by a strip or a rod that weighs too, and what slides move. */
import { addScaled, cross, dot, length, scale, subtract, unit, type Change, type Vec3 } from '../../0-base';
import { addScaledSums, addSums, moveSums, NO_SUMS, sumsOf, sumsOfOne, type Sums } from '../../1-load';
import {
  assemble,
  carriedFrom,
  carryWeight,
  fastenerId,
  hardwareOf,
  homeOf,
  outrigger,
  outriggerBodies,
  outriggerId,
  piecesHeld,
  placedPieces,
  pointGap,
  shiftOf,
  valuesInOrder,
  weightBolt,
  withoutHardware,
  type AdjusterValues,
  type PlacedPiece,
} from '../../2-frame';
import type { Body, Part, Rig, Station } from '../../model';
import type { Hung } from '../evaluate';
import { toStep } from '../trim/toStep';

export interface PanMove {
  readonly id: string;
  readonly name: string;
  /** A weight with its bolt, or an adjuster and what it carries. */
  readonly kind: 'weight' | 'adjuster';
  readonly along: Vec3;
  /** m along `along`. */
  readonly by: number;
  /** What carries a weight there, as long as it is sawn, m, and what it weighs with its bolt or nut, kg. */
  readonly carrier: {
    readonly kind: 'strip' | 'rod' | 'spacer';
    readonly length: number;
    readonly mass: number;
  } | null;
  readonly changes: readonly Change[];
}
/** A way to move something by any amount, m along `along`. */
export interface PanWay {
  readonly id: string;
  readonly along: Vec3;
  readonly range: readonly [number, number];
  /** Adjusters that move it too: not to be moved beside it, for what both do is not the sum of what each does. */
  readonly rides: readonly string[];
  /** What it changes about the pivot; null where it cannot be put there. */
  readonly change: (by: number) => Sums | null;
  readonly move: (by: number) => PanMove;
  /** A metre of it, without what carries it: first moments, kg, and products as sums, kg m. */
  readonly first: Vec3;
  readonly xz: number;
  readonly yz: number;
}
export interface PanInput {
  readonly rig: Rig;
  readonly values: AdjusterValues;
  readonly hung: Hung;
  readonly pieces: readonly PlacedPiece[];
  /** Bodies that hang. */
  readonly carries: ReadonlySet<string>;
}

/** From where it was, a weight is carried this far; further is another rig, m. */
const REACH = 0.2;
/** What a weight's bolt goes through lies this near under it, m. */
const UNDER = 0.003;
const LEFT: Vec3 = [0, 1, 0];

export function panWays(input: PanInput): readonly PanWay[] {
  return [
    ...slideWays(input),
    ...input.rig.bodies
      .filter((b) => input.carries.has(b.id))
      .flatMap((body) =>
        body.stations.flatMap((s) => (weightBolt(body, s.id) ? boltedWays : weightWays)(input, body, s)),
      ),
  ];
}

function slideWays({ rig, values, hung, pieces, carries }: PanInput): readonly PanWay[] {
  const now = valuesInOrder(rig, values);
  return rig.adjusters.flatMap((a, i): readonly PanWay[] => {
    const moved = pieces.filter((p) => carries.has(p.body) && p.movedBy.includes(i));
    const { axis } = a;
    if (a.kind === 'count' || !axis || moved.length === 0 || a.moves.some((m) => m.kind === 'pivot')) return [];
    const sums = aboutPivot(
      moved.reduce((sum, p) => addSums(sum, sumsOfOne(p.flat)), NO_SUMS),
      hung,
    );
    return [
      {
        id: a.id,
        along: axis,
        range: [a.range[0] - now[i]!, a.range[1] - now[i]!],
        rides: [],
        ...slope(sums, axis),
        change: (by) => movedBy(sums, scale(axis, by)),
        move: (by) => ({
          id: a.id,
          name: a.name,
          kind: 'adjuster',
          along: axis,
          by,
          carrier: null,
          changes: [{ kind: 'adjuster', id: a.id, value: toStep(a, now[i]! + by) }],
        }),
      },
    ];
  });
}

/** On a strip it still goes with the slide that its bolt is on. */
function weightWays({ rig, values, hung, pieces }: PanInput, body: Body, station: Station): readonly PanWay[] {
  const bolts = body.parts.filter((p) => !p.mount && isBoltOf(p, station));
  const own = pieces.filter((p) => p.flat.owner === station.id || bolts.some((b) => b.id === p.flat.owner));
  const [first] = own;
  if (!first || own.some((p) => p.movedBy.join() !== first.movedBy.join())) return [];
  const slid = shiftOf(rig, first.movedBy, valuesInOrder(rig, values));
  const sums = aboutPivot(sumsOf(own.map((p) => p.flat)), hung);
  const home = homeOf(station, rig);
  const from = home?.by ?? [0, 0, 0];
  const weight = {
    id: station.id,
    name: station.name,
    seat: home?.seat ?? station.seat,
    axis: station.axis,
    boltDiameter: station.boltDiameter,
    washerRadius: station.washer.outerRadius,
  };
  const onto =
    home?.onto ??
    underneath(
      pieces.filter((p) => p.body === body.id && p.movedBy.join() === first.movedBy.join()),
      addScaled(station.seat, slid, 1),
      station.axis,
      new Set([station.id, ...bolts.map((b) => b.id)]),
    );
  const before = home
    ? sumsOf(
        pieces
          .filter((p) => p.flat.owner === outriggerId(station.id) || p.flat.owner === fastenerId(station.id))
          .map((p) => p.flat),
      )
    : NO_SUMS;
  const carried = (along: Vec3, by: number) => outrigger({ weight, by: addScaled(from, along, by), onto });
  const counted =
    rig.adjusters.find((a) => a.kind === 'count' && a.moves.some((m) => m.id === station.id))?.name ?? station.name;
  const name = own.some((p) => p.flat.owner === station.id) ? counted : `${counted} (bare bolt)`;
  return directionsOf(station.axis).map((along): PanWay => {
    // Within reach of where it was: |from + by along| at most so much.
    const [b, c] = [dot(from, along), dot(from, from) - REACH ** 2];
    const root = Math.sqrt(Math.max(0, b * b - c));
    return {
      id: station.id,
      along,
      range: [-b - root, -b + root],
      rides: first.movedBy.map((i) => rig.adjusters[i]!.id),
      ...slope(sums, along),
      change: (by) => {
        const made = carried(along, by);
        if (!made) return null;
        const carrier = addScaledSums(moveSums(sumsOf(outriggerBodies(made)), slid), before, -1);
        return addSums(movedBy(sums, subtract(made.seat, station.seat)), aboutPivot(carrier, hung));
      },
      move: (by) => {
        const made = carried(along, by)!;
        const shift = subtract(made.seat, station.seat);
        const [start, end] = made.nodes;
        return {
          id: station.id,
          name,
          kind: 'weight',
          along,
          by,
          carrier: {
            kind: made.member.stock.section.kind === 'rod' ? 'rod' : 'strip',
            length: length(subtract(end.at, start.at)),
            mass: sumsOf(outriggerBodies(made)).mass,
          },
          changes: [
            {
              kind: 'carry',
              id: station.id,
              body: body.id,
              onto,
              by: addScaled(from, along, by),
              again: home !== null,
              weight,
            },
            ...[station.id, ...bolts.map((p) => p.id)].map((id): Change => ({ kind: 'move', id, by: shift })),
          ],
        };
      },
    };
  });
}

/** As `weightWays`, where what holds the weight is stated: longer screws, spacers, strips and their screws follow from where it is put. */
function boltedWays({ rig, values, hung, pieces }: PanInput, body: Body, station: Station): readonly PanWay[] {
  const bolt = weightBolt(body, station.id)!;
  const own = pieces.filter((p) => p.flat.owner === station.id || p.flat.owner.startsWith(`${bolt.id}/`));
  const [first] = own;
  if (!first || own.some((p) => p.movedBy.join() !== first.movedBy.join())) return [];
  const slid = shiftOf(rig, first.movedBy, valuesInOrder(rig, values));
  const home = carriedFrom(body, station.id);
  const from = home?.by ?? [0, 0, 0];
  const before = weightAlone(rig, body.id, station.id, values);
  if (!before) return [];
  const sums = aboutPivot(moveSums(before.sums, slid), hung);
  const put = (along: Vec3, by: number): { readonly kind: 'strip' | 'spacer'; readonly rig: Rig | null } =>
    isAlong(along, station.axis)
      ? { kind: 'spacer', rig: seatMoved(rig, station.id, scale(along, by)) }
      : { kind: 'strip', rig: carryWeight(withoutHardware(rig), station.id, addScaled(from, along, by)) };
  const counted =
    rig.adjusters.find((a) => a.kind === 'count' && a.moves.some((m) => m.id === station.id))?.name ?? station.name;
  const name = own.some((p) => p.flat.owner === station.id) ? counted : `${counted} (bare bolt)`;
  return directionsOf(station.axis).map((along): PanWay => {
    const [b, c] = [dot(from, along), dot(from, from) - REACH ** 2];
    const root = Math.sqrt(Math.max(0, b * b - c));
    return {
      id: station.id,
      along,
      range: [-b - root, -b + root],
      rides: first.movedBy.map((i) => rig.adjusters[i]!.id),
      ...slope(sums, along),
      change: (by) => {
        const made = put(along, by).rig;
        const after = made && weightAlone(made, body.id, station.id, values);
        return after && addScaledSums(aboutPivot(moveSums(after.sums, slid), hung), sums, -1);
      },
      move: (by) => {
        const made = put(along, by);
        const after = weightAlone(made.rig!, body.id, station.id, values)!;
        const to = addScaled(from, along, by);
        const isSpacer = made.kind === 'spacer';
        const weight = {
          id: station.id,
          name: station.name,
          seat: home?.seat ?? station.seat,
          axis: station.axis,
          boltDiameter: station.boltDiameter,
          washerRadius: station.washer.outerRadius,
        };
        return {
          id: station.id,
          name,
          kind: 'weight',
          along,
          by,
          carrier: {
            kind: made.kind,
            length: isSpacer ? Math.abs(by) : after.stripLength,
            mass: after.sums.mass - before.sums.mass,
          },
          changes: isSpacer
            ? [{ kind: 'move', id: station.id, by: scale(along, by) }]
            : [
                {
                  kind: 'carry',
                  id: station.id,
                  body: body.id,
                  onto: bolt.on,
                  by: to,
                  again: home !== null,
                  stated: true,
                  weight,
                },
              ],
        };
      },
    };
  });
}

const isAlong = (along: Vec3, axis: Vec3): boolean => Math.abs(dot(along, unit(axis))) > 0.99;

const seatMoved = (rig: Rig, station: string, by: Vec3): Rig => ({
  ...rig,
  bodies: rig.bodies.map((b) => ({
    ...b,
    stations: b.stations.map((s) => (s.id === station ? { ...s, seat: addScaled(s.seat, by, 1) } : s)),
  })),
});

/** A weight as it hangs on its screws, its strip with it, with what holds it and nothing else; null where that does not hold. */
function weightAlone(
  rig: Rig,
  bodyId: string,
  station: string,
  values: AdjusterValues,
): { readonly sums: Sums; readonly stripLength: number } | null {
  const body = rig.bodies.find((b) => b.id === bodyId)!;
  const strip = outriggerId(station);
  const own = (body.connections ?? []).filter(
    (c) =>
      c.kind === 'bolted' &&
      c.stack.some((l) => (l.kind === 'row' ? l.station === station : l.kind === 'piece' && l.piece === strip)),
  );
  const held = new Set(own.flatMap(piecesHeld));
  const members = body.members.filter((m) => held.has(m.id));
  const ends = new Set(members.flatMap((m) => [m.from, m.to]));
  const alone: Rig = {
    bodies: [
      {
        ...body,
        members,
        parts: body.parts.filter((p) => held.has(p.id) && !p.by),
        joints: body.joints.filter((j) => held.has(j.id) || ends.has(j.node)),
        stations: body.stations.filter((s) => held.has(s.id)),
        connections: own,
      },
    ],
    pivots: [],
    contacts: [],
    poses: [],
    adjusters: rig.adjusters.flatMap((a) => {
      const moves = a.moves.filter((m) => held.has(m.id) && m.kind === 'station');
      return a.kind === 'count' && moves.length > 0 ? [{ ...a, moves }] : [];
    }),
  };
  const { rig: whole, faults } = hardwareOf(alone, null);
  if (faults.length > 0) return null;
  const mine = new Set([station, strip, ...own.map((c) => c.id)]);
  const flats = placedPieces(assemble(whole, null), values)
    .map((p) => p.flat)
    .filter((f) => mine.has(f.owner) || mine.has(f.owner.slice(0, f.owner.lastIndexOf('/'))));
  const member = members.find((m) => m.id === strip);
  const [a, b] = [member?.from, member?.to].map((n) => body.nodes.find((m) => m.id === n)?.at);
  return { sums: sumsOf(flats), stripLength: a && b ? length(subtract(b, a)) : 0 };
}

const aboutPivot = (sums: Sums, { pivotAt: [x, y, z] }: Hung): Sums => moveSums(sums, [-x, -y, -z]);
const movedBy = (sums: Sums, by: Vec3): Sums => addScaledSums(moveSums(sums, by), sums, -1);
/** Ixz = -Σ m x z: moved by u along (a, b, c) it changes by -(z a + x c) m u, with z m and x m the first moments. */
const slope = ({ mass, first: [x, y, z] }: Sums, [a, b, c]: Vec3): Pick<PanWay, 'first' | 'xz' | 'yz'> => ({
  first: [mass * a, mass * b, mass * c],
  xz: -(z * a + x * c),
  yz: -(z * b + y * c),
});

/** Along its bolt, on a longer one; and on a strip that lies flat on what its bolt goes through. */
function directionsOf(axis: Vec3): readonly Vec3[] {
  const along = unit(axis);
  const beside = Math.abs(dot(along, LEFT)) < 0.9 ? LEFT : ([1, 0, 0] as const);
  const across = unit(addScaled(beside, along, -dot(beside, along)));
  return [along, across, cross(along, across)];
}

/** A bolt through the face its washers sit on: as thick, in line with it, and within its own length of there. */
function isBoltOf({ id, shape, at }: Part, { id: of, seat, axis, boltDiameter, room }: Station): boolean {
  if (
    shape.kind !== 'tube' ||
    shape.innerRadius > 0 ||
    Math.abs(2 * shape.outerRadius - boltDiameter) > 5e-4 ||
    id === fastenerId(of)
  )
    return false;
  const [off, along] = [subtract(at, seat), unit(axis)];
  const beside = length(addScaled(off, along, -dot(off, along)));
  return beside < 1e-3 && length(off) < room + 0.03;
}

/** The member or part that its face lies on. */
function underneath(pieces: readonly PlacedPiece[], seat: Vec3, axis: Vec3, own: ReadonlySet<string>): string {
  const inside = addScaled(seat, unit(axis), -UNDER / 2);
  return (
    pieces
      .filter((p) => !p.isLoad && !own.has(p.flat.owner))
      .map((p) => ({ id: p.flat.owner, gap: pointGap(inside, p.flat) }))
      .filter((p) => p.gap < UNDER)
      .sort((p, q) => p.gap - q.gap)[0]?.id ?? ''
  );
}
