/** What the next step of each adjuster does, and how much of its travel is left. */
import type { AdjusterValues, Assembly } from '../2-frame';
import { valuesInOrder } from '../2-frame';
import { evaluate, type Evaluation } from './evaluate';

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
}

/** A hand's usual move: a tenth of a turn where there are turns, else one step. */
const handStep = (a: Assembly['rig']['adjusters'][number]): number => (a.perTurn ? Math.max(a.step, a.perTurn / 8) : a.step);

export function adjusterSteps(assembly: Assembly, values: AdjusterValues): readonly AdjusterStep[] {
  const inOrder = valuesInOrder(assembly.rig, values);
  return assembly.rig.adjusters.map((a, i) => {
    const value = inOrder[i]!;
    const size = handStep(a);
    const direction = value + size <= a.range[1] + 1e-12 ? 1 : -1;
    const after = readings(evaluate(assembly, { ...values, [a.id]: value + direction * size }));
    return { id: a.id, value, left: [value - a.range[0], a.range[1] - value], direction, size, ...after };
  });
}

export function readings(evaluation: Evaluation): { noseDown: number | null; leftSideDown: number | null; dropPitch: number | null } {
  const { hung } = evaluation;
  const rest = hung?.hang.rest ?? null;
  return {
    noseDown: rest?.noseDown ?? null,
    leftSideDown: rest?.leftSideDown ?? null,
    dropPitch: hung?.pitch.drop.kind === 'falls' ? hung.pitch.drop.time : null,
  };
}
