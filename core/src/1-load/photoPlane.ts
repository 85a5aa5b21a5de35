/** From touches on a photo to places on the item: two corners of a known distance set the scale, the turn and the origin. */
type Pixel = readonly [number, number];

export interface PhotoPlane {
  /** Across from the near face and up from the underside, m. */
  readonly place: (touch: Pixel) => readonly [number, number];
  readonly metresPerPixel: number;
}

/** Corners nearer than this many pixels set no scale worth the name. */
const LEAST_PIXELS = 20;

/**
 * `near` and `far` are the ends of the item's lower edge as seen (pixels, y down), `length` its true length, m. Holds for a
 * photo taken square-on from well away: a lens close by draws what stands nearer larger. Null when the corners coincide.
 */
export function planeOfPhoto(near: Pixel, far: Pixel, length: number): PhotoPlane | null {
  const [dx, dy] = [far[0] - near[0], far[1] - near[1]];
  const pixels = Math.hypot(dx, dy);
  if (pixels < LEAST_PIXELS || !(length > 0)) return null;
  const metresPerPixel = length / pixels;
  const [ux, uy] = [dx / pixels, dy / pixels];
  return {
    metresPerPixel,
    // Up on the item is a quarter turn from along; pixels count downwards.
    place: ([x, y]) => [
      ((x - near[0]) * ux + (y - near[1]) * uy) * metresPerPixel,
      ((x - near[0]) * uy - (y - near[1]) * ux) * metresPerPixel,
    ],
  };
}
