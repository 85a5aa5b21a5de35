/** How deep the tripod socket is: a screw turned in until it stops, with a nut run down to the face. */
import { figure, say } from '../../0-base';
import { impossible, missing, type Method } from '../method';

/** No camera or plate socket is deeper than this, m; a longer reading was taken of the whole screw. */
const DEEPEST = 0.03;

export const socketWithNut: Method = {
  id: 'socketWithNut',
  name: 'Socket, with a screw and a nut',
  finds: 'depth',
  reach: 1,
  minutes: 2,
  needs: 'nothing',
  choose: 'So that the screw holds well and never bottoms out.',
  how: [
    'Turn a screw in by hand, gently, until it stops. Do not force it.',
    'Run a nut down the screw until it touches the face.',
    'Back the two out together and measure from the nut’s face to the screw’s tip.',
  ],
  readings: [{ id: 'tipToNut', kind: 'length', name: () => 'Nut face to tip' }],
  picture: [
    { look: 'item', path: 'M30 20H170V54H30Z' },
    { look: 'bench', path: 'M92 54V30H108V54' },
    { look: 'support', path: 'M95 32V84H105V32ZM86 54H114V64H86Z' },
    { look: 'measure', path: 'M122 32H134M122 54H134M128 32V54' },
  ],
  work: (input) => {
    const depth = input.read('tipToNut');
    if (!depth) return missing(socketWithNut, input)!;
    if (!(depth.value > 0)) return impossible('tipToNut', 'A depth must be more than nothing.');
    if (depth.value > DEEPEST)
      return impossible(
        'tipToNut',
        'That is deeper than any tripod socket. Measure from the nut to the tip, not the whole screw.',
      );
    return {
      kind: 'found',
      found: [{ what: 'depth', axis: null, value: depth.value, spread: depth.spread }],
      sum: say`The screw goes in ${figure('length', depth.value, 1)}.`,
      better: depth.count < 2 ? say`Do it twice: a thread that binds reads short.` : say`Calipers instead of a ruler.`,
    };
  },
};
