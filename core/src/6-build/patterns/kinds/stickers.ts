/** Marks to stick on: a cross for each pivot, a plumb line to hang the rig by, an arrow to the lens. */
import { say, type Phrase } from '../../../0-base';
import type { Point2 } from '../../../2-frame';
import { WORDS, type Ink, type PatternMaker } from '../pattern';

const SIZE = 0.02;
const GAP = 0.009;
/** So many targets over each other. */
const COLUMN = 3;
/** A fan of lines under the plumb point: this far down, one each degree to this side. */
const PLUMB = { long: 0.09, degrees: 5 } as const;

export const stickers: PatternMaker = ({ assembly }) => {
  const { pivots } = assembly.rig;
  if (pivots.length === 0) return [];
  const marks = pivots.flatMap((p, i) =>
    target([Math.floor(i / COLUMN) * (SIZE + GAP) + SIZE / 2, (i % COLUMN) * (SIZE + GAP) + SIZE / 2], say`${p.name}`),
  );
  const fan = plumb([Math.ceil(pivots.length / COLUMN) * (SIZE + GAP) + 0.01, 0]);
  return [
    {
      id: 'stickers',
      about: pivots[0]!.id,
      title: say`Marks to stick on`,
      says: [
        say`A target over the middle of each pivot. The fan behind a thread with a nut on it, its cross at the thread’s upper end: each line is one degree, the long one is plumb.`,
      ],
      ink: [...marks, ...fan],
      holes: [],
    },
  ];
};

function target([x, y]: Point2, says: Phrase): readonly Ink[] {
  const r = SIZE / 2;
  return [
    { kind: 'circle', at: [x, y], radius: r, stroke: 'cut' },
    { kind: 'circle', at: [x, y], radius: r / 3, stroke: 'line' },
    {
      kind: 'path',
      points: [
        [x - r, y],
        [x + r, y],
      ],
      closed: false,
      stroke: 'centre',
    },
    {
      kind: 'path',
      points: [
        [x, y - r],
        [x, y + r],
      ],
      closed: false,
      stroke: 'centre',
    },
    { kind: 'words', at: [x, -1.2 * WORDS.small], says, height: WORDS.small },
  ];
}

/** Lines a degree apart from a cross at the top. */
function plumb([left]: Point2): readonly Ink[] {
  const { long, degrees } = PLUMB;
  const half = long * Math.tan((degrees * Math.PI) / 180) + 0.004;
  const [x, y] = [left + half, long];
  const lines = Array.from({ length: 2 * degrees + 1 }, (_, i): Ink => {
    const turn = ((i - degrees) * Math.PI) / 180;
    const from = i === degrees ? 0 : long * 0.8;
    const at = (down: number): Point2 => [x + down * Math.tan(turn), y - down];
    return { kind: 'path', points: [at(from), at(long)], closed: false, stroke: i === degrees ? 'line' : 'centre' };
  });
  return [
    {
      kind: 'path',
      points: [
        [x - half, -0.004],
        [x + half, -0.004],
        [x + half, long + 0.006],
        [x - half, long + 0.006],
      ],
      closed: true,
      stroke: 'cut',
    },
    {
      kind: 'path',
      points: [
        [x - 0.003, y],
        [x + 0.003, y],
      ],
      closed: false,
      stroke: 'centre',
    },
    ...lines,
  ];
}
