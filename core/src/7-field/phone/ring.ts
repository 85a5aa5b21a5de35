/**
 * How a rig rings, flicked with a phone on it: its turning after the flick is a tone that dies away. Laid screen up with its top
 * forward, the phone also tells which way the picture goes.
 */
import { DEGREE, figure, fourierMagnitudes, length, say, type Vec3 } from '../../0-base';
import type { Ringing } from '../../model';
import { notFound, wrongWith, type Found, type PhoneSample } from './sample';

export interface RingRead {
  /** Hz */
  readonly frequency: number;
  /** Standard uncertainty, Hz. */
  readonly spread: number;
  /** Where it turned mostly about one axis of a phone laid screen up, its top forward. */
  readonly way: Ringing['way'];
  /** How its pace changes as it dies; left out where too few swings tell. */
  readonly dies: Ringing['dies'];
  /** From the flick to where it was lost, s. */
  readonly heard: number;
}

const SAMPLES_AT_LEAST = 40;
/** Fewer swings tell no pace. */
const SWINGS_AT_LEAST = 5;
/** Slower than this no finger flicked it, rad/s. */
const FLICKED = 2 * DEGREE;
/** It is listened to till it has died to this share of its strongest. */
const DIED = 0.12;
/** The flick itself is a push and no ringing: so much after it is left out, s. */
const PUSH = 0.06;
/** A tone has to be told by more than two samples a swing. */
const OF_RATE = 0.4;
const SLOWEST = 0.5;
/** The tone must be this share of what it turned: else it is a hand's shake. */
const TONE = 0.5;
/** One axis turns this many times as much as the next, and it is the way the picture goes. */
const MOSTLY = 1.6;
/** Its pace is told to change by more than this share. */
const CHANGES = 0.02;
/** The peak of a spectrum is climbed in steps that are halved so often: to a millionth of the first. */
const HALVED = 20;
/** What a phone's clock may be off by, as a share. */
const CLOCK = 0.001;

/** Whether a flick has come and died away. */
export function hasRung(samples: readonly PhoneSample[]): boolean {
  const part = ringing(samples);
  return part !== null && part.isOver;
}

export function readRing(samples: readonly PhoneSample[]): Found<RingRead> {
  const wrong = wrongWith(samples, { atLeast: SAMPLES_AT_LEAST, of: 'turning' });
  if (wrong) return notFound(wrong);
  const part = ringing(samples);
  if (!part)
    return notFound(['No flick was felt: flick the camera with a finger, and leave it alone till it is still.']);
  const { times, turning } = part;
  const span = times.at(-1)! - times[0]!;
  const rate = (times.length - 1) / span;
  // The strongest way it turns: a tone turns to and fro about one axis.
  const { axis, shares } = strongestAxis(turning);
  const along = turning.map((w) => w[0] * axis[0] + w[1] * axis[1] + w[2] * axis[2]);
  const frequency = toneOf(times, along, OF_RATE * rate);
  if (frequency * span < SWINGS_AT_LEAST)
    return notFound(
      say`It died away after ${figure('count', Math.max(1, Math.round(frequency * span)))} swings: flick it harder, or count it on film.`,
    );
  const { amplitude, rest, all } = fittedTone(times, along, frequency);
  if (rest > TONE * all || frequency > 0.98 * OF_RATE * rate)
    return notFound([
      ...say`No one tone was felt up to ${figure('frequency', OF_RATE * rate, 0)}, as fast as this phone can tell: `,
      'see that only its camera was flicked and that its grip is held fast, or read the note off a tuner.',
    ]);
  const middle = Math.floor(times.length / 2);
  const halves = [
    [0, middle],
    [middle, times.length],
  ].map(([from, to]) => {
    const own = times.slice(from, to);
    return (own.at(-1)! - own[0]!) * frequency < SWINGS_AT_LEAST
      ? null
      : toneOf(own, along.slice(from, to), OF_RATE * rate);
  });
  const [early, late] = halves as [number | null, number | null];
  const changes = early !== null && late !== null ? late / early - 1 : null;
  return {
    ok: true,
    found: {
      frequency,
      // Cramér and Rao's bound for a tone in noise, twice over since it dies away; and the clock.
      spread: Math.hypot(
        (2 * Math.sqrt(6) * rest) / (Math.PI * span * amplitude * Math.sqrt(times.length)),
        CLOCK * frequency,
      ),
      way: shares[0]!.share > MOSTLY * shares[1]!.share ? shares[0]!.way : undefined,
      dies: changes === null ? undefined : changes < -CHANGES ? 'slower' : changes > CHANGES ? 'quicker' : 'even',
      heard: span,
    },
  };
}

/** From just after the flick to where it has died; null where none came. The phone's own turning at rest is taken off. */
function ringing(samples: readonly PhoneSample[]): {
  readonly times: readonly number[];
  readonly turning: readonly Vec3[];
  readonly isOver: boolean;
} | null {
  const bias = ([0, 1, 2] as const).map((k) => {
    const sorted = samples.map((s) => s.turning[k]).sort((a, b) => a - b);
    return sorted[Math.floor(sorted.length / 2)] ?? 0;
  });
  const turning = samples.map((s): Vec3 => [s.turning[0] - bias[0]!, s.turning[1] - bias[1]!, s.turning[2] - bias[2]!]);
  const strong = turning.map(length);
  const top = strong.reduce((best, x, i) => (x > strong[best]! ? i : best), 0);
  if (!(strong[top]! >= FLICKED)) return null;
  const from = samples.findIndex((s) => s.time >= samples[top]!.time + PUSH);
  if (from < 0) return null;
  const most = strong.slice(from).reduce((a, b) => Math.max(a, b), 0);
  let last = from;
  for (let i = from; i < samples.length; i++) if (strong[i]! > DIED * most) last = i;
  const isOver = samples.at(-1)!.time - samples[last]!.time > 0.5;
  if (last - from < SAMPLES_AT_LEAST / 2) return null;
  return { times: samples.slice(from, last + 1).map((s) => s.time), turning: turning.slice(from, last + 1), isOver };
}

/** Nose up and down is about the phone's x, rolling about its y, panning about its z. */
const WAYS = ['nods', 'rolls', 'pans'] as const;

/** The axis about which most of it turns: the longest column of the turnings' own products, by repeated multiplication. */
function strongestAxis(turning: readonly Vec3[]): {
  readonly axis: Vec3;
  readonly shares: readonly { readonly way: (typeof WAYS)[number]; readonly share: number }[];
} {
  const products = [0, 1, 2].map((i) => [0, 1, 2].map((k) => turning.reduce((s, w) => s + w[i]! * w[k]!, 0)));
  let axis: Vec3 = [1, 0.7, 0.4];
  for (let pass = 0; pass < 60; pass++) {
    const next = products.map((row) => row[0]! * axis[0] + row[1]! * axis[1] + row[2]! * axis[2]);
    const size = Math.hypot(...next) || 1;
    axis = [next[0]! / size, next[1]! / size, next[2]! / size];
  }
  const shares = WAYS.map((way, k) => ({ way, share: Math.sqrt(products[k]![k]!) })).sort((a, b) => b.share - a.share);
  return { axis, shares };
}

/** Hz: where the spectrum of the times as they stand, under a Hann window, is highest. */
function toneOf(times: readonly number[], values: readonly number[], fastest: number): number {
  const [t0, span] = [times[0]!, times.at(-1)! - times[0]!];
  const mean = values.reduce((s, x) => s + x, 0) / values.length;
  const windowed = values.map((x, i) => (x - mean) * Math.sin((Math.PI * (times[i]! - t0)) / span) ** 2);
  const strength = (f: number): number => {
    const w = 2 * Math.PI * f;
    let [re, im] = [0, 0];
    for (const [i, x] of windowed.entries()) {
      re += x * Math.cos(w * (times[i]! - t0));
      im += x * Math.sin(w * (times[i]! - t0));
    }
    return re * re + im * im;
  };
  // First as if they came evenly, which they nearly do: near enough to climb from.
  const rough = fourierMagnitudes(Float64Array.from(windowed));
  let top = Math.max(1, Math.ceil(SLOWEST * span));
  for (let k = top; k <= Math.min(rough.length - 1, fastest * span); k++) if (rough[k]! > rough[top]!) top = k;
  let best = { at: top / span, is: strength(top / span) };
  for (let pass = 0, by = 1 / span; pass < HALVED; pass++, by /= 2)
    for (const at of [best.at - by, best.at + by]) {
      const is = at > 0 && at <= fastest ? strength(at) : 0;
      if (is > best.is) best = { at, is };
    }
  return best.at;
}

/** Root mean squares of the tone that dies away as it does, of what is left without it, and of all of it. */
function fittedTone(
  times: readonly number[],
  values: readonly number[],
  frequency: number,
): { readonly amplitude: number; readonly rest: number; readonly all: number } {
  const w = 2 * Math.PI * frequency;
  const t0 = times[0]!;
  const n = values.length;
  const mean = values.reduce((s, x) => s + x, 0) / n;
  const all = Math.sqrt(values.reduce((s, x) => s + (x - mean) ** 2, 0) / n);
  /** By how it dies, 1/s: the tone's two parts by least squares, nearly at right angles to one another over whole swings. */
  const left = (dying: number): number => {
    let [cc, ss, cs, cx, sx] = [0, 0, 0, 0, 0];
    const tone = times.map((t) => {
      const e = Math.exp(-dying * (t - t0));
      return [e * Math.cos(w * (t - t0)), e * Math.sin(w * (t - t0))] as const;
    });
    for (const [i, [c, s]] of tone.entries()) {
      const x = values[i]! - mean;
      cc += c * c;
      ss += s * s;
      cs += c * s;
      cx += c * x;
      sx += s * x;
    }
    const det = cc * ss - cs * cs;
    if (!(det > 0)) return all;
    const [a, b] = [(cx * ss - sx * cs) / det, (sx * cc - cx * cs) / det];
    return Math.sqrt(tone.reduce((sum, [c, s], i) => sum + (values[i]! - mean - a * c - b * s) ** 2, 0) / n);
  };
  const span = times.at(-1)! - t0;
  const rest = Array.from({ length: 13 }, (_, i) => left((0.4 * i) / span)).reduce((a, b) => Math.min(a, b));
  return { amplitude: Math.SQRT2 * Math.sqrt(Math.max(1e-18, all ** 2 - rest ** 2)), rest, all };
}
