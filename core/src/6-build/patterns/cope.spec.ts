import fc from 'fast-check';
import { seedOf, holds } from '../../testing/holds';
import { bentBarAssembly } from '../../testing/rigs';
import { copeAt, SHARPEST } from './kinds/cope';
import { PAPER, patternsOf } from './patternsOf';

const any = fc.record({
  tube: fc.double({ min: 0.006, max: 0.04, noNaN: true }),
  over: fc.double({ min: 0, max: 0.03, noNaN: true }),
  angle: fc.double({ min: SHARPEST, max: Math.PI / 2, noNaN: true }),
});

describe('a cope', () => {
  it('lies on the other tube all round, wherever the sheet’s line is wound', () => {
    holds(
      fc.property(any, ({ tube, over, angle }) => {
        const of = { tube, onto: tube + over, angle };
        const sheet = patternsOf(bentBarAssembly(), of).find((p) => p.id === 'cope')!;
        const line = sheet.ink.find((i) => i.kind === 'path' && i.stroke === 'cut')!;
        if (line.kind !== 'path') throw new Error('no line');
        const nearest = Math.min(...line.points.map(([, y]) => copeAt(of, y / (tube / 2 + PAPER / 2))));
        for (const [x, y] of line.points) {
          const turn = y / (tube / 2 + PAPER / 2);
          // The other runs along x; this one leaves it at the angle, in the plane of x and y.
          const [s, aside, out] = [x + nearest, (tube / 2) * Math.sin(turn), (tube / 2) * Math.cos(turn)];
          const away = Math.hypot(s * Math.sin(angle) + out * Math.cos(angle), aside);
          expect(away).toBeCloseTo(of.onto / 2, 10);
        }
      }),
      { seed: seedOf('cope') },
    );
  });

  it('of two alike at a right angle reaches from their axes’ meeting to a radius away; a thicker one has none', () => {
    const alike = { tube: 0.02, onto: 0.02, angle: Math.PI / 2 };
    expect(copeAt(alike, 0)).toBeCloseTo(0.01, 12);
    expect(copeAt(alike, Math.PI / 2)).toBeCloseTo(0, 12);
    expect(patternsOf(bentBarAssembly(), { ...alike, tube: 0.021 }).some((p) => p.id === 'cope')).toBeFalse();
    expect(patternsOf(bentBarAssembly()).some((p) => p.id === 'cope')).toBeFalse();
  });
});
