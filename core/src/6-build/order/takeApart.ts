/**
 * A finished rig taken apart, one connection after the other, each only when what it lets go can leave: backwards it is the order
 * of building. What can leave now can leave later as well, since nothing is ever put back: the first that goes is taken, without
 * trying others.
 */
import type { Vec3 } from '../../0-base';
import { scale } from '../../0-base';
import { isAlong, type Bond, type ToPart } from './partsToPart';
import type { Room, WayOut } from './room';
import type { Tools } from './tools';

/** Pieces that leave others, by their numbers. */
export interface Leaving {
  readonly pieces: readonly number[];
  readonly out: WayOut;
}
export interface Parting {
  readonly undoes: readonly Bond[];
  readonly leaves: readonly Leaving[];
  /** What it was a lot of before. */
  readonly lot: readonly number[];
  /** Nothing but this was in the way of these: once it is on they are shut in. */
  readonly frees: readonly Bond[];
  /** No tool reaches its screw, in whatever order. */
  readonly unreached: boolean;
}
export interface Apart {
  /** In the order they come off. */
  readonly partings: readonly Parting[];
  /** What no way takes apart any further. */
  readonly stuck: readonly (readonly number[])[];
}

/** `pieces`: of these alone; left out, all. */
export function takeApart(
  of: ToPart,
  room: Room,
  tools: Tools,
  pieces: readonly number[] = of.shapes.map((_, i) => i),
): Apart {
  const partings: Parting[] = [];
  const stuck: (readonly number[])[] = [];
  const left = new Set(of.bonds.filter((b) => b.binds.length > 1));
  const waiting = lotsOf(pieces, [...left]).map((lot) => ({ lot, by: -1 }));
  /** Could not be undone when so many were. */
  const failed = new Map<Bond, number>();
  while (waiting.length > 0) {
    const { lot, by } = waiting.pop()!;
    const inLot = new Set(lot);
    const bonds = [...left].filter((b) => b.binds.every((p) => inLot.has(p)));
    if (bonds.length === 0) continue;
    const fail = (bond: Bond): void => void failed.set(bond, partings.length);
    const found =
      undoneAlone(lot, bonds, room, tools, fail) ??
      undoneSideBySide(lot, bonds, room, tools) ??
      undoneTogether(lot, bonds, room, of) ??
      undoneAlone(lot, bonds, room, null, fail) ??
      undoneSideBySide(lot, bonds, room, null);
    if (!found) {
      stuck.push(lot);
      continue;
    }
    // The parting that left this lot was all that kept these.
    const last = partings[by];
    if (last) partings[by] = { ...last, frees: [...last.frees, ...found.undoes.filter((b) => failed.get(b) === by)] };
    partings.push({ ...found, lot, frees: [] });
    for (const b of found.undoes) left.delete(b);
    // The largest is taken apart last: so it is built first, and the others are put on it.
    const next = { by: partings.length - 1 };
    waiting.push(
      ...lotsOf(lot, [...left])
        .sort((a, b) => b.length - a.length)
        .map((l) => ({ lot: l, ...next })),
    );
  }
  return { partings, stuck };
}
type Found = Pick<Parting, 'undoes' | 'leaves' | 'unreached'>;

/** The first connection, of those that come off first, whose pieces can all leave each other. `tools`: left out, none needs to reach. */
function undoneAlone(
  lot: readonly number[],
  bonds: readonly Bond[],
  room: Room,
  tools: Tools | null,
  fail: (bond: Bond) => void,
): Found | null {
  const parting = partingBonds(lot, bonds);
  for (const bond of inOrderOff(bonds)) {
    // In a ring nothing leaves: a screw may be drawn out of it, a pipe not.
    const isRing = !parting.has(bond) && NEEDS_ROOM.has(bond.connection.kind) && !bond.opens;
    const leaves = isRing || tools?.reach(bond, lot) === false ? null : leaving(without(bond), [bond], room);
    if (leaves) return { undoes: [bond], leaves, unreached: tools === null };
    fail(bond);
  }
  return null;

  function without(bond: Bond): readonly (readonly number[])[] {
    if (!parting.has(bond)) return [lot];
    return lotsOf(
      lot,
      bonds.filter((b) => b !== bond),
    );
  }
}

/** Those without which a lot falls apart: articulation points of the graph of pieces and bonds (Hopcroft and Tarjan 1973), without recursion. */
export function partingBonds(lot: readonly number[], bonds: readonly Bond[]): ReadonlySet<Bond> {
  const piece = new Map(lot.map((p, i) => [p, i]));
  const first = lot.length;
  const next: number[][] = [...lot, ...bonds].map(() => []);
  bonds.forEach(({ binds }, i) => {
    for (const p of binds) {
      const at = piece.get(p);
      if (at === undefined) continue;
      next[at]!.push(first + i);
      next[first + i]!.push(at);
    }
  });
  const index = new Int32Array(next.length).fill(-1);
  const low = new Int32Array(next.length);
  const found = new Set<Bond>();
  let count = 0;
  for (let root = 0; root < first; root++) {
    if (index[root] !== -1) continue;
    const calls: { readonly node: number; readonly from: number; at: number }[] = [];
    const enter = (node: number, from: number): void => {
      index[node] = low[node] = count++;
      calls.push({ node, from, at: 0 });
    };
    enter(root, -1);
    while (calls.length > 0) {
      const call = calls.at(-1)!;
      const to = next[call.node]![call.at++];
      if (to === undefined) {
        calls.pop();
        const { node, from } = call;
        if (from < 0) continue;
        low[from] = Math.min(low[from]!, low[node]!);
        // Nothing beyond it comes back round it. A root is a piece.
        if (from >= first && low[node]! >= index[from]!) found.add(bonds[from - first]!);
      } else if (index[to] === -1) enter(to, call.node);
      else if (to !== call.from) low[call.node] = Math.min(low[call.node]!, index[to]!);
    }
  }
  return found;
}

/** All screws and rods that go the same way through a piece at once: it comes off them in one go. */
function undoneSideBySide(
  lot: readonly number[],
  bonds: readonly Bond[],
  room: Room,
  tools: Tools | null,
): Found | null {
  for (const bond of inOrderOff(bonds)) {
    const { axis, hardware } = bond;
    if (!axis || hardware.length === 0) continue;
    for (const piece of bond.binds.filter((p) => !hardware.includes(p))) {
      const undoes = bonds.filter(
        (b) => b.axis && b.hardware.length > 0 && isAlong(b.axis, axis) && b.binds.includes(piece),
      );
      if (undoes.length < 2 || undoes.some((b) => tools?.reach(b, lot) === false)) continue;
      const parts = lotsOf(
        lot,
        bonds.filter((b) => !undoes.includes(b)),
      );
      const leaves = leaving(parts, undoes, room);
      if (leaves) return { undoes, leaves, unreached: tools === null };
    }
  }
  return null;
}

/**
 * One after the other the lots leave what is left, small ones first; null where not all can. `way`: the one that is tried before
 * others, and off first what lies furthest along it: the nut before its washer, the screw last.
 */
function leaving(
  parts: readonly (readonly number[])[],
  undone: readonly Bond[],
  room: Room,
  way: Vec3 | null = undone[0]!.axis,
): readonly Leaving[] | null {
  const { binds } = undone[0]!;
  const straight: readonly Vec3[] = way ? [way, scale(way, -1)] : [];
  const screws = new Set(undone.flatMap((b) => b.screw ?? []));
  const last = (part: readonly number[]): number => Number(part.some((p) => screws.has(p)));
  const along = new Map(parts.map((p) => [p, way ? room.placeAlong(p[0]!, way) : 0]));
  const found: Leaving[] = [];
  // What goes on or into another moves, where both are of a size.
  let left = [...parts].sort(
    (a, b) =>
      a.length - b.length ||
      last(a) - last(b) ||
      along.get(b)! - along.get(a)! ||
      Number(b.includes(binds[0]!)) - Number(a.includes(binds[0]!)),
  );
  const next = (outOf: (part: readonly number[], stay: readonly number[]) => WayOut | null): Leaving | null => {
    for (const part of left) {
      const stay = left.filter((p) => p !== part).flat();
      const out = undone.every((b) => room.canTurn(part, stay, b)) ? outOf(part, stay) : null;
      if (out) return { pieces: part, out };
    }
    return null;
  };
  while (left.length > 1) {
    const one =
      next((part, stay) => room.straightOut(part, stay, straight)) ??
      next((part, stay) => room.wayOut(part, stay, straight));
    if (!one) return null;
    left = left.filter((p) => p !== one.pieces);
    found.push(one);
  }
  return found;
}

/** Several at once along one direction: both legs of a ring out of their sockets. */
function undoneTogether(lot: readonly number[], bonds: readonly Bond[], room: Room, { axes }: ToPart): Found | null {
  const tried: { readonly undoes: readonly Bond[]; readonly way: Vec3; readonly cost: number }[] = [];
  for (const axis of axes)
    for (const way of [axis, scale(axis, -1)])
      for (const goes of lastOnes(lot, way, room)) {
        const going = new Set(goes);
        const undoes = bonds.filter((b) => b.binds.some((p) => going.has(p)) && b.binds.some((p) => !going.has(p)));
        // Screws are undone each with its tool; threads turn, and two that do not lie on one line cannot turn at once.
        if (undoes.some((b) => b.hardware.length > 0)) continue;
        if (undoes.some((b) => b.turnsAbout) && undoes.length > 1) continue;
        tried.push({ undoes, way, cost: undoes.reduce((sum, b) => sum + (b.connection.reversible ? 1 : 10), 0) });
      }
  for (const { undoes, way } of tried.sort((a, b) => a.cost - b.cost)) {
    const parts = lotsOf(
      lot,
      bonds.filter((b) => !undoes.includes(b)),
    );
    const leaves = leaving(parts, undoes, room, way);
    if (leaves) return { undoes, leaves, unreached: false };
  }
  return null;
}

/** Sets of pieces that block one another along a way and are blocked by no other: they can go together. None where that is the whole lot. */
function lastOnes(lot: readonly number[], way: Vec3, room: Room): readonly (readonly number[])[] {
  const places = new Map(lot.map((p, j) => [p, j]));
  const next = lot.map((a) => room.metBy(a, way).flatMap((b) => places.get(b) ?? []));
  return strongLots(next)
    .filter((set) => {
      const own = new Set(set);
      return set.length < lot.length && set.every((i) => next[i]!.every((j) => own.has(j)));
    })
    .map((set) => set.map((i) => lot[i]!));
}

/** Strongly connected sets of a directed graph (Tarjan 1972), without recursion. */
export function strongLots(next: readonly (readonly number[])[]): readonly (readonly number[])[] {
  const index = new Int32Array(next.length).fill(-1);
  const low = new Int32Array(next.length);
  const onStack = new Uint8Array(next.length);
  const stack: number[] = [];
  const found: number[][] = [];
  let count = 0;
  for (let root = 0; root < next.length; root++) {
    if (index[root] !== -1) continue;
    const calls: { readonly node: number; at: number }[] = [];
    const enter = (node: number): void => {
      index[node] = low[node] = count++;
      stack.push(node);
      onStack[node] = 1;
      calls.push({ node, at: 0 });
    };
    enter(root);
    while (calls.length > 0) {
      const call = calls.at(-1)!;
      const { node } = call;
      const to = next[node]![call.at++];
      if (to === undefined) {
        calls.pop();
        const above = calls.at(-1);
        if (above) low[above.node] = Math.min(low[above.node]!, low[node]!);
        if (low[node] !== index[node]) continue;
        const set: number[] = [];
        for (let p = -1; p !== node;) {
          p = stack.pop()!;
          onStack[p] = 0;
          set.push(p);
        }
        found.push(set);
      } else if (index[to] === -1) enter(to);
      else if (onStack[to]) low[node] = Math.min(low[node]!, index[to]!);
    }
  }
  return found;
}

const NEEDS_ROOM = new Set(['socketed', 'slidOn', 'seated']);

/** Off first: what waits for the hanging rig, what is packed, what turns, what comes apart without harm; then what was said last. */
const inOrderOff = (bonds: readonly Bond[]): readonly Bond[] =>
  bonds
    .map((bond, i) => ({ bond, i, rank: rankOf(bond) }))
    .sort((a, b) => a.rank - b.rank || b.i - a.i)
    .map((b) => b.bond);

function rankOf({ connection: c }: Bond): number {
  if (c.last) return 0;
  if (c.comesApart) return 1;
  if (c.kind === 'hinged') return 2;
  if (c.kind === 'laid') return 3;
  if (c.kind === 'slidOn') return 4;
  if (c.kind === 'seated') return 8;
  if (!c.reversible) return 7;
  return c.kind === 'socketed' ? 6 : 5;
}

/** Pieces that hang together by the connections given. */
export function lotsOf(pieces: readonly number[], bonds: readonly Bond[]): (readonly number[])[] {
  const root = new Map(pieces.map((p) => [p, p]));
  const find = (p: number): number => {
    let at = p;
    while (root.get(at) !== at) at = root.get(at)!;
    return at;
  };
  for (const { binds } of bonds) {
    const here = binds.filter((p) => root.has(p));
    for (const p of here.slice(1)) root.set(find(p), find(here[0]!));
  }
  const lots = new Map<number, number[]>();
  for (const p of pieces) {
    const lot = lots.get(find(p));
    if (lot) lot.push(p);
    else lots.set(find(p), [p]);
  }
  return [...lots.values()];
}
