/** Each hand against each lens's picture: how far out it stays, or how far in it comes. */
import { figure, say, type Phrase } from '../../0-base';
import { handMargins, type HandMargin } from '../../2-frame';
import type { BalanceContext } from '../balanceCheck';
import type { Readout } from './way';
import { capital } from './words';

export function pictureReadouts({ assembly, values, cones, evaluation }: BalanceContext): readonly Readout[] {
  const margins = handMargins({ assembly, values, cones, rig: assembly.rig });
  if (margins.length === 0) return [];
  const name = (lens: string): string =>
    evaluation.pieces.find((p) => p.isLoad && p.flat.owner === lens)?.flat.name ?? 'lens';
  return [
    {
      id: 'hands-and-picture',
      name: 'Hands and the picture, at its widest',
      lines: margins.map((m) => [`${capital(m.contact.name)}, ${name(m.lens)}: `, ...clearWords(m)]),
    },
  ];
}

function clearWords({ clear }: HandMargin): Phrase {
  if (!clear) return ['behind the lens.'];
  const { distance, angle } = clear;
  return distance >= 0
    ? say`${figure('length', distance, 0)} and ${figure('angle', angle, 0)} outside.`
    : say`${figure('length', -distance, 0)} inside.`;
}
