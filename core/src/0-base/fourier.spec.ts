import fc from 'fast-check';
import { holds } from '../testing/holds';
import { dominantFrequency, fourierMagnitudes } from './fourier';

/** Sum by sum, as it is defined. */
function plainly(samples: Float64Array): number[] {
  const n = samples.length;
  return Array.from({ length: Math.floor(n / 2) + 1 }, (_, k) => {
    let [real, imaginary] = [0, 0];
    samples.forEach((x, i) => {
      const turn = (2 * Math.PI * ((i * k) % n)) / n;
      real += x * Math.cos(turn);
      imaginary -= x * Math.sin(turn);
    });
    return Math.hypot(real, imaginary);
  });
}

describe('the spectrum', () => {
  it('is the sum it is defined by, for any number of samples', () => {
    holds(
      fc.property(fc.array(fc.double({ min: -5, max: 5, noNaN: true }), { minLength: 1, maxLength: 130 }), (list) => {
        const samples = Float64Array.from(list);
        const found = fourierMagnitudes(samples);
        plainly(samples).forEach((m, k) => expect(found[k]).toBeCloseTo(m, 9));
      }),
      { seed: 22 },
    );
  });
  it('keeps the power of the samples (Parseval)', () => {
    const samples = Float64Array.from({ length: 3001 }, (_, i) => Math.sin(i * 0.7) + ((i * 37) % 11) / 7);
    const found = fourierMagnitudes(samples);
    const power = samples.reduce((sum, x) => sum + x * x, 0);
    const told = found.reduce((sum, m, k) => sum + (k === 0 ? 1 : 2) * m * m, 0) / samples.length;
    expect(told / power).toBeCloseTo(1, 10);
  });
  it('finds a tone in a hundred thousand samples to its bin, and its amplitude', () => {
    const n = 100_003;
    const samples = Float64Array.from({ length: n }, (_, i) => 3 + 0.25 * Math.sin((2 * Math.PI * 517 * i) / n));
    expect(dominantFrequency(samples, 200)).toBeCloseTo((517 * 200) / n, 9);
    expect((2 / n) * fourierMagnitudes(samples)[517]!).toBeCloseTo(0.25, 9);
  });
  it('says nothing of what does not move, or is too short', () => {
    expect(dominantFrequency(new Float64Array(0), 100)).toBeNull();
    expect(dominantFrequency(Float64Array.of(4), 100)).toBeNull();
    expect(dominantFrequency(new Float64Array(16), 100)).toBeNull();
  });
});
