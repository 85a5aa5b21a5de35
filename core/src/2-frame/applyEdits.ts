/** The maker's own changes laid over the family's rig by identifier. */
import type { Edit, Rig } from '../model';

export interface EditedRig {
  readonly rig: Rig;
  /** Edits whose target is not in this rig: kept and shown, never dropped. */
  readonly unapplied: readonly Edit[];
}

export function applyEdits(rig: Rig, edits: readonly Edit[]): EditedRig {
  const unapplied: Edit[] = [];
  let edited = rig;
  for (const edit of edits) {
    const next = applied(edited, edit);
    if (next) edited = next;
    else unapplied.push(edit);
  }
  return { rig: edited, unapplied };
}

function applied(rig: Rig, edit: Edit): Rig | null {
  if (edit.kind === 'add') {
    if (!rig.bodies.some((b) => b.id === edit.body)) return null;
    return { ...rig, bodies: rig.bodies.map((b) => (b.id === edit.body ? { ...b, parts: [...b.parts, edit.part] } : b)) };
  }
  const { target } = edit;
  if (edit.kind === 'remove') {
    if (!rig.bodies.some((b) => b.parts.some((p) => p.id === target))) return null;
    return { ...rig, bodies: rig.bodies.map((b) => ({ ...b, parts: b.parts.filter((p) => p.id !== target) })) };
  }
  const { mass } = edit;
  const found = rig.bodies.some((b) => [...b.parts, ...b.members, ...b.stations].some((e) => e.id === target));
  if (!found) return null;
  return {
    ...rig,
    bodies: rig.bodies.map((b) => ({
      ...b,
      parts: b.parts.map((p) => (p.id === target ? { ...p, mass } : p)),
      members: b.members.map((m) => (m.id === target ? { ...m, mass } : m)),
      // A station is weighed by one of its washers.
      stations: b.stations.map((s) => (s.id === target ? { ...s, washer: { ...s.washer, mass } } : s)),
    })),
  };
}
