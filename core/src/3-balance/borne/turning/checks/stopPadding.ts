/** A pole let go level falls on its stop: is the padding there thick enough for the camera. */
import { figure, length, say, STANDARD_GRAVITY, subtract } from '../../../../0-base';
import { massCentre, sumsOf } from '../../../../1-load';
import type { BalanceCheck } from '../../../balanceCheck';
import { fallOnStop, paddingFor } from '../fallOnStop';

/** What a small camera stands again and again, in gravities: rough. */
const JOLT = 5;
const THIN = 0.001;

export const stopPadding: BalanceCheck = {
  id: 'stopPadding',
  stage: 'balance',
  look: ({ evaluation: { pole, pieces } }) => {
    const load = pieces.filter((p) => p.isLoad).map((p) => p.flat);
    const { padding, stops } = pole?.hinge ?? {};
    if (!pole || !padding || !stops || load.length === 0) return [];
    const falls = (['down', 'up'] as const).map((way) => fallOnStop(pole.pole, way)).sort((a, b) => b.rate - a.rate);
    const { rate } = falls[0]!;
    if (rate === 0) return [];
    const carried = massCentre(sumsOf(pieces.filter((p) => p.body === pole.hinge.carries).map((p) => p.flat)));
    const arm = length(subtract(massCentre(sumsOf(load)), subtract(carried, pole.pole.fromHinge)));
    const needed = paddingFor({
      rate,
      cameraFromAxis: arm,
      padFromAxis: padding.fromAxis,
      jolt: JOLT * STANDARD_GRAVITY,
    });
    if (padding.thickness + THIN / 2 >= needed) return [];
    const wanted = Math.ceil(needed / THIN) * THIN;
    return [
      {
        code: 'stopPadding',
        severity: 'mend',
        about: pole.hinge.id,
        figure: figure('length', padding.thickness, 0),
        limit: figure('length', wanted, 0),
        title: say`Let go level, the pole lands on its stop: the padding is ${figure('length', padding.thickness, 0)}, and ${figure('length', wanted, 0)} is wanted.`,
        why: say`The camera arrives at ${(rate * arm).toFixed(1)} m/s. Foam gives about two thirds of its thickness; with this much the camera feels no more than ${String(JOLT)} gravities (rough, what a small camera stands again and again).`,
        toDo: say`Glue foam where the pole meets the fork, on both sides.`,
        fixes: [
          {
            label: say`Padding of ${figure('length', wanted, 0)}`,
            changes: [{ kind: 'padding', id: pole.hinge.id, thickness: wanted }],
          },
        ],
      },
    ];
  },
};
