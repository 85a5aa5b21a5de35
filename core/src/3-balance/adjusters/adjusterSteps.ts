/** What the next step of each adjuster does, and how much of its travel is left. */
import { figure, say, type Phrase } from '../../0-base';
import { valuesInOrder } from '../../2-frame';
import type { Adjuster } from '../../model';
import type { BalanceContext } from '../balanceCheck';
import { leadingWay } from '../borne/ways';
import type { Evaluation } from '../evaluate';
import { turnsOf, wayOf } from './fixByAdjuster';

export interface AdjusterStep {
  readonly id: string;
  readonly value: number;
  /** Travel left downwards and upwards, m or washers. */
  readonly left: readonly [number, number];
  /** One step up, or down when it is at its end. */
  readonly direction: 1 | -1;
  readonly size: number;
  /** “1/8 turn forward: 3.0° nose up, drop 2.2 s”: by the way the rig is borne. */
  readonly says: Phrase;
}

/** A hand's usual move: an eighth of a turn where there are turns, else one step. */
const handStep = (a: Adjuster): number => (a.perTurn ? Math.max(a.step, a.perTurn / 8) : a.step);

export function adjusterSteps(context: BalanceContext): readonly AdjusterStep[] {
  const { assembly, values, evaluation } = context;
  const inOrder = valuesInOrder(assembly.rig, values);
  const way = leadingWay(evaluation);
  return assembly.rig.adjusters.map((a, i) => {
    const value = inOrder[i]!;
    const size = handStep(a);
    const direction = value + size <= a.range[1] + 1e-12 ? 1 : -1;
    const after = way?.after(context, a, { ...values, [a.id]: value + direction * size }) ?? [];
    return {
      id: a.id,
      value,
      left: [value - a.range[0], a.range[1] - value],
      direction,
      size,
      says: after.length > 0 ? [...moveWords(a, size, direction), ': ', ...after] : moveWords(a, size, direction),
    };
  });
}

function moveWords(a: Adjuster, size: number, direction: 1 | -1): Phrase {
  if (a.kind === 'count') return [direction > 0 ? 'one more' : 'one less'];
  return a.perTurn
    ? say`${turnsOf(size / a.perTurn)} ${wayOf(a, direction)}`
    : say`${figure('length', size, 2)} ${wayOf(a, direction)}`;
}

/** What it should do, to be kept beside what it was seen to do. */
export function readings({ hung }: Evaluation): {
  noseDown: number | null;
  leftSideDown: number | null;
  dropPitch: number | null;
} {
  const rest = hung?.hang.rest ?? null;
  return {
    noseDown: rest?.noseDown ?? null,
    leftSideDown: rest?.leftSideDown ?? null,
    dropPitch: hung?.pitch.drop.kind === 'falls' ? hung.pitch.drop.time : null,
  };
}
