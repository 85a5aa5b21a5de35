/** Paper that patterns are printed on: its size, what the printer leaves blank round it, how much sheets overlap, and how the printer scales. */
import type { Phrase } from '../../0-base';
import { figure, say } from '../../0-base';

export interface PaperSize {
  readonly id: 'a4' | 'letter';
  readonly name: string;
  /** Standing up, m. */
  readonly width: number;
  readonly height: number;
}
/** A4 by ISO 216; Letter, 8½ by 11 inches, by ANSI Y14.1. */
export const PAPERS: readonly PaperSize[] = [
  { id: 'a4', name: 'A4', width: 0.21, height: 0.297 },
  { id: 'letter', name: 'Letter', width: 0.2159, height: 0.2794 },
];

export interface Printer {
  readonly paper: PaperSize['id'];
  /** Left blank on every side, m. */
  readonly margin: number;
  /** What the bars of 100 mm on a sheet really measured, across it and along it, m. */
  readonly measured: readonly [number, number];
}
/** The bars on every sheet, m. */
export const BAR = 0.1;
export const USUAL_PRINTER: Printer = { paper: 'a4', margin: 0.01, measured: [BAR, BAR] };

/** A printer that shrinks a page to fit takes a few parts in a hundred: further off, something else is wrong. m. */
export const BELIEVABLE: readonly [number, number] = [0.85, 1.15];
/** Less room than this holds neither bar nor words, m. */
const LEAST = 0.12;
/** Kept for the title and the bar at the foot, and the bar at the side, m. */
export const FOOT = 0.02;
export const SIDE = 0.008;

/** Room for patterns on one sheet as it comes out of the printer, m, its lower left corner from the sheet’s. */
export type Room =
  | { readonly kind: 'room'; readonly width: number; readonly height: number; readonly at: readonly [number, number] }
  | { readonly kind: 'noRoom'; readonly why: Phrase };

export function roomOn({ paper, margin, measured }: Printer): Room {
  const size = PAPERS.find((p) => p.id === paper)!;
  const [kx, ky] = measured.map((m) => m / BAR) as [number, number];
  for (const k of [kx, ky])
    if (!(k >= BELIEVABLE[0] && k <= BELIEVABLE[1]))
      return {
        kind: 'noRoom',
        why: say`A bar of ${figure('length', BAR)} that measures ${figure('length', k * BAR, 1)} is no printer’s doing: measure it again, or print at 100 % and not “to fit”.`,
      };
  // What is drawn so long comes out so much longer or shorter: the sheet as printed has this room.
  const width = (size.width - 2 * margin) * kx - SIDE;
  const height = (size.height - 2 * margin) * ky - FOOT;
  return margin >= 0 && width >= LEAST && height >= LEAST
    ? { kind: 'room', width, height, at: [margin * kx + SIDE, margin * ky + FOOT] }
    : {
        kind: 'noRoom',
        why: say`Margins of ${figure('length', margin, 0)} leave no room on ${size.name} for a pattern and the bar that it is checked by.`,
      };
}
