/** What of a flat shape lies on one side of a line: Sutherland and Hodgman’s way, one line at a time. */
import type { Point2 } from '../../2-frame';

/** Keeps the points p with normal · p at most `most`; a shape wholly beyond leaves none. A hollow shape that the line cuts twice keeps a seam of no width. */
export function clipped(points: readonly Point2[], [a, b]: Point2, most: number): readonly Point2[] {
  const past = ([x, y]: Point2): number => a * x + b * y - most;
  return points.flatMap((to, i): Point2[] => {
    const from = points.at(i - 1)!;
    const [before, after] = [past(from), past(to)];
    if (before > 0 === after > 0) return after > 0 ? [] : [to];
    const part = before / (before - after);
    const met: Point2 = [from[0] + part * (to[0] - from[0]), from[1] + part * (to[1] - from[1])];
    return after > 0 ? [met] : [met, to];
  });
}
