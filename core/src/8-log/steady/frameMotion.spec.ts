import { evenDraws, normalDraws, DEGREE } from '../../0-base';
import { frameMotion, prepared, type FrameMotion } from './frameMotion';

const [WIDTH, HEIGHT] = [320, 180];
/** Of a lens that sees 50° across. */
const FOCAL = WIDTH / 2 / Math.tan(25 * DEGREE);
type Moved = Pick<FrameMotion, 'right' | 'down' | 'clockwise' | 'zoom'>;
const STILL: Moved = { right: 0, down: 0, clockwise: 0, zoom: 0 };

/** A scene without end: blobs, bars and a slow shade, as bright at a point as the sum of them. */
function scene(seed: number): (x: number, y: number) => number {
  const draws = evenDraws(seed);
  const waves = Array.from({ length: 24 }, () => {
    const [length, way] = [6 + 60 * draws() ** 2, 2 * Math.PI * draws()];
    const k = (2 * Math.PI) / length;
    return { kx: k * Math.cos(way), ky: k * Math.sin(way), phase: 6 * draws(), size: 3 + length / 8 };
  });
  return (x, y) => waves.reduce((sum, w) => sum + w.size * Math.sin(w.kx * x + w.ky * y + w.phase), 120);
}
/** The scene as it stands after a move: what was at u is now at what `frameMotion` calls moved. */
function picture(
  of: (x: number, y: number) => number,
  moved: Moved,
  { noise = 0, seed = 1, blurred = 0, rolling = 0, brighter = 1 } = {},
): Float32Array {
  const draws = normalDraws(seed);
  const [cx, cy] = [(WIDTH - 1) / 2, (HEIGHT - 1) / 2];
  const grey = new Float32Array(WIDTH * HEIGHT);
  const parts = blurred > 0 ? [-0.375, -0.125, 0.125, 0.375] : [0];
  for (let y = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++) {
      let sum = 0;
      for (const part of parts) {
        // A row further down is seen later, a blurred one over a while.
        const share = blurred * part + rolling * (y / HEIGHT - 0.5);
        const [u, v] = [x - cx - moved.right * (1 + share), y - cy - moved.down * (1 + share)];
        const [cos, sin] = [Math.cos(moved.clockwise) / (1 + moved.zoom), Math.sin(moved.clockwise) / (1 + moved.zoom)];
        sum += of(cos * u + sin * v, -sin * u + cos * v) / parts.length;
      }
      grey[y * WIDTH + x] = Math.round(Math.min(255, Math.max(0, brighter * sum + noise * draws())));
    }
  return grey;
}
const between = (a: Float32Array, b: Float32Array): FrameMotion =>
  frameMotion(prepared(a, WIDTH, HEIGHT), prepared(b, WIDTH, HEIGHT));

describe('how a picture moved', () => {
  const draws = evenDraws(11);
  const around = (size: number): number => size * (2 * draws() - 1);
  const moves = Array.from({ length: 12 }, (): Moved => ({
    right: around(8),
    down: around(8),
    clockwise: around(0.01),
    zoom: around(0.005),
  }));
  const off = (found: FrameMotion, true_: Moved): number =>
    Math.hypot(found.right - true_.right, found.down - true_.down);

  it('is found to 0.004° of a lens of 50°, with noise, whatever the move', () => {
    for (const [i, moved] of moves.entries()) {
      const of = scene(i);
      const found = between(picture(of, STILL, { noise: 3, seed: i }), picture(of, moved, { noise: 3, seed: i + 50 }));
      expect(Math.atan(off(found, moved) / FOCAL) / DEGREE)
        .withContext(`${i}`)
        .toBeLessThan(0.008);
      expect(Math.abs(found.clockwise - moved.clockwise) / DEGREE).toBeLessThan(0.01);
      expect(Math.abs(found.zoom - moved.zoom)).toBeLessThan(3e-4);
      expect(found.along).toBeGreaterThan(0.6);
    }
  });
  it('is not led astray by a passer-by over a fifth of it', () => {
    for (const [i, moved] of moves.slice(0, 6).entries()) {
      const [of, coat] = [scene(i), scene(i + 400)];
      const passing = (grey: Float32Array, at: number): Float32Array => {
        const clothed = picture(coat, { ...STILL, right: at });
        return grey.map((g, p) => (p % WIDTH >= 90 + at && p % WIDTH < 154 + at ? clothed[p]! : g));
      };
      const found = between(passing(picture(of, STILL, { noise: 2 }), 0), passing(picture(of, moved, { noise: 2 }), 6));
      expect(Math.atan(off(found, moved) / FOCAL) / DEGREE)
        .withContext(`${i}`)
        .toBeLessThan(0.02);
      expect(found.along).toBeLessThan(0.9);
    }
  });
  it('is found through motion blur, a rolling shutter and a change of light to 0.02° of its middle rows', () => {
    for (const [i, moved] of moves.slice(0, 6).entries()) {
      const of = scene(i);
      const small = { ...moved, right: moved.right / 2, down: moved.down / 2 };
      const blurred = between(picture(of, STILL), picture(of, small, { blurred: 0.5, noise: 2 }));
      expect(Math.atan(off(blurred, small) / FOCAL) / DEGREE).toBeLessThan(0.02);
      const rolled = between(picture(of, STILL), picture(of, small, { rolling: 0.5, noise: 2 }));
      expect(Math.atan(off(rolled, small) / FOCAL) / DEGREE).toBeLessThan(0.03);
      const brighter = between(picture(of, STILL), picture(of, moved, { brighter: 1.1 }));
      expect(Math.atan(off(brighter, moved) / FOCAL) / DEGREE).toBeLessThan(0.02);
    }
  });
  it('of two that have nothing in common, or a flat grey, says that little moved along', () => {
    expect(between(picture(scene(1), STILL), picture(scene(2), STILL)).along).toBeLessThan(0.55);
    const flat = new Float32Array(WIDTH * HEIGHT).fill(90);
    const found = between(flat, flat);
    expect(found).toEqual({ right: 0, down: 0, clockwise: 0, zoom: 0, along: 0 });
    expect(() => prepared(flat, 10, 10)).toThrowError(/57600 pixels/);
  });
  it('adds up: there and back again is no move', () => {
    const of = scene(9);
    const [a, b] = [picture(of, STILL), picture(of, moves[2]!)];
    const [there, back] = [between(a, b), between(b, a)];
    expect(Math.hypot(there.right + back.right, there.down + back.down)).toBeLessThan(0.15);
    expect(there.clockwise + back.clockwise).toBeCloseTo(0, 3);
  });
});
