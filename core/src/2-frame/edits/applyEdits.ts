/** The maker's own changes laid over a rig by identifier; what has a twin is changed in pairs, mirrored. */
import { add, subtract, type Quaternion, type Vec3 } from '../../0-base';
import type { Body, Edit, Joint, Member, Part, Pivot, Rig, StatedConnection, Supply } from '../../model';
import { mirroredMember, mirroredNode, mirroredPart, mirroredPoint, mirroredTurn } from './mirror';
import { attached } from './attach';
import { braceBetween } from './braceBetween';
import { cornerBar } from './cornerBar';
import { doubled } from './doubled';
import { beyondEnd } from './beyondEnd';
import { carryWeight } from './carryWeight';
import { FITTING_NAMES } from '../fittings/fittingFor';
import { jointFacts } from '../fittings/jointFacts';
import { fastened, threaded } from './fastening';
import { mountedOn } from './mountOn';
import { movedPivot } from './movedPivot';
import { heldBy, removed } from './removed';
import { partMoved, partTurned } from './placePart';
import { fastenedAt, screwsMoved } from '../connections/fastenedAt';
import { refit } from '../fittings/refit';
import { turnMember } from './turnMember';

export interface EditedRig {
  readonly rig: Rig;
  /** Edits whose target is not in this rig: kept and shown, never dropped. */
  readonly unapplied: readonly Edit[];
}

export function applyEdits(rig: Rig, edits: readonly Edit[]): EditedRig {
  const unapplied: Edit[] = [];
  let edited = rig;
  for (const edit of edits) {
    const next = applied(edited, edit);
    if (next) edited = next;
    else unapplied.push(edit);
  }
  const added = edits.flatMap((e) =>
    e.kind === 'add' && !unapplied.includes(e) ? [e.part.id, ...(e.part.twin ? [e.part.twin] : [])] : [],
  );
  return { rig: attached(edited, new Set(added)), unapplied };
}

type EditOf<K extends Edit['kind']> = Extract<Edit, { kind: K }>;

function applied(rig: Rig, edit: Edit): Rig | null {
  switch (edit.kind) {
    case 'add':
      return withPart(rig, edit);
    case 'addMember':
      return follows(
        inBody(rig, edit.body, (body) => withMember(body, edit)),
        edit,
      );
    case 'brace': {
      const made = braceBetween(rig, edit);
      return made.kind === 'made' ? made.rig : null;
    }
    case 'corner': {
      const made = cornerBar(rig, edit);
      return made.kind === 'made' ? made.rig : null;
    }
    case 'double': {
      const made = doubled(rig, edit);
      return made.kind === 'made' ? made.rig : null;
    }
    case 'addStation':
      return withStation(rig, edit);
    case 'weigh':
      return weighed(rig, edit);
    case 'remove':
      return removed(rig, edit.target);
    case 'move':
      return inPairs(rig, edit.target, (r, id, twin) => moved(r, id, twin ? mirroredPoint(edit.by) : edit.by, twin));
    case 'carry':
      return carryWeight(rig, edit.target, edit.by);
    case 'turn':
      return inPairs(rig, edit.target, (r, id, twin) => turnedAny(r, id, twin ? mirroredTurn(edit.turn) : edit.turn));
    case 'restock':
      return inPairs(rig, edit.target, (r, id) => memberChanged(r, id, (member) => ({ ...member, stock: edit.stock })));
    case 'short':
      return inPairs(rig, edit.target, (r, id) => pushedShort(r, id, edit));
    case 'price':
      return priced(rig, edit);
    case 'screw':
      return partChanged(rig, edit.target, (part) =>
        part.screw ? { ...part, screw: { ...part.screw, length: edit.length } } : part,
      );
    case 'thread':
      return threaded(rig, edit);
    case 'fasten':
      return fastened(rig, edit);
    case 'fitting':
      return measuredFitting(rig, edit);
    case 'mount':
      return mountedOn(rig, edit);
    case 'comfort':
      return rig.contacts.some((c) => c.id === edit.target)
        ? { ...rig, contacts: rig.contacts.map((c) => (c.id === edit.target ? { ...c, comfortLimit: edit.limit } : c)) }
        : null;
    case 'friction':
      return pivotChanged(rig, edit.target, { frictionTorque: edit.torque });
    case 'padding':
      return padded(rig, edit);
    case 'breaksAway':
      return pivotChanged(rig, edit.target, { breaksAwayAt: edit.force });
  }
}

/** Only where there are stops with something on them: how far from the axis it is met is the rig's to say. */
const padded = (rig: Rig, { target, thickness }: EditOf<'padding'>): Rig | null => {
  const padding = rig.pivots.find((p) => p.id === target)?.padding;
  return padding ? pivotChanged(rig, target, { padding: { ...padding, thickness } }) : null;
};

const pivotChanged = (rig: Rig, id: string, change: Partial<Pivot>): Rig | null =>
  rig.pivots.some((p) => p.id === id)
    ? { ...rig, pivots: rig.pivots.map((p) => (p.id === id ? { ...p, ...change } : p)) }
    : null;

function withPart(rig: Rig, { body, part, hold }: EditOf<'add'>): Rig | null {
  const next = inBody(rig, body, (b) => ({
    ...b,
    parts: [...b.parts, part, ...(part.twin ? [mirroredPart(part, part.twin)] : [])],
  }));
  return next && hold
    ? { ...next, contacts: [...next.contacts, hold.contact], poses: [...next.poses, hold.pose] }
    : next;
}

/** Once for the thing itself and once for its twin, where it has one. */
function inPairs(rig: Rig, id: string, change: (rig: Rig, id: string, twin: boolean) => Rig | null): Rig | null {
  const once = change(rig, id, false);
  const twin = rig.bodies.flatMap((b) => [...b.parts, ...b.members, ...b.nodes]).find((e) => e.id === id)?.twin;
  return once && twin ? (change(once, twin, true) ?? once) : once;
}

const inBody = (rig: Rig, id: string, change: (body: Body) => Body | null): Rig | null => {
  const body = rig.bodies.find((b) => b.id === id);
  const next = body && change(body);
  return next ? { ...rig, bodies: rig.bodies.map((b) => (b === body ? next : b)) } : null;
};
const bodyOf = (rig: Rig, has: (body: Body) => boolean): string => rig.bodies.find(has)?.id ?? '';

function partChanged(rig: Rig, id: string, change: (part: Part) => Part): Rig | null {
  return inBody(
    rig,
    bodyOf(rig, (b) => b.parts.some((p) => p.id === id)),
    (b) => ({ ...b, parts: b.parts.map((p) => (p.id === id ? change(p) : p)) }),
  );
}

function memberChanged(rig: Rig, id: string, change: (member: Member) => Member): Rig | null {
  return inBody(
    rig,
    bodyOf(rig, (b) => b.members.some((m) => m.id === id)),
    (body) => {
      const members = body.members.map((m) => (m.id === id ? change(m) : m));
      const { from, to } = members.find((m) => m.id === id)!;
      return refit({ ...body, members }, new Set([from, to]));
    },
  );
}

/** A piece, or one of a station's washers, as it was weighed. */
export function weighed(rig: Rig, { target, mass }: Pick<EditOf<'weigh'>, 'target' | 'mass'>): Rig | null {
  const brought = hardwareWeighed(rig, target, mass);
  if (brought) return brought;
  if (!rig.bodies.some((b) => [...b.parts, ...b.members, ...b.stations, ...b.joints].some((e) => e.id === target)))
    return null;
  return {
    ...rig,
    bodies: rig.bodies.map((b) => ({
      ...b,
      parts: b.parts.map((p) => (p.id === target ? { ...p, mass } : p)),
      members: b.members.map((m) => (m.id === target ? { ...m, mass } : m)),
      joints: b.joints.map((j) => (j.id !== target ? j : j.hub ? { ...j, hub: { ...j.hub, mass } } : { ...j, mass })),
      // A station is weighed by one of its washers.
      stations: b.stations.map((s) => (s.id === target ? { ...s, washer: { ...s.washer, mass } } : s)),
    })),
  };
}

/** What a connection brings is weighed by what it does there. */
function hardwareWeighed(rig: Rig, target: string, mass: EditOf<'weigh'>['mass']): Rig | null {
  const isOf = (c: StatedConnection): boolean =>
    c.kind === 'bolted' && (c.id === target || target.startsWith(`${c.id}/`));
  return inBody(
    rig,
    bodyOf(rig, (b) => b.connections?.some(isOf) ?? false),
    (b) => ({
      ...b,
      connections: b.connections!.map((c) =>
        c.kind !== 'bolted' || !isOf(c)
          ? c
          : c.id === target
            ? { ...c, together: mass }
            : { ...c, weighed: { ...c.weighed, [target.slice(c.id.length + 1)]: mass } },
      ),
    }),
  );
}

function withMember(body: Body, { nodes, member, joints }: EditOf<'addMember'>): Body | null {
  const known = new Set([...body.nodes, ...nodes].map((n) => n.id));
  if (!known.has(member.from) || !known.has(member.to)) return null;
  const twinOf = (id: string): string => [...body.nodes, ...nodes].find((n) => n.id === id)?.twin ?? id;
  const pair = member.twin ? [member, mirroredMember(member, member.twin, twinOf)] : [member];
  const mirrored = member.twin ? nodes.filter((n) => n.twin).map((n) => mirroredNode(n, n.twin!)) : [];
  const fresh = [...nodes, ...mirrored].filter((n) => !body.nodes.some((m) => m.id === n.id));
  const next = { ...body, nodes: [...body.nodes, ...fresh], members: [...body.members, ...pair] };
  // The pipe goes into what is at its ends already; a joint of its own is made only where there is none.
  const jointed = new Set(body.joints.map((j) => j.node));
  const own: Joint[] = pair.flatMap((m, i) =>
    joints
      .filter((j) => !jointed.has(i === 0 ? j.node : twinOf(j.node)))
      .map((j) =>
        i === 0
          ? j
          : {
              ...j,
              id: `${j.id}-twin`,
              node: twinOf(j.node),
              joins: j.joins.map((id) => (id === member.id ? m.id : id)),
            },
      ),
  );
  const joined = next.joints.map((j) => ({
    ...j,
    joins: [
      ...j.joins,
      ...pair.filter((m) => (m.from === j.node || m.to === j.node) && !j.joins.includes(m.id)).map((m) => m.id),
    ],
  }));
  return refit({ ...next, joints: [...joined, ...own] }, new Set(pair.flatMap((m) => [m.from, m.to])));
}

/** What is bolted only to what an adjuster moves is moved by it too, with the bolt and nut of its own. */
function follows(rig: Rig | null, { member, joints }: EditOf<'addMember'>): Rig | null {
  if (!rig) return null;
  const elsewhere = new Set(
    rig.bodies.flatMap((b) => b.joints.filter((j) => !j.joins.includes(member.id)).flatMap((j) => j.joins)),
  );
  const members = new Set(rig.bodies.flatMap((b) => b.members.map((m) => m.id)));
  const all = rig.adjusters.filter((a) => a.kind !== 'count');
  const isMoved = (id: string): boolean => all.some((a) => a.moves.some((m) => m.id === id));
  const own = (id: string): boolean => id === member.id || (!members.has(id) && !elsewhere.has(id) && !isMoved(id));
  const follow = joints
    .filter((j) => j.joins.includes(member.id))
    .flatMap((j) => {
      const [mine, others] = [j.joins.filter(own), j.joins.filter((id) => !own(id))];
      return others.length > 0 ? [{ mine, others }] : [];
    });
  const adjusters = rig.adjusters.map((a) => {
    if (a.kind === 'count') return a;
    const more = follow.flatMap(({ mine, others }) =>
      others.every((id) => a.moves.some((m) => m.id === id)) ? mine : [],
    );
    return more.length === 0
      ? a
      : {
          ...a,
          moves: [
            ...a.moves,
            ...more.map((id) => ({ kind: members.has(id) ? ('member' as const) : ('part' as const), id })),
          ],
        };
  });
  return { ...rig, adjusters };
}

function withStation(rig: Rig, { body, station, countMost }: EditOf<'addStation'>): Rig | null {
  const next = inBody(rig, body, (b) => ({ ...b, stations: [...b.stations, station] }));
  return (
    next && {
      ...next,
      adjusters: [
        ...next.adjusters,
        {
          id: `${station.id}-count`,
          name: station.name,
          kind: 'count',
          range: [0, countMost],
          step: 1,
          value: station.count,
          moves: [{ kind: 'station', id: station.id }],
        },
      ],
    }
  );
}

/** A part, station or contact by itself; a pivot with what turns in it; a node with what is fastened there; a member with both its nodes. */
function moved(rig: Rig, id: string, by: Vec3, isTwin: boolean): Rig | null {
  const alone = partChanged(rig, id, (p) => partMoved(p, by));
  const part =
    alone &&
    inBody(
      alone,
      bodyOf(alone, (b) => b.parts.some((p) => p.id === id)),
      (b) => ({ ...b, ...screwsMoved(b, new Set([id]), new Set(), shiftedBy(by)) }),
    );
  if (part)
    return { ...part, contacts: part.contacts.map((c) => (c.id === heldBy(id) ? { ...c, at: add(c.at, by) } : c)) };
  const station = inBody(
    rig,
    bodyOf(rig, (b) => b.stations.some((s) => s.id === id)),
    (b) => ({ ...b, stations: b.stations.map((s) => (s.id === id ? { ...s, seat: add(s.seat, by) } : s)) }),
  );
  if (station) return station;
  if (rig.contacts.some((c) => c.id === id))
    return { ...rig, contacts: rig.contacts.map((c) => (c.id === id ? { ...c, at: add(c.at, by) } : c)) };
  const pivot = movedPivot(rig, id, by);
  if (pivot) return pivot;
  const holder = rig.bodies.find((b) => b.nodes.some((n) => n.id === id) || b.members.some((m) => m.id === id));
  const member = holder?.members.find((m) => m.id === id);
  return holder
    ? inBody(rig, holder.id, (b) => nodesMoved(b, new Set(member ? [member.from, member.to] : [id]), by, isTwin))
    : null;
}

/**
 * What is fastened at the nodes moves with them. A part without a twin, on nodes that have one, is held by both sides: it
 * moves once, and not to a side, for its other half moves as far the other way.
 */
function nodesMoved(body: Body, ids: ReadonlySet<string>, by: Vec3, isTwin = false): Body {
  const paired = body.nodes.some((n) => ids.has(n.id) && n.twin);
  const share = (twin: string | undefined): Vec3 => (!paired || twin ? by : isTwin ? [0, 0, 0] : [by[0], 0, by[2]]);
  const fastened = fastenedAt(body, ids);
  const near = new Set([
    ...ids,
    ...body.members.filter((m) => ids.has(m.from) || ids.has(m.to)).flatMap((m) => [m.from, m.to]),
  ]);
  return refit(
    {
      ...body,
      nodes: body.nodes.map((n) => (ids.has(n.id) ? { ...n, at: add(n.at, by) } : n)),
      parts: body.parts.map((p) => (fastened.has(p.id) ? partMoved(p, share(p.twin)) : p)),
      stations: body.stations.map((s) => (fastened.has(s.id) ? { ...s, seat: add(s.seat, by) } : s)),
      ...screwsMoved(body, fastened, ids, shiftedBy(by)),
    },
    near,
  );
}

const shiftedBy =
  (by: Vec3) =>
  ({ point, way }: { readonly point: Vec3; readonly way: Vec3 }) => ({ point: add(point, by), way });

const turnedAny = (rig: Rig, id: string, turn: Quaternion): Rig | null =>
  partChanged(rig, id, (part) => partTurned(part, turn)) ??
  inBody(
    rig,
    bodyOf(rig, (b) => b.members.some((m) => m.id === id)),
    (body) => turnMember(body, id, turn),
  );

/** One end of a pipe stands further out of its socket: all beyond that end moves out with it, unless the frame closes on itself. */
function pushedShort(rig: Rig, id: string, { end, by }: EditOf<'short'>): Rig | null {
  return inBody(
    rig,
    bodyOf(rig, (b) => b.members.some((m) => m.id === id)),
    (body) => {
      const member = body.members.find((m) => m.id === id)!;
      const before = member.shortBy ?? [{ value: 0 }, { value: 0 }];
      const shortBy = end === 0 ? ([by, before[1]] as const) : ([before[0], by] as const);
      const next = { ...body, members: body.members.map((m) => (m.id === id ? { ...m, shortBy } : m)) };
      const beyond = beyondEnd(body, member, member.to);
      if (beyond.has(member.from)) return next;
      const [a, b] = [member.from, member.to].map((n) => body.nodes.find((o) => o.id === n)!.at) as [Vec3, Vec3];
      const run = subtract(b, a);
      const size = Math.hypot(...run);
      const grown = by.value - before[end]!.value;
      return nodesMoved(next, beyond, [(run[0] / size) * grown, (run[1] / size) * grown, (run[2] / size) * grown]);
    },
  );
}

/** Another fitting of the same ways, another hold, or this one's own measures. */
/** A clamp or sleeve of which nothing is known guides over about this, m. */
const USUAL_GUIDE = 0.03;

function measuredFitting(
  rig: Rig,
  { target, fitting, hold, outerRadius, takeOff, depth, clearance }: EditOf<'fitting'>,
): Rig | null {
  return inBody(
    rig,
    bodyOf(rig, (b) => b.joints.some((j) => j.id === target && (j.hub || clearance !== undefined))),
    (body) => ({
      ...body,
      joints: body.joints.map((j) =>
        j.id !== target
          ? j
          : {
              ...j,
              ...(clearance === undefined
                ? {}
                : { loose: { clearance, over: j.loose?.over ?? j.hub?.sockets[0]?.depth ?? USUAL_GUIDE } }),
              ...(fitting ? { fitting, name: FITTING_NAMES[fitting] } : {}),
              ...(fitting || hold ? holding(j, fitting ?? j.fitting, hold ?? j.hold) : {}),
              ...(j.hub
                ? {
                    hub: {
                      ...j.hub,
                      outerRadius: outerRadius ?? j.hub.outerRadius,
                      sockets: j.hub.sockets.map((s) => ({
                        ...s,
                        takeOff: takeOff ?? s.takeOff,
                        depth: depth ?? s.depth,
                      })),
                    },
                  }
                : {}),
            },
      ),
    }),
  );
}

/** What a hold, or a union that unscrews, does to a joint: whether it opens, whether it can be undone, how long it sets. */
function holding(joint: Joint, fitting: Joint['fitting'], hold: Joint['hold']): Partial<Joint> {
  const facts = jointFacts({ fitting, hold });
  const opens = fitting === 'union';
  return {
    ...(hold ? { hold } : {}),
    packs: opens || facts.packs,
    reversible: opens || facts.reversible,
    dryingTime: hold === joint.hold ? (joint.dryingTime ?? 0) : facts.dryingTime,
  };
}

/** Every place that buys the item pays the new price; null when nothing here is that item. */
function priced(rig: Rig, { item, length: sold, price }: EditOf<'price'>): Rig | null {
  let found = false;
  const supply = <T extends { supply?: Supply | undefined }>(e: T): T => {
    if (e.supply?.item !== item) return e;
    found = true;
    return { ...e, supply: { ...e.supply, packPrice: price } };
  };
  const stocked = (member: Member): Member => {
    if (member.stock.name !== item || !member.stock.sold.some((s) => s.length === sold)) return member;
    found = true;
    return {
      ...member,
      stock: { ...member.stock, sold: member.stock.sold.map((s) => (s.length === sold ? { ...s, price } : s)) },
    };
  };
  const bodies = rig.bodies.map((b) => ({
    ...b,
    members: b.members.map(stocked),
    parts: b.parts.map(supply),
    joints: b.joints.map((j) => (j.hub ? { ...j, hub: supply(j.hub) } : j)),
    stations: b.stations.map((s) => ({ ...s, washer: supply(s.washer) })),
  }));
  if (found) return { ...rig, bodies };
  // What connections bring is there only later: its price waits for it.
  return sold === undefined && rig.bodies.some((b) => b.connections?.length)
    ? { ...rig, prices: { ...rig.prices, [item]: price } }
    : null;
}
