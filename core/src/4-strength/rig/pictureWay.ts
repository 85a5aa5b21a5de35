/** Which way the picture goes as a rig rings. */
import { length, type Vec3 } from '../../0-base';

export const PICTURE_WAYS = ['rolls', 'nods', 'pans'] as const;
export type PictureWay = (typeof PICTURE_WAYS)[number];

/** A turn of a tenth of this over its shift is seen before the shift is, m. */
const ARM = 0.1;

/** About x it rolls, about y it nods, about z it pans; null: it hardly turns. */
export function pictureWay(rotation: Vec3, displacement: Vec3): PictureWay | null {
  const turns = rotation.map((x) => Math.abs(x) * ARM);
  const most = turns.indexOf(Math.max(...turns));
  return turns[most]! < 0.1 * length(displacement) ? null : PICTURE_WAYS[most]!;
}
