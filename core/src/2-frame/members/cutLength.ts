/** Length to cut of a member between two fittings, and what pushing it short of the socket's bottom does to the rig. */

export interface EndFitting {
  /** Centre of the fitting to its face, and how deep the socket is, m. */
  readonly centreToFace?: number;
  readonly depth?: number;
  /** Given instead of both; negative is thread make-up. */
  readonly takeOff?: number;
  /** How far the pipe stops short of the socket's bottom, m. */
  readonly shortBy?: number;
}

export const takeOff = (end: EndFitting): number => end.takeOff ?? (end.centreToFace ?? 0) - (end.depth ?? 0);

/** How much of the pipe sits in the socket, m; null where the end has no socket. */
export const inserted = (end: EndFitting): number | null =>
  end.depth === undefined ? null : end.depth - (end.shortBy ?? 0);

/** Centre-line length less the take-off at each end. Not above zero: the fittings meet and it cannot be cut. */
export function cutLength(
  from: EndFitting,
  to: EndFitting,
  centreToCentre: number,
): { length: number; possible: boolean; asAssembled: number } {
  const length = centreToCentre - takeOff(from) - takeOff(to);
  return { length, possible: length > 0, asAssembled: centreToCentre + (from.shortBy ?? 0) + (to.shortBy ?? 0) };
}
