/**
 * Pipes joined by fittings, laid out from one node by cut lengths: each next node lies where the pipe, its two fittings
 * and what stands short of home put it. The fittings are found from the directions that meet.
 */
import { addScaled, length, scale, subtract, unit, type Vec3 } from '../../0-base';
import type { Hold, Joint, Member, Node } from '../../model';
import { FITTING_NAMES, fittingFor, hubOf } from './fittingFor';
import { jointFacts } from './jointFacts';
import type { PipeSize, PipeSystem } from '../parts/pipes';

export interface Run {
  readonly id: string;
  readonly name: string;
  readonly from: string;
  readonly to: string;
  readonly direction: Vec3;
  /** Length sawn, m. */
  readonly cut: number;
  readonly twin?: string;
}
export interface PipeworkInput {
  readonly pipe: { readonly system: PipeSystem; readonly size: PipeSize };
  readonly start: { readonly node: string; readonly at: Vec3 };
  readonly runs: readonly Run[];
  /** How far every pipe stops short of home at each end, m, and its standard uncertainty. */
  readonly short?: { readonly value: number; readonly spread: number };
  /** Nodes without a fitting: a bare end, or a pipe that runs on through a bolt. */
  readonly bare?: readonly string[];
  /** Joints put together dry to come apart in the bag, whatever the rest is held by. */
  readonly dry?: readonly string[];
  /** Where two pipes in one line meet in a union instead of a coupling, which does not turn. */
  readonly unions?: readonly string[];
  /** Ways of a fitting that nothing goes into. */
  readonly open?: Readonly<Record<string, readonly Vec3[]>>;
  /** Parts fastened at a node, besides the pipes. */
  readonly fastens?: Readonly<Record<string, readonly string[]>>;
  readonly twins?: Readonly<Record<string, string>>;
}
export interface Bare {
  readonly from: Vec3;
  readonly to: Vec3;
}
export interface Pipework {
  readonly nodes: readonly Node[];
  readonly members: readonly Member[];
  readonly joints: readonly Joint[];
  at(node: string): Vec3;
  /** What of a pipe stands free of the fittings at its ends. */
  bare(run: string): Bare;
  /** Largest gap where runs close on themselves, m: zero when the ring is true. */
  readonly gap: number;
}

export function pipework(input: PipeworkInput): Pipework {
  const {
    pipe: { system, size },
    runs,
    short = { value: 0, spread: 0 },
  } = input;
  const ways = new Map<string, { direction: Vec3; run: string }[]>();
  const way = (node: string, direction: Vec3, run: string): void =>
    void ways.set(node, [...(ways.get(node) ?? []), { direction: unit(direction), run }]);
  for (const run of runs) {
    way(run.from, run.direction, run.id);
    way(run.to, scale(run.direction, -1), run.id);
  }
  const joints = [...ways]
    .filter(([node]) => !input.bare?.includes(node))
    .map(([node, list]) => jointAt(input, node, list, system, size));
  const takeOff = new Map<string, number>();
  for (const joint of joints)
    for (const [i, { run }] of ways.get(joint.node)!.entries())
      takeOff.set(`${joint.node} ${run}`, joint.hub?.sockets[i]?.takeOff ?? 0);
  const places = new Map<string, Vec3>([[input.start.node, input.start.at]]);
  let gap = 0;
  for (let waiting = [...runs]; waiting.length > 0;) {
    const next = waiting.find((r) => places.has(r.from) || places.has(r.to));
    if (!next) throw new RangeError(`the run “${waiting[0]!.id}” does not meet the rest`);
    waiting = waiting.filter((r) => r !== next);
    const capped = (node: string): number => (input.bare?.includes(node) ? 0 : short.value);
    const reach =
      next.cut +
      (takeOff.get(`${next.from} ${next.id}`) ?? 0) +
      (takeOff.get(`${next.to} ${next.id}`) ?? 0) +
      capped(next.from) +
      capped(next.to);
    const [known, other, sense] = places.has(next.from) ? [next.from, next.to, 1] : [next.to, next.from, -1];
    const at = addScaled(places.get(known)!, unit(next.direction), sense * reach);
    const before = places.get(other);
    if (before) gap = Math.max(gap, length(subtract(before, at)));
    else places.set(other, at);
  }
  const placeOf = (node: string): Vec3 => {
    const place = places.get(node);
    if (!place) throw new RangeError(`no node “${node}”`);
    return place;
  };
  const twinOf = (id: string): { twin: string } | Record<string, never> =>
    input.twins?.[id] ? { twin: input.twins[id] } : {};
  const quantity =
    short.value === 0 && short.spread === 0
      ? null
      : { value: short.value, spread: short.spread, source: `how far ${size.stock.name} is pushed home` };
  const ends = (run: Run): Pick<Member, 'shortBy'> => {
    const one = (node: string) => (quantity && !input.bare?.includes(node) ? quantity : { value: 0 });
    return quantity ? { shortBy: [one(run.from), one(run.to)] } : {};
  };
  return {
    nodes: [...places].map(([id, at]) => ({ id, at, ...twinOf(id) })),
    members: runs.map((run) => ({
      id: run.id,
      name: run.name,
      from: run.from,
      to: run.to,
      stock: size.stock,
      leftLong: 0,
      holes: [],
      ...ends(run),
      path: { kind: 'straight', widthDirection: Math.abs(unit(run.direction)[1]) > 0.9 ? [1, 0, 0] : [0, 1, 0] },
      ...(run.twin ? { twin: run.twin } : {}),
    })),
    joints,
    at: placeOf,
    bare: (id) => {
      const run = runs.find((r) => r.id === id);
      if (!run) throw new RangeError(`no run “${id}”`);
      const reach = (node: string): number => {
        const socket = joints.find((j) => j.node === node)?.hub?.sockets[
          ways.get(node)!.findIndex((w) => w.run === id)
        ];
        return socket ? socket.takeOff + socket.depth : 0;
      };
      const way = unit(run.direction);
      return {
        from: addScaled(placeOf(run.from), way, reach(run.from)),
        to: addScaled(placeOf(run.to), way, -reach(run.to)),
      };
    },
    gap,
  };
}

/** What holds where nothing may set. */
export const dryHold = ({ hold }: Pick<PipeSystem, 'hold'>): Hold => (hold === 'threaded' ? hold : 'pressed');

function jointAt(
  input: PipeworkInput,
  node: string,
  list: readonly { direction: Vec3; run: string }[],
  system: PipeSystem,
  size: PipeSize,
): Joint {
  const ways = [...list.map((w) => w.direction), ...(input.open?.[node] ?? [])];
  const found = fittingFor(system, size, ways);
  const isDry = input.dry?.includes(node) ?? false;
  // A thread is screwed, whether or not it comes apart.
  const hold: Hold = isDry ? dryHold(system) : system.hold;
  const isUnion = found.kind === 'fits' && found.fitting === 'coupling' && input.unions?.includes(node);
  const fitting = isUnion ? 'union' : found.kind === 'fits' ? found.fitting : 'weld';
  const facts = jointFacts({ fitting, hold });
  const hub = isUnion ? hubOf('union', system, size, ways) : found.kind === 'fits' ? found.hub : null;
  return {
    id: `joint-${node}`,
    name: found.kind === 'fits' ? FITTING_NAMES[fitting] : 'no fitting',
    node,
    fitting,
    hold,
    joins: [...list.map((w) => w.run), ...(input.fastens?.[node] ?? [])],
    reversible: facts.reversible,
    packs: isDry || facts.packs,
    dryingTime: isDry ? 0 : system.dryingTime,
    ...(hub ? { hub } : {}),
  };
}
