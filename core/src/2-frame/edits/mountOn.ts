/** The load stands on a plate of the maker's choice: its foot, the way it looks, and the screw that holds it go there. */
import {
  add,
  addScaled,
  alignZ,
  cross,
  dot,
  IDENTITY,
  materialOf,
  quaternionOf,
  rotationOf,
  subtract,
  unit,
  type Vec3,
} from '../../0-base';
import type { Body, Bolted, Part, Rig } from '../../model';
import { piecesHeld } from '../connections/kinds';
import { intoCamera } from '../parts/camera';
import { removed } from './removed';

/** The face of a plate or board that looks up: where its middle is, which ways it lies, how far it goes, m. */
export interface UpperFace {
  readonly middle: Vec3;
  readonly up: Vec3;
  readonly forward: Vec3;
  readonly left: Vec3;
  /** Half of it, forward and to the left of its middle. */
  readonly reach: readonly [number, number];
  readonly thick: number;
}
/** A face that looks up less than this (cosine) is a side. */
const LEVEL = 0.7;

/** Null for what is round, hollow, soft, or stands on edge. */
export function upperFace({ shape, at, turn, material }: Part): UpperFace | null {
  if (shape.kind !== 'box' || shape.bore || (material && materialOf(material)?.look === 'rubber')) return null;
  const r = turn ? rotationOf(turn) : IDENTITY;
  const column = (k: 0 | 1 | 2): Vec3 => [r[0][k], r[1][k], r[2][k]];
  const steep = ([0, 1, 2] as const).filter((i) => Math.abs(r[2][i]) >= LEVEL);
  const [k] = steep;
  if (k === undefined) return null;
  const up = addScaled([0, 0, 0], column(k), Math.sign(r[2][k]));
  const forward = unit(subtract([1, 0, 0], addScaled([0, 0, 0], up, up[0])));
  const left = cross(up, forward);
  const flat = ([0, 1, 2] as const).filter((i) => i !== k);
  const half = (way: Vec3): number =>
    flat.reduce<number>((sum, i) => sum + (Math.abs(dot(column(i), way)) * shape.size[i]) / 2, 0);
  return {
    middle: addScaled(at, up, shape.size[k] / 2),
    up,
    forward,
    left,
    reach: [half(forward), half(left)],
    thick: shape.size[k],
  };
}

/** How far the load's foot stands forward and left of the middle of what carries it; null where more than the screw's own plate lies under it. */
export function mountedAt(body: Body, part: Part): { readonly forward: number; readonly left: number } | null {
  const face = part.mount && upperFace(part);
  const screw = body.connections?.find((c) => c.kind === 'bolted' && c.end.kind === 'camera');
  if (!part.mount || !face || screw?.kind !== 'bolted') return null;
  const [only, more] = screw.stack;
  if (more || only?.kind !== 'piece' || only.piece !== part.id) return null;
  const off = subtract(part.mount, face.middle);
  return { forward: dot(off, face.forward), left: dot(off, face.left) };
}

/** Null where there is no such plate, where it is a lug of another piece, or the place is past its edge. */
export function mountedOn(
  rig: Rig,
  { target, forward, left }: { readonly target: string; readonly forward: number; readonly left: number },
): Rig | null {
  const plate = rig.bodies.flatMap((b) => b.parts).find((p) => p.id === target && !p.by && !p.of);
  const face = plate && upperFace(plate);
  if (!face || Math.abs(forward) > face.reach[0] || Math.abs(left) > face.reach[1]) return null;
  const foot = add(face.middle, addScaled(addScaled([0, 0, 0], face.forward, forward), face.left, left));
  const isLevel = face.up[2] > 1 - 1e-12;
  const turn = isLevel ? {} : { mountTurn: quaternionOf(alignZ(face.up)) };
  const before = rig.bodies
    .flatMap((b) => b.connections ?? [])
    .find((c) => c.kind === 'bolted' && c.end.kind === 'camera');
  const screw = intoCamera({
    on: target,
    point: addScaled(foot, face.up, -face.thick),
    way: face.up,
    stack: [{ kind: 'piece', piece: target }],
    ...(before?.kind === 'bolted'
      ? { thread: before.thread, end: before.end, ...(before.head ? { head: before.head } : {}) }
      : {}),
  });
  const moved: Rig = {
    ...rig,
    bodies: rig.bodies.map((b) => {
      const isHere = b.parts.includes(plate);
      const kept = (b.connections ?? []).filter((c) => c.kind !== 'bolted' || c.end.kind !== 'camera');
      const connections = isHere ? [...kept, screw] : kept;
      return {
        ...b,
        parts: b.parts.map((p) => (p === plate ? { ...withoutMount(p), mount: foot, ...turn } : withoutMount(p))),
        ...(b.connections || isHere ? { connections } : {}),
      };
    }),
  };
  return before?.kind === 'bolted' ? withoutPads(moved, before, target) : moved;
}

/** A pad or washer that nothing but the camera's screw held goes with it. */
function withoutPads(rig: Rig, screw: Bolted, target: string): Rig {
  const held = (id: string): boolean =>
    rig.bodies.some((b) =>
      b.connections?.some((c) => piecesHeld(c).includes(id) && !(c.kind === 'seated' && c.through?.includes(id))),
    );
  const parts = new Set(rig.bodies.flatMap((b) => b.parts.map((p) => p.id)));
  const loose = screw.stack.flatMap((l) => (l.kind === 'piece' && parts.has(l.piece) ? [l.piece] : []));
  return loose.filter((id) => id !== target && !held(id)).reduce<Rig>((left, id) => removed(left, id) ?? left, rig);
}

function withoutMount(part: Part): Part {
  const { mount, mountTurn: _turn, screw: _screw, ...rest } = part;
  return mount ? rest : part;
}
