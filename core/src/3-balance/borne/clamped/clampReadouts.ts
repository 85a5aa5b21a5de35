/** Each clamp in full, whether it holds or not. */
import { figure, say } from '../../../0-base';
import type { BalanceContext } from '../../balanceCheck';
import type { Readout } from '../way';
import { capital } from '../words';
import { clampHolds } from './clampHold';

export const clampReadouts = ({ assembly, values, evaluation }: BalanceContext): readonly Readout[] =>
  clampHolds(assembly, values, evaluation).map(({ pivot, now, worst, holds, slipsAt }) => ({
    id: pivot.id,
    name: capital(pivot.name),
    lines: [
      say`Asked for ${figure('torque', now)} as set, ${figure('torque', worst)} with the camera abeam.`,
      holds === null
        ? say`What it holds is not known: hang a weight on an arm from it till it slips, and type that in Learn.`
        : [
            ...say`Holds ${figure('torque', holds)}${pivot.frictionTorque?.source ? ` (${pivot.frictionTorque.source})` : ''}. `,
            ...(slipsAt === null
              ? say`It slips at no lean.`
              : say`It slips when the camera lies ${figure('angle', slipsAt, 0)} off balance.`),
          ],
    ],
  }));
