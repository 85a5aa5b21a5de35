/** Across two scales: each carries a share, and the shares say where the mass centre lies. */
import { combine, figure, say, spreadOfStep } from '../../0-base';
import { twoScales } from '../formulas/twoScales';
import { AXIS_WORDS, fromFoot, impossible, insideBox, missing, type Method } from '../method';

/** The two scales together may differ from the weight by this part of it, beside their steps: they are not one scale. */
const SCALES_DIFFER = 0.01;

export const onTwoScales: Method = {
  id: 'onTwoScales',
  name: 'On two scales',
  finds: 'centre',
  reach: 2,
  minutes: 4,
  needs: 'axis',
  choose: 'Better than an edge for anything heavy or long.',
  how: [
    'Lay a pencil or a bar across each scale, and tare both.',
    'Measure between the bars, and from the face to the nearer bar.',
    'Rest it across both bars, level, and read both scales.',
  ],
  readings: [
    { id: 'near', kind: 'mass', name: (axis) => `Scale at the ${axis.near} end`, least: 'zero' },
    { id: 'far', kind: 'mass', name: (axis) => `Scale at the ${axis.far} end`, least: 'zero' },
    { id: 'distance', kind: 'length', name: () => 'Between the bars' },
    {
      id: 'fromFace',
      kind: 'length',
      name: (axis) => `From ${axis.face} to the nearer bar`,
      optional: true,
      least: 'any',
      help: 'Zero when the bar stands right at the face.',
    },
  ],
  picture: [
    { look: 'bench', path: 'M10 90H190' },
    { look: 'scale', path: 'M22 90V78H72V90ZM128 90V78H178V90Z' },
    { look: 'support', path: 'M43 78 47 66 51 78ZM149 78 153 66 157 78Z' },
    { look: 'item', path: 'M30 66V26H170V66Z' },
    { look: 'measure', path: 'M47 94V98M153 94V98M47 96H153' },
    { look: 'pebble', path: 'M84 46c-1-3 2-5 5-4 4 0 6 1 5 4 0 2-3 3-6 3-2 0-4-1-4-3z' },
  ],
  work: (input) => {
    const { item, axis } = input;
    const [near, far, distance, fromFace] = [
      input.read('near'),
      input.read('far'),
      input.read('distance'),
      input.read('fromFace'),
    ];
    if (!near || !far || !distance) return missing(onTwoScales, input)!;
    const offset = fromFace?.value ?? 0;
    const sum = near.value + far.value;
    if (input.weight) {
      const allowed = 3 * combine(near.spread, far.spread, input.weight.spread) + SCALES_DIFFER * input.weight.value;
      if (Math.abs(sum - input.weight.value) > allowed) {
        return impossible(
          'near',
          say`Together the scales read ${figure('mass', sum)}, but it weighs ${figure('mass', input.weight.value)}. Tare both with their bars on, and see that it touches nothing else.`,
        );
      }
    }
    const placed = twoScales({
      atOrigin: near.value,
      atFar: far.value,
      distance: distance.value,
      scaleStep: input.scaleStep,
      rulerStep: input.rulerStep,
    });
    if (!placed.ok) return impossible(distance.value > 0 ? 'near' : 'distance', placed.reason);
    const outside = insideBox(item, axis, placed.at + offset, placed.spread);
    if (outside) return impossible('fromFace', outside);
    // The repeats' scatter beside the single reading's spread, along the same slopes.
    const scatter = combine(
      (distance.value * far.value * near.spread) / sum ** 2,
      (distance.value * near.value * far.spread) / sum ** 2,
      (far.value / sum) * distance.spread,
    );
    const face = fromFace?.spread ?? spreadOfStep(input.rulerStep);
    const spread = combine(Math.max(placed.spread, scatter), face);
    return {
      kind: 'found',
      found: [{ what: 'centre', axis, value: fromFoot(item, axis, placed.at + offset), spread }],
      sum: say`${figure('length', distance.value, 1)} × ${figure('mass', far.value)} ÷ ${figure('mass', sum)} = ${figure('length', placed.at, 1)} from the nearer bar, so ${figure('length', placed.at + offset, 1)} from ${AXIS_WORDS[axis].face}.`,
      better:
        face > placed.spread
          ? say`Measure the bars' places with calipers: the ruler is the weakest link.`
          : say`A finer scale, or bars closer together: the scale is the weakest link.`,
    };
  },
};
