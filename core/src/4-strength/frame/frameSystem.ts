/** A frame model's equations: stiffness and mass as skylines over the free unknowns, in an order that keeps them narrow. */
import { NO_INERTIA, subtract, type Mat3, type Vec3 } from '../../0-base';
import { narrowOrder } from '../solver/ordering';
import { addTo, skyline, type Skyline } from '../solver/skyline';
import { sandwiched, transposedTimes } from '../solver/small';
import { carried } from './carried';
import type { EndSpring, FrameLink, FrameModel } from './frameModel';
import { memberPieces, type MemberPiece } from './memberPieces';

/** One thing that couples a few unknowns. */
export interface Element {
  /** The frame's unknowns that its rows stand for. */
  readonly unknowns: readonly number[];
  readonly stiffness: Float64Array | null;
  readonly mass: Float64Array | null;
  /** Rows × 3: what a field of one m/s² along x, y, z puts on it. */
  readonly weight: Float64Array | null;
  /** A support's springs: what they bear comes from outside. */
  readonly toGround?: true;
  /** Which of the model's links it is. */
  readonly link?: number;
  /** Which piece of a member it is, and how its unknowns move that piece's twelve (12 × unknowns). */
  readonly beam?: { readonly member: number; readonly piece: MemberPiece; readonly ends: Float64Array };
}
/** What gives at a member's end: its unknowns are how far that end has moved off its node, member's own axes. */
export interface SpringEnd {
  readonly member: number;
  readonly end: 'from' | 'to';
  readonly axes: Mat3;
  /** Which element it is an end of. */
  readonly element: number;
  /** Which of along xyz, about xyz it is; which unknown; N/m or N m/rad. */
  readonly parts: readonly { readonly axis: number; readonly unknown: number; readonly stiffness: number }[];
}
export interface FrameSystem {
  readonly model: FrameModel;
  /** All unknowns, held ones too. */
  readonly count: number;
  /** The first of a node's six. */
  readonly unknownOf: ReadonlyMap<string, number>;
  readonly elements: readonly Element[];
  readonly springs: readonly SpringEnd[];
  /** Row of each unknown in the matrices; -1 held. */
  readonly row: Int32Array;
  readonly stiffness: Skyline;
  readonly mass: Skyline;
}

/** `pieces`: how many short beams each member is cut into. Nodes that a member names but the model has not throw. */
export function frameSystem(model: FrameModel, pieces: (member: number) => number): FrameSystem {
  const unknownOf = new Map<string, number>();
  /** Unknowns that belong at one place: what the order is made of. */
  const groups: number[][] = [];
  let count = 0;
  const group = (size: number): number[] => {
    const made = Array.from({ length: size }, () => count++);
    groups.push(made);
    return made;
  };
  for (const node of model.nodes.keys()) unknownOf.set(node, group(6)[0]!);
  const sixOf = (node: string): readonly number[] => {
    const first = unknownOf.get(node);
    if (first === undefined) throw new RangeError(`The frame has no node “${node}”.`);
    return Array.from({ length: 6 }, (_, i) => first + i);
  };
  const elements: Element[] = [];
  const springs: SpringEnd[] = [];
  model.members.forEach((member, index) => {
    const ends = [member.from, member.to].map((n) => model.nodes.get(n)) as [Vec3, Vec3];
    const [start, end] = [sixOf(member.from), sixOf(member.to)];
    const cut = memberPieces(member, ends, model.theory, pieces(index));
    let before = start;
    cut.forEach((piece, i) => {
      const isLast = i === cut.length - 1;
      const after = isLast ? end : group(6);
      const given = [
        ...(i === 0 && member.startSpring ? [{ end: 'from' as const, spring: member.startSpring, first: 0 }] : []),
        ...(isLast && member.endSpring ? [{ end: 'to' as const, spring: member.endSpring, first: 6 }] : []),
      ];
      elements.push(
        sprung(piece, [...before, ...after], given, index, (axes, side, spring) => {
          const parts = softParts(spring);
          const own = group(parts.length);
          const made = parts.map((p, k) => ({ ...p, unknown: own[k]! }));
          springs.push({ member: index, end: side, axes, element: elements.length, parts: made });
          return made;
        }),
      );
      before = after;
    });
  });
  model.links.forEach((link, i) => elements.push({ ...linkElement(link, model, sixOf), link: i }));
  for (const { node, mass, offset, inertia } of model.equipment)
    elements.push({ unknowns: sixOf(node), stiffness: null, ...rigidMass(mass, offset, inertia) });
  const isHeld = new Uint8Array(count);
  for (const { node, fixed, stiffness } of model.supports) {
    const six = sixOf(node);
    fixed?.forEach((is, i) => is && (isHeld[six[i]!] = 1));
    if (stiffness)
      elements.push({ unknowns: six, stiffness: diagonal(stiffness), mass: null, weight: null, toGround: true });
  }
  return { model, count, unknownOf, elements, springs, ...assembled(elements, groups, isHeld) };
}

const softParts = ({ along, about }: EndSpring): { axis: number; stiffness: number }[] =>
  [...along, ...about].map((stiffness, axis) => ({ axis, stiffness })).filter((p) => p.stiffness < Infinity);

/** A piece whose ends may have moved off their nodes: u(end) = u(node) + what the springs there have given. */
function sprung(
  piece: MemberPiece,
  outer: readonly number[],
  given: readonly { end: 'from' | 'to'; spring: EndSpring; first: number }[],
  member: number,
  made: (axes: Mat3, end: 'from' | 'to', spring: EndSpring) => SpringEnd['parts'],
): Element {
  const extra = given.flatMap(({ end, spring, first }) => {
    const axes = piece.endAxes[end === 'from' ? 0 : 1];
    return made(axes, end, spring).map((part) => ({ ...part, axes, first }));
  });
  const size = 12 + extra.length;
  const ends = new Float64Array(12 * size);
  for (let i = 0; i < 12; i++) ends[i * size + i] = 1;
  extra.forEach(({ axis, axes, first }, k) => {
    const way = axes[axis % 3]!;
    for (let i = 0; i < 3; i++) ends[(first + (axis < 3 ? 0 : 3) + i) * size + 12 + k] = way[i]!;
  });
  const plain = extra.length === 0;
  const stiffness = plain ? piece.stiffness : sandwiched(piece.stiffness, ends, 12, size);
  extra.forEach(({ stiffness: k }, i) => (stiffness[(12 + i) * size + 12 + i]! += k));
  return {
    unknowns: [...outer, ...extra.map((p) => p.unknown)],
    stiffness,
    mass: plain ? piece.mass : sandwiched(piece.mass, ends, 12, size),
    weight: plain ? piece.weight : transposedTimes(ends, piece.weight, 12, size, 3),
    beam: { member, piece, ends },
  };
}

const diagonal = (six: readonly number[]): Float64Array => {
  const k = new Float64Array(36);
  six.forEach((value, i) => (k[i * 7] = value));
  return k;
};

/** A rigid mass on a node: its mass and inertia there, and its weight with the moment of its arm. */
export function rigidMass(
  mass: number,
  offset: Vec3,
  inertia: Mat3 = NO_INERTIA,
): Pick<Element, 'mass' | 'weight'> & { mass: Float64Array; weight: Float64Array } {
  const own = new Float64Array(36);
  for (let i = 0; i < 3; i++) {
    own[i * 7] = mass;
    for (let j = 0; j < 3; j++) own[(3 + i) * 6 + 3 + j] = inertia[i]![j]!;
  }
  const b = carried(offset);
  const field = new Float64Array(18);
  for (let i = 0; i < 3; i++) field[i * 3 + i] = mass;
  return { mass: sandwiched(own, b, 6, 6), weight: transposedTimes(b, field, 6, 6, 3) };
}

function linkElement(link: FrameLink, model: FrameModel, sixOf: (node: string) => readonly number[]): Element {
  // How far the `to` side has moved off the `from` side where they meet, link's axes, from both nodes' twelve.
  const apart = new Float64Array(72);
  for (const [side, node, sign] of [
    [0, link.from, -1],
    [1, link.to, 1],
  ] as const) {
    const moved = carried(subtract(link.at, model.nodes.get(node)!));
    for (let half = 0; half < 2; half++)
      for (let i = 0; i < 3; i++)
        for (let j = 0; j < 6; j++) {
          let sum = 0;
          for (let k = 0; k < 3; k++) sum += link.axes[i]![k]! * moved[(3 * half + k) * 6 + j]!;
          apart[(3 * half + i) * 12 + 6 * side + j] = sign * sum;
        }
  }
  return {
    unknowns: [...sixOf(link.from), ...sixOf(link.to)],
    stiffness: sandwiched(diagonal(link.stiffness), apart, 6, 12),
    mass: null,
    weight: null,
  };
}

function assembled(
  elements: readonly Element[],
  groups: readonly (readonly number[])[],
  isHeld: Uint8Array,
): Pick<FrameSystem, 'row' | 'stiffness' | 'mass'> {
  const groupOf = new Int32Array(isHeld.length);
  groups.forEach((group, g) => group.forEach((u) => (groupOf[u] = g)));
  const met = groups.map(() => new Set<number>());
  for (const { unknowns } of elements) {
    const own = [...new Set(unknowns.filter((u) => !isHeld[u]).map((u) => groupOf[u]!))];
    for (const a of own) for (const b of own) if (a !== b) met[a]!.add(b);
  }
  const row = new Int32Array(isHeld.length).fill(-1);
  let size = 0;
  for (const g of narrowOrder(met.map((s) => [...s]))) for (const u of groups[g]!) if (!isHeld[u]) row[u] = size++;
  const first = Int32Array.from({ length: size }, (_, i) => i);
  for (const { unknowns } of elements) {
    const rows = unknowns.map((u) => row[u]!).filter((r) => r >= 0);
    const least = Math.min(...rows);
    for (const r of rows) first[r] = Math.min(first[r]!, least);
  }
  const [stiffness, mass] = [skyline(first), skyline(first)];
  for (const { unknowns, stiffness: k, mass: m } of elements) {
    if (k) spreadInto(stiffness, k, unknowns, row);
    if (m) spreadInto(mass, m, unknowns, row);
  }
  return { row, stiffness, mass };
}

/** The same frame with its links so many times as stiff; only for what its matrices alone answer. */
export function withLinks(system: FrameSystem, times: (link: number) => number): FrameSystem {
  const { stiffness, elements, row } = system;
  const other = { ...stiffness, values: Float64Array.from(stiffness.values) };
  for (const { link, stiffness: k, unknowns } of elements) {
    if (link === undefined || !k) continue;
    const more = times(link) - 1;
    if (more !== 0)
      spreadInto(
        other,
        k.map((x) => x * more),
        unknowns,
        row,
      );
  }
  return { ...system, stiffness: other };
}

/** Adds an element's matrix to the frame's. */
export function spreadInto(into: Skyline, from: Float64Array, unknowns: readonly number[], row: Int32Array): void {
  const n = unknowns.length;
  for (let i = 0; i < n; i++) {
    const r = row[unknowns[i]!]!;
    if (r < 0) continue;
    for (let j = 0; j < n; j++) {
      const c = row[unknowns[j]!]!;
      if (c >= 0 && c <= r) addTo(into, r, c, from[i * n + j]!);
    }
  }
}
