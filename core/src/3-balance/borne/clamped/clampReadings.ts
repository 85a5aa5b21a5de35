/** A clamp's own reading: the weight on an arm that makes it slip. */
import type { Rig } from '../../../model';
import type { ReadingKind } from '../way';
import { within } from '../expected';
import { clampHolds, clampsOf } from './clampHold';

export const clampReadings = (rig: Rig): readonly ReadingKind[] =>
  clampsOf(rig).map((pivot) => ({
    kind: 'slips',
    name: `The ${pivot.name} slips at`,
    help: 'Camera off: hang a weight on an arm from it till it slips; weight times arm.',
    quantity: 'torque',
    range: [0.01, 60],
    about: pivot.id,
    expects: ({ assembly, values, evaluation }) => {
      const clamp = clampHolds(assembly, values, evaluation).find((c) => c.pivot.id === pivot.id);
      return clamp && clamp.holds !== null ? within(clamp.holds, 2 * clamp.spread) : null;
    },
  }));
