/**
 * Where lines of one direction run within one box or round, hollow or not: the same as `spansThrough`, asked for some ten thousand lines a piece, so
 * it makes nothing on the way. The answer stands in `count`, `from` and `to` until the next line is asked for.
 */
import { transform, transpose, type Mat3, type Vec3 } from '../../0-base';
import type { FlatBody } from '../../1-load';

const ALONG_FACE = 1e-12;

export class LineIn {
  /** Stretches the last line has within it: none, one, or two with a hollow between. */
  count = 0;
  readonly from: [number, number] = [0, 0];
  readonly to: [number, number] = [0, 0];
  private readonly u: Vec3;
  private readonly v: Vec3;
  private readonly way: Vec3;
  private readonly start: Vec3;
  private least = 0;
  private most = 0;

  private constructor(
    { at, rotation }: Pick<FlatBody, 'at' | 'rotation'>,
    frame: Mat3,
    private readonly outer: Convex,
    private readonly hollow: Convex | null,
  ) {
    const inwards = transpose(rotation);
    [this.u, this.v, this.way] = frame.map((row) => transform(inwards, row)) as unknown as [Vec3, Vec3, Vec3];
    this.start = transform(inwards, at);
  }

  /** Null for what is neither a box nor a round, or is sawn to an outline. Rows of `frame`: two directions across the lines, and along them. */
  static of(flat: Pick<FlatBody, 'shape' | 'outline' | 'at' | 'rotation'>, frame: Mat3): LineIn | null {
    const { shape, outline } = flat;
    if (shape.kind === 'tube') {
      const { outerRadius, innerRadius, length } = shape;
      const hollow = innerRadius > 0 ? { round: innerRadius, half: [0, 0, length] as const } : null;
      return new LineIn(flat, frame, { round: outerRadius, half: [0, 0, length / 2] }, hollow);
    }
    if (shape.kind !== 'box' || outline) return null;
    const [x, y, z] = shape.size;
    const hollow = shape.bore ? { round: 0, half: [x, shape.bore[0] / 2, shape.bore[1] / 2] as const } : null;
    return new LineIn(flat, frame, { round: 0, half: [x / 2, y / 2, z / 2] }, hollow);
  }

  /** Of the line at these two places across, m; whether it meets the body at all. */
  at(u: number, v: number): boolean {
    const x = this.u[0] * u + this.v[0] * v - this.start[0];
    const y = this.u[1] * u + this.v[1] * v - this.start[1];
    const z = this.u[2] * u + this.v[2] * v - this.start[2];
    this.count = 0;
    if (!this.within(this.outer, x, y, z)) return false;
    const [least, most] = [this.least, this.most];
    if (!this.hollow || !this.within(this.hollow, x, y, z) || this.most <= least || this.least >= most) {
      this.put(least, most);
      return true;
    }
    const [opens, shuts] = [this.least, this.most];
    if (opens > least) this.put(least, opens);
    if (shuts < most) this.put(shuts, most);
    return this.count > 0;
  }

  private put(from: number, to: number): void {
    this.from[this.count] = from;
    this.to[this.count] = to;
    this.count++;
  }

  /** Leaves the stretch in `least` and `most`. */
  private within({ round, half }: Convex, x: number, y: number, z: number): boolean {
    const [dx, dy, dz] = this.way;
    this.least = -Infinity;
    this.most = Infinity;
    if (round === 0)
      return this.between(x, dx, half[0]) && this.between(y, dy, half[1]) && this.between(z, dz, half[2]);
    const a = dx * dx + dy * dy;
    const b = x * dx + y * dy;
    const c = x * x + y * y - round * round;
    if (a < ALONG_FACE) {
      if (c >= 0) return false;
    } else {
      const under = b * b - a * c;
      if (under <= 0) return false;
      const root = Math.sqrt(under);
      this.least = (-b - root) / a;
      this.most = (-b + root) / a;
    }
    return this.between(z, dz, half[2]);
  }

  /** Cut to where one coordinate is less than `half` either way. */
  private between(at: number, speed: number, half: number): boolean {
    if (Math.abs(speed) < ALONG_FACE) return Math.abs(at) < half;
    const middle = -at / speed;
    const reach = half / Math.abs(speed);
    if (middle - reach > this.least) this.least = middle - reach;
    if (middle + reach < this.most) this.most = middle + reach;
    return this.least < this.most;
  }
}

/** A round of this radius along z, or a box where that is nought; half its sides. */
interface Convex {
  readonly round: number;
  readonly half: readonly [number, number, number];
}
