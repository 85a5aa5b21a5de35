/** On a board, hinged at one end on an edge, with one scale under the other end. */
import { combine, figure, say, spreadOfStep } from '../../0-base';
import { boardOneScale } from '../formulas/boardOneScale';
import { AXIS_WORDS, fromFoot, impossible, insideBox, missing, type Method } from '../method';

export const onABoard: Method = {
  id: 'onABoard',
  name: 'On a board, one scale',
  finds: 'centre',
  reach: 3,
  minutes: 5,
  needs: 'axis',
  choose: 'One scale is enough, and odd shapes lie still.',
  how: [
    'Rest one end of a stiff board on an edge, the other on a bar on the scale. Keep it level.',
    'Read the scale with the board alone.',
    'Lay the item on, the near face towards the edge. Measure from the edge to that face.',
    'Read the scale again.',
  ],
  readings: [
    { id: 'boardAlone', kind: 'mass', name: () => 'Scale, board alone', least: 'zero' },
    { id: 'withItem', kind: 'mass', name: () => 'Scale, with the item', least: 'zero' },
    { id: 'distance', kind: 'length', name: () => 'Edge to scale' },
    { id: 'toFace', kind: 'length', name: (axis) => `Edge to ${axis.face}`, optional: true, least: 'any' },
  ],
  picture: [
    { look: 'bench', path: 'M10 90H190' },
    { look: 'support', path: 'M18 90 26 64 34 90ZM148 78 154 64 160 78Z' },
    { look: 'scale', path: 'M130 90V78H180V90Z' },
    { look: 'bench', path: 'M20 64H172M20 60H172M20 64V60M172 64V60' },
    { look: 'item', path: 'M60 60V26H124V60Z' },
    { look: 'measure', path: 'M26 94V98M154 94V98M26 96H154' },
    { look: 'pebble', path: 'M86 44c-1-3 2-5 5-4 4 0 6 1 5 4 0 2-3 3-6 3-2 0-4-1-4-3z' },
  ],
  work: (input) => {
    const { item, axis, weight } = input;
    const [alone, on, distance, toFace] = [
      input.read('boardAlone'),
      input.read('withItem'),
      input.read('distance'),
      input.read('toFace'),
    ];
    if (!alone || !on || !distance) return missing(onABoard, input)!;
    if (!weight) return impossible('withItem', 'Weigh the item first: the sum needs its whole mass.');
    const placed = boardOneScale({
      withBody: on.value,
      boardAlone: alone.value,
      weight: weight.value,
      distance: distance.value,
      scaleStep: input.scaleStep,
      rulerStep: input.rulerStep,
    });
    if (!placed.ok) return impossible(distance.value > 0 ? 'withItem' : 'distance', placed.reason);
    const offset = toFace?.value ?? 0;
    const outside = insideBox(item, axis, placed.at - offset, placed.spread);
    if (outside) return impossible('toFace', outside);
    const scatter = combine(
      (distance.value / weight.value) * combine(on.spread, alone.spread),
      (placed.at / weight.value) * weight.spread,
      ((on.value - alone.value) / weight.value) * distance.spread,
    );
    const face = toFace?.spread ?? spreadOfStep(input.rulerStep);
    return {
      kind: 'found',
      found: [
        {
          what: 'centre',
          axis,
          value: fromFoot(item, axis, placed.at - offset),
          spread: combine(Math.max(placed.spread, scatter), face),
        },
      ],
      sum: say`${figure('length', distance.value, 1)} × (${figure('mass', on.value)} − ${figure('mass', alone.value)}) ÷ ${figure('mass', weight.value)} = ${figure('length', placed.at, 1)} from the edge, so ${figure('length', placed.at - offset, 1)} from ${AXIS_WORDS[axis].face}.`,
      better:
        distance.value > 3 * item.size[axis]
          ? say`A shorter board: the scale then reads more for the same place.`
          : say`Read both again, and take the mean.`,
    };
  },
};
