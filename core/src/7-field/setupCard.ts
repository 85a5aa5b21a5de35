/** The set-up as a card to be read at arm's length: so many washers here, slide at this mark, expect this. */
import { countOf, valuesInOrder } from '../2-frame';
import { markFromEnd, waysOf, wayOf, type BalanceContext, type CardLine } from '../3-balance';

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
  /** Of a hold mark: how far from the rear end of which tube, m. */
  readonly fromEnd: { readonly tube: string; readonly along: number } | null;
}
export interface SetUpCard {
  readonly counts: readonly CountLine[];
  readonly marks: readonly MarkLine[];
  readonly conditions: string;
  /** What the rig should do, set so: by each way it is borne. */
  readonly expect: readonly CardLine[];
  readonly mass: number;
}

export function setupCard(context: BalanceContext, conditions: string): SetUpCard {
  const { assembly, values, evaluation } = context;
  const { rig } = assembly;
  const inOrder = valuesInOrder(rig, values);
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
              fromEnd: markFromEnd(rig, a, values),
              way: inOrder[i] === 0 ? '' : wayOf(a, inOrder[i]!),
            },
          ],
    ),
    conditions,
    expect: waysOf(evaluation).flatMap((w) => w.card(context)),
    mass: evaluation.mass,
  };
}
