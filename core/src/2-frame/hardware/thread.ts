/** Screw threads by their usual names: metric (ISO 261) and unified (ASME B1.1), coarse and fine, and the areas that follow from pitch. */

const INCH = 0.0254;

export interface Thread {
  /** “M6”, “1/4-20”. */
  readonly name: string;
  readonly standard: 'ISO' | 'unified';
  /** Outside, and from one turn to the next, m. */
  readonly diameter: number;
  readonly pitch: number;
}

const metric = (size: number, pitch: number): Thread => ({
  name: `M${size}`,
  standard: 'ISO',
  diameter: size / 1000,
  pitch: pitch / 1000,
});
const unified = (name: string, inches: number, turnsAnInch: number): Thread => ({
  name,
  standard: 'unified',
  diameter: inches * INCH,
  pitch: INCH / turnsAnInch,
});

const COARSE: readonly Thread[] = [
  metric(3, 0.5),
  metric(4, 0.7),
  metric(5, 0.8),
  metric(6, 1),
  metric(8, 1.25),
  metric(10, 1.5),
  metric(12, 1.75),
  unified('1/4-20', 1 / 4, 20),
  unified('5/16-18', 5 / 16, 18),
  unified('3/8-16', 3 / 8, 16),
  unified('1/2-13', 1 / 2, 13),
];
/** Each with the coarse one of its diameter, whose heads, nuts and washers it shares. */
const FINE: readonly (readonly [Thread, string])[] = [
  [{ ...metric(8, 1), name: 'M8×1' }, 'M8'],
  [{ ...metric(10, 1.25), name: 'M10×1.25' }, 'M10'],
  [{ ...metric(12, 1.25), name: 'M12×1.25' }, 'M12'],
  [unified('1/4-28', 1 / 4, 28), '1/4-20'],
  [unified('5/16-24', 5 / 16, 24), '5/16-18'],
  [unified('3/8-24', 3 / 8, 24), '3/8-16'],
  [unified('1/2-20', 1 / 2, 20), '1/2-13'],
];
/** Coarse ones first: where only a diameter is known, the coarse one is meant. */
export const THREADS: readonly Thread[] = [...COARSE, ...FINE.map(([thread]) => thread)];
/** By the name of a thread: that of the coarse one with its hexagons. */
const HEXAGONS_OF = new Map(FINE.map(([thread, coarse]) => [thread.name, coarse]));
export const coarseName = (name: string): string => HEXAGONS_OF.get(name) ?? name;

export function threadOf(name: string): Thread {
  const found = THREADS.find((t) => t.name === name);
  if (!found) throw new RangeError(`no thread “${name}”`);
  return found;
}

/** Height of the sharp triangle that the profile is cut from, m. */
const sharp = (pitch: number): number => (Math.sqrt(3) / 2) * pitch;
type Profile = Pick<Thread, 'diameter' | 'pitch'>;

/** Where ridge and groove are as wide, m: d2 = d − 3/4 of the triangle. */
export const pitchDiameter = ({ diameter, pitch }: Profile): number => diameter - 0.75 * sharp(pitch);
/** The nut's own bore, m: D1 = d − 5/4 of it. */
export const nutBore = ({ diameter, pitch }: Profile): number => diameter - 1.25 * sharp(pitch);

/**
 * Mean area of the 60° basic profile over a pitch, m²: a flat crest of pitch/8, a flat root of pitch/4 at the nut's bore, straight
 * flanks. The same for a screw and for the hole in its nut, so that a filled nut is whole (docs/sources.md, Fasteners).
 */
export function threadArea({ diameter, pitch }: Profile): number {
  if (!(diameter > 0 && pitch > 0 && nutBore({ diameter, pitch }) > 0)) throw new RangeError('a thread has a core');
  const crest = diameter / 2;
  const root = nutBore({ diameter, pitch }) / 2;
  return Math.PI * (crest ** 2 / 8 + root ** 2 / 4 + (5 / 8) * ((crest ** 2 + crest * root + root ** 2) / 3));
}
