/** Where a hold mark lies on its tube, as a tape reads it: from the tube's rear end. */
import { dot, length, subtract, unit } from '../../0-base';
import { contactAt, placesOf, valuesInOrder, type AdjusterValues } from '../../2-frame';
import type { Adjuster, Rig } from '../../model';

/** A hand takes hold of a tube whose middle line is this near, m. */
const ON_IT = 0.03;

/** m, and the tube's name; null for an adjuster that is no mark along a straight tube. */
export function markFromEnd(
  rig: Rig,
  adjuster: Adjuster,
  values: AdjusterValues,
): { readonly tube: string; readonly along: number } | null {
  if (adjuster.kind !== 'mark' || !adjuster.axis) return null;
  const moved = adjuster.moves.find((m) => m.kind === 'contact');
  const contact = rig.contacts.find((c) => c.id === moved?.id);
  if (!contact) return null;
  const at = contactAt(rig, contact, valuesInOrder(rig, values));
  const axis = unit(adjuster.axis);
  const body = rig.bodies.find((b) => b.id === contact.body);
  for (const member of body?.members ?? []) {
    if (member.path.kind !== 'straight') continue;
    const places = placesOf(body!.nodes);
    const [from, to] = [places.get(member.from)!, places.get(member.to)!];
    const run = subtract(to, from);
    if (Math.abs(dot(unit(run), axis)) < 0.999) continue;
    // The end that lies behind, as the lens looks.
    const [rear, way] = dot(run, axis) > 0 ? [from, axis] : [to, axis];
    const d = subtract(at, rear);
    const along = dot(d, way);
    if (along < 0 || along > length(run)) continue;
    const beside = length(subtract(d, [way[0] * along, way[1] * along, way[2] * along]));
    if (beside < ON_IT) return { tube: member.name, along };
  }
  return null;
}
