/** How a camera turned, from how its picture shifted from frame to frame. */
import { dominantFrequency } from '../../0-base';
import { meanOf, peakOf, rmsOf } from './turned';

/** Shift of the picture’s content from each frame to the next: pixels to the right and down, rad clockwise as seen. */
export interface PictureShifts {
  readonly right: Float64Array;
  readonly down: Float64Array;
  readonly clockwise: Float64Array;
}

export interface PathTurned {
  /** From the first frame to the last, rad. */
  readonly total: number;
  /** What was meant: the slope of the straight line nearest to the path, rad/s. */
  readonly intentRate: number;
  /** What is left of the path, rad: one for each frame. */
  readonly left: Float64Array;
  readonly rms: number;
  readonly peak: number;
  readonly dominantFrequency: number | null;
}

/**
 * Content that goes to the right is a camera panned to the left, down is tilted up, clockwise is its right side up. `focal` is
 * the focal length in pixels; each shift s is a turn of atan(s/focal) about a pinhole, exact at the picture’s centre. The
 * path begins at nought and has a point for each frame: one more than shifts.
 */
export function pictureTurned(
  shifts: PictureShifts,
  focal: number,
  frameRate: number,
): { readonly panLeft: PathTurned; readonly tiltUp: PathTurned; readonly leftSideUp: PathTurned } {
  const paths = pathsTurned(shifts, focal);
  return {
    panLeft: lessIntent(paths.panLeft, frameRate),
    tiltUp: lessIntent(paths.tiltUp, frameRate),
    leftSideUp: lessIntent(paths.leftSideUp, frameRate),
  };
}

/** The turns added up, rad: a point for each frame. */
export function pathsTurned(
  shifts: PictureShifts,
  focal: number,
): { readonly panLeft: Float64Array; readonly tiltUp: Float64Array; readonly leftSideUp: Float64Array } {
  const added = (list: Float64Array, turnOf: (shift: number) => number): Float64Array => {
    const path = new Float64Array(list.length + 1);
    list.forEach((shift, i) => (path[i + 1] = path[i]! + turnOf(shift)));
    return path;
  };
  const turn = (shift: number): number => Math.atan(shift / focal);
  return {
    panLeft: added(shifts.right, turn),
    tiltUp: added(shifts.down, turn),
    leftSideUp: added(shifts.clockwise, (a) => -a),
  };
}

function lessIntent(path: Float64Array, frameRate: number): PathTurned {
  const { slope, left } = lessItsLine(path);
  return {
    total: path.at(-1)!,
    intentRate: slope * frameRate,
    left,
    rms: rmsOf(left),
    peak: peakOf(left),
    dominantFrequency: dominantFrequency(left, frameRate),
  };
}

/** Slope by sample, and the path less its line of least squares. */
export function lessItsLine(path: Float64Array): { readonly slope: number; readonly left: Float64Array } {
  const [n, mean] = [path.length, meanOf(path)];
  const middle = (n - 1) / 2;
  // Σ (i − middle)² of n whole steps.
  const squares = (n * (n * n - 1)) / 12;
  const slope = squares > 0 ? path.reduce((sum, p, i) => sum + (i - middle) * (p - mean), 0) / squares : 0;
  return { slope, left: path.map((p, i) => p - mean - slope * (i - middle)) };
}
