/** Load: what is carried, weighed and measured; from shapes to mass, mass centre and inertia. Measuring and coverage have their own door, ../measuring. */
export { solidOf } from './solid';
export type { Solid } from './unitSolid';
export { MeshFault, meshFault } from './meshSolid';
export { flatBody, shifted, type FlatBody, type Shift } from './flatBody';
export { boundingBox, boxRound, type Box } from './boundingBox';
export { turnedBody } from './turnedBody';
export {
  NO_SUMS,
  addSums,
  carryOver,
  inertiaAbout,
  inertiaAboutMassCentre,
  massCentre,
  moveSums,
  addScaledSums,
  scaleSums,
  sumsOf,
  sumsOfOne,
  type RigidPiece,
  type Sums,
} from './moments';
// kit and loadouts
export { CLASS_FACTS } from './kitClasses';
export { freePoints, newItem, standingOn, withClass } from './newItem';
export { axesKnown, guessedCentreSpread, itemFigures } from './estimate';
export { placeItems, placeLoad, type PlacedItem, type PlacedLoad, type PlacesOnRig } from './placeLoad';
export { NEW as NEW_LOADOUT, nameByKit, renamedByKit } from './loadoutName';
export { loadFindings } from './loadFindings';
export { changedLoadout, type LoadoutChange } from './changedLoadout';
export { angleForFraction, edgeShiftByRoll, fieldOfView, focalFor, frameFraction, smearFraction } from './fieldOfView';
export { twoScales } from './formulas/twoScales';
export { boardOneScale } from './formulas/boardOneScale';
export { twoHangings } from './formulas/twoHangings';
export { balanceOnEdge } from './formulas/balanceOnEdge';

export { lensCones, type ConeOutcome, type LensCone, type View2 } from './lensCone';
export { socketOf, spacesOf, type FreeSpace, type LoadSocket } from './freeSpace';
