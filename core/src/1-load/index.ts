/** Load: what is carried, weighed and measured; from shapes to mass, mass centre and inertia. */
export { solidOf, type Solid } from './solid';
export { MeshFault } from './meshSolid';
export { flatBody, shifted, type FlatBody } from './flatBody';
export { NO_SUMS, addSums, carryOver, inertiaAbout, inertiaAboutMassCentre, massCentre, moveSums, scaleSums, sumsOf, sumsOfOne, type RigidPiece, type Sums } from './moments';
export { itemFigures, type ItemFigures } from './estimate';
export { placeLoad, type LoadFault, type PlacedLoad } from './placeLoad';
export { angleForFraction, edgeShiftByRoll, fieldOfView, frameFraction, smearFraction } from './fieldOfView';
// measuring
export { twoScales } from './measure/twoScales';
export { boardOneScale } from './measure/boardOneScale';
export { twoHangings, type Crossing } from './measure/twoHangings';
export { balanceOnEdge } from './measure/balanceOnEdge';
export { type MeasuredPlace } from './measure/measuredPlace';
