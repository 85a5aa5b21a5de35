/** Load: what is carried, weighed and measured; from shapes to mass, mass centre and inertia. */
export { solidOf, type Solid } from './solid';
export { MeshFault } from './meshSolid';
export { flatBody, shifted, type FlatBody } from './flatBody';
export { NO_SUMS, addSums, carryOver, inertiaAbout, inertiaAboutMassCentre, massCentre, moveSums, scaleSums, sumsOf, sumsOfOne, type RigidPiece, type Sums } from './moments';
// kit and loadouts
export { CLASS_FACTS, type KitClassFacts } from './kitClasses';
export { freePoints, newItem, standingOn, withClass } from './newItem';
export { axesKnown, guessedCentreSpread, itemFigures, type ItemFigures } from './estimate';
export { placeItems, placeLoad, type LoadFault, type PlacedItem, type PlacedItems, type PlacedLoad } from './placeLoad';
export { loadFindings } from './loadFindings';
export { changedLoadout, type LoadoutChange } from './changedLoadout';
export { coverageOf, type AxisCover, type Coverage, type CoveredLoadout, type Extreme, type NextMeasure, type StateShift } from './coverage';
export { lensCones, type ConeOutcome, type LensCone, type View2 } from './lensCone';
export { angleForFraction, edgeShiftByRoll, fieldOfView, frameFraction, smearFraction } from './fieldOfView';
// measuring
export { METHODS } from './methods';
export { AXIS_WORDS, VIEW_AXES, fromFoot, type Axis, type AxisWords, type Method, type MethodFound, type MethodOutcome, type MethodReading, type PictureStroke } from './method';
export { averaged, type Averaged } from './averaged';
export { agreement, type Agreement, type Found } from './agreement';
export { comparedOf, methodById, remeasured, resultsOf, weighedAs, withMeasurement, withoutMeasurement, type Compared, type Result } from './measured';
export { planeOfPhoto, type PhotoPlane } from './photoPlane';
export { twoScales } from './measure/twoScales';
export { boardOneScale } from './measure/boardOneScale';
export { twoHangings, type Crossing } from './measure/twoHangings';
export { balanceOnEdge } from './measure/balanceOnEdge';
export { type MeasuredPlace } from './measure/measuredPlace';
