/** What rigs need out of sheets, by material and thickness: what is sawn flat, seen on its face. */
import { materialOf } from '../../0-base';
import type { Rig } from '../../model';

export interface SheetPiece {
  /** By the rig it belongs to, and its part. */
  readonly rig: string;
  readonly part: string;
  readonly name: string;
  /** m; the longer side, along the grain where there is one. */
  readonly width: number;
  readonly height: number;
}
export interface SheetNeed {
  /** Known by material and thickness. */
  readonly id: string;
  readonly material: string;
  readonly name: string;
  /** m */
  readonly thickness: number;
  readonly hasGrain: boolean;
  readonly pieces: readonly SheetPiece[];
}

/** Sheets thinner than this are cut with a knife as they are needed: rubber, felt, m. */
const SAWN_FROM = 0.002;
const GRAINED = /ply|wood|birch|beech|oak|ash|pine/i;

/** A part's thickness is its smallest side. A round one takes the square round it. */
export function sheetNeeds(rigs: readonly { readonly name: string; readonly rig: Rig }[]): readonly SheetNeed[] {
  const needs = new Map<string, SheetNeed & { readonly pieces: SheetPiece[] }>();
  for (const { name: rigName, rig } of rigs)
    for (const body of rig.bodies)
      for (const part of body.parts) {
        if (part.supply?.sawn !== 'sheet') continue;
        const sides = sidesOf(part.shape);
        if (!sides || sides[0] < SAWN_FROM || part.material === undefined) continue;
        const [thickness, height, width] = sides;
        const id = `${part.material}/${Math.round(thickness * 1e5)}`;
        const need = needs.get(id) ?? {
          id,
          material: part.material,
          name: materialOf(part.material)?.name ?? part.material,
          thickness,
          hasGrain: GRAINED.test(part.material),
          pieces: [],
        };
        needs.set(id, need);
        need.pieces.push({ rig: rigName, part: part.id, name: part.name, width, height });
      }
  return [...needs.values()].sort((a, b) => a.id.localeCompare(b.id));
}

type Shape = Rig['bodies'][number]['parts'][number]['shape'];

/** From the smallest to the largest; null for what is not sawn out flat. */
function sidesOf(shape: Shape): readonly [number, number, number] | null {
  if (shape.kind === 'box') {
    const [a, b, c] = [...shape.size].sort((x, y) => x - y);
    return [a!, b!, c!];
  }
  if (shape.kind === 'tube') {
    const across = 2 * shape.outerRadius;
    return shape.length < across ? [shape.length, across, across] : null;
  }
  return null;
}
