/** What the proof of true solids found, as the report tells it: washers one by one, and pairs looked at that only their boxes share. */
import { washerId, type Assembly, type Looked } from '../../2-frame';
import type { Whole, WholePiece } from '../../contract';

type Inside = Pick<Whole, 'overlaps' | 'insideEachOther'>;

export function insideOf(
  looked: Looked,
  assembly: Assembly,
  counts: ReadonlyMap<string, number>,
  pieces: readonly WholePiece[],
): Inside {
  // A row of washers was looked at as one.
  const each = (id: string): readonly string[] => {
    const count = counts.get(id);
    return count === undefined ? [id] : Array.from({ length: count }, (_, i) => washerId(id, i + 1));
  };
  const pairs = (a: string, b: string): readonly (readonly [string, string])[] =>
    each(a).flatMap((x) => each(b).map((y) => [x, y] as const));
  // Glue, paste and tape take what room is left.
  const squeezed = new Set(assembly.rig.bodies.flatMap((b) => b.parts).flatMap((p) => (p.uses ? [p.id] : [])));
  return {
    overlaps: looked.overlaps.map((o) => ({ ...o, a: each(o.a)[0] ?? o.a, b: each(o.b)[0] ?? o.b })),
    insideEachOther: [
      ...looked.clear.flatMap(([a, b]) => pairs(a, b)),
      ...looked.overlaps.flatMap((o) => (o.allowedBy ? pairs(o.a, o.b) : [])),
      ...[...squeezed].flatMap((id) => pieces.flatMap((p) => (p.id === id ? [] : [[id, p.id] as const]))),
    ],
  };
}
