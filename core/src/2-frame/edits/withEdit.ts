/** A maker's change taken into a design: kept as an edit on top of a family's rig, made at once in a freed one. */
import { add, multiply, quaternionOf, rotationOf } from '../../0-base';
import type { Design, Edit, StatedConnection } from '../../model';
import { applyEdits } from './applyEdits';
import { outriggerId } from '../parts/outrigger';
import { withoutHardware } from '../connections/withHardware';
import { designRig } from '../designRig';

/** Null when the change finds nothing to act on. Later changes of one thing are folded into earlier ones of the same kind. */
export function withEdit(design: Design, edit: Edit): Design | null {
  if (design.kind === 'free') {
    const { rig, unapplied } = applyEdits(design.rig, [edit]);
    return unapplied.length > 0 ? null : { kind: 'free', rig };
  }
  const edits = folded(design.edits, edit);
  const made = designRig({ ...design, edits });
  if (!made.ok || made.unapplied.some((u) => u.id === edit.id)) return null;
  return { ...design, edits };
}

/** The family's rig as it stands with all its edits, from now on plain data. */
export function freed(design: Design): Design | null {
  const made = designRig(design);
  return made.ok ? { kind: 'free', rig: withoutHardware(made.rig) } : null;
}

/** Back from a weighed mass to the reckoned one. */
export function withoutWeight(design: Design, target: string): Design {
  if (design.kind === 'family')
    return { ...design, edits: design.edits.filter((e) => e.kind !== 'weigh' || e.target !== target) };
  const bare = <T extends { id: string; mass?: unknown }>(e: T): T => {
    if (e.id !== target || e.mass === undefined) return e;
    const { mass: _mass, ...rest } = e;
    return rest as T;
  };
  // A part without a material has only its weighed mass: that one stays.
  return {
    kind: 'free',
    rig: {
      ...design.rig,
      bodies: design.rig.bodies.map((b) => ({
        ...b,
        ...(b.connections ? { connections: b.connections.map((c) => unweighed(c, target)) } : {}),
        members: b.members.map(bare),
        joints: b.joints.map((j) => (j.hub ? j : bare(j))),
        parts: b.parts.map((p) => (p.material ? bare(p) : p)),
      })),
    },
  };
}

/** Without what was weighed of its hardware by that id. */
function unweighed(connection: StatedConnection, target: string): StatedConnection {
  if (connection.kind !== 'bolted') return connection;
  if (connection.id === target) {
    const { together: _whole, ...rest } = connection;
    return rest;
  }
  if (!connection.weighed || !target.startsWith(`${connection.id}/`)) return connection;
  const { [target.slice(connection.id.length + 1)]: _mass, ...weighed } = connection.weighed;
  return { ...connection, weighed };
}

function folded(edits: readonly Edit[], edit: Edit): Edit[] {
  if (edit.kind === 'remove') {
    // What the maker had added goes without a trace, with all that was done to it since.
    const own = edits.some((e) => addedId(e) === edit.target);
    if (own) return edits.filter((e) => addedId(e) !== edit.target && !('target' in e && e.target === edit.target));
    return [...edits, edit];
  }
  const same = (e: Edit): boolean =>
    (edit.kind === 'price' && e.kind === 'price' && e.item === edit.item && e.length === edit.length) ||
    (e.kind === edit.kind &&
      // Of one piece several places may be doubled.
      e.kind !== 'double' &&
      'target' in e &&
      'target' in edit &&
      e.target === edit.target &&
      (e.kind !== 'short' || (edit.kind === 'short' && e.end === edit.end)));
  const last = edits.reduce((found, e, i) => (same(e) ? i : found), -1);
  if (last < 0) return [...edits, edit];
  const before = edits[last]!;
  // Only when nothing came between may two changes become one: the order of different changes matters.
  if (last !== edits.length - 1 && (edit.kind === 'move' || edit.kind === 'turn')) return [...edits, edit];
  return edits.map((e, i) => (i === last ? merged(before, edit) : e));
}

function merged(before: Edit, edit: Edit): Edit {
  if (before.kind === 'move' && edit.kind === 'move') return { ...edit, by: add(before.by, edit.by) };
  if (before.kind === 'turn' && edit.kind === 'turn')
    return { ...edit, turn: quaternionOf(multiply(rotationOf(edit.turn), rotationOf(before.turn))) };
  if (before.kind === 'fitting' && edit.kind === 'fitting') return { ...before, ...edit };
  if (before.kind === 'fasten' && edit.kind === 'fasten') return { ...before, ...edit };
  return edit;
}

const addedId = (e: Edit): string | null =>
  e.kind === 'carry'
    ? outriggerId(e.target)
    : e.kind === 'add'
      ? e.part.id
      : e.kind === 'addMember'
        ? e.member.id
        : e.kind === 'brace' || e.kind === 'corner' || e.kind === 'double'
          ? e.member
          : e.kind === 'addStation'
            ? e.station.id
            : null;
