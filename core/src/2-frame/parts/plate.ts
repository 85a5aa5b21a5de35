/** A flat plate with its holes: one, a grid, or a slot. */
import { add, type Vec3 } from '../../0-base';
import type { Part, PartHole, Supply } from '../../model';

export type HolePattern =
  | { readonly kind: 'single'; readonly diameter: number }
  | {
      readonly kind: 'grid';
      readonly diameter: number;
      readonly pitch: number;
      readonly along: number;
      readonly across: number;
    }
  | { readonly kind: 'slot'; readonly diameter: number; readonly length: number };

/** Holes of a level plate round `at`, through its thickness. */
export function holesOf(pattern: HolePattern, at: Vec3): readonly PartHole[] {
  const axis: Vec3 = [0, 0, 1];
  switch (pattern.kind) {
    case 'single':
      return [{ at, axis, diameter: pattern.diameter }];
    case 'slot':
      return [{ at, axis, diameter: pattern.diameter, slot: [pattern.length, 0, 0] }];
    case 'grid': {
      const step = (n: number, count: number): number => (n - (count - 1) / 2) * pattern.pitch;
      return Array.from({ length: pattern.along * pattern.across }, (_, i) => ({
        at: add(at, [step(i % pattern.along, pattern.along), step(Math.floor(i / pattern.along), pattern.across), 0]),
        axis,
        diameter: pattern.diameter,
      }));
    }
  }
}

export function plate(of: {
  id: string;
  name: string;
  middle: Vec3;
  size: Vec3;
  material: string;
  holes?: readonly PartHole[];
  mount?: boolean;
  supply?: Supply;
  twin?: string;
}): Part {
  return {
    id: of.id,
    name: of.name,
    shape: { kind: 'box', size: of.size },
    at: of.middle,
    material: of.material,
    ...(of.holes ? { holes: [...of.holes] } : {}),
    ...(of.mount ? { mount: add(of.middle, [0, 0, of.size[2] / 2]) } : {}),
    ...(of.supply ? { supply: of.supply } : {}),
    ...(of.twin ? { twin: of.twin } : {}),
  };
}
