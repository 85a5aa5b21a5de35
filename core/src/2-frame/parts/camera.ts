/** The screw into a camera's foot. */
import type { Bolted } from '../../model';

/** Depth of a camera's thread where none is measured, m. */
export const USUAL_SOCKET = 0.006;

/** Up through its layers into the camera; `head` sunk where what carries the camera slides over something. */
export const intoCamera = (
  of: Pick<Bolted, 'on' | 'point' | 'stack'> & Partial<Pick<Bolted, 'way' | 'head' | 'washer' | 'hole'>>,
): Bolted => ({
  kind: 'bolted',
  id: 'camera',
  name: 'camera screw',
  way: [0, 0, 1],
  thread: '1/4-20',
  end: { kind: 'camera', depth: USUAL_SOCKET },
  ...of,
});
