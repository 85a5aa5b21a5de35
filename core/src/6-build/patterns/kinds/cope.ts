/** A sheet to wind round a tube that is to end on another's side: sawn and filed to its line, it lies on that tube all round. What a maker adds of his own; no rig has such a joint. */
import { figure, say } from '../../../0-base';
import type { Point2 } from '../../../2-frame';
import type { Ink, Pattern, PatternMaker } from '../pattern';

export interface Cope {
  /** Outsides of the tube that ends and of the one it ends on, m. The second is at least as thick. */
  readonly tube: number;
  readonly onto: number;
  /** Between their axes, which meet, rad: from SHARPEST up to a right angle. */
  readonly angle: number;
}
/** Less is more of a scarf than of a cope, rad. */
export const SHARPEST = Math.PI / 9;
const ROUND = 96;
/** The sheet goes on so far past the heel of the line, m. */
const PAST = 0.03;
/** Nearer than this the axes meet at the tips, m. */
const AT_TIPS = 0.0001;

export const cope: PatternMaker = ({ cope: of, paper }) => (of && of.tube <= of.onto ? [copeSheet(of, paper)] : []);

/**
 * How far from where the axes meet a line along the tube's outside meets the other tube, m. `turn` from the side of the heel, where
 * the angle between both tubes is blunt, rad. From |s along + r round|, square to the other's axis, being its radius.
 */
export function copeAt({ tube, onto, angle }: Cope, turn: number): number {
  const [r, R] = [tube / 2, onto / 2];
  const aside = r * Math.sin(turn);
  return (Math.sqrt(Math.max(0, R * R - aside * aside)) - r * Math.cos(turn) * Math.cos(angle)) / Math.sin(angle);
}

function copeSheet(of: Cope, paper: number): Pattern {
  // To the middle of the paper: it is neither stretched nor squeezed there.
  const around = Math.PI * (of.tube + paper);
  const turns = Array.from({ length: ROUND + 1 }, (_, i) => (2 * Math.PI * i) / ROUND);
  const reaches = turns.map((t) => copeAt(of, t));
  const [nearest, furthest] = [Math.min(...reaches), Math.max(...reaches)];
  const line = turns.map((t, i): Point2 => [reaches[i]! - nearest, (around * t) / (2 * Math.PI)]);
  const end = furthest - nearest + PAST;
  const outline: Ink = { kind: 'path', points: [...line, [end, around], [end, 0]], closed: true, stroke: 'line' };
  const isSquare = Math.abs(of.angle - Math.PI / 2) < 1e-6;
  // A ring round it: wound straight, it meets itself.
  const ring = end - PAST / 2;
  return {
    id: 'cope',
    about: '',
    title: say`Sheet to end a tube of ${figure('length', of.tube, 1)} on one of ${figure('length', of.onto, 1)}, at ${figure('angle', of.angle, 1)}`,
    says: [
      say`Cut it out and wind it round, the print outside and its long edges meeting, the tips of its line flush with the tube’s end.`,
      nearest < AT_TIPS
        ? say`Both axes meet where the tips end: measure the length you need from there.`
        : say`Both axes meet ${figure('length', nearest, 1)} beyond the tips: measure the length you need from there.`,
      say`Saw near the line and file to it, the file held the way the other tube runs; a hole saw of ${figure('drill', of.onto)} does it in one go. Try it on the tube: no light shows all round.`,
      isSquare
        ? say`Its long edges lie to either side, along the tube it ends on.`
        : say`Its long edges lie on the side of the blunt angle.`,
    ],
    ink: [
      outline,
      { kind: 'path', points: line, closed: false, stroke: 'cut' },
      {
        kind: 'path',
        points: [
          [ring, 0],
          [ring, around],
        ],
        closed: false,
        stroke: 'line',
      },
    ],
    holes: [],
  };
}
