import fc from 'fast-check';
import { DEGREE, METRIC, render } from '../../0-base';
import { holds } from '../../testing/holds';
import { readClipDrop, readClipLean, type At, type LinesLaid } from './clipByHand';

const reasonOf = (f: ReturnType<typeof readClipDrop> | ReturnType<typeof readClipLean>): string =>
  f.ok ? '' : render(f.reason, METRIC);

describe('a drop by a clip', () => {
  it('is told by the frames’ own stamps, even or not, within its spread', () => {
    holds(
      fc.property(
        fc.array(fc.double({ min: 0.004, max: 0.06, noNaN: true }), { minLength: 80, maxLength: 200 }),
        fc.double({ min: 0.1, max: 0.4, noNaN: true }),
        fc.double({ min: 0.2, max: 1.2, noNaN: true }),
        (gaps, start, drop) => {
          let t = 0;
          const stamps = gaps.map((gap) => (t += gap));
          // What happened is seen in the first frame after it.
          const seen = (at: number): number => stamps.findIndex((s) => s >= at);
          const [letGo, upright] = [seen(start), seen(start + drop)];
          if (letGo < 1 || upright <= letGo) return;
          const read = readClipDrop(stamps, letGo, upright);
          if (!read.ok) return fail(reasonOf(read));
          // No error is larger than a frame: the spread of what is evenly likely within it is a third of that or so.
          expect(Math.abs(read.found.time - drop)).toBeLessThan(3.5 * read.found.spread);
        },
      ),
      { seed: 91 },
    );
  });
  it('is none where its marks stand the wrong way round, or its frames last too long', () => {
    expect(reasonOf(readClipDrop([0, 0.03, 0.06], 2, 1))).toContain('before it is let go');
    expect(reasonOf(readClipDrop([0, 0.5, 1], 0, 2))).toContain('0.50 s');
    expect(reasonOf(readClipDrop([0], 0, 0))).not.toBe('');
  });
});

describe('a lean by lines laid on a clip', () => {
  const turned = ([x, y]: At, by: number): At => [
    x * Math.cos(by) - y * Math.sin(by),
    x * Math.sin(by) + y * Math.cos(by),
  ];
  const line = (way: At, long: number, flip: boolean): LinesLaid['rig'] => {
    const end: At = [100 + long * way[0], 400 + long * way[1]];
    return flip ? [end, [100, 400]] : [[100, 400], end];
  };
  it('comes out as it leans: however the camera is held, whichever end comes first, along what lies or stands, nose left or right', () => {
    holds(
      fc.property(
        fc.double({ min: -50 * DEGREE, max: 50 * DEGREE, noNaN: true }),
        fc.double({ min: -40 * DEGREE, max: 40 * DEGREE, noNaN: true }),
        fc.boolean(),
        fc.boolean(),
        fc.constantFrom('level' as const, 'upright' as const),
        fc.constantFrom('left' as const, 'right' as const),
        (noseDown, held, a, b, along, nose) => {
          // On the picture a turn to the right of what points right goes down: nose to the right and down is clockwise.
          const clockwise = nose === 'right' ? noseDown : -noseDown;
          const read = readClipLean({
            plumb: line(turned([0, 1], held), 300, a),
            rig: line(turned(along === 'level' ? [1, 0] : [0, -1], held + clockwise), 300, b),
            along,
            nose,
          });
          if (!read.ok) return fail(reasonOf(read));
          expect(read.found.noseDown).toBeCloseTo(noseDown, 9);
          expect(read.found.spread).toBeCloseTo(0.01, 9);
        },
      ),
      { seed: 92 },
    );
  });
  it('is none of a short line, a plumb line that lies, or what leans too far to be meant', () => {
    const good: LinesLaid = { plumb: [[0, 0], [0, 300]], rig: [[0, 0], [300, 10]], along: 'level', nose: 'right' }; // prettier-ignore
    expect(reasonOf(readClipLean(good))).toBe('');
    expect(reasonOf(readClipLean({ ...good, rig: [[0, 0], [9, 0]] }))).toContain('9 picture points'); // prettier-ignore
    expect(reasonOf(readClipLean({ ...good, plumb: [[0, 0], [300, 10]] }))).toContain('flatter'); // prettier-ignore
    expect(reasonOf(readClipLean({ ...good, along: 'upright' }))).toContain('stand upright?');
  });
});
