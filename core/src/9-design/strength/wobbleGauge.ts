/** Wobble in the tide line: how a rig rings, against how low a walk still shakes it. */
import { figure, noGauge, say, type Figure, type Phrase } from '../../0-base';
import { FELT_BELOW, FIRM_ABOVE } from '../../4-strength/answer/felt';
import type { WayGauge } from '../../3-balance';
import type { Firmness } from './firmness';

/** The gauge ends at so many times what is firm. */
const PAST = 3;

/** `lags`: the figure is of the rig before the last edit. */
export function wobbleGauge(firm: Firmness | null, lags: boolean): WayGauge {
  const told = { title: 'How it rings: what a walk can shake', codes: [], wants: [] };
  if (!firm) return { ...told, gauge: noGauge('Wobble', 'working…') };
  const { rings, walk, against } = firm;
  const notes = against.map(({ title, why, toDo, about }) => ({ words: joined([title, why, toDo]), about }));
  if (!rings) return { ...told, notes, gauge: noGauge('Wobble') };
  const { frequency } = rings;
  return {
    ...told,
    gauge: {
      name: 'Wobble',
      figure: [ringing(frequency)],
      rest: [lags ? 'working…' : feltAs(frequency)],
      pebble: frequency / (PAST * FIRM_ABOVE),
      pool: [1 / PAST, 1],
      out: frequency < FELT_BELOW,
    },
    notes: [
      {
        words: say`It rings lowest at ${ringing(frequency)}: the picture ${rings.way}, and it gives most in ${rings.gives}. Steps shake what rings below ${figure('frequency', FELT_BELOW, 0)}; over ${figure('frequency', FIRM_ABOVE, 0)} a walk hardly does.`,
        about: null,
      },
      ...(walk === null
        ? []
        : [{ words: say`In a walk bending turns the lens ${figure('angle', walk, 2)} at most.`, about: null }]),
      ...notes,
    ],
  };
}

/** Joints are known within a few times only: tenths would say too much but where it is slow. */
const ringing = (frequency: number): Figure => figure('frequency', frequency, frequency < 10 ? 1 : 0);
const feltAs = (frequency: number): string =>
  frequency < FELT_BELOW ? 'felt' : frequency < FIRM_ABOVE ? 'may ring' : 'firm';

const joined = (sentences: readonly Phrase[]): Phrase => sentences.flatMap((s, i) => (i > 0 ? [' ', ...s] : s));
