/** What the lens sees of bending while its holder walks, runs or knocks against something. */
import { length, scale, type Vec3 } from '../../0-base';
import { footfall, running, SWAY } from '../answer/footfall';
import { knocked } from '../answer/knocked';
import { modesAt, peakOf, rmsOf, sharesOf, smeared, tonesAt, type Shaking, type Tone } from '../answer/shakenBy';
import type { FrameSystem } from '../frame/frameSystem';
import type { FrameMode } from '../frame/modesOf';

/** Turns of the lens by bending, rad about x y z. */
export interface Shake {
  /** Steps a second, the worst of all; null: a single knock. */
  readonly rate: number | null;
  readonly rms: Vec3 | null;
  readonly peak: Vec3;
  /** The most it turns while the shutter is open; null where none was asked about. */
  readonly smear: number | null;
}
export interface Shakes {
  readonly walk: Shake;
  readonly run: Shake;
  readonly knock: Shake;
}

/** One step's force is not the next one's: peaks in a walk over those of even steps. */
const UNEVEN = 1.3;
const between = (from: number, to: number): readonly number[] =>
  Array.from({ length: Math.round((to - from) * 10) + 1 }, (_, i) => from + i / 10);
const WALKS = between(1.6, 2.8);
const RUNS = between(2.4, 3.2);
/** A knee, a door frame: N s, and how long it lasts, s. */
const KNOCK = { impulse: 0.3, lasts: 0.01 };
const AXES: readonly Vec3[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

/** `mass` of all that rings, kg; `damping` of each mode; `shutter`: how long it is open, s. */
export function shakesOf(
  system: FrameSystem,
  modes: readonly FrameMode[],
  damping: readonly number[],
  at: string,
  mass: number,
  shutter: number,
): Shakes {
  const here = modesAt(system, modes, at);
  const shares = AXES.map((axis) => sharesOf(system, modes, axis));
  const knocks = shares.map((own) => knocked(here, own, { speed: KNOCK.impulse / mass, lasts: KNOCK.lasts, damping }));
  return {
    walk: stepped(WALKS, footfall),
    run: stepped(RUNS, running),
    knock: { rate: null, rms: null, peak: knocks.reduce((a, b) => (length(b) > length(a) ? b : a)), smear: null },
  };

  /** Up and down, sideways and along are not in step with each other: they add by their squares. */
  function stepped(rates: readonly number[], steps: (rate: number) => Steady): Shake {
    const told = rates.map((rate) => {
      const tone = (amplitude: number): Steady['harmonics'] => [{ order: 1, amplitude, phase: 0 }];
      const parts = [
        { frequency: rate, harmonics: tone(SWAY.along) },
        { frequency: rate / 2, harmonics: tone(SWAY.sideways) },
        steps(rate),
      ].map((steady, axis) => ({
        steady,
        tones: tonesAt(here, shares[axis]!, { ...steady, damping }).slice(3),
      }));
      return { rate, parts, rms: squared(parts.map((p) => p.tones.map(rmsOf))) };
    });
    // By what it is on the whole; peaks are only sought at the worst rate.
    const { rate, parts, rms } = told.reduce((a, b) => (length(b.rms) > length(a.rms) ? b : a));
    const peaks = (of: (part: (typeof parts)[number]) => readonly (readonly Tone[])[]): Vec3 =>
      squared(
        parts.map((p) =>
          of(p).map((list) =>
            peakOf(
              list,
              p.steady.harmonics.map((h) => h.order),
            ),
          ),
        ),
      );
    return {
      rate,
      rms,
      peak: scale(
        peaks((p) => p.tones),
        UNEVEN,
      ),
      smear: UNEVEN * length(peaks((p) => smeared(p.tones, p.steady, shutter))),
    };
  }
}
type Steady = Pick<Shaking, 'frequency' | 'harmonics'>;
const squared = (all: readonly (readonly number[])[]): Vec3 =>
  [0, 1, 2].map((i) => Math.hypot(...all.map((v) => v[i]!))) as unknown as Vec3;
