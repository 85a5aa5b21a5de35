/** The size of its box, by ruler or caliper. */
import { figure, say } from '../../0-base';
import { AXIS_WORDS, impossible, missing, type Method } from '../method';

export const outsideSize: Method = {
  id: 'outsideSize',
  name: 'Size, by ruler or caliper',
  finds: 'size',
  reach: 1,
  minutes: 1,
  needs: 'axis',
  choose: 'Knobs, hoods and eyecups left out; they go in as what must stay free.',
  how: [
    'Close the jaws, or lay the ruler, square across the two faces.',
    'Read without pressing.',
    'Turn it a little and read twice more.',
  ],
  readings: [{ id: 'across', kind: 'length', name: () => 'Across the faces' }],
  picture: [
    { look: 'bench', path: 'M10 90H190' },
    { look: 'item', path: 'M60 80V34H140V80Z' },
    { look: 'support', path: 'M52 24H148V18H52ZM52 24V62H60V24ZM148 24V62H140V24' },
    { look: 'measure', path: 'M60 88V94M140 88V94M60 91H140' },
  ],
  work: (input) => {
    const across = input.read('across');
    if (!across) return missing(outsideSize, input)!;
    if (!(across.value > 0)) return impossible('across', 'A size must be more than nothing.');
    return {
      kind: 'found',
      found: [{ what: 'size', axis: input.axis, value: across.value, spread: across.spread }],
      sum: say`Size, ${AXIS_WORDS[input.axis].name}: mean of ${figure('count', across.count)}.`,
      better:
        across.range > 3 * input.rulerStep
          ? say`The readings differ by ${figure('length', across.range, 1)}: are the faces parallel?`
          : say`Calipers read ten times finer than a ruler.`,
    };
  },
};
