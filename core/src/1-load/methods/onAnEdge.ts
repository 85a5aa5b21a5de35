/** Balanced on a dowel or a ruler's edge: the mass centre lies between the places where it tips one way and the other. */
import { combine, figure, say, spreadOfStep } from '../../0-base';
import { balanceOnEdge } from '../formulas/balanceOnEdge';
import { AXIS_WORDS, fromFoot, impossible, missing, type Method } from '../method';

/** Nearer to a face than this part of the length no camera, lens or light balances. */
const AT_AN_END = 0.05;

export const onAnEdge: Method = {
  id: 'onAnEdge',
  name: 'On an edge',
  finds: 'centre',
  reach: 1,
  minutes: 3,
  needs: 'axis',
  choose: 'A dowel and a ruler. Quick, and good to a millimetre or so.',
  how: [
    'Lay a dowel, or a steel rule on edge, across the bench.',
    'Put it on, with the line you measure square across the edge.',
    'Push it along until it just tips one way: read where the edge stands.',
    'Push it back until it just tips the other way: read again from the same face.',
  ],
  readings: [
    { id: 'tipsOneWay', kind: 'length', name: () => 'Tips one way', least: 'zero' },
    { id: 'tipsOtherWay', kind: 'length', name: () => 'Tips the other', least: 'zero' },
  ],
  picture: [
    { look: 'bench', path: 'M10 90H190' },
    { look: 'support', path: 'M93 90 102 70 111 90Z' },
    { look: 'item', path: 'M40 70V26H150V70Z' },
    { look: 'measure', path: 'M40 94V98M102 94V98M40 96H102' },
    { look: 'pebble', path: 'M98 48c-1-3 2-5 5-4 4 0 6 1 5 4 0 2-3 3-6 3-2 0-4-1-4-3z' },
  ],
  work: (input) => {
    const { item, axis } = input;
    const [one, other] = [input.read('tipsOneWay'), input.read('tipsOtherWay')];
    if (!one || !other) return missing(onAnEdge, input)!;
    const length = item.size[axis];
    for (const [reading, place] of [
      ['tipsOneWay', one.value],
      ['tipsOtherWay', other.value],
    ] as const) {
      if (!(place >= 0 && place <= length))
        return impossible(reading, `The edge stood outside the item. Measure from ${AXIS_WORDS[axis].face} each time.`);
    }
    // An edge is a few millimetres wide at most: tips a quarter of the item apart were read from two faces.
    if (Math.abs(one.value - other.value) > Math.max(0.25 * length, 0.01))
      return impossible(
        'tipsOtherWay',
        say`The two tips lie ${figure('length', Math.abs(one.value - other.value), 0)} apart. Read both from ${AXIS_WORDS[axis].face}.`,
      );
    const middle = (one.value + other.value) / 2;
    if (Math.min(middle, length - middle) < AT_AN_END * length)
      return impossible(
        'tipsOtherWay',
        say`Both tips lie at one end: hardly anything balances there. Was each read from ${AXIS_WORDS[axis].face}, one tip each way?`,
      );
    const placed = balanceOnEdge({
      tipsOneWay: one.value,
      tipsOtherWay: other.value,
      length,
      rulerStep: input.rulerStep,
    });
    if (!placed.ok) return impossible('tipsOneWay', placed.reason);
    const repeats = combine(one.spread, other.spread) / 2;
    const width = Math.abs(one.value - other.value);
    return {
      kind: 'found',
      found: [
        {
          what: 'centre',
          axis,
          value: fromFoot(item, axis, placed.at),
          spread: Math.max(placed.spread, combine(spreadOfStep(width), repeats)),
        },
      ],
      sum: say`Midway between ${figure('length', one.value, 1)} and ${figure('length', other.value, 1)}: ${figure('length', placed.at, 1)} from ${AXIS_WORDS[axis].face}.`,
      better:
        width > 2 * input.rulerStep
          ? say`A narrower edge: the tips lie ${figure('length', width, 1)} apart.`
          : say`Read each tip twice more, or use calipers.`,
    };
  },
};
