/** On the scale as it stands. */
import { combine, figure, say } from '../../0-base';
import { impossible, missing, type Method } from '../method';

/** A kitchen scale's own drift and linearity, kg, one standard uncertainty; beside its step. Rough: from checking a few with coins. */
const SCALE_DRIFT = 0.0005;

export const weigh: Method = {
  id: 'weigh',
  name: 'Weigh it',
  finds: 'mass',
  reach: 1,
  minutes: 1,
  needs: 'nothing',
  choose: 'The plain way, for all that the scale can carry.',
  how: [
    'Tare the empty scale.',
    'Put it on as it will shoot: battery and card in, strap off.',
    'Wait until the figure stands still. Lift it off, and weigh once more.',
  ],
  readings: [{ id: 'scale', kind: 'mass', name: () => 'Scale reads' }],
  picture: [
    { look: 'bench', path: 'M10 90H190' },
    { look: 'scale', path: 'M55 90V74H145V90ZM88 78H112V86H88Z' },
    { look: 'support', path: 'M50 74H150V69H50Z' },
    { look: 'item', path: 'M70 69V30H130V69ZM130 40H150V60H130' },
    { look: 'pebble', path: 'M100 50c-1-3 2-5 5-4 4 0 6 1 5 4 0 2-3 3-6 3-2 0-4-1-4-3z' },
  ],
  work: (input) => {
    const scale = input.read('scale');
    if (!scale) return missing(weigh, input)!;
    if (!(scale.value > 0))
      return impossible('scale', 'A mass must be more than nothing. Tare the empty scale and weigh again.');
    const spread = combine(scale.spread, SCALE_DRIFT);
    return {
      kind: 'found',
      found: [{ what: 'mass', axis: null, value: scale.value, spread }],
      sum:
        scale.count > 1
          ? say`Mean of ${figure('count', scale.count)} readings, ${figure('mass', scale.range, 1)} from least to most.`
          : say`One reading.`,
      better:
        scale.count < 3
          ? say`Lift it off, tare, and weigh it once or twice more.`
          : say`A finer scale; for small things, weigh ten together.`,
    };
  },
};
