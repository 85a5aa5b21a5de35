/** All that is told in full of a rig as it is set: by each way it is borne, each clamp, set down on its feet, and what is seen of it. */
import type { BalanceContext } from './balanceCheck';
import { clampReadouts } from './borne/clamped/clampReadouts';
import { pictureReadouts } from './borne/pictureReadouts';
import { setDownReadouts } from './borne/setDown';
import type { Readout } from './borne/way';
import { waysOf } from './borne/ways';
import { steadinessReadouts } from './swing/steadiness';

export const readoutsOf = (context: BalanceContext): readonly Readout[] => [
  ...waysOf(context.evaluation).flatMap((w) => w.readouts(context)),
  ...clampReadouts(context),
  ...setDownReadouts(context),
  ...steadinessReadouts(context),
  ...pictureReadouts(context),
];
