/** The steps a thing is moved by: a slotted strip takes bolts only where it has slots, everything else goes by the maker's own fine step. */
import { add, dot, length, scale, subtract, type Vec3 } from '../../0-base';
import type { Rig } from '../../model';
import { placesOf } from '../members/memberEnds';

/** A part this near a strip's middle line is bolted to it, m. */
const ON_STRIP = 0.04;

/** Step along each rig axis, m. A part on a slotted strip that runs along an axis goes by the strip's pitch on that one. */
export function snapOf(rig: Rig, id: string, fine: number): Vec3 {
  const steps: [number, number, number] = [fine, fine, fine];
  for (const body of rig.bodies) {
    const at = body.parts.find((p) => p.id === id)?.at ?? body.stations.find((s) => s.id === id)?.seat;
    if (!at) continue;
    const places = placesOf(body.nodes);
    for (const {
      stock: { section },
      from,
      to,
    } of body.members) {
      const [a, b] = [places.get(from), places.get(to)];
      if (section.kind !== 'flat' || !section.slots || !a || !b) continue;
      const run = subtract(b, a);
      const long = length(run);
      if (!(long > 0)) continue;
      const share = Math.min(1, Math.max(0, dot(subtract(at, a), run) / (long * long)));
      if (length(subtract(at, add(a, scale(run, share)))) > ON_STRIP) continue;
      const axis = run.findIndex((part) => Math.abs(part) > 0.999 * long);
      if (axis >= 0) steps[axis] = section.slots.pitch;
    }
  }
  return steps;
}
