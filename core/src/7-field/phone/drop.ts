/**
 * The drop read by a gyroscope strapped to the rig: held level, let go, to upright. Whichever way the phone is strapped, how fast it
 * turns is the length of its rates. Let go of level, a pendulum's rate grows in proportion to time at first (physics.md, 4); with its
 * mass centre straight below the pivot it is fastest.
 */
import { DEGREE, figure, length, say, subtract, type Vec3 } from '../../0-base';
import { notFound, wrongWith, type Found, type PhoneSample } from './sample';

export interface DropRead {
  /** s */
  readonly time: number;
  /** Standard uncertainty, s. */
  readonly spread: number;
  /** Let go and upright, by the sensor's clock, s. */
  readonly letGo: number;
  readonly upright: number;
}

const SAMPLES_AT_LEAST = 30;
/** Slower it is held in a hand, rad/s: a drop of 15 s is faster than this once. */
const FALLS = 10 * DEGREE;
/** Held this still before it is let go, s. */
const STILL_BEFORE = 0.25;
/** The straight part of its quickening, as shares of the fastest: there it has turned by less than 8 degrees of the 90. */
const STRAIGHT = [0.1, 0.35] as const;
/** Past upright it is this much slower again, as a share of the fastest. */
const PAST = 0.85;
/** From level to upright it has turned so far, within so much, rad. */
const TURNS = { by: 90 * DEGREE, within: 20 * DEGREE };
/** Round the fastest a parabola is laid through what is at least so fast, as a share of it, and alike on both sides; so many samples a side at least. */
const ROUND = { share: 0.9, least: 4 };

/** Whether a fall is over: past upright, and slower again. What a hand shakes turns too little to be one. */
export function hasFallen(samples: readonly PhoneSample[]): boolean {
  const rates = samples.map((s) => length(s.turning));
  const fastest = rates.reduce((a, b) => Math.max(a, b), 0);
  if (fastest < FALLS) return false;
  const start = lastBelow(rates, rates.indexOf(fastest), STRAIGHT[0] * fastest);
  return (
    turnedBy(samples, rates, samples[start]!.time, Infinity) > TURNS.by - TURNS.within && rates.at(-1)! < PAST * fastest
  );
}

export function readDrop(samples: readonly PhoneSample[]): Found<DropRead> {
  const wrong = wrongWith(samples, { atLeast: SAMPLES_AT_LEAST, of: 'turning' });
  if (wrong) return notFound(wrong);
  const rough = samples.map((s) => length(s.turning));
  const first = fastestOf(rough);
  if (first === null) return notFound(['It did not fall: hold the rig level, let go, and let it swing past upright.']);
  const { bias, noise, still } = heldStill(samples, rough, first);
  if (!still)
    return notFound([
      `Hold it still for half a second before you let go: when it was let go could not be told from the hand.`,
    ]);
  const rates = samples.map((s) => length(subtract(s.turning, bias)));
  const top = fastestOf(rates)!;
  const upright = summit(samples, rates, top);
  const letGo = rising(samples, rates, top);
  if (upright === null || letGo === null)
    return notFound(['It fell too fast for its sensor, or was helped along: let go without a push, and read again.']);
  const turned = turnedBy(samples, rates, letGo.time, upright.time);
  if (Math.abs(turned - TURNS.by) > TURNS.within)
    return notFound(
      say`It turned by ${figure('angle', turned, 0)} till it was fastest, not by ${figure('angle', TURNS.by, 0)}: hold it level, let go without a push, and read again.`,
    );
  const step = (samples.at(-1)!.time - samples[0]!.time) / (samples.length - 1);
  return {
    ok: true,
    found: {
      time: upright.time - letGo.time,
      letGo: letGo.time,
      upright: upright.time,
      // Where the hand opens is no sharper than a few samples; noise moves both ends by its share of how fast the rate changes there.
      spread: Math.hypot(2 * step, noise / letGo.quickening, upright.unsure * noise),
    },
  };
}

/** The first time it is fastest: a swing to and fro is slower each time. */
function fastestOf(rates: readonly number[]): number | null {
  const most = rates.reduce((a, b) => Math.max(a, b), 0);
  if (most < FALLS) return null;
  // Where it passes upright twice nearly alike, the first is meant.
  const near = rates.findIndex((r) => r > 0.9 * most);
  let top = near;
  for (let i = near; i < rates.length && rates[i]! > PAST * most; i++) if (rates[i]! > rates[top]!) top = i;
  return top + 1 < rates.length && rates.slice(top).some((r) => r < PAST * most) ? top : null;
}

/** What the gyroscope says while the hand holds it: its own turning, and its noise. */
function heldStill(
  samples: readonly PhoneSample[],
  rough: readonly number[],
  top: number,
): { readonly bias: Vec3; readonly noise: number; readonly still: boolean } {
  const end = lastBelow(rough, top, STRAIGHT[0] * rough[top]!);
  const until = samples[end]!.time;
  // Just before it falls, not when it was picked up.
  const before = samples.slice(0, end).filter((s) => s.time > until - 4 * STILL_BEFORE);
  const still = before.length > 2 && until - before[0]!.time >= STILL_BEFORE;
  if (!still) return { bias: [0, 0, 0], noise: 0, still };
  // The last of it may be the fall already.
  const held = before.slice(0, Math.ceil(before.length * 0.6));
  const bias = ([0, 1, 2] as const).map(
    (k) => held.reduce((s, x) => s + x.turning[k], 0) / held.length,
  ) as unknown as Vec3;
  const noise = Math.sqrt(
    held.reduce((s, x) => s + length(subtract(x.turning, bias)) ** 2, 0) / (3 * Math.max(1, held.length - 1)),
  );
  return { bias, noise, still: noise < (STRAIGHT[0] * rough[top]!) / 2 };
}

/** The top of the parabola through what lies round the fastest sample; `unsure`: s for each rad/s of noise. */
function summit(
  samples: readonly PhoneSample[],
  rates: readonly number[],
  top: number,
): { readonly time: number; readonly unsure: number } | null {
  let side = ROUND.least;
  while (
    (rates[top - side - 1] ?? 0) > ROUND.share * rates[top]! &&
    (rates[top + side + 1] ?? 0) > ROUND.share * rates[top]!
  )
    side++;
  const span = Array.from({ length: 2 * side + 1 }, (_, k) => top - side + k).filter((i) => i >= 0 && i < rates.length);
  const t = span.map((i) => samples[i]!.time - samples[top]!.time);
  const [s1, s2, s3, s4] = [1, 2, 3, 4].map((p) => t.reduce((s, x) => s + x ** p, 0)) as [
    number,
    number,
    number,
    number,
  ];
  const n = t.length;
  const [y0, y1, y2] = [0, 1, 2].map((p) => span.reduce((s, i, k) => s + rates[i]! * t[k]! ** p, 0)) as [
    number,
    number,
    number,
  ];
  // Least squares of y = a + b t + c t², by Cramer's rule.
  const det = n * (s2 * s4 - s3 ** 2) - s1 * (s1 * s4 - s2 * s3) + s2 * (s1 * s3 - s2 ** 2);
  const b = (n * (y1 * s4 - s3 * y2) - y0 * (s1 * s4 - s2 * s3) + s2 * (s1 * y2 - y1 * s2)) / det;
  const c = (n * (s2 * y2 - y1 * s3) - s1 * (s1 * y2 - y1 * s2) + y0 * (s1 * s3 - s2 ** 2)) / det;
  if (!(c < 0)) return null;
  return { time: samples[top]!.time - b / (2 * c), unsure: 1 / (2 * -c * Math.sqrt(s2)) };
}

/** Where the straight part of its quickening began from rest. */
function rising(
  samples: readonly PhoneSample[],
  rates: readonly number[],
  top: number,
): { readonly time: number; readonly quickening: number } | null {
  const [from, to] = STRAIGHT.map((s) => s * rates[top]!) as [number, number];
  const end = lastBelow(rates, top, to);
  const start = lastBelow(rates, end, from) + 1;
  const part = samples.slice(start, end + 1);
  if (part.length < 3) return null;
  const t0 = part[0]!.time;
  const n = part.length;
  const [st, sy] = [part.reduce((s, x) => s + x.time - t0, 0), part.reduce((s, _, i) => s + rates[start + i]!, 0)];
  const stt = part.reduce((s, x) => s + (x.time - t0) ** 2, 0);
  const sty = part.reduce((s, x, i) => s + (x.time - t0) * rates[start + i]!, 0);
  const quickening = (n * sty - st * sy) / (n * stt - st ** 2);
  if (!(quickening > 0)) return null;
  return { time: t0 - (sy - quickening * st) / n / quickening, quickening };
}

/** The last one before `at` that is no more than this; the first, where all are. */
function lastBelow(rates: readonly number[], at: number, most: number): number {
  let i = at;
  while (i > 0 && rates[i]! > most) i--;
  return i;
}

const turnedBy = (samples: readonly PhoneSample[], rates: readonly number[], from: number, to: number): number =>
  samples.reduce((sum, s, i) => {
    const before = samples[i - 1];
    if (!before || s.time <= from || before.time >= to) return sum;
    return sum + ((rates[i]! + rates[i - 1]!) / 2) * (Math.min(s.time, to) - Math.max(before.time, from));
  }, 0);
