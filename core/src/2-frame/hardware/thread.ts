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
const FINE: readonly Thread[] = [
  { ...metric(8, 1), name: 'M8×1' },
  { ...metric(10, 1.25), name: 'M10×1.25' },
  { ...metric(12, 1.25), name: 'M12×1.25' },
  unified('1/4-28', 1 / 4, 28),
  unified('5/16-24', 5 / 16, 24),
  unified('3/8-24', 3 / 8, 24),
  unified('1/2-20', 1 / 2, 20),
];
/** Those of diameters whose heads, nuts and washers stand in the tables. Coarse ones first: where only a diameter is known, the coarse one is meant. */
export const THREADS: readonly Thread[] = [...COARSE, ...FINE];

/** A numbered screw's diameter, inches (ASME B1.1). */
const numbered = (size: number): number => 0.06 + 0.013 * size;
/** Coarse ones that makers have now and then, between those of the tables (ISO 261, ASME B1.1). */
export const RARER_THREADS: readonly Thread[] = [
  metric(7, 1),
  metric(9, 1.25),
  metric(14, 2),
  metric(16, 2),
  unified('6-32', numbered(6), 32),
  unified('8-32', numbered(8), 32),
  unified('10-24', numbered(10), 24),
  unified('12-24', numbered(12), 24),
  unified('7/16-14', 7 / 16, 14),
  unified('9/16-12', 9 / 16, 12),
  unified('5/8-11', 5 / 8, 11),
];
const NAMED = new Map([...THREADS, ...RARER_THREADS].map((t) => [t.name, t]));
const KNOWN: readonly Thread[] = [...NAMED.values()];

/** Outside diameters that hardware of a hand is made in, m, and the coarsest thread of one, of its diameter. */
const DIAMETERS = [0.0025, 0.016] as const;
const COARSEST = 0.35;
const METRIC_WORDS = /^m\s*(\d+(?:[.,]\d+)?)\s*[x×*]\s*(\d*(?:[.,]\d+)?)$/i;
const UNIFIED_WORDS = /^(?:#?(\d+)|(\d+)\s*\/\s*(\d+))\s*-\s*(\d+)$/;

/**
 * A thread as its die says it: “M6”, “M7×0.75”, “10-24”, “7/16-20”; null where that is no thread of 2.5 to 16 mm. One of the
 * tables under the name it has there.
 */
export function threadCalled(words: string): Thread | null {
  const said = words.trim();
  const known = NAMED.get(said) ?? NAMED.get(said.toUpperCase());
  if (known) return known;
  const read = metricSaid(said) ?? unifiedSaid(said);
  if (!read) return null;
  const { diameter, pitch } = read;
  if (!(diameter >= DIAMETERS[0] - 1e-9 && diameter <= DIAMETERS[1] + 1e-9)) return null;
  if (!(pitch >= 0.0002 && pitch <= COARSEST * diameter)) return null;
  const same = KNOWN.find((t) => Math.abs(t.diameter - diameter) < 1e-8 && Math.abs(t.pitch - pitch) < 1e-8);
  return same ?? read;
}

const decimal = (text: string): number => Number(text.replace(',', '.'));
function metricSaid(said: string): Thread | null {
  const [, size, pitch] = METRIC_WORDS.exec(said) ?? [];
  if (!size || !pitch) return null;
  const read = metric(decimal(size), decimal(pitch));
  return { ...read, name: `M${decimal(size)}×${decimal(pitch)}` };
}
function unifiedSaid(said: string): Thread | null {
  const [, number, over, under, turns] = UNIFIED_WORDS.exec(said) ?? [];
  if (!turns) return null;
  if (number)
    return Number(number) <= 12
      ? unified(`${Number(number)}-${Number(turns)}`, numbered(Number(number)), Number(turns))
      : null;
  return unified(`${Number(over)}/${Number(under)}-${Number(turns)}`, Number(over) / Number(under), Number(turns));
}

export function threadOf(name: string): Thread {
  const found = threadCalled(name);
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
