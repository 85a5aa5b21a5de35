/** How far the load's foot is from the face of the piece that carries it, m. */
import { dot, subtract } from '../0-base';
import { upperFace } from '../2-frame';
import type { Rig } from '../model';

export function boundOf(rig: Rig, id: string): number {
  const part = rig.bodies.flatMap((b) => b.parts).find((p) => p.id === id)!;
  const face = upperFace(part)!;
  return Math.abs(dot(subtract(part.mount!, face.middle), face.up));
}
