/**
 * The rig and its load as one flat list of bodies, each knowing which adjusters move it. Built once a change of the rig;
 * setting an adjuster afterwards only shifts pieces.
 */
import { add, alignZ, IDENTITY, materialOf, rotationOf, scale, unit, type Mat3, type Vec3, ZERO } from '../0-base';
import {
  addSums,
  flatBody,
  moveSums,
  NO_SUMS,
  scaleSums,
  shifted,
  sumsOf,
  sumsOfOne,
  turnedBody,
  type FlatBody,
  type PlacedLoad,
  type Shift,
  type Sums,
} from '../1-load';
import type { Adjuster, Body, Contact, Part, Rig, Station } from '../model';
import type { AtHand } from './atHand';
import { hubBodies, memberBodies } from './members/memberBodies';
import { placesOf } from './members/memberEnds';
import { shortShifts } from './members/shortShifts';

export interface RigFault {
  readonly about: string;
  readonly reason: string;
}
export interface Piece {
  readonly body: string;
  readonly flat: FlatBody;
  /** Indices of the adjusters that move it. */
  readonly movedBy: readonly number[];
  readonly isLoad: boolean;
  /** The stack (index) it lies on: it stands so much further out as washers are on. */
  readonly ridesOn?: number;
}
export interface StackPlace {
  readonly body: string;
  readonly station: Station;
  readonly movedBy: readonly number[];
  /** The adjuster that sets how many washers are on; null leaves the count as the rig has it. */
  readonly countedBy: number | null;
  readonly shifts: readonly Shift[];
  /** What lies on the stack, as it stands with the bolt bare: nut, foot. */
  readonly riders: readonly FlatBody[];
  readonly one: { readonly mass: number; readonly massSpread: number; readonly source: string };
}
export interface Assembly {
  readonly rig: Rig;
  readonly pieces: readonly Piece[];
  readonly stacks: readonly StackPlace[];
  /** Where the load's foot stands with all adjusters at zero; null when no part is a mount. */
  readonly mount: Vec3 | null;
  /** How the load is turned on it. */
  readonly mountTurn: Mat3;
  /** Indices of the adjusters that move it. */
  readonly mountMovedBy: readonly number[];
  /** Washers that may be put on. */
  readonly atHand: AtHand;
  readonly faults: readonly RigFault[];
}
/** Adjuster values by id; one that is missing takes the rig's own value. */
export type AdjusterValues = Readonly<Record<string, number>>;

export function assemble(rig: Rig, load: PlacedLoad | null, atHand: AtHand = null): Assembly {
  const faults: RigFault[] = [];
  const pieces: Piece[] = [];
  const stacks: Omit<StackPlace, 'riders'>[] = [];
  let mount: Vec3 | null = null;
  let mountTurn: Mat3 = IDENTITY;
  let mountMovedBy: readonly number[] = [];
  const allShifts = new Map<string, readonly Shift[]>();
  for (const body of rig.bodies) {
    const movers = (id: string): readonly number[] => moversOf(rig.adjusters, body.id, id);
    const shifts = shortShifts(rig, body);
    for (const [id, by] of shifts) allShifts.set(id, by);
    const known = (piece: Piece, id: string): Piece =>
      shifts.has(id) ? { ...piece, flat: { ...piece.flat, shifts: shifts.get(id)! } } : piece;
    pieces.push(...framePieces(rig, body, movers, faults).map((piece) => known(piece, piece.flat.owner)));
    stacks.push(
      ...stackPlaces(rig, body, movers, faults).map((stack) => ({
        ...stack,
        shifts: shifts.get(stack.station.id) ?? [],
      })),
    );
    const holder = body.parts.find((p) => p.mount);
    if (holder?.mount && mount === null) {
      mount = holder.mount;
      mountMovedBy = movers(holder.id);
      mountTurn = holder.mountTurn ? rotationOf(holder.mountTurn) : IDENTITY;
    }
  }
  if (load && mount !== null) pieces.push(...loadPieces(rig, load, { mount, turn: mountTurn }, allShifts));
  if (load && mount === null)
    faults.push({ about: 'load', reason: 'No part of this rig carries a camera: give one part a mount.' });
  return { rig, ...ridden(rig, pieces, stacks), mount, mountTurn, mountMovedBy, atHand, faults };
}

/** What stands on the mount first, then what stands on other pieces: each goes where what carries it goes. */
function loadPieces(
  rig: Rig,
  load: PlacedLoad,
  { mount, turn }: { readonly mount: Vec3; readonly turn: Mat3 },
  shifts: ReadonlyMap<string, readonly Shift[]>,
): readonly Piece[] {
  const carriers = new Map(rig.bodies.flatMap((b) => b.parts.map((p) => [p.id, { body: b.id, part: p }] as const)));
  const holder = [...carriers.values()].find(({ part }) => part.mount)!;
  const placed = load.bodies.map((flat): Piece => {
    const { body, part } = carriers.get(flat.carriedBy ?? holder.part.id) ?? holder;
    const at = shifted(turnedBody(flat, turn), mount);
    const known = shifts.get(part.id);
    return {
      body,
      flat: known ? { ...at, shifts: known } : at,
      movedBy: moversOf(rig.adjusters, body, part.id),
      isLoad: true,
    };
  });
  return [...placed.filter((p) => !p.flat.carriedBy), ...placed.filter((p) => p.flat.carriedBy)];
}

/** Pieces that lie on a stack and stacks that carry pieces, told of each other. */
function ridden(
  rig: Rig,
  pieces: readonly Piece[],
  stacks: readonly Omit<StackPlace, 'riders'>[],
): Pick<Assembly, 'pieces' | 'stacks'> {
  const rides = new Map(
    rig.bodies.flatMap((b) => b.parts).flatMap((p) => (p.rides === undefined ? [] : [[p.id, p.rides] as const])),
  );
  const place = new Map(stacks.map((s, i) => [s.station.id, i]));
  const riders = stacks.map((): FlatBody[] => []);
  const told = pieces.map((piece) => {
    const on = place.get(rides.get(piece.flat.id) ?? '');
    if (on === undefined) return piece;
    riders[on]!.push(piece.flat);
    return { ...piece, ridesOn: on };
  });
  return { pieces: told, stacks: stacks.map((s, i) => ({ ...s, riders: riders[i]! })) };
}

/** Indices of the adjusters that move a piece of a body. */
export function moversOf(adjusters: readonly Adjuster[], body: string, id: string): readonly number[] {
  return adjusters.flatMap((a, i) =>
    a.kind !== 'count' &&
    a.moves.some(
      (m) =>
        (m.kind === 'body' && m.id === body) ||
        ((m.kind === 'part' || m.kind === 'member' || m.kind === 'station') && m.id === id),
    )
      ? [i]
      : [],
  );
}

function framePieces(
  rig: Rig,
  body: Body,
  movers: (id: string) => readonly number[],
  faults: RigFault[],
): readonly Piece[] {
  const nodes = placesOf(body.nodes);
  const pieces: Piece[] = [];
  for (const member of body.members) {
    const material = materialOf(member.stock.material, rig.materials);
    if (!material)
      faults.push({
        about: member.id,
        reason: `${member.name}: the material “${member.stock.material}” is not known.`,
      });
    else if (!nodes.has(member.from) || !nodes.has(member.to))
      faults.push({ about: member.id, reason: `${member.name} runs between nodes that are not there.` });
    else
      pieces.push(
        ...memberBodies(member, nodes, body.joints, material).map((flat) => ({
          body: body.id,
          flat,
          movedBy: movers(member.id),
          isLoad: false,
        })),
      );
  }
  for (const joint of body.joints) {
    const material = joint.hub && materialOf(joint.hub.material, rig.materials);
    if (joint.hub && !material)
      faults.push({ about: joint.id, reason: `${joint.name}: the material “${joint.hub.material}” is not known.` });
    else if (!joint.hub && joint.mass && nodes.has(joint.node)) {
      const flat = flatBody({
        id: joint.id,
        name: joint.name,
        owner: joint.id,
        shape: { kind: 'point' },
        at: nodes.get(joint.node)!,
        mass: joint.mass,
      });
      pieces.push({ body: body.id, flat, movedBy: movers(joint.id), isLoad: false });
    } else if (material)
      pieces.push(
        ...hubBodies(joint, body, material).map((flat) => ({
          body: body.id,
          flat,
          movedBy: movers(joint.id),
          isLoad: false,
        })),
      );
  }
  for (const part of body.parts) {
    const flat = partBody(part, rig);
    if (!flat) {
      faults.push({ about: part.id, reason: `${part.name} has no mass: weigh it, or name a material that is known.` });
      continue;
    }
    pieces.push({ body: body.id, flat, movedBy: movers(part.id), isLoad: false });
  }
  return pieces;
}

/** A part as one solid; null when neither its mass nor its material is known. */
export function partBody(part: Part, rig: Pick<Rig, 'materials'>): FlatBody | null {
  const material = part.material === undefined ? null : materialOf(part.material, rig.materials);
  if (!part.mass && !material) return null;
  return flatBody({
    id: part.id,
    name: part.name,
    owner: part.of ?? part.id,
    shape: part.shape,
    at: part.at,
    rotation: part.turn ? rotationOf(part.turn) : IDENTITY,
    look: material?.look ?? 'steel',
    ...(part.mass ? { mass: part.mass } : {}),
    ...(part.reckoned ? { massFrom: 'density' as const } : {}),
    ...(material
      ? {
          density: material.density * (1 - holesPart(part)),
          densitySpread: material.densitySpread,
          source: `density of ${material.name}`,
        }
      : {}),
    ...(part.massCentre ? { centre: part.massCentre } : {}),
  });
}

/** Part of a plate's volume that its holes take away; the plate's mass centre is left where it is. */
function holesPart({ shape, holes = [] }: Part): number {
  if (shape.kind !== 'box' || holes.length === 0) return 0;
  const thickness = Math.min(...shape.size);
  const area = holes.reduce(
    (sum, h) => sum + (Math.PI * h.diameter ** 2) / 4 + (h.slot ? h.diameter * Math.hypot(...h.slot) : 0),
    0,
  );
  return Math.min(0.9, (area * thickness) / (shape.size[0] * shape.size[1] * shape.size[2]));
}

function stackPlaces(
  rig: Rig,
  body: Body,
  movers: (id: string) => readonly number[],
  faults: RigFault[],
): readonly Omit<StackPlace, 'shifts' | 'riders'>[] {
  return body.stations.flatMap((station) => {
    const { washer } = station;
    const material = materialOf(washer.material, rig.materials);
    const volume = Math.PI * (washer.outerRadius ** 2 - washer.innerRadius ** 2) * washer.thickness;
    const mass = washer.mass?.value ?? (material ? material.density * volume : null);
    if (mass === null) {
      faults.push({
        about: station.id,
        reason: `${station.name}: weigh one washer, or name a material that is known.`,
      });
      return [];
    }
    const counted = rig.adjusters.findIndex(
      (a) => a.kind === 'count' && a.moves.some((m) => m.kind === 'station' && m.id === station.id),
    );
    return [
      {
        body: body.id,
        station,
        movedBy: movers(station.id),
        countedBy: counted < 0 ? null : counted,
        one: { mass, massSpread: washer.mass?.spread ?? mass * STAMPING_SPREAD, source: `mass of ${washer.name}` },
      },
    ];
  });
}

/** Stamped washers of one size differ by about this much in mass (thickness tolerance); weigh ten to do better. */
const STAMPING_SPREAD = 0.04;

/** Value of each adjuster in order, kept within its range. */
export const valuesInOrder = (rig: Rig, values: AdjusterValues): readonly number[] =>
  rig.adjusters.map((a) => Math.min(a.range[1], Math.max(a.range[0], values[a.id] ?? a.value)));

/** How far the adjusters in `movedBy` have shifted something, m, rig axes. */
export function shiftOf(rig: Rig, movedBy: readonly number[], values: readonly number[]): Vec3 {
  let shift: Vec3 = ZERO;
  for (const index of movedBy) shift = add(shift, scale(unit(rig.adjusters[index]!.axis ?? [1, 0, 0]), values[index]!));
  return shift;
}

/** One washer on the seat, whatever it weighs: for what it is as wide and thick as. */
export const washerBody = ({ seat, axis, washer }: Station): FlatBody =>
  flatBody({
    id: washer.name,
    name: washer.name,
    owner: washer.name,
    shape: {
      kind: 'tube',
      outerRadius: washer.outerRadius,
      innerRadius: washer.innerRadius,
      length: washer.thickness,
    },
    at: add(seat, scale(unit(axis), washer.thickness / 2)),
    rotation: alignZ(unit(axis)),
    mass: { value: 1 },
  });

/** How far out what lies on a stack is carried by so many washers, m, rig axes. */
const carriedOut = ({ station }: StackPlace, count: number): Vec3 =>
  scale(unit(station.axis), Math.max(0, count) * station.washer.thickness);

/** What so many washers bring with them, against the bare bolt: their own sums, and what lies on them carried out. */
export function stackSums(stack: StackPlace, count: number): Sums {
  const body = stackBody(stack, count);
  const own = body ? sumsOfOne(body) : NO_SUMS;
  if (stack.riders.length === 0 || count <= 0) return own;
  const bare = sumsOf(stack.riders);
  return addSums(own, addSums(moveSums(bare, carriedOut(stack, count)), scaleSums(bare, -1)));
}

/** A stack of n washers as one exact tube, its centre n·t/2 out from the seat; null when the bolt is bare. */
export function stackBody({ station, one, shifts }: Omit<StackPlace, 'riders'>, count: number): FlatBody | null {
  if (count <= 0) return null;
  const { washer } = station;
  const axis = unit(station.axis);
  const height = count * washer.thickness;
  // Each washer lies anywhere within its play on the bolt: an even spread of that full width, sideways.
  const lie =
    (station.sideError === undefined
      ? Math.max(0, 2 * washer.innerRadius - station.boltDiameter)
      : 2 * station.sideError) / Math.sqrt(12);
  const body = flatBody({
    id: `${station.id}/stack`,
    name: `${count} × ${washer.name}`,
    owner: station.id,
    shape: { kind: 'tube', outerRadius: washer.outerRadius, innerRadius: washer.innerRadius, length: height },
    at: add(station.seat, scale(axis, height / 2)),
    rotation: alignZ(axis),
    mass: { value: count * one.mass, spread: count * one.massSpread, source: one.source },
    massFrom: washer.mass ? 'measured' : 'density',
    centreSpread: [lie * (1 - Math.abs(axis[0])), lie * (1 - Math.abs(axis[1])), lie * (1 - Math.abs(axis[2]))],
    look: 'steel',
  });
  return shifts.length > 0 ? { ...body, shifts } : body;
}

export interface PlacedPiece {
  readonly body: string;
  readonly flat: FlatBody;
  readonly isLoad: boolean;
  /** Adjusters (indices) that carry it. */
  readonly movedBy: readonly number[];
}

/** Every body where the adjusters put it. */
export function placedPieces(assembly: Assembly, adjusters: AdjusterValues): readonly PlacedPiece[] {
  const { rig } = assembly;
  const values = valuesInOrder(rig, adjusters);
  const placed: PlacedPiece[] = assembly.pieces.map(({ body, flat, movedBy, isLoad, ridesOn }) => {
    const on = ridesOn === undefined ? null : assembly.stacks[ridesOn]!;
    const stays = movedBy.length === 0 && !on;
    const shift = on
      ? add(shiftOf(rig, movedBy, values), carriedOut(on, countOf(on, values)))
      : shiftOf(rig, movedBy, values);
    return { body, isLoad, movedBy, flat: stays ? flat : shifted(flat, shift) };
  });
  for (const stack of assembly.stacks) {
    const flat = stackBody(stack, countOf(stack, values));
    if (flat)
      placed.push({
        body: stack.body,
        isLoad: false,
        movedBy: stack.movedBy,
        flat: shifted(flat, shiftOf(rig, stack.movedBy, values)),
      });
  }
  return placed;
}

export const countOf = (stack: StackPlace, values: readonly number[]): number =>
  stack.countedBy === null ? stack.station.count : Math.round(values[stack.countedBy]!);

/** Where a pivot is with the adjusters set. */
export function pivotAt(rig: Rig, pivot: Rig['pivots'][number], values: readonly number[]): Vec3 {
  const movedBy = rig.adjusters.flatMap((a, i) =>
    a.moves.some((m) => m.kind === 'pivot' && m.id === pivot.id) ? [i] : [],
  );
  return add(pivot.at, shiftOf(rig, movedBy, values));
}

/** Where a contact is with the adjusters set. */
export function contactAt(rig: Rig, contact: Contact, values: readonly number[]): Vec3 {
  const movedBy = rig.adjusters.flatMap((a, i) =>
    a.moves.some((m) => (m.kind === 'contact' && m.id === contact.id) || (m.kind === 'body' && m.id === contact.body))
      ? [i]
      : [],
  );
  return add(contact.at, shiftOf(rig, movedBy, values));
}

/** Ids of the bodies that hang at a pivot: what it carries and everything beyond, in the tree. */
export function bodiesBeyond(rig: Rig, pivot: Rig['pivots'][number]): ReadonlySet<string> {
  const beyond = new Set([pivot.carries]);
  for (let grown = true; grown;) {
    grown = false;
    for (const next of rig.pivots) {
      if (next.id !== pivot.id && beyond.has(next.heldBy) && !beyond.has(next.carries)) {
        beyond.add(next.carries);
        grown = true;
      }
    }
  }
  return beyond;
}
