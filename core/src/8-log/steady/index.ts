/** How steady a walk was: from a gyro’s rows or a picture’s shifts to figures that can be set beside others. */
export { evenTurning, ROWS_AT_LEAST, type EvenTurning, type TurningRows } from './evenTurning';
export { rmsOf, turned, type Turned } from './turned';
export { pictureTurned, type PathTurned, type PictureShifts } from './pictureTurned';
export { cropToHide, shareOfHeight, shareOfWidth, type Picture } from './picture';
export { BANDS, shakeIn, SHAKE_AT_LEAST, type Shake } from './shake';
export { walkOfClip, walkOfGyro, type WalkFigures } from './walkFigures';
export { difference, middleOf, REPEATS, type Difference, type Middle } from './difference';
export {
  gyroColumns,
  isNoWalk,
  LAID,
  TIME_UNITS,
  type GyroColumns,
  type Laid,
  type RateUnit,
  type TimeUnit,
} from './gyroColumns';
export { frameMotion, prepared, type FrameMotion, type Prepared } from './frameMotion';
export {
  AXIS_NAMES,
  besideWalked,
  namedTone,
  WALK_AXES,
  waysWalked,
  type Beside,
  type WalkAxis,
  type WayWalked,
} from './waysWalked';
export { laterVersion, type LaterWalked } from './laterVersion';
