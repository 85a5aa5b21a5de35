/** What was not meant: a path of turns less the slow way the camera was led, and how strongly it shook at each pace. */
import { fourierMagnitudes } from '../../0-base';
import { peakOf, rmsOf } from './turned';

export interface Shake {
  /** Not meant, rad, at even times; the first and last second are left out, since what was meant is not known there. */
  readonly path: Float64Array;
  /** What was meant, rad, at the same times. */
  readonly meant: Float64Array;
  readonly rms: number;
  readonly peak: number;
  /** Strongest tone, Hz; null where nothing shakes. */
  readonly strongest: number | null;
  /** Rms of the turn in each of `BANDS`, rad: their squares add up to the rms’ square, less what lies outside them. */
  readonly bands: readonly number[];
}

/** What is led takes longer than this, s. */
const MEANT = 1;
/** Third octaves from 0.4 to 25 Hz: lower is led, higher is more than a picture a fiftieth of a second long shows apart. */
export const BANDS: readonly { readonly from: number; readonly to: number; readonly middle: number }[] = Array.from(
  { length: 18 },
  (_, i) => {
    const middle = 0.5 * 2 ** (i / 3);
    return { from: middle / 2 ** (1 / 6), to: middle * 2 ** (1 / 6), middle };
  },
);
/** Samples of one transform at most: a power of two. */
const STRETCH = 32_768;
/** Less tells no walk from a start and a stop, s. */
export const SHAKE_AT_LEAST = 5;

/**
 * What was meant is the path averaged over a second twice (a weight like a roof, two seconds wide): of a tone of f Hz it
 * keeps sinc²(f), so a step of 1 Hz and its multiples are all shake, of one of 0.5 Hz 59 %, of a pan that takes ten
 * seconds 3 %. Angles in rad at `rate` Hz. Null when it is shorter than `SHAKE_AT_LEAST`.
 */
export function shakeIn(angle: Float64Array, rate: number): Shake | null {
  if (angle.length < SHAKE_AT_LEAST * rate) return null;
  const half = Math.max(1, Math.round((MEANT * rate) / 2));
  const meant = averagedAround(averagedAround(angle, half), half);
  // Averages that reach beyond the ends say nothing.
  const within = [2 * half, angle.length - 2 * half] as const;
  const path = angle.map((a, i) => a - meant[i]!).slice(...within);
  const { powers, length: n } = powersOf(path);
  const squares = new Float64Array(BANDS.length);
  let best = 0;
  for (let k = 1; k < powers.length; k++) {
    if (best === 0 || powers[k]! > powers[best]!) best = k;
    const band = bandOf((k * rate) / n);
    if (band !== null) squares[band]! += ((2 * k === n ? 1 : 2) * powers[k]!) / n ** 2;
  }
  return {
    path,
    meant: meant.slice(...within),
    rms: rmsOf(path),
    peak: peakOf(path),
    strongest: best > 0 && powers[best]! > 0 ? (best * rate) / n : null,
    bands: Array.from(squares, Math.sqrt),
  };
}

/** Squares of the spectrum’s magnitudes; of a long log averaged over stretches that cover it: one transform of it all takes many times as long and tells no more. */
function powersOf(path: Float64Array): { readonly powers: Float64Array; readonly length: number } {
  const stretches = Math.ceil(path.length / STRETCH);
  const length = Math.min(path.length, STRETCH);
  const powers = new Float64Array(Math.floor(length / 2) + 1);
  for (let s = 0; s < stretches; s++) {
    const from = stretches === 1 ? 0 : Math.round((s * (path.length - length)) / (stretches - 1));
    fourierMagnitudes(path.subarray(from, from + length)).forEach((m, k) => (powers[k]! += m ** 2 / stretches));
  }
  return { powers, length };
}

function bandOf(frequency: number): number | null {
  const band = Math.floor(3 * Math.log2(frequency / BANDS[0]!.from));
  return band >= 0 && band < BANDS.length ? band : null;
}

/** Mean of each sample and so many on either side, by running sums; at the ends over what is there. */
function averagedAround(list: Float64Array, half: number): Float64Array {
  const sums = new Float64Array(list.length + 1);
  list.forEach((x, i) => (sums[i + 1] = sums[i]! + x));
  return list.map((_, i) => {
    const [from, to] = [Math.max(0, i - half), Math.min(list.length, i + half + 1)];
    return (sums[to]! - sums[from]!) / (to - from);
  });
}
