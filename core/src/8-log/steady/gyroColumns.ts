/** Which column of a gyro’s table is what, and in which units: found from headings and figures, for the maker to say otherwise. */

export type RateUnit = 'rad/s' | 'deg/s';
export const TIME_UNITS = { s: 1, ms: 1e-3, µs: 1e-6, ns: 1e-9 } as const;
export type TimeUnit = keyof typeof TIME_UNITS;

/** How the gyro lay: which of its own axes the picture pans, tilts and rolls about. Signs do not matter for shake. */
export const LAID = [
  {
    id: 'flat',
    name: 'phone flat on its back, its top to the front',
    pan: 'z',
    tilt: 'x',
    roll: 'y',
  },
  { id: 'upright', name: 'phone upright, its screen to you', pan: 'y', tilt: 'x', roll: 'z' },
  { id: 'long side', name: 'phone on its long side, its screen to you', pan: 'x', tilt: 'y', roll: 'z' },
  { id: 'flight', name: 'a logger with x to the front, z up', pan: 'z', tilt: 'y', roll: 'x' },
] as const;
export type Laid = (typeof LAID)[number]['id'];

export interface GyroColumns {
  readonly time: number | null;
  /** By the gyro’s own axes. */
  readonly x: number | null;
  readonly y: number | null;
  readonly z: number | null;
  readonly timeUnit: TimeUnit;
  readonly rateUnit: RateUnit;
  /** Heading or figures say the unit; else it is asked. */
  readonly isUnitSure: boolean;
}

const TIME = /^(t|time|timestamp|seconds|elapsed|epoch|zeit|temps)\b|time|elapsed/;
const NOT_TURNING = /acc|mag|grav|baro|pressure|quat|temp/;
const TURNING = /gyr|rot|ang|omega|rate|turn|drehrate/;
/** Rates as browsers call them turn about these. */
const NAMED: readonly (readonly [RegExp, 'x' | 'y' | 'z'])[] = [
  [/\balpha\b/, 'z'],
  [/\bbeta\b/, 'x'],
  [/\bgamma\b/, 'y'],
];
/** A picture turned faster than this is no walk, rad/s; in degrees the figures of any walk go beyond it. */
const FAST = 8;
/** A gyro gives so many rows a second. */
const RATES = [8, 9000] as const;

/** `rows` are the first of them, as figures; those that are none are NaN. */
export function gyroColumns(headings: readonly string[], rows: readonly (readonly number[])[]): GyroColumns {
  const plain = headings.map((h) =>
    h
      .toLowerCase()
      .replace(/[_.\-/]+/g, ' ')
      .trim(),
  );
  const time = first(plain, (h) => TIME.test(h) && !TURNING.test(h)) ?? null;
  const taken = new Set<number | null>([time]);
  const axis = (letter: 'x' | 'y' | 'z'): number | null => {
    const isOf = (h: string): boolean =>
      new RegExp(`(^|[^a-z])(w|g|gyro|gyr|rot|rotation rate|omega)? ?${letter}([^a-z]|$)`).test(h);
    const found =
      first(plain, (h) => TURNING.test(h) && !NOT_TURNING.test(h) && isOf(h)) ??
      first(plain, (h) => NAMED.some(([of, l]) => l === letter && of.test(h))) ??
      first(plain, (h, i) => !taken.has(i) && !NOT_TURNING.test(h) && isOf(h)) ??
      null;
    taken.add(found);
    return found;
  };
  const [x, y, z] = [axis('x'), axis('y'), axis('z')];
  const told = [x, y, z].flatMap((c) => (c === null ? [] : [plain[c]!])).join(' ');
  const largest = Math.max(
    0,
    ...rows.flatMap((r) => [x, y, z].map((c) => (c === null ? 0 : Math.abs(r[c] ?? 0)))).filter(Number.isFinite),
  );
  const saidUnit: RateUnit | null = /rad/.test(told) ? 'rad/s' : /deg|°|dps/.test(told) ? 'deg/s' : null;
  return {
    time,
    x,
    y,
    z,
    timeUnit: timeUnit(time === null ? '' : headings[time]!, time === null ? [] : rows.map((r) => r[time] ?? NaN)),
    rateUnit: saidUnit ?? (largest > FAST || /alpha|beta|gamma/.test(told) ? 'deg/s' : 'rad/s'),
    isUnitSure: saidUnit !== null || /alpha|beta|gamma/.test(told) || largest > 4 * FAST,
  };
}

/** A picture that shakes by more than this is none that anybody would look at, rad rms. */
const WILD = 0.15;
/** What is called rad/s and goes beyond what a hand does in a walk is most likely degrees: by its fastest turn, rad/s, or its largest shake, rad rms. */
export const isNoWalk = (fastest: number, shake: number): boolean => fastest > FAST || shake > WILD;

const first = (list: readonly string[], is: (h: string, i: number) => boolean): number | null => {
  const at = list.findIndex(is);
  return at < 0 ? null : at;
};

/** By the heading; else the one by which the rows come as often as a gyro gives them. */
function timeUnit(heading: string, times: readonly number[]): TimeUnit {
  const said = /[_ ([](ns|us|µs|ms|s|sec|seconds|millis|micros|nanos)[)\]]?\s*$/i.exec(heading)?.[1]?.toLowerCase();
  if (said) {
    if (/^n/.test(said)) return 'ns';
    if (/^(u|µ|micro)/.test(said)) return 'µs';
    return /^m/.test(said) ? 'ms' : 's';
  }
  const steps = times
    .map((t, i) => (i === 0 ? 0 : t - times[i - 1]!))
    .filter((d) => d > 0)
    .sort((a, b) => a - b);
  const step = steps[Math.floor(steps.length / 2)];
  if (step === undefined) return 's';
  const fits = (Object.keys(TIME_UNITS) as TimeUnit[]).find((unit) => {
    const rate = 1 / (step * TIME_UNITS[unit]);
    return rate >= RATES[0] && rate <= RATES[1];
  });
  return fits ?? 's';
}
