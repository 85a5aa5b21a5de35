/** What an angle of the camera does to the picture, through the lens's field of view. */

/** Full angle of view (rad) across a sensor of `width` behind a lens of `focalLength` (both m), lens at infinity. */
export const fieldOfView = (width: number, focalLength: number): number => 2 * Math.atan(width / (2 * focalLength));

/** The focal length (m) that takes in `angle` (rad, under a straight one) across a sensor of `width` (m): the other way round. */
export const focalFor = (angle: number, width: number): number => width / (2 * Math.tan(angle / 2));

/** Shift of the picture's middle as a part of the frame when the camera turns by `angle` (rad, under a right angle). */
export const frameFraction = (angle: number, width: number, focalLength: number): number =>
  (Math.tan(angle) * focalLength) / width;

/** The angle (rad) that shifts the picture by `fraction` of the frame. */
export const angleForFraction = (fraction: number, width: number, focalLength: number): number =>
  Math.atan((fraction * width) / focalLength);

/** Rise of the middle of the picture's side edge when the camera rolls by `roll`, as a part of its height. */
export const edgeShiftByRoll = (roll: number, width: number, height: number): number =>
  (width / 2) * (Math.sin(roll) / height);

/**
 * Longest smear in one exposure, as a part of the frame, of a shake amplitude·sin(2πft): worst when the exposure is
 * centred on a crossing; from half a period on it sees both ends of the swing.
 */
export function smearFraction(
  shake: { amplitude: number; frequency: number; exposure: number },
  width: number,
  focalLength: number,
): number {
  const turn = shake.frequency * shake.exposure;
  const reach = turn >= 0.5 ? shake.amplitude : shake.amplitude * Math.sin(Math.PI * turn);
  return 2 * frameFraction(reach, width, focalLength);
}
