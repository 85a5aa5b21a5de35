/** The spectrum of evenly spaced samples, of any number of them. */
import FFT from 'fft.js';

/**
 * Magnitudes |Σ x_i exp(−2πi k i/n)| for k = 0 … ⌊n/2⌋, in the samples’ unit; the tone of bin k has frequency k·rate/n and
 * amplitude 2/n of its magnitude (1/n at k = 0 and n/2). No window is laid on. Any n up to 4 million: the transform of a
 * length that is no power of two is a convolution with a chirp (Bluestein 1970), whose phases are taken modulo whole turns
 * in whole numbers, so that they stay exact. Empty for no samples. Errors grow as log n: 1e-12 of the largest at a million.
 */
export function fourierMagnitudes(samples: Float64Array): Float64Array {
  const n = samples.length;
  if (n === 0) return new Float64Array(0);
  if (n === 1) return Float64Array.of(Math.abs(samples[0]!));
  if (Number.isInteger(Math.log2(n))) return sizesOf(straight(samples), n);
  const size = 2 ** Math.ceil(Math.log2(2 * n - 1));
  const fft = new FFT(size);
  const [cos, sin] = chirp(n);
  const given = new Float64Array(2 * size);
  const kernel = new Float64Array(2 * size);
  for (let i = 0; i < n; i++) {
    given[2 * i] = samples[i]! * cos[i]!;
    given[2 * i + 1] = -samples[i]! * sin[i]!;
    kernel[2 * i] = cos[i]!;
    kernel[2 * i + 1] = sin[i]!;
    if (i === 0) continue;
    kernel[2 * (size - i)] = cos[i]!;
    kernel[2 * (size - i) + 1] = sin[i]!;
  }
  const [a, b] = [new Float64Array(2 * size), new Float64Array(2 * size)];
  fft.transform(a, given);
  fft.transform(b, kernel);
  for (let i = 0; i < 2 * size; i += 2) {
    const real = a[i]! * b[i]! - a[i + 1]! * b[i + 1]!;
    a[i + 1] = a[i]! * b[i + 1]! + a[i + 1]! * b[i]!;
    a[i] = real;
  }
  fft.inverseTransform(b, a);
  // The last factor of each bin turns it and leaves its size.
  return sizesOf(b, n);
}

/** Of a power of two, without a chirp. */
function straight(samples: Float64Array): Float64Array {
  const fft = new FFT(samples.length);
  const out = new Float64Array(2 * samples.length);
  fft.realTransform(out, samples);
  return out;
}

const sizesOf = (spectrum: Float64Array, n: number): Float64Array =>
  Float64Array.from({ length: Math.floor(n / 2) + 1 }, (_, k) =>
    Math.sqrt(spectrum[2 * k]! ** 2 + spectrum[2 * k + 1]! ** 2),
  );

/** exp(iπ i²/n) as cosines and sines: i² modulo 2n stays a whole number. */
function chirp(n: number): readonly [Float64Array, Float64Array] {
  const [cos, sin] = [new Float64Array(n), new Float64Array(n)];
  for (let i = 0; i < n; i++) {
    const turn = (Math.PI * ((i * i) % (2 * n))) / n;
    cos[i] = Math.cos(turn);
    sin[i] = Math.sin(turn);
  }
  return [cos, sin];
}

/** Frequency of the strongest tone but the steady one, Hz; null for fewer than three samples or none that moves. */
export function dominantFrequency(samples: Float64Array, rate: number): number | null {
  const magnitudes = fourierMagnitudes(samples);
  let best = 0;
  for (let k = 1; k < magnitudes.length; k++) if (best === 0 || magnitudes[k]! > magnitudes[best]!) best = k;
  return best > 0 && magnitudes[best]! > 0 ? (best * rate) / samples.length : null;
}
