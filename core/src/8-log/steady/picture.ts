/** What a turn does to the picture: how much of it goes by, and how much must be cut off to hide it. */

/** Lens and sensor, m. */
export interface Picture {
  readonly focalLength: number;
  readonly sensorWidth: number;
  readonly sensorHeight: number;
}

/** Share of the picture’s width that goes by in a pan of so much, or of its height in a tilt; valid below a quarter turn. */
export const shareOfWidth = (pan: number, { focalLength, sensorWidth }: Picture): number =>
  (Math.tan(pan) * focalLength) / sensorWidth;
export const shareOfHeight = (tilt: number, { focalLength, sensorHeight }: Picture): number =>
  (Math.tan(tilt) * focalLength) / sensorHeight;

/**
 * What must be cut off each side so that turns of at most these peaks (rad) can be taken out, as shares of width and height:
 * the shift, and what a roll lifts a corner by.
 */
export function cropToHide(
  peaks: { readonly pan: number; readonly tilt: number; readonly roll: number },
  picture: Picture,
): { readonly width: number; readonly height: number } {
  const { sensorWidth: w, sensorHeight: h } = picture;
  const lifted = Math.sin(Math.min(peaks.roll, Math.PI / 2));
  return {
    width: shareOfWidth(peaks.pan, picture) + (lifted * h) / (2 * w),
    height: shareOfHeight(peaks.tilt, picture) + (lifted * w) / (2 * h),
  };
}
