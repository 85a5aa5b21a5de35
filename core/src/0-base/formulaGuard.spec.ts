import * as fc from 'fast-check';
import { holds } from '../testing/holds';
import { guardedCell, unguardedCell } from '..';

describe('a cell of text that looks like a formula', () => {
  it('comes back as it was typed, whatever it was', () => {
    holds(
      fc.property(
        fc.oneof(fc.string(), fc.stringMatching(/^'{0,3}[=+\-@]?[a-z0-9(]{0,6}$/)),
        (text) => unguardedCell(guardedCell(text)) === text,
      ),
      { seed: 14, numRuns: 2000 },
    );
  });
  it('is guarded only where it would run: a negative figure is a figure', () => {
    for (const figure of ['-3.4', '-12', '+5', '-0,5', '1e-7', '-1.5E+3']) expect(guardedCell(figure)).toBe(figure);
    for (const formula of ['=1+1', '+cmd', '-2+3', '@sum', '\t=x', "'=x"])
      expect(guardedCell(formula)).toBe(`'${formula}`);
    expect(guardedCell('plain')).toBe('plain');
  });
});
