/** Where two straight members of a body meet without a fitting, each is sawn off at the plane half-way between them; along its long side it reaches past their node. */
import { cross, dot, length, scale, subtract, unit, type Vec3 } from '../../0-base';
import type { Body, Member } from '../../model';

/** What lies on the far side, to which the normal points, is sawn off. */
export interface Plane {
  readonly normal: Vec3;
  readonly at: Vec3;
}
export interface Mitre {
  readonly plane: Plane;
  readonly end: 'from' | 'to';
  /** Off square, rad. */
  readonly lean: number;
  /** How far its long side reaches past the node, m. */
  readonly past: number;
}

/** Two that lie on each other have no plane between them. */
const SAME_WAY = 1e-6;
/** Leaner than this (cosine; 80 degrees) no saw cuts, and no length is told. */
const LEANEST = Math.cos((80 * Math.PI) / 180);

type Framed = Pick<Body, 'nodes' | 'joints' | 'members'>;
const known = new WeakMap<
  readonly Member[],
  { readonly of: Framed; readonly mitres: ReadonlyMap<string, readonly Mitre[]> }
>();

/** The mitres of each member that has any, by its id. A body's lists never change: each is looked through once. */
export function mitresOf(body: Framed): ReadonlyMap<string, readonly Mitre[]> {
  const before = known.get(body.members);
  if (before?.of.nodes === body.nodes && before.of.joints === body.joints) return before.mitres;
  const mitres = found(body);
  known.set(body.members, { of: body, mitres });
  return mitres;
}

function found({ nodes, joints, members }: Framed): ReadonlyMap<string, readonly Mitre[]> {
  const straight = members.filter((m) => m.path.kind === 'straight');
  const at = new Map(nodes.map((n) => [n.id, n.at]));
  const fitted = new Set(joints.map((j) => j.node));
  const mitres = new Map<string, Mitre[]>();
  for (const node of nodes) {
    const meet = fitted.has(node.id) ? [] : straight.filter((m) => m.from === node.id || m.to === node.id);
    if (meet.length !== 2) continue;
    const runs = meet.map((m) => subtract(at.get(m.from === node.id ? m.to : m.from)!, node.at));
    if (runs.some((r) => length(r) < SAME_WAY)) continue;
    const [first, second] = runs.map(unit);
    const across = subtract(first!, second!);
    if (length(across) < SAME_WAY) continue;
    [1, -1].forEach((side, i) => {
      const member = meet[i]!;
      const plane = { normal: scale(unit(across), -side), at: node.at };
      const mitre = mitreOf(member, plane, member.from === node.id ? 'from' : 'to', unit(runs[i]!));
      mitres.set(member.id, [...(mitres.get(member.id) ?? []), mitre]);
    });
  }
  return mitres;
}

/** The plane goes through the node: a point of the outline so far across the member as `reach` along the normal lies reach / cos further on. */
function mitreOf({ stock, path }: Member, plane: Plane, end: 'from' | 'to', run: Vec3): Mitre {
  const steep = Math.abs(dot(plane.normal, run));
  const lean = Math.acos(Math.min(1, steep));
  const wanted: Vec3 = path.kind === 'straight' ? path.widthDirection : [0, 1, 0];
  const width = unit(subtract(wanted, scale(run, dot(wanted, run))));
  const [w, t] = [dot(plane.normal, width), dot(plane.normal, cross(run, width))].map(Math.abs) as [number, number];
  const { section } = stock;
  const reach =
    section.kind === 'tube' || section.kind === 'rod'
      ? ((section.kind === 'tube' ? section.outerDiameter : section.diameter) / 2) * Math.hypot(w, t)
      : (section.width / 2) * w + ((section.kind === 'flat' ? section.thickness : section.height) / 2) * t;
  return { plane, end, lean, past: steep < LEANEST ? 0 : reach / steep };
}

/** How far a member reaches past its nodes for its mitres, m. */
export function pastNodes(member: Member, body: Framed): { readonly from: number; readonly to: number } {
  const own = mitresOf(body).get(member.id) ?? [];
  const past = (end: Mitre['end']): number => own.find((m) => m.end === end)?.past ?? 0;
  return { from: past('from'), to: past('to') };
}
