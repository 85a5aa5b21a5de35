/** A rig that balances but does not go in its bag, where that is firm: what would do, the smallest of each kind. */
import { figure, say } from '../../0-base';
import { breakDown, fitsBag, type AdjusterValues } from '../../2-frame';
import type { Rig, Wants } from '../../model';
import { leastThat } from './leastThat';
import type { Remedy } from './remedies';

const LONGER = { first: 0.01, most: 1, step: 0.01 };

export const goesInBag = (rig: Rig, values: AdjusterValues, bag: NonNullable<Wants['bag']>): boolean =>
  fitsBag(breakDown(rig, values).pieces, bag).fits;

export function bagRemedies(
  rig: Rig,
  values: AdjusterValues,
  wants: Wants & { readonly bag: NonNullable<Wants['bag']> },
): readonly Remedy[] {
  const { pieces } = breakDown(rig, values);
  const [worst] = [...fitsBag(pieces, wants.bag).tooLong].sort((a, b) => b.by - a.by);
  const grown = (by: number, all: boolean): NonNullable<Wants['bag']> =>
    wants.bag.map((side, i) => Number((side + (all || i === longest ? by : 0)).toPrecision(10))) as [
      number,
      number,
      number,
    ];
  const longest = wants.bag.indexOf(Math.max(...wants.bag));
  const [longer, larger] = ([false, true] as const).map((all) =>
    leastThat(LONGER, (d) => fitsBag(pieces, grown(d, all)).fits),
  );
  const { firm } = wants;
  return [
    ...(worst
      ? [
          {
            label: say`Shorten the piece with the ${worst.piece.name} by ${figure('length', worst.by, 0)}, or make one of its joints one that opens: its finding in Frame looks for it.`,
            whole: false,
            changes: [],
            wants: null,
          },
        ]
      : []),
    ...(longer === null
      ? []
      : [
          {
            label: say`A bag ${figure('length', longer!, 0)} longer.`,
            whole: true,
            changes: [],
            wants: { bag: grown(longer!, false) },
          },
        ]),
    ...(longer !== null || larger === null
      ? []
      : [
          {
            label: say`A bag ${figure('length', larger!, 0)} larger each way.`,
            whole: true,
            changes: [],
            wants: { bag: grown(larger!, true) },
          },
        ]),
    {
      label: say`Let the bag be a wish.`,
      whole: true,
      changes: [],
      wants: { firm: (firm ?? []).filter((id) => id !== 'bag') },
    },
  ];
}
