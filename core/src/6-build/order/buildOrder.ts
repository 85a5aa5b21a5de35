/** In what order a rig is put together, found by taking it apart; or what blocks one another, and what would free it. */
import { scale, type Vec3 } from '../../0-base';
import {
  connectionsOf,
  countOf,
  valuesInOrder,
  type AdjusterValues,
  type Assembly,
  type Connection,
} from '../../2-frame';
import { drilledTogether, type DrilledTogether } from './drilledTogether';
import { isAlong, toPart, type Bond, type ToPart } from './partsToPart';
import { FAR, linesOf, roomFor, type Lines } from './room';
import { takeApart, type Parting } from './takeApart';
import { toolsFor } from './tools';

/** Pieces that are put to what is there: first from far along the first way, then along the next. */
export interface Coming {
  readonly pieces: readonly string[];
  /** `by`: so far, m; infinite from as far as one likes. */
  readonly legs: readonly { readonly way: Vec3; readonly by: number }[];
}
/** Connections made in one go. */
export interface Joining {
  /** Of its first connection. */
  readonly id: string;
  readonly connections: readonly Connection[];
  /** One after the other. */
  readonly comes: readonly Coming[];
  /** Everything that hangs together once it is made. */
  readonly lot: readonly string[];
  /** Joinings that made what it joins. */
  readonly after: readonly string[];
  /** Connections whose hardware cannot be got at any more once it is made. */
  readonly shutsIn: readonly string[];
  /** No tool reaches its screw in any order. */
  readonly unreached: boolean;
}
/** Pieces that no way takes apart: they cannot be put together. */
export interface Blocked {
  readonly pieces: readonly string[];
  readonly connections: readonly Connection[];
  /** Pipes in fittings that would free it if they came apart by themselves, as a union does. */
  readonly freedBy: readonly Connection[];
}
export interface BuildOrder {
  readonly joinings: readonly Joining[];
  readonly drilledTogether: readonly DrilledTogether[];
  readonly blocked: readonly Blocked[];
}

export function buildOrder(assembly: Assembly, values: AdjusterValues): BuildOrder {
  const of = toPart(assembly, values, connectionsAsSet(assembly, values));
  const lines = linesOf(of);
  const room = roomFor(of, lines);
  const { partings, stuck } = takeApart(of, room, toolsFor(of, room));
  const ids = (pieces: readonly number[]): readonly string[] => pieces.map((p) => of.shapes[p]!.id);
  const blocked = stuck.map((lot): Blocked => {
    const inLot = new Set(lot);
    const bonds = of.bonds.filter((b) => b.binds.length > 1 && b.binds.every((p) => inLot.has(p)));
    return {
      pieces: ids(lot),
      connections: bonds.map((b) => b.connection),
      freedBy: freedBy(lot, bonds, of, lines),
    };
  });
  // What is blocked, and what has no solid, is told in the order it is stated.
  const made = new Set(partings.flatMap((p) => p.undoes.map((b) => b.connection.id)));
  const stated = of.bonds.filter((b) => !made.has(b.connection.id));
  const joinings = [
    ...stated.filter((b) => b.binds.length > 1).map((b) => asStated(b.connection)),
    ...alikeTogether(partings.map((p, i) => joiningOf(p, nextOf(partings, i), ids)).reverse()),
    ...stated.filter((b) => b.binds.length < 2).map((b) => asStated(b.connection)),
  ];
  return { joinings, drilledTogether: drilledTogether(joinings, of, room), blocked };
}

/** Without looking for an order: for figures in which it does not count. */
export const inStatedOrder = (assembly: Assembly, values: AdjusterValues): BuildOrder => ({
  joinings: connectionsAsSet(assembly, values).map(asStated),
  drilledTogether: [],
  blocked: [],
});

/** With as many washers as are set. */
function connectionsAsSet({ rig, stacks }: Assembly, values: AdjusterValues): readonly Connection[] {
  const inOrder = valuesInOrder(rig, values);
  const counts = new Map(stacks.map((s) => [s.station.id, countOf(s, inOrder)]));
  return connectionsOf(rig, (station) => counts.get(station) ?? 0);
}

const asStated = (connection: Connection): Joining => ({
  id: connection.id,
  connections: [connection],
  comes: [],
  lot: [...connection.pieces, ...connection.hardware],
  after: [],
  shutsIn: [],
  unreached: false,
});

function joiningOf(
  { undoes, leaves, lot, frees, unreached }: Parting,
  after: readonly Parting[],
  ids: (pieces: readonly number[]) => readonly string[],
): Joining {
  return {
    id: undoes[0]!.connection.id,
    connections: undoes.map((b) => b.connection),
    comes: [...leaves].reverse().map(({ pieces, out }) => ({
      pieces: ids(pieces),
      legs: [...out].reverse().map(({ way, by }) => ({ way: scale(way, -1), by: by >= FAR ? Infinity : by })),
    })),
    lot: ids(lot),
    after: after.map((p) => p.undoes[0]!.connection.id),
    // What is glued or soldered is as it is.
    shutsIn: frees.flatMap(({ connection: c }) => (c.reversible && c.kind !== 'socketed' ? [c.id] : [])),
    unreached,
  };
}

/** Screws alike through the same pieces, one after the other, are put in in one go. */
function alikeTogether(joinings: readonly Joining[]): readonly Joining[] {
  const nowIn = new Map<string, string>();
  const all: Joining[] = [];
  for (const j of joinings) {
    const last = all.at(-1);
    const [one] = j.connections;
    const isAlike =
      last &&
      (one!.kind === 'bolted' || one!.kind === 'screwedIn') &&
      [...last.connections, ...j.connections].every((c) => c.kind === one!.kind && sameAs(c, one!)) &&
      j.after.every((id) => id === last.id || last.connections.some((c) => c.id === id));
    if (!isAlike) {
      all.push({ ...j, after: [...new Set(j.after.map((id) => nowIn.get(id) ?? id))] });
      continue;
    }
    nowIn.set(j.id, last.id);
    all[all.length - 1] = {
      ...last,
      connections: [...last.connections, ...j.connections],
      comes: [...last.comes, ...j.comes],
      lot: j.lot,
      shutsIn: [...last.shutsIn, ...j.shutsIn].filter((id) => !j.connections.some((c) => c.id === id)),
      unreached: last.unreached || j.unreached,
    };
  }
  return all;
}

const sameAs = (a: Connection, b: Connection): boolean =>
  a.thread === b.thread &&
  a.pieces.length > 1 &&
  a.pieces.length === b.pieces.length &&
  a.pieces.every((p) => b.pieces.includes(p));

/** What was taken apart next of each lot it left. */
function nextOf(partings: readonly Parting[], i: number): readonly Parting[] {
  const lot = new Set(partings[i]!.lot);
  const found: Parting[] = [];
  const told = new Set<number>();
  for (const later of partings.slice(i + 1)) {
    if (!later.lot.every((p) => lot.has(p)) || later.lot.some((p) => told.has(p))) continue;
    found.push(later);
    for (const p of later.lot) told.add(p);
  }
  return found;
}

/** Each pipe's end is tried as if it came apart by itself there; in a fitting that could be a union, both ends at once. */
function freedBy(lot: readonly number[], bonds: readonly Bond[], of: ToPart, lines: Lines): readonly Connection[] {
  const ends = bonds.filter((b) => b.connection.kind === 'socketed');
  return ends.slice(0, TRIED_AT_MOST).flatMap((bond) => {
    const [, fitting] = bond.connection.pieces;
    const both = ends.filter((b) => b.connection.pieces[1] === fitting);
    const opened = both.length === 2 && isAlong(both[0]!.axis!, both[1]!.axis!) ? both : [bond];
    const mended: ToPart = {
      ...of,
      bonds: of.bonds.map((b) => (opened.includes(b) ? { ...b, opens: true, turnsAbout: null } : b)),
    };
    const room = roomFor(mended, lines);
    return takeApart(mended, room, toolsFor(mended, room), lot).stuck.length === 0 ? [bond.connection] : [];
  });
}
/** Of what might free a rig that no order builds. */
const TRIED_AT_MOST = 40;
