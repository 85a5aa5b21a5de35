/** Set down on its feet: how far it may be tilted or pushed, and which way it then goes. */
import { figure, say } from '../../0-base';
import { contactAt, valuesInOrder, type AdjusterValues, type Assembly } from '../../2-frame';
import type { BalanceContext } from '../balanceCheck';
import type { Evaluation } from '../evaluate';
import { tipOver, type TipOver } from './held/tipOver';
import type { Readout } from './way';

export interface SetDown {
  readonly tip: TipOver;
  readonly way: 'forward' | 'back' | 'to the left' | 'to the right';
  readonly feet: readonly { readonly id: string }[];
}

/** Null for a rig with fewer than three feet, or all in a line: it is laid down. */
export function setDownOf(
  { rig }: Pick<Assembly, 'rig'>,
  values: AdjusterValues,
  { massCentre }: Pick<Evaluation, 'massCentre'>,
): SetDown | null {
  const feet = rig.contacts.filter((c) => c.kind === 'ground');
  if (feet.length < 3 || !massCentre) return null;
  const inOrder = valuesInOrder(rig, values);
  const outcome = tipOver(
    massCentre,
    feet.map((f) => contactAt(rig, f, inOrder)),
  );
  if (outcome.kind === 'noBase') return null;
  const [x, y] = outcome.tip.towards;
  const way = Math.abs(x) > Math.abs(y) ? (x > 0 ? 'forward' : 'back') : y > 0 ? 'to the left' : 'to the right';
  return { tip: outcome.tip, way, feet };
}

export function setDownReadouts({ assembly, values, evaluation }: BalanceContext): readonly Readout[] {
  const found = setDownOf(assembly, values, evaluation);
  if (!found) return [];
  const { tip, way } = found;
  const push = tip.leastPush(evaluation.mass, tip.height);
  return [
    {
      id: 'set-down',
      name: 'Set down on its feet',
      lines: [
        tip.standsAlone
          ? say`It stands; it goes over ${way} when tilted ${figure('angle', tip.leastTilt)}, or pushed with ${figure('force', push, 1)} at its mass centre.`
          : say`It falls over ${way} by itself.`,
      ],
    },
  ];
}
