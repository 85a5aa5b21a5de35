/** Heavier than the scale: one end on the scale, the other on a block as high, then the other way round. */
import { combine, figure, say, spreadOfStep } from '../../0-base';
import { twoScales } from '../formulas/twoScales';
import { AXIS_WORDS, fromFoot, impossible, insideBox, missing, type Method } from '../method';

export const oneEndAtATime: Method = {
  id: 'oneEndAtATime',
  name: 'One end at a time',
  finds: 'centre',
  reach: 4,
  minutes: 5,
  needs: 'axis',
  choose: 'When the whole is too heavy for the scale. It finds the mass too.',
  how: [
    'Stand a block beside the scale, as high as the scale with its bar.',
    'Rest one end on the scale’s bar, the other on the block, level, and read.',
    'Turn it round, resting at the same two places, and read the other end.',
  ],
  readings: [
    { id: 'near', kind: 'mass', name: (axis) => `Scale under the ${axis.near} end`, least: 'zero' },
    { id: 'far', kind: 'mass', name: (axis) => `Scale under the ${axis.far} end`, least: 'zero' },
    { id: 'distance', kind: 'length', name: () => 'Between the two places' },
    {
      id: 'fromFace',
      kind: 'length',
      name: (axis) => `From ${axis.face} to the nearer place`,
      optional: true,
      least: 'any',
    },
  ],
  picture: [
    { look: 'bench', path: 'M10 90H190' },
    { look: 'scale', path: 'M22 90V78H72V90Z' },
    { look: 'support', path: 'M43 78 47 66 51 78ZM138 90V66H168V90Z' },
    { look: 'item', path: 'M30 66V22H174V66Z' },
    { look: 'measure', path: 'M47 94V98M153 94V98M47 96H153M96 12a8 8 0 1 1 14 3M110 9V15H104' },
    { look: 'pebble', path: 'M90 44c-1-3 2-5 5-4 4 0 6 1 5 4 0 2-3 3-6 3-2 0-4-1-4-3z' },
  ],
  work: (input) => {
    const { item, axis } = input;
    const [near, far, distance, fromFace] = [
      input.read('near'),
      input.read('far'),
      input.read('distance'),
      input.read('fromFace'),
    ];
    if (!near || !far || !distance) return missing(oneEndAtATime, input)!;
    const placed = twoScales({
      atOrigin: near.value,
      atFar: far.value,
      distance: distance.value,
      scaleStep: input.scaleStep,
      rulerStep: input.rulerStep,
    });
    if (!placed.ok) return impossible(distance.value > 0 ? 'near' : 'distance', placed.reason);
    const offset = fromFace?.value ?? 0;
    const outside = insideBox(item, axis, placed.at + offset, placed.spread);
    if (outside) return impossible('fromFace', outside);
    const sum = near.value + far.value;
    const scatter = combine(
      (distance.value * far.value * near.spread) / sum ** 2,
      (distance.value * near.value * far.spread) / sum ** 2,
      (far.value / sum) * distance.spread,
    );
    return {
      kind: 'found',
      found: [
        { what: 'mass', axis: null, value: sum, spread: combine(near.spread, far.spread) },
        {
          what: 'centre',
          axis,
          value: fromFoot(item, axis, placed.at + offset),
          spread: combine(Math.max(placed.spread, scatter), fromFace?.spread ?? spreadOfStep(input.rulerStep)),
        },
      ],
      sum: say`${figure('mass', near.value)} and ${figure('mass', far.value)} make ${figure('mass', sum)}; ${figure('length', distance.value, 1)} × ${figure('mass', far.value)} ÷ ${figure('mass', sum)} = ${figure('length', placed.at, 1)}, so ${figure('length', placed.at + offset, 1)} from ${AXIS_WORDS[axis].face}.`,
      better: say`Keep it level both times: a block 5 mm too low shifts the reading.`,
    };
  },
};
