/** How a picture’s content moved from one frame of a clip to the next: shift, roll and zoom, found by laying one on the other. */

export interface FrameMotion {
  /** Pixels, about the picture’s centre. */
  readonly right: number;
  readonly down: number;
  /** rad, as seen. */
  readonly clockwise: number;
  /** Share by which the content grew. */
  readonly zoom: number;
  /** Share of what has edges that moved along, 0 to 1: little of a passer-by before the lens, a cut or a flash. */
  readonly along: number;
}
/** A frame made ready: grey, smoothed, its slow shades taken off, at halved sizes; the largest first. */
export interface Prepared {
  readonly levels: readonly Level[];
}
interface Level {
  readonly width: number;
  readonly height: number;
  readonly grey: Float32Array;
  /** Its slopes to the right and down, and the pixels with enough of them to tell a shift. */
  readonly acrossSlope: Float32Array;
  readonly downSlope: Float32Array;
  readonly edges: Uint32Array;
  /** Rms of its greys, their slow shades taken off. */
  readonly contrast: number;
}

/** Halved until it is no higher than this: a shift of an eighth of the picture is one of three pixels there. */
const SMALLEST = 24;
/** Slow shades are what a square this wide averages, so that a cloud or the exposure does not count. */
const SHADE = 8;
/** Pixels of the strongest slopes that are looked at: of the whole of a level. */
const LOOKED_AT = 0.2;
const ROUNDS = 8;
/** A round that moves nothing by more than this ends a level, pixels at the picture’s edge. */
const SETTLED = 0.003;
/** Tukey’s weight is nought beyond so many standard deviations (Beaton and Tukey 1974). */
const TUKEY = 4.685;
const MAD_TO_SIGMA = 1.4826;
/** Of the residuals so many are looked at for their median. */
const SAMPLED = 401;
/** Noise of eight bits, after smoothing. */
const LEAST_SIGMA = 0.3;

/** `grey` is row by row, 0 to 255. Throws on a size that is not its length. */
export function prepared(grey: Float32Array, width: number, height: number): Prepared {
  if (grey.length !== width * height) throw new Error(`${grey.length} pixels are not ${width} by ${height}.`);
  const levels: Level[] = [];
  let now = { grey, width, height };
  for (;;) {
    levels.push(levelOf(now.grey, now.width, now.height));
    if (now.height < 2 * SMALLEST) return { levels };
    now = halved(now.grey, now.width, now.height);
  }
}

/**
 * Motion from `first` to `second`, both of one size: the least weighted squares of what differs, from the smallest level to
 * the largest (Lucas and Kanade 1981, with the first frame’s slopes, so they are found once a frame). Weights by residual
 * (Tukey) leave out what moves on its own, while it is less than about half of the edges. Good to 0.05 pixels for shifts up
 * to an eighth of the height, rolls to 2° and zooms to 2 % on pictures with edges in them; of a flat grey it tells `along` 0.
 */
export function frameMotion(first: Prepared, second: Prepared): FrameMotion {
  let [right, down, clockwise, zoom, along] = [0, 0, 0, 0, 0];
  for (let l = first.levels.length - 1; l >= 0; l--) {
    const [from, to] = [first.levels[l]!, second.levels[l]!];
    const scale = 2 ** l;
    let [r, d] = [right / scale, down / scale];
    for (let round = 0; round < ROUNDS; round++) {
      const found = step(from, to, r, d, clockwise, zoom);
      along = found.along;
      if (!found.by) break;
      const [dr, dd, dc, dz] = found.by;
      [r, d, clockwise, zoom] = [r + dr!, d + dd!, clockwise + dc!, zoom + dz!];
      const reach = from.width / 2;
      if (Math.abs(dr!) + Math.abs(dd!) + reach * (Math.abs(dc!) + Math.abs(dz!)) < SETTLED * 4) break;
    }
    [right, down] = [r * scale, d * scale];
  }
  return { right, down, clockwise, zoom, along };
}

/** One round: what differs where the second is looked up as moved so far, and the change that takes most of it away. */
function step(
  from: Level,
  to: Level,
  right: number,
  down: number,
  clockwise: number,
  zoom: number,
): { readonly by: readonly number[] | null; readonly along: number } {
  const { width, height, grey, acrossSlope, downSlope, edges } = from;
  const [cx, cy] = [(width - 1) / 2, (height - 1) / 2];
  const [cos, sin] = [(1 + zoom) * Math.cos(clockwise), (1 + zoom) * Math.sin(clockwise)];
  const residuals = new Float32Array(edges.length);
  let inside = 0;
  for (let e = 0; e < edges.length; e++) {
    const at = edges[e]!;
    const row = (at / width) | 0;
    const u = at - row * width - cx;
    const v = row - cy;
    const x = cx + right + cos * u - sin * v;
    const y = cy + down + sin * u + cos * v;
    if (!(x >= 0 && y >= 0 && x < width - 1 && y < height - 1)) {
      residuals[e] = NaN;
      continue;
    }
    inside++;
    const x0 = x | 0;
    const y0 = y | 0;
    const fx = x - x0;
    const fy = y - y0;
    const p = y0 * width + x0;
    const top = to.grey[p]! + fx * (to.grey[p + 1]! - to.grey[p]!);
    const below = to.grey[p + width]! + fx * (to.grey[p + width + 1]! - to.grey[p + width]!);
    residuals[e] = top + fy * (below - top) - grey[at]!;
  }
  if (inside < 4 * SMALLEST) return { by: null, along: 0 };
  const sigma = sigmaOf(residuals);
  const reach = TUKEY * sigma;
  const h = new Float64Array(10);
  const b = new Float64Array(4);
  let weight = 0;
  for (let e = 0; e < edges.length; e++) {
    const share = residuals[e]! / reach;
    if (!(share > -1 && share < 1)) continue;
    const w = (1 - share * share) ** 2;
    const at = edges[e]!;
    const row = (at / width) | 0;
    const u = at - row * width - cx;
    const v = row - cy;
    const gx = acrossSlope[at]!;
    const gy = downSlope[at]!;
    const gr = gy * u - gx * v;
    const gz = gx * u + gy * v;
    weight += w;
    const wr = w * residuals[e]!;
    b[0]! += wr * gx;
    b[1]! += wr * gy;
    b[2]! += wr * gr;
    b[3]! += wr * gz;
    h[0]! += w * gx * gx;
    h[1]! += w * gx * gy;
    h[2]! += w * gx * gr;
    h[3]! += w * gx * gz;
    h[4]! += w * gy * gy;
    h[5]! += w * gy * gr;
    h[6]! += w * gy * gz;
    h[7]! += w * gr * gr;
    h[8]! += w * gr * gz;
    h[9]! += w * gz * gz;
  }
  const by = solved4(h, b);
  // What differs as much as the picture itself is no picture moved.
  const alike = Math.max(0, 1 - sigma ** 2 / from.contrast ** 2);
  return { by: by && by.map((x) => -x), along: (alike * weight) / edges.length };
}

function sigmaOf(residuals: Float32Array): number {
  const sample: number[] = [];
  const every = Math.max(1, Math.floor(residuals.length / SAMPLED));
  for (let i = 0; i < residuals.length; i += every)
    if (!Number.isNaN(residuals[i]!)) sample.push(Math.abs(residuals[i]!));
  sample.sort((a, b) => a - b);
  return Math.max(LEAST_SIGMA, MAD_TO_SIGMA * (sample[sample.length >> 1] ?? 0));
}

/** Four unknowns of a symmetric positive system, upper half row by row; null where it does not tell them all. */
function solved4(h: Float64Array, b: Float64Array): number[] | null {
  const at = (i: number, j: number): number => h[[0, 3, 5, 6][Math.min(i, j)]! + Math.max(i, j)]!;
  const lower = [0, 1, 2, 3].map(() => [0, 0, 0, 0]);
  for (let i = 0; i < 4; i++)
    for (let j = 0; j <= i; j++) {
      let sum = at(i, j);
      for (let k = 0; k < j; k++) sum -= lower[i]![k]! * lower[j]![k]!;
      if (i === j) {
        if (!(sum > 1e-9 * at(i, i))) return null;
        lower[i]![i] = Math.sqrt(sum);
      } else lower[i]![j] = sum / lower[j]![j]!;
    }
  const y = [0, 0, 0, 0];
  for (let i = 0; i < 4; i++) {
    let sum = b[i]!;
    for (let k = 0; k < i; k++) sum -= lower[i]![k]! * y[k]!;
    y[i] = sum / lower[i]![i]!;
  }
  for (let i = 3; i >= 0; i--) {
    let sum = y[i]!;
    for (let k = i + 1; k < 4; k++) sum -= lower[k]![i]! * y[k]!;
    y[i] = sum / lower[i]![i]!;
  }
  return y;
}

function levelOf(given: Float32Array, width: number, height: number): Level {
  const smooth = averaged(given, width, height, 1);
  const shade = averaged(given, width, height, Math.min(SHADE, Math.floor(height / 4)));
  const grey = smooth.map((g, i) => g - shade[i]!);
  const [acrossSlope, downSlope] = [new Float32Array(grey.length), new Float32Array(grey.length)];
  const strength = new Float32Array(grey.length);
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const at = y * width + x;
      acrossSlope[at] = (grey[at + 1]! - grey[at - 1]!) / 2;
      downSlope[at] = (grey[at + width]! - grey[at - width]!) / 2;
      strength[at] = acrossSlope[at]! ** 2 + downSlope[at]! ** 2;
    }
  const sample = Float32Array.from(
    { length: 1000 },
    (_, i) => strength[Math.floor((i * strength.length) / 1000)]!,
  ).sort();
  const contrast = Math.sqrt(grey.reduce((sum, g) => sum + g * g, 0) / grey.length);
  const least = Math.max(1e-3, sample[Math.floor(1000 * (1 - LOOKED_AT))]!);
  return { width, height, grey, acrossSlope, downSlope, edges: Uint32Array.from(where(strength, least)), contrast };
}

function where(strength: Float32Array, least: number): number[] {
  const found: number[] = [];
  for (let i = 0; i < strength.length; i++) if (strength[i]! >= least) found.push(i);
  return found;
}

/** Mean over a square that reaches so far each way, by running sums, rows first; at the edge over what is there. */
function averaged(grey: Float32Array, width: number, height: number, reach: number): Float32Array {
  const rows = new Float32Array(grey.length);
  for (let y = 0; y < height; y++) alongLine(grey, rows, y * width, 1, width, reach);
  const both = new Float32Array(grey.length);
  for (let x = 0; x < width; x++) alongLine(rows, both, x, width, height, reach);
  return both;
}

function alongLine(
  from: Float32Array,
  to: Float32Array,
  start: number,
  stride: number,
  count: number,
  reach: number,
): void {
  let sum = 0;
  let inside = 0;
  for (let i = 0; i < Math.min(reach, count); i++, inside++) sum += from[start + i * stride]!;
  for (let i = 0; i < count; i++) {
    if (i + reach < count) {
      sum += from[start + (i + reach) * stride]!;
      inside++;
    }
    if (i - reach - 1 >= 0) {
      sum -= from[start + (i - reach - 1) * stride]!;
      inside--;
    }
    to[start + i * stride] = sum / inside;
  }
}

function halved(
  grey: Float32Array,
  width: number,
  height: number,
): { grey: Float32Array; width: number; height: number } {
  const [w, h] = [width >> 1, height >> 1];
  const half = new Float32Array(w * h);
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      const at = 2 * y * width + 2 * x;
      half[y * w + x] = (grey[at]! + grey[at + 1]! + grey[at + width]! + grey[at + width + 1]!) / 4;
    }
  return { grey: half, width: w, height: h };
}
