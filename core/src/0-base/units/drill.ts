/** Drills as they are sold: by tenths of a millimetre, and in inches by fraction, number and letter. */
import { INCH, showLength, type LengthSystem } from './length';

/** Number drills 1 to 60 and letter drills A to Z, in; source: the table of ANSI B94.11M, as printed on any drill index. */
const NUMBERS: readonly number[] = [
  0.228, 0.221, 0.213, 0.209, 0.2055, 0.204, 0.201, 0.199, 0.196, 0.1935, 0.191, 0.189, 0.185, 0.182, 0.18, 0.177,
  0.173, 0.1695, 0.166, 0.161, 0.159, 0.157, 0.154, 0.152, 0.1495, 0.147, 0.144, 0.1405, 0.136, 0.1285, 0.12, 0.116,
  0.113, 0.111, 0.11, 0.1065, 0.104, 0.1015, 0.0995, 0.098, 0.096, 0.0935, 0.089, 0.086, 0.082, 0.081, 0.0785, 0.076,
  0.073, 0.07, 0.067, 0.0635, 0.0595, 0.055, 0.052, 0.0465, 0.043, 0.042, 0.041, 0.04,
];
const LETTERS: readonly number[] = [
  0.234, 0.238, 0.242, 0.246, 0.25, 0.257, 0.261, 0.266, 0.272, 0.277, 0.281, 0.29, 0.295, 0.302, 0.316, 0.323, 0.332,
  0.339, 0.348, 0.358, 0.368, 0.377, 0.386, 0.397, 0.404, 0.413,
];
const SOLD: readonly { readonly name: string; readonly inches: number }[] = [
  ...NUMBERS.map((inches, i) => ({ name: `no. ${i + 1}`, inches })),
  ...LETTERS.map((inches, i) => ({ name: `letter ${String.fromCharCode(65 + i)}`, inches })),
];
/** This far from one that is sold, a hole is not drilled with it, m. */
const WITHIN = 0.00005;

/**
 * A hole's diameter (m) as the drill for it is sold. In inches: the fraction where one is this size, else the nearest number
 * or letter with its inches, else millimetres; never rounded to another drill.
 */
export function showDrill(metres: number, system: LengthSystem): string {
  const { name, inches } = drillOf(metres, system);
  // To the thou, as finely as anyone measures a drill.
  return inches === null ? name : `${name} (${inches.toFixed(3)} in)`;
}

/** Its name alone, for where there is no room for more. */
export const drillName = (metres: number, system: LengthSystem): string => drillOf(metres, system).name;

function drillOf(metres: number, system: LengthSystem): { readonly name: string; readonly inches: number | null } {
  if (system === 'inch') {
    const fraction = showLength(metres, 'inch', 64);
    if (Math.abs(fraction.roundedBy) <= WITHIN) return { name: fraction.text, inches: null };
    const nearest = SOLD.reduce((a, b) =>
      Math.abs(b.inches * INCH - metres) < Math.abs(a.inches * INCH - metres) ? b : a,
    );
    if (Math.abs(nearest.inches * INCH - metres) <= WITHIN) return nearest;
  }
  return { name: showLength(metres, 'mm', 32, 2).text, inches: null };
}
