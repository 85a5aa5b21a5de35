/** What the next step of each adjuster does, and how much of its travel is left. */
import type { Vec3 } from '../../0-base';
import type { AdjusterValues, Assembly } from '../../2-frame';
import { valuesInOrder } from '../../2-frame';
import type { Evaluation } from '../evaluate';
import { quickBalance } from '../quickBalance';
import { supportOf } from '../borne/support';

export interface AdjusterStep {
  readonly id: string;
  readonly value: number;
  /** Travel left downwards and upwards, m or washers. */
  readonly left: readonly [number, number];
  /** After one step up, or down when it is at its end; null when neither can be evaluated. */
  readonly direction: 1 | -1;
  readonly size: number;
  readonly noseDown: number | null;
  readonly leftSideDown: number | null;
  readonly dropPitch: number | null;
  /** Of a rig held in the hands, which has no lean or drop of its own: from the hands to the mass centre, m. */
  readonly fromHands: Vec3 | null;
}

/** A hand's usual move: a tenth of a turn where there are turns, else one step. */
const handStep = (a: Assembly['rig']['adjusters'][number]): number =>
  a.perTurn ? Math.max(a.step, a.perTurn / 8) : a.step;

/** `quick` may be handed in where it is kept already. The drop told is without the bearing's friction. */
export function adjusterSteps(
  assembly: Assembly,
  values: AdjusterValues,
  quick = quickBalance(assembly),
): readonly AdjusterStep[] {
  const inOrder = valuesInOrder(assembly.rig, values);
  const held = supportOf(assembly.rig)?.kind === 'hands';
  return assembly.rig.adjusters.map((a, i) => {
    const value = inOrder[i]!;
    const size = handStep(a);
    const direction = value + size <= a.range[1] + 1e-12 ? 1 : -1;
    const after = quick?.at({ ...values, [a.id]: value + direction * size });
    const at = {
      id: a.id,
      value,
      left: [value - a.range[0], a.range[1] - value] as const,
      direction: direction as 1 | -1,
      size,
    };
    if (held)
      return { ...at, noseDown: null, leftSideDown: null, dropPitch: null, fromHands: after?.fromPivot ?? null };
    return {
      ...at,
      fromHands: null,
      noseDown: after?.noseDown ?? null,
      leftSideDown: after?.leftSideDown ?? null,
      dropPitch: after?.dropPitch ?? null,
    };
  });
}

export function readings(evaluation: Evaluation): {
  noseDown: number | null;
  leftSideDown: number | null;
  dropPitch: number | null;
} {
  const { hung } = evaluation;
  const rest = hung?.hang.rest ?? null;
  return {
    noseDown: rest?.noseDown ?? null,
    leftSideDown: rest?.leftSideDown ?? null,
    dropPitch: hung?.pitch.drop.kind === 'falls' ? hung.pitch.drop.time : null,
  };
}
