/** The set-up as a card to be read at arm's length: so many washers here, slide at this mark, expect this. */
import { countOf, valuesInOrder, type AdjusterValues, type Assembly } from '../2-frame';
import { readings, wayOf, type Evaluation, type HeldPose } from '../3-balance';

export interface CountLine {
  readonly id: string;
  readonly name: string;
  readonly count: number;
  readonly most: number;
  readonly washer: string;
}
export interface MarkLine {
  readonly id: string;
  readonly name: string;
  readonly value: number;
  readonly range: readonly [number, number];
  readonly turns: number | null;
  /** Which way from the middle mark: forward, back, to the left, up; empty at the mark itself. */
  readonly way: string;
}
export interface SetUpCard {
  readonly counts: readonly CountLine[];
  readonly marks: readonly MarkLine[];
  readonly conditions: string;
  readonly noseDown: number | null;
  readonly leftSideDown: number | null;
  readonly dropTime: number | null;
  readonly mass: number;
  /** What the hands carry, where the rig is held rigidly and hangs on nothing. */
  readonly held: HeldPose | null;
}

export function setupCard(
  assembly: Assembly,
  values: AdjusterValues,
  evaluation: Evaluation,
  conditions: string,
): SetUpCard {
  const { rig } = assembly;
  const inOrder = valuesInOrder(rig, values);
  const { dropPitch, ...level } = readings(evaluation);
  return {
    counts: assembly.stacks.map((s) => ({
      id: s.station.id,
      name: s.station.name,
      count: countOf(s, inOrder),
      washer: s.station.washer.name,
      most: Math.floor(s.station.room / s.station.washer.thickness + 1e-9),
    })),
    marks: rig.adjusters.flatMap((a, i) =>
      a.kind === 'count'
        ? []
        : [
            {
              id: a.id,
              name: a.name,
              value: inOrder[i]!,
              range: a.range,
              turns: a.perTurn ? inOrder[i]! / a.perTurn : null,
              way: inOrder[i] === 0 ? '' : wayOf(a, inOrder[i]!),
            },
          ],
    ),
    conditions,
    ...level,
    dropTime: dropPitch,
    mass: evaluation.mass,
    held: evaluation.hung ? null : (evaluation.held[0] ?? null),
  };
}
