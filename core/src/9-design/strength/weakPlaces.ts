/** Where a rig is weakest or bends most, as straight lengths of its pieces that something could be glued along, with what stands round them. */
import { dot, multiply, subtract, transform, type Change, type Mat3, type Vec3 } from '../../0-base';
import { boundingBox, type FlatBody } from '../../1-load';
import { faceOf, placedPieces, SHORTEST_DOUBLER, type Assembly, type Face } from '../../2-frame';
import type { RigStrength } from '../../4-strength';
import type { Body } from '../../model';
import type { Workpiece } from '../derive';

/** From and to, m along a face. */
export type Stretch = readonly [number, number];
export type Doubling = Extract<Change, { kind: 'double' }>;
/** What stands beside a place, in its own measure from the face's start: wherever the adjusters bring it. Hardware names the connection that brings it. */
export interface Beside {
  readonly flat: FlatBody;
  readonly by: string | null;
  /** From least to most along the face, across it and out of it, m. */
  readonly reach: readonly [Stretch, Stretch, Stretch];
}
export interface WeakPlace {
  readonly body: Body;
  /** What the piece is called, and both where it has a twin. */
  readonly called: string;
  readonly target: string;
  readonly face: Face;
  /** Where it is strained most; null: not known. */
  readonly weak: Vec3 | null;
  readonly beside: readonly Beside[];
  /** What it is glued to, and the member that it would be. */
  readonly where: (lies: Doubling['lies']) => Pick<Doubling, 'kind' | 'id' | 'body' | 'target' | 'stretch' | 'lies'>;
  /** The same of its twin. */
  readonly twin: { readonly face: Face; readonly where: WeakPlace['where'] } | null;
}

/** So many pieces, the most strained and those that swing most, are looked at. */
const PIECES = 5;
/** Left free beside what stands there, m. */
export const CLEAR = 0.002;
/** To either side of the weakest place, m. */
const ROUND_IT = 0.05;

export function weakPlaces({ rig, assembly }: Workpiece, now: RigStrength): readonly WeakPlace[] {
  const settings = everySetting(assembly);
  const by = new Map(rig.bodies.flatMap((b) => b.parts.flatMap((p) => (p.by ? [[p.id, p.by] as const] : []))));
  const solids = assembly.pieces.map((p) => p.flat);
  const known = new Set(rig.bodies.flatMap((b) => b.members).map((m) => m.id));
  // Two on different places go together, so they are called otherwise.
  const idFor = (target: string, stretch: number, lies: string): string => {
    const id = `${target}-${lies}-${stretch + 1}`;
    let n = 1;
    while (known.has(n === 1 ? id : `${id}-${n}`)) n++;
    return n === 1 ? id : `${id}-${n}`;
  };
  const seen = new Set<string>();
  return weakest(now)
    .flatMap(({ piece, at }) => {
      const body = rig.bodies.find((b) => [...b.members, ...b.parts].some((e) => e.id === piece));
      const of = body && [...body.members, ...body.parts].find((e) => e.id === piece);
      if (!body || !of || by.has(piece) || seen.has(piece)) return [];
      seen.add(piece);
      if (of.twin) seen.add(of.twin);
      return [{ body, of, at }];
    })
    .slice(0, PIECES)
    .flatMap(({ body, of: { id: target, name, twin }, at }) => {
      const own = solids.filter((f) => f.owner === target);
      const mirrored = twin === undefined ? [] : solids.filter((f) => f.owner === twin);
      return own.flatMap((solid, stretch): WeakPlace[] => {
        const face = faceOf(solid);
        if (!face || face.size < SHORTEST_DOUBLER) return [];
        const onto =
          (piece: string): WeakPlace['where'] =>
          (lies) => ({ kind: 'double', id: idFor(piece, stretch, lies), body: body.id, target: piece, stretch, lies });
        const other = mirrored[stretch] ? faceOf(mirrored[stretch]) : null;
        return [
          {
            body,
            called: other ? `${name}, and its twin` : name,
            target,
            face,
            weak: at,
            beside: besideOf(settings, target, stretch, by),
            where: onto(target),
            twin: other && { face: other, where: onto(twin!) },
          },
        ];
      });
    });
}

/** By how near they are to what they hold, or how much of the lowest swing is in them. */
function weakest({ strains, modes }: RigStrength): readonly { readonly piece: string; readonly at: Vec3 | null }[] {
  const at = new Map(strains.map((s) => [s.piece, s.at]));
  const score = new Map(strains.map((s) => [s.piece, s.wanted / s.reserve]));
  for (const { id, kind, share } of modes[0]?.livesIn ?? [])
    if (kind === 'piece') score.set(id, Math.max(score.get(id) ?? 0, share));
  return [...score].sort((a, b) => b[1] - a[1]).map(([piece]) => ({ piece, at: at.get(piece) ?? null }));
}

type Setting = ReadonlyMap<string, FlatBody>;
/** As drawn, and with each adjuster at either end; by body and place in its owner. */
const everySetting = (assembly: Assembly): readonly Setting[] =>
  [{}, ...assembly.rig.adjusters.flatMap(({ id, range }) => range.map((end) => ({ [id]: end })))].map((values) => {
    const count = new Map<string, number>();
    return new Map(
      placedPieces(assembly, values).map(({ flat, isLoad }) => {
        const owner = `${isLoad ? 'load ' : ''}${flat.owner}`;
        const n = count.get(owner) ?? 0;
        count.set(owner, n + 1);
        return [`${owner}#${n}`, flat];
      }),
    );
  });

function besideOf(
  settings: readonly Setting[],
  target: string,
  stretch: number,
  by: ReadonlyMap<string, string>,
): readonly Beside[] {
  const found = new Map<string, Beside>();
  for (const setting of settings) {
    const solid = setting.get(`${target}#${stretch}`);
    const face = solid && faceOf(solid);
    if (!face) continue;
    for (const [key, flat] of setting) {
      if (flat.owner === target && key.startsWith(`${target}#`)) continue;
      const reach = extents(flat, face);
      const known = found.get(key)?.reach;
      found.set(key, {
        flat: found.get(key)?.flat ?? flat,
        by: by.get(flat.owner) ?? null,
        reach: known ? (known.map((k, i) => both(k, reach[i]!)) as unknown as Beside['reach']) : reach,
      });
    }
  }
  return [...found.values()];
}
const both = (a: Stretch, b: Stretch): Stretch => [Math.min(a[0], b[0]), Math.max(a[1], b[1])];

function extents(flat: FlatBody, { start, along, across, out }: Face): Beside['reach'] {
  const axes: Mat3 = [along, across, out];
  const [low, high] = boundingBox({
    shape: flat.shape,
    at: transform(axes, subtract(flat.at, start)),
    rotation: multiply(axes, flat.rotation),
  });
  return [
    [low[0], high[0]],
    [low[1], high[1]],
    [low[2], high[2]],
  ];
}

/** All that is free where it is weakest, or the longest free stretch; and what of it lies round that place. */
export function spots({ face, weak }: WeakPlace, blocked: readonly Stretch[], most: number): readonly Stretch[] {
  const u = weak && dot(subtract(weak, face.start), face.along);
  const long = [...free(face.size, blocked)].sort((a, b) => b[1] - b[0] - (a[1] - a[0]));
  const stretch = long.find(([from, to]) => u !== null && u >= from && u <= to) ?? long[0];
  if (!stretch || stretch[1] - stretch[0] < SHORTEST_DOUBLER) return [];
  const middle = u === null ? (stretch[0] + stretch[1]) / 2 : Math.min(stretch[1], Math.max(stretch[0], u));
  const round = (half: number): Stretch => within(stretch, [middle - half, middle + half]);
  const [whole, near] = [round(most / 2), round(ROUND_IT)];
  return near[1] - near[0] < whole[1] - whole[0] - CLEAR ? [whole, near] : [whole];
}

/** What nothing takes of a length. */
function free(size: number, blocked: readonly Stretch[]): readonly Stretch[] {
  let from = 0;
  const left: Stretch[] = [];
  for (const [low, high] of [...blocked].sort((a, b) => a[0] - b[0])) {
    if (low - CLEAR > from) left.push([from, Math.min(size, low - CLEAR)]);
    from = Math.max(from, high + CLEAR);
  }
  return from < size ? [...left, [from, size]] : left;
}
/** As it is sawn, to a whole millimetre. */
const within = ([from, to]: Stretch, [low, high]: Stretch = [from, to]): Stretch => [
  Math.ceil(1000 * Math.max(from, low) - 1e-6) / 1000,
  Math.floor(1000 * Math.min(to, high) + 1e-6) / 1000,
];

/** An end that falls near a screw which goes through is drawn back from it. */
export const pastScrews = (spot: Stretch, screws: readonly { readonly u: number; readonly reach: number }[]): Stretch =>
  within(
    screws.reduce<Stretch>(
      ([from, to], { u, reach }) => [
        Math.abs(u - from) <= reach ? u + reach + CLEAR : from,
        Math.abs(u - to) <= reach ? u - reach - CLEAR : to,
      ],
      spot,
    ),
  );
