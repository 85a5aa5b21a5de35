/** With and without: for what cannot lie on the scale alone, such as a cable, a card or a screen's cover. */
import { combine, figure, say } from '../../0-base';
import { impossible, missing, type Method } from '../method';

export const difference: Method = {
  id: 'difference',
  name: 'With and without',
  finds: 'mass',
  reach: 2,
  minutes: 3,
  needs: 'nothing',
  choose: 'For what cannot lie on the scale alone.',
  how: [
    'Weigh the whole with it on.',
    'Take it off, touch nothing else, and weigh the rest.',
    'It weighs the difference.',
  ],
  readings: [
    { id: 'with', kind: 'mass', name: () => 'With it' },
    { id: 'without', kind: 'mass', name: () => 'Without it', least: 'zero' },
  ],
  picture: [
    { look: 'bench', path: 'M10 90H190' },
    { look: 'scale', path: 'M20 90V76H92V90ZM110 90V76H182V90Z' },
    { look: 'item', path: 'M32 76V40H72V76ZM122 76V40H162V76Z' },
    { look: 'support', path: 'M72 50H88V62H72Z' },
    { look: 'measure', path: 'M98 58H106' },
  ],
  work: (input) => {
    const [on, off] = [input.read('with'), input.read('without')];
    if (!on || !off) return missing(difference, input)!;
    const value = on.value - off.value;
    if (!(value > 0))
      return impossible(
        'with',
        'With it on the scale reads no more than without. Are the two readings the wrong way round?',
      );
    const spread = combine(on.spread, off.spread);
    return {
      kind: 'found',
      found: [{ what: 'mass', axis: null, value, spread }],
      sum: say`${figure('mass', on.value, 1)} with it, less ${figure('mass', off.value, 1)} without.`,
      better:
        value < 5 * spread
          ? say`It is too light for this scale: weigh several together, or use a finer one.`
          : say`Weigh both once more; the scale's own drift falls out of a difference taken quickly.`,
    };
  },
};
