import type { Vec3 } from '../../0-base';

/** Rows: how a node's six unknowns move a point `offset` from it: u + turn × offset, and its turn. */
export function carried(offset: Vec3): Float64Array {
  const [x, y, z] = offset;
  const b = new Float64Array(36);
  for (let i = 0; i < 6; i++) b[i * 7] = 1;
  b[4] = z;
  b[5] = -y;
  b[9] = -z;
  b[11] = x;
  b[15] = y;
  b[16] = -x;
  return b;
}
