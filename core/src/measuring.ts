/**
 * Measuring kit, covering loadouts, and what to do next: a second door to the core (`@tide-pebble/core/measuring`), so that
 * the page's first load does not fetch it.
 */
export { METHODS } from './1-load/methods';
export {
  AXIS_WORDS,
  VIEW_AXES,
  fromFoot,
  type Axis,
  type AxisWords,
  type Method,
  type MethodFound,
  type MethodOutcome,
  type MethodReading,
  type PictureStroke,
} from './1-load/method';
export { averaged, type Averaged } from './1-load/averaged';
export { agreement, type Agreement, type Found } from './1-load/agreement';
export {
  comparedOf,
  methodById,
  remeasured,
  resultsOf,
  weighedAs,
  withMeasurement,
  withoutMeasurement,
  type Compared,
  type Result,
} from './1-load/measured';
export {
  coverWords,
  drawnLoadWords,
  extremeWords,
  fromFootWords,
  nextMeasureWords,
  shiftWords,
  whatIsOpen,
} from './1-load/loadWords';
export { planeOfPhoto, type PhotoPlane } from './1-load/photoPlane';
export {
  coverageOf,
  type AxisCover,
  type Coverage,
  type CoveredLoadout,
  type Extreme,
  type NextMeasure,
  type StateShift,
} from './1-load/coverage';
export { lensCones, type ConeOutcome, type LensCone, type View2 } from './1-load/lensCone';
export { coverOnRig, type SlideCover } from './3-balance/adjusters/coverOnRig';
export { nextThing, WORK, type NextThing, type Stage, type WorkSoFar } from './9-design/nextThing';
export { TYPICAL_CAMERAS, TYPICAL_LENSES, TYPICAL_OTHERS, typicalItem, type TypicalKind } from './1-load/typicalKit';
