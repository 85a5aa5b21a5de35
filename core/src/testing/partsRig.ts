/** A rig of one body from parts alone, for specs of what stands, touches and moves. */
import type { Vec3 } from '../0-base';
import type { Body, Part, Rig, Shape } from '../model';

export const partOf = (id: string, shape: Shape, at: Vec3, more: Partial<Part> = {}): Part => ({
  id,
  name: id,
  shape,
  at,
  material: 'steel',
  ...more,
});

export const rigOf = (parts: readonly Part[], more: Partial<Body> = {}): Rig => ({
  bodies: [{ id: 'body', name: 'body', nodes: [], members: [], joints: [], parts: [...parts], stations: [], ...more }],
  pivots: [],
  contacts: [],
  poses: [],
  adjusters: [],
});
