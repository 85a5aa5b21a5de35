/** A finding's changes taken into a design: sizes and choices of its family, and changes of the frame as the edits they are. */
import type { Change } from '../../0-base';
import type { Design, Edit } from '../../model';
import { coreFor } from '../parts/doublers';
import { endCap } from '../parts/hardware';
import { fastenerId, outrigger, outriggerId } from '../parts/outrigger';
import { stockById } from '../parts/stocks';
import { withEdit } from './withEdit';

/** Adjusters and loadouts are no part of a design and are left to the caller. `newId` names each new edit. */
export function changedDesign(design: Design, changes: readonly Change[], newId: () => string): Design {
  const dimensions = Object.fromEntries(
    changes.flatMap((c) => (c.kind === 'dimension' ? [[c.id, { value: c.value }]] : [])),
  );
  const choices = Object.fromEntries(changes.flatMap((c) => (c.kind === 'choice' ? [[c.id, c.value]] : [])));
  const edits = changes.flatMap((c) => editOf(c, newId));
  const sized: Design =
    design.kind === 'family' && Object.keys(dimensions).length + Object.keys(choices).length > 0
      ? { ...design, dimensions: { ...design.dimensions, ...dimensions }, choices: { ...design.choices, ...choices } }
      : design;
  return edits.reduce((made, edit) => withEdit(made, edit) ?? made, sized);
}

function editOf(change: Change, newId: () => string): readonly Edit[] {
  switch (change.kind) {
    case 'short':
      return [{ kind: 'short', id: newId(), target: change.id, end: change.end, by: { value: change.value } }];
    case 'screw':
      return [{ kind: 'screw', id: newId(), target: change.id, length: change.length }];
    case 'thread':
      return [{ kind: 'thread', id: newId(), target: change.id, thread: change.thread }];
    case 'padding':
      return [{ kind: 'padding', id: newId(), target: change.id, thickness: change.thickness }];
    case 'move':
      return [{ kind: 'move', id: newId(), target: change.id, by: change.by }];
    case 'cap':
      return [
        {
          kind: 'add',
          id: newId(),
          body: change.body,
          part: endCap({ id: `cap-${newId()}`, at: change.at, axis: change.axis, across: change.across }),
        },
      ];
    case 'carry': {
      if (change.stated) return [{ kind: 'carry', id: newId(), target: change.id, by: change.by }];
      const made = outrigger(change);
      if (!made) return [];
      return [
        ...(change.again
          ? [outriggerId(change.weight.id), fastenerId(change.weight.id)].map((target): Edit => ({
              kind: 'remove',
              id: newId(),
              target,
            }))
          : []),
        { kind: 'add', id: newId(), body: change.body, part: made.fastener },
        {
          kind: 'addMember',
          id: newId(),
          body: change.body,
          nodes: [...made.nodes],
          member: made.member,
          joints: [made.joint],
        },
      ];
    }
    case 'restock': {
      const stock = stockById(change.stock);
      return stock ? [{ kind: 'restock', id: newId(), target: change.id, stock }] : [];
    }
    case 'brace': {
      const stock = stockById(change.stock);
      const { id: member, body, from, to } = change;
      return stock ? [{ kind: 'brace', id: newId(), body, member, from, to, stock, folds: false }] : [];
    }
    case 'corner': {
      const { id: member, stock: of, ...where } = change;
      const stock = stockById(of);
      return stock ? [{ ...where, id: newId(), member, stock }] : [];
    }
    case 'double': {
      const { id: member, stock: of, core, ...where } = change;
      const stock = core ? coreFor(core.bore, core.material) : stockById(of);
      return stock ? [{ ...where, id: newId(), member, stock }] : [];
    }
    case 'hold':
      return [{ kind: 'fitting', id: newId(), target: change.id, hold: change.hold }];
    case 'dimension':
    case 'choice':
    case 'adjuster':
    case 'mount':
      return [];
  }
}
