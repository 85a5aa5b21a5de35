/** Where each pin of a joint lies. Two pins a distance apart level and swing each about its own height (docs/sources.md, Level). */
import type { Vec3 } from '../../../0-base';
import type { Pivot } from '../../../model';

/** How far below the joint's place the pin lies that this axis turns about, m; zero for the upper one, and where the axes cross. */
export function pinDepth({ pins }: Pick<Pivot, 'pins'>, axis: 'pitch' | 'roll'): number {
  if (!pins) return 0;
  return pins.upperAxis === (axis === 'pitch' ? 'y' : 'x') ? 0 : pins.spacing;
}

/** Of the lower pin: what hangs must lie under that one. */
export const lowestPin = ({ pins }: Pick<Pivot, 'pins'>): number => pins?.spacing ?? 0;

export const pinAt = (pivot: Pick<Pivot, 'pins'>, at: Vec3, axis: 'pitch' | 'roll'): Vec3 => [
  at[0],
  at[1],
  at[2] - pinDepth(pivot, axis),
];
