/** A side of a piece, by the way it looks in the rig. */
import type { Vec3 } from '../../0-base';

const FACES = [
  ['front', 'rear'],
  ['left', 'right'],
  ['upper', 'lower'],
] as const;

export function faceName(way: Vec3): string {
  const k = ([0, 1, 2] as const).reduce<0 | 1 | 2>((best, i) => (Math.abs(way[i]) > Math.abs(way[best]) ? i : best), 0);
  return FACES[k][way[k] > 0 ? 0 : 1];
}
