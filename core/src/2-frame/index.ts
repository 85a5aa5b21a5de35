/** Frame: a rig's shape from its dimensions; what it is made of, how it bends, where every body lies. */
export {
  assemble,
  bodiesBeyond,
  countOf,
  contactAt,
  moversOf,
  pivotAt,
  placedPieces,
  shiftOf,
  stackBody,
  stackSums,
  valuesInOrder,
  type AdjusterValues,
  type Assembly,
  type Piece,
  type PlacedPiece,
} from './assemble';
export { cautionsOf } from './cautionsOf';
export { carriedFrom, carryWeight, weightBolt } from './edits/carryWeight';
export { changedDesign } from './edits/changedDesign';
export { withChosenSizes } from './edits/chosenSizes';
export { sizeLike } from './parts/sizeLike';
export { designRig, familyById, type DesignedRig } from './designRig';
export { FAMILIES } from './wholeFamilies';
export {
  type ChoiceSpec,
  type DimensionSpec,
  type DrawnDimension,
  type Family,
  type FamilyInput,
  type Sizing,
} from './family';
export { USUAL_HANDS } from './hands';
export { kitPlaces, placesMissing, placesOnRig, type KitPlaceOnRig } from './kitPlaces';
export { FRAME_CHECKS } from './checks';
// bends and cuts
export { followBends, frameAlong, neutralFractionFor, outerStrain, stripStart, type Stretch } from './members/bend';
export { bentStrip } from './members/memberBodies';
export { atHand, keptAs, washerName, type AtHand } from './atHand';
export { mitresOf } from './members/mitres';
export { finishedLength } from './members/finishedLength';
export { springBack } from './members/springBack';
export { cutLength, inserted, takeOff, type EndFitting } from './members/cutLength';
export { cutLengthOf, memberEnds, placesOf } from './members/memberEnds';
// what holds what
export { hardwareOf, withHardware, withoutHardware } from './connections/withHardware';
export { connectionsOf } from './connections/connectionsOf';
export { fromEdges, largest, type FromEdge } from './connections/fromEdges';
export { drilledElsewhere, holeId, type DrilledHole } from './connections/holesIn';
export { piecesHeld } from './connections/kinds';
export { washerId } from './connections/washerId';
export type { Connection, ConnectionHole, ConnectionKind, Layer } from './connections/connection';
// joints and stock
export { fittingFor, FITTING_NAMES, hubOf } from './fittings/fittingFor';
export { hollowsOf, openingsOf, type Hollow } from './fittings/hollows';
export { jointName } from './fittings/jointName';
export { jointFacts, usualJointMass } from './fittings/jointFacts';
export { PIPE_SYSTEMS, pipeOf, pipeWith } from './parts/pipes';
export { washerOf, WASHERS } from './parts/washers';
export { meetingOf } from './made/meeting';
export { isPrinted, pauseLayer, printedParts } from './parts/printed';
export { sawnParts } from './parts/sawn';
export { ownStocks, stockById, STOCK_OPTIONS } from './parts/stocks';
export { BARS } from './parts/bars';
export { pipework, type Run } from './fittings/pipework';
export { breakDown, fitsBag } from './fittings/breakDown';

export { CARRIES, MOVES, optionsOf, type Suitability } from './family';
export { pinPlay } from './clearances/pinPlay';
export { playsOf, type Play } from './clearances/plays';
export { mountedAt, upperFace } from './edits/mountOn';
export { partCopied } from './edits/placePart';
export { braceBetween, cornersFor } from './edits/braceBetween';
export { cornerBar, type CornerBarInput } from './edits/cornerBar';
export {
  crossesTube,
  doubled,
  EDGE as CORE_EDGE,
  faceOf,
  screwOnFace,
  SHORTEST_DOUBLER,
  type Face,
} from './edits/doubled';
export { coreFor, DOUBLER_STRIPS } from './parts/doublers';
export { otherStock } from './members/otherStock';
export { snapOf } from './edits/snapOf';
export { freed, withEdit, withoutWeight } from './edits/withEdit';
export { BORROWED } from './parts/borrowed';
export { fastenerId, homeOf, outrigger, outriggerBodies, outriggerId } from './parts/outrigger';
export { PART_LIBRARY } from './parts/library';
export { applyEdits } from './edits/applyEdits';
// room between things
export { handMargins, type HandMargin } from './clearances/handMargins';
export { barGap, pointGap, reachFromAxis, solidGap, type Solid3 } from './clearances/clearance';
export { sweep } from './clearances/sweep';
// drawing
export { boreOutline, nearness, outline, project, type Point2, type View } from './outlines/outline';
export { NUT_WORDS } from './hardware/boltUp';
export { headsFor, nutsFor } from './connections/nutsFor';
export { threadThatHolds } from './edits/threadThatHolds';
export type { ConnectionFault } from './connections/kind';
export { RARER_THREADS, threadCalled, THREADS } from './hardware/thread';
export { ACROSS_FLATS, isTabled, SOCKET_WIDE, WING_HEIGHT, WING_SPAN } from './hardware/sizes';
export { fastenerMass, type Fastener } from './hardware/fastenerMass';
export { stackUp, type StackInput, type StackLayer, type StackUp } from './hardware/stackUp';
export { overlapsOf, SEEN as OVERLAP_SEEN, type Looked, type Overlap, type OverlapMemory } from './solids/overlaps';
export { comesInto, pairOf, quickPairs, standing, type PairKey, type Standing } from './solids/quickPairs';
export { insideAnother, pieceNames, type InsideAnother } from './solids/insideAnother';
export { castOf, hole } from './solids/meshOf';
export { printedOf, printedSolid, type Printed } from './solids/printedSolid';
export { solidKit, type Mesh, type SolidKit } from './solids/solidKit';
// lines through pieces
export { pieceShapes, type PieceShape } from './solids/pieceShapes';
export { columnsOf, latticeAlong, merged, PITCH, type Columns } from './solids/columns';
export type { Span } from './solids/spansThrough';
export { runsOf, type Runs } from './solids/runs';
