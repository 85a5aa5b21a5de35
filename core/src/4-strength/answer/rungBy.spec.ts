import { rungBy } from './rungBy';

/** One mode that turns about y, pushed along z. */
const one = (frequency: number, damping: number, pushed: (t: number) => number, every = 1 / 60, count = 601) =>
  rungBy({
    modes: [{ frequency, six: [0, 0, 0, 0, 1, 0] }],
    shares: [[0], [0], [1]],
    damping: [damping],
    pushed: (t, out) => (out[2] = pushed(t)),
    every,
    count,
  }).map((turn) => turn[1]);

describe('a mode followed in time', () => {
  const w = 2 * Math.PI * 9;

  it('let go by a push that stays rings about its new rest, and dies as it should', () => {
    const z = 0.03;
    const wd = w * Math.sqrt(1 - z * z);
    one(9, z, () => -1).forEach((q, n) => {
      const t = n / 60;
      const exact = (1 - Math.exp(-z * w * t) * (Math.cos(wd * t) + (z * w * Math.sin(wd * t)) / wd)) / w ** 2;
      expect(q).toBeCloseTo(exact, 12);
    });
  });

  it('pushed to and fro settles to the steady answer, in size and in phase', () => {
    const [z, pushes] = [0.05, 2 * Math.PI * 5.4];
    const rung = one(9, z, (t) => -Math.sin(pushes * t));
    const [real, imaginary] = [w ** 2 - pushes ** 2, 2 * z * w * pushes];
    const size = 1 / Math.hypot(real, imaginary);
    const lag = Math.atan2(imaginary, real);
    for (let n = 420; n <= 600; n++)
      expect(Math.abs(rung[n]! - size * Math.sin((pushes * n) / 60 - lag))).toBeLessThan(0.01 * size);
  });

  it('says the same whatever the samples are apart', () => {
    const push = (t: number): number => Math.sin(20 * t) * Math.exp(-t);
    const [coarse, fine] = [one(9, 0.02, push, 1 / 30, 151), one(9, 0.02, push, 1 / 120, 601)];
    const most = Math.max(...fine.map(Math.abs));
    coarse.forEach((q, n) => expect(Math.abs(q - fine[4 * n]!)).toBeLessThan(2e-3 * most));
  });
});
