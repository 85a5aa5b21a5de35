/** A clamp's own reading: the weight on an arm that makes it slip. */
import { figure, say } from '../../../0-base';
import type { Rig } from '../../../model';
import type { ReadingKind } from '../way';
import { within } from '../expected';
import { isSame, type OwnFigure, type TakenOf } from '../says';
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
    gives: slipsAt,
  }));

/** One try against the next, as a part. */
const AGAIN = 0.1;

function slipsAt(all: readonly TakenOf[]): readonly OwnFigure[] {
  const now = all.at(-1)?.context;
  if (!now) return [];
  return clampHolds(now.assembly, now.values, now.evaluation).flatMap(({ pivot, worst, holds }) => {
    const read = all.filter((r) => r.about === pivot.id);
    if (read.length === 0) return [];
    const mean = read.reduce((s, r) => s + r.value, 0) / read.length;
    if (isSame(holds, mean)) return [];
    return [
      {
        id: `slips ${pivot.id}`,
        words: [
          ...say`The ${pivot.name} slips at ${figure('torque', mean)}`,
          ...(holds === null ? say`; that was not known.` : say`; ${figure('torque', holds)} was taken.`),
          ...say` The camera asks for ${figure('torque', worst)} at most.`,
        ],
        take: {
          kind: 'friction',
          target: pivot.id,
          torque: { value: mean, spread: AGAIN * mean, source: 'slipped under a weight' },
        },
      },
    ];
  });
}
