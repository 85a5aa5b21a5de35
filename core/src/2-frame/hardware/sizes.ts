/**
 * What screws, nuts and washers of each thread measure, m. From the standards named, by memory; those marked `unsure` are to be
 * checked against a sheet before a drawing leans on their last tenth. A size that a standard does not know has no entry. A thread of
 * another pitch shares the hexagons and washers of its diameter; one of a diameter between those of a table has sizes between theirs.
 */
import { threadOf, THREADS, type Thread } from './thread';

const MM = 0.001;
/** One figure a thread, in mm, in the order below; a gap where there is none. */
const ORDER = ['M3', 'M4', 'M5', 'M6', 'M8', 'M10', 'M12', '1/4-20', '5/16-18', '3/8-16', '1/2-13'] as const;
type Row = readonly (number | null)[];

export interface SizeTable {
  readonly what: string;
  readonly standard: string;
  readonly unsure?: true;
  /** m; null where the standard has none. */
  of(thread: Pick<Thread, 'name'>): number | null;
}
const table = (what: string, standard: string, row: Row, unsure?: true): SizeTable => ({
  what,
  standard,
  ...(unsure ? { unsure } : {}),
  of: ({ name }) => {
    const named = (ORDER as readonly string[]).indexOf(name);
    const value = named >= 0 ? (row[named] ?? null) : between(row, threadOf(name));
    return value === null ? null : value * MM;
  },
});

/** Whether its diameter stands in the tables: else what belongs to it is reckoned between its neighbours. */
export const isTabled = ({ diameter, standard }: Pick<Thread, 'diameter' | 'standard'>): boolean =>
  THREADS.some((t) => t.standard === standard && Math.abs(t.diameter - diameter) < 1e-8);

/**
 * By diameter, on the straight line between the two nearest of its standard that have the size; beyond the first or last in
 * proportion, to a hundredth of a millimetre. Neighbours of a size that one of them is not made in have none between them.
 */
function between(row: Row, { diameter, standard }: Thread): number | null {
  const known = ORDER.map((name, i) => ({ thread: threadOf(name), size: row[i] ?? null })).filter(
    (k) => k.thread.standard === standard,
  );
  const over = known.findIndex((k) => k.thread.diameter >= diameter - 1e-8);
  const high = known[over] ?? known.at(-1)!;
  if (Math.abs(high.thread.diameter - diameter) < 1e-8) return high.size;
  const low = known[over - 1];
  if (high.size === null || (low && low.size === null)) return null;
  const size =
    low && over > 0
      ? low.size! +
        ((high.size - low.size!) * (diameter - low.thread.diameter)) / (high.thread.diameter - low.thread.diameter)
      : (high.size * diameter) / high.thread.diameter;
  return Math.round(size * 100) / 100;
}

const N = null;
export const ACROSS_FLATS = table(
  'hexagon, across flats',
  'ISO 272, ASME B18.2.1',
  [5.5, 7, 8, 10, 13, 16, 18, 11.11, 12.7, 14.29, 19.05],
);
/** A socket for a hexagon is so many times as wide as its flats are apart. */
export const SOCKET_WIDE = 1.5;

export const HEX_HEAD = table(
  'hexagon head',
  'ISO 4014 and 4017, ASME B18.2.1',
  [2, 2.8, 3.5, 4, 5.3, 6.4, 7.5, 3.97, 5.16, 5.95, 7.94],
);
/** Head of a 90° countersunk screw with a hexagon socket: its sharp diameter, height, and the socket's key and depth. */
export const SUNK_HEAD = {
  diameter: table(
    'countersunk head',
    'ISO 10642, ASME B18.3',
    [6.72, 8.96, 11.2, 13.44, 17.92, 22.4, 26.88, 13.49, 16.66, 19.84, 23.81],
    true,
  ),
  height: table(
    'countersunk head, height',
    'ISO 10642, ASME B18.3',
    [1.86, 2.48, 3.1, 3.72, 4.96, 6.2, 7.44, 4.09, 5.03, 5.94, 6.38],
    true,
  ),
  key: table('countersunk head, key', 'ISO 10642, ASME B18.3', [2, 2.5, 3, 4, 5, 6, 8, 3.97, 4.76, 5.56, 7.94], true),
  keyDepth: table(
    'countersunk head, depth of its key',
    'ISO 10642, ASME B18.3',
    [1.1, 1.5, 1.9, 2.2, 3, 3.6, 4.3, 2.8, 3.4, 3.8, 4.4],
    true,
  ),
} as const;
/** Low dome of a button-head screw: its diameter and height, its hexagon socket's key and depth. */
export const LOW_HEAD = {
  diameter: table('low head', 'ISO 7380-1, ASME B18.3', [5.7, 7.6, 9.5, 10.5, 14, 17.5, 21, 11.1, 13.89, 16.66, 22.23]),
  height: table(
    'low head, height',
    'ISO 7380-1, ASME B18.3',
    [1.65, 2.2, 2.75, 3.3, 4.4, 5.5, 6.6, 3.35, 4.22, 5.05, 6.73],
  ),
  key: table('low head, key', 'ISO 7380-1, ASME B18.3', [2, 2.5, 3, 4, 5, 6, 8, 3.97, 4.76, 5.56, 7.94]),
  keyDepth: table(
    'low head, depth of its key',
    'ISO 7380-1, ASME B18.3',
    [1.04, 1.3, 1.56, 2.08, 2.6, 3.12, 4.16, 1.78, 2.21, 2.64, 3.56],
    true,
  ),
} as const;
export const NUT = table(
  'hexagon nut',
  'ISO 4032, ASME B18.2.2',
  [2.4, 3.2, 4.7, 5.2, 6.8, 8.4, 10.8, 5.56, 6.75, 8.33, 11.11],
);
export const THIN_NUT = table(
  'thin nut',
  'ISO 4035, ASME B18.2.2',
  [1.8, 2.2, 2.7, 3.2, 4, 5, 6, 3.97, 4.76, 5.56, 7.94],
);
export const LOCK_NUT = table(
  'lock nut',
  'ISO 7040, ASME B18.16.6',
  [4.5, 6, 6.8, 8, 9.5, 11.9, 14.9, 8.1, 8.9, 11.6, 15.1],
  true,
);
/** Hub of a wing nut, and what one weighs, kg: its wings are counted with it. */
export const WING_HUB = table('wing nut, its hub', 'DIN 315', [N, 4.6, 6.5, 8, 10, 12, N, 8, 10, 12], true);
export const WING_MASS = table('wing nut, mass in grams', 'DIN 315', [N, 3, 5.2, 7.9, 17.4, 28.6, N, 8, 17, 28], true);
/** Dome of a carriage bolt, whose square neck is let into wood. */
export const DOME_HEAD = {
  diameter: table('carriage bolt head', 'DIN 603', [N, N, N, 16.6, 20.7, 24.7, N, N, N, N], true),
  height: table('carriage bolt head, height', 'DIN 603', [N, N, N, 3.9, 4.9, 5.4, N, N, N, N], true),
} as const;
export const WING_SPAN = table('wing nut, across its wings', 'DIN 315', [N, 20, 26, 33, 39, 51, N, N, N, N], true);
export const WING_HEIGHT = table('wing nut, height', 'DIN 315', [N, 10.5, 13, 17, 20, 25, N, N, N, N], true);
export const CAP_NUT = table('cap nut, height', 'DIN 1587', [N, N, 10, 12, 15, 18, N, N, N, N], true);
export const CAP_NUT_DEPTH = table(
  'cap nut, depth of its thread',
  'DIN 1587',
  [N, N, 7.5, 8, 11, 13, N, N, N, N],
  true,
);

/** A washer of each thread: bore, outside, thickness. */
export interface WasherTable {
  readonly bore: SizeTable;
  readonly outside: SizeTable;
  readonly thick: SizeTable;
}
const BORE = table('washer, bore', 'ISO 7089, SAE', [3.2, 4.3, 5.3, 6.4, 8.4, 10.5, 13, 7.14, 8.73, 10.32, 13.49]);
export const FLAT_WASHER: WasherTable = {
  bore: BORE,
  outside: table('flat washer, outside', 'ISO 7089, SAE', [7, 9, 10, 12, 16, 20, 24, 15.88, 17.46, 20.64, 26.99]),
  thick: table('flat washer, thickness', 'ISO 7089, SAE', [0.5, 0.8, 1, 1.6, 1.6, 2, 2.5, 1.65, 1.65, 1.65, 2.41]),
};
export const WIDE_WASHER: WasherTable = {
  bore: BORE,
  outside: table('wide washer, outside', 'ISO 7093, fender', [9, 12, 15, 18, 24, 30, 37, 31.75, N, 38.1, 50.8]),
  thick: table('wide washer, thickness', 'ISO 7093, fender', [0.8, 1, 1, 1.6, 2, 2.5, 3, 1.6, N, 1.6, 2]),
};
export const SPRING_WASHER: WasherTable = {
  bore: BORE,
  outside: table(
    'spring washer, outside',
    'DIN 127, ASME B18.21.1',
    [6.2, 7.6, 9.2, 11.8, 14.8, 18.1, 21.1, 12.4, 14.8, 17.3, 22.1],
    true,
  ),
  thick: table(
    'spring washer, thickness',
    'DIN 127, ASME B18.21.1',
    [0.8, 0.9, 1.2, 1.6, 2, 2.2, 2.5, 1.57, 1.98, 2.39, 3.18],
    true,
  ),
};

/** Holes that a screw passes, and that a thread is cut in. */
export const CLEARANCE = {
  close: table(
    'close hole',
    'ISO 273 fine, ASME B18.2.8 close',
    [3.2, 4.3, 5.3, 6.4, 8.4, 10.5, 13, 6.76, 8.33, 9.93, 13.49],
    true,
  ),
  medium: table(
    'clearance hole',
    'ISO 273 medium, ASME B18.2.8 normal',
    [3.4, 4.5, 5.5, 6.6, 9, 11, 13.5, 7.14, 8.73, 10.32, 14.29],
    true,
  ),
  free: table(
    'free hole',
    'ISO 273 coarse, ASME B18.2.8 loose',
    [3.6, 4.8, 5.8, 7, 10, 12, 14.5, 7.5, 9.1, 10.7, 15.48],
    true,
  ),
} as const;
const COARSE_TAPPING = table(
  'hole to tap',
  'drill sizes, diameter less pitch',
  [2.5, 3.3, 4.2, 5, 6.8, 8.5, 10.2, 5.1, 6.5, 7.9, 10.7],
);
const COARSE_ONES: ReadonlySet<string> = new Set(ORDER);
/** Of any thread but a usual one by its own pitch, to the tenth that drills are sold in. */
export const TAPPING_HOLE: SizeTable = {
  ...COARSE_TAPPING,
  of: (thread) => {
    if (COARSE_ONES.has(thread.name)) return COARSE_TAPPING.of(thread);
    const { diameter, pitch } = threadOf(thread.name);
    return Math.round((diameter - pitch) * 10_000) / 10_000;
  },
};

const mm = (...list: readonly number[]): readonly number[] => list.map((x) => x * MM);
const inches = (...list: readonly number[]): readonly number[] => list.map((x) => x * 0.0254);
/** Lengths that screws are sold in, under the head, shortest first. */
export const SOLD_LENGTHS: Readonly<Record<Thread['standard'], readonly number[]>> = {
  ISO: mm(6, 8, 10, 12, 16, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 120),
  unified: inches(3 / 8, 1 / 2, 5 / 8, 3 / 4, 7 / 8, 1, 1.25, 1.5, 1.75, 2, 2.5, 3, 3.5, 4),
};

/** Threaded length of a part-threaded hexagon screw up to 125 mm, m (ISO 4014; ASME B18.2.1 up to 6 in). */
export const partThread = ({ diameter, standard }: Pick<Thread, 'diameter' | 'standard'>): number =>
  2 * diameter + (standard === 'ISO' ? 0.006 : 0.00635);
